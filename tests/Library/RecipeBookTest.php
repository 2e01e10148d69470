<?php

declare(strict_types=1);

namespace App\Tests\Library;

use App\Library\FloraFiles;
use App\Library\RecipeBook;
use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\Part;
use Hylognosis\Recipe\Ingredient;
use Hylognosis\Recipe\Recipe;
use Hylognosis\Recipe\RecipeReader;
use Hylognosis\Recipe\Soundness;
use Hylognosis\Recipe\Step;
use Hylognosis\Recipe\Weighed;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Cache\Adapter\NullAdapter;

/** The recipes that ship: each part that may be taken has one that somebody can follow with no other book at hand. */
final class RecipeBookTest extends TestCase
{
    private const GOOD = [
        'name' => 'Meal',
        'use' => 'food',
        'of' => ['quercus-robur/acorn'],
        'per' => 'acorns',
        'steps' => [
            [
                'name' => 'Float',
                'do' => 'Stir.',
                'takes' => '10 min',
                'beside' => ['water' => 3],
                'left' => '0.5–0.8',
                'until' => 'done',
            ],
            [
                'either' => [
                    [
                        'name' => 'Cold',
                        'when' => 'slow',
                        'steps' => [['name' => 'Leach', 'do' => 'Wait.', 'heat' => '2–10', 'until' => 'bland']],
                    ],
                    [
                        'name' => 'Hot',
                        'when' => 'quick',
                        'steps' => [
                            [
                                'name' => 'Boil',
                                'do' => 'Boil.',
                                'with' => ['oil' => 0.1],
                                'left' => 0.9,
                                'until' => 'bland',
                            ],
                        ],
                    ],
                ],
            ],
        ],
        'keeping' => [['as' => 'meal', 'for' => '3–6 months', 'where' => 'a jar', 'spoils' => 'smell']],
        'sources' => [['source' => 'memory', 'place' => 'here']],
    ];

    public function testTheDocumentIsAsItsSchemaSays(): void
    {
        $schema = json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/flora/schema/recipes.schema.json'));
        self::assertIsObject($schema);
        $document = json_decode(json_encode(self::book()->document(), \JSON_THROW_ON_ERROR));
        self::assertTrue((new Validator())->validate($document, $schema)->isValid());
        self::assertCount(\count(get_object_vars((object) $document)), self::book()->all());
    }

    public function testEachPartHasARecipeAndEachFoodOneThatCanBeFollowed(): void
    {
        $by = [];
        foreach (self::book()->all() as $recipe) {
            foreach ($recipe->of as $part) {
                $by[$part][] = $recipe;
            }
        }
        $missing = [];
        foreach (self::parts() as $id => $part) {
            $recipes = $by[$id] ?? [];
            if ([] === $recipes) {
                $missing[] = $id;
            }
            if (\in_array('food', $part->uses, true)) {
                $food = array_filter($recipes, static fn (Recipe $r): bool => 'food' === $r->use && self::isWhole($r));
                if ([] === $food) {
                    $missing[] = $id.' as food';
                }
            }
        }
        self::assertSame([], $missing);
        self::assertSame([], array_diff(array_keys($by), array_keys(self::parts())), 'nobody may take that');
    }

    /** What hurts people is said in every recipe it can hurt them by. */
    public function testWhatHurtsIsSaid(): void
    {
        foreach (self::book()->all() as $id => $recipe) {
            $text = json_encode($recipe, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
            self::assertStringNotContainsStringIgnoringCase('safe to eat', $text, $id);
            self::assertSame([], Soundness::faults($recipe, array_map(static fn (): bool => true, self::parts())));
            self::assertNotSame([], $recipe->cautions, $id);
            foreach (
                [
                    'prunus-' => ['/stones? .*cyanide|cyanide.* stones?/i', 'food'],
                    'sambucus-' => ['/raw|stalks/i', 'food'],
                    'robinia-pseudoacacia/flower' => ['/poison/i', 'food'],
                    'quercus-' => ['/tannin|bland|puckers/i', 'food'],
                    'pinus-strobus/needle' => ['/pregnan/i', 'food'],
                    'sorbus-aucuparia' => ['/raw/i', 'food'],
                    'viburnum-' => ['/raw/i', 'food'],
                    'betula-lenta' => ['/aspirin/i', 'food'],
                ] as $of => [$words, $use]
            ) {
                $concerned = array_filter($recipe->of, static fn (string $part): bool => str_starts_with($part, $of));
                if ([] !== $concerned && $use === $recipe->use) {
                    self::assertMatchesRegularExpression($words, $text, $id.' of '.$of);
                }
            }
        }
    }

    /** A cook without another book finds what a step only names. */
    public function testWhatARecipeOnlyNamesIsSaidBesideIt(): void
    {
        $steps = [];
        foreach (self::book()->all() as $id => $recipe) {
            foreach ($recipe->steps as $step) {
                $steps[$id] = [
                    ...$steps[$id] ?? [],
                    ...$step instanceof Step ? [$step] : array_merge(...array_column($step, 'steps')),
                ];
            }
        }
        $called = [];
        foreach (self::book()->basics() as $basic) {
            foreach ($steps as $id => $of) {
                if ([] !== array_filter($of, $basic->isCalledForBy(...))) {
                    $called[$basic->title][] = $id;
                }
            }
        }
        self::assertSame(array_column(self::book()->basics(), 'title'), array_keys($called), 'none is for nothing');
        foreach (self::book()->all() as $id => $recipe) {
            foreach ($recipe->keeping as $kept) {
                if (str_contains($kept->as, 'closed jars') || str_contains($kept->as, 'closed bottles')) {
                    self::assertContains(
                        $id,
                        $called['Hot jars and bottles'],
                        $id.': nobody says how they are closed',
                    );
                }
            }
        }
    }

    public function testWeightsGoThroughAllSteps(): void
    {
        $recipe = self::read(self::GOOD);
        self::assertSame(['Float', 'Leach'], array_map(static fn (Step $s): string => $s->name, $recipe->way()));
        $hot = Weighed::through($recipe->way(['Hot']), 1000);
        self::assertEqualsWithDelta([500.0, 800.0], $hot[0]->out, 1e-9);
        self::assertEqualsWithDelta(
            3000.0,
            $hot[0]->with[0][1],
            1e-9,
            'water that is poured away weighs nothing afterwards',
        );
        self::assertEqualsWithDelta(
            [495.0, 792.0],
            $hot[1]->out,
            1e-9,
            'a tenth of oil comes in, a tenth of all is lost',
        );
        $known = Weighed::through($recipe->way(['Hot']), 1000, [0 => 600.0]);
        self::assertEqualsWithDelta([594.0, 594.0], $known[1]->out, 1e-9, 'from what was weighed');
        $this->expectException(\InvalidArgumentException::class);
        Weighed::through($recipe->way(), 0);
    }

    public function testAnotherLetterIsAnotherEdition(): void
    {
        self::assertSame(self::read(self::GOOD)->hash, self::read(self::GOOD)->hash);
        self::assertNotSame(self::read(self::GOOD)->hash, self::read(['per' => 'nuts'] + self::GOOD)->hash);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        $step = ['name' => 'Stir', 'do' => 'Stir.', 'until' => 'done'];
        yield 'no steps' => [['steps' => []], 'm.steps'];
        yield 'nothing known' => [['smell' => 'good'], 'm.smell'];
        yield 'no part' => [['of' => ['oak']], 'm.of'];
        yield 'no such time' => [['steps' => [['takes' => 'a while'] + $step]], 'm.steps[0].takes'];
        yield 'a time backwards' => [['steps' => [['waits' => '9–3 d'] + $step]], 'm.steps[0].waits'];
        yield 'hotter than a forge' => [['steps' => [['heat' => '20–9000'] + $step]], 'm.steps[0].heat'];
        yield 'more than there was' => [['steps' => [['left' => 1.5] + $step]], 'm.steps[0].left'];
        yield 'nothing of it' => [['steps' => [['with' => ['salt' => 0]] + $step]], 'm.steps[0].with.salt'];
        yield 'one way only' => [
            ['steps' => [['either' => [['name' => 'a', 'when' => 'b', 'steps' => [$step]]]]]],
            'm.steps[0].either',
        ];
        yield 'no end' => [['steps' => [['name' => 'Stir', 'do' => 'Stir.']]], 'm.steps[0].until'];
        yield 'no keeping' => [['keeping' => []], 'm.keeping'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('faults')]
    public function testWhatIsWrongIsNamed(array $wrong, string $place): void
    {
        try {
            self::read($wrong + self::GOOD);
            self::fail('It was taken.');
        } catch (DocumentError $error) {
            self::assertSame($place, $error->path);
        }
    }

    private static function isWhole(Recipe $recipe): bool
    {
        $steps = [];
        foreach ($recipe->steps as $step) {
            foreach (
                $step instanceof Step ? [$step] : array_merge(...array_map(static fn ($b): array => $b->steps, $step)) as $one
            ) {
                $steps[] = $one;
            }
        }
        $timed = array_filter(
            $steps,
            static fn (Step $s): bool => null !== $s->takes || null !== $s->waits || null !== $s->heat,
        );
        $weighed = array_filter(
            $steps,
            static fn (Step $s): bool => null !== $s->left
                || [] !== array_filter($s->with, static fn (Ingredient $i): bool => $i->times > 0),
        );

        return \count($timed) === \count($steps) && [] !== $weighed && [] !== $recipe->keeping;
    }

    /** @return array<string, Part> all that may be taken, by "taxon/part" */
    private static function parts(): array
    {
        static $parts = [];
        if ([] === $parts) {
            foreach ((array) glob(\dirname(__DIR__, 2).'/flora/*/flora.yaml') as $file) {
                [$flora] = (new FloraFiles())->load(\dirname((string) $file));
                foreach ($flora->taxa as $taxon) {
                    foreach ($taxon->parts as $part) {
                        if (null !== $part->timing) {
                            $parts[$taxon->id.'/'.$part->id] = $part;
                        }
                    }
                }
            }
        }
        /** @var array<string, Part> $parts */

        return $parts;
    }

    /** @param array<string, mixed> $recipe */
    private static function read(array $recipe): Recipe
    {
        return (new RecipeReader())->read(['m' => $recipe])['m'];
    }

    private static function book(): RecipeBook
    {
        return new RecipeBook(\dirname(__DIR__, 2).'/flora/recipes', new NullAdapter());
    }
}
