<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Account\User;
use App\Library\SpreadTable;
use App\School\SchoolRepository;
use Hylognosis\Season\SeasonalEvent;

/**
 * A Darwin Core Archive: one occurrence for each signed examination of a tree, one for each date of its year that was
 * seen on it, and one for each tree nobody has examined; what was scored beside it as measurements or facts. A kind is
 * named only where one is held and nobody doubts it.
 */
final readonly class DarwinCoreWriter
{
    private const OCCURRENCE = [
        'occurrenceID',
        'basisOfRecord',
        'eventDate',
        'recordedBy',
        'organismID',
        'catalogNumber',
        'scientificName',
        'kingdom',
        'lifeStage',
        'sex',
        'occurrenceStatus',
        'locality',
        'locationRemarks',
        'decimalLatitude',
        'decimalLongitude',
        'geodeticDatum',
        'coordinateUncertaintyInMeters',
        'minimumElevationInMeters',
        'maximumElevationInMeters',
        'organismRemarks',
        'identificationVerificationStatus',
        'reproductiveCondition',
        'occurrenceRemarks',
    ];
    private const MEASUREMENT = [
        'measurementID',
        'measurementType',
        'measurementValue',
        'measurementUnit',
        'measurementDeterminedDate',
        'measurementRemarks',
    ];

    /** The others are of leaves. */
    private const REPRODUCTIVE = [
        SeasonalEvent::FirstFlower,
        SeasonalEvent::FullFlower,
        SeasonalEvent::FirstRipe,
        SeasonalEvent::HalfFallen,
    ];

    public function __construct(
        private Exports $exports,
        private SchoolRepository $schools,
        private SpreadTable $spreads,
    ) {
    }

    /**
     * @param bool $rareOnly only trees of kinds that have become rare, for those who want to know of them
     *
     * @return string path of a file whoever asks has to delete
     */
    public function write(User $reader, bool $rareOnly = false): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'dwca');
        [$occurrences, $measurements] = [
            (string) tempnam(sys_get_temp_dir(), 'dwca'),
            (string) tempnam(sys_get_temp_dir(), 'dwca'),
        ];
        try {
            $floras = $this->occurrences($occurrences, $reader, $rareOnly);
            $this->measurements($measurements, $reader, $floras);
            $zip = new \ZipArchive();
            $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
            $zip->addFromString('meta.xml', self::meta());
            $zip->addFromString('eml.xml', $this->eml());
            $zip->addFile($occurrences, 'occurrence.txt');
            $zip->addFile($measurements, 'measurementorfact.txt');
            $zip->close();
        } finally {
            unlink($occurrences);
            unlink($measurements);
        }

        return $path;
    }

    /** @return array<string, string> flora by examination */
    private function occurrences(string $path, User $reader, bool $rareOnly): array
    {
        $file = self::open($path);
        self::put($file, self::OCCURRENCE);
        $covered = $this->exports->covered($reader);
        $floras = $examined = [];
        foreach ($this->exports->occurrenceRows($reader) as $row) {
            if ($rareOnly && !$this->isRare($row, $covered)) {
                continue;
            }
            $floras[(string) $row['id']] = (string) $row['flora'];
            $examined[(string) $row['tree']] = true;
            self::put(
                $file,
                $this->occurrence(
                    $row,
                    (string) $row['id'],
                    (string) $row['tree'],
                    (string) $row['date'],
                    (string) $row['examiner'],
                    (string) $row['stage'],
                    $covered,
                ),
            );
        }
        foreach ($this->exports->eventRows() as $row) {
            if ($rareOnly && !$this->isRare($row, $covered)) {
                continue;
            }
            self::put(
                $file,
                $this->occurrence(
                    $row,
                    (string) $row['id'],
                    (string) $row['tree'],
                    (string) $row['happened_on'],
                    (string) $row['seen_by'],
                    (string) $row['stage'],
                    $covered,
                    SeasonalEvent::from((string) $row['event']),
                ),
            );
        }
        foreach ($this->exports->trees() as $row) {
            if (!isset($examined[(string) $row['id']]) && (!$rareOnly || $this->isRare($row, $covered))) {
                self::put(
                    $file,
                    $this->occurrence(
                        $row,
                        (string) $row['id'],
                        (string) $row['id'],
                        substr((string) $row['created_at'], 0, 10),
                        '',
                        (string) $row['stage'],
                        $covered,
                    ),
                );
            }
        }
        fclose($file);

        return $floras;
    }

    /**
     * @param array<string, string|int|float|null> $row
     * @param array<string, true>                  $covered
     *
     * @return list<string|int|float|null>
     */
    private function occurrence(
        array $row,
        string $id,
        string $tree,
        string $date,
        string $by,
        string $stage,
        array $covered,
        ?SeasonalEvent $event = null,
    ): array {
        $own = null !== $row['latitude'];
        $kind = $this->exports->kind($row, $covered);

        return [
            'urn:uuid:'.$id,
            'HumanObservation',
            $date,
            $by,
            'urn:uuid:'.$tree,
            $row['tag'],
            $kind,
            'Plantae',
            $stage,
            $row['sex'],
            'present',
            $row['place'],
            $row['whereabouts'],
            $own ? $row['latitude'] : $row['place_latitude'],
            $own ? $row['longitude'] : $row['place_longitude'],
            'EPSG:4326',
            $own ? $row['uncertainty'] : 1000,
            $row['altitude'],
            $row['altitude'],
            $row['health'],
            '' === $kind ? 'unverified' : 'verified by examination',
            \in_array($event, self::REPRODUCTIVE, true) ? $event->words() : '',
            $event?->words() ?? '',
        ];
    }

    /**
     * @param array<string, string|int|float|null> $row
     * @param array<string, true>                  $covered
     */
    private function isRare(array $row, array $covered): bool
    {
        return '' !== $this->exports->kind($row, $covered)
            && null !== $this->spreads->rarity((string) $row['kind_flora'], (string) $row['kind']);
    }

    /** @param array<string, string> $floras */
    private function measurements(string $path, User $reader, array $floras): void
    {
        $file = self::open($path);
        self::put($file, ['occurrenceID', ...self::MEASUREMENT]);
        foreach ($this->exports->scoreRows($reader) as $row) {
            $flora = $floras[(string) $row['examination_id']] ?? null;
            if (null === $flora || null !== $row['taken_back_at'] || 'cannot-be-seen' === $row['answer']) {
                continue;
            }
            [$label, $unit] = $this->exports->character((string) $row['trait'], $flora);
            $values = json_decode((string) ('[]' === $row['numbers'] ? $row['states'] : $row['numbers']), true);
            self::put($file, [
                'urn:uuid:'.$row['examination_id'],
                'urn:uuid:'.$row['id'],
                $label,
                'seen' === $row['answer']
                    ? implode(
                        ' | ',
                        array_map(
                            static fn (mixed $v): string => \is_scalar($v) ? (string) $v : '',
                            \is_array($values) ? $values : [],
                        ),
                    )
                    : (string) $row['answer'],
                '[]' === $row['numbers'] ? '' : $unit,
                substr((string) $row['recorded_at'], 0, 10),
                $row['certainty'].', '.('ground' === $row['seen_where'] ? 'found on the ground' : 'on the tree'),
            ]);
        }
        fclose($file);
    }

    private static function meta(): string
    {
        $fields = static function (array $terms, int $from): string {
            $lines = '';
            foreach ($terms as $i => $term) {
                $lines .= \sprintf(
                    "    <field index=\"%d\" term=\"%s%s\"/>\n",
                    $i + $from,
                    DarwinCoreReader::TERMS,
                    \is_string($term) ? $term : '',
                );
            }

            return $lines;
        };
        $how =
            'encoding="UTF-8" fieldsTerminatedBy="\t" linesTerminatedBy="\n" fieldsEnclosedBy="" ignoreHeaderLines="1"';

        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<archive xmlns=\"".
            DarwinCoreReader::TEXT.
            "\" metadata=\"eml.xml\">\n".
            "  <core {$how} rowType=\"".
            DarwinCoreReader::TERMS.
            "Occurrence\">\n    <files><location>occurrence.txt</location></files>\n    <id index=\"0\"/>\n".
            $fields(self::OCCURRENCE, 0).
            "  </core>\n".
            "  <extension {$how} rowType=\"".
            DarwinCoreReader::TERMS.
            "MeasurementOrFact\">\n    <files><location>measurementorfact.txt</location></files>\n    <coreid index=\"0\"/>\n".
            $fields(self::MEASUREMENT, 1).
            "  </extension>\n</archive>\n";
    }

    private function eml(): string
    {
        $school = $this->schools->ours();
        $name = htmlspecialchars($school->name ?? 'Trees', \ENT_XML1);
        $place = htmlspecialchars($school->place ?? '', \ENT_XML1);

        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<eml:eml xmlns:eml=\"https://eml.ecoinformatics.org/eml-2.2.0\" packageId=\"hylognosis\" system=\"hylognosis\">\n  <dataset>\n    <title>Trees of {$name}, {$place}</title>\n    <creator><organizationName>{$name}</organizationName></creator>\n    <abstract><para>Tagged trees and what was seen of them. A kind is named only where examinations carry it and nobody doubts it.</para></abstract>\n    <contact><organizationName>{$name}</organizationName></contact>\n  </dataset>\n</eml:eml>\n";
    }

    /** @return resource */
    private static function open(string $path)
    {
        $file = fopen($path, 'w');

        return false === $file ? throw new \RuntimeException('No room for the archive.') : $file;
    }

    /**
     * Tab and line end part fields and lines, and nothing is quoted: they may not stand in a value.
     *
     * @param resource                    $file
     * @param list<string|int|float|null> $fields
     */
    private static function put($file, array $fields): void
    {
        fwrite(
            $file,
            implode(
                "\t",
                array_map(
                    static fn (string|int|float|null $v): string => trim(
                        (string) preg_replace('/[\t\r\n]+/', ' ', (string) $v),
                    ),
                    $fields,
                ),
            )."\n",
        );
    }
}
