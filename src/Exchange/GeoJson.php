<?php

declare(strict_types=1);

namespace App\Exchange;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonPlaces;

/**
 * GeoJSON (RFC 7946), read and written. Of a file from elsewhere everything is checked that the standard says of the
 * geometries: a ring that does not close is no boundary.
 *
 * @phpstan-type Feature array{type: string, coordinates: list<mixed>, properties: array<string, mixed>, line: int}
 */
final readonly class GeoJson
{
    private const DEPTH = [
        'Point' => 0,
        'MultiPoint' => 1,
        'LineString' => 1,
        'MultiLineString' => 2,
        'Polygon' => 2,
        'MultiPolygon' => 3,
    ];
    private const MOST_FEATURES = 20_000;
    private const MOST_FAULTS = 100;

    /**
     * @return list<Feature>
     *
     * @throws UnusableFile naming line, column and reason of every fault
     */
    public function read(string $text): array
    {
        try {
            $places = JsonPlaces::of($text);
        } catch (DocumentError $error) {
            $where = 1 === preg_match('/^line (\d+), column (\d+)$/D', $error->path, $m) ? $m : [1 => '1', 2 => '1'];
            throw UnusableFile::at((int) $where[1], $where[2], 'That is no JSON: '.$error->reason);
        }
        $content = json_decode($text, true, 128);
        $faults = $features = [];
        $wrong = static function (string $path, string $reason) use (&$faults, $places): void {
            [$line, $column] = $places($path);
            if (\count($faults) < self::MOST_FAULTS) {
                $faults[] = new ImportFault($line, (string) $column, $reason);
            }
        };
        $type = \is_array($content) ? $content['type'] ?? null : null;
        if (!\is_array($content) || !\in_array($type, ['FeatureCollection', 'Feature'], true)) {
            $wrong('type', 'A GeoJSON file holds a Feature or a FeatureCollection.');
        } else {
            if (isset($content['crs'])) {
                $wrong('crs', 'Since RFC 7946 there is one reference system, WGS 84; another cannot be named.');
            }
            $listed = 'Feature' === $type ? [$content] : $content['features'] ?? null;
            if (!\is_array($listed) || !array_is_list($listed)) {
                $wrong('features', 'A FeatureCollection holds a list "features".');
                $listed = [];
            }
            if (\count($listed) > self::MOST_FEATURES) {
                $wrong('features', \sprintf('At most %d features can be brought in at once.', self::MOST_FEATURES));
                $listed = [];
            }
            foreach ($listed as $i => $feature) {
                $path = 'Feature' === $type ? '' : 'features['.$i.']';
                $read = $this->feature($feature, $path, $wrong);
                if (null !== $read) {
                    $features[] = ['line' => $places($path)[0]] + $read;
                }
            }
        }

        return [] === $faults ? $features : throw new UnusableFile($faults);
    }

    /**
     * @param \Closure(string, string): void $wrong
     *
     * @return array{type: string, coordinates: list<mixed>, properties: array<string, mixed>}|null
     */
    private function feature(mixed $feature, string $path, \Closure $wrong): ?array
    {
        $below = '' === $path ? '' : $path.'.';
        if (!\is_array($feature) || 'Feature' !== ($feature['type'] ?? null)) {
            $wrong($path, 'Every entry must be a Feature.');

            return null;
        }
        $geometry = $feature['geometry'] ?? null;
        $properties = $feature['properties'] ?? [];
        if (!\is_array($geometry)) {
            $wrong($below.'geometry', 'The feature has no geometry.');

            return null;
        }
        if (!\is_array($properties) || ([] !== $properties && array_is_list($properties))) {
            $wrong($below.'properties', '"properties" must be an object or null.');

            return null;
        }
        $type = $geometry['type'] ?? null;
        if (!\is_string($type) || !isset(self::DEPTH[$type])) {
            $wrong(
                $below.'geometry.type',
                'That kind of geometry cannot be taken: Point, LineString, Polygon and their Multi… forms can.',
            );

            return null;
        }
        $coordinates = $geometry['coordinates'] ?? null;
        if (
            !\is_array($coordinates)
            || !array_is_list($coordinates)
            || !$this->sound($coordinates, self::DEPTH[$type], $type, $below.'geometry.coordinates', $wrong)
        ) {
            if (!\is_array($coordinates)) {
                $wrong($below.'geometry', 'The geometry has no coordinates.');
            }

            return null;
        }
        $named = [];
        foreach ($properties as $key => $value) {
            $named[(string) $key] = $value;
        }

        return ['type' => $type, 'coordinates' => $coordinates, 'properties' => $named];
    }

    /**
     * @param array<mixed>                   $coordinates
     * @param \Closure(string, string): void $wrong
     */
    private function sound(array $coordinates, int $depth, string $type, string $path, \Closure $wrong): bool
    {
        if (0 === $depth) {
            return $this->isPosition($coordinates, $path, $wrong);
        }
        $least = match (true) {
            1 === $depth && \in_array($type, ['Polygon', 'MultiPolygon'], true) => 4,
            1 === $depth && \in_array($type, ['LineString', 'MultiLineString'], true) => 2,
            default => 1,
        };
        if (!array_is_list($coordinates) || \count($coordinates) < $least) {
            $wrong(
                $path,
                4 === $least ? 'A ring has at least four positions.' : \sprintf('At least %d must stand here.', $least),
            );

            return false;
        }
        foreach ($coordinates as $i => $part) {
            if (!\is_array($part)) {
                $wrong($path.'['.$i.']', 'Coordinates must be lists of numbers.');

                return false;
            }
            if (!$this->sound($part, $depth - 1, $type, $path.'['.$i.']', $wrong)) {
                return false;
            }
        }
        if (4 === $least && $coordinates[0] !== $coordinates[\count($coordinates) - 1]) {
            $wrong($path, 'The ring does not close: its first and last positions must be the same.');

            return false;
        }

        return true;
    }

    /**
     * @param array<mixed>                   $position
     * @param \Closure(string, string): void $wrong
     */
    private function isPosition(array $position, string $path, \Closure $wrong): bool
    {
        $numbers = array_filter($position, static fn (mixed $n): bool => \is_int($n) || \is_float($n));
        if (!array_is_list($position) || \count($numbers) !== \count($position) || \count($position) < 2) {
            $wrong($path, 'A position is a list of numbers: longitude, latitude, and the altitude if it is known.');

            return false;
        }
        if (abs((float) $numbers[0]) > 180 || abs((float) $numbers[1]) > 90) {
            $wrong(
                $path,
                \sprintf('%s, %s is no place on the Earth; the longitude comes first.', $numbers[0], $numbers[1]),
            );

            return false;
        }

        return true;
    }

    /** @param list<array<string, mixed>> $features */
    public static function write(array $features): string
    {
        return json_encode(
            ['type' => 'FeatureCollection', 'features' => $features],
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRETTY_PRINT,
        )."\n";
    }
}
