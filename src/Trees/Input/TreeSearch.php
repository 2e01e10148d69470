<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Trees\TreeDanger;
use Symfony\Component\Validator\Constraints as Assert;

/** Which trees are wanted. */
final readonly class TreeSearch
{
    /**
     * @param string          $q      words of which each must stand in the tag, a former tag, the place or the way to
     *                                find it
     * @param string          $after  tag of the last tree of the page before
     * @param string          $site   id of a place
     * @param TreeDanger|null $danger what its kind does to a person
     * @param bool            $gone   those that are there no more, instead of those that are
     */
    public function __construct(
        #[Assert\Length(max: 100)]
        public string $q = '',
        #[Assert\Length(max: 24)]
        public string $after = '',
        #[Assert\AtLeastOneOf([new Assert\Blank(), new Assert\Uuid()])]
        public string $site = '',
        public ?TreeDanger $danger = null,
        public bool $gone = false,
    ) {
    }
}
