<?php

declare(strict_types=1);

namespace App\Map;

use Hylognosis\Route\Contours;

/** The contours of the ground that is drawn, for the heights between them. */
final readonly class Heights
{
    /** Every so many points of a line are enough. */
    private const STEP = 2;

    public function __construct(private BaseMaps $maps)
    {
    }

    public function contours(): Contours
    {
        $map = json_decode($this->maps->text(), true);
        $lines = [];
        foreach (\is_array($map) && \is_array($map['features'] ?? null) ? $map['features'] : [] as $feature) {
            $properties =
                \is_array($feature) && \is_array($feature['properties'] ?? null) ? $feature['properties'] : [];
            $height = $properties['height_m'] ?? null;
            $geometry = \is_array($feature) && \is_array($feature['geometry'] ?? null) ? $feature['geometry'] : [];
            if (!is_numeric($height) || !\is_array($geometry['coordinates'] ?? null)) {
                continue;
            }
            foreach (self::points($geometry['coordinates']) as $i => $point) {
                if (0 === $i % self::STEP) {
                    $lines[(string) $height.' '][] = $point;
                }
            }
        }

        return new Contours($lines);
    }

    /**
     * @param array<mixed> $coordinates
     *
     * @return iterable<int, array{float, float}>
     */
    private static function points(array $coordinates): iterable
    {
        $found = [];
        array_walk($coordinates, static function (mixed $at) use (&$found): void {
            if (!\is_array($at)) {
                return;
            }
            $at = array_values($at);
            if (is_numeric($at[0] ?? null) && is_numeric($at[1] ?? null)) {
                $found[] = [(float) $at[0], (float) $at[1]];

                return;
            }
            array_push($found, ...self::points($at));
        });

        return $found;
    }
}
