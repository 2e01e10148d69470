<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Reach;
use Hylognosis\Identification\Asleep;
use Hylognosis\Identification\Identifier;
use Hylognosis\Identification\InSight;
use Hylognosis\Identification\NextLook;
use Hylognosis\Identification\Outlook;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InSightTest extends TestCase
{
    private const ALL = [Reach::Ground, Reach::Hand, Reach::Binoculars, Reach::Cut];

    /**
     * @return iterable<string, array{string, bool, array<string, array{string}>, 3?: list<Reach>, 4?: list<Instrument>,
     *     5?: list<string>, 6?: list<string>}>
     */
    public static function cases(): iterable
    {
        $bag = Instrument::cases();
        yield 'nothing scored: leaves are asked about' => ['leaf.leaflet-count', true, []];
        yield 'no leaflets where the leaf is a needle' => ['leaf.leaflet-count', false, ['leaf.kind' => ['needle']]];
        yield 'leaflets where it is feathered' => ['leaf.leaflet-count', true, ['leaf.kind' => ['pinnate']]];
        yield 'no bands where it is feathered' => ['leaf.bands', false, ['leaf.kind' => ['pinnate']]];
        yield 'what was scored stays, whatever speaks against it' => [
            'leaf.bands',
            true,
            ['leaf.kind' => ['pinnate'], 'leaf.bands' => ['two-white']],
        ];
        yield 'what could not be seen stays' => [
            'leaf.bands',
            true,
            ['leaf.kind' => ['pinnate']],
            self::ALL,
            $bag,
            [],
            ['leaf.bands'],
        ];
        yield 'no leaflets where the tree is bare' => [
            'leaf.leaflet-count',
            false,
            [],
            self::ALL,
            $bag,
            [],
            ['leaf.kind'],
        ];
        yield 'winter catkins in July' => ['flower.winter-catkins', false, []];
        yield 'winter catkins in July, where a part wants them' => [
            'flower.winter-catkins',
            true,
            [],
            self::ALL,
            $bag,
            ['flower.winter-catkins'],
        ];
        yield 'pith without a cut' => ['twig.pith', false, [], [Reach::Ground, Reach::Hand]];
        yield 'pith without a knife' => ['twig.pith', false, [], self::ALL, [Instrument::None, Instrument::Rule]];
        yield 'pith with both' => ['twig.pith', true, [], self::ALL, [Instrument::None, Instrument::Knife]];
    }

    /**
     * @param array<string, array{string}> $scores
     * @param list<Reach>                  $reach
     * @param list<Instrument>             $kit
     * @param list<string>                 $wanted
     * @param list<string>                 $couldNotLook
     */
    #[DataProvider('cases')]
    public function testWhetherACharacterIsAskedAbout(
        string $character,
        bool $asked,
        array $scores,
        array $reach = self::ALL,
        array $kit = [Instrument::None, Instrument::Knife, Instrument::HandLens],
        array $wanted = [],
        array $couldNotLook = [],
    ): void {
        $flora = Starter::flora();
        $day = new \DateTimeImmutable('2027-07-15');
        $examination = Examination::of(
            $day,
            LifeStage::Mature,
            ExaminerRole::Learner,
            Starter::observations($scores),
            $couldNotLook,
        );
        $outlook = new Outlook(DayOfYear::on($day), Phenology::at($flora, $flora->reference), $reach, $kit);
        $ids = array_map(
            static fn (Character $c): string => $c->id,
            InSight::of($flora, $examination, $outlook, $wanted),
        );
        self::assertSame($asked, \in_array($character, $ids, true));
        self::assertSame(
            array_values(array_intersect(array_keys($flora->characters), $ids)),
            $ids,
            'in the order of the catalogue',
        );
    }

    public function testWhatNoTreeShowsIsAsleepUntilTheFirstDoes(): void
    {
        $flora = Starter::flora();
        $phenology = Phenology::at($flora, $flora->reference);
        foreach ([15, 105, 196, 300] as $number) {
            $day = DayOfYear::of($number);
            $asleep = Asleep::of($flora, $phenology, $day);
            self::assertSame([], array_diff($phenology->outOfSeason($flora, $day), array_keys($asleep)));
            foreach ($asleep as $id => $wakes) {
                self::assertContains($id, $phenology->outOfSeason($flora, $day));
                self::assertNotContains($id, $phenology->outOfSeason($flora, $wakes), $id);
                self::assertContains($id, $phenology->outOfSeason($flora, $wakes->plus(-1)), $id.' no day sooner');
            }
        }
        self::assertArrayHasKey('flower.anthers', Asleep::of($flora, $phenology, DayOfYear::of(15)));
    }

    public function testNobodyIsSentToLookAtTheLeavesOfABareTree(): void
    {
        $flora = Starter::flora();
        $day = new \DateTimeImmutable('2027-07-15');
        $outlook = Outlook::unhindered(DayOfYear::on($day), Phenology::at($flora, $flora->reference));
        $examination = Examination::of($day, LifeStage::Mature, ExaminerRole::Learner, [], ['leaf.kind']);
        $identification = (new Identifier())->identify(Starter::compiled(), $examination);
        foreach ((new NextLook())->suggest($identification, $outlook, null, 99) as $next) {
            self::assertFalse($examination->couldNotSee($flora, $next->character), $next->character->id);
        }
        self::assertTrue($examination->couldNotSee($flora, $flora->character('leaf.leaflet-count')));
        self::assertFalse($examination->couldNotSee($flora, $flora->character('twig.pith')));
    }
}
