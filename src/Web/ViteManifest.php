<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

final readonly class ViteManifest
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/public/build/.vite/manifest.json')] private string $file,
    ) {
    }

    /** @return array{js: string, css: list<string>, preload: list<string>} */
    public function entry(string $name): array
    {
        /** @var array<string, array{file: string, css?: list<string>, imports?: list<string>}> $manifest */
        $manifest = json_decode((string) file_get_contents($this->file), true, flags: \JSON_THROW_ON_ERROR);
        $css = $preload = $seen = [];
        $todo = [$name];
        while (null !== ($key = array_shift($todo))) {
            if (isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $chunk = $manifest[$key] ?? throw new \LogicException(\sprintf('No "%s" in the Vite manifest.', $key));
            foreach ($chunk['css'] ?? [] as $file) {
                $css[] = '/build/'.$file;
            }
            if ($key !== $name) {
                $preload[] = '/build/'.$chunk['file'];
            }
            array_push($todo, ...$chunk['imports'] ?? []);
        }

        return [
            'js' => '/build/'.$manifest[$name]['file'],
            'css' => array_values(array_unique($css)),
            'preload' => $preload,
        ];
    }
}
