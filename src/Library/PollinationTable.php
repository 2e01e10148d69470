<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Measure\Length;
use Hylognosis\Season\Carrier;
use Hylognosis\Season\Partner;
use Hylognosis\Season\Pollination;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Which kinds want a second tree near, from flora/pollination.yaml. */
final readonly class PollinationTable
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/pollination.yaml')] private string $file,
        #[Autowire(service: 'cache.flora')] private CacheItemPoolInterface $cache,
    ) {
    }

    /** Null where the kind bears alone, or nobody has said. */
    public function of(string $taxon): ?Pollination
    {
        return $this->all()[$taxon] ?? null;
    }

    /**
     * @return array<string, Pollination> by taxon id
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function all(): array
    {
        $item = $this->cache->getItem('pollination'.filemtime($this->file).'-'.filesize($this->file));
        $kept = $item->get();
        if (!\is_array($kept)) {
            $this->cache->save($item->set($kept = $this->read()));
        }
        /** @var array<string, array{string, string, float}> $kept */

        return array_map(
            static fn (array $row): Pollination => new Pollination(
                Partner::from($row[0]),
                Carrier::from($row[1]),
                Length::ofMetres($row[2]),
            ),
            $kept,
        );
    }

    /** @return array<string, array{string, string, float}> */
    private function read(): array
    {
        $root = Node::root(YamlText::ofFile($this->file), 'pollination.yaml');
        $root->onlyKnows(['within_m', 'kinds']);
        $within = array_map(static fn (Node $metres): float => $metres->asNumber(1, 10_000), $root->entries('within_m'));

        return array_map(static function (Node $kind) use ($within): array {
            $kind->onlyKnows(['partner', 'by']);
            $by = $kind->word('by', Carrier::class)->value;

            return [
                $kind->word('partner', Partner::class)->value,
                $by,
                $within[$by] ?? throw DocumentError::at($kind->path, 'no distance is given for '.$by.'.'),
            ];
        }, $root->entries('kinds'));
    }
}
