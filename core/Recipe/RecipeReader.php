<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Measure\Temperature;
use Hylognosis\Measure\TimeSpan;

/** Reads recipes from a decoded document, whole or not at all. */
final readonly class RecipeReader
{
    private const WORD = '/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/D';
    private const PART = '#^[a-z][a-z0-9]*(-[a-z0-9]+)*/[a-z][a-z0-9]*(-[a-z0-9]+)*$#D';

    /**
     * @param array<mixed> $document recipes by id
     *
     * @return array<string, Recipe> by id
     *
     * @throws DocumentError naming the place
     */
    public function read(array $document, string $path = ''): array
    {
        $recipes = [];
        foreach (Node::root($document, $path)->asEntries() as $id => $node) {
            if (1 !== preg_match(self::WORD, (string) $id)) {
                throw DocumentError::at($node->path, 'an id is of small letters, digits and hyphens.');
            }
            $hash = hash('sha256', json_encode($document[$id], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE));
            $recipes[$id] = self::recipe((string) $id, $node, $hash);
        }

        return $recipes;
    }

    private static function recipe(string $id, Node $node, string $hash): Recipe
    {
        $node->onlyKnows([
            'name',
            'use',
            'of',
            'per',
            'needs',
            'steps',
            'keeping',
            'cautions',
            'allergens',
            'history',
            'sources',
        ]);
        $of = $node->texts('of');
        foreach ($of as $part) {
            if (1 !== preg_match(self::PART, $part)) {
                throw DocumentError::at($node->path.'.of', \sprintf('"%s" is no taxon/part.', $part));
            }
        }
        $steps = array_map(self::stepOrParting(...), $node->children('steps'));
        $keeping = array_map(static function (Node $kept): Keeping {
            $kept->onlyKnows(['as', 'for', 'where', 'spoils']);

            return new Keeping(
                $kept->text('as'),
                self::span($kept, 'for') ?? throw DocumentError::at($kept->path.'.for', 'is missing.'),
                $kept->text('where'),
                $kept->text('spoils'),
            );
        }, $node->children('keeping'));
        $sources = array_map(static function (Node $source): string {
            $source->onlyKnows(['source', 'place']);

            return $source->text('source').', '.$source->text('place');
        }, $node->children('sources'));
        foreach (['of' => $of, 'steps' => $steps, 'keeping' => $keeping, 'sources' => $sources] as $key => $list) {
            if ([] === $list) {
                throw DocumentError::at($node->path.'.'.$key, 'there must be at least one.');
            }
        }
        \assert([] !== $of && [] !== $steps && [] !== $keeping && [] !== $sources);

        return new Recipe(
            $id,
            $node->text('name'),
            $node->text('use'),
            $of,
            $node->text('per'),
            $node->texts('needs'),
            $steps,
            $keeping,
            $node->texts('cautions'),
            $node->texts('allergens'),
            array_map(static function (Node $use): HistoricUse {
                $use->onlyKnows(['says', 'who']);

                return new HistoricUse($use->text('says'), $use->text('who'));
            }, $node->children('history')),
            $sources,
            $hash,
        );
    }

    /** @return Step|non-empty-list<Branch> */
    private static function stepOrParting(Node $node): Step|array
    {
        if (!$node->has('either')) {
            return self::step($node);
        }
        $node->onlyKnows(['either']);
        $ways = array_map(static function (Node $way): Branch {
            $way->onlyKnows(['name', 'when', 'steps']);
            $steps = array_map(self::step(...), $way->children('steps'));

            return [] === $steps
                ? throw DocumentError::at($way->path.'.steps', 'there must be at least one.')
                : new Branch($way->text('name'), $way->text('when'), $steps);
        }, $node->children('either'));
        if (\count($ways) < 2) {
            throw DocumentError::at($node->path.'.either', 'where ways part there are at least two.');
        }

        return $ways;
    }

    private static function step(Node $node): Step
    {
        $node->onlyKnows([
            'name',
            'do',
            'takes',
            'waits',
            'again',
            'heat',
            'with',
            'beside',
            'left',
            'in',
            'until',
            'wrong',
            'never',
        ]);
        $heat = self::range($node, 'heat', -40, 1200);

        return new Step(
            $node->text('name'),
            $node->text('do'),
            self::span($node, 'takes'),
            self::span($node, 'waits'),
            self::span($node, 'again'),
            null === $heat ? null : [Temperature::ofProcess($heat[0]), Temperature::ofProcess($heat[1])],
            [...self::ingredients($node, 'with', false), ...self::ingredients($node, 'beside', true)],
            self::range($node, 'left', 0.0001, 1),
            $node->optionalText('in'),
            $node->text('until'),
            $node->optionalText('wrong'),
            $node->optionalText('never'),
        );
    }

    /** @return list<Ingredient> */
    private static function ingredients(Node $node, string $key, bool $beside): array
    {
        $with = [];
        foreach ($node->entries($key) as $name => $times) {
            $with[] = new Ingredient((string) $name, $times->asNumber(0.0001, 10_000), $beside);
        }

        return $with;
    }

    private static function span(Node $node, string $key): ?TimeSpan
    {
        if (!$node->has($key)) {
            return null;
        }
        try {
            return TimeSpan::parse($node->text($key));
        } catch (\InvalidArgumentException $error) {
            throw DocumentError::at($node->path.'.'.$key, $error->getMessage());
        }
    }

    /** @return array{float, float}|null `60–70`, `-20–-10` or one number */
    private static function range(Node $node, string $key, float $least, float $most): ?array
    {
        if (!$node->has($key)) {
            return null;
        }
        $child = $node->child($key);
        if (!$child->isText()) {
            $number = $child->asNumber($least, $most);

            return [$number, $number];
        }
        $n = '-?\d+(?:\.\d+)?';
        if (1 !== preg_match("/^($n)(?:–($n))?$/Du", $child->asText(), $m)) {
            throw DocumentError::at($child->path, 'must be a number, or two with a dash between.');
        }
        [$from, $to] = [(float) $m[1], (float) ($m[2] ?? $m[1])];

        return $from >= $least && $from <= $to && $to <= $most
            ? [$from, $to]
            : throw DocumentError::at($child->path, \sprintf('must rise, and lie between %s and %s.', $least, $most));
    }
}
