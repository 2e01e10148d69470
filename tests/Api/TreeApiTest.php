<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;

/** A tree over the years: what is known of it, what it is held to be, and which tree it is. */
final class TreeApiTest extends ApiTestCase
{
    public function testPositionMeasuresAndWhatBecameOfItAreKept(): void
    {
        $this->signIn('ida');
        $tree = '/api/specimens/'.$this->tree('M-08');
        $change = [
            'whereabouts' => 'by the stile',
            'latitude' => 47.121,
            'longitude' => 15.307,
            'uncertainty' => 3.5,
            'positionFrom' => 'receiver',
            'stage' => 'old',
            'sex' => 'both',
            'health' => 'sound',
        ];
        $page = $this->call('PUT', $tree, $change);
        self::assertResponseStatusCodeSame(200);
        self::assertSame(
            ['receiver', 'old', 'both', 'sound'],
            [$page['positionFrom'], $page['stage'], $page['sex'], $page['health']],
        );
        $page = $this->call('POST', $tree.'/measures', ['on' => '2027-06-14', 'girth' => 31.5, 'lowest' => 0.4]);
        self::assertSame(
            [31.5, null, 0.4],
            [
                self::at($page, 'measures.0.girth'),
                self::at($page, 'measures.0.height'),
                self::at($page, 'measures.0.lowest'),
            ],
        );
        foreach (
            [
                ['PUT', '', ['longitude' => null] + $change, 'A position has two numbers'],
                ['PUT', '', ['latitude' => 91] + $change, 'between -90 and 90'],
                ['PUT', '', ['gone' => 'felled'] + $change, 'on which day it went'],
                ['PUT', '', ['gone' => 'felled', 'goneOn' => '2027-06-15'] + $change, 'today at the latest'],
                ['PUT', '', ['gone' => 'merged', 'goneOn' => '2027-06-14'] + $change, 'made one tree'],
                ['POST', '/measures', ['on' => '2027-06-14'], 'Measure the girth'],
                ['POST', '/measures', ['on' => '2027-06-15', 'girth' => 3], 'still to come'],
                ['POST', '/measures', ['on' => '2027-06-14', 'height' => 131], 'between 0.1 and 130'],
                ['PUT', '/tag', ['tag' => 'M-01'], 'is taken'],
                ['PUT', '/tag', ['tag' => 'M-16'], 'taken'],
                ['PUT', '/tag', ['tag' => 'L-04'], 'had the tag L-04 before'],
            ] as [$method, $path, $body, $why]
        ) {
            self::assertProblem(422, $why, $this->call($method, $tree.$path, $body));
        }
        $this->call('PUT', $tree, ['gone' => 'fallen', 'goneOn' => '2027-06-13'] + $change);
        self::assertResponseStatusCodeSame(200);
        self::assertProblem(
            422,
            'not there any more: fallen',
            $this->call('POST', '/api/examinations', ['specimenId' => basename($tree), 'date' => '2027-06-14']),
        );
        $listed = fn (string $query): array => array_column(
            (array) self::at($this->call('GET', '/api/specimens?'.$query), 'trees'),
            'tag',
        );
        self::assertNotContains('M-08', $listed('q=M-0'));
        self::assertContains('M-08', $listed('gone=1'));
        self::assertContains(
            'gone',
            array_column((array) self::at($this->call('GET', $tree.'/years'), 'marks'), 'kind'),
        );
    }

    public function testAnotherTagIsFoundByTheOldOne(): void
    {
        $this->signIn('ida');
        $tree = $this->tree('M-12');
        $page = $this->call('PUT', '/api/specimens/'.$tree.'/tag', ['tag' => 'M-12b']);
        self::assertSame('M-12', self::at($page, 'formerTags.0.tag'));
        self::assertSame($tree, self::at($this->call('GET', '/api/specimens?q=M-12'), 'trees.0.id'));
        self::assertProblem(
            422,
            'had the tag M-12 before',
            $this->call('POST', '/api/specimens', ['tag' => 'M-12', 'siteId' => self::text($page, 'tree.site.id')]),
        );
    }

    public function testTwoTagsBecomeOneTreeAndOneTagTwoWithoutLosingAnything(): void
    {
        $this->signIn('marta');
        [$stays, $goes] = [$this->tree('M-07'), $this->tree('M-08')];
        $address = $this->begin('M-08');
        $this->score($address, ['leaf.kind' => ['simple', 3]]);
        $this->call('POST', $address.'/sign');
        $because = ['because' => 'Both stems spring from one stool.'];
        self::assertProblem(
            422,
            'same tree',
            $this->call('POST', '/api/specimens/'.$stays.'/merge', ['with' => $stays] + $because),
        );
        self::assertProblem(
            422,
            'different places',
            $this->call('POST', '/api/specimens/'.$stays.'/merge', ['with' => $this->tree('L-05')] + $because),
        );
        self::assertProblem(
            422,
            'different kinds',
            $this->call('POST', '/api/specimens/'.$stays.'/merge', ['with' => $this->tree('M-02')] + $because),
        );
        $this->call('POST', '/api/specimens/'.$stays.'/merge', ['with' => $goes] + $because);
        self::assertResponseStatusCodeSame(200);
        $examinations = array_column($this->call('GET', '/api/specimens/'.$stays.'/examinations'), 'id');
        self::assertContains(basename($address), $examinations);
        $gone = $this->call('GET', '/api/specimens/'.$goes.'/page');
        self::assertSame(['merged', $stays], [$gone['gone'], $gone['mergedInto']]);
        self::assertCount(
            4,
            (array) self::at($this->call('GET', '/api/specimens/'.$stays.'/page'), 'measures'),
            'those of both',
        );
        $other = $this->call(
            'POST',
            '/api/specimens/'.$stays.'/split',
            ['tag' => 'M-08b', 'examinations' => [basename($address)]] + $because,
        );
        self::assertSame(
            [basename($address)],
            array_column($this->call('GET', '/api/specimens/'.self::text($other, 'id').'/examinations'), 'id'),
        );
        self::assertNotContains(
            basename($address),
            array_column($this->call('GET', '/api/specimens/'.$stays.'/examinations'), 'id'),
        );
        self::assertSame(
            ['made two trees of the tree with the tag', 'made one tree of two, with the tag'],
            \array_slice(array_column((array) self::at($this->call('GET', '/api/people'), 'deeds'), 'what'), 0, 2),
        );
    }

    public function testAKindRestsOnExaminationsThatNameItAndADoubtMakesItUnknown(): void
    {
        $this->signIn('marta');
        $tree = '/api/specimens/'.$this->tree('M-01');
        $examination = self::text($this->call('GET', $tree.'/known?all=1'), 'kind.restsOn.0.examination');
        $hold = fn (string $taxon, string $id): array => $this->call('PUT', $tree.'/kind', [
            'taxon' => $taxon,
            'examinations' => [$id],
        ]);
        self::assertProblem(422, 'less than 95 in 100', $hold('sambucus-ebulus', $examination));
        self::assertProblem(
            422,
            'Only signed examinations of this tree',
            $hold(
                'sambucus-nigra',
                self::text(
                    $this->call('GET', '/api/specimens/'.$this->tree('M-02').'/known'),
                    'decisions.0.examination',
                ),
            ),
        );
        self::assertSame('harmless', $this->dangerOf('M-02'));
        $this->signIn('ida');
        $this->call('POST', $tree.'/doubt', ['because' => 'The pith was brown.']);
        self::assertResponseStatusCodeSame(200);
        self::assertSame('doubted', $this->dangerOf('M-01'));
        self::assertSame('The pith was brown.', self::at($this->call('GET', $tree.'/known'), 'kind.doubt'));
        self::assertProblem(
            409,
            'nothing to doubt',
            $this->call('POST', '/api/specimens/'.$this->tree('M-13').'/doubt', ['because' => 'x']),
        );
        $this->signIn('marta');
        $hold('sambucus-nigra', $examination);
        self::assertResponseStatusCodeSame(200);
        self::assertSame('serious', $this->dangerOf('M-01'), 'of raw elder');
        self::assertSame('unknown', $this->dangerOf('M-13'));
    }

    public function testTheListAndTheMapShowOneSelection(): void
    {
        $this->signIn('ida');
        foreach (
            ['', 'danger=deadly', 'danger=unknown', 'danger=doubted', 'q=mill', 'gone=1', 'q=no+such+tree'] as $query
        ) {
            $list = (array) self::at($this->call('GET', '/api/specimens?'.$query), 'trees');
            $map = $this->call('GET', '/api/map/trees?'.$query);
            self::assertSame(self::at($this->call('GET', '/api/specimens?'.$query), 'total'), $map['total'], $query);
            self::assertSame(
                array_column($list, 'danger', 'tag'),
                array_column((array) $map['trees'], 'danger', 'tag'),
                $query,
            );
        }
        self::assertSame(
            ['L-03', 'L-08', 'L-09'],
            array_column((array) self::at($this->call('GET', '/api/map/trees?danger=deadly'), 'trees'), 'tag'),
        );
        self::assertNotSame([], self::at($this->call('GET', '/api/map/base'), 'features'));
    }

    public function testTheTreesItBearsWith(): void
    {
        $this->signIn('ida');
        $of = fn (string $tag): array => $this->call('GET', '/api/specimens/'.$this->tree($tag).'/partners');
        $yew = $of('L-08');
        self::assertSame(['other-sex', true], [$yew['partner'], $yew['enough']]);
        self::assertContains('L-09', array_column((array) $yew['trees'], 'tag'));
        self::assertSame(['another', false], [$of('M-02')['partner'], $of('M-02')['enough']]);
        self::assertNull($of('L-05')['partner'], 'beech bears alone');
        self::assertNull($of('M-13')['partner'], 'no kind is held');
    }

    public function testWhoeverCouldBeTheSecondPersonLearnsNothingFromTheTree(): void
    {
        $this->signIn('marta');
        $address = $this->begin('L-06', [
            'claimTaxon' => 'abies-alba',
            'claimPart' => 'young-shoot',
            'date' => '2027-06-14',
        ]);
        $this->score($address, Starter::FIR_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['soft-and-light' => true, 'sprayed' => false]]);
        $signed = $this->call('POST', $address.'/sign');
        self::assertTrue(str_contains((string) json_encode($signed), 'second'), 'a second person is wanted');
        $tree = '/api/specimens/'.$this->tree('L-06');
        $picture = $this->evidence($address);
        self::assertFalse(self::at($this->call('GET', $tree.'/known'), 'covered'));
        $this->signIn('jonas');
        $known = $this->call('GET', $tree.'/known');
        self::assertSame(
            [true, null, [], [], []],
            [$known['covered'], $known['kind'], $known['decisions'], $known['known'], $known['missing']],
        );
        self::assertSame(['expected' => [], 'marks' => [], 'covered' => true], $this->call('GET', $tree.'/years'));
        self::assertSame([], $this->call('GET', $tree.'/pictures'));
        $this->client->request('GET', '/api/pictures/'.$picture.'/full');
        self::assertResponseStatusCodeSame(404);
        $this->signIn('ida');
        self::assertFalse(self::at($this->call('GET', $tree.'/known'), 'covered'), 'a learner cannot be that person');
        self::assertCount(1, $this->call('GET', $tree.'/pictures'));
    }

    public function testLookingAtEverythingEndsTheChanceToBeTheSecondPerson(): void
    {
        $this->signIn('jonas');
        $tree = '/api/specimens/'.$this->tree('M-06');
        $known = $this->call('GET', $tree.'/known');
        self::assertSame(5, $known['leftOut']);
        self::assertSame([], $known['known']);
        $all = $this->call('GET', $tree.'/known?all=1');
        self::assertSame(0, $all['leftOut']);
        self::assertNotSame([], $all['known']);
        $second = $this->call('POST', '/api/examinations', [
            'specimenId' => basename($tree),
            'date' => '2027-06-14',
            'secondOf' => self::text($all, 'decisions.0.examination'),
        ]);
        self::assertResponseStatusCodeSame(200);
        self::assertFalse($second['unprejudiced'] ?? false);
    }

    private function dangerOf(string $tag): string
    {
        return self::text($this->call('GET', '/api/specimens/'.$this->tree($tag)), 'danger');
    }

    private function evidence(string $address): string
    {
        $image = imagecreatetruecolor(40, 30);
        self::assertNotFalse($image);
        ob_start();
        imagepng($image);
        $bytes = (string) ob_get_clean();
        $this->signIn('marta');
        $score = self::text($this->call('GET', $address), 'scores.0.id');
        $this->client->request(
            'POST',
            '/api/pictures?score='.$score,
            server: [
                'CONTENT_TYPE' => 'image/png',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_X_CSRF_TOKEN' => 'csrf-token',
            ],
            content: $bytes,
        );
        self::assertResponseStatusCodeSame(200);
        $answer = json_decode((string) $this->client->getResponse()->getContent(), true);

        return self::text(\is_array($answer) ? $answer : [], 'id');
    }
}
