<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonText;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\Severity;

/**
 * Brings an exchanged flora of the older format into this one. What the older one left to silence stays silence: no
 * taxon states what it never shows, so nothing is excluded, until somebody writes it down with reason and source.
 */
final readonly class FloraMigration
{
    /** What a window moves with, by the words parts usually go by; the year's growth where none fits. */
    private const FOLLOWS = [
        'flower' => 'flowering',
        'fruit' => 'fruiting',
        'nut' => 'fruiting',
        'berry' => 'fruiting',
        'acorn' => 'fruiting',
        'seed' => 'fruiting',
        'pod' => 'fruiting',
        'cone' => 'fruiting',
        'shoot' => 'leafing',
        'leaf' => 'leafing',
        'sap' => 'leafless',
        'winter' => 'leafless',
        'rod' => 'leafless',
        'wood' => 'leafless',
    ];
    private const AROUND_DEGREES = 2.0;
    private const AROUND_METRES = 1000.0;

    /**
     * @return array<string, mixed> the document in the present format, to be looked through: region, roster and what
     *                              windows follow are guessed
     *
     * @throws FloraRefused if it is no document of the older format
     */
    public function migrated(string $path): array
    {
        if (!is_file($path)) {
            throw FloraRefused::because($path, 'there is no such file.');
        }
        try {
            $document = JsonText::parse((string) file_get_contents($path), 64);
        } catch (DocumentError $e) {
            throw FloraRefused::because($path, $e->reason);
        }
        if (
            !\is_array($document)
            || FloraDocument::FORMAT_BEFORE !== ($document['format'] ?? null)
            || !\is_array($document['taxa'] ?? null)
        ) {
            throw FloraRefused::because(
                $path,
                \sprintf('is no document of the format %s.', FloraDocument::FORMAT_BEFORE),
            );
        }
        $place = \is_array($document['reference'] ?? null) ? $document['reference'] : [];
        $number = static fn (string $key): float => is_numeric($place[$key] ?? null) ? (float) $place[$key] : 0.0;
        $taxa = $roster = [];
        foreach ($document['taxa'] as $taxon) {
            $taxon = \is_array($taxon) ? $this->taxon($taxon) : [];
            $worst = $this->severity(\is_array($taxon['hazards']) ? $taxon['hazards'] : []);
            if ($worst->isHazard() && \is_string($taxon['id'] ?? null)) {
                $roster[$taxon['id']] = $worst;
            }
            $taxa[] = $taxon;
        }
        $taxa = array_map(fn (array $taxon): array => $this->raised($taxon, $roster), $taxa);
        $migrated = [
            'format' => FloraDocument::FORMAT,
            'region' => [
                'name' => 'around '.(\is_string($place['name'] ?? null) ? $place['name'] : 'the reference place'),
                'south' => $number('latitude') - self::AROUND_DEGREES,
                'north' => $number('latitude') + self::AROUND_DEGREES,
                'west' => $number('longitude') - self::AROUND_DEGREES,
                'east' => $number('longitude') + self::AROUND_DEGREES,
                'altitude_m' => [0, $number('altitude_m') + self::AROUND_METRES],
            ],
            'dangerous' => array_map(static fn (Severity $severity): string => $severity->value, $roster),
            'taxa' => $taxa,
        ];
        foreach ($document as $key => $value) {
            $migrated[(string) $key] ??= $value;
        }

        return $migrated;
    }

    /**
     * @param array<mixed> $taxon
     *
     * @return array<mixed>
     */
    private function taxon(array $taxon): array
    {
        $taxon += ['hazards' => [], 'parts' => []];
        $taxon['never'] ??= [];
        foreach (['description', 'stages', 'positions'] as $where) {
            if (\is_array($taxon[$where] ?? null)) {
                $taxon[$where] = self::withoutNevers($taxon[$where]);
            }
        }
        $parts = [];
        foreach (\is_array($taxon['parts']) ? $taxon['parts'] : [] as $id => $part) {
            if (\is_array($part) && \is_array($part['window'] ?? null) && ['01-01', '12-31'] !== $part['window']) {
                $part['follows'] ??= $this->follows((string) $id);
            }
            $parts[$id] = $part;
        }
        $taxon['parts'] = $parts;

        return $taxon;
    }

    /**
     * The word "never" among frequencies had no reason and no source: it becomes silence.
     *
     * @param array<mixed> $described
     *
     * @return array<mixed>
     */
    private static function withoutNevers(array $described): array
    {
        $kept = [];
        foreach ($described as $key => $value) {
            if ('never' !== $value) {
                $kept[$key] = \is_array($value) ? self::withoutNevers($value) : $value;
            }
        }

        return $kept;
    }

    private function follows(string $part): string
    {
        foreach (self::FOLLOWS as $word => $phase) {
            if (str_contains($part, $word)) {
                return $phase;
            }
        }

        return 'in-leaf';
    }

    /** @param array<mixed> $hazards */
    private function severity(array $hazards): Severity
    {
        $worst = Severity::Harmless;
        foreach ($hazards as $hazard) {
            if (
                \is_array($hazard)
                && 'people' === ($hazard['who'] ?? null)
                && \is_string($hazard['severity'] ?? null)
            ) {
                $worst = Severity::worse($worst, Severity::tryFrom($hazard['severity']) ?? Severity::Harmless);
            }
        }

        return $worst;
    }

    /**
     * A look-alike is rated no lower than its own hazards say.
     *
     * @param array<mixed>            $taxon
     * @param array<string, Severity> $roster
     *
     * @return array<mixed>
     */
    private function raised(array $taxon, array $roster): array
    {
        $raise = static function (mixed $lookAlike) use ($roster): mixed {
            if (
                \is_array($lookAlike)
                && \is_string($lookAlike['taxon'] ?? null)
                && \is_string($lookAlike['severity'] ?? null)
                && isset($roster[$lookAlike['taxon']])
            ) {
                $lookAlike['severity'] = Severity::worse(
                    Severity::tryFrom($lookAlike['severity']) ?? Severity::Harmless,
                    $roster[$lookAlike['taxon']],
                )->value;
            }

            return $lookAlike;
        };
        $taxon['parts'] = array_map(
            static function (mixed $part) use ($raise): mixed {
                if (\is_array($part) && \is_array($part['look_alikes'] ?? null)) {
                    $part['look_alikes'] = array_map($raise, $part['look_alikes']);
                }

                return $part;
            },
            \is_array($taxon['parts']) ? $taxon['parts'] : [],
        );

        return $taxon;
    }
}
