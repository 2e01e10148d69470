<?php

declare(strict_types=1);

namespace Hylognosis\Weather;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;
use Hylognosis\Measure\Temperature;

/**
 * Reads the daily records of a station from a table. The columns are known by their headings, in whichever order, as
 * weather services and loggers commonly name them; decimal point or comma; a day without both temperatures is a gap.
 */
final readonly class RecordReader
{
    private const MOST_LINES = 40_000;
    private const MOST_FAULTS = 100;
    /** What stands where nothing was measured. Common practice of weather services. */
    private const NOTHING = [
        '',
        '-',
        '--',
        'na',
        'n/a',
        'nan',
        'null',
        '-999',
        '-999.0',
        '-999,0',
        '-9999',
        '9999',
        '99999',
    ];
    private const NAMES = [
        'day' => ['date', 'day', 'datum', 'tag', 'fecha', 'data', 'mess_datum', 'time', 'yyyymmdd'],
        'least' => [
            'tmin',
            'tn',
            'tnk',
            'tmin_c',
            't_min',
            'mintemp',
            'min',
            'temperature_2m_min',
            'minimum',
            'tiefst',
        ],
        'greatest' => [
            'tmax',
            'tx',
            'txk',
            'tmax_c',
            't_max',
            'maxtemp',
            'max',
            'temperature_2m_max',
            'maximum',
            'höchst',
        ],
        'rain' => [
            'rain',
            'prcp',
            'precip',
            'precipitation',
            'precipitation_sum',
            'rr',
            'rsk',
            'niederschlag',
            'rainfall',
        ],
        'wind' => ['wind', 'fm', 'wspd', 'awnd', 'windspeed', 'wind_speed', 'ff'],
        'gust' => ['gust', 'gusts', 'fx', 'wpgt', 'wsfg', 'wind_gust', 'windgust', 'böe'],
        'humidity' => ['humidity', 'rh', 'upm', 'rhum', 'relative_humidity', 'feuchte', 'hum'],
    ];

    /**
     * @param 'c'|'f'                    $temperature degrees Celsius or Fahrenheit
     * @param 'mm'|'in'                  $rain
     * @param 'ms'|'kmh'|'mph'|'kn'      $wind        metres per second, kilometres or miles an hour, knots
     * @param 'iso'|'day'|'month'        $dates       how 03/04/2026 is meant: day first or month first; year first is
     *                                                always understood
     */
    public function __construct(
        private string $temperature = 'c',
        private string $rain = 'mm',
        private string $wind = 'ms',
        private string $dates = 'day',
    ) {
    }

    /** @throws UnusableRecords naming line, column and reason of every fault */
    public function read(string $text): Records
    {
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw UnusableRecords::at(1, '', 'The file is not UTF-8; save it as "CSV UTF-8".');
        }
        $lines = preg_split('/\r\n|\n|\r/', str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text);
        $lines = false === $lines ? [] : $lines;
        if (\count($lines) > self::MOST_LINES) {
            throw UnusableRecords::at(self::MOST_LINES, '', 'More than 40,000 lines cannot be brought in at once.');
        }
        [$first, $separator, $columns] = $this->heading($lines);
        $days = $faults = [];
        $empty = 0;
        foreach (\array_slice($lines, $first, null, true) as $n => $line) {
            if ('' === trim($line) || str_starts_with(ltrim($line), '#')) {
                continue;
            }
            $fields = array_map(
                static fn (?string $f): string => trim((string) $f),
                str_getcsv($line, $separator, '"', ''),
            );
            $day = $this->day($fields, $columns, $n + 1, $separator);
            if ($day instanceof UnusableRecords) {
                array_push($faults, ...$day->faults);
            } elseif (null === $day) {
                ++$empty;
            } elseif (isset($days[CalendarDay::iso($day->day)])) {
                $faults[] = [$n + 1, 'day', \sprintf('The day %s stands twice.', CalendarDay::iso($day->day))];
            } else {
                $days[CalendarDay::iso($day->day)] = $day;
            }
            if (\count($faults) >= self::MOST_FAULTS) {
                break;
            }
        }
        if ([] !== $faults) {
            throw new UnusableRecords($faults);
        }
        if ([] === $days) {
            throw UnusableRecords::at($first, '', 'No day in it has both temperatures.');
        }
        ksort($days);

        return new Records(array_values($days), $empty);
    }

    /**
     * The first line that names a day and both temperatures; what stands before it is the service's own talk.
     *
     * @param array<int, string> $lines
     *
     * @return array{int, string, array<string, int>} index of the line after it, separator, columns
     */
    private function heading(array $lines): array
    {
        foreach (\array_slice($lines, 0, 60, true) as $n => $line) {
            foreach ([';', ',', "\t"] as $separator) {
                $columns = [];
                foreach (str_getcsv($line, $separator, '"', '') as $i => $name) {
                    $plain = mb_strtolower(trim((string) preg_replace('/[\[(].*$/u', '', (string) $name), " \t#\"'"));
                    foreach (self::NAMES as $column => $names) {
                        if (\in_array($plain, $names, true)) {
                            $columns[$column] ??= $i;
                        }
                    }
                }
                if (isset($columns['day'], $columns['least'], $columns['greatest'])) {
                    return [$n + 1, $separator, $columns];
                }
            }
        }

        throw UnusableRecords::at(
            1,
            '',
            'No line names a day and both temperatures. Head the columns date, tmin, tmax, and where there are '.
                'rain, wind, gust, humidity.',
        );
    }

    /**
     * @param list<string>       $fields
     * @param array<string, int> $columns
     *
     * @return DailyWeather|UnusableRecords|null null where not both temperatures were measured
     */
    private function day(array $fields, array $columns, int $line, string $separator): DailyWeather|UnusableRecords|null
    {
        $faults = [];
        $figures = [];
        foreach ($columns as $column => $i) {
            $text = $fields[$i] ?? '';
            if ('day' === $column || \in_array(strtolower($text), self::NOTHING, true)) {
                continue;
            }
            $plain = ',' === $separator ? $text : str_replace(',', '.', $text);
            if (1 === preg_match('/^[+-]?\d{1,6}(?:\.\d{1,8})?$/D', $plain)) {
                $figures[$column] = (float) $plain;
            } else {
                $faults[] = [$line, $column, \sprintf('"%s" is no number.', mb_substr($text, 0, 40))];
            }
        }
        $day = $this->date($fields[$columns['day']] ?? '');
        if (null === $day) {
            $faults[] = [$line, 'day', \sprintf('"%s" is no day.', mb_substr($fields[$columns['day']] ?? '', 0, 40))];
        }
        if ([] !== $faults || null === $day) {
            return new UnusableRecords($faults);
        }
        if (!isset($figures['least'], $figures['greatest'])) {
            return null;
        }
        try {
            return new DailyWeather(
                $day,
                $this->degrees($figures['least']),
                $this->degrees($figures['greatest']),
                isset($figures['rain']) ? $figures['rain'] * ('in' === $this->rain ? 25.4 : 1.0) : null,
                isset($figures['wind']) ? $this->speed($figures['wind']) : null,
                isset($figures['gust']) ? $this->speed($figures['gust']) : null,
                $figures['humidity'] ?? null,
            );
        } catch (\InvalidArgumentException $impossible) {
            return new UnusableRecords([[$line, '', $impossible->getMessage()]]);
        }
    }

    private function degrees(float $degrees): Temperature
    {
        return 'f' === $this->temperature ? Temperature::fahrenheit($degrees) : Temperature::celsius($degrees);
    }

    private function speed(float $speed): float
    {
        return $speed *
            match ($this->wind) {
                'kmh' => 1 / 3.6,
                'mph' => 0.44704,
                'kn' => 1852 / 3600,
                'ms' => 1.0,
            };
    }

    private function date(string $text): ?\DateTimeImmutable
    {
        if (1 === preg_match('~^(\d{4})[-/.]?(\d\d)[-/.]?(\d\d)(?:[T ].*)?$~D', $text, $m)) {
            $parts = [$m[1], $m[2], $m[3]];
        } elseif (1 === preg_match('~^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4})$~D', $text, $m)) {
            $parts = 'month' === $this->dates ? [$m[3], $m[1], $m[2]] : [$m[3], $m[2], $m[1]];
        } else {
            return null;
        }
        try {
            return CalendarDay::parse(\sprintf('%04d-%02d-%02d', (int) $parts[0], (int) $parts[1], (int) $parts[2]));
        } catch (NoSuchDay) {
            return null;
        }
    }
}
