<?php

declare(strict_types=1);

namespace App\Season\View;

/** A tree to go to. */
final readonly class StopView
{
    /**
     * @param string           $tree        id of the tree
     * @param string           $tag         tag on it
     * @param string           $site        name of the place
     * @param string           $whereabouts how to find it
     * @param float|null       $latitude    degrees
     * @param float|null       $longitude   degrees
     * @param int|null         $seconds     on foot from the stop before; null where it has no position
     * @param int|null         $metres      along the ground
     * @param int|null         $climb       metres upward; below 0 downward
     * @param list<ReasonView> $reasons     why
     */
    public function __construct(
        public string $tree,
        public string $tag,
        public string $site,
        public string $whereabouts,
        public ?float $latitude,
        public ?float $longitude,
        public ?int $seconds,
        public ?int $metres,
        public ?int $climb,
        public array $reasons,
    ) {
    }
}
