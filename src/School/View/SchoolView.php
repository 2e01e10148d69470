<?php

declare(strict_types=1);

namespace App\School\View;

use App\School\Dates;
use App\School\School;

/** The school as everybody in it knows it. */
final readonly class SchoolView
{
    /**
     * @param string $name  empty where somebody forages alone
     * @param string $place name of the place the seasons are told for
     * @param bool   $ofOne somebody who forages alone: nothing asks for what only groups need
     * @param string $poisonCentre its number; empty where nobody has entered it
     */
    public function __construct(
        public string $name,
        public string $place,
        public Dates $dates,
        public bool $ofOne,
        public string $poisonCentre,
    ) {
    }

    public static function of(School $school): self
    {
        return new self($school->name, $school->place, $school->dates, $school->ofOne, $school->poisonCentre);
    }
}
