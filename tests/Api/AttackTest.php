<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Examine\DecisionRecord;
use App\Examine\ScoreRecord;
use App\Tests\Support\Starter;
use Doctrine\ORM\EntityManagerInterface;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Uid\Uuid;

/** Ways round the gate that somebody found once. Each of them worked. */
final class AttackTest extends ApiTestCase
{
    private const CLAIM = ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'flower'];

    public function testAnEmptyDayIsNotToday(): void
    {
        $this->signIn('marta');
        foreach (['', ' ', '2027-06-31', 'today'] as $day) {
            self::assertProblem(
                422,
                'Write the day like',
                $this->call('POST', '/api/examinations', ['specimenId' => $this->tree('M-01'), 'date' => $day]),
            );
            self::assertProblem(
                422,
                'Write the day like',
                $this->call('PATCH', $this->begin('M-01'), ['date' => $day]),
            );
        }
    }

    public function testAnExaminationIsNeitherOfTomorrowNorOlderThanTheTreesRecord(): void
    {
        $this->signIn('marta');
        self::assertProblem(
            422,
            'still to come',
            $this->call('POST', '/api/examinations', ['specimenId' => $this->tree('M-01'), 'date' => '2027-06-15']),
        );
        self::assertProblem(
            422,
            'cannot be older',
            $this->call('POST', '/api/examinations', ['specimenId' => $this->tree('M-01'), 'date' => '2025-06-15']),
        );
    }

    public function testAnOldExaminationCannotBeMadeYounger(): void
    {
        $this->signIn('marta');
        $this->call('PUT', '/api/demo/day', ['day' => '2027-05-28']);
        $address = $this->begin('M-01', self::CLAIM + ['date' => '2027-05-28']);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PUT', '/api/demo/day', ['day' => '2027-06-20']);
        self::assertProblem(
            422,
            'cannot be made younger',
            $this->call('PATCH', $address, ['date' => '2027-06-20', 'dateReason' => 'it was a slip of the pen']),
        );
        self::assertProblem(422, 'Say in a sentence', $this->call('PATCH', $address, ['date' => '2027-05-20']));
        $moved = $this->call('PATCH', $address, [
            'date' => '2027-05-20',
            'dateReason' => 'written on paper and typed in a week later',
        ]);
        self::assertSame(
            ['2027-05-20', 'written on paper and typed in a week later'],
            [self::at($moved, 'date'), self::at($moved, 'dateReason')],
        );
        self::assertStringContainsString(
            '31 days old',
            (string) json_encode(self::at($this->call('GET', $address.'/points'), 'points.8')),
        );
    }

    public function testTheSameRequestSentTwiceIsOneScore(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $body = ['id' => Uuid::v4()->toRfc4122(), 'character' => 'leaf.kind', 'states' => ['pinnate'], 'samples' => 2];
        $this->call('POST', $address.'/scores', $body);
        self::assertCount(1, (array) self::at($this->call('POST', $address.'/scores', $body), 'scores'));
        self::assertProblem(
            409,
            'says something else',
            $this->call('POST', $address.'/scores', ['states' => ['simple']] + $body),
        );
        self::assertProblem(409, 'belongs to another', $this->call('POST', $this->begin('M-02').'/scores', $body));
        self::assertProblem(
            422,
            'id',
            $this->call('POST', $address.'/scores', [
                'id' => 'one',
                'character' => 'leaf.kind',
                'states' => ['pinnate'],
            ]),
        );
    }

    public function testTwoTapsDoNotOutvoteAContradictionAndTakingItBackDoesNotEither(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', self::CLAIM);
        $examination = $this->score($address, ['twig.spines' => ['paired', 2]] + Starter::ELDER_AS_SHIPPED);
        $point = fn (): mixed => self::at($this->call('GET', $address.'/points'), 'points.1.status');
        self::assertSame('broken', $point());
        foreach ([1, 2, 3] as $tap) {
            $examination = $this->call('POST', $address.'/scores', [
                'character' => 'twig.spines',
                'states' => ['none'],
                'further' => $tap > 1,
            ]);
            self::assertNotSame('met', $point(), 'taps within the same quarter of a minute');
        }
        $score = self::at($examination, 'scores.0.id');
        self::assertIsString($score);
        $this->call('DELETE', $address.'/scores/'.$score);
        self::assertNotSame('met', $point(), 'a contradiction that was taken back is still to be settled');
    }

    #[TestWith(['/evidence/abies-alba/taxus-baccata'])]
    #[TestWith(['/points'])]
    #[TestWith(['/dangers/taxus-baccata'])]
    public function testWhoReadsTheEvidenceHasSeenTheScores(string $what): void
    {
        $first = $this->signedFir();
        $this->signIn('jonas');
        $this->call('GET', $first.$what);
        self::assertResponseStatusCodeSame(200);
        self::assertFalse(
            self::at(
                $this->call('GET', $this->begin('L-02', ['secondOf' => basename($first), 'date' => '2027-06-12'])),
                'unprejudiced',
            ),
        );
    }

    public function testOnePersonTakesOneSecondLook(): void
    {
        $first = $this->signedFir();
        $this->signIn('jonas');
        $this->begin('L-02', ['secondOf' => basename($first), 'date' => '2027-06-12']);
        self::assertProblem(
            422,
            'one person takes one',
            $this->call('POST', '/api/examinations', [
                'specimenId' => $this->tree('L-02'),
                'secondOf' => basename($first),
                'date' => '2027-06-12',
            ]),
        );
    }

    public function testADissentIsHeardUntilItIsTakenBackOnRecord(): void
    {
        $first = $this->signedFir();
        $this->signIn('jonas');
        $second = $this->begin('L-02', ['secondOf' => basename($first), 'date' => '2027-06-12']);
        $this->score($second, Starter::YEW);
        $this->call('POST', $second.'/sign');
        $because = fn (): mixed => self::at($this->call('GET', $first.'/points'), 'points.7.because');
        self::assertSame('A second examiner came to another conclusion.', $because());
        self::assertProblem(422, 'Say why', $this->call('POST', $second.'/reconsider', ['because' => '']));
        $this->signIn('marta');
        self::assertProblem(
            403,
            'Only Jonas Brandauer',
            $this->call('POST', $second.'/reconsider', ['because' => 'He was wrong, believe me.']),
        );
        self::assertSame('A second examiner came to another conclusion.', $because());
        $this->signIn('jonas');
        $this->call('POST', $second.'/reconsider', ['because' => 'We stood under it together: I had the next tree.']);
        self::assertResponseStatusCodeSame(200);
        self::assertStringContainsString(
            'a second examiner is needed',
            (string) json_encode($because()),
            'it counts neither for nor against',
        );
    }

    public function testALearnerTakesNothingOnSomebodyElsesClearance(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', self::CLAIM);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        $this->call('POST', $address.'/sign');
        $this->signIn('ida');
        $decisions = self::getContainer()
            ->get(EntityManagerInterface::class)
            ->getRepository(DecisionRecord::class)
            ->count();
        self::assertProblem(
            403,
            'decided by an instructor',
            $this->call('POST', $address.'/harvests', ['amount' => 3, 'unit' => 'heads']),
        );
        self::assertSame(
            $decisions,
            self::getContainer()->get(EntityManagerInterface::class)->getRepository(DecisionRecord::class)->count(),
        );
    }

    public function testAnExaminationWithCoveredNamesIsSentNoNames(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', ['blind' => true] + self::CLAIM);
        $examination = $this->score($address, ['leaf.kind' => ['pinnate', 2], 'leaf.arrangement' => ['opposite', 2]]);
        self::assertSame([], self::at($examination, 'assessment.ranking'));
        $sent = (string) json_encode(
            [self::at($examination, 'assessment'), $this->call('GET', $address.'/points')],
            \JSON_UNESCAPED_UNICODE,
        );
        foreach (['taxus', 'yew', 'rowan', 'sorbus', 'laburnum', 'dwarf elder'] as $name) {
            self::assertStringNotContainsStringIgnoringCase($name, $sent);
        }
        self::assertNotSame(
            [],
            self::at($this->call('PATCH', $address, ['uncoverNames' => true]), 'assessment.ranking'),
        );
    }

    public function testAnswersAsPeopleGiveThemAreThreeDifferentThings(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $kinds = [
            ['character' => 'twig.spines', 'answer' => 'nothing-there'],
            ['character' => 'leaf.bands', 'answer' => 'does-not-apply'],
            ['character' => 'fruit.kind', 'answer' => 'cannot-be-seen'],
            ['character' => 'leaf.margin', 'states' => ['saw-teeth', 'double-teeth'], 'either' => true],
        ];
        foreach ($kinds as $n => $body) {
            $scores = self::at($this->call('POST', $address.'/scores', $body), 'scores');
            self::assertResponseStatusCodeSame(200);
            self::assertIsArray($scores);
            self::assertCount($n + 1, $scores);
        }
        self::assertProblem(
            422,
            'not both',
            $this->call('POST', $address.'/scores', [
                'character' => 'twig.spines',
                'states' => ['none'],
                'answer' => 'nothing-there',
            ]),
        );
        self::assertProblem(
            422,
            'no state for',
            $this->call('POST', $address.'/scores', ['character' => 'leaf.kind', 'answer' => 'nothing-there']),
        );
        self::assertProblem(
            422,
            'makes sense on every tree',
            $this->call('POST', $address.'/scores', ['character' => 'leaf.kind', 'answer' => 'does-not-apply']),
        );
        self::assertSame(
            4,
            self::getContainer()
                ->get(EntityManagerInterface::class)
                ->getRepository(ScoreRecord::class)
                ->count(['examination' => basename($address)]),
        );
    }

    private function signedFir(): string
    {
        $this->signIn('marta');
        $this->call('PUT', '/api/demo/day', ['day' => '2027-06-12']);
        $first = $this->begin('L-02', [
            'claimTaxon' => 'abies-alba',
            'claimPart' => 'young-shoot',
            'date' => '2027-06-12',
        ]);
        $this->score($first, Starter::FIR_AS_SHIPPED);
        $this->call('PATCH', $first, ['conditions' => ['soft-and-light' => true, 'sprayed' => false]]);
        $this->call('POST', $first.'/sign');

        return $first;
    }
}
