<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Reach;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** What can be looked at today: the day, the place's seasons, how far one reaches and what is in the bag. */
final readonly class Outlook
{
    /**
     * @param list<Reach>      $reach
     * @param list<Instrument> $kit
     */
    public function __construct(
        public DayOfYear $day,
        public Phenology $phenology,
        private array $reach,
        private array $kit,
    ) {
    }

    /** Everything in reach, every instrument at hand. */
    public static function unhindered(DayOfYear $day, Phenology $phenology): self
    {
        return new self($day, $phenology, Reach::cases(), Instrument::cases());
    }

    public function reaches(Character $character): bool
    {
        return \in_array($character->sight->reach, $this->reach, true)
            && (Instrument::None === $character->sight->instrument
                || \in_array($character->sight->instrument, $this->kit, true));
    }
}
