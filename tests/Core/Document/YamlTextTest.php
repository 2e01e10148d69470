<?php

declare(strict_types=1);

namespace App\Tests\Core\Document;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\YamlText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class YamlTextTest extends TestCase
{
    /** @return iterable<string, array{string, array<mixed>}> */
    public static function read(): iterable
    {
        yield 'yes and no are words' => [
            'odd: [yes, no, on, off, true, False, ~]',
            ['odd' => ['yes', 'no', 'on', 'off', true, false, null]],
        ];
        yield 'odd numbers are words' => [
            'odd: [1:30, 1_000, 017, 0x1F, 1e3, .5, 12, -3.5, 2027-06-14]',
            ['odd' => ['1:30', '1_000', '017', '0x1F', '1e3', '.5', 12, -3.5, '2027-06-14']],
        ];
        yield 'the same key in another map' => [
            "list:\n  - a: 1\n    b: 2\n  - a: 3\n    c: {a: 4, d: [{a: 5}, {a: 6}]}\nnext:\n  a: 7\n  e:\n    a: 8\n",
            [
                'list' => [['a' => 1, 'b' => 2], ['a' => 3, 'c' => ['a' => 4, 'd' => [['a' => 5], ['a' => 6]]]]],
                'next' => ['a' => 7, 'e' => ['a' => 8]],
            ],
        ];
        yield 'what looks like a key in quotes, comments and words' => [
            "a: \"b: \\\"c: d\" # a: e\nf: 'it''s: a: so'\ng: http://x.example/a:1\nh: a#b\n\"i\": [j, \"k: l\"]\n",
            ['a' => 'b: "c: d', 'f' => "it's: a: so", 'g' => 'http://x.example/a:1', 'h' => 'a#b', 'i' => ['j', 'k: l']],
        ];
    }

    /** @param array<mixed> $content */
    #[DataProvider('read')]
    public function testReads(string $text, array $content): void
    {
        self::assertSame($content, YamlText::parse($text));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'a key said twice' => ["a: 1\nhazards: [x]\nb: {hazards: 3}\nhazards: []\n", 'says "hazards" twice, in line 2 and in line 4.'];
        yield 'in brackets' => ['a: {b: 1, c: {b: 2}, b: 3}', 'says "b" twice, in line 1 and in line 1.'];
        yield 'in an item of a list' => ["- a: 1\n  b: 2\n  a: 3\n", 'says "a" twice, in line 1 and in line 3.'];
        yield 'after a deeper map' => ["a:\n  b:\n    c: 1\n  d: 2\n  b: 3\n", 'says "b" twice, in line 2 and in line 5.'];
        yield 'in other quotes' => ["'a': 1\n\"a\": 2\n", 'says "a" twice'];
        yield 'half a bracket' => ["a: {b\nc: d", 'is no YAML: '];
        yield 'a word' => ['yew', 'must hold a map or a list.'];
        yield 'nothing' => ['', 'must hold a map or a list.'];
        yield 'two documents' => ["a: 1\n---\nb: 2\n", 'holds more than one document.'];
        yield 'an anchor' => ["a: &b {c: 1}\nd: *b\n", 'has an anchor in line 1'];
        yield 'a block of text' => ["a: 1\nb: |\n  c: 2\n", 'has a block of text in line 2'];
    }

    #[DataProvider('refused')]
    public function testRefusesWhatCouldBeMisread(string $text, string $why): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage($why);
        YamlText::parse($text);
    }
}
