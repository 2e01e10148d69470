<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\PlantState;
use Hylognosis\Stock\WoodyGroup;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** With how much animals were harmed, and by which line leaf is reckoned, from flora/stock.yaml. */
final class StockTable
{
    private const SURE = ['sure', 'fairly', 'unsure'];

    /** @var array{harm: array<string, list<HarmSeen>>, groups: array<string, WoodyGroup>}|null */
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

    /** @param string $taxon id that begins with its genus */
    public function group(string $taxon): WoodyGroup
    {
        return $this->read()['groups'][explode('-', $taxon)[0]] ?? WoodyGroup::MixedHardwood;
    }

    /** @return array{harm: array<string, list<HarmSeen>>, groups: array<string, WoodyGroup>} */
    private function read(): array
    {
        return $this->read ??= self::parsed(Node::root(YamlText::ofFile($this->file), 'stock.yaml'));
    }

    /** @return array{harm: array<string, list<HarmSeen>>, groups: array<string, WoodyGroup>} */
    private static function parsed(Node $root): array
    {
        $root->onlyKnows(['sources', 'harm', 'groups']);
        $sources = [];
        foreach ($root->children('sources') as $source) {
            $source->onlyKnows(['id', 'title', 'author', 'year']);
            $named = [
                ...$source->has('author') ? [$source->text('author')] : [],
                $source->text('title'),
                ...$source->has('year') ? [$source->text('year')] : [],
            ];
            $sources[$source->text('id')] = implode(', ', $named).', from memory';
        }
        $harm = $groups = [];
        foreach ($root->children('harm') as $row) {
            $row->onlyKnows(['taxa', 'animals', 'part', 'state', 'least', 'most', 'sure', 'source', 'signs']);
            $source = $sources[$row->text('source')] ?? throw DocumentError::at($row->path, 'no such source is named.');
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

        return ['harm' => $harm, 'groups' => $groups];
    }
}
