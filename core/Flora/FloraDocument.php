<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/**
 * A flora as one document, the form in which it is exchanged. The hash is taken over the content with the
 * names in every map sorted, so that neither order nor spacing of a file changes it.
 */
final readonly class FloraDocument
{
    public const FORMAT = 'hylognosis-flora/1';

    /** @param array<string, mixed> $content */
    public function __construct(public array $content)
    {
    }

    /** SHA-256, 64 hexadecimal digits. */
    public function hash(): string
    {
        return hash('sha256', json_encode(self::sorted($this->content), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES));
    }

    private static function sorted(mixed $value): mixed
    {
        if (!\is_array($value)) {
            return \is_int($value) ? (float) $value : $value;
        }
        if (!array_is_list($value)) {
            ksort($value, \SORT_STRING);
        }

        return array_map(self::sorted(...), $value);
    }
}
