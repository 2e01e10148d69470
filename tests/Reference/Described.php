<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Position;

/**
 * Reads trees that are described in one line of a table: `leaf.kind=pinnate bark.colour=grey|olive
 * bark.surface=scaly@low leaf.leaflet-count=5,7`.
 */
final class Described
{
    /** @return list<Observation> one of several where a bar stands between them, all of them where a plus does */
    public static function observations(Flora $flora, string $line, int $samples = 3): array
    {
        $observations = [];
        foreach (explode(' ', trim($line)) as $pair) {
            [$id, $value] = explode('=', $pair);
            $parts = explode('@', $value);
            [$value, $height] = [$parts[0], $parts[1] ?? null];
            $character = $flora->character($id);
            $position = null === $height ? null : Position::from($height);
            if ($character->isNumeric()) {
                $observations[] = Observation::ofNumbers(
                    $character,
                    array_map(floatval(...), explode(',', $value)),
                    Certainty::Sure,
                    Whereabouts::Tree,
                    $position,
                );
            } else {
                $either = str_contains($value, '|');
                $observations[] = Observation::ofStates(
                    $character,
                    explode($either ? '|' : '+', $value),
                    Certainty::Sure,
                    $samples,
                    Whereabouts::Tree,
                    $position,
                    $either,
                );
            }
        }

        return $observations;
    }

    /** @return iterable<list<string>> the cells of a table, without its comments */
    public static function rows(string $file): iterable
    {
        foreach (explode("\n", trim((string) file_get_contents(__DIR__.'/data/'.$file))) as $line) {
            if (!str_starts_with($line, '#')) {
                yield explode("\t", $line);
            }
        }
    }
}
