<?php

declare(strict_types=1);

namespace App\Examine\View;

/** A scored character in a line. */
final readonly class ScoreLineView
{
    /**
     * @param string $label name of the character
     * @param string $seen  what was seen, in words
     * @param string $by    whose look it was: empty for the examiner's own, else who
     */
    public function __construct(public string $label, public string $seen, public string $by)
    {
    }
}
