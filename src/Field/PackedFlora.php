<?php

declare(strict_types=1);

namespace App\Field;

use App\Library\CropTable;
use App\Library\Engine;
use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledTables;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** A flora made ready and packed, so that a device out of reach need not read it line by line. */
final readonly class PackedFlora
{
    /** Of what is packed; to be raised when that changes. */
    private const SHAPE = '3';

    public function __construct(
        private FloraLibrary $library,
        private Engine $engine,
        private CropTable $crops,
        #[Autowire(service: 'cache.flora')] private CacheItemPoolInterface $cache,
    ) {
    }

    /** Changes with every edition, every review of a line, and every change of the rules. */
    public function stamp(string $name): string
    {
        return hash('xxh128', self::SHAPE.$this->library->stamp($name).$this->engine->version);
    }

    /**
     * @return string gzip of what {@see FieldDesk::lay()} takes
     *
     * @throws FloraRefused if there is no such flora or it cannot be taken
     */
    public function pack(string $name): string
    {
        $kept = $this->cache->getItem('packed'.$this->stamp($name));
        if (\is_string($kept->get())) {
            return $kept->get();
        }
        $tables = [];
        foreach (LifeStage::cases() as $stage) {
            $tables[$stage->value] = serialize($this->tables($name, $stage)); // unpacked when first asked for
        }
        $flora = $this->library->flora($name);
        $crops = array_filter(
            $this->crops->all(),
            static fn (string $of): bool => isset($flora->taxa[explode('/', $of)[0]]),
            \ARRAY_FILTER_USE_KEY,
        );
        $packed = gzencode(serialize(['flora' => $flora, 'tables' => $tables, 'crops' => $crops]), 6);
        \assert(false !== $packed);

        $this->cache->save($kept->set($packed));

        return $packed;
    }

    private function tables(string $name, LifeStage $stage): CompiledTables
    {
        return $this->library->compiled($name, $stage)->tables();
    }
}
