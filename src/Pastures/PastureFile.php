<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Exchange\GeoJson;
use App\Exchange\ImportFault;
use App\Exchange\UnusableFile;
use App\Pastures\Input\PastureInput;
use App\Trees\Site;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Position\Area;
use Hylognosis\Position\UnusableArea;
use Hylognosis\Stock\Animal;

/** Pastures as GeoJSON: a Polygon each, with what grazes there in its properties. */
final readonly class PastureFile
{
    public function __construct(private GeoJson $geoJson)
    {
    }

    /**
     * @return list<PastureInput> the polygons of the file; whatever else it holds is left aside
     *
     * @throws UnusableFile naming the line and the reason of every fault
     */
    public function read(string $text, Site $site): array
    {
        $pastures = $faults = [];
        foreach ($this->geoJson->read($text) as $feature) {
            if ('Polygon' !== $feature['type']) {
                continue;
            }
            $faulty = static function (string $reason, string $where) use (&$faults, $feature): void {
                $faults[] = new ImportFault($feature['line'], $where, $reason);
            };
            $p = $feature['properties'];
            $animal = Animal::tryFrom(\is_string($p['animal'] ?? null) ? $p['animal'] : '');
            if (null === $animal) {
                $faulty('A pasture needs "animal": one of '.self::animals().'.', 'animal');
            }
            $number = $p['number'] ?? null;
            if (!\is_int($number) || $number < 1 || $number > 10_000) {
                $faulty('A pasture needs "number": 1 to 10,000 animals.', 'number');
            }
            $each = $p['kilograms_each'] ?? null;
            if (!(\is_int($each) || \is_float($each)) || $each < 0.01 || $each > 2000) {
                $faulty('A pasture needs "kilograms_each": 0.01 to 2,000.', 'kilograms_each');
            }
            if (\count($feature['coordinates']) > 1) {
                $faulty('A pasture has one ring; this one has holes.', 'coordinates');
            }
            /** @var list<list<float>> $ring checked by the reader of the format */
            $ring = $feature['coordinates'][0] ?? [];
            $corners = array_map(static fn (array $c): array => [(float) $c[0], (float) $c[1]], $ring);
            array_pop($corners);
            try {
                Area::within($corners);
            } catch (UnusableArea $e) {
                $faulty($e->getMessage(), 'coordinates');
            }
            $gate = self::gate($p['gate'] ?? []);
            if (null === $gate) {
                $faulty('"gate" is a longitude and a latitude.', 'gate');
            }
            $grazed = self::grazed($p['grazed'] ?? []);
            if (null === $grazed) {
                $faulty('"grazed" is a list of {"from": "05-01", "to": "10-15"}.', 'grazed');
            }
            $name = \is_string($p['name'] ?? null) ? trim($p['name']) : '';
            if ('' === $name || mb_strlen($name) > 120) {
                $faulty('A pasture needs a "name" of at most 120 characters.', 'name');
            }
            if ([] === $faults && null !== $animal) {
                $pastures[] = new PastureInput(
                    $name,
                    $site->id,
                    $corners,
                    $animal,
                    \is_int($number) ? $number : 1,
                    1000 * (float) (\is_int($each) || \is_float($each) ? $each : 0),
                    $gate ?? [],
                    $grazed ?? [],
                );
            }
        }
        if ([] === $pastures && [] === $faults) {
            throw UnusableFile::at(0, '', 'It holds no Polygon.');
        }

        return [] === $faults ? $pastures : throw new UnusableFile($faults);
    }

    /** @param list<Pasture> $pastures */
    public static function write(array $pastures): string
    {
        return GeoJson::write(
            array_map(
                static fn (Pasture $p): array => [
                    'type' => 'Feature',
                    'geometry' => ['type' => 'Polygon', 'coordinates' => [self::ring($p->corners)]],
                    'properties' => [
                        'name' => $p->name,
                        'place' => $p->site->name,
                        'animal' => $p->animal->value,
                        'number' => $p->number,
                        'kilograms_each' => $p->grams / 1000,
                        'gate' => $p->gate,
                        'grazed' => $p->grazed,
                    ],
                ],
                $pastures,
            ),
        );
    }

    /**
     * Closed, and counter-clockwise as the standard wants it.
     *
     * @param list<array{float, float}> $corners
     *
     * @return list<array{float, float}>
     */
    private static function ring(array $corners): array
    {
        $twice = 0.0;
        foreach ($corners as $i => $corner) {
            $next = $corners[($i + 1) % \count($corners)];
            $twice += $corner[0] * $next[1] - $next[0] * $corner[1];
        }
        $ring = $twice < 0 ? array_reverse($corners) : $corners;

        return [...$ring, $ring[0]];
    }

    /** @return array{}|array{float, float}|null null: unusable */
    private static function gate(mixed $gate): ?array
    {
        if ([] === $gate) {
            return [];
        }
        [$longitude, $latitude] = \is_array($gate) ? [$gate[0] ?? null, $gate[1] ?? null] : [null, null];
        $sound =
            (\is_int($longitude) || \is_float($longitude))
            && (\is_int($latitude) || \is_float($latitude))
            && abs($longitude) <= 180
            && abs($latitude) <= 90;

        return $sound ? [(float) $longitude, (float) $latitude] : null;
    }

    /** @return list<array{from: string, to: string}>|null null: unusable */
    private static function grazed(mixed $grazed): ?array
    {
        if (!\is_array($grazed) || !array_is_list($grazed)) {
            return null;
        }
        $stretches = [];
        foreach ($grazed as $stretch) {
            [$from, $to] = \is_array($stretch) ? [$stretch['from'] ?? null, $stretch['to'] ?? null] : [null, null];
            if (!\is_string($from) || !\is_string($to)) {
                return null;
            }
            try {
                [DayOfYear::parse($from), DayOfYear::parse($to)];
            } catch (\InvalidArgumentException) {
                return null;
            }
            $stretches[] = ['from' => $from, 'to' => $to];
        }

        return $stretches;
    }

    private static function animals(): string
    {
        return implode(', ', array_map(static fn (Animal $a): string => $a->value, Animal::cases()));
    }
}
