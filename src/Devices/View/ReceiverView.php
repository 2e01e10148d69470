<?php

declare(strict_types=1);

namespace App\Devices\View;

/** What a position receiver says. */
final readonly class ReceiverView
{
    /**
     * @param list<string> $sentences   as they came
     * @param int          $damaged     how many came over damaged
     * @param string       $because     why there is no place: silent, damaged, no-signal; empty where there is one
     * @param float|null   $latitude    degrees, north above 0
     * @param float|null   $longitude   degrees, east above 0
     * @param float|null   $altitude    metres above the sea
     * @param float|null   $uncertainty metres within which it is, two times in three
     * @param int|null     $satellites  in use
     * @param bool         $standIn     it is none, but plays one
     */
    public function __construct(
        public array $sentences,
        public int $damaged,
        public string $because,
        public ?float $latitude,
        public ?float $longitude,
        public ?float $altitude,
        public ?float $uncertainty,
        public ?int $satellites,
        public bool $standIn,
    ) {
    }
}
