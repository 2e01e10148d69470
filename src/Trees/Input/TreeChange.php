<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Trees\Gone;
use App\Trees\PositionFrom;
use App\Trees\Sex;
use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Hylognosis\Flora\LifeStage;
use Symfony\Component\Validator\Constraints as Assert;

/** What is known of a tree beside what is scored. */
final readonly class TreeChange
{
    /**
     * @param string         $whereabouts how to find it again
     * @param float|null     $latitude    degrees, north above 0; null: nobody has taken it
     * @param float|null     $longitude   degrees, east above 0
     * @param float|null     $uncertainty metres within which it stands
     * @param LifeStage|null $stage       null: nobody has said
     * @param string         $health      how it stands, what has happened to it
     * @param string|null    $goneOn      day it went, YYYY-MM-DD; wanted where it has gone
     */
    public function __construct(
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $whereabouts = '',
        #[Assert\Range(min: -90, max: 90)]
        public ?float $latitude = null,
        #[Assert\Range(min: -180, max: 180)]
        public ?float $longitude = null,
        #[Assert\Range(min: 0, max: 10000)]
        public ?float $uncertainty = null,
        public PositionFrom $positionFrom = PositionFrom::Unknown,
        public ?LifeStage $stage = null,
        public Sex $sex = Sex::Unknown,
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $health = '',
        public Gone $gone = Gone::Not,
        #[Day]
        public ?string $goneOn = null,
    ) {
    }
}
