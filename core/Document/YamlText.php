<?php

declare(strict_types=1);

namespace Hylognosis\Document;

/**
 * Reads YAML, the same way wherever it is read. What can be misread is refused: a key that is said twice (the second
 * would silently take the place of the first, and with it its hazards), anchors, and more than one document. Only true
 * and false are yes and no; numbers are plain decimal ones; what only an older YAML takes for something else is text.
 */
final class YamlText
{
    private const COLUMN_WORDS = '/^yaml_parse\(\): (?:\w+ error encountered during \w+: )?/';

    private string $text;
    private int $at = 0;
    private int $line = 1;
    private int $lineStart = 0;
    /** @var list<array{int, array<string, int>}> maps without brackets around this place: column, key → line it is said in */
    private array $maps = [];
    /** @var list<array<string, int>> brackets around this place, of maps and of lists: key → line it is said in */
    private array $brackets = [];

    private function __construct(string $text)
    {
        $this->text = $text."\n";
    }

    /**
     * @param string $file path of a file that is there
     *
     * @return array<mixed>
     *
     * @throws DocumentError {@see parse}
     */
    public static function ofFile(string $file): array
    {
        return self::parse((string) file_get_contents($file));
    }

    /**
     * @return array<mixed>
     *
     * @throws DocumentError if it is no YAML, more than this class takes, or neither a map nor a list
     */
    public static function parse(string $text): array
    {
        $number = static fn (string $value): int|float|string => match (true) {
            1 === preg_match('/^[-+]?(0|[1-9]\d{0,17})$/', $value) => (int) $value,
            1 === preg_match('/^[-+]?(0|[1-9]\d*)\.\d+$/', $value) => (float) $value,
            default => $value,
        };
        error_clear_last();
        $content = @yaml_parse($text, 0, $documents, [
            \YAML_BOOL_TAG => static fn (string $value): bool|string => match (strtolower($value)) {
                'true' => true,
                'false' => false,
                default => $value,
            },
            \YAML_INT_TAG => $number,
            \YAML_FLOAT_TAG => $number,
        ]);
        if (!\is_array($content)) {
            $why = (string) preg_replace(self::COLUMN_WORDS, '', error_get_last()['message'] ?? '');
            throw DocumentError::at('', '' === $why ? 'must hold a map or a list.' : \sprintf('is no YAML: %s.', $why));
        }
        if (1 !== $documents || 1 === preg_match('/^[^#\s-].*^---\s/ms', $text)) {
            throw DocumentError::at('', 'holds more than one document.');
        }
        if (!self::isPlainlyWithoutDoubles($text, $content)) {
            (new self($text))->scan();
        }

        return $content;
    }

    /**
     * Whether as many keys were read as can have been written: then none was said twice, and nobody need look closer,
     * which takes long. What could hide a key from this count is looked at closely.
     *
     * @param array<mixed> $content
     */
    private static function isPlainlyWithoutDoubles(string $text, array $content): bool
    {
        $bare = (string) preg_replace('/"(?:[^"\\\\\n]|\\\\.)*+"/', '""', $text);
        $odd = preg_match('/\'|(?:^|[\s,\[{])[&*]\w|[|>][-+\d]*\s*$|(?<!")"(?!")|"""/m', $bare);

        return 0 === $odd && preg_match_all('/:(?=[\s,\[\]{}])|(?<="):/', $bare) === self::keys($content);
    }

    /** @param array<mixed> $content */
    private static function keys(array $content): int
    {
        $keys = array_is_list($content) ? 0 : \count($content);
        foreach ($content as $value) {
            if (\is_array($value)) {
                $keys += self::keys($value);
            }
        }

        return $keys;
    }

    /** @throws DocumentError if a key is said twice in one map, or something stands there that this class does not take */
    private function scan(): void
    {
        $end = \strlen($this->text);
        while ($this->at < $end) {
            $this->at += strspn($this->text, ' ', $this->at);
            $c = $this->text[$this->at];
            match (true) {
                "\n" === $c => $this->nextLine(),
                '#' === $c => $this->at += strcspn($this->text, "\n", $this->at),
                '-' === $c && [] === $this->brackets && ctype_space($this->text[$this->at + 1]) => $this->nextItem(),
                \in_array($c, ['[', '{'], true) => $this->open(),
                \in_array($c, [']', '}'], true) => $this->close(),
                ',' === $c => ++$this->at,
                \in_array($c, ['&', '*'], true) => throw DocumentError::at(
                    '',
                    \sprintf('has an anchor in line %d; write it out.', $this->line),
                ),
                \in_array($c, ['|', '>'], true) => throw DocumentError::at(
                    '',
                    \sprintf('has a block of text in line %d; put it in quotes.', $this->line),
                ),
                '"' === $c, "'" === $c => $this->quoted($c),
                default => $this->plain(),
            };
        }
    }

    private function nextLine(): void
    {
        $this->lineStart = ++$this->at;
        ++$this->line;
    }

    private function nextItem(): void
    {
        $this->leaveMapsBeyond($this->at++ - $this->lineStart);
    }

    private function open(): void
    {
        $this->brackets[] = [];
        ++$this->at;
    }

    private function close(): void
    {
        array_pop($this->brackets);
        ++$this->at;
    }

    private function leaveMapsBeyond(int $column): void
    {
        while ([] !== $this->maps && $this->maps[array_key_last($this->maps)][0] > $column) {
            array_pop($this->maps);
        }
    }

    private function quoted(string $quote): void
    {
        [$from, $line, $column] = [++$this->at, $this->line, $this->at - 1 - $this->lineStart];
        while (true) {
            $this->at += strcspn($this->text, '"' === $quote ? "\"\\\n" : "'\n", $this->at);
            $c = $this->text[$this->at];
            if ("\n" === $c) {
                $this->nextLine();
            } elseif ('\\' === $c || "''" === substr($this->text, $this->at, 2)) {
                $this->at += 2;
            } else {
                break;
            }
        }
        $this->keyIfColonFollows(substr($this->text, $from, $this->at++ - $from), $line, $column);
    }

    /** A word without quotes: it ends with the line, before a comment, at a colon, and in brackets at a comma too. */
    private function plain(): void
    {
        [$from, $column] = [$this->at, $this->at - $this->lineStart];
        $ends = [] === $this->brackets ? ":#\n" : ",[]{}:#\n";
        while ($this->isWithinAWord($this->text[$this->at += strcspn($this->text, $ends, $this->at)])) {
            ++$this->at;
        }
        $this->keyIfColonFollows(rtrim(substr($this->text, $from, $this->at - $from)), $this->line, $column);
    }

    private function isWithinAWord(string $c): bool
    {
        $next = $this->text[$this->at + 1] ?? "\n";

        return match ($c) {
            ':' => !ctype_space($next) && ([] === $this->brackets || !str_contains(',[]{}', $next)),
            '#' => ' ' !== $this->text[$this->at - 1],
            default => false,
        };
    }

    private function keyIfColonFollows(string $key, int $line, int $column): void
    {
        $colon = $this->at + strspn($this->text, ' ', $this->at);
        if (':' !== $this->text[$colon]) {
            return;
        }
        $this->at = $colon + 1;
        if ([] !== $this->brackets) {
            $map = &$this->brackets[\count($this->brackets) - 1];
        } else {
            $this->leaveMapsBeyond($column);
            $innermost = \count($this->maps) - 1;
            if ($column !== ($this->maps[$innermost][0] ?? null)) {
                $this->maps[++$innermost] = [$column, []];
            }
            $map = &$this->maps[$innermost][1];
        }
        if (isset($map[$key])) {
            throw DocumentError::at('', \sprintf('says "%s" twice, in line %d and in line %d.', $key, $map[$key], $line));
        }
        $map[$key] = $line;
    }
}
