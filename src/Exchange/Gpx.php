<?php

declare(strict_types=1);

namespace App\Exchange;

/** GPX 1.1: waypoints for trees and places, tracks for the map. No document type is read, and nothing is fetched. */
final readonly class Gpx
{
    public const SPACE = 'http://www.topografix.com/GPX/1/1';
    /** What the standard has no element for: the place a tree stands at, and within how many metres it is there. */
    public const OWN = 'urn:hylognosis:gpx:1';
    private const MOST_POINTS = 50_000;

    /** @throws UnusableFile */
    public function document(string $text): \DOMDocument
    {
        if (1 === preg_match('/<!DOCTYPE/i', $text)) {
            throw UnusableFile::at(1, '', 'A document type may not stand in it.');
        }
        $document = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        libxml_clear_errors();
        $read = '' !== $text && $document->loadXML($text, \LIBXML_NONET);
        $errors = libxml_get_errors();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        if (!$read || [] !== $errors) {
            $error = $errors[0] ?? null;
            throw UnusableFile::at(
                $error->line ?? 1,
                (string) ($error->column ?? ''),
                'That is no XML: '.trim($error->message ?? 'it is empty').'.',
            );
        }
        $root = $document->documentElement;
        if (null === $root || 'gpx' !== $root->localName || self::SPACE !== $root->namespaceURI) {
            throw UnusableFile::at(
                null === $root ? 1 : $root->getLineNo(),
                '',
                'That is no GPX 1.1: its outermost element must be <gpx xmlns="'.self::SPACE.'">.',
            );
        }

        return $document;
    }

    /**
     * @return list<array{latitude: float, longitude: float, altitude: float|null, name: string, description: string, type: string, place: string|null, uncertainty: float|null, line: int}>
     *
     * @throws UnusableFile naming line, element and reason of every fault
     */
    public function waypoints(\DOMDocument $document): array
    {
        $faults = $points = [];
        foreach ($document->getElementsByTagNameNS(self::SPACE, 'wpt') as $element) {
            $line = $element->getLineNo();
            $at = $this->position($element, $faults);
            $altitude = $this->number($element, self::SPACE, 'ele', -500, 9000, $faults);
            $uncertainty = $this->number($element, self::OWN, 'uncertainty', 0, 10_000, $faults);
            if (null !== $at) {
                $points[] = [
                    'latitude' => $at[0],
                    'longitude' => $at[1],
                    'altitude' => $altitude,
                    'name' => $this->text($element, self::SPACE, 'name') ?? '',
                    'description' => $this->text($element, self::SPACE, 'desc') ?? ($this->text($element, self::SPACE, 'cmt') ?? ''),
                    'type' => $this->text($element, self::SPACE, 'type') ?? '',
                    'place' => $this->text($element, self::OWN, 'place'),
                    'uncertainty' => $uncertainty,
                    'line' => $line,
                ];
            }
        }

        return [] === $faults ? $points : throw new UnusableFile($faults);
    }

    /**
     * @return list<list<array{float, float}>> longitude and latitude of each track segment and route
     *
     * @throws UnusableFile
     */
    public function lines(\DOMDocument $document): array
    {
        $faults = $lines = [];
        $count = 0;
        foreach ([['trkseg', 'trkpt'], ['rte', 'rtept']] as [$around, $point]) {
            foreach ($document->getElementsByTagNameNS(self::SPACE, $around) as $segment) {
                $line = [];
                foreach ($segment->getElementsByTagNameNS(self::SPACE, $point) as $element) {
                    $at = $this->position($element, $faults);
                    if (null !== $at) {
                        $line[] = [$at[1], $at[0]];
                    }
                    if (++$count > self::MOST_POINTS) {
                        throw UnusableFile::at(
                            $element->getLineNo(),
                            $point,
                            \sprintf('More than %d points cannot be drawn.', self::MOST_POINTS),
                        );
                    }
                }
                if (\count($line) > 1) {
                    $lines[] = $line;
                }
            }
        }

        return [] === $faults ? $lines : throw new UnusableFile($faults);
    }

    /**
     * @param list<ImportFault> $faults
     *
     * @return array{float, float}|null latitude and longitude
     */
    private function position(\DOMElement $element, array &$faults): ?array
    {
        $numbers = [];
        foreach (['lat' => 90, 'lon' => 180] as $name => $most) {
            $text = trim($element->getAttribute($name));
            if (1 !== preg_match('/^[+-]?\d{1,3}(?:\.\d{1,20})?$/D', $text) || abs((float) $text) > $most) {
                $faults[] = new ImportFault(
                    $element->getLineNo(),
                    $name,
                    \sprintf('%s="%s" must be degrees from -%d to %d.', $name, mb_substr($text, 0, 40), $most, $most),
                );

                return null;
            }
            $numbers[] = (float) $text;
        }

        return [$numbers[0], $numbers[1]];
    }

    /** @param list<ImportFault> $faults */
    private function number(
        \DOMElement $element,
        string $space,
        string $name,
        float $least,
        float $most,
        array &$faults,
    ): ?float {
        $text = $this->text($element, $space, $name);
        if (null === $text || '' === $text) {
            return null;
        }
        if (
            1 !== preg_match('/^[+-]?\d{1,7}(?:\.\d{1,20})?$/D', $text)
            || (float) $text < $least
            || (float) $text > $most
        ) {
            $faults[] = new ImportFault(
                $element->getLineNo(),
                $name,
                \sprintf('"%s" must be a number from %d to %d.', mb_substr($text, 0, 40), (int) $least, (int) $most),
            );

            return null;
        }

        return (float) $text;
    }

    private function text(\DOMElement $element, string $space, string $name): ?string
    {
        $found = $element->getElementsByTagNameNS($space, $name)->item(0);

        return null === $found ? null : trim($found->textContent);
    }
}
