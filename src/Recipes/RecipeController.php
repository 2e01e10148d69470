<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Account\User;
use App\Library\FloraLibrary;
use App\Library\RecipeBook;
use App\Recipes\View\RecipeSummaryView;
use App\Recipes\View\RecipeView;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Recipe\Recipe;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** How something is made of what was taken. */
#[OA\Tag('recipes')]
final class RecipeController extends ApiController
{
    public function __construct(
        private readonly RecipeBook $book,
        private readonly FloraLibrary $library,
        private readonly OwnRecipeRepository $own,
    ) {
    }

    #[Route('/api/recipes', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The recipes there are.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: RecipeSummaryView::class)),
        ),
    ),]
    public function all(#[MapQueryParameter(validationFailedStatusCode: 422)] string $taxon = ''): JsonResponse
    {
        $own = $this->own->inUse();

        return $this->json(
            array_map(
                static fn (Recipe $r): RecipeSummaryView => RecipeSummaryView::of($r, isset($own[$r->id])),
                '' === $taxon ? array_values($this->book->all()) : $this->book->ofTaxon($taxon),
            ),
        );
    }

    /** All of them as one document, as flora/schema/recipes.schema.json says. */
    #[Route('/api/recipes.json', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The document.',
        content: new OA\JsonContent(type: 'object', additionalProperties: true),
    ),]
    public function document(): JsonResponse
    {
        $response = $this->json($this->book->document());
        $response->headers->set('Content-Disposition', 'attachment; filename="recipes.json"');

        return $response;
    }

    /** @param list<string> $ways names of the ways taken, in the order of the partings */
    #[Route('/api/recipes/{id}', requirements: ['id' => '[a-z0-9-]+'], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The recipe.', content: new Model(type: RecipeView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such recipe.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'No such weight.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function recipe(
        #[CurrentUser] User $user,
        string $id,
        #[MapQueryParameter(validationFailedStatusCode: 422)] array $ways = [],
        #[MapQueryParameter(
            options: ['min_range' => 0.1, 'max_range' => 10_000_000],
            validationFailedStatusCode: 422,
        ),]
        ?float $grams = null,
    ): JsonResponse {
        $recipe = $this->book->find($id) ?? throw Refused::missing('There is no such recipe.');

        return $this->json(
            RecipePage::of(
                $recipe,
                $this->library->flora($user->flora),
                array_values(array_filter($ways, is_string(...))),
                $grams,
                basics: $this->book->basics(),
                by: ($this->own->inUse()[$id] ?? null)->by->name ?? '',
            ),
        );
    }
}
