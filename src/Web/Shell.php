<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\AsController;
use Twig\Environment;

/**
 * The one page: everything else is drawn in the browser. What the browser is going to ask for first stands in its head,
 * so that it comes beside the script and not after it.
 */
#[AsController]
final readonly class Shell
{
    /** Asked for by what keeps the pages on a device: it is the same for every address, so nothing is named in it. */
    public const KEPT = 'kept';

    /** Address → the page drawn there, and what it asks first: `$1` of the address, of `$2`, one’s flora. */
    private const FIRST = [
        '~^/$~' => ['today/today', ['/api/today']],
        '~^/examine$~' => ['examine/begin', ['/api/flora']],
        '~^/examine/([0-9a-f-]{36})$~' => ['examine/examine', ['/api/examinations/$1', '/api/flora?flora=$2']],
        '~^/trees$~' => ['trees/trees', ['/api/sites']],
        '~^/trees/([0-9a-f-]{36})$~' => ['trees/tree', ['/api/specimens/$1/page']],
        '~^/species$~' => ['species/index', ['/api/flora']],
        '~^/species/([a-z0-9-]+)$~' => [
            'species/page',
            ['/api/flora/taxa/$1', '/api/recipes?taxon=$1'],
        ],
        '~^/plan/walk$~' => ['year/walk', []],
        '~^/year$~' => ['year/year', []],
        '~^/along$~' => ['along/along', []],
    ];

    public function __construct(private ViteManifest $manifest, private Environment $twig, private Security $security)
    {
    }

    public function __invoke(Request $request): Response
    {
        $ahead = ['js' => [], 'answers' => []];
        if (!$request->query->has(self::KEPT)) {
            $ahead = $this->ahead($request->getPathInfo(), [] === $request->query->all());
        }

        return new Response(
            $this->twig->render('shell.html.twig', [
                'entry' => $this->manifest->entry('src/app/main.tsx'),
                'ahead' => $ahead,
            ]),
            headers: ['Cache-Control' => 'no-cache'],
        );
    }

    /** @return array{js: list<string>, answers: list<string>} */
    private function ahead(string $path, bool $plain): array
    {
        $answers = ['/api/session'];
        try {
            $user = $this->security->getUser();
        } catch (\Throwable) {
            $user = null; // the page comes up all the same, and says what is wrong itself
        }
        foreach (null === $user ? ['~~' => ['account/signin', []]] : self::FIRST as $pattern => [$page, $first]) {
            if (1 !== preg_match($pattern, $path, $found)) {
                continue;
            }
            $entry = $this->manifest->entry("src/features/$page.tsx");
            $with = ['$1' => $found[1] ?? '', '$2' => $user instanceof WorksWithFlora ? $user->worksWith() : ''];

            return [
                'js' => [$entry['js'], ...$entry['preload']],
                'answers' => [
                    ...$answers,
                    ...$plain ? array_map(static fn (string $one): string => strtr($one, $with), $first) : [],
                ],
            ];
        }

        return ['js' => [], 'answers' => $answers];
    }
}
