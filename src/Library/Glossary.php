<?php

declare(strict_types=1);

namespace App\Library;

use App\Species\View\TermView;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Yaml\Yaml;

/** The terms used on the screens, from flora/glossary.yaml. */
final readonly class Glossary
{
    public function __construct(#[Autowire('%kernel.project_dir%/flora/glossary.yaml')] private string $file)
    {
    }

    /**
     * @return list<TermView> in the order of the alphabet
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function terms(): array
    {
        $terms = array_map(static function (Node $node): TermView {
            $node->onlyKnows(['term', 'definition', 'drawing']);

            return new TermView($node->text('term'), $node->text('definition'), $node->text('drawing'));
        }, Node::root(Yaml::parseFile($this->file), 'glossary.yaml')->items());
        usort($terms, static fn (TermView $a, TermView $b): int => strcmp($a->term, $b->term));

        return $terms;
    }
}
