<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

use Hylognosis\Measure\Mass;

/**
 * With how much, eaten at once or within a day, animals fell ill or died where somebody wrote it down: a range of harm
 * seen, per cent of the body mass. It says nothing of less: nobody fed it to find out what does no harm.
 */
final readonly class HarmSeen
{
    /**
     * @param string     $part   what was eaten, in words
     * @param float      $least  per cent of the body mass, more than 0
     * @param float      $most   per cent, no less
     * @param string     $signs  what was seen, described for the vet
     * @param string     $sure   `sure`, `fairly` or `unsure`
     * @param string     $source where it can be looked up, and that it is from memory where it is
     *
     * @throws \InvalidArgumentException unless the range is one, above 0 and at most 10 per cent
     */
    public function __construct(
        public string $taxon,
        public Animal $animal,
        public string $part,
        public PlantState $state,
        public float $least,
        public float $most,
        public string $signs,
        public string $sure,
        public string $source,
    ) {
        if (!($least > 0.0) || $least > $most || $most > 10.0) {
            throw new \InvalidArgumentException(
                \sprintf('Harm is seen from above 0 to at most 10 per cent of a body, not %s to %s.', $least, $most),
            );
        }
    }

    /** Whether leaf that comes down is what harms; bark, nuts and roots are not reckoned from the tree. */
    public function isOfLeaves(): bool
    {
        return str_starts_with($this->part, 'leaves') || str_starts_with($this->part, 'needles');
    }

    /**
     * What harmed one animal of that mass.
     *
     * @return array{Mass, Mass} from, to
     */
    public function of(Mass $body): array
    {
        return [$body->times($this->least / 100), $body->times($this->most / 100)];
    }
}
