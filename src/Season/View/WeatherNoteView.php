<?php

declare(strict_types=1);

namespace App\Season\View;

/** Weather of the last days that matters. */
final readonly class WeatherNoteView
{
    /**
     * @param string        $site    name of the place
     * @param string        $day     YYYY-MM-DD
     * @param WeatherMatter $matter  what
     * @param float         $figure  gust in metres per second, or degrees Celsius
     * @param bool          $standIn a stand-in says so, which plays a station
     */
    public function __construct(
        public string $site,
        public string $day,
        public WeatherMatter $matter,
        public float $figure,
        public bool $standIn,
    ) {
    }
}
