<?php

declare(strict_types=1);

namespace App\Tests\Library;

use App\Library\FloraFiles;
use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\FloraReader;
use PHPUnit\Framework\TestCase;

/** The published schema and the readers each hold a list of what may stand in a flora: the two are one. */
final class SchemaTest extends TestCase
{
    private const SCHEMA = __DIR__.'/../../flora/schema/flora.schema.json';
    /** Maps whose names are words of a vocabulary; the reader names those in words of its own. */
    private const VOCABULARIES = [
        '/$defs/taxon/properties/calendar',
        '/$defs/taxon/properties/stages',
        '/$defs/taxon/properties/positions',
        '/$defs/taxon/properties/figures',
    ];

    /** @var array<mixed> */
    private array $schema;
    /**
     * @var array<string, array{list<string|int>, list<string>}> place in the schema → a place like it in the document,
     *     and the names it allows
     */
    private array $places = [];

    public function testTheReadersKnowWhatTheSchemaKnows(): void
    {
        $schema = json_decode((string) file_get_contents(self::SCHEMA), true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($schema);
        $this->schema = $schema;
        $content = self::withOneOfEach((new FloraFiles())->load(\dirname(__DIR__).'/Support/starter-flora')[1]->content);
        (new FloraReader())->read(new FloraDocument($content)); // as it is, nothing is wrong with it
        $this->visit('', $schema, $content, []);
        self::assertSame(
            [],
            array_diff($this->closed('', $schema), array_keys($this->places), self::VOCABULARIES),
            'the document of the test has nothing there',
        );
        foreach ($this->places as $place => [$path, $allowed]) {
            if (\in_array($place, self::VOCABULARIES, true)) {
                continue;
            }
            try {
                (new FloraReader())->read(new FloraDocument(self::spoiled($content, $path)));
                self::fail('The reader takes anything at '.$place);
            } catch (DocumentError $error) {
                self::assertStringEndsWith('what-nobody-knows', $error->path, $place);
                self::assertSame(
                    1,
                    preg_match('/^is not known here; known: (.*)\.$/', $error->reason, $known),
                    $place.' '.$error->reason,
                );
                self::assertEqualsCanonicalizing($allowed, explode(', ', $known[1]), $place);
            }
        }
    }

    /**
     * @param array<mixed>     $content
     * @param list<string|int> $path
     *
     * @return array<string, mixed>
     */
    private static function spoiled(array $content, array $path): array
    {
        if ([] === $path) {
            $content['what-nobody-knows'] = 1;
        }
        $within = [] === $path ? null : $content[$path[0]] ?? null;
        if (\is_array($within)) {
            $content[$path[0]] = self::spoiled($within, \array_slice($path, 1));
        }
        $named = [];
        foreach ($content as $name => $value) {
            $named[(string) $name] = $value;
        }

        return $named;
    }

    /**
     * @param array<string, mixed> $content
     *
     * @return array<string, mixed>
     */
    private static function withOneOfEach(array $content): array
    {
        $content['groups'] = [
            ['id' => 'elders', 'name' => 'Elders', 'members' => ['sambucus-nigra', 'sambucus-racemosa']],
        ];
        $content['hybrids'] = [
            [
                'id' => 'sambucus-strumpfii',
                'name' => 'Sambucus × strumpfii',
                'common' => 'hybrid elder',
                'parents' => ['sambucus-nigra', 'sambucus-racemosa'],
                'note' => 'Rare.',
            ],
        ];
        $content['figures'] = ['heat' => [['source' => 'common-practice', 'memory' => true]]];
        self::assertIsArray($content['characters']);
        self::assertIsArray($content['taxa']);
        $content['characters'] = array_map(
            static fn (mixed $character): mixed => \is_array($character) && 'leaf.arrangement' === $character['id']
                ? [
                    'groups' => [
                        [
                            'id' => 'in-pairs-or-rings',
                            'label' => 'in pairs or rings',
                            'definition' => 'Two or more at one height.',
                            'states' => ['opposite', 'whorled'],
                        ],
                    ],
                ] + $character
                : $character,
            $content['characters'],
        );
        $read = static fn (mixed $never): mixed => \is_array($never)
            ? ['reviews' => [['who' => 'Somebody', 'on' => '2026-11-26', 'verdict' => 'agreed', 'note' => 'Yes.']]] +
                $never
            : $never;
        $content['taxa'] = array_map(
            static fn (mixed $taxon): mixed => \is_array($taxon) && \is_array($taxon['never'] ?? null)
                ? [
                    'never' => array_map($read, $taxon['never']),
                    'no_record' => [
                        [
                            'who' => ['birds'],
                            'note' => 'Looked for.',
                            'sources' => [['source' => 'frohne', 'memory' => true]],
                        ],
                    ],
                ] + $taxon
                : $taxon,
            $content['taxa'],
        );

        return $content;
    }

    /**
     * @param array<mixed>     $schema
     * @param list<string|int> $path
     */
    private function visit(string $place, array $schema, mixed $value, array $path): void
    {
        if (\is_string($schema['$ref'] ?? null)) {
            $place = substr($schema['$ref'], 1);
            $schema = self::below($this->schema, $place);
        }
        if (!\is_array($value)) {
            return;
        }
        $properties = \is_array($schema['properties'] ?? null) ? $schema['properties'] : [];
        if ([] !== $properties && false === ($schema['additionalProperties'] ?? null)) {
            $this->places[$place] ??= [$path, array_map(strval(...), array_keys($properties))];
        }
        foreach ($value as $key => $entry) {
            $next = match (true) {
                \is_int($key) => ['/items', $schema['items'] ?? null],
                isset($properties[$key]) => ['/properties/'.$key, $properties[$key]],
                default => ['/additionalProperties', $schema['additionalProperties'] ?? null],
            };
            if (\is_array($next[1])) {
                $this->visit($place.$next[0], $next[1], $entry, [...$path, $key]);
            }
        }
    }

    /**
     * @param array<mixed> $schema
     *
     * @return list<string> the places in which only certain names may stand
     */
    private function closed(string $place, array $schema): array
    {
        $closed = isset($schema['properties']) && false === ($schema['additionalProperties'] ?? null) ? [$place] : [];
        foreach ($schema as $key => $entry) {
            if (\is_array($entry)) {
                array_push($closed, ...$this->closed($place.'/'.$key, $entry));
            }
        }

        return $closed;
    }

    /**
     * @param array<mixed> $schema
     *
     * @return array<mixed>
     */
    private static function below(array $schema, string $place): array
    {
        foreach (explode('/', ltrim($place, '/')) as $key) {
            $schema = $schema[$key] ?? null;
            self::assertIsArray($schema, $place);
        }

        return $schema;
    }
}
