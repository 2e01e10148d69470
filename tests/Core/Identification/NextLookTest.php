<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Reach;
use Hylognosis\Identification\Aim;
use Hylognosis\Identification\Curious;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\NextLook;
use Hylognosis\Identification\Outlook;
use Hylognosis\Identification\Suggestion;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;

final class NextLookTest extends TestCase
{
    public function testFollowingItOpensTheGateInAboutAsManyLooksAsAreRequired(): void
    {
        $truth = Starter::ELDER + [
            'scent.crushed' => ['rank', 2],
            'bark.surface' => ['corky', 1],
            'outline.height' => [[4]],
            'leaf.margin' => ['fine-teeth', 2],
            'flower.kind' => ['wheel', 3],
            'flower.colour' => ['cream', 3],
        ];
        $seen = [];
        for ($look = 0; $look < 12; ++$look) {
            $dossier = Dossiers::elderFlower(Starter::observations($seen));
            $open = (new RequiredFeatures())->open($dossier);
            if ([] === $open && [] === $dossier->openDangers()) {
                break;
            }
            $aim = new Aim($dossier->claim->taxon, $open, $dossier->openDangers());
            $suggestions = (new NextLook())->suggest($dossier->identification, self::outlook('06-14'), $aim, 60);
            $next = array_values(
                array_filter($suggestions, static fn (Suggestion $s): bool => isset($truth[$s->character->id])),
            )[0];
            $seen[$next->character->id] = $truth[$next->character->id];
        }
        self::assertLessThanOrEqual(12, \count($seen));
    }

    public function testAsksForWhatIsRequiredBeforeWhatOnlyMightHelp(): void
    {
        $dossier = Dossiers::elderFlower(Starter::observations(['leaf.arrangement' => ['opposite', 3]]));
        $aim = new Aim($dossier->claim->taxon, (new RequiredFeatures())->open($dossier), $dossier->openDangers());
        $suggestions = (new NextLook())->suggest($dossier->identification, self::outlook('06-14'), $aim, 60);
        $first = \array_slice($suggestions, 0, 4);
        self::assertCount(
            4,
            array_filter($first, static fn (Suggestion $s): bool => $s->required),
            implode(', ', self::ids($first)),
        );
        $pith = array_values(
            array_filter($suggestions, static fn (Suggestion $s): bool => 'twig.pith' === $s->character->id),
        )[0];
        self::assertGreaterThan(
            1,
            $pith->character->sight->effort,
            'a cut is dearer than a glance, and is needed all the same',
        );
        self::assertContains('twig.pith', self::ids(\array_slice($suggestions, 0, \count($aim->open))));
        $required = array_map(static fn (Suggestion $s): bool => $s->required, $suggestions);
        self::assertContains(false, $required);
        self::assertNotContains(
            true,
            \array_slice($required, (int) array_search(false, $required, true)),
            'none of them comes after a look that need not be made',
        );
    }

    public function testGoesOnAskingWhileItMayBeSomethingTheFloraDoesNotHold(): void
    {
        // All that parts elder from the others is scored; what is left can still tell an elder from a stranger.
        $identification = Starter::identify(
            Starter::observations([
                'leaf.kind' => ['pinnate'],
                'leaf.arrangement' => ['opposite'],
                'twig.pith' => ['white-wide'],
            ]),
        );
        self::assertGreaterThan(0.0005, $identification->unlisted);
        $best = static fn (Identification $i): float => max([
            0.0,
            ...array_map(
                static fn (Suggestion $s): float => $s->bits,
                (new NextLook())->suggest($i, self::outlook('06-14'), null, 60),
            ),
        ]);
        self::assertGreaterThan(0.0, $best($identification));
        self::assertLessThan(
            $best($identification),
            $best(Starter::identify(Starter::observations(Starter::ELDER))),
            'the surer, the less there is to learn',
        );
    }

    public function testSaysWhatItParts(): void
    {
        $dossier = Dossiers::firShoot(
            Starter::observations(['leaf.kind' => ['needle', 3], 'scent.crushed' => ['resin', 2]]),
        );
        $aim = new Aim($dossier->claim->taxon, (new RequiredFeatures())->open($dossier), $dossier->openDangers());
        $first = (new NextLook())->suggest($dossier->identification, self::outlook('05-20'), $aim)[0];
        self::assertTrue($first->required);
        self::assertStringContainsString('silver fir', Dossiers::words($first->because));
    }

    public function testDoesNotAskForNeedleBandsBeforeThereAreNeedles(): void
    {
        $asked = self::ids((new NextLook())->suggest(Starter::identify([]), self::outlook('06-14'), null, 60));
        self::assertNotContains('leaf.bands', $asked);
        $asked = self::ids(
            (new NextLook())->suggest(
                Starter::identify([Starter::observe('leaf.kind', 'needle')]),
                self::outlook('06-14'),
                null,
                60,
            ),
        );
        self::assertContains('leaf.bands', $asked);
    }

    public function testAsksOnlyForWhatCanBeSeenAndReachedToday(): void
    {
        $winter = self::ids(
            (new NextLook())->suggest(
                Starter::identify([Starter::observe('leaf.arrangement', 'opposite')]),
                self::outlook('01-15'),
                null,
                60,
            ),
        );
        self::assertNotContains('flower.head', $winter);
        self::assertContains('bud.shape', $winter);
        $bare = new Outlook(
            DayOfYear::parse('06-14'),
            Phenology::at(Starter::flora(), Starter::flora()->reference),
            [Reach::Ground, Reach::Hand],
            [Instrument::None],
        );
        $asked = self::ids((new NextLook())->suggest(Starter::identify([]), $bare, null, 60));
        self::assertNotContains('twig.pith', $asked);
        self::assertNotContains('leaf.length', $asked);
    }

    public function testDoesNotAskTwice(): void
    {
        $asked = self::ids(
            (new NextLook())->suggest(
                Starter::identify(Starter::observations(Starter::ELDER)),
                self::outlook('06-14'),
                null,
                60,
            ),
        );
        self::assertSame([], array_intersect($asked, array_keys(Starter::ELDER)));
    }

    public function testWhatALookTellsAtFirstStandsReadyAndIsWhatWouldBeReckoned(): void
    {
        $identification = Starter::identify([]);
        foreach (Starter::compiled()->characters as $id => $c) {
            $told = Curious::told(
                $c->read,
                $c->spread,
                $c->background,
                $c->backgroundSpread,
                $identification->posterior,
                $identification->unlisted,
            );
            self::assertEqualsWithDelta($told, $c->bitsAtFirst, 1e-9, $id);
        }
    }

    private static function outlook(string $day): Outlook
    {
        return Outlook::unhindered(
            DayOfYear::parse($day),
            Phenology::at(Starter::flora(), Starter::flora()->reference),
        );
    }

    /**
     * @param list<Suggestion> $suggestions
     *
     * @return list<string>
     */
    private static function ids(array $suggestions): array
    {
        return array_map(static fn (Suggestion $s): string => $s->character->id, $suggestions);
    }
}
