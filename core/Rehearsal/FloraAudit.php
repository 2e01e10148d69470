<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Source;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledCharacter;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Contrast;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\RequiredList;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/**
 * Reads a flora the way a careful editor would: can the required lists keep the dangerous taxa out, can they be worked
 * through when the part is in season, is anything left undescribed that somebody's safety hangs on.
 */
final readonly class FloraAudit
{
    /** A description that says less than this share of what could be said has holes. */
    private const FULL = 0.6;
    private const USUAL_LIST = [4, 9];
    private const MOSTLY = 0.5;
    /** A list that more than one in ten of the taxon's own trees cannot meet is worth a look. */
    private const CEILING = 0.9;

    private CompiledFlora $compiled;
    /** @var list<array{CompiledFlora, float}> by life stage, with the share of trees met */
    private array $stages;
    private Phenology $phenology;

    public function __construct(private Flora $flora)
    {
        $this->compiled = CompiledFlora::of($flora, LifeStage::Mature);
        $stages = [];
        foreach (Rehearsal::STAGES as [$stage, $share]) {
            $stages[] = [
                LifeStage::Mature->value === $stage
                    ? $this->compiled
                    : CompiledFlora::of($flora, LifeStage::from($stage)),
                $share,
            ];
        }
        $this->stages = $stages;
        $this->phenology = Phenology::at($flora, $flora->reference);
    }

    /** @return list<Remark> faults first */
    public function remarks(): array
    {
        $remarks = [...$this->lists(), ...$this->blocked(), ...$this->holes(), ...$this->unused()];
        usort($remarks, static fn (Remark $a, Remark $b): int => $b->fault <=> $a->fault);

        return $remarks;
    }

    /** @return list<PairAudit> every wanted part against every dangerous taxon, weakest first */
    public function pairs(): array
    {
        $pairs = [];
        foreach ($this->flora->taxa as $taxon) {
            $contrast = Contrast::of($this->compiled, $taxon->id);
            foreach ($taxon->parts as $part) {
                foreach ('' === $part->harmful ? $this->flora->dangerous() : [] as $danger) {
                    if (!(new Claim($taxon, $part, []))->allows($this->flora, $danger)) {
                        $pairs[] = $this->pair($taxon, $part, $danger, $contrast);
                    }
                }
            }
        }
        usort(
            $pairs,
            static fn (PairAudit $a, PairAudit $b): int => [
                $a->excludes,
                \count($a->organs),
                \count($a->characters),
                -$a->severity->rank(),
                $a->taxon,
                $a->danger,
            ] <=> [
                $b->excludes,
                \count($b->organs),
                \count($b->characters),
                -$b->severity->rank(),
                $b->taxon,
                $b->danger,
            ],
        );

        return $pairs;
    }

    /**
     * @return list<int> months, 1 to 12, in which its tree is examined for the part and all its required features can
     *     be seen on some day
     */
    public function months(Taxon $taxon, Part $part): array
    {
        return array_keys(
            array_filter($part->daysByMonth(), function (array $days) use ($taxon, $part): bool {
                foreach ($days as $day) {
                    if ($this->allShow($taxon, $part, $day)) {
                        return true;
                    }
                }

                return false;
            }),
        );
    }

    private function allShow(Taxon $taxon, Part $part, DayOfYear $day): bool
    {
        foreach ($part->required as $feature) {
            if (!$this->phenology->shows($taxon, $this->flora->character($feature->character), $day)) {
                return false;
            }
        }

        return true;
    }

    private function pair(Taxon $taxon, Part $part, Taxon $danger, Contrast $contrast): PairAudit
    {
        $other = $this->compiled->numbers[$danger->id];
        $lookAlike = $part->lookAlike($danger->id);
        $keepingOut = (new RequiredList($this->compiled, $part))->keepingOut($danger);
        $decisive = $lookAlike->decisive ?? [];
        $organs = $further = [];
        $unread = 0;
        $decided = false;
        foreach ($keepingOut as $id => $lines) {
            $organs[$this->flora->character($id)->organ->value] = $this->flora->character($id)->organ;
            $unread += \count(array_filter($lines, static fn (StatedNever $line): bool => 0 === $line->agreements()));
            $decided =
                $decided
                || [] !==
                    array_filter($lines, static fn (StatedNever $line): bool => Danger::decides($id, $line, $decisive));
        }
        $reachable = $organs;
        foreach ($this->compiled->nevers[$other] as $id => $_) {
            if (!isset($keepingOut[$id]) && $contrast->against($id, $other) > self::MOSTLY) {
                $further[] = $id;
                $reachable[$this->flora->character($id)->organ->value] = $this->flora->character($id)->organ;
            }
        }
        $characters = array_keys($keepingOut);

        return new PairAudit(
            $taxon->id,
            $part->id,
            $danger->id,
            Severity::worse($danger->severity(), $lookAlike->severity ?? Severity::Harmless),
            $characters,
            array_values($organs),
            $further,
            Danger::suffice($organs) || $decided,
            Danger::suffice($reachable) || $decided || [] !== array_intersect($further, $decisive),
            $unread,
        );
    }

    /** @return list<Remark> required lists that cannot be met, or hardly */
    private function lists(): array
    {
        $remarks = [];
        foreach ($this->flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                if ('' !== $part->harmful) {
                    continue;
                }
                $where = $taxon->id.', '.$part->label;
                foreach ($part->required as $feature) {
                    array_push($remarks, ...$this->feature($taxon, $part, $feature, $where));
                }
                if ([] === $this->months($taxon, $part)) {
                    $remarks[] = new Remark(true, $where, 'on no day of its window can all required features be seen.');
                }
                $timing = $part->timing;
                $wait = null === $timing?->identified ? 0 : $timing->identified->to->until($timing->window->from);
                if (
                    null !== $timing
                    && !$timing->window->contains($timing->identified->to ?? $timing->window->from)
                    && $wait > $timing->freshnessDays
                ) {
                    $remarks[] = new Remark(
                        true,
                        $where,
                        \sprintf(
                            'no examination holds until it may be taken: %d days, and one holds %d.',
                            $wait,
                            $timing->freshnessDays,
                        ),
                    );
                }
                [$ceiling, $refused] = $this->ceiling($taxon, $part);
                if ($ceiling < self::CEILING) {
                    $remarks[] = new Remark(
                        false,
                        $where,
                        \sprintf(
                            'at most %d %% of its own trees can meet the list; most are refused by %s.',
                            floor(100 * $ceiling + 1e-9),
                            implode(', ', \array_slice($refused, 0, 3)),
                        ),
                    );
                }
                $count = \count($part->required);
                if ($count < self::USUAL_LIST[0] || $count > self::USUAL_LIST[1]) {
                    $remarks[] = new Remark(
                        false,
                        $where,
                        \sprintf(
                            'requires %d features; a list people can work through has %d to %d.',
                            $count,
                            ...self::USUAL_LIST,
                        ),
                    );
                }
                $organs = array_unique(
                    array_map(
                        fn (RequiredFeature $f): string => $this->flora->character($f->character)->organ->value,
                        $part->required,
                    ),
                );
                if (\count($organs) < 3) {
                    $remarks[] = new Remark(
                        false,
                        $where,
                        \sprintf('the required features lie in %d organs; three have to be scored.', \count($organs)),
                    );
                }
            }
        }

        return $remarks;
    }

    /**
     * The share of the taxon's own trees, of all ages, that show an accepted value of every required feature.
     *
     * @return array{float, list<string>} 0 to 1; the features that refuse most, worst first
     */
    public function ceiling(Taxon $taxon, Part $part): array
    {
        $ceiling = 0.0;
        $refused = [];
        foreach ($this->stages as [$stage, $weight]) {
            $product = 1.0;
            foreach ($part->required as $feature) {
                $compiled = $stage->characters[$feature->character];
                $showing = $compiled->character->variation->ripens
                    ? null
                    : Showing::of($compiled, $this->compiled->numbers[$taxon->id], null, 0.0);
                $share = null === $showing ? 1.0 : 0.0;
                foreach ($showing->values ?? [] as $i => $value) {
                    $share += $feature->accepts($value) ? $showing->shares[$i] ?? 0.0 : 0.0;
                }
                $product *= $share;
                $refused[$feature->character] = ($refused[$feature->character] ?? 0.0) + $weight * (1.0 - $share);
            }
            $ceiling += $weight * $product;
        }
        arsort($refused);

        return [
            $ceiling,
            array_map(
                static fn (string $id, float $share): string => \sprintf('%s (%d %%)', $id, round(100 * $share)),
                array_keys($refused),
                $refused,
            ),
        ];
    }

    /** @return list<Remark> */
    private function feature(Taxon $taxon, Part $part, RequiredFeature $feature, string $where): array
    {
        $character = $this->flora->character($feature->character);
        $remarks = [];
        if (null === $this->phenology->nextShowing($taxon, $character, DayOfYear::of(1))) {
            $remarks[] = new Remark(true, $where, $character->id.' is required and can never be seen on it.');
        }
        if (!$taxon->description->describes($character->id)) {
            return [...$remarks, new Remark(true, $where, $character->id.' is required and not described.')];
        }
        if (null === $feature->range) {
            $share = array_sum(
                array_intersect_key(
                    $taxon->description->frequencies($character->id) ?? [],
                    array_flip($feature->states),
                ),
            );
        } else {
            $range = $taxon->description->range($character->id);
            $share =
                null === $range
                    ? 0.0
                    : $range->share(
                        $feature->range->least,
                        $feature->range->most + ($this->compiled->characters[$character->id]->isCount() ? 1.0 : 0.0),
                        $this->compiled->characters[$character->id]->isCount(),
                    );
        }
        if ($share < self::MOSTLY) {
            $remarks[] = new Remark(
                $share < 0.05,
                $where,
                \sprintf(
                    'only %d %% of its own trees show an accepted value of %s.',
                    round($share * 100),
                    $character->id,
                ),
            );
        }

        return $remarks;
    }

    /**
     * Parts whose gate cannot open as long as some dangerous kinds do not state enough of what they never show. That is
     * shut, and safe; it is no fault, and it says what is to be written next.
     *
     * @return list<Remark>
     */
    private function blocked(): array
    {
        $remarks = $byPart = [];
        foreach ($this->pairs() as $pair) {
            $where = $pair->taxon.', '.$pair->part;
            if (!$pair->canExclude) {
                $byPart[$where][] = $pair->danger;
            } elseif (!$pair->excludes) {
                $remarks[] = new Remark(
                    false,
                    $where,
                    \sprintf(
                        'the required list alone does not exclude %s (%s); it takes one of: %s.',
                        $pair->danger,
                        $pair->severity->value,
                        implode(', ', \array_slice($pair->further, 0, 4)),
                    ),
                );
            }
        }
        foreach ($byPart as $where => $dangers) {
            $remarks[] = new Remark(
                false,
                $where,
                \sprintf(
                    'stays shut: %d dangerous kinds do not yet state in two organs what they never show and this '.
                        'shows (%s).',
                    \count($dangers),
                    implode(', ', \array_slice($dangers, 0, 3)).(\count($dangers) > 3 ? ' …' : ''),
                ),
            );
        }

        return $remarks;
    }

    /** @return list<Remark> descriptions with holes */
    private function holes(): array
    {
        $required = [];
        foreach ($this->flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                foreach ($part->required as $feature) {
                    $required[$feature->character] = true;
                }
            }
        }
        $remarks = [];
        foreach ($this->flora->taxa as $taxon) {
            if ($taxon->isHybrid()) {
                continue;
            }
            $number = $this->compiled->numbers[$taxon->id];
            $silent = array_keys(
                array_filter(
                    $this->compiled->characters,
                    static fn (CompiledCharacter $c): bool => isset($c->silent[$number]),
                ),
            );
            $sayable = \count(
                array_filter(
                    $this->compiled->characters,
                    static fn (CompiledCharacter $c): bool => !isset($c->inapplicable[$number]),
                ),
            );
            if (\count($silent) > (1 - self::FULL) * $sayable) {
                $remarks[] = new Remark(
                    false,
                    $taxon->id,
                    \sprintf(
                        'describes %d of the %d characters that could be scored on it.',
                        $sayable - \count($silent),
                        $sayable,
                    ),
                );
            }
            $missed = array_intersect($silent, array_keys($required));
            if ($taxon->severity()->isHazard() && [] !== $missed) {
                $remarks[] = new Remark(
                    false,
                    $taxon->id,
                    'is dangerous, and silent on what others require: '.implode(', ', $missed).'.',
                );
            }
        }

        return $remarks;
    }

    /** @return list<Remark> states and sources nobody uses */
    private function unused(): array
    {
        $remarks = [];
        foreach ($this->compiled->characters as $id => $character) {
            foreach ($character->outcomes as $state => $o) {
                $used = array_filter(
                    $character->shown[$o],
                    static fn (float $share, int $t): bool => $share > 0.0 && !isset($character->silent[$t]),
                    \ARRAY_FILTER_USE_BOTH,
                );
                if ([] === $used) {
                    $remarks[] = new Remark(false, $id, \sprintf('no taxon shows the state "%s".', $state));
                }
            }
        }
        $cited = [];
        foreach ($this->flora->taxa as $taxon) {
            foreach (
                [
                    $taxon->sources,
                    ...array_map(static fn ($hazard): array => $hazard->sources, $taxon->hazards),
                    ...array_map(static fn (Part $part): array => $part->sources, array_values($taxon->parts)),
                ] as $references
            ) {
                foreach ($references as $reference) {
                    $cited[$reference->source] = true;
                }
            }
        }
        foreach (array_diff_key($this->flora->sources, $cited) as $source) {
            \assert($source instanceof Source);
            $remarks[] = new Remark(false, 'sources, '.$source->id, 'nothing refers to it.');
        }

        return $remarks;
    }
}
