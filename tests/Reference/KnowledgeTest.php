<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Hazard;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\RequiredList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a machine can find in the floras without knowing a tree: each of these stood in one of them once. */
final class KnowledgeTest extends TestCase
{
    /** Two kinds of one genus that differ in fewer characters were copied from each other. */
    private const LEAST_DIFFERENT = 8;
    private const MOST_OF_ONE_HEIGHT = 3;
    /** Words that tell more than the rating beside them. */
    private const SHARP = [
        '/\b(kills?|killed|deadly|deaths?|die|dies|fatal)\b/i' => Severity::Serious,
        '/\b(vomit|purg|blister|fits|cramp|collapse|tremor)/i' => Severity::Mild,
    ];
    /** Works that do not hold these kinds: southern ones, planted ones, those of the other state. */
    private const LACKS = [
        'gleason' => [
            'triadica-sebifera',
            'prunus-caroliniana',
            'schinus-terebinthifolia',
            'melia-azedarach',
            'pyracantha-coccinea',
            'taxus-cuspidata',
            'wisteria-sinensis',
        ],
        'kearney' => [
            'umbellularia-californica',
            'heteromeles-arbutifolia',
            'aesculus-californica',
            'quercus-agrifolia',
            'prunus-ilicifolia',
            'taxus-brevifolia',
            'toxicodendron-diversilobum',
            'dermatophyllum-secundiflorum',
        ],
        'jepson' => [
            'platanus-wrightii',
            'juglans-major',
            'quercus-gambelii',
            'erythrina-flabelliformis',
            'dermatophyllum-secundiflorum',
            'sapindus-drummondii',
        ],
    ];

    /** @return iterable<string, array{string}> */
    public static function floras(): iterable
    {
        foreach (Floras::NAMES as $letter => $name) {
            yield $name => [$letter];
        }
    }

    /** Whoever is not named would be taken for spared. */
    #[DataProvider('floras')]
    public function testEveryKindThatHarmsAnyoneSpeaksOfAllEight(string $letter): void
    {
        $silent = $harmful = [];
        foreach (self::kinds($letter) as $taxon) {
            if ([] !== $taxon->harms()) {
                $harmful[] = $taxon->id;
            }
            if ([] !== $taxon->saysNothingOf()) {
                $silent[$taxon->id] = $taxon->saysNothingOf();
            }
            foreach ($taxon->noRecords as $none) {
                self::assertNotSame([], $none->sources, $taxon->id.' says where it looked');
            }
        }
        self::assertSame([], $silent);
        self::assertGreaterThan(20, \count($harmful));
    }

    #[DataProvider('floras')]
    public function testNoKindIsACopyOfItsSister(string $letter): void
    {
        $genera = [];
        foreach (self::kinds($letter) as $taxon) {
            $genera[explode(' ', $taxon->name)[0]][] = $taxon;
        }
        foreach ($genera as $genus => $taxa) {
            $heights = array_count_values(
                array_map(static fn (Taxon $t): string => (string) $t->description->range('outline.height'), $taxa),
            );
            self::assertLessThanOrEqual(
                self::MOST_OF_ONE_HEIGHT,
                max($heights),
                $genus.' is said to be of one height',
            );
            foreach ($taxa as $i => $one) {
                foreach (\array_slice($taxa, $i + 1) as $other) {
                    self::assertGreaterThanOrEqual(
                        self::LEAST_DIFFERENT,
                        self::differences($letter, $one, $other),
                        $one->id.' and '.$other->id,
                    );
                }
            }
        }
    }

    /** The same thing said twice of a kind, once as sure and once with an exception, is one of them wrong. */
    #[DataProvider('floras')]
    public function testNothingIsStatedNeverTwice(string $letter): void
    {
        $twice = [];
        foreach (self::kinds($letter) as $taxon) {
            $said = [];
            foreach ($taxon->nevers as $never) {
                foreach ([] === $never->states ? [(string) $never->outside] : $never->states as $what) {
                    $said[$never->character.' '.$what][] = $never->id;
                }
            }
            foreach (array_filter($said, static fn (array $ids): bool => \count($ids) > 1) as $what => $ids) {
                $twice[] = $taxon->id.': '.$what.' in '.implode(' and ', $ids);
            }
        }
        self::assertSame([], $twice);
    }

    public function testAThornDoesNotMakeAKindOneThatMustBeExcluded(): void
    {
        $hawthorn = Floras::get('A')->taxon('crataegus-monogyna');
        self::assertSame(Severity::Harmless, $hawthorn->severity());
        foreach (
            [[Severity::Mild, false], [Severity::Serious, true], [Severity::Deadly, true]] as [$severity, $counts]
        ) {
            self::assertSame(
                $counts,
                (new Hazard('dust', 'people', 'breathing', $severity, '', []))->harmsByMistake(),
                $severity->value,
            );
        }
        self::assertSame(
            [Severity::Mild],
            array_values(
                array_map(
                    static fn (Hazard $h): Severity => $h->severity,
                    array_filter($hawthorn->hazards, static fn (Hazard $h): bool => 'wound' === $h->way),
                ),
            ),
        );
    }

    private static function differences(string $letter, Taxon $one, Taxon $other): int
    {
        $different = 0;
        foreach (array_keys(Floras::get($letter)->characters) as $id) {
            $different +=
                json_encode($one->description->frequencies($id)) !==
                    json_encode($other->description->frequencies($id))
                || (string) $one->description->range($id) !== (string) $other->description->range($id)
                    ? 1
                    : 0;
        }

        return $different;
    }

    /** A look that is said to decide alone has to be one the wanted kind answers as the danger never does. */
    #[DataProvider('floras')]
    public function testWhatIsSaidToDecideCanDecide(string $letter): void
    {
        $flora = Floras::get($letter);
        $compiled = Floras::compiled($letter);
        $checked = 0;
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                foreach ($part->lookAlikes as $lookAlike) {
                    foreach ($lookAlike->decisive as $id) {
                        $own = array_keys(
                            array_filter(
                                $taxon->description->frequencies($id) ?? [],
                                static fn (float $share): bool => $share > 0.0,
                            ),
                        );
                        $against = array_filter(
                            $own,
                            static fn (string $state): bool => [] !==
                                $compiled->forbidding(
                                    $compiled->numbers[$lookAlike->taxon],
                                    $flora->character($id),
                                    new Reading([$state]),
                                ),
                        );
                        self::assertNotSame(
                            [],
                            $against,
                            $taxon->id.', '.$part->id.': '.$id.' against '.$lookAlike->taxon,
                        );
                        ++$checked;
                    }
                }
            }
        }
        self::assertGreaterThan(3, $checked);
    }

    /**
     * Figures a typing error would give away: a kind that bears before it stands, lives shorter than it bears, or
     * floats and sinks.
     */
    #[DataProvider('floras')]
    public function testFiguresGoTogether(string $letter): void
    {
        $within = [
            'bears-from' => [1, 100],
            'best-years' => [3, 260],
            'mast-interval' => [1, 10],
            'life-span' => [10, 2000],
            'year-growth' => [3, 300],
            'growth-factor' => [2, 8],
            'density' => [300, 1250],
            'decay-class' => [1, 5],
            'heat' => [1000, 2500],
            'hardiness' => [2, 11],
        ];
        $told = 0;
        foreach (self::kinds($letter) as $taxon) {
            foreach ($taxon->figures as $kind => $range) {
                self::assertGreaterThanOrEqual($within[$kind][0], $range->least, $taxon->id.' '.$kind);
                self::assertLessThanOrEqual($within[$kind][1], $range->most, $taxon->id.' '.$kind);
                ++$told;
            }
            $life = $taxon->figures['life-span'] ?? null;
            foreach (['bears-from', 'best-years'] as $kind) {
                if (null !== $life && isset($taxon->figures[$kind])) {
                    self::assertLessThanOrEqual($life->most, $taxon->figures[$kind]->most, $taxon->id.' '.$kind);
                }
            }
        }
        self::assertGreaterThan(100, $told);
    }

    #[DataProvider('floras')]
    public function testSomethingIsCommonInEachDescription(string $letter): void
    {
        $lines = [];
        foreach (
            array_filter(
                (array) glob(\dirname(__DIR__, 2).'/flora/'.Floras::NAMES[$letter].'/taxa/*.yaml'),
                is_string(...),
            ) as $file
        ) {
            preg_match_all(
                '/^  ([a-z.-]+): (\{[a-z-]+: (?:rarely|sometimes)(?:, [a-z-]+: (?:rarely|sometimes))*\})$/m',
                (string) file_get_contents($file),
                $found,
                \PREG_SET_ORDER,
            );
            array_push(
                $lines,
                ...array_map(static fn (array $line): string => basename($file).' '.$line[0], $found),
            );
        }
        self::assertSame([], $lines, 'many states and none of them common says nothing');
    }

    #[DataProvider('floras')]
    public function testNoNoteIsSharperThanItsRating(string $letter): void
    {
        foreach (self::kinds($letter) as $taxon) {
            foreach ($taxon->hazards as $hazard) {
                foreach (self::SHARP as $words => $least) {
                    if (1 === preg_match($words, $hazard->note)) {
                        self::assertGreaterThanOrEqual(
                            $least->rank(),
                            $hazard->severity->rank(),
                            $taxon->id.': '.$hazard->note,
                        );
                    }
                }
            }
            $people = array_filter(
                $taxon->hazards,
                static fn (Hazard $h): bool => 'people' === $h->who && $h->severity->isHazard(),
            );
            foreach ($taxon->parts as $part) {
                self::assertFalse(
                    '' !== $part->harmful && [] === $people,
                    $taxon->id.': a harmful part of a kind that harms nobody',
                );
            }
        }
    }

    /**
     * A part is taken in the season it moves with: dates of another height or another country do not fit the kind's own
     * year.
     */
    #[DataProvider('floras')]
    public function testAPartIsTakenInItsOwnYear(string $letter): void
    {
        $checked = 0;
        foreach (self::kinds($letter) as $taxon) {
            foreach ($taxon->parts as $part) {
                $follows = $part->timing?->follows;
                $phase = null === $follows ? null : $taxon->calendar->window($follows);
                if (
                    null === $part->timing
                    || null === $phase
                    || !\in_array($follows, [Phenophase::Flowering, Phenophase::Fruiting], true)
                ) {
                    continue;
                }
                ++$checked;
                self::assertTrue(
                    $phase->contains($part->timing->window->from) || $part->timing->window->contains($phase->from),
                    $taxon->id.
                        ' '.
                        $part->id.
                        ': '.
                        $part->timing->window->words().
                        ' against '.
                        $phase->words(),
                );
            }
        }
        self::assertGreaterThan(8, $checked);
    }

    #[DataProvider('floras')]
    public function testNoWorkIsCitedThatCannotHoldTheKind(string $letter): void
    {
        foreach (self::kinds($letter) as $taxon) {
            foreach ($taxon->sources as $source) {
                self::assertNotContains(
                    $taxon->id,
                    self::LACKS[$source->source] ?? [],
                    $source->source.' does not hold '.$taxon->id,
                );
            }
        }
    }

    /** No list parts a deadly kind by a lens alone. */
    #[DataProvider('floras')]
    public function testALensIsNotAllThatKeepsADeadlyKindOut(string $letter): void
    {
        $flora = Floras::get($letter);
        foreach (self::kinds($letter) as $taxon) {
            foreach ($taxon->parts as $part) {
                foreach ($flora->dangerous() as $danger) {
                    if ('' !== $part->harmful || Severity::Deadly !== $danger->severity() || $danger === $taxon) {
                        continue;
                    }
                    $out = (new RequiredList(Floras::compiled($letter), $part))->keepingOut($danger);
                    $lens = array_filter(
                        $out,
                        static fn (string $id): bool => Instrument::HandLens ===
                            $flora->character($id)->sight->instrument,
                        \ARRAY_FILTER_USE_KEY,
                    );
                    self::assertFalse(
                        [] !== $out && \count($lens) === \count($out),
                        $taxon->id.
                            ' '.
                            $part->id.
                            ' against '.
                            $danger->id.
                            ': '.
                            implode(', ', array_keys($out)),
                    );
                }
            }
        }
    }

    /** @return list<Taxon> */
    private static function kinds(string $letter): array
    {
        return array_values(array_filter(Floras::get($letter)->taxa, static fn (Taxon $t): bool => !$t->isHybrid()));
    }
}
