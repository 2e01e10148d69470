<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/**
 * A flora as one document, the form in which it is exchanged. The hash is taken over the content with the
 * names in every map sorted, so that neither order nor spacing of a file changes it.
 */
final readonly class FloraDocument
{
    public const FORMAT = 'hylognosis-flora/2';
    /** In the format before, silence excluded: it cannot be read as if it did not. */
    public const FORMAT_BEFORE = 'hylognosis-flora/1';

    /** @param array<string, mixed> $content */
    public function __construct(public array $content)
    {
    }

    /** SHA-256, 64 hexadecimal digits. */
    public function hash(): string
    {
        return hash(
            'sha256',
            json_encode(
                self::sorted($this->content),
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
        );
    }

    /**
     * The hash, and the same of what the flora says, leaving out who agrees with it: figures reckoned from it hold
     * until somebody doubts a line.
     *
     * @return array{string, string}
     */
    public function hashes(): array
    {
        $content = $this->content;
        if (\is_array($content['taxa'] ?? null)) {
            $content['taxa'] = array_map(self::withDoubtsOnly(...), $content['taxa']);
        }
        $hash = $this->hash();

        return [$hash, $content === $this->content ? $hash : (new self($content))->hash()];
    }

    private static function withDoubtsOnly(mixed $taxon): mixed
    {
        if (\is_array($taxon) && \is_array($taxon['never'] ?? null)) {
            $taxon['never'] = array_map(static function (mixed $never): mixed {
                if (\is_array($never) && \is_array($never['reviews'] ?? null)) {
                    $never['reviews'] = array_values(
                        array_filter(
                            $never['reviews'],
                            static fn (mixed $review): bool => \is_array($review)
                                && 'agreed' !== ($review['verdict'] ?? null),
                        ),
                    );
                }

                return $never;
            }, $taxon['never']);
        }

        return $taxon;
    }

    private static function sorted(mixed $value): mixed
    {
        if (!\is_array($value)) {
            return \is_int($value) ? (float) $value : $value;
        }
        if (!array_is_list($value)) {
            ksort($value, \SORT_STRING);
        }
        foreach ($value as $key => $entry) {
            if (!\is_string($entry)) {
                $value[$key] = self::sorted($entry);
            }
        }

        return $value;
    }
}
