<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\CompiledTables;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;
use Symfony\Contracts\Service\ResetInterface;

/**
 * The floras that ship with the application, by name, with what people have said of their stated nevers; read once and
 * kept ready until a file of theirs changes or a review is added. A flora that can no longer be taken does not stop the
 * school and does not slip in either: the last good edition stays in use, and the fault is shown. Where one process
 * answers many requests, the floras stay in it; which edition holds is asked anew in each.
 */
final class FloraLibrary implements ResetInterface
{
    public const DEFAULT = 'central-european-hills';

    private static string $shape = '';

    /** @var array<string, array{string, Flora}> name → edition, flora */
    private array $floras = [];
    /**
     * @var array<string, array<string, CompiledFlora>> name → life stage → flora made ready, of the edition in `floras`
     */
    private array $compiled = [];
    /**
     * @var array<string, array{string, string}> name → what tells the edition in use, why a newer one is not taken; of
     *     this request
     */
    private array $editions = [];

    public function __construct(
        #[Autowire('%kernel.project_dir%/flora')] private readonly string $folder,
        private readonly FloraFiles $files,
        private readonly Reviews $reviews,
        #[Autowire(service: 'cache.flora')] private readonly CacheItemPoolInterface $cache,
        #[Autowire('%kernel.debug%')] private readonly bool $debug = true,
    ) {
    }

    /** @return list<string> */
    public function names(): array
    {
        $names = [];
        foreach (self::listed($this->folder) as $name) {
            // asked by every page: a finder would take as long as the rest of it
            if (is_file($this->folder.'/'.$name.'/flora.yaml')) {
                $names[] = $name;
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
        $edition = $this->isShipped($nameOrPath) ? $this->edition($nameOrPath)[0] : '';
        if (($this->floras[$nameOrPath][0] ?? null) !== $edition) {
            unset($this->compiled[$nameOrPath]);
            $this->floras[$nameOrPath] = [
                $edition,
                '' === $edition
                    ? $this->files->load($this->path($nameOrPath))[0]
                    : $this->item($nameOrPath, $edition, 'flora', Flora::class) ??
                        throw FloraRefused::because($nameOrPath, 'is lost from the cache; load the page again.'),
            ];
        }

        return $this->floras[$nameOrPath][1];
    }

    /** Changes with every edition of a flora and every review of its lines. */
    public function stamp(string $nameOrPath): string
    {
        return $this->isShipped($nameOrPath) ? $this->edition($nameOrPath)[0] : $this->flora($nameOrPath)->hash;
    }

    /** Why the files of a shipped flora are not the edition in use; empty where they are. */
    public function problem(string $name): string
    {
        return $this->edition($name)[1];
    }

    /** @throws FloraRefused if there is no such flora or it cannot be taken */
    public function document(string $nameOrPath): FloraDocument
    {
        return $this->load($nameOrPath)[1];
    }

    /**
     * The flora made ready for trees of a life stage.
     *
     * @throws FloraRefused if there is no such flora or it cannot be taken
     */
    public function compiled(string $nameOrPath, LifeStage $stage): CompiledFlora
    {
        $flora = $this->flora($nameOrPath);
        if (!isset($this->compiled[$nameOrPath][$stage->value])) {
            $edition = $this->floras[$nameOrPath][0];
            $tables = '' === $edition ? null : $this->item($nameOrPath, $edition, $stage->value, CompiledTables::class);
            $compiled =
                null === $tables ? CompiledFlora::of($flora, $stage) : CompiledFlora::with($flora, $stage, $tables);
            if (null === $tables && '' !== $edition) {
                $this->keep($nameOrPath, $edition, $stage->value, $compiled->tables());
            }
            $this->compiled[$nameOrPath][$stage->value] = $compiled;
        }

        return $this->compiled[$nameOrPath][$stage->value];
    }

    /** @return \Closure(LifeStage): CompiledFlora */
    public function compiler(string $nameOrPath): \Closure
    {
        return fn (LifeStage $stage): CompiledFlora => $this->compiled($nameOrPath, $stage);
    }

    /** Asks anew which edition holds, so that what has just been said of a line holds from the next look on. */
    public function reset(): void
    {
        clearstatcache();
        $this->editions = [];
    }

    public function isShipped(string $name): bool
    {
        return 1 === preg_match('/^[a-z0-9-]+$/', $name) && is_file($this->folder.'/'.$name.'/flora.yaml');
    }

    private function path(string $nameOrPath): string
    {
        return match (true) {
            $this->isShipped($nameOrPath) => $this->folder.'/'.$nameOrPath,
            file_exists($nameOrPath) => $nameOrPath,
            default => throw FloraRefused::because(
                $nameOrPath,
                'no such flora; shipped: '.implode(', ', $this->names()).'.',
            ),
        };
    }

    /**
     * @return array{Flora, FloraDocument}
     *
     * @throws FloraRefused
     */
    private function load(string $nameOrPath): array
    {
        return $this->files->load(
            $this->path($nameOrPath),
            $this->isShipped($nameOrPath)
                ? fn (FloraDocument $d): FloraDocument => $this->reviews->laidOver($nameOrPath, $d)
                : null,
        );
    }

    /**
     * What tells the edition of a shipped flora that is in use, and why its files are not.
     *
     * @return array{string, string}
     *
     * @throws FloraRefused if it cannot be taken and no earlier edition is known
     */
    private function edition(string $name): array
    {
        if (isset($this->editions[$name])) {
            return $this->editions[$name];
        }
        $current = $this->fingerprint($name);
        $good = $this->cache->getItem(hash('xxh128', $this->shape().'|good|'.$name));
        $told = $good->get();
        [$known, $before] = \is_array($told)
            ? [self::text($told[0] ?? null), self::text($told[1] ?? null)]
            : [null, null];
        if ($known === $current) {
            return $this->editions[$name] = [$current, ''];
        }
        try {
            $flora = $this->load($name)[0];
            $this->refuseLosses(
                $name,
                $flora,
                null === $known ? null : $this->item($name, $known, 'flora', Flora::class),
            );
        } catch (FloraRefused $refused) {
            if (null === $known || null === $this->item($name, $known, 'flora', Flora::class)) {
                throw $refused;
            }

            return $this->editions[$name] = [$known, $refused->getMessage()];
        }
        $this->keep($name, $current, 'flora', $flora);
        $this->cache->save($good->set([$current, $known]));
        if (null !== $before && $before !== $current) {
            // the one just replaced stays for those who are in the middle of a request; and somebody may have gone back
            // to the one before it
            $this->forget($name, $before);
        }

        return $this->editions[$name] = [$current, ''];
    }

    /** A kind that was dangerous in the edition before may not be missing from the next unless that says why. */
    private function refuseLosses(string $name, Flora $next, ?Flora $before): void
    {
        foreach (array_keys($before?->dangerous() ?? []) as $id) {
            if (!isset($next->dangerous()[$id]) && !isset($next->retired[$id])) {
                throw FloraRefused::because(
                    $name,
                    \sprintf(
                        '%s was a dangerous kind in the edition before and is none in this one. Name it under '.
                            '"retired" in flora.yaml, with the reason.',
                        $id,
                    ),
                );
            }
        }
    }

    /** @return list<string> names in a folder, in the order of the alphabet */
    private static function listed(string $folder): array
    {
        $names = is_dir($folder) ? scandir($folder) : false;

        return false === $names ? [] : $names;
    }

    private function fingerprint(string $name): string
    {
        $changed = $this->reviews->fingerprint($name);
        foreach ([$this->folder, $this->folder.'/'.$name, $this->folder.'/'.$name.'/taxa'] as $folder) {
            foreach (self::listed($folder) as $file) {
                if (str_ends_with($file, '.yaml')) {
                    $changed .= $file.filemtime($folder.'/'.$file).filesize($folder.'/'.$file);
                }
            }
        }

        return hash('xxh128', $changed);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    private function item(string $name, string $edition, string $what, string $class): ?object
    {
        $value = $this->cache->getItem($this->key($name, $edition, $what))->get();

        return $value instanceof $class ? $value : null;
    }

    private function keep(string $name, string $edition, string $what, object $value): void
    {
        $this->cache->save($this->cache->getItem($this->key($name, $edition, $what))->set($value));
    }

    /**
     * Gives back the room an edition takes on disk and among the files kept compiled, which else fill up with every
     * edit.
     */
    private function forget(string $name, string $edition): void
    {
        $this->cache->deleteItems(
            array_map(fn (string $what): string => $this->key($name, $edition, $what), [
                'flora',
                ...array_column(LifeStage::cases(), 'value'),
            ]),
        );
    }

    private static function text(mixed $value): ?string
    {
        return \is_string($value) ? $value : null;
    }

    private function key(string $name, string $edition, string $what): string
    {
        return hash('xxh128', implode('|', [$this->shape(), $name, $edition, $what]));
    }

    /**
     * What is kept is kept as objects: it is good only for the classes it was made of. Those change only where somebody
     * writes them; else the container is built anew, and the cache with it.
     */
    private function shape(): string
    {
        if ($this->debug && '' === self::$shape) {
            $folders = array_map(
                static fn (string $class): string => \dirname((string) (new \ReflectionClass($class))->getFileName()),
                [Flora::class, CompiledFlora::class],
            );
            foreach ((new Finder())->files()->in($folders)->name('*.php')->sortByName() as $file) {
                self::$shape .= $file->getFilename().$file->getMTime().$file->getSize();
            }
            self::$shape = hash('xxh128', self::$shape);
        }

        return self::$shape;
    }
}
