<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\AsController;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Routing\Attribute\Route;

/** What lets the pages be put on a device and opened out of the server’s reach. */
#[AsController]
final readonly class Installed
{
    /** The rules are run as WebAssembly, in a worker that may do nothing but that and ask this server; it asks
     * for an empty library by a data address.
     */
    private const RULES_POLICY = "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self' data:";

    public function __construct(
        #[Autowire('%kernel.project_dir%/public/build/sw.js')] private string $serviceWorker,
        private ViteManifest $manifest,
    ) {
    }

    #[Route('/sw.js', methods: ['GET'])]
    public function serviceWorker(): Response
    {
        return is_file($this->serviceWorker)
            ? self::script((string) file_get_contents($this->serviceWorker))
            : throw new NotFoundHttpException();
    }

    /** The worker of the rules: a line that loads what is built, served with a policy of its own. */
    #[Route('/rules.js', methods: ['GET'])]
    public function rules(): Response
    {
        $response = self::script(\sprintf("import '%s';\n", $this->manifest->entry('src/field/rules.worker.ts')['js']));
        $response->headers->set('Content-Security-Policy', self::RULES_POLICY);

        return $response;
    }

    #[Route('/app.webmanifest', methods: ['GET'])]
    public function webManifest(): Response
    {
        $icon = ['src' => '/favicon.svg', 'sizes' => 'any', 'type' => 'image/svg+xml'];
        $response = new JsonResponse([
            'name' => 'Hylognosis',
            'short_name' => 'Hylognosis',
            'description' => 'Required features before any harvest.',
            'start_url' => '/',
            'scope' => '/',
            'display' => 'standalone',
            'background_color' => '#e9eee8',
            'theme_color' => '#e9eee8',
            'icons' => [$icon + ['purpose' => 'any'], $icon + ['purpose' => 'maskable']],
        ]);
        $response->headers->set('Content-Type', 'application/manifest+json');
        $response->headers->set('Cache-Control', 'no-cache');

        return $response;
    }

    private static function script(string $source): Response
    {
        return new Response($source, 200, ['Content-Type' => 'text/javascript', 'Cache-Control' => 'no-cache']);
    }
}
