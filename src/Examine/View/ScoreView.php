<?php

declare(strict_types=1);

namespace App\Examine\View;

use App\Examine\ScoreRecord;

/** One scored character. */
final readonly class ScoreView
{
    /**
     * @param list<string> $states
     * @param list<float>  $numbers
     */
    public function __construct(
        public string $id, public string $character, public array $states, public array $numbers, public string $certainty, public int $samples,
        public string $where, public string $answer, public bool $takenBack, public ?string $position, public bool $either, public bool $further,
    ) {
    }

    public static function of(ScoreRecord $score): self
    {
        return new self(
            $score->id, $score->character, $score->states, $score->numbers, $score->certainty->value, $score->samples,
            $score->where->value, $score->answer->value, null !== $score->takenBackAt, $score->position?->value, $score->either, $score->further,
        );
    }
}
