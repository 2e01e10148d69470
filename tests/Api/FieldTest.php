<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Examine\ExaminationRecord;
use App\Field\FieldDesk;
use App\Harvest\HarvestRecord;
use App\Tests\Support\Starter;
use App\Trees\Specimen;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;

/** What is taken along decides on the device as the server would; and what was entered there arrives once. */
final class FieldTest extends ApiTestCase
{
    private const TODAY = '2027-06-14';
    private const AT = '2027-06-14T00:00:00+00:00';
    private const ELDER_FLOWER = ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'flower'];

    private static FieldDesk $desk;

    public static function setUpBeforeClass(): void
    {
        self::$desk = new FieldDesk();
    }

    public function testTheDeskSaysWhatTheServerSaysAfterEveryEntry(): void
    {
        $this->signIn('marta');
        $address = $this->begin('S-01', ['blind' => true]);
        $taken = $this->takenOf($address);
        $entries = $ids = [];
        foreach (Starter::ELDER_AS_SHIPPED as $character => $score) {
            $ids[] = $id = Uuid::v4()->toRfc4122();
            $at = \sprintf('2027-06-14T00:00:%02d+00:00', \count($ids));
            $body =
                ['id' => $id, 'character' => $character, 'samples' => $score[1] ?? 1, 'at' => $at] +
                (\is_string($score[0]) ? ['states' => [$score[0]]] : ['numbers' => $score[0]]);
            $entries = $this->both($address, $taken, $entries, 'POST', '/scores', $body, [
                'do' => 'score',
                'body' => $body,
            ]);
        }
        $entries = $this->both($address, $taken, $entries, 'DELETE', '/scores/'.$ids[0], null, [
            'do' => 'take-back',
            'score' => $ids[0],
        ]);
        $entries = $this->both($address, $taken, $entries, 'POST', '/scores/'.$ids[0].'/restore', null, [
            'do' => 'restore',
            'score' => $ids[0],
        ]);
        $unseen = [
            'id' => Uuid::v4()->toRfc4122(),
            'character' => 'fruit.kind',
            'answer' => 'cannot-be-seen',
            'at' => '2027-06-14T00:00:59+00:00',
        ];
        $entries = $this->both($address, $taken, $entries, 'POST', '/scores', $unseen, [
            'do' => 'score',
            'body' => $unseen,
        ]);
        $entries = $this->both($address, $taken, $entries, 'DELETE', '/scores/'.$unseen['id'], null, [
            'do' => 'take-back',
            'score' => $unseen['id'],
        ]);
        foreach (
            [
                ['uncoverNames' => true],
                self::ELDER_FLOWER,
                ['conditions' => ['in-full-bloom' => true]],
                ['kit' => ['none'], 'reach' => ['ground', 'hand']],
            ] as $change
        ) {
            $entries = $this->both($address, $taken, $entries, 'PATCH', '', $change, [
                'do' => 'change',
                'body' => $change,
            ]);
        }
    }

    public function testWhatOthersHaveTakenSinceIsNotKnownAndWhatIsTooOldOpensNothing(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', self::ELDER_FLOWER);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $served = $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        self::assertSame('cleared', self::at($served, 'assessment.clearance.answer'));
        $taken = $this->takenOf($address);
        $shown = $this->desk($taken, []);
        self::assertSame('withheld', self::at($shown, 'assessment.clearance.answer'));
        self::assertStringStartsWith(
            'Black elder is counted at this place. How much others have taken since 14 June,',
            self::text($shown, 'assessment.clearance.because'),
        );
        $taken['rules'] = ['allowed' => []] + (array) $taken['rules'];
        self::assertSame('cleared', self::at($this->desk($taken, []), 'assessment.clearance.answer'));
        self::assertSame('cleared', self::at($this->desk($taken, [], '2027-06-20'), 'assessment.clearance.answer'));
        $old = $this->desk($taken, [], '2027-06-21');
        self::assertStringContainsString('too long ago', self::text($old, 'assessment.clearance.because'));
        $elder = ['sambucus-nigra'];
        foreach ([['permission' => null], ['parts' => ['sambucus-nigra/fruit']], ['protected' => $elder]] as $other) {
            $elsewhere = ['rules' => $other + $taken['rules']] + $taken;
            self::assertNotSame('cleared', self::at($this->desk($elsewhere, []), 'assessment.clearance.answer'));
        }

        $harvest = ['do' => 'harvest', 'body' => ['amount' => 3, 'unit' => 'heads'], 'at' => self::AT];
        self::assertSame(409, $this->ask($taken, [], ['entry' => $harvest])['status'], 'it is not signed');
        $signed = [['do' => 'sign', 'at' => self::AT]];
        self::assertSame(200, $this->ask($taken, $signed, ['entry' => $harvest])['status']);
        $all = ['body' => ['shareLeft' => 0] + $harvest['body']] + $harvest;
        $asked = $this->ask($taken, $signed, ['entry' => $all]);
        self::assertSame([422, 'sure'], [$asked['status'], self::at($asked, 'body.violations.0.propertyPath')]);
        $all['body']['sure'] = true;
        self::assertSame(200, $this->ask($taken, $signed, ['entry' => $all])['status']);
        $late = $this->ask($taken, $signed, ['entry' => $harvest, 'today' => '2027-06-21']);
        self::assertSame(409, $late['status'], 'the gate is asked for each');
        $score = [
            'do' => 'score',
            'at' => self::AT,
            'body' => ['id' => Uuid::v4()->toRfc4122(), 'character' => 'twig.pith', 'states' => ['wide']],
        ];
        self::assertSame(409, $this->ask($taken, $signed, ['entry' => $score])['status'], 'signed is signed');
    }

    public function testBadEntriesAreRefusedNamingTheField(): void
    {
        $this->signIn('marta');
        $taken = $this->takenOf($this->begin('S-01', self::ELDER_FLOWER));
        foreach (
            [
                [['do' => 'score', 'body' => ['character' => 'leaf.nothing', 'states' => ['x']]], 'character'],
                [['do' => 'score', 'body' => ['character' => 'leaf.margin', 'states' => ['corky']]], 'character'],
                [
                    [
                        'do' => 'score',
                        'body' => ['character' => 'leaf.margin', 'states' => ['smooth'], 'position' => 'low'],
                    ],
                    'position',
                ],
                [
                    ['do' => 'score', 'body' => ['character' => 'leaf.length', 'numbers' => [3], 'unit' => 'ell']],
                    'unit',
                ],
                [['do' => 'score', 'body' => ['character' => 'leaf.length', 'numbers' => [99_999]]], 'numbers'],
                [['do' => 'change', 'body' => ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'wheel']], 'claimPart'],
                [['do' => 'change', 'body' => ['conditions' => ['no-such' => true]]], 'conditions'],
            ] as [$entry, $field]
        ) {
            if ('score' === $entry['do']) {
                $entry['body']['id'] = Uuid::v4()->toRfc4122();
            }
            $answer = $this->ask($taken, [], ['entry' => $entry + ['at' => self::AT]]);
            self::assertSame(422, $answer['status'], $field.json_encode($answer));
            self::assertSame($field, self::at($answer, 'body.violations.0.propertyPath'));
        }
    }

    public function testWhoLooksAsTheSecondPersonTakesNothingOfTheFirstLookAlong(): void
    {
        $this->signIn('marta');
        $first = $this->begin('S-01', self::ELDER_FLOWER);
        $this->score($first, Starter::ELDER_AS_SHIPPED);
        $this->call('POST', $first.'/sign');
        $this->signIn('jonas');
        $second = $this->begin('S-01', ['secondOf' => basename($first)]);
        $this->score($second, ['twig.pith' => ['wide', 2], 'leaf.arrangement' => ['opposite', 3]]);
        $taken = $this->takenOf($second);
        self::assertStringNotContainsString(
            'sambucus-nigra',
            (string) json_encode([$taken['view'], $taken['told'], $taken['conditionsOn']]),
        );
        self::assertSame(self::sorted($this->call('GET', $second)), self::sorted($this->desk($taken, [])));
        self::assertSame([], self::at($taken, 'told.seconds'));
        self::assertSame(
            403,
            $this->ask($taken, [], ['entry' => ['do' => 'change', 'at' => self::AT, 'body' => self::ELDER_FLOWER]])[
                'status'
            ],
        );
        self::assertSame(404, $this->ask($taken, [], ['ask' => 'points'])['status']);
        self::assertSame(
            403,
            $this->ask($taken, [], ['ask' => 'danger', 'with' => ['taxon' => 'taxus-baccata']])['status'],
        );
    }

    public function testWhatArrivesTwiceIsDoneOnce(): void
    {
        $this->signIn('marta');
        [$tree, $examination, $key] = [Uuid::v4()->toRfc4122(), Uuid::v4()->toRfc4122(), Uuid::v4()->toRfc4122()];
        $tag = ['id' => $tree, 'tag' => 'Q-1', 'siteId' => $this->site('Mill meadow')];
        $begin = ['id' => $examination, 'specimenId' => $tree, 'date' => self::TODAY] + self::ELDER_FLOWER;
        for ($time = 0; $time < 2; ++$time) {
            $this->call('POST', '/api/specimens', $tag);
            self::assertResponseStatusCodeSame(200);
            $this->call('POST', '/api/examinations', $begin);
            self::assertResponseStatusCodeSame(200);
        }
        self::assertSame(
            [1, 1],
            [
                $this->stored(Specimen::class, ['tag' => 'Q-1']),
                $this->stored(ExaminationRecord::class, ['id' => $examination]),
            ],
        );
        $this->call('POST', '/api/specimens', ['tag' => 'Q-2'] + $tag);
        self::assertResponseStatusCodeSame(409);

        $address = $this->begin('M-01', self::ELDER_FLOWER);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        $this->call('POST', $address.'/sign');
        $before = $this->stored(HarvestRecord::class, []);
        foreach ([3, 3, 4] as $n => $amount) {
            $this->client->setServerParameter('HTTP_IDEMPOTENCY_KEY', $key);
            $this->call('POST', $address.'/harvests', ['amount' => $amount, 'unit' => 'heads']);
            self::assertResponseStatusCodeSame($n < 2 ? 200 : 409, 'the key is that of another entry');
        }
        self::assertSame($before + 1, $this->stored(HarvestRecord::class, []));
    }

    public function testAMomentOfAScoreIsNeitherStillToComeNorBeforeTheExamination(): void
    {
        $this->signIn('marta');
        $address = $this->begin('S-01');
        foreach (
            ['2031-01-01T10:00:00+00:00' => 'still to come', '2027-06-13T10:00:00+00:00' => 'before'] as $at => $said
        ) {
            $score = ['character' => 'twig.pith', 'states' => ['wide'], 'at' => $at];
            self::assertProblem(422, $said, $this->call('POST', $address.'/scores', $score));
        }
    }

    /**
     * Does it at the server and at the desk.
     *
     * @param array<mixed>               $taken
     * @param list<array<string, mixed>> $entries laid on it before
     * @param array<string, mixed>|null  $body
     * @param array<string, mixed>       $entry
     *
     * @return list<array<string, mixed>> laid on it now
     */
    private function both(
        string $address,
        array $taken,
        array $entries,
        string $method,
        string $at,
        ?array $body,
        array $entry,
    ): array {
        $served = $this->call($method, $address.$at, $body);
        self::assertResponseStatusCodeSame(200);
        $entries[] = $entry + ['at' => $body['at'] ?? self::AT];
        self::assertSame(
            self::sorted($served),
            self::sorted($this->desk($taken, $entries)),
            (string) json_encode($entry),
        );

        return $entries;
    }

    /** @return array<mixed> */
    private function takenOf(string $address): array
    {
        $along = $this->call('GET', '/api/field/taken');
        self::assertResponseStatusCodeSame(200);
        $hash = self::text($along, 'floras.0.hash');
        if (!self::$desk->has($hash)) {
            $this->client->request('GET', '/api/field/floras/'.self::text($along, 'floras.0.name'));
            self::$desk->lay($hash, (string) gzdecode($this->client->getInternalResponse()->getContent()));
        }
        foreach ((array) $along['examinations'] as $taken) {
            self::assertIsArray($taken);
            if (basename($address) === self::at($taken, 'view.id')) {
                return ['hash' => $hash, 'lastWord' => ['at' => $taken['at'], 'until' => $taken['until']]] + $taken;
            }
        }
        self::fail('It was not taken along.');
    }

    /**
     * @param array<mixed>               $taken
     * @param list<array<string, mixed>> $entries
     * @param array<string, mixed>       $more
     *
     * @return array<mixed>
     */
    private function ask(array $taken, array $entries, array $more = []): array
    {
        $request = $more + [
            'flora' => $taken['hash'],
            'taken' => ['entries' => $entries] + $taken,
            'ask' => 'view',
            'units' => 'metric',
            'today' => self::TODAY,
        ];
        $answer = json_decode(self::$desk->answer(json_encode($request, \JSON_THROW_ON_ERROR)), true);
        self::assertIsArray($answer);

        return $answer;
    }

    /**
     * @param array<mixed>               $taken
     * @param list<array<string, mixed>> $entries
     *
     * @return array<mixed>
     */
    private function desk(array $taken, array $entries, string $today = self::TODAY): array
    {
        $answer = $this->ask($taken, $entries, ['today' => $today]);
        self::assertSame(200, $answer['status'], (string) json_encode($answer['body']));

        return (array) $answer['body'];
    }

    /**
     * @param array<mixed> $view
     *
     * @return array<mixed>
     */
    private static function sorted(array $view): array
    {
        ksort($view);

        return $view;
    }

    /**
     * @param class-string         $entity
     * @param array<string, mixed> $where
     */
    private function stored(string $entity, array $where): int
    {
        return self::getContainer()->get(EntityManagerInterface::class)->getRepository($entity)->count($where);
    }
}
