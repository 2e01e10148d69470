<?php

declare(strict_types=1);

namespace App\Trees\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class TreeSearch
{
    /**
     * @param string $q     words of which each must stand in the tag, the place or the way to find it
     * @param string $after tag of the last tree of the page before
     */
    public function __construct(#[Assert\Length(max: 100)] public string $q = '', #[Assert\Length(max: 24)] public string $after = '')
    {
    }
}
