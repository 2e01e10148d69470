<?php

declare(strict_types=1);

namespace App\Storage;

/**
 * How much a folder holds, with all below it. Files can come and go while one counts: those that are gone count
 * nothing.
 */
final readonly class FolderSize
{
    private function __construct(public int $files, public int $bytes)
    {
    }

    /** @param string $folder that is there */
    public static function of(string $folder): self
    {
        $inside = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS | \FilesystemIterator::CURRENT_AS_PATHNAME),
            \RecursiveIteratorIterator::LEAVES_ONLY,
            \RecursiveIteratorIterator::CATCH_GET_CHILD,
        );
        $files = $bytes = 0;
        foreach ($inside as $path) {
            $size = \is_string($path) && !is_dir($path) ? @filesize($path) : false;
            if (false !== $size) {
                ++$files;
                $bytes += $size;
            }
        }

        return new self($files, $bytes);
    }
}
