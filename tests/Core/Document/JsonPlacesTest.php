<?php

declare(strict_types=1);

namespace App\Tests\Core\Document;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonPlaces;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where in a file a fault stands is told as an editor counts. */
final class JsonPlacesTest extends TestCase
{
    public function testLineAndColumnOfEachValue(): void
    {
        $text = "{\n  \"ä\": [1,\n    {\"b\": null}],\n \"c\":\t\"x\\\"y\" }";
        $at = JsonPlaces::of($text);
        self::assertSame([1, 1], $at(''));
        self::assertSame([2, 8], $at('ä'));
        self::assertSame([2, 9], $at('ä[0]'));
        self::assertSame([3, 11], $at('ä[1].b'));
        self::assertSame([4, 7], $at('c'));
        self::assertSame([3, 5], $at('ä[1].missing'), 'what is around it');
        self::assertSame([1, 1], $at('nowhere.at[3].all'));
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        yield 'nothing' => ['', 'line 1, column 1: the file ends too early.'];
        yield 'a comma too many' => ["{\"a\": 1,\n}", 'line 2, column 1: a text in double quotes must stand here.'];
        yield 'a comma too few' => ['[1 2]', 'line 1, column 4: a "," must stand here.'];
        yield 'a leading nought' => ['[01]', 'line 1, column 2: a value must stand here.'];
        yield 'single quotes' => ["['a']", 'line 1, column 2: a value must stand here.'];
        yield 'cut short' => ["{\"a\": [\n1", 'line 2, column 2: the file ends too early.'];
        yield 'more behind' => ['{} {}', 'line 1, column 4: nothing more may stand here.'];
        yield 'a key twice' => ["{\"a\": 1,\n\"a\": 2}", 'line 2, column 1: "a" stands twice in one object.'];
        yield 'a line break in a text' => ["[\"a\nb\"]", 'line 1, column 2: a text in double quotes must stand here.'];
        yield 'not UTF-8' => ["[\"\xff\"]", 'line 1, column 2: the text is not UTF-8.'];
        yield 'too deep' => [str_repeat('[', 80).str_repeat(']', 80), 'line 1, column 66: it is nested too deep.'];
    }

    #[DataProvider('broken')]
    public function testWhatIsNoJsonSaysWhere(string $text, string $message): void
    {
        try {
            JsonPlaces::of($text);
            self::fail('It was taken.');
        } catch (DocumentError $error) {
            self::assertSame($message, $error->getMessage());
        }
    }
}
