<?php

declare(strict_types=1);

namespace App\Tests\Core\Flora;

use App\Tests\Support\Starter;
use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\FloraReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FloraReaderTest extends TestCase
{
    public function testReadsTheStarterFloraWhole(): void
    {
        $flora = Starter::flora();
        self::assertGreaterThanOrEqual(14, \count($flora->taxa));
        self::assertGreaterThanOrEqual(45, \count($flora->characters));
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->description->characters() as $id) {
                self::assertEqualsWithDelta(
                    1.0,
                    array_sum($taxon->description->frequencies($id) ?? [1.0]),
                    1e-9,
                    $taxon->id.' '.$id,
                );
            }
        }
    }

    public function testTheHashChangesWithTheContentOnly(): void
    {
        $document = Starter::document();
        $content = $document->content;
        self::assertSame($document->hash(), (new FloraDocument(array_reverse($content, true)))->hash());
        $content['edition'] = 'another';
        self::assertNotSame($document->hash(), (new FloraDocument($content))->hash());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unsafe(): iterable
    {
        $flower = 'taxa/sambucus-nigra/parts/flower/';
        $likened = static fn (string $taxon, string $severity, string ...$decisive): array => [
            ['taxon' => $taxon, 'severity' => $severity, 'note' => 'Looks like it.', 'decisive' => $decisive],
        ];
        yield 'a look-alike rated below its own hazards' => [
            [$flower.'look_alikes' => $likened('taxus-baccata', 'serious')],
            'by its own hazards it is deadly',
        ];
        yield 'bark that decides alone' => [
            [$flower.'look_alikes' => $likened('taxus-baccata', 'deadly', 'bark.surface')],
            'it cannot decide alone',
        ];
        yield 'a list of bark and outline' => [
            [
                $flower.'required' => [
                    ['character' => 'bark.surface', 'states' => ['corky'], 'samples' => 1],
                    ['character' => 'outline.stems', 'states' => ['several'], 'samples' => 1],
                ],
            ],
            'more telling than bark',
        ];
        yield 'a list of one organ' => [
            [
                $flower.'required' => [
                    ['character' => 'leaf.kind', 'states' => ['pinnate'], 'samples' => 1],
                    ['character' => 'leaf.margin', 'states' => ['fine-teeth'], 'samples' => 1],
                ],
            ],
            'two organs at least',
        ];
        yield 'a part nobody looks at' => [[$flower.'ripe' => null], 'needs a question about the part itself'];
        yield 'a list of nothing' => [[$flower.'required' => []], 'needs its required features'];
        yield 'a group it does not belong to' => [
            [
                'groups' => [['id' => 'firs', 'name' => 'firs', 'members' => ['abies-alba', 'picea-abies']]],
                $flower.'group' => 'firs',
            ],
            'does not hold sambucus-nigra itself',
        ];
        yield 'a dangerous kind off the roster' => [
            ['dangerous/taxus-baccata' => null],
            'does not name taxus-baccata, which is deadly',
        ];
        yield 'a dangerous kind made milder' => [
            ['taxa/taxus-baccata/hazards' => []],
            'by its own hazards it is harmless',
        ];
        yield 'hazards left out' => [['taxa/taxus-baccata/hazards' => null], 'hazards: is missing'];
        yield 'parts left out' => [['taxa/taxus-baccata/parts' => null], 'parts: is missing'];
        yield 'nevers left out' => [['taxa/taxus-baccata/never' => null], 'never: is missing'];
        yield 'a never in passing' => [
            ['taxa/taxus-baccata/description/leaf.kind' => ['needle' => 'always', 'simple' => 'never']],
            'stated under "never"',
        ];
        yield 'a never that is described' => [
            ['taxa/taxus-baccata/description/leaf.kind' => ['needle' => 'often', 'simple' => 'rarely']],
            'is stated never, and',
        ];
        yield 'the format in which silence excluded' => [
            ['format' => 'hylognosis-flora/1'],
            'Migrate the document with',
        ];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('unsafe')]
    public function testRefusesWhatWouldLetADangerThrough(array $changes, string $message): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($message, '/').'/');
        Starter::changed($changes);
    }

    public function testRefusesAnUnknownFormat(): void
    {
        $this->expectExceptionMessage('format: must be "hylognosis-flora/2".');
        (new FloraReader())->read(new FloraDocument(['format' => 'other/1']));
    }
}
