<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\AmountUnit;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * What crops come to, from flora/crops.yaml.
 *
 * @phpstan-type Row array{float, float, string, list<string>, array{int, int}|null, bool}
 * @phpstan-type Kept array{frost: array{float, float}, crops: array<string, Row>}
 */
final readonly class CropTable
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/crops.yaml')] private string $file,
        #[Autowire(service: 'cache.flora')] private CacheItemPoolInterface $cache,
    ) {
    }

    /** Null where nobody has said: it is no crop that comes and fails, or nothing is known of it. */
    public function of(string $taxon, string $part): ?TypicalCrop
    {
        $row = $this->kept()['crops'][$taxon.'/'.$part] ?? null;

        return null === $row ? null : self::crop($row);
    }

    /**
     * @return array<string, TypicalCrop> by "taxon/part"
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function all(): array
    {
        return array_map(self::crop(...), $this->kept()['crops']);
    }

    /** @return array{float, float} °C at which a tenth and nine tenths of the flowers of a tender kind are lost */
    public function frost(): array
    {
        return $this->kept()['frost'];
    }

    /** @return Kept */
    private function kept(): array
    {
        $item = $this->cache->getItem('crops'.filemtime($this->file).'-'.filesize($this->file));
        $kept = $item->get();
        if (!\is_array($kept)) {
            $this->cache->save($item->set($kept = $this->read()));
        }

        /** @var Kept $kept */
        return $kept;
    }

    /** @return Kept */
    private function read(): array
    {
        $root = Node::root(YamlText::ofFile($this->file), 'crops.yaml');
        $root->onlyKnows(['frost_c', 'tender', 'crops']);
        [$tenth, $most] = self::two($root->children('frost_c'), 'frost_c', -20, 5);
        $tender = array_fill_keys($root->texts('tender'), true);
        $crops = [];
        foreach ($root->entries('crops') as $id => $crop) {
            $crop->onlyKnows(['good', 'rivals', 'lasts']);
            $good = $crop->children('good');
            if (3 !== \count($good)) {
                throw DocumentError::at($crop->path, 'a good year is told as [from, to, unit].');
            }
            $lasts = $crop->has('lasts') ? self::two($crop->children('lasts'), $crop->path, 1, 365) : null;
            $crops[$id] = $row = [
                $good[0]->asNumber(0.001, 100_000),
                $good[1]->asNumber(0.001, 100_000),
                $good[2]->asWord(AmountUnit::class)->value,
                $crop->has('rivals') ? $crop->texts('rivals') : [],
                null === $lasts ? null : [(int) $lasts[0], (int) $lasts[1]],
                isset($tender[explode('/', $id)[0]]),
            ];
            try {
                self::crop($row);
            } catch (\InvalidArgumentException $error) {
                throw DocumentError::at($crop->path, $error->getMessage());
            }
        }

        return ['frost' => [$tenth, $most], 'crops' => $crops];
    }

    /**
     * @param list<Node> $nodes
     *
     * @return array{float, float}
     */
    private static function two(array $nodes, string $path, float $least, float $most): array
    {
        return 2 === \count($nodes)
            ? [$nodes[0]->asNumber($least, $most), $nodes[1]->asNumber($least, $most)]
            : throw DocumentError::at($path, 'two numbers are wanted here.');
    }

    /** @param Row $row */
    private static function crop(array $row): TypicalCrop
    {
        [$least, $most, $unit, $rivals, $lasts, $tender] = $row;

        return new TypicalCrop(
            Amount::of($least, AmountUnit::from($unit)),
            Amount::of($most, AmountUnit::from($unit)),
            $rivals,
            $lasts,
            $tender,
        );
    }
}
