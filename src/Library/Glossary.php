<?php

declare(strict_types=1);

namespace App\Library;

use App\Species\View\TermView;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The terms used on the screens, from flora/glossary.yaml. */
final readonly class Glossary
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/glossary.yaml')] private string $file,
        #[Autowire(service: 'cache.flora')] private CacheItemPoolInterface $cache,
    ) {
    }

    /**
     * @return list<TermView> in the order of the alphabet
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function terms(): array
    {
        $item = $this->cache->getItem('glossary'.filemtime($this->file).'-'.filesize($this->file));
        $kept = $item->get();
        if (!\is_array($kept)) {
            $this->cache->save(
                $item->set(
                    $kept = array_map(
                        static fn (TermView $term): array => [$term->term, $term->definition, $term->drawing],
                        $this->read(),
                    ),
                ),
            );
        }
        /** @var list<array{string, string, string}> $kept */

        return array_map(static fn (array $term): TermView => new TermView(...$term), $kept);
    }

    /** @return list<TermView> */
    private function read(): array
    {
        $terms = array_map(static function (Node $node): TermView {
            $node->onlyKnows(['term', 'definition', 'drawing']);

            return new TermView($node->text('term'), $node->text('definition'), $node->optionalText('drawing'));
        }, Node::root(YamlText::ofFile($this->file), 'glossary.yaml')->items());
        usort($terms, static fn (TermView $a, TermView $b): int => strcmp($a->term, $b->term));

        return $terms;
    }
}
