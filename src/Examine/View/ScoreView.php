<?php

declare(strict_types=1);

namespace App\Examine\View;

use App\Examine\ScoreRecord;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Position;

/** One scored character. */
final readonly class ScoreView
{
    /**
     * @param list<string> $states
     * @param list<float>  $numbers
     */
    public function __construct(
        public string $id, public string $character, public array $states, public array $numbers, public Certainty $certainty, public int $samples,
        public Whereabouts $where, public ScoreAnswer $answer, public bool $takenBack, public ?Position $position, public bool $either, public bool $further,
    ) {
    }

    public static function of(ScoreRecord $score): self
    {
        return new self(
            $score->id, $score->character, $score->states, $score->numbers, $score->certainty, $score->samples,
            $score->where, $score->answer, null !== $score->takenBackAt, $score->position, $score->either, $score->further,
        );
    }
}
