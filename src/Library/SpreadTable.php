<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Measure\Length;
use Hylognosis\Range\NativeRange;
use Hylognosis\Range\Rarity;
use Hylognosis\Range\Spread;
use Hylognosis\Range\SpreadWay;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What spreads, what is rare and where it is native, by flora, from flora/spreading.yaml.
 *
 * @phpstan-type Read array{
 *     spread: array<string, Spread>,
 *     rare: array<string, Rarity>,
 *     native: array<string, NativeRange>,
 * }
 */
final class SpreadTable
{
    /** @var Read|null */
    private ?array $read = null;

    public function __construct(#[Autowire('%kernel.project_dir%/flora/spreading.yaml')] private readonly string $file)
    {
    }

    /** @throws DocumentError if the file is not as it should be */
    public function spread(string $flora, string $taxon): ?Spread
    {
        return $this->read()['spread'][$flora.'/'.$taxon] ?? null;
    }

    /** @throws DocumentError if the file is not as it should be */
    public function rarity(string $flora, string $taxon): ?Rarity
    {
        return $this->read()['rare'][$flora.'/'.$taxon] ?? null;
    }

    /**
     * @return NativeRange|null null: the file says nothing of it; it may be native all over the region, or nowhere
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function native(string $flora, string $taxon): ?NativeRange
    {
        return $this->read()['native'][$flora.'/'.$taxon] ?? null;
    }

    /** @return list<string> all that it names, as "flora/taxon" */
    public function named(): array
    {
        return array_keys([...$this->read()['spread'], ...$this->read()['rare'], ...$this->read()['native']]);
    }

    /** @return Read */
    private function read(): array
    {
        return $this->read ??= self::parsed(Node::root(YamlText::ofFile($this->file), 'spreading.yaml'));
    }

    /** @return Read */
    private static function parsed(Node $root): array
    {
        $root->onlyKnows(['sources', 'spreads', 'rare', 'native']);
        $sources = SourcesFromMemory::of($root);
        $spread = $rare = $native = [];
        foreach ($root->children('spreads') as $row) {
            $row->onlyKnows(['flora', 'taxa', 'ways', 'harvest', 'cleanup', 'source']);
            foreach (self::keys($row) as $key) {
                $spread[$key] = new Spread(
                    array_map(static fn (Node $n): SpreadWay => $n->asWord(SpreadWay::class), $row->children('ways')),
                    $row->text('harvest'),
                    $row->text('cleanup'),
                    SourcesFromMemory::named($sources, $row),
                );
            }
        }
        foreach ($root->children('rare') as $row) {
            $row->onlyKnows(['flora', 'taxa', 'why', 'who', 'source']);
            foreach (self::keys($row) as $key) {
                $rare[$key] = new Rarity(
                    $row->text('why'),
                    $row->text('who'),
                    SourcesFromMemory::named($sources, $row),
                );
            }
        }
        foreach ($root->children('native') as $row) {
            $row->onlyKnows(['flora', 'taxa', 'lowest', 'highest', 'south', 'north', 'west', 'east', 'where']);
            $degrees = static fn (string $side, float $most, float $else): float => $row->has($side)
                ? $row->number($side, -$most, $most)
                : $else;
            foreach (self::keys($row) as $key) {
                $native[$key] = new NativeRange(
                    Length::ofMetres($row->number('lowest', -500, 9000)),
                    Length::ofMetres($row->number('highest', -500, 9000)),
                    $degrees('south', 90, -90),
                    $degrees('north', 90, 90),
                    $degrees('west', 180, -180),
                    $degrees('east', 180, 180),
                    $row->text('where'),
                );
            }
        }

        return ['spread' => $spread, 'rare' => $rare, 'native' => $native];
    }

    /** @return list<string> "flora/taxon" */
    private static function keys(Node $row): array
    {
        return array_map(static fn (string $taxon): string => $row->text('flora').'/'.$taxon, $row->texts('taxa'));
    }
}
