<?php

declare(strict_types=1);

namespace App\Devices;

use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;

/** Plays a camera: its pictures lie in a folder. */
#[AsAlias(Camera::class)]
final readonly class FolderCamera implements Camera
{
    public function __construct(#[Autowire('%kernel.project_dir%/demo/camera')] private string $folder)
    {
    }

    public function isStandIn(): bool
    {
        return true;
    }

    public function names(): array
    {
        $names = [];
        foreach (
            is_dir($this->folder)
                ? (new Finder())
                    ->files()
                    ->in($this->folder)
                    ->depth(0)
                    ->name(['*.jpg', '*.png', '*.webp'])
                    ->sortByName()
                : [] as $file
        ) {
            $names[] = $file->getFilename();
        }

        return $names;
    }

    public function picture(string $name): ?string
    {
        return \in_array($name, $this->names(), true) ? (string) file_get_contents($this->folder.'/'.$name) : null;
    }
}
