<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Volume;

/** A log: what is in it, and what a mill makes of it. Diameters are inside the bark. */
final readonly class SawLog
{
    /**
     * @throws \InvalidArgumentException unless it has a length of 0.3 to 30 m, and tapers from at most 3 m upward
     */
    public function __construct(private Length $butt, private Length $top, private Length $length)
    {
        if (
            $length->metres() < 0.3
            || $length->metres() > 30.0
            || $butt->metres() > 3.0
            || $top->metres() <= 0.0
            || $top->metres() > $butt->metres()
        ) {
            throw new \InvalidArgumentException(
                'A log is 0.3 to 30 m long, at most 3 m thick, and no thicker at the top than at the butt.',
            );
        }
    }

    /**
     * Both ends’ areas, meaned, times the length. Smalian; Avery & Burkhart (memory). Too much where the butt flares.
     */
    public function smalian(): Volume
    {
        return Volume::ofCubicMetres(
            ((self::area($this->butt) + self::area($this->top)) / 2) * $this->length->metres(),
        );
    }

    /** The area half way, times the length. Huber; Avery & Burkhart (memory). */
    public static function huber(Length $middle, Length $length): Volume
    {
        return Volume::ofCubicMetres(self::area($middle) * $length->metres());
    }

    /**
     * Board feet by Doyle’s rule, ((D − 4)/4)² L with the top diameter in inches and the length in feet: too little for
     * thin logs (Avery & Burkhart; memory).
     */
    public function doyle(): float
    {
        $inches = self::inches($this->top);

        return $inches > 4.0 ? (($inches - 4) / 4) ** 2 * self::feet($this->length) : 0.0;
    }

    /**
     * Board feet by the international rule for a kerf of a quarter inch: 0.905 (0.22 D² − 0.71 D) for each four feet,
     * the log half an inch thicker with each of them (Avery & Burkhart; memory). What is left over counts by its share.
     */
    public function international(): float
    {
        $feet = self::feet($this->length);
        $inches = self::inches($this->top);
        $sum = 0.0;
        for ($at = 0.0; $at < $feet; $at += 4.0) {
            $section = 0.905 * (0.22 * $inches ** 2 - 0.71 * $inches);
            $sum += max(0.0, $section) * min(1.0, ($feet - $at) / 4);
            $inches += 0.5;
        }

        return $sum;
    }

    /** Posts of a length it gives: pieces end to end, each split into as many as its top allows. */
    public function posts(Length $post, Length $face): int
    {
        $pieces = (int) floor($this->length->metres() / max(0.1, $post->metres()) + 1e-9);
        $posts = 0;
        for ($i = 1; $i <= $pieces; ++$i) {
            $share = ($i * $post->metres()) / $this->length->metres();
            $top = $this->butt->metres() + ($this->top->metres() - $this->butt->metres()) * $share;
            // halves, quarters and eighths, as long as each is still a face wide across
            $posts += match (true) {
                $top >= 3.0 * $face->metres() => 8,
                $top >= 2.0 * $face->metres() => 4,
                $top >= 1.6 * $face->metres() => 2,
                $top >= $face->metres() => 1,
                default => 0,
            };
        }

        return $posts;
    }

    private static function area(Length $across): float
    {
        return (\M_PI / 4) * $across->metres() ** 2;
    }

    private static function inches(Length $length): float
    {
        return $length->metres() / 0.0254;
    }

    private static function feet(Length $length): float
    {
        return $length->metres() / 0.3048;
    }
}
