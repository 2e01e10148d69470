<?php

declare(strict_types=1);

namespace App\Tests\Core\Clearance;

use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use Hylognosis\Clearance\Breadth;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\ConditionAnswer;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\Gate;
use Hylognosis\Clearance\LookAlikesExcluded;
use Hylognosis\Clearance\NoContradiction;
use Hylognosis\Clearance\PartAndCondition;
use Hylognosis\Clearance\People;
use Hylognosis\Clearance\PlaceAllows;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Point;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Clearance\SecondLook;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Position;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Ways through the rules that an audit found. Each is shut, and the way beside it that is right stays open. */
final class HolesTest extends TestCase
{
    /** @return iterable<string, array{Point, callable(): Dossier, PointStatus, string}> */
    public static function cases(): iterable
    {
        // samples without the accepted value
        yield 'two heads in two looks of one are one head' => [
            new RequiredFeatures(),
            static fn () => self::heads([
                Starter::observe('flower.head', 'flat'),
                Starter::observe('flower.head', 'flat'),
            ]),
            PointStatus::Open,
            'feature',
        ];
        yield 'three heads in one look are three' => [
            new RequiredFeatures(),
            static fn () => self::heads([Starter::observe('flower.head', 'flat', 3)]),
            PointStatus::Met,
            'feature',
        ];
        // one of several
        yield 'one of two, of which one is accepted, is not seen yet' => [
            new RequiredFeatures(),
            static fn () => self::heads([self::either('flower.head', ['flat', 'dome'], 4)]),
            PointStatus::Open,
            'feature',
        ];
        yield 'one of two, none of which is accepted, is otherwise' => [
            new RequiredFeatures(),
            static fn () => self::heads([self::either('flower.head', ['hanging', 'dome'], 4)]),
            PointStatus::Broken,
            'feature',
        ];
        yield 'a required character that makes no sense here is otherwise' => [
            new RequiredFeatures(),
            static fn () => Dossiers::elderFlower([
                ...Starter::observations(array_diff_key(Starter::ELDER, ['leaf.leaflet-count' => 1])),
                Observation::notApplicable(Starter::flora()->character('leaf.leaflet-count'), Certainty::Sure),
            ]),
            PointStatus::Broken,
            'feature',
        ];

        // outvoting and taking back
        $spines = static fn (Look $look): Observation => Observation::ofStates(
            Starter::flora()->character('twig.spines'),
            ['paired'],
            Certainty::Sure,
            1,
            Whereabouts::Tree,
            null,
            false,
            $look,
        );
        yield 'a contradiction is not outvoted by taps' => [
            new NoContradiction(),
            static fn () => self::elder([
                $spines(new Look()),
                Starter::observe('twig.spines', 'none'),
                Starter::observe('twig.spines', 'none'),
            ]),
            PointStatus::Broken,
            'speaks against',
        ];
        yield 'nor taken back by saying so' => [
            new NoContradiction(),
            static fn () => self::elder([$spines(new Look(takenBack: true))]),
            PointStatus::Open,
            'taken back',
        ];
        yield 'nor by taking back what it disagreed with as well' => [
            new NoContradiction(),
            static fn () => self::elder([
                $spines(new Look(takenBack: true)),
                Starter::takenBack(Starter::observe('twig.spines', 'none')),
            ]),
            PointStatus::Open,
            'taken back',
        ];
        yield 'but by looking again' => [
            new NoContradiction(),
            static fn () => self::elder([
                $spines(new Look(takenBack: true)),
                Starter::observe('twig.spines', 'none'),
                Starter::further(Starter::observe('twig.spines', 'none')),
            ]),
            PointStatus::Met,
            'Nothing',
        ];
        $bark = static fn (string $state, Position $at, Look $look): Observation => Observation::ofStates(
            Starter::flora()->character('bark.surface'),
            [$state],
            Certainty::Sure,
            1,
            Whereabouts::Tree,
            $at,
            false,
            $look,
        );
        yield 'what was taken back at one height is not settled by a look at another' => [
            new NoContradiction(),
            static fn () => self::elder([
                $bark('peeling', Position::Low, new Look(takenBack: true)),
                $bark('corky', Position::Middle, new Look()),
                $bark('corky', Position::Middle, new Look(true)),
            ]),
            PointStatus::Open,
            'taken back',
        ];
        yield 'a contradiction taken back together with what is right is not forgotten' => [
            new NoContradiction(),
            static fn () => self::elder([self::stipules(['none', 'thorns'], new Look(takenBack: true))]),
            PointStatus::Open,
            'taken back',
        ];
        yield 'until it has been looked for again' => [
            new NoContradiction(),
            static fn () => self::elder([
                self::stipules(['none', 'thorns'], new Look(takenBack: true)),
                self::stipules(['none'], new Look(true)),
            ]),
            PointStatus::Met,
            'Nothing',
        ];
        // what makes no sense on it
        yield 'a described character said to make no sense is unusual' => [
            new NoContradiction(),
            static fn () => Dossiers::elderFlower([
                ...Starter::observations(array_diff_key(Starter::ELDER, ['leaf.leaflet-count' => 1])),
                Observation::notApplicable(Starter::flora()->character('leaf.leaflet-count'), Certainty::Sure),
            ]),
            PointStatus::Met,
            'not described',
        ];

        // the place
        $at = static fn (float $north, float $east, float $metres): Dossier => self::elderAt(
            Place::of($north, $east, Length::ofMetres($metres)),
        );
        yield 'not in Sydney' => [
            new PlaceAllows(),
            static fn () => $at(-33.9, 151.2, 20),
            PointStatus::Broken,
            'outside',
        ];
        yield 'not in Ohio' => [
            new PlaceAllows(),
            static fn () => $at(40.0, -82.9, 270),
            PointStatus::Broken,
            'outside',
        ];
        yield 'not at the pole' => [new PlaceAllows(), static fn () => $at(90, 0, 0), PointStatus::Broken, 'outside'];
        yield 'not at eight thousand metres' => [
            new PlaceAllows(),
            static fn () => $at(47.1, 15.4, 8000),
            PointStatus::Broken,
            'outside',
        ];
        yield 'not where the rule of the seasons no longer holds' => [
            new PlaceAllows(),
            static fn () => $at(47.1, 15.4, 1990),
            PointStatus::Broken,
            'days',
        ];
        yield 'at home' => [new PlaceAllows(), static fn () => $at(47.2, 15.6, 500), PointStatus::Met, 'Local law'];
        yield 'near the border it says so' => [
            new PlaceAllows(),
            static fn () => $at(47.1, 22.3, 400),
            PointStatus::Met,
            'border',
        ];
        yield 'protected here whatever the owner says' => [
            new PlaceAllows(),
            static fn () => Dossiers::elderFlower(terms: new PlaceTerms(true, null, ['sambucus-nigra'])),
            PointStatus::Broken,
            'protected',
        ];

        // ripeness and its day
        $ripe = static fn (string $on, string $decidedOn): Dossier => self::elderAnswered($on, $decidedOn);
        yield 'answered on the day' => [
            new PartAndCondition(),
            static fn () => $ripe('2027-06-14', '2027-06-14'),
            PointStatus::Met,
            'confirmed',
        ];
        yield 'answered before the window opened' => [
            new PartAndCondition(),
            static fn () => $ripe('2027-05-20', '2027-05-27'),
            PointStatus::Open,
            'again',
        ];
        yield 'answered longer ago than an examination holds' => [
            new PartAndCondition(),
            static fn () => $ripe('2027-06-01', '2027-06-14'),
            PointStatus::Open,
            'again',
        ];
        yield 'answered tomorrow' => [
            new PartAndCondition(),
            static fn () => $ripe('2027-06-15', '2027-06-14'),
            PointStatus::Open,
            'again',
        ];

        // the second person
        $fir = Starter::observations(Starter::FIR);
        $second = static fn (SecondLook ...$looks): Dossier => self::with(Dossiers::firShoot(), array_values($looks));
        $other = Starter::byOtherEyes($fir);
        yield 'a second who saw it too' => [
            new People(),
            static fn () => $second(self::second($other)),
            PointStatus::Met,
            'blind',
        ];
        yield 'the first scores over again are no second look' => [
            new People(),
            static fn () => $second(self::second($fir)),
            PointStatus::Open,
            'over again',
        ];
        yield 'the same person twice is one person' => [
            new People(),
            static fn () => $second(self::second($other, 'one')),
            PointStatus::Open,
            'same person',
        ];
        yield 'a second look as old as the first may not be' => [
            new People(),
            static fn () => $second(self::second($other, date: '2027-04-01')),
            PointStatus::Open,
            'too old',
        ];
        yield 'a second at odds with himself' => [
            new People(),
            static fn () => $second(
                self::second([
                    ...$other,
                    Starter::observe('bark.surface', 'corky'),
                    Starter::observe('bark.surface', 'smooth'),
                ]),
            ),
            PointStatus::Open,
            'disagree',
        ];
        yield 'a second who has not finished' => [
            new People(),
            static fn () => $second(self::second(\array_slice($other, 0, 2))),
            PointStatus::Open,
            'not reached',
        ];
        yield 'one dissents and another agrees: the dissent is heard' => [
            new People(),
            static fn () => $second(self::second($other), self::second(Starter::observations(Starter::YEW), 'three')),
            PointStatus::Broken,
            'another conclusion',
        ];
        yield 'whichever came first' => [
            new People(),
            static fn () => $second(self::second(Starter::observations(Starter::YEW), 'three'), self::second($other)),
            PointStatus::Broken,
            'another conclusion',
        ];
        yield 'until it is reconsidered on record' => [
            new People(),
            static fn () => $second(
                self::second(Starter::observations(Starter::YEW), 'three', reconsidered: true),
                self::second($other),
            ),
            PointStatus::Met,
            'blind',
        ];
        yield 'what was reconsidered does not agree either' => [
            new People(),
            static fn () => $second(self::second($other, reconsidered: true)),
            PointStatus::Open,
            'second examiner',
        ];
        yield 'a second who leaves a danger open' => [
            new People(),
            static fn () => $second(
                self::second([
                    ...\array_slice($other, 0, -1),
                    Starter::observe('scent.crushed', 'resin', 3, Certainty::Sure),
                    Starter::observe('leaf.bands', 'pale-green', 1, Certainty::Unsure),
                ]),
            ),
            PointStatus::Broken,
            'another conclusion',
        ];
        yield 'a dissent is heard where none was asked for' => [
            new People(),
            static fn () => self::with(Dossiers::elderFlower(), [
                self::second(
                    Starter::observations([
                        'twig.woodiness' => ['herbaceous', 3],
                        'leaf.stipules' => ['leafy', 4],
                        'leaf.kind' => ['pinnate', 3],
                        'flower.anthers' => ['purple', 3],
                    ]),
                    date: '2027-06-14',
                ),
            ]),
            PointStatus::Broken,
            'another conclusion',
        ];
    }

    /** @param callable(): Dossier $dossier */
    #[DataProvider('cases')]
    public function testEachIsShutAndTheRightWayBesideItOpen(
        Point $point,
        callable $dossier,
        PointStatus $status,
        string $because,
    ): void {
        $report = $point->judge($dossier());
        $said = implode(
            ' ',
            array_map(Dossiers::words(...), [
                $report->because,
                ...array_filter([$report->change]),
                ...array_map(static fn ($item) => $item->detail, $report->items),
            ]),
        );
        self::assertSame($status, $report->status, $said);
        self::assertStringContainsString($because, $said);
    }

    public function testADeadlyKindKeptOutByThreeFeaturesOrFewerWantsTwoPeople(): void
    {
        $one = static fn (Flora $flora): bool => (new People())->needsSecond(self::elderIn($flora));
        self::assertFalse($one(Starter::flora()));
        $lines = Starter::taxonDocuments()['taxus-baccata']['never'] ?? [];
        self::assertIsArray($lines);
        $kept = static fn (int $n): array => \array_slice(
            array_values(
                array_filter(
                    $lines,
                    static fn (mixed $line): bool => \is_array($line)
                        && \in_array(
                            $line['character'],
                            ['leaf.kind', 'leaf.arrangement', 'twig.pith', 'flower.head', 'scent.crushed'],
                            true,
                        ),
                ),
            ),
            0,
            $n,
        );
        $three = Starter::changed(['taxa/taxus-baccata/never' => $kept(3)]);
        self::assertTrue($one($three));
    }

    public function testASecondWhoLeavesADangerOpenDoesNotAgree(): void
    {
        $people = static function (Flora $flora): PointReport {
            $fir = $flora->taxon('abies-alba');
            $seen = static fn (Observation ...$scores): Identification => (new Identifier())->identify(
                CompiledFlora::of($flora, LifeStage::Mature),
                Starter::examination(array_values($scores), '2027-05-20'),
            );
            $scores = Starter::observations(Starter::FIR);

            return (new People())->judge(
                new Dossier(
                    new Claim($fir, $fir->part('young-shoot'), []),
                    $seen(...$scores),
                    Phenology::at($flora, $flora->reference),
                    new PlaceTerms(true),
                    new \DateTimeImmutable('2027-05-20'),
                    [new SecondLook($seen(...Starter::byOtherEyes($scores)), true, 'two')],
                    true,
                    'one',
                ),
            );
        };
        self::assertSame('second-agrees', $people(Starter::flora())->because->code);
        self::assertSame(
            'second-leaves-dangers',
            $people(Starter::changed(['taxa/taxus-baccata/never' => []]))->because->code,
        );
    }

    public function testALookAlikeThatIsDeadlyInItsOwnRightWantsTwoPeopleWhateverTheListSays(): void
    {
        $this->expectExceptionMessageMatches('/deadly/');
        Starter::changed([
            'taxa/sambucus-nigra/parts/flower/look_alikes' => [
                ['taxon' => 'taxus-baccata', 'severity' => 'serious', 'note' => 'It is worse than that.'],
            ],
        ]);
    }

    public function testWhatCannotBeSeenInThisSeasonWasNotSeen(): void
    {
        $winter = Dossiers::elderFlower(date: '2027-01-20');
        $required = (new RequiredFeatures())->judge($winter);
        self::assertSame(PointStatus::Open, $required->status);
        $codes = [];
        foreach ($required->items as $item) {
            $codes[$item->subject] = $item->detail->code;
        }
        self::assertSame(
            ['out-of-season', 'out-of-season', 'feature-met'],
            [$codes['flower.head'], $codes['leaf.kind'], $codes['twig.pith']],
        );
        self::assertSame(
            PointStatus::Open,
            (new LookAlikesExcluded())->judge($winter)->status,
            'nor does it exclude anything',
        );
        $leafy = Dossiers::elderFlower(
            Starter::observations([
                'leaf.kind' => ['pinnate', 3],
                'flower.head' => ['flat', 3],
                'twig.pith' => ['white-wide', 1],
            ]),
            date: '2027-01-20',
        );
        self::assertSame(['twig'], (new Breadth())->judge($leafy)->because->with['organs'], 'nor count as an organ');
    }

    public function testWhatTheLawOfTheRegionProtectsIsNotTaken(): void
    {
        self::assertSame(PointStatus::Met, (new PlaceAllows())->judge(self::elderIn(Starter::flora()))->status);
        self::assertSame(
            PointStatus::Broken,
            (new PlaceAllows())->judge(
                self::elderIn(Starter::changed(['taxa/sambucus-nigra/status/protected' => true])),
            )->status,
        );
    }

    public function testALineSomebodyDoubtsExcludesNothing(): void
    {
        $doubted = static function (string ...$verdicts): Flora {
            $lines = Starter::taxonDocuments()['taxus-baccata']['never'] ?? [];
            \assert(\is_array($lines));

            return Starter::changed([
                'taxa/taxus-baccata/never' => array_map(
                    static fn (mixed $line): array => [
                        'reviews' => array_map(
                            static fn (string $verdict, int $n): array => [
                                'who' => 'A Reader',
                                'on' => '2027-01-0'.($n + 1),
                                'verdict' => $verdict,
                                'note' => 'seen otherwise',
                            ],
                            array_values($verdicts),
                            range(0, \count($verdicts) - 1),
                        ),
                    ] + (array) $line,
                    $lines,
                ),
            ]);
        };
        $point = static fn (Flora $flora): PointStatus => (new LookAlikesExcluded())->judge(self::elderIn($flora))
            ->status;
        self::assertSame(PointStatus::Open, $point($doubted('doubted')));
        self::assertSame(PointStatus::Met, $point($doubted('doubted', 'agreed')), 'the last word of a person counts');
        self::assertSame(PointStatus::Open, $point($doubted('agreed', 'doubted')));
    }

    public function testAClearanceNeverEndsBeforeItIsGiven(): void
    {
        $old = new SecondLook(
            self::identify(Starter::byOtherEyes(Starter::observations(Starter::ELDER)), '2027-05-28'),
            true,
            'two',
        );
        $clearance = (new Gate())->decide(self::with(Dossiers::elderFlower(), [$old]));
        self::assertTrue($clearance->isCleared());
        self::assertSame(
            '2027-06-24',
            $clearance->until?->format('Y-m-d'),
            'an old second look that nobody needs shortens nothing',
        );
        $needed = new SecondLook(
            self::identify(Starter::byOtherEyes(Starter::observations(Starter::FIR)), '2027-05-16'),
            true,
            'two',
        );
        self::assertSame(
            '2027-05-23',
            (new Gate())->decide(self::with(Dossiers::firShoot(), [$needed]))->until?->format('Y-m-d'),
            'one that is needed does',
        );
    }

    public function testAPermissionThatEndsEndsTheClearance(): void
    {
        $clearance = (new Gate())->decide(
            Dossiers::elderFlower(terms: new PlaceTerms(true, new \DateTimeImmutable('2027-06-16'))),
        );
        self::assertSame('2027-06-16', $clearance->until?->format('Y-m-d'));
    }

    public function testAFloraWithoutADangerousKindIsAFlora(): void
    {
        $harmless = array_map(
            static fn (array $taxon): ?array => [] ===
            array_filter(
                (array) $taxon['hazards'],
                static fn (mixed $h): bool => \is_array($h) && 'people' === ($h['who'] ?? 'people'),
            )
                ? $taxon
                : null,
            Starter::taxonDocuments(),
        );
        $changes = ['dangerous' => []];
        foreach ($harmless as $id => $taxon) {
            $changes['taxa/'.$id] = null;
            if (null !== $taxon) {
                $taxon['parts'] = [];
                $changes['taxa/'.$id] = $taxon;
            }
        }
        $flora = Starter::changed($changes + ['groups' => [], 'hybrids' => []]);
        self::assertSame([], $flora->dangerous());
        self::assertGreaterThan(1, \count($flora->taxa));
        $identification = (new Identifier())->identify(
            CompiledFlora::of($flora, LifeStage::Mature),
            Starter::examination([]),
        );
        self::assertSame([], Dossier::dangersBut($identification, null, Phenology::at($flora, $flora->reference)));
    }

    public function testFreshnessCountsWholeDays(): void
    {
        self::assertSame(
            1,
            CalendarDay::between(
                new \DateTimeImmutable('2027-03-27 23:59'),
                new \DateTimeImmutable('2027-03-28 00:01'),
            ),
        );
        self::assertSame(
            -1,
            CalendarDay::between(
                new \DateTimeImmutable('2027-03-28 00:01'),
                new \DateTimeImmutable('2027-03-27 23:59'),
            ),
        );
    }

    /** @param list<Observation> $more beside all that is required */
    private static function elder(array $more): Dossier
    {
        return Dossiers::elderFlower([...Starter::observations(Starter::ELDER), ...$more]);
    }

    /** @param list<Observation> $looks instead of the one at the flower heads */
    private static function heads(array $looks): Dossier
    {
        return Dossiers::elderFlower([
            ...Starter::observations(array_diff_key(Starter::ELDER, ['flower.head' => 1])),
            ...$looks,
        ]);
    }

    /** @param non-empty-list<string> $states */
    private static function stipules(array $states, Look $look): Observation
    {
        return Observation::ofStates(
            Starter::flora()->character('leaf.stipules'),
            $states,
            Certainty::Sure,
            3,
            Whereabouts::Tree,
            null,
            false,
            $look,
        );
    }

    /** @param list<Observation> $scores */
    private static function second(
        array $scores,
        string $person = 'two',
        bool $blind = true,
        bool $reconsidered = false,
        string $date = '2027-05-20',
    ): SecondLook {
        return new SecondLook(self::identify($scores, $date), $blind, $person, $reconsidered);
    }

    /** @param non-empty-list<string> $states */
    private static function either(string $character, array $states, int $samples): Observation
    {
        return Observation::ofStates(
            Starter::flora()->character($character),
            $states,
            Certainty::Sure,
            $samples,
            Whereabouts::Tree,
            null,
            true,
        );
    }

    private static function elderAt(Place $place): Dossier
    {
        $elder = Dossiers::elderFlower();

        return new Dossier(
            $elder->claim,
            $elder->identification,
            Phenology::at(Starter::flora(), $place),
            $elder->terms,
            $elder->decidedOn,
        );
    }

    private static function elderAnswered(string $on, string $decidedOn): Dossier
    {
        $elder = Dossiers::elderFlower(date: $decidedOn);

        return new Dossier(
            new Claim($elder->claim->taxon, $elder->claim->part, [
                'in-full-bloom' => new ConditionAnswer(true, new \DateTimeImmutable($on)),
            ]),
            $elder->identification,
            $elder->phenology,
            $elder->terms,
            $elder->decidedOn,
        );
    }

    private static function elderIn(Flora $flora): Dossier
    {
        $elder = $flora->taxon('sambucus-nigra');
        $date = new \DateTimeImmutable('2027-06-14');
        $identification = (new Identifier())->identify(
            CompiledFlora::of($flora, LifeStage::Mature),
            Starter::examination(Starter::observations(Starter::ELDER)),
        );

        return new Dossier(
            new Claim($elder, $elder->part('flower'), []),
            $identification,
            Phenology::at($flora, $flora->reference),
            new PlaceTerms(true),
            $date,
        );
    }

    /** @param list<SecondLook> $seconds */
    private static function with(Dossier $first, array $seconds): Dossier
    {
        return new Dossier(
            $first->claim,
            $first->identification,
            $first->phenology,
            $first->terms,
            $first->decidedOn,
            $seconds,
            true,
            'one',
        );
    }

    /** @param list<Observation> $scores */
    private static function identify(array $scores, string $date): Identification
    {
        return (new Identifier())->identify(Starter::compiled(), Starter::examination($scores, $date));
    }
}
