<?php

declare(strict_types=1);

namespace App\Api\View;

use Hylognosis\Flora\Flora;

/** A flora one can work with. */
final readonly class FloraSummaryView
{
    /** @param int $dangerous taxa that can harm people */
    public function __construct(public string $name, public string $title, public string $edition, public int $taxa, public int $dangerous)
    {
    }

    public static function of(Flora $flora): self
    {
        return new self($flora->name, $flora->title, $flora->edition, \count($flora->taxa), \count($flora->dangerous()));
    }
}
