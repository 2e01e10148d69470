<?php

declare(strict_types=1);

namespace App\Teaching\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Which tree somebody means to look at for a year. */
final readonly class AdoptInput
{
    /**
     * @param string $id   made by whoever adopts
     * @param string $tree id of the tree
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id = '',
        #[Assert\NotBlank] #[Assert\Uuid] public string $tree = '',
    ) {
    }
}
