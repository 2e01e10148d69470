<?php

declare(strict_types=1);

namespace App\Learning;

/** What draws a practice tree: the flora, the month, and a lot. The same code draws the same tree, for anybody. */
final readonly class PracticeCode
{
    public const PATTERN =
        '[a-z][a-z-]{2,60}\.(0[1-9]|1[0-2])\.[0-9a-z]{1,6}(\.[a-z][a-z0-9-]{2,60}\.[a-z][a-z0-9-]{1,40})?'.
        '|'.self::OF_THE_SCHOOL;
    /** Of a tree of the school itself. */
    private const OF_THE_SCHOOL = 'tree\.[0-9a-f]{16}';
    private const LONGEST = 90;

    /**
     * @param string $flora name of a shipped flora
     * @param int    $month 1 to 12
     * @param int    $seed  0 or more
     * @param string $taxon of which a part is hoped for; empty: the lot says
     * @param string $part  which
     * @param string $tree  of a tree of the school, by the hash of its examination; empty: it is drawn by lot
     */
    public function __construct(
        public string $flora,
        public int $month,
        public int $seed,
        public string $taxon = '',
        public string $part = '',
        public string $tree = '',
    ) {
    }

    /** @throws \InvalidArgumentException if it is no code */
    public static function parse(string $text): self
    {
        if (1 === preg_match('/^'.self::OF_THE_SCHOOL.'$/D', $text)) {
            return new self('', 0, 0, tree: substr($text, 5));
        }
        if (\strlen($text) > self::LONGEST || 1 !== preg_match('/^(?:'.self::PATTERN.')$/D', $text)) {
            throw new \InvalidArgumentException(\sprintf('"%s" is no code of a practice tree.', $text));
        }
        [$flora, $month, $seed, $taxon, $part] = explode('.', $text) + ['', '', '', '', ''];

        return new self($flora, (int) $month, (int) base_convert($seed, 36, 10), $taxon, $part);
    }

    public function __toString(): string
    {
        if ('' !== $this->tree) {
            return 'tree.'.$this->tree;
        }

        return \sprintf(
            '%s.%02d.%s%s',
            $this->flora,
            $this->month,
            base_convert((string) $this->seed, 10, 36),
            '' === $this->taxon ? '' : ".$this->taxon.$this->part",
        );
    }
}
