<?php

declare(strict_types=1);

namespace App\Learning\View;

/** One tree on which people differ. */
final readonly class DifferenceView
{
    /**
     * @param string       $tree    id
     * @param string       $tag     its tag
     * @param list<string> $read    each reading, in words, with who read it
     * @param string       $settled what its kind usually shows; empty where no kind is held, or it may not be told
     */
    public function __construct(public string $tree, public string $tag, public array $read, public string $settled)
    {
    }
}
