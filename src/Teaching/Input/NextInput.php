<?php

declare(strict_types=1);

namespace App\Teaching\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Whom to ask what. */
final readonly class NextInput
{
    /**
     * @param string $who       id of somebody of the school
     * @param string $character what to ask of him
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $who = '',
        #[Assert\NotBlank] #[Assert\Length(max: 60)] public string $character = '',
    ) {
    }
}
