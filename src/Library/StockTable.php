<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\Matter;
use Hylognosis\Stock\PlantState;
use Hylognosis\Stock\WoodyGroup;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * With how much animals were harmed, and by which line leaf is reckoned, from flora/stock.yaml.
 *
 * @phpstan-type Read array{
 *     harm: array<string, list<HarmSeen>>,
 *     groups: array<string, WoodyGroup>,
 *     matters: array<string, list<Matter>>,
 * }
 */
final class StockTable
{
    private const SURE = ['sure', 'fairly', 'unsure'];

    /** @var Read|null */
    private ?array $read = null;

    public function __construct(#[Autowire('%kernel.project_dir%/flora/stock.yaml')] private readonly string $file)
    {
    }

    /**
     * @return list<HarmSeen> nothing: nobody has written down how much harms, which is no proof of anything
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function of(string $taxon): array
    {
        return $this->read()['harm'][$taxon] ?? [];
    }

    /**
     * @return array<string, list<HarmSeen>> by kind
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function all(): array
    {
        return $this->read()['harm'];
    }

    /**
     * What of a kind animals of that sort get at, and when.
     *
     * @param string $taxon id that begins with its genus
     *
     * @return list<Matter> nothing: nobody has said, and anything of it at any time has to be reckoned with
     */
    public function matters(string $taxon, Animal $animal): array
    {
        $matters = $this->read()['matters'];

        return array_values(
            array_filter(
                [...$matters[explode('-', $taxon)[0]] ?? [], ...$matters[$taxon] ?? []],
                static fn (Matter $m): bool => \in_array($animal, $m->animals, true),
            ),
        );
    }

    /** @param string $taxon id that begins with its genus */
    public function group(string $taxon): WoodyGroup
    {
        return $this->read()['groups'][explode('-', $taxon)[0]] ?? WoodyGroup::MixedHardwood;
    }

    /** @return Read */
    private function read(): array
    {
        return $this->read ??= self::parsed(Node::root(YamlText::ofFile($this->file), 'stock.yaml'));
    }

    /** @return Read */
    private static function parsed(Node $root): array
    {
        $root->onlyKnows(['sources', 'harm', 'groups', 'matters']);
        $sources = SourcesFromMemory::of($root);
        $harm = $groups = [];
        foreach ($root->children('harm') as $row) {
            $row->onlyKnows(['taxa', 'animals', 'part', 'state', 'least', 'most', 'sure', 'source', 'signs']);
            $source = SourcesFromMemory::named($sources, $row);
            if (!\in_array($row->text('sure'), self::SURE, true)) {
                throw DocumentError::at($row->path, 'sure, fairly or unsure is wanted.');
            }
            foreach ($row->texts('taxa') as $taxon) {
                foreach ($row->children('animals') as $animal) {
                    $harm[$taxon][] = new HarmSeen(
                        $taxon,
                        $animal->asWord(Animal::class),
                        $row->text('part'),
                        $row->word('state', PlantState::class),
                        $row->number('least', 0.0001, 10),
                        $row->number('most', 0.0001, 10),
                        $row->text('signs'),
                        $row->text('sure'),
                        $source,
                    );
                }
            }
        }
        foreach ($root->entries('groups') as $group => $genera) {
            foreach ($genera->items() as $genus) {
                $groups[$genus->asText()] =
                    WoodyGroup::tryFrom((string) $group) ?? throw DocumentError::at($genera->path, 'no such group.');
            }
        }

        $matters = [];
        foreach ($root->children('matters') as $row) {
            $row->onlyKnows(['of', 'animals', 'what', 'when']);
            $matter = new Matter(
                $row->text('what'),
                array_map(static fn (Node $n): Animal => $n->asWord(Animal::class), $row->children('animals')),
                array_map(static fn (Node $n): Phenophase => $n->asWord(Phenophase::class), $row->children('when')),
            );
            foreach ($row->texts('of') as $of) {
                $matters[$of][] = $matter;
            }
        }

        return ['harm' => $harm, 'groups' => $groups, 'matters' => $matters];
    }
}
