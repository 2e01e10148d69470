<?php

declare(strict_types=1);

namespace App\Tests\Core\Clearance;

use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Document\DocumentError;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identifier;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What meets a required feature: an accepted value, what may stand beside it, and what is only not ripe yet. */
final class AcceptedFeaturesTest extends TestCase
{
    private const RED = ['character' => 'fruit.colour', 'states' => ['red'], 'samples' => 2];

    /** @return iterable<string, array{list<string|float>, bool}> */
    public static function seen(): iterable
    {
        yield 'an accepted state' => [['tuft'], true];
        yield 'two accepted states' => [['tuft', 'three'], true];
        yield 'one that may stand beside an accepted one' => [['tuft', 'one'], true];
        yield 'only what may stand beside' => [['one'], false];
        yield 'something else beside an accepted one' => [['tuft', 'five'], false];
        yield 'something else' => [['five'], false];
        yield 'nothing' => [[], false];
    }

    /** @param list<string|float> $seen */
    #[DataProvider('seen')]
    public function testAnAcceptedStateIsNeededAndOnlyNamedOnesMayStandBesideIt(array $seen, bool $met): void
    {
        self::assertSame(
            $met,
            (new RequiredFeature('leaf.bundle', ['tuft', 'three'], null, 2, ['one']))->isMetBy(
                array_map(static fn (string|float $value): array => [$value], $seen),
            ),
        );
    }

    public function testEveryNumberMustLieInTheRange(): void
    {
        $feature = new RequiredFeature('leaf.leaflet-count', [], NumberRange::parse('5–9'), 2);
        self::assertTrue($feature->isMetBy([[5.0], [9.0]]));
        self::assertFalse($feature->isMetBy([[4.0], [7.0]]));
    }

    public function testUnripeFruitBesideRipeFruitIsAllowedWhereTheFloraSaysSo(): void
    {
        self::assertSame(PointStatus::Broken, self::colour(self::RED, ['red', 'green'])->status);
        $item = self::colour(self::RED + ['beside' => ['green']], ['red', 'green']);
        self::assertSame(PointStatus::Met, $item->status);
        $open = self::colour(self::RED + ['beside' => ['green']], []);
        self::assertStringContainsString('green may be seen beside it', Dossiers::words($open->detail));
    }

    public function testAColourOnTheWayToRipenessIsOpenAndAForeignOneIsBroken(): void
    {
        $green = self::colour(self::RED, ['green'], true);
        self::assertSame(PointStatus::Open, $green->status);
        self::assertStringContainsString('not be ripe yet', Dossiers::words($green->detail));
        self::assertSame(
            PointStatus::Broken,
            self::colour(self::RED, ['black'], true)->status,
            'a cornelian cherry is never black',
        );
        self::assertSame(
            PointStatus::Broken,
            self::colour(self::RED, ['green'], false)->status,
            'not said to change as it ripens',
        );
    }

    public function testAStateCannotBeAcceptedAndStandBeside(): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('names a state that is accepted by itself');
        self::flora(self::RED + ['beside' => ['red']], false);
    }

    public function testAStateNobodyKnowsCannotStandBeside(): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('No state "mauve"');
        self::flora(self::RED + ['beside' => ['mauve']], false);
    }

    /**
     * @param array<string, mixed> $required
     * @param list<string>         $seen
     */
    private static function colour(array $required, array $seen, bool $ripens = false): PointItem
    {
        $flora = self::flora($required, $ripens);
        $cornel = $flora->taxon('cornus-mas');
        $scores =
            [] === $seen
                ? []
                : [
                    Observation::ofStates(
                        $flora->character('fruit.colour'),
                        $seen,
                        Certainty::Sure,
                        3,
                        Whereabouts::Tree,
                    ),
                ];
        $day = new \DateTimeImmutable('2027-09-05');
        $identification = (new Identifier())->identify(
            CompiledFlora::of($flora, LifeStage::Mature),
            Examination::of($day, LifeStage::Mature, ExaminerRole::Instructor, $scores),
        );
        $report = (new RequiredFeatures())->judge(
            new Dossier(
                new Claim($cornel, $cornel->part('fruit'), []),
                $identification,
                Phenology::at($flora, $flora->reference),
                new PlaceTerms(true),
                $day,
            ),
        );

        return $report->items[0];
    }

    /** @param array<string, mixed> $required */
    private static function flora(array $required, bool $ripens): Flora
    {
        $changes = [
            'taxa/cornus-mas/parts/fruit/required' => [
                $required,
                ['character' => 'leaf.kind', 'states' => ['simple'], 'samples' => 1],
            ],
            'taxa/cornus-mas/description/fruit.colour' => ['red' => 'usually', 'green' => 'sometimes'],
        ];
        foreach ($ripens ? array_keys(Starter::flora()->characters) : [] as $number => $id) {
            if ('fruit.colour' === $id) {
                $changes['characters/'.$number.'/ripens'] = true;
            }
        }

        return Starter::changed($changes);
    }
}
