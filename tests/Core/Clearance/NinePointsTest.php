<?php

declare(strict_types=1);

namespace App\Tests\Core\Clearance;

use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use Hylognosis\Clearance\Breadth;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\Freshness;
use Hylognosis\Clearance\LookAlikesExcluded;
use Hylognosis\Clearance\NoContradiction;
use Hylognosis\Clearance\PartAndCondition;
use Hylognosis\Clearance\People;
use Hylognosis\Clearance\PlaceAllows;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Point;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Quota;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Clearance\Strength;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each point by itself, on an elder in June that lacks nothing but what the case takes away. */
final class NinePointsTest extends TestCase
{
    /** @return iterable<string, array{Point, callable(): Dossier, PointStatus, string}> */
    public static function cases(): iterable
    {
        $elder = self::elderBut(...);
        $terms = static fn (PlaceTerms $terms): Dossier => Dossiers::elderFlower(terms: $terms);

        yield '1 is met when all is scored' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            '9 of 9',
        ];
        yield '1 is open while one is missing' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower($elder(['twig.pith' => null])),
            PointStatus::Open,
            '8 of 9',
        ];
        yield '1 is open while one is not sure' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower($elder(['twig.pith' => ['white-wide', 1, Certainty::Likely]])),
            PointStatus::Open,
            '8 of 9',
        ];
        yield '1 is open with too few samples' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower($elder(['flower.head' => ['flat', 1]])),
            PointStatus::Open,
            '8 of 9',
        ];
        yield '1 is open on litter alone' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower(
                $elder(['flower.head' => ['flat', 4, Certainty::Sure, Whereabouts::Ground]]),
            ),
            PointStatus::Open,
            '8 of 9',
        ];
        yield '1 is broken by another state' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower($elder(['twig.pith' => ['brown-wide', 1]])),
            PointStatus::Broken,
            '8 of 9',
        ];
        yield '1 is broken by a number out of range' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower($elder(['leaf.leaflet-count' => [[5, 9]]])),
            PointStatus::Broken,
            '8 of 9',
        ];

        yield '2 is met when nothing speaks against it' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'Nothing',
        ];
        yield '2 is broken by the least sure contradiction' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower($elder(['twig.spines' => ['paired', 1, Certainty::Unsure]])),
            PointStatus::Broken,
            'speaks against',
        ];
        yield '2 is not broken by a size beyond the extremes' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower($elder(['outline.height' => [[25]]])),
            PointStatus::Met,
            'Nothing',
        ];
        yield '2 takes one unusual thing' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower($elder(['bark.surface' => ['peeling', 1]])),
            PointStatus::Met,
            'One of 10 things seen is not described',
        ];
        yield '2 is broken by more of them than descriptions leave out' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower(
                $elder([
                    'bark.surface' => ['peeling', 1],
                    'flower.colour' => ['yellow', 2],
                    'bud.surface' => ['furry', 2],
                    'leaf.veins' => ['arching', 2],
                    'twig.hairs' => ['hairy', 2],
                ]),
            ),
            PointStatus::Broken,
            'more than a description leaves out',
        ];
        yield '2 is broken by a required feature seen otherwise, even unsurely' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower($elder(['scent.crushed' => ['faint', 1, Certainty::Unsure]])),
            PointStatus::Broken,
            'speaks against',
        ];
        yield '2 stays open on a contradiction that was taken back' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower([
                ...Starter::observations(Starter::ELDER),
                Starter::takenBack(Starter::observe('twig.spines', 'paired')),
            ]),
            PointStatus::Open,
            'taken back',
        ];
        yield '2 is open while scores disagree' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower([
                ...Starter::observations(Starter::ELDER),
                Starter::observe('bark.surface', 'corky'),
                Starter::observe('bark.surface', 'ridged'),
            ]),
            PointStatus::Open,
            'disagree',
        ];

        yield '3 is met when all are excluded' => [
            new LookAlikesExcluded(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'All 8',
        ];
        yield '3 names what it could still be' => [
            new LookAlikesExcluded(),
            static fn () => Dossiers::elderFlower($elder(['leaf.stipules' => null, 'twig.woodiness' => null])),
            PointStatus::Open,
            'dwarf elder',
        ];
        yield '3 needs sure scores' => [
            new LookAlikesExcluded(),
            static fn () => Dossiers::elderFlower(
                Starter::observations(
                    array_map(static fn (array $s): array => [$s[0], $s[1] ?? 1, Certainty::Likely], Starter::ELDER),
                ),
            ),
            PointStatus::Open,
            'yew',
        ];

        yield '4 is met by a clear lead' => [
            new Strength(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'leads',
        ];
        yield '4 is open before anything is scored' => [
            new Strength(),
            static fn () => Dossiers::elderFlower([]),
            PointStatus::Open,
            'Nothing has been scored',
        ];
        yield '4 is open where another leads' => [
            new Strength(),
            static fn () => Dossiers::firShoot(Starter::observations(Starter::YEW)),
            PointStatus::Open,
            'Yew explains',
        ];
        yield '4 is open on a thin lead' => [
            new Strength(),
            static fn () => Dossiers::elderFlower(
                Starter::observations(['leaf.kind' => ['pinnate', 3], 'leaf.stipules' => ['none', 3]]),
            ),
            PointStatus::Open,
            'is needed',
        ];

        yield '4 is open where what leads hardly explains what was seen' => [
            new Strength(),
            static fn () => Dossiers::elderFlower(
                $elder([
                    'bark.surface' => ['peeling', 1],
                    'flower.colour' => ['yellow', 2],
                    'bud.surface' => ['furry', 2],
                ]),
            ),
            PointStatus::Open,
            'explains what was seen badly',
        ];
        yield '4 is open on a lead of nine tenths' => [
            new Strength(),
            static fn () => Dossiers::elderFlower(
                $elder(['bark.surface' => ['peeling', 1], 'flower.colour' => ['yellow', 2]]),
            ),
            PointStatus::Open,
            'is needed',
        ];
        yield '4 is open while one in thirty is something the flora does not hold' => [
            new Strength(),
            static fn () => Dossiers::elderFlower($elder(['bark.surface' => ['peeling', 1], 'twig.pith' => null])),
            PointStatus::Open,
            'does not hold',
        ];

        yield '5 is met by three organs' => [
            new Breadth(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'twig',
        ];
        yield '5 does not count the ground under it' => [
            new Breadth(),
            static fn () => Dossiers::elderFlower(
                Starter::observations([
                    'leaf.kind' => ['pinnate', 3],
                    'twig.pith' => ['white-wide', 1],
                    'site.place' => ['edge', 1],
                    'flower.head' => ['flat', 3, Certainty::Sure, Whereabouts::Ground],
                ]),
            ),
            PointStatus::Open,
            'Scored on the tree: leaf, twig.',
        ];

        yield '6 is met in its window' => [
            new PartAndCondition(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'confirmed',
        ];
        yield '6 is open while a question is' => [
            new PartAndCondition(),
            static fn () => Dossiers::elderFlower(conditions: []),
            PointStatus::Open,
            'Not answered',
        ];
        yield '6 is broken by a no' => [
            new PartAndCondition(),
            static fn () => Dossiers::elderFlower(conditions: ['in-full-bloom' => false]),
            PointStatus::Broken,
            'Too early or too late',
        ];
        yield '6 is broken out of its window' => [
            new PartAndCondition(),
            static fn () => Dossiers::elderFlower(date: '2027-07-20'),
            PointStatus::Broken,
            'not now',
        ];
        yield '6 is broken by a harmful condition' => [
            new PartAndCondition(),
            static fn () => Dossiers::of(
                'sambucus-nigra',
                'fruit',
                [],
                ['all-black' => true, 'eaten-raw' => true],
                date: '2027-09-10',
            ),
            PointStatus::Broken,
            'heated through',
        ];
        yield '6 is broken for a harmful part' => [
            new PartAndCondition(),
            static fn () => Dossiers::of('taxus-baccata', 'fruit', []),
            PointStatus::Broken,
            'deadly',
        ];

        yield '7 is met with permission' => [
            new PlaceAllows(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'Local law',
        ];
        yield '7 is open without a record' => [
            new PlaceAllows(),
            static fn () => $terms(new PlaceTerms(null)),
            PointStatus::Open,
            'No permission',
        ];
        yield '7 is open for a part the permission does not name' => [
            new PlaceAllows(),
            static fn () => $terms(new PlaceTerms(true, coversPart: false)),
            PointStatus::Open,
            'for other parts, not for this one',
        ];
        yield '7 is broken by a refusal' => [
            new PlaceAllows(),
            static fn () => $terms(new PlaceTerms(false)),
            PointStatus::Broken,
            'not given',
        ];
        yield '7 is broken after its end' => [
            new PlaceAllows(),
            static fn () => $terms(new PlaceTerms(true, new \DateTimeImmutable('2027-06-13'))),
            PointStatus::Broken,
            'ended on 13 June 2027',
        ];
        yield '7 holds on its last day' => [
            new PlaceAllows(),
            static fn () => $terms(new PlaceTerms(true, new \DateTimeImmutable('2027-06-14'))),
            PointStatus::Met,
            'valid',
        ];
        yield '7 is broken where it is protected' => [
            new PlaceAllows(),
            static fn () => $terms(new PlaceTerms(true, null, ['sambucus-nigra'])),
            PointStatus::Broken,
            'protected at this place',
        ];
        yield '7 is broken when the quota is used up' => [
            new PlaceAllows(),
            static fn () => $terms(new PlaceTerms(true, null, [], ['sambucus-nigra' => new Quota(3, 3)])),
            PointStatus::Broken,
            '3 of 3',
        ];

        yield '8 is met by one where nothing is deadly' => [
            new People(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'may decide',
        ];
        yield '8 is broken by a learner' => [
            new People(),
            static fn () => Dossiers::elderFlower(examiner: ExaminerRole::Learner),
            PointStatus::Broken,
            'learner',
        ];
        yield '8 wants a second where one is deadly' => [
            new People(),
            static fn () => Dossiers::firShoot(),
            PointStatus::Open,
            'second examiner',
        ];
        yield '8 wants a second while a deadly one is compatible' => [
            new People(),
            static fn () => Dossiers::elderFlower(Starter::observations(['flower.anthers' => ['yellow', 3]])),
            PointStatus::Open,
            'second examiner',
        ];
        yield '8 is met by a second, blind' => [
            new People(),
            static fn () => Dossiers::firShoot(second: Starter::observations(Starter::FIR)),
            PointStatus::Met,
            'blind',
        ];
        yield '8 wants the second blind' => [
            new People(),
            static fn () => Dossiers::firShoot(second: Starter::observations(Starter::FIR), blind: false),
            PointStatus::Open,
            'had seen',
        ];
        yield '8 wants the second entitled' => [
            new People(),
            static fn () => Dossiers::firShoot(
                second: Starter::observations(Starter::FIR),
                secondRole: ExaminerRole::Learner,
            ),
            PointStatus::Open,
            'may not decide',
        ];
        yield '8 is broken when the second sees a yew' => [
            new People(),
            static fn () => Dossiers::firShoot(second: Starter::observations(Starter::YEW)),
            PointStatus::Broken,
            'another conclusion',
        ];
        yield '8 wants the second to meet every feature' => [
            new People(),
            static fn () => Dossiers::firShoot(
                second: Starter::observations(array_diff_key(Starter::FIR, ['bud.shape' => 1])),
            ),
            PointStatus::Open,
            'every required feature',
        ];

        yield '9 is met on the day' => [
            new Freshness(),
            static fn () => Dossiers::elderFlower(),
            PointStatus::Met,
            'same day',
        ];
        yield '9 is met on its last day' => [
            new Freshness(),
            static fn () => Dossiers::elderFlower(decidedOn: '2027-06-24'),
            PointStatus::Met,
            '10 days before',
        ];
        yield '9 is broken a day later' => [
            new Freshness(),
            static fn () => Dossiers::elderFlower(decidedOn: '2027-06-25'),
            PointStatus::Broken,
            '11 days old',
        ];
        yield '9 is broken before the examination' => [
            new Freshness(),
            static fn () => Dossiers::elderFlower(decidedOn: '2027-06-13'),
            PointStatus::Broken,
            'after the decision',
        ];
        yield '9 is broken by another tree' => [
            new Freshness(),
            static fn () => Dossiers::elderFlower(sameSpecimen: false),
            PointStatus::Broken,
            'another tree',
        ];
    }

    /** @param callable(): Dossier $dossier */
    #[DataProvider('cases')]
    public function testThePointStandsAsItShouldAndSaysWhy(
        Point $point,
        callable $dossier,
        PointStatus $status,
        string $because,
    ): void {
        $report = $point->judge($dossier());
        $said = Dossiers::words($report->because);
        self::assertSame($status, $report->status, $said);
        self::assertStringContainsString($because, $said);
        self::assertSame(
            PointStatus::Met === $status,
            null === $report->change,
            'What is not met says what would change it.',
        );
    }

    public function testARequiredFeatureOutOfSeasonSaysWhenItCanBeSeen(): void
    {
        $report = (new RequiredFeatures())->judge(Dossiers::elderFlower([], date: '2027-03-01'));
        $flower = array_values(
            array_filter($report->items, static fn ($item): bool => 'flower.head' === $item->subject),
        )[0];
        self::assertStringContainsString('from about 20 May', Dossiers::words($flower->detail));
    }

    /**
     * @param array<string, array{0: string|list<int|float>, 1?: int, 2?: Certainty, 3?: Whereabouts}|null> $change null
     *                                         leaves the score out
     *
     * @return list<Observation>
     */
    private static function elderBut(array $change): array
    {
        $scores = [];
        foreach ($change + Starter::ELDER as $character => $score) {
            if (null !== $score) {
                $scores[$character] = $score;
            }
        }

        return Starter::observations($scores);
    }
}
