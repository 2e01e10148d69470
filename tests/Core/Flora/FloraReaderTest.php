<?php

declare(strict_types=1);

namespace App\Tests\Core\Flora;

use App\Library\FloraFiles;
use App\Library\FloraRefused;
use App\Library\FloraSchema;
use App\Tests\Support\Starter;
use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\FloraReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;

final class FloraReaderTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../Support/starter-flora';

    private string $copy;

    protected function setUp(): void
    {
        $this->copy = sys_get_temp_dir().'/hylognosis-flora-'.bin2hex(random_bytes(4));
        (new Filesystem())->mirror(self::FOLDER, $this->copy);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->copy);
    }

    public function testReadsTheStarterFloraWhole(): void
    {
        [$flora] = (new FloraFiles())->load(self::FOLDER);
        self::assertGreaterThanOrEqual(14, \count($flora->taxa));
        self::assertGreaterThanOrEqual(45, \count($flora->characters));
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->description->characters() as $id) {
                self::assertEqualsWithDelta(1.0, array_sum($taxon->description->frequencies($id) ?? [1.0]), 1e-9, $taxon->id.' '.$id);
            }
        }
    }

    public function testExportAndReimportGiveTheSameHash(): void
    {
        [$flora, $document] = (new FloraFiles())->load(self::FOLDER);
        $file = $this->copy.'/exported.json';
        file_put_contents($file, json_encode($document->content, \JSON_PRETTY_PRINT));
        self::assertSame($flora->hash, (new FloraFiles())->load($file)[0]->hash);
    }

    public function testTheExtensionReadsWhatTheOtherReaderReads(): void
    {
        if (!\function_exists('yaml_parse')) {
            self::markTestSkipped('The yaml extension is not there.');
        }
        $slowly = new FloraFiles(quickly: false);
        foreach ([...(array) glob(\dirname(__DIR__, 3).'/flora/*/flora.yaml'), self::FOLDER.'/flora.yaml'] as $file) {
            self::assertSame($slowly->load(\dirname((string) $file))[1]->hash(), (new FloraFiles())->load(\dirname((string) $file))[1]->hash(), (string) $file);
        }
        // Words only an older YAML takes for something else stay words, on every machine.
        file_put_contents($this->copy.'/flora.yaml', str_replace('title:', "title: \"x\"\nodd: [yes, no, on, off, 1:30, 1_000, 017, 0x1F, 1e3, .5, true, False, ~, 12, -3.5]\nformer:", (string) file_get_contents($this->copy.'/flora.yaml')));
        $read = static function (FloraFiles $files, string $folder): mixed {
            $method = new \ReflectionMethod($files, 'yaml');

            return ((array) $method->invoke($files, $folder, 'flora.yaml'))['odd'];
        };
        $odd = $read(new FloraFiles(), $this->copy);
        self::assertSame($read($slowly, $this->copy), $odd);
    }

    public function testTheHashChangesWithTheContentOnly(): void
    {
        [, $document] = (new FloraFiles())->load(self::FOLDER);
        $content = $document->content;
        self::assertSame($document->hash(), (new FloraDocument(array_reverse($content, true)))->hash());
        $content['edition'] = 'another';
        self::assertNotSame($document->hash(), (new FloraDocument($content))->hash());
    }

    public function testTheStarterFloraFitsThePublishedSchema(): void
    {
        [, $document] = (new FloraFiles())->load(self::FOLDER);
        $schema = new FloraSchema(__DIR__.'/../../../flora/schema/flora.schema.json');
        $schema->validate('starter', $document);
        $taxa = $document->content['taxa'];
        self::assertIsArray($taxa);
        self::assertIsArray($taxa[0]);
        unset($taxa[0]['family']);
        $this->expectExceptionMessageMatches('/taxa\.0.*family/s');
        $schema->validate('starter', new FloraDocument(['taxa' => $taxa] + $document->content));
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function faults(): iterable
    {
        $elder = 'taxa/sambucus-nigra.yaml';
        yield 'an unknown state' => [$elder, 'flower.head: flat', 'flower.head: square', $elder.': description.flower.head No state "square" in this flora; nearest:'];
        yield 'an unknown character' => [$elder, '  leaf.kind: pinnate', '  leaf.sort: pinnate', $elder.': description.leaf.sort No character "leaf.sort" in this flora; nearest: leaf.'];
        yield 'an unknown word for how often' => [$elder, 'sweet: usually', 'sweet: mostly', $elder.': description.scent.flower.sweet "mostly" is not known here; known: always'];
        yield 'a range that falls' => [$elder, '"(3–)5–7(–9)"', '"(6–)5–7(–9)"', $elder.': description.leaf.leaflet-count A range must rise'];
        yield 'a missing name' => [$elder, "\nname: Sambucus nigra", '', $elder.': name is missing.'];
        yield 'a day that does not exist' => [$elder, 'window: ["05-25"', 'window: ["02-30"', $elder.': parts.flower.window "02-30" is no day of the year'];
        yield 'a look-alike that is not there' => [$elder, 'taxon: sambucus-ebulus', 'taxon: sambucus-ebulis', $elder.': parts.flower.look_alikes No taxon "sambucus-ebulis" in this flora; nearest: sambucus-ebulus'];
        yield 'a decisive character that is not there' => [$elder, 'taxon: sambucus-ebulus,', 'taxon: sambucus-ebulus, decisive: [twig.pit],', $elder.': parts.flower.look_alikes[0].decisive No character "twig.pit" in this flora; nearest: twig.pith'];
        yield 'a decision resting on what varies' => ['characters.yaml', "- id: twig.pith\n", "- id: twig.pith\n  varies: true\n", 'taxa/aesculus-hippocastanum.yaml: never[9].character "twig.pith" tells of size, place or what a storm or a planter can change: it can rank, but never be stated never.'];
        yield 'a source that is not there' => [$elder, 'source: frohne', 'source: frone', $elder.': hazards[0].sources[0].source No source "frone" in this flora; nearest: frohne'];
        yield 'a key nobody knows' => [$elder, "\nfamily:", "\ncolour: green\nfamily:", $elder.': colour is not known here'];
        yield 'misreading out of bounds' => ['characters.yaml', 'misreading: 0.02', 'misreading: 0.9', 'characters.yaml: [0].misreading must lie between 0 and 0.3; it is 0.9.'];
        yield 'a file named otherwise than its id' => [$elder, 'id: sambucus-nigra', 'id: sambucus', $elder.': id must be "sambucus-nigra", as the file is named.'];
        yield 'YAML that is none' => [$elder, 'status: {', 'status: {{', $elder.': '];
    }

    #[DataProvider('faults')]
    public function testRefusesAFaultyFileByFilePathAndReason(string $file, string $search, string $replace, string $message): void
    {
        $text = (string) file_get_contents($this->copy.'/'.$file);
        $at = strpos($text, $search);
        self::assertIsInt($at, 'The file no longer holds '.$search);
        file_put_contents($this->copy.'/'.$file, substr_replace($text, $replace, $at, \strlen($search)));
        $this->expectException(FloraRefused::class);
        $this->expectExceptionMessageMatches('/^'.preg_quote($message, '/').'/');
        (new FloraFiles())->load($this->copy);
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        yield 'a kind' => ['taxa/taxus-baccata.yaml'];
        yield 'the flora itself' => ['flora.yaml'];
        yield 'the characters' => ['characters.yaml'];
    }

    /** Half a yew must never be a harmless yew. */
    #[DataProvider('files')]
    public function testAFileCutOffAtAnyLineIsRefused(string $file): void
    {
        $lines = explode("\n", (string) file_get_contents($this->copy.'/'.$file));
        for ($kept = 1; $kept < \count($lines) - 1; $kept += max(1, intdiv(\count($lines), 60))) {
            file_put_contents($this->copy.'/'.$file, implode("\n", \array_slice($lines, 0, $kept)));
            try {
                (new FloraFiles())->load($this->copy);
                self::fail("Taken with the first $kept lines.");
            } catch (FloraRefused $refused) {
                self::assertStringContainsString(basename($file), $refused->getMessage());
            }
        }
        file_put_contents($this->copy.'/'.$file, implode("\n", $lines));
        self::assertNotEmpty((new FloraFiles())->load($this->copy)[0]->dangerous());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function unsafe(): iterable
    {
        $flower = 'taxa/sambucus-nigra/parts/flower/';
        $likened = static fn (string $taxon, string $severity, string ...$decisive): array => [['taxon' => $taxon, 'severity' => $severity, 'note' => 'Looks like it.', 'decisive' => $decisive]];
        yield 'a look-alike rated below its own hazards' => [[$flower.'look_alikes' => $likened('taxus-baccata', 'serious')], 'by its own hazards it is deadly'];
        yield 'bark that decides alone' => [[$flower.'look_alikes' => $likened('taxus-baccata', 'deadly', 'bark.surface')], 'it cannot decide alone'];
        yield 'a list of bark and outline' => [[$flower.'required' => [['character' => 'bark.surface', 'states' => ['corky'], 'samples' => 1], ['character' => 'outline.stems', 'states' => ['several'], 'samples' => 1]]], 'more telling than bark'];
        yield 'a list of one organ' => [[$flower.'required' => [['character' => 'leaf.kind', 'states' => ['pinnate'], 'samples' => 1], ['character' => 'leaf.margin', 'states' => ['fine-teeth'], 'samples' => 1]]], 'two organs at least'];
        yield 'a part nobody looks at' => [[$flower.'ripe' => null], 'needs a question about the part itself'];
        yield 'a list of nothing' => [[$flower.'required' => []], 'needs its required features'];
        yield 'a group it does not belong to' => [['groups' => [['id' => 'firs', 'name' => 'firs', 'members' => ['abies-alba', 'picea-abies']]], $flower.'group' => 'firs'], 'does not hold sambucus-nigra itself'];
        yield 'a dangerous kind off the roster' => [['dangerous/taxus-baccata' => null], 'does not name taxus-baccata, which is deadly'];
        yield 'a dangerous kind made milder' => [['taxa/taxus-baccata/hazards' => []], 'by its own hazards it is harmless'];
        yield 'hazards left out' => [['taxa/taxus-baccata/hazards' => null], 'hazards: is missing'];
        yield 'parts left out' => [['taxa/taxus-baccata/parts' => null], 'parts: is missing'];
        yield 'nevers left out' => [['taxa/taxus-baccata/never' => null], 'never: is missing'];
        yield 'a never in passing' => [['taxa/taxus-baccata/description/leaf.kind' => ['needle' => 'always', 'simple' => 'never']], 'stated under "never"'];
        yield 'a never that is described' => [['taxa/taxus-baccata/description/leaf.kind' => ['needle' => 'often', 'simple' => 'rarely']], 'is stated never, and'];
        yield 'the format in which silence excluded' => [['format' => 'hylognosis-flora/1'], 'Migrate the document with'];
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
