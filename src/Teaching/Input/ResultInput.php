<?php

declare(strict_types=1);

namespace App\Teaching\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Found, or not. */
final readonly class ResultInput
{
    /**
     * @param string    $station id of the station
     * @param string    $who     id of somebody of the school, or "guest-1" and so on
     * @param bool|null $found   null: taken back
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $station = '',
        #[Assert\NotBlank] #[Assert\Length(max: 40)] public string $who = '',
        public ?bool $found = null,
    ) {
    }
}
