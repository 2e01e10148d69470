<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Examine\ScoreRecord;
use App\Harvest\HarvestRecord;
use App\Tests\Support\Starter;
use Doctrine\ORM\EntityManagerInterface;
use PHPUnit\Framework\Attributes\DataProvider;

final class ExaminationApiTest extends ApiTestCase
{
    private const ELDER_FLOWER = ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'flower'];

    public function testFromTheFirstLookToTheLoggedHarvest(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', self::ELDER_FLOWER);
        $examination = $this->score($address, Starter::ELDER_AS_SHIPPED);
        self::assertSame('withheld', self::at($examination, 'assessment.clearance.answer'));
        self::assertSame('part-and-condition', self::at($examination, 'assessment.clearance.nearest'));
        $examination = $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        self::assertSame('cleared', self::at($examination, 'assessment.clearance.answer'));
        self::assertSame('2027-06-24', self::at($examination, 'assessment.clearance.until'));

        self::assertProblem(
            409,
            'Sign the examination first.',
            $this->call('POST', $address.'/harvests', ['amount' => 12, 'unit' => 'heads']),
        );
        $examination = $this->call('POST', $address.'/sign');
        self::assertTrue(self::at($examination, 'signed'));
        self::assertSame('cleared', self::at($examination, 'decisions.0.answer'));

        $examination = $this->call('POST', $address.'/harvests', [
            'amount' => 12,
            'unit' => 'heads',
            'ripeness' => 'open',
            'shareLeft' => 80,
            'note' => 'midday',
        ]);
        self::assertResponseStatusCodeSame(200);
        self::assertSame('12 heads', self::at($examination, 'harvests.0.amount'));
        $page = $this->call('GET', '/api/flora/taxa/sambucus-nigra');
        self::assertSame('midday', self::at($page, 'harvests.0.note'));
    }

    public function testEvidenceForAnyTwoAddsUpAndStaysCoveredWithTheNames(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', self::ELDER_FLOWER);
        $this->score($address, ['leaf.arrangement' => ['opposite', 3], 'twig.pith' => ['wide', 2]]);
        $table = $this->call('GET', $address.'/evidence/sambucus-nigra/euonymus-europaeus');
        $sum = array_sum(
            array_map(
                static fn (mixed $row): float => \is_array($row) && is_numeric($row['decibans'])
                    ? (float) $row['decibans']
                    : 0.0,
                (array) self::at($table, 'evidence'),
            ),
        );
        self::assertEqualsWithDelta(self::at($table, 'decibans'), $sum, 1e-9);
        self::assertGreaterThan(5.0, $sum);
        self::assertProblem(404, 'No taxon', $this->call('GET', $address.'/evidence/sambucus-nigra/nobody'));
    }

    public function testAHeightIsKeptWithTheScoreAndRefusedWhereItMakesNoDifference(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', self::ELDER_FLOWER);
        $examination = $this->call('POST', $address.'/scores', [
            'character' => 'bark.surface',
            'states' => ['corky'],
            'position' => 'low',
        ]);
        self::assertSame('low', self::at($examination, 'scores.0.position'));
        self::assertProblem(
            422,
            'no height is asked',
            $this->call('POST', $address.'/scores', [
                'character' => 'leaf.arrangement',
                'states' => ['opposite'],
                'position' => 'low',
            ]),
        );
    }

    public function testASignedExaminationCannotBeChanged(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        self::assertProblem(409, 'nothing to sign', $this->call('POST', $address.'/sign'));
        $this->score($address, ['leaf.kind' => ['pinnate', 1]]);
        $this->call('POST', $address.'/sign');
        self::assertProblem(
            409,
            'is signed',
            $this->call('POST', $address.'/scores', ['character' => 'leaf.margin', 'states' => ['smooth']]),
        );
        self::assertProblem(409, 'is signed', $this->call('PATCH', $address, ['date' => '2027-06-15']));
    }

    public function testALearnerCannotClear(): void
    {
        $this->signIn('ida');
        $address = $this->begin('M-01', self::ELDER_FLOWER);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        $examination = $this->call('POST', $address.'/sign');
        self::assertSame('withheld', self::at($examination, 'assessment.clearance.answer'));
        self::assertSame(
            'A learner’s examination never clears.',
            self::at($examination, 'assessment.clearance.because'),
        );
        self::assertProblem(
            403,
            'decided by an instructor',
            $this->call('POST', $address.'/harvests', ['amount' => 1, 'unit' => 'heads', 'note' => 'learner']),
        );
        self::assertSame(0, $this->stored(HarvestRecord::class, ['taken.note' => 'learner']));
    }

    public function testADeadlyLookAlikeWantsASecondExaminerWhoHasNotSeenTheScores(): void
    {
        $this->signIn('marta');
        $this->call('PUT', '/api/demo/day', ['day' => '2027-06-12']);
        $claim = ['claimTaxon' => 'abies-alba', 'claimPart' => 'young-shoot', 'date' => '2027-06-12'];
        $first = $this->begin('L-02', $claim);
        $this->score($first, Starter::FIR_AS_SHIPPED);
        $this->call('PATCH', $first, ['conditions' => ['soft-and-light' => true, 'sprayed' => false]]);
        $this->call('POST', $first.'/sign');

        $this->signIn('jonas');
        $waiting = array_filter(
            (array) self::at($this->call('GET', '/api/today'), 'waiting'),
            static fn ($e): bool => \is_array($e) && 'L-02' === $e['tag'],
        );
        self::assertCount(1, $waiting);
        self::assertSame(
            [null, null, ''],
            [
                array_values($waiting)[0]['claim'],
                array_values($waiting)[0]['answer'],
                array_values($waiting)[0]['because'],
            ],
            'whoever could be the second person does not learn the hope',
        );
        $second = $this->begin('L-02', ['secondOf' => basename($first), 'date' => '2027-06-12']);
        self::assertProblem(403, 'the first scores stay covered', $this->call('GET', $first));
        self::assertSame([], $this->call('GET', '/api/specimens/'.$this->tree('L-02').'/examinations'));
        $examination = $this->call('GET', $second);
        self::assertTrue(self::at($examination, 'namesCovered'));
        self::assertTrue(self::at($examination, 'hopeCovered'));
        foreach (['claim', 'assessment.clearance', 'assessment.unlisted'] as $covered) {
            self::assertNull(self::at($examination, $covered), $covered);
        }
        foreach (['assessment.ranking', 'assessment.dangers', 'assessment.excluded', 'conditions'] as $covered) {
            self::assertSame([], self::at($examination, $covered), $covered);
        }
        self::assertProblem(404, 'not been asked', $this->call('GET', $second.'/points'));
        self::assertProblem(403, 'stays covered', $this->call('GET', $second.'/dangers/taxus-baccata'));
        self::assertStringNotContainsString('abies', (string) json_encode($examination));
        self::assertProblem(
            403,
            'as the second person',
            $this->call('PATCH', $second, ['claimTaxon' => 'picea-abies', 'claimPart' => 'young-shoot']),
        );
        self::assertProblem(403, 'stays covered', $this->call('GET', $second.'/evidence/abies-alba/taxus-baccata'));
        $this->score($second, ['leaf.needle-tip' => ['notched', 6]] + Starter::FIR_AS_SHIPPED);
        $this->call('POST', $second.'/sign');

        $examination = $this->call('GET', $first);
        self::assertSame(
            'cleared',
            self::at($examination, 'assessment.clearance.answer'),
            (string) json_encode(self::at($examination, 'assessment.clearance.because')),
        );
    }

    public function testWhoHasReadTheFirstScoresIsNoIndependentSecond(): void
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
        $this->signIn('jonas');
        $this->call('GET', $first);
        $second = $this->begin('L-02', ['secondOf' => basename($first), 'date' => '2027-06-12']);
        $this->score($second, Starter::FIR_AS_SHIPPED);
        $this->call('POST', $second.'/sign');
        self::assertSame(
            'The second examiner had seen the first scores or knew the hope.',
            self::at($this->call('GET', $first), 'assessment.clearance.because'),
        );
    }

    public function testAScoreIsTakenBackAndCountedAgainAndStaysOnRecord(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $examination = $this->score($address, ['leaf.kind' => ['needle', 1]]);
        $score = self::at($examination, 'scores.0.id');
        self::assertIsString($score);
        $examination = $this->call('DELETE', $address.'/scores/'.$score);
        self::assertTrue(self::at($examination, 'scores.0.takenBack'));
        self::assertSame('too-early', self::at($examination, 'assessment.conclusion'));
        $examination = $this->call('POST', $address.'/scores/'.$score.'/restore');
        self::assertFalse(self::at($examination, 'scores.0.takenBack'));
        self::assertCount(1, (array) self::at($examination, 'scores'));
    }

    public function testNumbersMayBeGivenInInches(): void
    {
        $this->signIn('marta');
        $examination = $this->call('POST', $this->begin('M-01').'/scores', [
            'character' => 'leaf.length',
            'numbers' => [3, 4.5],
            'unit' => 'in',
        ]);
        self::assertSame([7.62, 11.43], self::at($examination, 'scores.0.numbers'));
        self::assertSame(2, self::at($examination, 'scores.0.samples'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badScores(): iterable
    {
        yield 'an unknown character' => [
            ['character' => 'leaf.colour', 'states' => ['green']],
            'No character "leaf.colour" in this flora',
        ];
        yield 'an unknown state' => [
            ['character' => 'leaf.kind', 'states' => ['feather']],
            'No state of leaf.kind "feather"',
        ];
        yield 'nothing chosen' => [['character' => 'leaf.kind'], 'Choose at least one state'];
        yield 'numbers for states' => [['character' => 'leaf.kind', 'numbers' => [3]], '"leaf.kind" takes states'];
        yield 'a unit for a count' => [
            ['character' => 'leaf.leaflet-count', 'numbers' => [5], 'unit' => 'cm'],
            'is counted; it has no unit',
        ];
        yield 'an unknown certainty' => [
            ['character' => 'leaf.kind', 'states' => ['pinnate'], 'certainty' => 'certain'],
            'certainty',
        ];
        yield 'too many samples' => [
            ['character' => 'leaf.kind', 'states' => ['pinnate'], 'samples' => 999],
            'samples',
        ];
        yield 'no character' => [['states' => ['pinnate']], 'character'];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('badScores')]
    public function testABadScoreIsRefusedWithAReasonAndNothingIsStored(array $body, string $reason): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $before = $this->stored(ScoreRecord::class);
        self::assertProblem(422, $reason, $this->call('POST', $address.'/scores', $body));
        self::assertSame($before, $this->stored(ScoreRecord::class));
    }

    public function testOnlyItsExaminerWritesAndOthersReadOnlyWhatIsSigned(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $this->signIn('jonas');
        self::assertProblem(
            403,
            'Only Marta Ellinger',
            $this->call('POST', $address.'/scores', ['character' => 'leaf.kind', 'states' => ['simple']]),
        );
        self::assertProblem(403, 'once it is signed', $this->call('GET', $address));
        self::assertProblem(
            404,
            'no such examination',
            $this->call('GET', '/api/examinations/01900000-0000-7000-8000-000000000000'),
        );
    }

    public function testATreeMarkedInSummerIsTakenFromInWinterAndItsPartIsLookedAtThen(): void
    {
        $this->signIn('marta');
        $this->call('PUT', '/api/demo/day', ['day' => '2027-08-15']);
        $address = $this->begin('M-01', ['date' => '2027-08-15', 'claimTaxon' => 'salix-alba', 'claimPart' => 'rod']);
        $this->score($address, [
            'leaf.arrangement' => ['alternate', 3],
            'leaf.kind' => ['simple', 3],
            'bud.scales' => ['one', 4],
        ]);
        $this->call('PATCH', $address, ['conditions' => ['one-year-old' => true]]);
        $points = function (string $day) use ($address): array {
            $this->call('PUT', '/api/demo/day', ['day' => $day]);
            $points = [];
            foreach ((array) self::at($this->call('GET', $address.'/points'), 'points') as $point) {
                self::assertIsArray($point);
                \assert(\is_string($point['point']));
                $points[$point['point']] = $point['status'];
            }

            return [$points['part-and-condition'], $points['freshness']];
        };
        self::assertSame(['broken', 'met'], $points('2027-08-15'), 'known, and not the time to cut');
        $this->call('POST', $address.'/sign');
        self::assertSame(
            ['open', 'met'],
            $points('2027-12-10'),
            'what was found of the rods in August says nothing in December',
        );
        $this->call('PATCH', $address, ['conditions' => ['one-year-old' => true]]);
        self::assertSame(['met', 'met'], $points('2027-12-10'));
        self::assertProblem(409, 'is signed', $this->call('PATCH', $address, ['stage' => 'old']));
        self::assertSame('broken', $points('2028-09-01')[1], 'no examination holds for ever');
    }

    public function testAQuotaThatIsUsedUpShutsTheGate(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', self::ELDER_FLOWER);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        $this->call('POST', $address.'/sign');
        for ($taking = 0; $taking < 7; ++$taking) {
            // the demo has taken seven times, and may fourteen times
            $this->call('POST', $address.'/harvests', ['amount' => 1, 'unit' => 'heads']);
            self::assertResponseStatusCodeSame(200);
        }
        self::assertProblem(
            409,
            'The quota of this place for black elder is used up: 14 of 14 this year.',
            $this->call('POST', $address.'/harvests', ['amount' => 1, 'unit' => 'heads']),
        );
    }

    /**
     * @param class-string          $entity
     * @param array<string, string> $where
     */
    private function stored(string $entity, array $where = []): int
    {
        return self::getContainer()->get(EntityManagerInterface::class)->getRepository($entity)->count($where);
    }
}
