<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\ConditionAnswer;
use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Measure\DayOfYear;

/** What a simulated examiner hopes to be cleared: a part of a taxon, on a day. */
final readonly class Goal
{
    /** @var array<string, RequiredFeature> */
    public array $required;

    public function __construct(public Claim $claim, public DayOfYear $day)
    {
        $required = [];
        foreach ($claim->part->required as $feature) {
            $required[$feature->character] = $feature;
        }
        $this->required = $required;
    }

    /**
     * All conditions of the part answered on that day as they should be: the rehearsal is about the tree, not about the
     * ripeness.
     */
    public function confirmedOn(\DateTimeImmutable $date): Claim
    {
        $confirmed = [];
        foreach ($this->claim->part->conditions as $condition) {
            $confirmed[$condition->id] = new ConditionAnswer($condition->wanted, $date);
        }

        return new Claim($this->claim->taxon, $this->claim->part, $confirmed);
    }

    /**
     * What the examiner would like to read: the accepted values where the feature is required, and otherwise what the
     * wanted taxon mostly shows.
     *
     * @return list<string|float>
     */
    public function hopes(CompiledFlora $compiled, Character $character): array
    {
        $feature = $this->required[$character->id] ?? null;
        $own = $compiled->numbers[$this->claim->taxon->id] ?? null;
        if (null !== $feature) {
            return null === $feature->range
                ? $feature->states
                : [
                    round(
                        ($feature->range->low + $feature->range->high) / 2,
                        CharacterKind::Count === $character->kind ? 0 : 1,
                    ),
                ];
        }
        if (null === $own || $character->isNumeric()) {
            return [];
        }
        $shares = $compiled->descriptions[$own]->frequencies($character->id) ?? [];
        arsort($shares);

        return \array_slice(array_keys($shares), 0, 1);
    }

    /**
     * Whether a reading would bring the gate nearer to opening: an accepted value where the feature is required, and
     * otherwise one that does not speak against the wanted taxon.
     *
     * @param non-empty-list<string|float> $values
     */
    public function welcomes(CompiledFlora $compiled, Character $character, array $values): bool
    {
        $feature = $this->required[$character->id] ?? null;
        if (null !== $feature) {
            return $feature->isMetBy(array_map(static fn (string|float $value): array => [$value], $values));
        }
        $own = $compiled->numbers[$this->claim->taxon->id];
        foreach ($values as $value) {
            $reading = new Reading([$value]);
            if (
                $compiled->isUnusual($own, $character, $reading)
                || [] !== $compiled->forbidding($own, $character, $reading)
            ) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether a reading of a required feature holds nothing but what may stand beside an accepted value: it neither
     * meets the feature nor speaks against it.
     *
     * @param non-empty-list<string|float> $values
     */
    public function bears(Character $character, array $values): bool
    {
        $feature = $this->required[$character->id] ?? null;

        return null !== $feature
            && [] ===
                array_filter(
                    $values,
                    static fn (string|float $value): bool => !\in_array($value, $feature->beside, true),
                );
    }
}
