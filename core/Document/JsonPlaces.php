<?php

declare(strict_types=1);

namespace Hylognosis\Document;

/**
 * Where in a JSON text (RFC 8259) each value stands: a file somebody made elsewhere is refused with line and column, so
 * that it can be put right.
 */
final class JsonPlaces
{
    private const DEEPEST = 64;

    private int $at = 0;

    /** @var array<string, int> path → offset */
    private array $offsets = [];

    private function __construct(private readonly string $text)
    {
    }

    /**
     * @return \Closure(string): array{int, int} path as {@see Node} writes it → line and column from 1 up; of the nearest
     *     value around it where there is none at that path
     *
     * @throws DocumentError with line and column as path, if it is no JSON, or nested deeper than 64 levels
     */
    public static function of(string $text): \Closure
    {
        $scan = new self($text);
        $scan->blank();
        $scan->value('', 0);
        if ($scan->at < \strlen($text)) {
            throw $scan->wrong('nothing more may stand here');
        }

        return static function (string $path) use ($scan): array {
            while (!isset($scan->offsets[$path])) {
                $path = (string) preg_replace('/(?:\.[^.\[\]]*|\[\d+\]|^[^.\[\]]+)$/D', '', $path);
            }

            return self::place($scan->text, $scan->offsets[$path]);
        };
    }

    private function value(string $path, int $depth): void
    {
        $this->offsets[$path] = $this->at;
        if ($depth > self::DEEPEST) {
            throw $this->wrong('it is nested too deep');
        }
        match ($this->text[$this->at] ?? '') {
            '{' => $this->object($path, $depth),
            '[' => $this->list($path, $depth),
            '"' => $this->string(),
            default => $this->word(),
        };
        $this->blank();
    }

    private function object(string $path, int $depth): void
    {
        ++$this->at;
        $this->blank();
        $known = [];
        while ('}' !== ($this->text[$this->at] ?? '')) {
            if ([] !== $known) {
                $this->want(',');
            }
            $from = $this->at;
            $key = $this->string();
            if (isset($known[$key])) {
                $this->at = $from;
                throw $this->wrong(\sprintf('"%s" stands twice in one object', $key));
            }
            $known[$key] = true;
            $this->blank();
            $this->want(':');
            $this->value('' === $path ? $key : $path.'.'.$key, $depth + 1);
        }
        ++$this->at;
    }

    private function list(string $path, int $depth): void
    {
        ++$this->at;
        $this->blank();
        for ($i = 0; ']' !== ($this->text[$this->at] ?? ''); ++$i) {
            if ($i > 0) {
                $this->want(',');
            }
            $this->value($path.'['.$i.']', $depth + 1);
        }
        ++$this->at;
    }

    private function string(): string
    {
        if (
            1 !==
            preg_match(
                '/\G"(?:[^"\\\\\x00-\x1F]|\\\\(?:["\\\\\/bfnrt]|u[0-9A-Fa-f]{4}))*+"/',
                $this->text,
                $m,
                0,
                $this->at,
            )
        ) {
            throw $this->wrong('a text in double quotes must stand here');
        }
        $text = json_decode($m[0]);
        if (!\is_string($text)) {
            throw $this->wrong('the text is not UTF-8');
        }
        $this->at += \strlen($m[0]);

        return $text;
    }

    private function word(): void
    {
        if (
            1 !==
            preg_match(
                '/\G(?:true|false|null|-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?)(?![\w.+-])/',
                $this->text,
                $m,
                0,
                $this->at,
            )
        ) {
            throw $this->wrong(
                $this->at >= \strlen($this->text) ? 'the file ends too early' : 'a value must stand here',
            );
        }
        $this->at += \strlen($m[0]);
    }

    private function want(string $sign): void
    {
        if (($this->text[$this->at] ?? '') !== $sign) {
            throw $this->wrong(
                $this->at >= \strlen($this->text)
                    ? 'the file ends too early'
                    : \sprintf('a "%s" must stand here', $sign),
            );
        }
        ++$this->at;
        $this->blank();
    }

    private function blank(): void
    {
        $this->at += strspn($this->text, " \t\r\n", $this->at);
    }

    private function wrong(string $reason): DocumentError
    {
        [$line, $column] = self::place($this->text, $this->at);

        return DocumentError::at(\sprintf('line %d, column %d', $line, $column), $reason.'.');
    }

    /** @return array{int, int} */
    private static function place(string $text, int $offset): array
    {
        $before = substr($text, 0, $offset);
        $line = substr_count($before, "\n") + 1;
        $start = strrpos($before, "\n");

        return [$line, mb_strlen(substr($before, false === $start ? 0 : $start + 1)) + 1];
    }
}
