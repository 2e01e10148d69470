<?php

declare(strict_types=1);

namespace Hylognosis\Document;

/**
 * One place in a decoded JSON or YAML document. Every reader asks for what it needs by name and type;
 * what is missing or of another type is refused with the path to it.
 */
final readonly class Node
{
    private function __construct(private mixed $value, public string $path)
    {
    }

    public static function root(mixed $value, string $path = ''): self
    {
        return new self($value, $path);
    }

    public function has(string $key): bool
    {
        return \is_array($this->value) && isset($this->value[$key]);
    }

    /** @throws DocumentError if this place holds no such key */
    public function child(string $key): self
    {
        $value = $this->values()[$key] ?? null;

        return null !== $value
            ? new self($value, $this->below($key))
            : throw DocumentError::at($this->below($key), 'is missing.');
    }

    /**
     * @return array<string, mixed> what stands here, as it is, to be handed on
     *
     * @throws DocumentError if it is no map
     */
    public function asArray(): array
    {
        if (!\is_array($this->value)) {
            throw DocumentError::at($this->path, 'must be a map.');
        }
        $values = [];
        foreach ($this->value as $key => $value) {
            $values[(string) $key] = $value;
        }

        return $values;
    }

    /**
     * @return list<self> the entries of the list under the key; none if the key is missing
     *
     * @throws DocumentError if it is no list
     */
    public function children(string $key): array
    {
        return $this->has($key) ? $this->child($key)->items() : [];
    }

    /**
     * @return list<self>
     *
     * @throws DocumentError if this place holds no list
     */
    public function items(): array
    {
        if (!\is_array($this->value) || !array_is_list($this->value)) {
            throw DocumentError::at($this->path, 'must be a list.');
        }
        $items = [];
        foreach ($this->value as $i => $value) {
            $items[] = new self($value, $this->path.'['.$i.']');
        }

        return $items;
    }

    /**
     * @return array<string, self> the entries of the map under the key; none if the key is missing
     *
     * @throws DocumentError if it is no map
     */
    public function entries(string $key): array
    {
        return $this->has($key) ? $this->child($key)->asEntries() : [];
    }

    /**
     * @return array<string, self>
     *
     * @throws DocumentError if this place holds no map
     */
    public function asEntries(): array
    {
        $entries = [];
        foreach ($this->map() as $name => $value) {
            $entries[$name] = new self($value, $this->below($name));
        }

        return $entries;
    }

    /** @throws DocumentError if the text is missing, empty or no text */
    public function text(string $key): string
    {
        return $this->child($key)->asText();
    }

    /** @throws DocumentError if it is there and no text */
    public function optionalText(string $key, string $otherwise = ''): string
    {
        return $this->has($key) ? $this->text($key) : $otherwise;
    }

    /**
     * @return list<string>
     *
     * @throws DocumentError if it is there and no list of texts
     */
    public function texts(string $key): array
    {
        return array_map(static fn (self $item): string => $item->asText(), $this->children($key));
    }

    /** @throws DocumentError if it is missing or no number between the two bounds */
    public function number(string $key, float $least, float $most): float
    {
        return $this->child($key)->asNumber($least, $most);
    }

    /** @throws DocumentError if it is missing or no whole number between the two bounds */
    public function integer(string $key, int $least, int $most): int
    {
        $child = $this->child($key);
        $number = $child->asNumber($least, $most);

        return floor($number) === $number
            ? (int) $number
            : throw DocumentError::at($child->path, 'must be a whole number.');
    }

    /** @throws DocumentError if it is there and neither true nor false */
    public function flag(string $key, bool $otherwise): bool
    {
        return $this->has($key) ? $this->child($key)->asFlag() : $otherwise;
    }

    /**
     * A word of a closed vocabulary.
     *
     * @template T of \BackedEnum
     *
     * @param class-string<T> $vocabulary
     *
     * @return T
     *
     * @throws DocumentError if it is missing or no word of that vocabulary
     */
    public function word(string $key, string $vocabulary): \BackedEnum
    {
        return $this->child($key)->asWord($vocabulary);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $vocabulary
     *
     * @return T
     *
     * @throws DocumentError if this place holds no word of that vocabulary
     */
    public function asWord(string $vocabulary): \BackedEnum
    {
        $word = $this->asText();

        return $vocabulary::tryFrom($word) ??
            throw DocumentError::at(
                $this->path,
                \sprintf(
                    '"%s" is not known here; known: %s.',
                    $word,
                    implode(
                        ', ',
                        array_map(static fn (\BackedEnum $case): string => (string) $case->value, $vocabulary::cases()),
                    ),
                ),
            );
    }

    /** @throws DocumentError if this place holds no text or an empty one */
    public function asText(): string
    {
        return \is_string($this->value) && '' !== trim($this->value)
            ? $this->value
            : throw DocumentError::at($this->path, 'must be a text that is not empty.');
    }

    /** @throws DocumentError if this place holds no number between the two bounds */
    public function asNumber(float $least, float $most): float
    {
        if (!\is_int($this->value) && !\is_float($this->value)) {
            throw DocumentError::at($this->path, 'must be a number.');
        }
        if ($this->value < $least || $this->value > $most) {
            throw DocumentError::at(
                $this->path,
                \sprintf('must lie between %s and %s; it is %s.', $least, $most, $this->value),
            );
        }

        return (float) $this->value;
    }

    /** @throws DocumentError if this place holds neither true nor false */
    public function asFlag(): bool
    {
        return \is_bool($this->value) ? $this->value : throw DocumentError::at($this->path, 'must be true or false.');
    }

    public function isText(): bool
    {
        return \is_string($this->value);
    }

    /**
     * @param list<string> $known
     *
     * @throws DocumentError if this place is no map or holds a key that is not among the known ones
     */
    public function onlyKnows(array $known): void
    {
        foreach (array_keys($this->map()) as $key) {
            if (!\in_array($key, $known, true)) {
                throw DocumentError::at(
                    $this->below($key),
                    \sprintf('is not known here; known: %s.', implode(', ', $known)),
                );
            }
        }
    }

    private function below(string $key): string
    {
        return '' === $this->path ? $key : $this->path.'.'.$key;
    }

    /** @return array<string, mixed> */
    private function map(): array
    {
        $map = [];
        foreach ($this->values() as $key => $value) {
            $map[
                \is_string($key)
                    ? $key
                    : throw DocumentError::at($this->below((string) $key), 'a number names nothing here.')
            ] = $value;
        }

        return $map;
    }

    /** @return array<mixed> as they stand; not copied, for that takes longer than all the reading */
    private function values(): array
    {
        if (!\is_array($this->value) || ([] !== $this->value && array_is_list($this->value))) {
            throw DocumentError::at($this->path, 'must be a map of names to values.');
        }

        return $this->value;
    }
}
