<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Library\RecipeBook;
use App\Recipes\View\BroughtInView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\YamlText;
use Hylognosis\Recipe\RecipeReader;
use Hylognosis\Recipe\Soundness;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Recipes of the school's own: brought in as a document, used beside those that ship. */
#[OA\Tag('recipes')]
#[OA\Response(
    response: 403,
    description: 'An instructor does that.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class OwnRecipeController extends ApiController
{
    private const MOST_BYTES = 500_000;

    /** As the floras name uses. */
    public function __construct(
        private readonly RecipeBook $book,
        private readonly OwnRecipeRepository $own,
        private readonly FloraLibrary $library,
        private readonly Transaction $transaction,
        private readonly SchoolClock $clock,
    ) {
    }

    /**
     * The body is a document of recipes, YAML or JSON, as flora/schema/recipes.schema.json says: all of it, or nothing.
     */
    #[Route('/api/recipes/own', methods: ['POST'])]
    #[OA\RequestBody(
        required: true,
        content: [new OA\MediaType(mediaType: 'application/yaml', schema: new OA\Schema(type: 'string'))],
    ),]
    #[OA\Response(response: 200, description: 'What was brought in.', content: new Model(type: BroughtInView::class))]
    #[OA\Response(
        response: 422,
        description: 'Something in it is wrong; nothing was brought in.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function bring(#[CurrentUser] User $user, Request $request): JsonResponse
    {
        $this->needInstructor($user);
        $text = $request->getContent();
        if ('' === trim($text) || \strlen($text) > self::MOST_BYTES) {
            throw Refused::field('file', 'The file is empty, or has more than 500 kB.');
        }
        try {
            $document = YamlText::parse($text);
            $recipes = (new RecipeReader())->read($document);
        } catch (DocumentError $error) {
            throw Refused::field('file', $error->getMessage());
        }
        $own = $this->own->inUse();
        $shipped = array_diff_key($this->book->all(), $own);
        $parts = $this->parts();
        $faults = [];
        foreach ($recipes as $id => $recipe) {
            array_push($faults, ...Soundness::faults($recipe, $parts));
            if (isset($shipped[$id])) {
                $faults[] = $id.': a recipe that ships goes by that id; give yours another.';
            }
            if (\strlen($id) > 60) {
                $faults[] = $id.': an id has 60 letters at the most.';
            }
        }
        if ([] !== $faults) {
            throw Refused::field('file', implode(' ', \array_slice($faults, 0, 12)));
        }
        $made = $same = [];
        $this->transaction->run(function (EntityManagerInterface $entities) use (
            $recipes,
            $document,
            $own,
            $user,
            &$made,
            &$same,
        ): void {
            foreach ($recipes as $id => $recipe) {
                if (($own[$id] ?? null)?->hash === $recipe->hash) {
                    $same[] = $id;
                    continue;
                }
                if (isset($own[$id])) {
                    $own[$id]->laidAsideAt = $this->clock->now();
                }
                /** @var array<string, mixed> $one as the reader has found it to be */
                $one = $document[$id];
                $entities->persist(new OwnRecipe($id, $recipe->hash, $one, $this->clock->now(), $user));
                $made[] = $id;
            }
        });

        return $this->json(new BroughtInView($made, $same));
    }

    /** What is being made by it goes on by the edition it was begun with. */
    #[Route('/api/recipes/own/{id}', requirements: ['id' => '[a-z0-9-]+'], methods: ['DELETE'])]
    #[OA\Response(
        response: 200,
        description: 'Those of the school’s own that are left.',
        content: new Model(type: BroughtInView::class),
    ),]
    #[OA\Response(
        response: 404,
        description: 'No such recipe of the school’s own.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function layAside(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $this->needInstructor($user);
        $this->transaction->run(function () use ($id): void {
            $own = $this->own->inUse()[$id] ?? throw Refused::missing('There is no such recipe of the school’s own.');
            $own->laidAsideAt = $this->clock->now();
        });

        return $this->json(new BroughtInView([], array_keys($this->own->inUse())));
    }

    private function needInstructor(User $user): void
    {
        if (!$user->role->mayDecide()) {
            throw Refused::forbidden('Recipes are brought in and laid aside by an instructor.');
        }
    }

    /** @return array<string, true> parts anybody may take, of all floras, as "taxon/part" */
    private function parts(): array
    {
        $parts = [];
        foreach ($this->library->names() as $name) {
            if ('' !== $this->library->problem($name)) {
                continue;
            }
            foreach ($this->library->flora($name)->taxa as $taxon) {
                foreach ($taxon->parts as $part) {
                    $parts[$taxon->id.'/'.$part->id] = true;
                }
            }
        }

        return $parts;
    }
}
