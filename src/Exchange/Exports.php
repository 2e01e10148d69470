<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Account\User;
use App\Library\FloraLibrary;
use App\Trees\CoveredTrees;
use App\Trees\TreeLabels;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;

/**
 * Places, trees and what was found and taken, in open formats. What is covered for whoever asks is left out of it.
 *
 * @phpstan-type Row array<string, string|int|float|null>
 */
final readonly class Exports
{
    private const NUMBERS = ['latitude', 'longitude', 'uncertainty', 'altitude', 'place_latitude', 'place_longitude'];

    public function __construct(
        private Connection $database,
        private TreeLabels $labels,
        private CoveredTrees $covered,
        private FloraLibrary $library,
    ) {
    }

    public function gpx(): string
    {
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('gpx');
        $xml->writeAttribute('version', '1.1');
        $xml->writeAttribute('creator', 'Hylognosis');
        $xml->writeAttribute('xmlns', Gpx::SPACE);
        $xml->writeAttribute('xmlns:tree', Gpx::OWN);
        foreach ($this->rows('SELECT name, latitude, longitude, altitude FROM site ORDER BY name') as $site) {
            self::waypoint($xml, $site, (string) $site['name'], '', 'place', $site['altitude'], []);
        }
        foreach ($this->trees() as $tree) {
            if (null !== $tree['latitude']) {
                self::waypoint($xml, $tree, (string) $tree['tag'], (string) $tree['whereabouts'], 'tree', null, [
                    'place' => $tree['place'],
                    'uncertainty' => $tree['uncertainty'],
                ]);
            }
        }
        $xml->endElement();
        $xml->endDocument();

        return $xml->outputMemory();
    }

    public function geoJson(User $reader): string
    {
        $features = [];
        foreach ($this->rows('SELECT name, latitude, longitude, altitude, boundary FROM site ORDER BY name') as $site) {
            $corners = json_decode((string) $site['boundary'], true);
            $corners = \is_array($corners) ? $corners : [];
            $features[] = self::feature(
                [] === $corners
                    ? ['type' => 'Point', 'coordinates' => [$site['longitude'], $site['latitude']]]
                    : ['type' => 'Polygon', 'coordinates' => [[...$corners, $corners[0]]]],
                ['is' => 'place', 'name' => $site['name'], 'altitude_m' => $site['altitude']],
            );
        }
        $covered = $this->covered($reader);
        foreach ($this->trees() as $tree) {
            if (null !== $tree['latitude']) {
                $features[] = self::feature(
                    ['type' => 'Point', 'coordinates' => [$tree['longitude'], $tree['latitude']]],
                    [
                        'is' => 'tree',
                        'tag' => $tree['tag'],
                        'place' => $tree['place'],
                        'whereabouts' => $tree['whereabouts'],
                        'uncertainty_m' => $tree['uncertainty'],
                        'stage' => $tree['stage'],
                        'sex' => $tree['sex'],
                        'health' => $tree['health'],
                        'kind' => $this->kind($tree, $covered),
                    ],
                );
            }
        }

        return GeoJson::write($features);
    }

    /** @return iterable<string> */
    public function treesCsv(User $reader): iterable
    {
        yield Csv::line(TreeFiles::COLUMNS);
        $covered = $this->covered($reader);
        foreach ($this->trees(gone: true) as $t) {
            yield Csv::line([
                $t['tag'],
                $t['place'],
                $t['whereabouts'],
                $t['latitude'],
                $t['longitude'],
                $t['uncertainty'],
                $t['stage'],
                $t['sex'],
                $t['health'],
                $this->kind($t, $covered),
                $t['gone'],
                $t['gone_on'],
            ]);
        }
    }

    /** @return iterable<string> */
    public function examinations(User $reader): iterable
    {
        yield Csv::line(SurveyImport::EXAMINATIONS);
        foreach (
            $this->open(
                'SELECT e.id, s.tag, p.name AS examiner, e.date, e.stage, e.examined_as, e.flora, e.flora_hash, '.
                    'e.claim_taxon, e.claim_part, e.signed_at, e.brought_in',
                'examination e JOIN specimen s ON s.id = e.specimen_id JOIN person p ON p.id = e.examiner_id',
                $reader,
            ) as $e
        ) {
            $e['signed_at'] = self::moment($e['signed_at']);
            $e['brought_in'] = (bool) $e['brought_in'] ? 'yes' : 'no';
            yield Csv::line(array_values($e));
        }
    }

    /** @return iterable<string> */
    public function scores(User $reader): iterable
    {
        yield Csv::line(SurveyImport::SCORES);
        foreach ($this->scoreRows($reader) as $s) {
            yield Csv::line([
                $s['id'],
                $s['examination_id'],
                $s['trait'],
                $s['answer'],
                self::list($s['states']),
                (bool) $s['one_of'] ? 'yes' : 'no',
                self::list($s['numbers']),
                $s['certainty'],
                $s['samples'],
                $s['seen_where'],
                $s['position'],
                (bool) $s['further'] ? 'yes' : 'no',
                self::moment($s['recorded_at']),
                self::moment($s['taken_back_at']),
            ]);
        }
    }

    /** @return iterable<string> */
    public function harvests(): iterable
    {
        yield Csv::line(SurveyImport::HARVESTS);
        foreach (
            $this->rows(
                'SELECT h.id, d.examination_id, s.tag, h.taken_on, p.name AS taken_by, d.taxon, d.part, '.
                    'h.amount, h.unit, h.ripeness, h.share_left, h.note, h.minutes, '.
                    'h.opened, h.sound, h.count_by, h.sex, '.
                    "CASE WHEN h.lone IS NULL THEN '' WHEN h.lone THEN '1' ELSE '0' END AS lone ".
                    'FROM harvest h JOIN decision d ON d.id = '.
                    'h.decision_id JOIN examination e ON e.id = d.examination_id '.
                    'JOIN specimen s ON s.id = e.specimen_id JOIN person p ON p.id = h.taken_by_id '.
                    'ORDER BY h.taken_on, h.id',
            ) as $h
        ) {
            yield Csv::line(array_values($h));
        }
    }

    /** @return iterable<string> */
    public function events(): iterable
    {
        yield Csv::line(['id', 'tag', 'event', 'on', 'seen_by', 'recorded_at']);
        foreach ($this->eventRows() as $e) {
            yield Csv::line([
                $e['id'],
                $e['tag'],
                $e['event'],
                $e['happened_on'],
                $e['seen_by'],
                self::moment($e['recorded_at']),
            ]);
        }
    }

    /** @return iterable<string> */
    public function crops(User $reader): iterable
    {
        yield Csv::line(['id', 'tag', 'part', 'year', 'grade', 'opened', 'sound', 'seen_by', 'recorded_at']);
        $covered = $this->covered($reader);
        foreach (
            $this->rows(
                'SELECT n.id, s.id AS tree, s.tag, n.part, n.crop_year, n.grade, n.opened, n.sound, p.name AS seen_by, '.
                    'n.recorded_at FROM crop_note n JOIN specimen s ON s.id = n.specimen_id JOIN person p ON p.id = '.
                    'n.seen_by_id WHERE n.taken_back_at IS NULL ORDER BY s.tag, n.crop_year, n.id',
            ) as $n
        ) {
            if (!isset($covered[(string) $n['tree']])) {
                unset($n['tree']);
                $n['recorded_at'] = self::moment($n['recorded_at']);
                yield Csv::line(array_values($n));
            }
        }
    }

    /** @return iterable<Row> what was dated on trees, with tree and place */
    public function eventRows(): iterable
    {
        return $this->rows(
            'SELECT v.id, v.event, v.happened_on, v.recorded_at, s.id AS tree, s.tag, s.whereabouts, s.health, s.sex, '.
                's.stage, s.latitude, s.longitude, s.uncertainty, s.kind, s.kind_flora, s.doubt, site.name AS place, '.
                'site.latitude AS place_latitude, site.longitude AS place_longitude, site.altitude, p.name AS seen_by '.
                'FROM tree_event v JOIN specimen s ON s.id = v.specimen_id JOIN site ON site.id = s.site_id JOIN person p '.
                'ON p.id = v.seen_by_id WHERE v.taken_back_at IS NULL ORDER BY v.happened_on, v.id',
        );
    }

    /** @return iterable<Row> of signed examinations that are not covered */
    public function scoreRows(User $reader): iterable
    {
        return $this->open(
            'SELECT c.id, c.examination_id, c.trait, c.answer, c.states, c.one_of, c.numbers, c.certainty, '.
                'c.samples, c.seen_where, c.position, c.further, c.recorded_at, c.taken_back_at',
            'score c JOIN examination e ON e.id = c.examination_id',
            $reader,
            'c.examination_id, c.recorded_at, c.id',
        );
    }

    /** @return iterable<Row> of signed examinations that are not covered, with tree and place */
    public function occurrenceRows(User $reader): iterable
    {
        return $this->open(
            'SELECT e.id, s.id AS tree, s.tag, s.whereabouts, s.health, s.sex, s.stage AS tree_stage, '.
                's.latitude, s.longitude, s.uncertainty, s.kind, s.kind_flora, s.doubt, site.name AS place, '.
                'site.latitude AS place_latitude, site.longitude AS place_longitude, site.altitude, p.name AS examiner, e.date, e.stage, e.flora',
            'examination e JOIN specimen s ON s.id = e.specimen_id JOIN site ON site.id = s.site_id JOIN person '.
                'p ON p.id = e.examiner_id',
            $reader,
        );
    }

    /** @return iterable<Row> all there are, with the place */
    public function trees(bool $gone = false): iterable
    {
        return $this->rows(
            'SELECT s.id, s.tag, site.name AS place, s.whereabouts, s.latitude, s.longitude, s.uncertainty, '.
                's.stage, s.sex, s.health, s.kind, s.kind_flora, s.doubt, s.gone, s.gone_on, s.created_at, '.
                'site.latitude AS place_latitude, site.longitude AS place_longitude, site.altitude FROM specimen s JOIN site ON site.id = s.site_id'.
                ($gone ? '' : " WHERE s.gone = ''").
                ' ORDER BY s.tag',
        );
    }

    /**
     * Its scientific name, where a kind is held, nobody doubts it, and it is not covered; empty else.
     *
     * @param Row                  $tree
     * @param array<string, true> $covered by id of the tree, as {@see self::covered()} says for the reader
     */
    public function kind(array $tree, array $covered): string
    {
        return '' !== (string) $tree['doubt'] || isset($covered[(string) ($tree['tree'] ?? $tree['id'])])
            ? ''
            : $this->labels->taxon((string) $tree['kind_flora'], (string) $tree['kind'])->name ?? '';
    }

    /** @return array<string, true> trees of which nothing is told to a reader, by id */
    public function covered(User $reader): array
    {
        return $this->covered->for($reader);
    }

    /** @return array{string, string} name of a character and its unit, in the reader's flora or any that ships */
    public function character(string $id, string $flora): array
    {
        $character = $this->library->isShipped($flora) ? $this->library->flora($flora)->characters[$id] ?? null : null;

        return [$character->label ?? $id, null === $character ? '' : $character->unit];
    }

    /** @return iterable<Row> */
    private function open(string $select, string $from, User $reader, string $order = 'e.date, e.id'): iterable
    {
        // where a second person is wanted, and the reader could be that, nothing is told
        $where = ' WHERE e.signed_at IS NOT NULL';
        $values = [];
        if ($reader->role->mayDecide()) {
            $where .= ' AND (e.second_wanted = :no OR e.examiner_id = :reader OR CAST(e.seen_by AS TEXT) LIKE :seen)';
            $where .=
                ' AND e.specimen_id NOT IN (SELECT o.specimen_id FROM examination o WHERE o.examiner_id = '.
                ':reader AND o.signed_at IS NULL AND o.second_of_id IS NOT NULL)';
            $values = ['no' => 0, 'reader' => $reader->id, 'seen' => '%'.$reader->id.'%'];
        }

        return $this->rows($select.' FROM '.$from.$where.' ORDER BY '.$order, $values, [
            'no' => ParameterType::BOOLEAN,
        ]);
    }

    /**
     * @param array<string, mixed>                         $values
     * @param array<string, ParameterType> $types
     *
     * @return iterable<Row>
     */
    private function rows(string $sql, array $values = [], array $types = []): iterable
    {
        $found = $this->database->executeQuery($sql, $values, array_intersect_key($types, $values));
        /** @var Row $row */
        foreach ($found->iterateAssociative() as $row) {
            foreach (self::NUMBERS as $column) {
                // some databases give numbers as text
                if (isset($row[$column])) {
                    $row[$column] = (float) $row[$column];
                }
            }
            yield $row;
        }
    }

    /**
     * @param Row                                    $at
     * @param array<string, string|int|float|null> $own
     */
    private static function waypoint(
        \XMLWriter $xml,
        array $at,
        string $name,
        string $description,
        string $type,
        string|int|float|null $altitude,
        array $own,
    ): void {
        $xml->startElement('wpt');
        $xml->writeAttribute('lat', \sprintf('%.7F', $at['latitude']));
        $xml->writeAttribute('lon', \sprintf('%.7F', $at['longitude']));
        if (null !== $altitude) {
            $xml->writeElement('ele', \sprintf('%.1F', $altitude));
        }
        $xml->writeElement('name', $name);
        if ('' !== $description) {
            $xml->writeElement('desc', $description);
        }
        $xml->writeElement('type', $type);
        $own = array_filter($own, static fn (mixed $value): bool => null !== $value);
        if ([] !== $own) {
            $xml->startElement('extensions');
            foreach ($own as $element => $value) {
                $xml->writeElement('tree:'.$element, (string) $value);
            }
            $xml->endElement();
        }
        $xml->endElement();
    }

    /**
     * @param array<string, mixed> $geometry
     * @param array<string, mixed> $properties
     *
     * @return array<string, mixed>
     */
    private static function feature(array $geometry, array $properties): array
    {
        return [
            'type' => 'Feature',
            'geometry' => $geometry,
            'properties' => array_filter($properties, static fn (mixed $v): bool => null !== $v && '' !== $v),
        ];
    }

    private static function moment(string|int|float|null $stored): string
    {
        return null === $stored ? '' : (new \DateTimeImmutable((string) $stored))->format(\DateTimeInterface::RFC3339);
    }

    private static function list(string|int|float|null $json): string
    {
        $list = json_decode((string) $json, true);

        return implode(
            ' ',
            array_map(static fn (mixed $v): string => \is_scalar($v) ? (string) $v : '', \is_array($list) ? $list : []),
        );
    }
}
