<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\Flora;

/** A flora one can work with. */
final readonly class FloraSummaryView
{
    /**
     * @param string $name      its name in addresses and documents
     * @param string $title     title in words
     * @param string $edition   edition of the flora
     * @param int    $taxa      how many it holds
     * @param int    $dangerous taxa that can harm people
     * @param string $region    where it holds, in words
     * @param string $problem   why its files are not the edition in use; empty where they are
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $edition,
        public int $taxa,
        public int $dangerous,
        public string $region,
        public string $problem,
    ) {
    }

    public static function of(Flora $flora, string $problem): self
    {
        return new self(
            $flora->name,
            $flora->title,
            $flora->edition,
            \count($flora->taxa),
            \count($flora->dangerous()),
            $flora->region->name,
            $problem,
        );
    }
}
