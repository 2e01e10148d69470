<?php

declare(strict_types=1);

namespace App\Tests\Core\Document;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class JsonTextTest extends TestCase
{
    #[TestWith(['{"a": [{"b": 1}, {"b": 2}], "c": {"b": "b\": \"a"}, "0": {"0": 1}, "\u00e9": "{\"a\": 1}"}'])]
    #[TestWith(['[]'])]
    #[TestWith(['"a"'])]
    public function testReadsWhatSaysEverythingOnce(string $text): void
    {
        self::assertSame(json_decode($text, true), JsonText::parse($text, 8));
    }

    #[TestWith(['{"a": 1, "hazards": ["x"], "b": {"hazards": 3}, "hazards": []}', 'says "hazards" twice in one object.'])]
    #[TestWith(['[{"a": 1, "\u0061": 2}]', 'says "a" twice'])]
    #[TestWith(['{"a": ', 'is not valid JSON: Syntax error.'])]
    #[TestWith(['[[[[[[[[[1]]]]]]]]]', 'is not valid JSON: Maximum stack depth exceeded.'])]
    public function testRefusesWhatSaysAKeyTwice(string $text, string $why): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage($why);
        JsonText::parse($text, 8);
    }
}
