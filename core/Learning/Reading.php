<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Examination\Certainty;
use Hylognosis\Flora\Character;

/** What somebody read of something whose truth is known. */
final readonly class Reading
{
    /** A size read within so much of the truth is right. */
    private const NEAR = 0.2;

    /**
     * @param list<string|float> $true all that is right
     * @param list<string|float> $read what was read
     */
    public function __construct(
        public string $character,
        public array $true,
        public array $read,
        public Certainty $certainty,
        public \DateTimeImmutable $at,
    ) {
    }

    /** Right if all that was read is there; a size may be off by a fifth, a count by nothing. */
    public function isRight(Character $character): bool
    {
        if ([] === $this->read || [] === $this->true) {
            return false;
        }
        if (!$character->isNumeric()) {
            return [] === array_diff(array_map(strval(...), $this->read), array_map(strval(...), $this->true));
        }
        $numbers = array_map(floatval(...), $this->true);
        $near = 'count' === $character->kind->value ? 0.0 : self::NEAR;
        foreach ($this->read as $value) {
            $number = (float) $value;
            if ($number < min($numbers) * (1 - $near) - 1e-9 || $number > max($numbers) * (1 + $near) + 1e-9) {
                return false;
            }
        }

        return true;
    }
}
