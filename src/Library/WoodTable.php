<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Processing\Ease;
use Hylognosis\Processing\WoodTraits;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** What wood is like to work with, from flora/woods.yaml. */
final readonly class WoodTable
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/woods.yaml')] private string $file,
        #[Autowire(service: 'cache.flora')] private CacheItemPoolInterface $cache,
    ) {
    }

    /** Null where nobody has written anything down. */
    public function of(string $taxon): ?WoodTraits
    {
        return $this->all()[$taxon] ?? null;
    }

    /**
     * @return array<string, WoodTraits> by taxon id
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function all(): array
    {
        $item = $this->cache->getItem('woods'.filemtime($this->file).'-'.filesize($this->file));
        $kept = $item->get();
        if (!\is_string($kept)) {
            $this->cache->save($item->set($kept = serialize($this->read())));
        }
        /** @var array<string, WoodTraits> $woods */
        $woods = unserialize($kept, ['allowed_classes' => [WoodTraits::class, Ease::class]]);

        return $woods;
    }

    /** @return array<string, WoodTraits> */
    private function read(): array
    {
        $root = Node::root(YamlText::ofFile($this->file), 'woods.yaml');
        $root->onlyKnows(['woods']);
        $woods = [];
        foreach ($root->entries('woods') as $id => $wood) {
            $wood->onlyKnows([
                'along',
                'across',
                'splits',
                'bends',
                'carves',
                'lights_wet',
                'smell',
                'spoons',
                'not_for_food',
            ]);
            $ease = static fn (string $key): ?Ease => $wood->has($key) ? $wood->word($key, Ease::class) : null;
            try {
                $woods[$id] = new WoodTraits(
                    self::share($wood, 'along'),
                    self::share($wood, 'across'),
                    $ease('splits'),
                    $ease('bends'),
                    $ease('carves'),
                    $wood->flag('lights_wet', false),
                    $wood->optionalText('smell'),
                    $wood->flag('spoons', false),
                    $wood->flag('not_for_food', false),
                );
            } catch (\InvalidArgumentException $wrong) {
                throw DocumentError::at($wood->path, $wrong->getMessage());
            }
        }

        return $woods;
    }

    /** @return array{float, float}|null of `7.5–8.5` or `7.5`, percent */
    private static function share(Node $wood, string $key): ?array
    {
        if (!$wood->has($key)) {
            return null;
        }
        $child = $wood->child($key);
        if (!$child->isText()) {
            $one = $child->asNumber(0.5, 20) / 100;

            return [$one, $one];
        }
        if (
            1 !== preg_match('/^(\d+(?:\.\d+)?)–(\d+(?:\.\d+)?)$/Du', $child->asText(), $m)
            || (float) $m[1] > (float) $m[2]
        ) {
            throw DocumentError::at($child->path, 'must be a percentage, or two with a dash between.');
        }

        return [(float) $m[1] / 100, (float) $m[2] / 100];
    }
}
