<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\AsController;
use Twig\Environment;

/** The one page: everything else is drawn in the browser. */
#[AsController]
final readonly class Shell
{
    public function __construct(private ViteManifest $manifest, private Environment $twig)
    {
    }

    public function __invoke(): Response
    {
        return new Response(
            $this->twig->render('shell.html.twig', ['entry' => $this->manifest->entry('src/app/main.tsx')]),
            headers: ['Cache-Control' => 'no-cache'],
        );
    }
}
