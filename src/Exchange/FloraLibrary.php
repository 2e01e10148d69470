<?php

declare(strict_types=1);

namespace App\Exchange;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

/** The floras that ship with the application, by name; read once and kept ready until a file of theirs changes. */
final class FloraLibrary
{
    public const DEFAULT = 'central-european-hills';

    /** @var array<string, Flora> */
    private array $floras = [];
    /** @var array<string, CompiledFlora> */
    private array $compiled = [];

    public function __construct(
        #[Autowire('%kernel.project_dir%/flora')] private readonly string $folder,
        private readonly FloraFiles $files,
        #[Autowire(service: 'cache.flora')] private readonly CacheInterface $cache,
    ) {
    }

    /** @return list<string> */
    public function names(): array
    {
        $names = [];
        foreach ((new Finder())->directories()->in($this->folder)->depth(0)->sortByName() as $folder) {
            if (is_file($folder->getPathname().'/flora.yaml')) {
                $names[] = $folder->getFilename();
            }
        }

        return $names;
    }

    /**
     * @param string $nameOrPath name of a shipped flora, or path of a folder or an exchanged document
     *
     * @throws FloraRefused if there is no such flora or it cannot be taken
     */
    public function flora(string $nameOrPath): Flora
    {
        return $this->floras[$nameOrPath] ??= $this->isShipped($nameOrPath)
            ? $this->cached($nameOrPath, 'flora', fn (): Flora => $this->files->load($this->path($nameOrPath))[0], Flora::class)
            : $this->files->load($this->path($nameOrPath))[0];
    }

    /** @throws FloraRefused if there is no such flora or it cannot be taken */
    public function document(string $nameOrPath): FloraDocument
    {
        return $this->files->load($this->path($nameOrPath))[1];
    }

    /**
     * The flora made ready for trees of a life stage.
     *
     * @throws FloraRefused if there is no such flora or it cannot be taken
     */
    public function compiled(string $nameOrPath, LifeStage $stage): CompiledFlora
    {
        $compile = fn (): CompiledFlora => CompiledFlora::of($this->flora($nameOrPath), $stage);

        return $this->compiled[$nameOrPath.'|'.$stage->value] ??= $this->isShipped($nameOrPath)
            ? $this->cached($nameOrPath, $stage->value, $compile, CompiledFlora::class)
            : $compile();
    }

    /** @return \Closure(LifeStage): CompiledFlora */
    public function compiler(string $nameOrPath): \Closure
    {
        return fn (LifeStage $stage): CompiledFlora => $this->compiled($nameOrPath, $stage);
    }

    private function isShipped(string $name): bool
    {
        return 1 === preg_match('/^[a-z0-9-]+$/', $name) && is_file($this->folder.'/'.$name.'/flora.yaml');
    }

    private function path(string $nameOrPath): string
    {
        return match (true) {
            $this->isShipped($nameOrPath) => $this->folder.'/'.$nameOrPath,
            file_exists($nameOrPath) => $nameOrPath,
            default => throw FloraRefused::because($nameOrPath, 'no such flora; shipped: '.implode(', ', $this->names()).'.'),
        };
    }

    /**
     * @template T of object
     *
     * @param \Closure(): T   $make
     * @param class-string<T> $class
     *
     * @return T
     */
    private function cached(string $name, string $what, \Closure $make, string $class): object
    {
        $changed = '';
        foreach ((new Finder())->files()->in([$this->folder.'/'.$name, $this->folder])->name('*.yaml')->filter(
            fn (\SplFileInfo $file): bool => str_starts_with($file->getPathname(), $this->folder.'/'.$name.'/') || \dirname($file->getPathname()) === $this->folder,
        ) as $file) {
            $changed .= $file->getPathname().$file->getMTime().$file->getSize();
        }
        $value = $this->cache->get(hash('xxh128', 'v2'.$name.$what.$changed), static function (ItemInterface $item) use ($make): object {
            $item->expiresAfter(30 * 86400);

            return $make();
        });
        \assert($value instanceof $class);

        return $value;
    }
}
