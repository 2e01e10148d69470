<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;

/**
 * What is answered are plain views of public values: PHP's own encoder writes them as the serializer would, in a
 * thirtieth of the time.
 */
abstract class ApiController extends AbstractController
{
    /**
     * @param array<mixed> $headers
     * @param array<mixed> $context
     */
    protected function json(mixed $data, int $status = 200, array $headers = [], array $context = []): JsonResponse
    {
        return new JsonResponse(
            json_encode($data, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE),
            $status,
            $headers,
            json: true,
        );
    }
}
