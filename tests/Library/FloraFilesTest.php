<?php

declare(strict_types=1);

namespace App\Tests\Library;

use App\Library\FloraFiles;
use App\Library\FloraRefused;
use App\Library\FloraSchema;
use Hylognosis\Flora\FloraDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;

/** Floras as files: what is wrong is told by file, place and reason, and nothing of it is taken. */
final class FloraFilesTest extends TestCase
{
    private const FOLDER = __DIR__.'/../Support/starter-flora';

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

    public function testExportAndReimportGiveTheSameHash(): void
    {
        [$flora, $document] = (new FloraFiles())->load(self::FOLDER);
        $file = $this->copy.'/exported.json';
        file_put_contents($file, json_encode($document->content, \JSON_PRETTY_PRINT));
        self::assertSame($flora->hash, (new FloraFiles())->load($file)[0]->hash);
    }

    public function testTheStarterFloraFitsThePublishedSchema(): void
    {
        [, $document] = (new FloraFiles())->load(self::FOLDER);
        $schema = new FloraSchema(__DIR__.'/../../flora/schema/flora.schema.json');
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
        yield 'an unknown state' => [
            $elder,
            'flower.head: flat',
            'flower.head: square',
            $elder.': description.flower.head No state "square" in this flora; nearest:',
        ];
        yield 'an unknown character' => [
            $elder,
            '  leaf.kind: pinnate',
            '  leaf.sort: pinnate',
            $elder.': description.leaf.sort No character "leaf.sort" in this flora; nearest: leaf.',
        ];
        yield 'an unknown word for how often' => [
            $elder,
            'sweet: usually',
            'sweet: mostly',
            $elder.': description.scent.flower.sweet "mostly" is not known here; known: always',
        ];
        yield 'a range that falls' => [
            $elder,
            '"(3–)5–7(–9)"',
            '"(6–)5–7(–9)"',
            $elder.': description.leaf.leaflet-count A range must rise',
        ];
        yield 'a missing name' => [$elder, "\nname: Sambucus nigra", '', $elder.': name is missing.'];
        yield 'a day that does not exist' => [
            $elder,
            'window: ["05-25"',
            'window: ["02-30"',
            $elder.': parts.flower.window "02-30" is no day of the year',
        ];
        yield 'a look-alike that is not there' => [
            $elder,
            'taxon: sambucus-ebulus',
            'taxon: sambucus-ebulis',
            $elder.': parts.flower.look_alikes No taxon "sambucus-ebulis" in this flora; nearest: sambucus-ebulus',
        ];
        yield 'a decisive character that is not there' => [
            $elder,
            'taxon: sambucus-ebulus,',
            'taxon: sambucus-ebulus, decisive: [twig.pit],',
            $elder.': parts.flower.look_alikes[0].decisive No character "twig.pit" in this flora; nearest: twig.pith',
        ];
        yield 'a decision resting on what varies' => [
            'characters.yaml',
            "- id: twig.pith\n",
            "- id: twig.pith\n  varies: true\n",
            'taxa/aesculus-hippocastanum.yaml: never[9].character "twig.pith" tells of size, place or what a '.
                'storm or a planter can change: it can rank, but never be stated never.',
        ];
        yield 'a source that is not there' => [
            $elder,
            'source: frohne',
            'source: frone',
            $elder.': hazards[0].sources[0].source No source "frone" in this flora; nearest: frohne',
        ];
        yield 'a key nobody knows' => [
            $elder,
            "\nfamily:",
            "\ncolour: green\nfamily:",
            $elder.': colour is not known here',
        ];
        yield 'misreading out of bounds' => [
            'characters.yaml',
            'misreading: 0.02',
            'misreading: 0.9',
            'characters.yaml: [0].misreading must lie between 0 and 0.3; it is 0.9.',
        ];
        yield 'a file named otherwise than its id' => [
            $elder,
            'id: sambucus-nigra',
            'id: sambucus',
            $elder.': id must be "sambucus-nigra", as the file is named.',
        ];
        yield 'a key that is said twice' => [$elder, "\nhazards:", "\nhazards: []\nhazards:", $elder.': says "hazards" twice, in line'];
        yield 'YAML that is none' => [$elder, 'status: {', 'status: {{', $elder.': is no YAML: '];
    }

    #[DataProvider('faults')]
    public function testRefusesAFaultyFileByFilePathAndReason(
        string $file,
        string $search,
        string $replace,
        string $message,
    ): void {
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
}
