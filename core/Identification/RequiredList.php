<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;

/** The required features of a part, as a fence: which of them a dangerous taxon can pass only by being misread. */
final readonly class RequiredList
{
    public function __construct(private CompiledFlora $compiled, private Part $part)
    {
    }

    /**
     * @return array<string, list<StatedNever>> required characters of which the taxon states that it never shows any
     *     accepted value, with the lines
     */
    public function keepingOut(Taxon $taxon): array
    {
        $out = [];
        foreach ($this->part->required as $feature) {
            $lines = $this->lines($feature, $this->compiled->numbers[$taxon->id]);
            if ([] !== $lines) {
                $out[$feature->character] = $lines;
            }
        }

        return $out;
    }

    /** @return list<StatedNever> none unless every accepted value is stated never */
    private function lines(RequiredFeature $feature, int $taxon): array
    {
        $character = $this->compiled->flora->character($feature->character);
        $accepted = $feature->states;
        if (null !== $feature->range) {
            // Only a count can be stated never; and a range is kept out where both its ends and all between are.
            $accepted = $this->compiled->characters[$character->id]->isCount()
                ? array_map(floatval(...), range((int) $feature->range->least, (int) $feature->range->most))
                : [$feature->range->low];
        }
        $lines = [];
        foreach ($accepted as $value) {
            $against = $this->compiled->forbidding($taxon, $character, new Reading([$value]));
            if ([] === $against) {
                return [];
            }
            foreach ($against as $line) {
                $lines[$line->id] = $line;
            }
        }

        return array_values($lines);
    }
}
