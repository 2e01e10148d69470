<?php

declare(strict_types=1);

namespace App\Exchange;

/** Reads places and trees from whatever open format they come in: GPX, GeoJSON, CSV, or a Darwin Core Archive. */
final readonly class TreeFiles
{
    public const COLUMNS = [
        'tag',
        'place',
        'whereabouts',
        'latitude',
        'longitude',
        'uncertainty_m',
        'stage',
        'sex',
        'health',
        'kind',
        'gone',
        'gone_on',
    ];
    private const MOST_BYTES = 10_000_000;

    public function __construct(
        private GeoJson $geoJson = new GeoJson(),
        private Gpx $gpx = new Gpx(),
        private Csv $csv = new Csv(),
        private DarwinCoreReader $darwinCore = new DarwinCoreReader(),
    ) {
    }

    /** @throws UnusableFile naming line, column and reason of every fault */
    public function read(string $bytes): TreeFile
    {
        if (\strlen($bytes) > self::MOST_BYTES) {
            throw UnusableFile::at(0, '', 'The file has more than 10 MB.');
        }
        $start = ltrim(str_starts_with($bytes, "\xEF\xBB\xBF") ? substr($bytes, 3) : $bytes);

        return match (true) {
            '' === $start => throw UnusableFile::at(0, '', 'The file is empty.'),
            str_starts_with($bytes, "PK\x03\x04") => new TreeFile(
                'Darwin Core Archive',
                [],
                $this->darwinCore->trees($bytes),
            ),
            str_starts_with($start, '{') || str_starts_with($start, '[') => $this->ofGeoJson($start),
            str_starts_with($start, '<') => $this->ofGpx($start),
            default => new TreeFile('CSV', [], $this->ofCsv($bytes)),
        };
    }

    private function ofGeoJson(string $text): TreeFile
    {
        $places = $trees = $faults = [];
        foreach ($this->geoJson->read($text) as $feature) {
            $p = $feature['properties'];
            $isPlace = 'place' === ($p['is'] ?? null) || 'Polygon' === $feature['type'];
            if ('Point' !== $feature['type'] && !('Polygon' === $feature['type'] && $isPlace)) {
                $faults[] = new ImportFault(
                    $feature['line'],
                    'geometry',
                    'A tree is a Point, a place a Point or a Polygon.',
                );
                continue;
            }
            $name = $p[$isPlace ? 'name' : 'tag'] ?? ($p['name'] ?? null);
            if (!\is_string($name) || '' === trim($name)) {
                $faults[] = new ImportFault(
                    $feature['line'],
                    $isPlace ? 'name' : 'tag',
                    $isPlace ? 'The place has no name.' : 'The tree has no tag ("tag" or "name" among its properties).',
                );
                continue;
            }
            if ($isPlace) {
                $places[] = self::place($feature, trim($name), $p);
                continue;
            }
            /** @var list<int|float> $at */
            $at = $feature['coordinates'];
            $trees[] = new TreeRow(
                $feature['line'],
                trim($name),
                self::text($p, 'place'),
                self::text($p, 'whereabouts') ?? self::text($p, 'desc'),
                (float) $at[1],
                (float) $at[0],
                self::number($p, 'uncertainty_m', $feature['line'], $faults),
                self::text($p, 'stage'),
                self::text($p, 'sex'),
                self::text($p, 'health'),
                ['uncertainty' => 'uncertainty_m'],
            );
        }

        return [] === $faults ? new TreeFile('GeoJSON', $places, $trees) : throw new UnusableFile($faults);
    }

    /**
     * @param array{type: string, coordinates: list<mixed>, properties: array<string, mixed>, line: int} $feature
     * @param array<string, mixed>                                                                      $p
     */
    private static function place(array $feature, string $name, array $p): PlaceRow
    {
        $altitude = $p['altitude_m'] ?? null;
        $altitude = \is_int($altitude) || \is_float($altitude) ? (float) $altitude : null;
        if ('Point' === $feature['type']) {
            /** @var list<int|float> $at */
            $at = $feature['coordinates'];

            return new PlaceRow($feature['line'], $name, (float) $at[1], (float) $at[0], $altitude);
        }
        /** @var list<list<list<int|float>>> $rings */
        $rings = $feature['coordinates'];
        $corners = array_map(
            static fn (array $c): array => [(float) $c[0], (float) $c[1]],
            \array_slice($rings[0], 0, -1),
        );

        return new PlaceRow(
            $feature['line'],
            $name,
            array_sum(array_column($corners, 1)) / max(1, \count($corners)),
            array_sum(array_column($corners, 0)) / max(1, \count($corners)),
            $altitude,
            $corners,
        );
    }

    private function ofGpx(string $text): TreeFile
    {
        $places = $trees = $faults = [];
        foreach ($this->gpx->waypoints($this->gpx->document($text)) as $point) {
            if ('' === $point['name']) {
                $faults[] = new ImportFault(
                    $point['line'],
                    'name',
                    'The waypoint has no name; a tree is known by its tag.',
                );
            } elseif ('place' === $point['type']) {
                $places[] = new PlaceRow(
                    $point['line'],
                    $point['name'],
                    $point['latitude'],
                    $point['longitude'],
                    $point['altitude'],
                );
            } else {
                $trees[] = new TreeRow(
                    $point['line'],
                    $point['name'],
                    $point['place'],
                    '' === $point['description'] ? null : $point['description'],
                    $point['latitude'],
                    $point['longitude'],
                    $point['uncertainty'],
                    columns: ['tag' => 'name', 'whereabouts' => 'desc', 'latitude' => 'lat', 'longitude' => 'lon'],
                );
            }
        }

        return [] === $faults ? new TreeFile('GPX', $places, $trees) : throw new UnusableFile($faults);
    }

    /** @return list<TreeRow> */
    private function ofCsv(string $text): array
    {
        $rows = $faults = [];
        foreach ($this->csv->read($text, ['tag'], self::COLUMNS) as ['line' => $line, 'values' => $v]) {
            $given = static fn (string $column): ?string => \array_key_exists($column, $v) ? trim($v[$column]) : null;
            $filled = static fn (string $column): ?string => '' === ($given($column) ?? '') ? null : $given($column);
            $numbers = [];
            foreach (['latitude', 'longitude', 'uncertainty_m'] as $column) {
                $text = $filled($column);
                if (null !== $text && 1 !== preg_match('/^[+-]?\d{1,5}(?:\.\d{1,20})?$/D', $text)) {
                    $faults[] = new ImportFault(
                        $line,
                        $column,
                        \sprintf('"%s" is no number; write it like 47.1234.', mb_substr($text, 0, 40)),
                    );
                    $text = null;
                }
                $numbers[$column] = null === $text ? null : (float) $text;
            }
            $rows[] = new TreeRow(
                $line,
                $given('tag') ?? '',
                $filled('place'),
                $given('whereabouts'),
                $numbers['latitude'],
                $numbers['longitude'],
                $numbers['uncertainty_m'],
                $filled('stage'),
                $filled('sex'),
                $given('health'),
                ['uncertainty' => 'uncertainty_m'],
            );
        }

        return [] === $faults ? $rows : throw new UnusableFile($faults);
    }

    /** @param array<string, mixed> $properties */
    private static function text(array $properties, string $key): ?string
    {
        $value = $properties[$key] ?? null;

        return \is_string($value) ? trim($value) : null;
    }

    /**
     * @param array<string, mixed> $properties
     * @param list<ImportFault>    $faults
     */
    private static function number(array $properties, string $key, int $line, array &$faults): ?float
    {
        $value = $properties[$key] ?? null;
        if (null !== $value && !\is_int($value) && !\is_float($value)) {
            $faults[] = new ImportFault($line, $key, 'A number must stand here.');
        }

        return \is_int($value) || \is_float($value) ? (float) $value : null;
    }
}
