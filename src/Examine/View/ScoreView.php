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
     * @param string       $id        its id
     * @param string       $character id of the character
     * @param list<string> $states    ids of states
     * @param list<float>  $numbers   in the unit of the character
     * @param int          $samples   on how many twigs, leaves, fruits it was seen, 1 to 200
     * @param bool         $takenBack it stays on record and counts for nothing
     * @param bool         $either    one of the states was seen, and which cannot be told
     * @param bool         $further   a look taken again, knowing what was scored before
     */
    public function __construct(
        public string $id,
        public string $character,
        public array $states,
        public array $numbers,
        public Certainty $certainty,
        public int $samples,
        public Whereabouts $where,
        public ScoreAnswer $answer,
        public bool $takenBack,
        public ?Position $position,
        public bool $either,
        public bool $further,
    ) {
    }

    /** The same, taken back or counting again. */
    public function marked(bool $takenBack): self
    {
        return new self(
            $this->id,
            $this->character,
            $this->states,
            $this->numbers,
            $this->certainty,
            $this->samples,
            $this->where,
            $this->answer,
            $takenBack,
            $this->position,
            $this->either,
            $this->further,
        );
    }

    public static function of(ScoreRecord $score): self
    {
        return new self(
            $score->id,
            $score->character,
            $score->states,
            $score->numbers,
            $score->certainty,
            $score->samples,
            $score->where,
            $score->answer,
            null !== $score->takenBackAt,
            $score->position,
            $score->either,
            $score->further,
        );
    }
}
