<?php

declare(strict_types=1);

namespace App\Library;

use Doctrine\DBAL\Exception as DatabaseTrouble;
use Hylognosis\Flora\LifeStage;
use Symfony\Component\Cache\Adapter\PhpFilesAdapter;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;

/**
 * Makes the shipped floras ready for all life stages before anybody asks.
 *
 * Only what is kept as files of PHP is found by the pages: run it with opcache.enable_cli=1.
 */
final readonly class FloraWarmer implements CacheWarmerInterface
{
    public function __construct(private FloraLibrary $library, #[Autowire('%kernel.debug%')] private bool $debug)
    {
    }

    public function isOptional(): bool
    {
        return true;
    }

    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        foreach ($this->debug || !PhpFilesAdapter::isSupported() ? [] : $this->library->names() as $name) {
            try {
                foreach (LifeStage::cases() as $stage) {
                    $this->library->compiled($name, $stage);
                }
            } catch (FloraRefused|DatabaseTrouble) {
                return []; // health says so, and nothing is worth keeping before there is a database with its reviews
            }
        }

        return [];
    }
}
