<?php

declare(strict_types=1);

namespace App\Learning;

/** What draws a practice tree: the flora, the month, and a lot. The same code draws the same tree, for anybody. */
final readonly class PracticeCode
{
    public const PATTERN = '[a-z][a-z-]{2,60}\.(0[1-9]|1[0-2])\.[0-9a-z]{1,6}';

    /**
     * @param string $flora name of a shipped flora
     * @param int    $month 1 to 12
     * @param int    $seed  0 or more
     */
    public function __construct(public string $flora, public int $month, public int $seed)
    {
    }

    /** @throws \InvalidArgumentException if it is no code */
    public static function parse(string $text): self
    {
        if (1 !== preg_match('/^'.self::PATTERN.'$/D', $text)) {
            throw new \InvalidArgumentException(\sprintf('"%s" is no code of a practice tree.', $text));
        }
        [$flora, $month, $seed] = explode('.', $text);

        return new self($flora, (int) $month, (int) base_convert($seed, 36, 10));
    }

    public function __toString(): string
    {
        return \sprintf('%s.%02d.%s', $this->flora, $this->month, base_convert((string) $this->seed, 10, 36));
    }
}
