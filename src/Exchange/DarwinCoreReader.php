<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * Occurrences of a Darwin Core Archive (the text guide of the standard): a zip with a meta.xml that says which column
 * of which file is which term. What the archive calls the kind is somebody's say-so, and no kind is held for it.
 */
final readonly class DarwinCoreReader
{
    public const TEXT = 'http://rs.tdwg.org/dwc/text/';
    public const TERMS = 'http://rs.tdwg.org/dwc/terms/';
    private const MOST_BYTES = 60_000_000;

    /**
     * @return list<TreeRow> one of each tag; of several occurrences of a tree the last
     *
     * @throws UnusableFile
     */
    public function trees(string $zip): array
    {
        $rows = [];
        $faults = [];
        foreach ($this->occurrences($zip) as ['line' => $line, 'terms' => $t]) {
            $tag = $t['catalogNumber'] ?? ($t['recordNumber'] ?? ($t['organismName'] ?? ($t['occurrenceID'] ?? '')));
            if ('' === $tag) {
                $faults[] = new ImportFault(
                    $line,
                    'catalogNumber',
                    'The occurrence has no catalogNumber, recordNumber, organismName or occurrenceID: no tag '.
                        'could be given.',
                );
                continue;
            }
            $numbers = [];
            foreach (['decimalLatitude', 'decimalLongitude', 'coordinateUncertaintyInMeters'] as $term) {
                $text = $t[$term] ?? '';
                if ('' !== $text && 1 !== preg_match('/^[+-]?\d{1,7}(?:\.\d{1,20})?$/D', $text)) {
                    $faults[] = new ImportFault($line, $term, \sprintf('"%s" is no number.', mb_substr($text, 0, 40)));
                    $text = '';
                }
                $numbers[$term] = '' === $text ? null : (float) $text;
            }
            $said = trim(($t['scientificName'] ?? '').' '.($t['occurrenceRemarks'] ?? ''));
            $rows[$tag] = new TreeRow(
                $line,
                $tag,
                '' === ($t['locality'] ?? '') ? null : $t['locality'],
                $t['locationRemarks'] ?? ($t['verbatimLocality'] ?? null),
                $numbers['decimalLatitude'],
                $numbers['decimalLongitude'],
                $numbers['coordinateUncertaintyInMeters'],
                health: isset($t['organismRemarks'])
                    ? $t['organismRemarks']
                    : ('' === $said
                        ? null
                        : 'Brought in as: '.$said),
                columns: [
                    'tag' => 'catalogNumber',
                    'place' => 'locality',
                    'whereabouts' => 'locationRemarks',
                    'latitude' => 'decimalLatitude',
                    'longitude' => 'decimalLongitude',
                    'uncertainty' => 'coordinateUncertaintyInMeters',
                ],
            );
        }

        return [] === $faults ? array_values($rows) : throw new UnusableFile($faults);
    }

    /**
     * @return list<array{line: int, terms: array<string, string>}> terms of Darwin Core by their short names
     *
     * @throws UnusableFile
     */
    public function occurrences(string $bytes): array
    {
        $zip = $this->open($bytes);
        try {
            $core = $this->core($this->entry($zip, 'meta.xml'));
            $text = $this->entry($zip, $core['file']);
        } finally {
            $zip->close();
        }
        $rows = [];
        $line = 0;
        foreach ($this->lines($text, $core) as $fields) {
            ++$line;
            if ($line <= $core['skip'] || [''] === $fields) {
                continue;
            }
            $terms = $core['defaults'];
            foreach ($core['terms'] as $index => $term) {
                if (!isset($fields[$index])) {
                    throw UnusableFile::at(
                        $line,
                        $term,
                        \sprintf(
                            'The line has %d fields; meta.xml looks for %s in field %d.',
                            \count($fields),
                            $term,
                            $index + 1,
                        ),
                    );
                }
                $terms[$term] = trim($fields[$index]);
            }
            $rows[] = ['line' => $line, 'terms' => $terms];
        }

        return $rows;
    }

    private function open(string $bytes): \ZipArchive
    {
        $file = tempnam(sys_get_temp_dir(), 'dwca');
        if (false === $file) {
            throw UnusableFile::at(0, '', 'The archive could not be put by for reading.');
        }
        file_put_contents($file, $bytes);
        $zip = new \ZipArchive();
        $opened = $zip->open($file, \ZipArchive::RDONLY | \ZipArchive::CHECKCONS);
        unlink($file); // it stays open
        if (true !== $opened) {
            throw UnusableFile::at(0, '', 'That is no whole zip archive.');
        }

        return $zip;
    }

    private function entry(\ZipArchive $zip, string $name): string
    {
        $about = $zip->statName($name);
        if (false === $about) {
            throw UnusableFile::at(0, $name, \sprintf('The archive has no %s.', $name));
        }
        if ($about['size'] > self::MOST_BYTES) {
            throw UnusableFile::at(0, $name, \sprintf('%s has more than 60 MB.', $name));
        }
        $text = $zip->getFromName($name, self::MOST_BYTES);
        if (false === $text) {
            throw UnusableFile::at(0, $name, \sprintf('%s cannot be unpacked.', $name));
        }

        return $text;
    }

    /** @return array{file: string, skip: int, fields: string, lines: string, quote: string, terms: array<int, string>, defaults: array<string, string>} */
    private function core(string $meta): array
    {
        if (1 === preg_match('/<!DOCTYPE/i', $meta)) {
            throw UnusableFile::at(1, 'meta.xml', 'A document type may not stand in meta.xml.');
        }
        $document = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        $read = '' !== $meta && $document->loadXML($meta, \LIBXML_NONET);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $core = $read ? $document->getElementsByTagNameNS(self::TEXT, 'core')->item(0) : null;
        if (null === $core) {
            throw UnusableFile::at(1, 'meta.xml', 'meta.xml names no core.');
        }
        if (self::TERMS.'Occurrence' !== $core->getAttribute('rowType')) {
            throw UnusableFile::at($core->getLineNo(), 'meta.xml', 'Its core holds no occurrences.');
        }
        if (!\in_array(strtoupper($core->getAttribute('encoding')), ['', 'UTF-8', 'UTF8'], true)) {
            throw UnusableFile::at($core->getLineNo(), 'meta.xml', 'Its core is not UTF-8.');
        }
        $location = $core->getElementsByTagNameNS(self::TEXT, 'location')->item(0);
        $terms = $defaults = [];
        foreach ($core->getElementsByTagNameNS(self::TEXT, 'field') as $field) {
            $term = $field->getAttribute('term');
            if (!str_starts_with($term, self::TERMS)) {
                continue;
            }
            $term = substr($term, \strlen(self::TERMS));
            if ('' !== $field->getAttribute('index')) {
                $terms[(int) $field->getAttribute('index')] = $term;
            } elseif ($field->hasAttribute('default')) {
                $defaults[$term] = $field->getAttribute('default');
            }
        }
        if (null === $location || [] === $terms) {
            throw UnusableFile::at(
                $core->getLineNo(),
                'meta.xml',
                'Its core names no file, or no field of Darwin Core.',
            );
        }

        return [
            'file' => trim($location->textContent),
            'skip' => max(0, (int) $core->getAttribute('ignoreHeaderLines')),
            'fields' => self::sign(
                $core->hasAttribute('fieldsTerminatedBy') ? $core->getAttribute('fieldsTerminatedBy') : ',',
            ),
            'lines' => self::sign(
                $core->hasAttribute('linesTerminatedBy') ? $core->getAttribute('linesTerminatedBy') : '\n',
            ),
            'quote' => self::sign(
                $core->hasAttribute('fieldsEnclosedBy') ? $core->getAttribute('fieldsEnclosedBy') : '"',
            ),
            'terms' => $terms,
            'defaults' => $defaults,
        ];
    }

    private static function sign(string $written): string
    {
        return strtr($written, ['\t' => "\t", '\n' => "\n", '\r' => "\r"]);
    }

    /**
     * @param array{fields: string, lines: string, quote: string} $core
     *
     * @return list<list<string>>
     */
    private function lines(string $text, array $core): array
    {
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw UnusableFile::at(1, '', 'The core is not UTF-8.');
        }
        if (
            '' === $core['fields']
            || '' === $core['lines']
            || \strlen($core['fields']) > 1
            || \strlen($core['quote']) > 1
        ) {
            throw UnusableFile::at(0, 'meta.xml', 'Fields must be parted by one sign, and lines by something.');
        }
        if ('' === $core['quote']) {
            return array_map(
                static fn (string $line): array => explode($core['fields'], rtrim($line, "\r")),
                explode($core['lines'], rtrim($text, "\r\n")),
            );
        }
        $stream = fopen('php://temp', 'w+');
        if (false === $stream) {
            throw UnusableFile::at(0, '', 'The archive could not be put by for reading.');
        }
        fwrite($stream, $text);
        rewind($stream);
        $lines = [];
        while (false !== ($fields = fgetcsv($stream, null, $core['fields'], $core['quote'], ''))) {
            $lines[] = array_map(static fn (?string $field): string => $field ?? '', $fields);
        }
        fclose($stream);

        return $lines;
    }
}
