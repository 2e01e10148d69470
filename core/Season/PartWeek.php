<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/** A week of a part's year. */
final readonly class PartWeek
{
    /**
     * @param float $open  how likely the window is open in the middle of it, 0 to 1
     * @param bool  $there all required features can be seen on the tree then
     * @param bool  $fresh an examination made while all of them could be seen still holds then
     */
    public function __construct(public float $open, public bool $there, public bool $fresh)
    {
    }
}
