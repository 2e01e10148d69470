<?php

declare(strict_types=1);

namespace Hylognosis\Document;

/**
 * Reads JSON (RFC 8259). A key said twice in one object is refused: the second would silently take the place of the
 * first.
 */
final class JsonText
{
    /** Any string, and the colon that makes it a key. */
    private const STRING = '/"((?:[^"\\\\]|\\\\.)*+)"\s*(:?)/s';

    /**
     * @param int<1, 512> $deepest levels of objects and lists in one another
     *
     * @throws DocumentError if it is no JSON, nested deeper, or says a key twice
     */
    public static function parse(string $text, int $deepest): mixed
    {
        try {
            $content = json_decode($text, true, $deepest, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw DocumentError::at('', 'is not valid JSON: '.$e->getMessage().'.');
        }
        if (\is_array($content)) {
            self::refuseDoubledKeys($text, $deepest);
        }

        return $content;
    }

    /** @param int<1, 512> $deepest */
    private static function refuseDoubledKeys(string $text, int $deepest): void
    {
        preg_match_all(self::STRING, $text, $strings, \PREG_SET_ORDER);
        $written = [];
        foreach ($strings as [, $key, $colon]) {
            if (':' === $colon) {
                $key = json_decode('"'.$key.'"');
                $key = \is_string($key) ? $key : '';
                $written[$key] = ($written[$key] ?? 0) + 1;
            }
        }
        $read = [];
        self::count(json_decode($text, false, $deepest), $read);
        foreach ($written as $key => $times) {
            if ($times > ($read[$key] ?? 0)) {
                throw DocumentError::at('', \sprintf('says "%s" twice in one object.', $key));
            }
        }
    }

    /** @param array<int|string, int> $read key → how often it was read */
    private static function count(mixed $content, array &$read): void
    {
        foreach (\is_object($content) ? get_object_vars($content) : (\is_array($content) ? $content : []) as $key => $value) {
            if (\is_object($content)) {
                $read[$key] = ($read[$key] ?? 0) + 1;
            }
            self::count($value, $read);
        }
    }
}
