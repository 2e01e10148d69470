<?php

declare(strict_types=1);

namespace App\Running;

use App\Web\ApiController;
use App\Web\ApiProblemListener;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

#[OA\Tag('running')]
final class HealthController extends ApiController
{
    #[Route('/api/health', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The application runs.')]
    #[OA\Response(
        response: 503,
        description: 'It cannot do its work.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function health(Health $health): JsonResponse
    {
        $troubles = $health->troubles();

        return [] === $troubles
            ? $this->json(['status' => 'ok'])
            : ApiProblemListener::problem(503, implode(' ', $troubles), [], []);
    }
}
