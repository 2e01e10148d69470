<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\Character;
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

    /** All conditions of the part answered as they should be: the rehearsal is about the tree, not about the ripeness. */
    public static function of(Claim $claim, DayOfYear $day): self
    {
        $confirmed = [];
        foreach ($claim->part->conditions as $condition) {
            $confirmed[$condition->id] = $condition->wanted;
        }

        return new self(new Claim($claim->taxon, $claim->part, $confirmed), $day);
    }

    /**
     * Whether a reading would bring the gate nearer to opening: an accepted value where the feature is required, and
     * otherwise one that the wanted taxon shows.
     *
     * @param non-empty-list<string|float> $values
     */
    public function welcomes(CompiledFlora $compiled, Character $character, array $values): bool
    {
        $feature = $this->required[$character->id] ?? null;
        if (null !== $feature) {
            return $feature->isMetBy($values);
        }
        $own = $compiled->numbers[$this->claim->taxon->id];
        foreach ($values as $value) {
            if ($compiled->characters[$character->id]->rulesOut($own, $value)) {
                return false;
            }
        }

        return true;
    }
}
