<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Recipe\Basic;
use Hylognosis\Recipe\Recipe;
use Hylognosis\Recipe\RecipeReader;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** All recipes there are: those of flora/recipes, and those that were brought in. */
final readonly class RecipeBook
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/recipes')] private string $folder,
        #[Autowire(service: 'cache.flora')] private CacheItemPoolInterface $cache,
        private ?MoreRecipes $more = null,
    ) {
    }

    /**
     * @return array<string, Recipe> by id
     *
     * @throws DocumentError if a file is not as it should be, or two recipes go by one id
     */
    public function all(): array
    {
        $files = $this->files();
        $state = hash(
            'xxh128',
            serialize(array_map(static fn (string $f): array => [$f, filemtime($f), filesize($f)], $files)),
        );
        $item = $this->cache->getItem('recipes'.$state);
        /** @var array<string, Recipe>|null $kept */
        $kept = $item->get();
        if (null === $kept) {
            $this->cache->save($item->set($kept = $this->read($files)));
        }
        // those that ship stand, whatever was brought in by their ids before they came
        $kept += (new RecipeReader())->read(array_diff_key($this->more?->documents() ?? [], $kept));
        uasort($kept, static fn (Recipe $a, Recipe $b): int => $a->name <=> $b->name);

        return $kept;
    }

    /**
     * @return list<Basic> what recipes only name, from flora/basics.yaml
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function basics(): array
    {
        $file = \dirname($this->folder).'/basics.yaml';
        $item = $this->cache->getItem('basics'.filemtime($file).'-'.filesize($file));
        /** @var list<Basic>|null $kept */
        $kept = $item->get();
        if (null === $kept) {
            $root = Node::root(YamlText::ofFile($file), 'basics.yaml');
            $root->onlyKnows(['basics']);
            $kept = array_map(static function (Node $basic): Basic {
                $basic->onlyKnows(['title', 'words', 'says']);
                $words = $basic->texts('words');

                return [] === $words
                    ? throw DocumentError::at($basic->path.'.words', 'there must be at least one.')
                    : new Basic($basic->text('title'), $words, $basic->text('says'));
            }, $root->children('basics'));
            $this->cache->save($item->set($kept));
        }

        return $kept;
    }

    public function find(string $id): ?Recipe
    {
        return $this->all()[$id] ?? null;
    }

    /** @return list<Recipe> that can be made of a kind */
    public function ofTaxon(string $taxon): array
    {
        return array_values(
            array_filter(
                $this->all(),
                static fn (Recipe $r): bool => [] !==
                    array_filter($r->of, static fn (string $part): bool => str_starts_with($part, $taxon.'/')),
            ),
        );
    }

    /** @return array<string, array<string, mixed>> all of them as one document, as they are exchanged: by id */
    public function document(): array
    {
        $document = [];
        foreach ($this->files() as $file) {
            /** @var array<string, array<string, mixed>> $recipes as the reader has found them to be */
            $recipes = YamlText::ofFile($file);
            $document += $recipes;
        }

        return $document + ($this->more?->documents() ?? []);
    }

    /** @return list<string> */
    private function files(): array
    {
        $files = glob($this->folder.'/*.yaml');

        return false === $files ? [] : $files;
    }

    /**
     * @param list<string> $files
     *
     * @return array<string, Recipe>
     */
    private function read(array $files): array
    {
        $recipes = [];
        foreach ($files as $file) {
            foreach ((new RecipeReader())->read(YamlText::ofFile($file), basename($file)) as $id => $recipe) {
                if (isset($recipes[$id])) {
                    throw DocumentError::at(basename($file).'.'.$id, 'another recipe goes by that id.');
                }
                $recipes[$id] = $recipe;
            }
        }

        return $recipes;
    }
}
