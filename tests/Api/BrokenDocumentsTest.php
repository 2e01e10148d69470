<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Library\FloraFiles;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

/**
 * Documents with one thing broken: the shell answers, or says in a sentence what is wrong where (exit 0 or 2), and
 * never falls over.
 */
final class BrokenDocumentsTest extends KernelTestCase
{
    private const EVIL = [
        null,
        '',
        ' ',
        "\u{0}",
        '../x',
        -1,
        0,
        0.5,
        1e308,
        99999999999,
        true,
        false,
        [],
        [null],
        [[]],
        ['a' => 'b'],
        ['7' => 'b'],
        '2027-02-30',
        '7',
        'always',
        'leaf.kind',
        'simple',
        'sambucus-nigra',
    ];

    private Randomizer $random;

    /** @return iterable<string, array{string, array<string, mixed>, array<mixed>, int}> */
    public static function documents(): iterable
    {
        yield 'examination' => [
            'hylognosis:examine',
            [],
            [
                'flora' => 'central-european-hills',
                'date' => '2027-06-14',
                'stage' => 'mature',
                'place' => ['latitude' => 47.12, 'longitude' => 15.31, 'altitude_m' => 560],
                'examiner' => 'instructor',
                'permission' => true,
                'by' => 'marta',
                'decided_on' => '2027-06-14',
                'observations' => [
                    [
                        'character' => 'leaf.kind',
                        'states' => ['pinnate'],
                        'samples' => 2,
                        'certainty' => 'sure',
                        'where' => 'tree',
                    ],
                    ['character' => 'leaf.leaflet-count', 'numbers' => [5, 7]],
                ],
                'claim' => ['taxon' => 'sambucus-nigra', 'part' => 'flower', 'conditions' => ['in-full-bloom' => true]],
            ],
            400,
        ];
        yield 'flora' => [
            'hylognosis:flora',
            ['what' => 'check'],
            (new FloraFiles())->load(\dirname(__DIR__).'/Support/starter-flora')[1]->content,
            150,
        ];
    }

    /**
     * @param array<string, mixed> $arguments
     * @param array<mixed>         $document
     */
    #[DataProvider('documents')]
    public function testTheShellNeverFallsOver(string $command, array $arguments, array $document, int $many): void
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(7));
        $kernel = self::bootKernel();
        $shell = new CommandTester((new Application($kernel))->find($command));
        $file = (string) tempnam(sys_get_temp_dir(), 'broken');
        $codes = [];
        try {
            for ($i = 0; $i <= $many; ++$i) {
                $text = json_encode(
                    0 === $i ? $document : $this->broken($document),
                    \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
                );
                file_put_contents($file, $text);
                try {
                    $code = $shell->execute(
                        $arguments + ['flora' === explode(':', $command)[1] ? 'name' : 'file' => $file],
                    );
                } catch (\Throwable $error) {
                    self::fail(
                        $error::class.
                            ': '.
                            $error->getMessage().
                            ' in '.
                            basename($error->getFile()).
                            ':'.
                            $error->getLine().
                            "\n".
                            substr($text, 0, 1500),
                    );
                }
                if (0 === $i) {
                    self::assertSame(0, $code, $shell->getDisplay());
                }
                self::assertContains($code, [0, 2], $text);
                $codes[$code] = ($codes[$code] ?? 0) + 1;
                if (2 === $code) {
                    self::assertSame(1, substr_count(trim($shell->getDisplay()), "\n") + 1, $shell->getDisplay());
                }
            }
        } finally {
            unlink($file);
        }
        self::assertGreaterThan($many / 20, $codes[0] ?? 0, 'not everything that is odd is wrong');
        self::assertGreaterThan($many / 4, $codes[2] ?? 0);
    }

    /**
     * @param array<mixed> $document
     *
     * @return array<mixed>
     */
    private function broken(array $document): array
    {
        $key = [] === $document ? 'unheard-of' : $this->one([...array_keys($document), 'unheard-of']);
        if (0 === $this->random->getInt(0, 9)) {
            unset($document[$key]);
        } elseif (\is_array($document[$key] ?? null) && 0 !== $this->random->getInt(0, 3)) {
            $document[$key] = $this->broken($document[$key]);
        } else {
            $document[1 === $this->random->getInt(1, 10) ? 7 : $key] = $this->one(self::EVIL);
        }

        return $document;
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $of
     *
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, \count($of) - 1)];
    }
}
