<?php

declare(strict_types=1);

namespace App\Season\Input;

use App\Web\Input\Day;
use Hylognosis\Season\SeasonalEvent;
use Symfony\Component\Validator\Constraints as Assert;

/** Something of a tree's year has come. */
final readonly class NewEvent
{
    /**
     * @param string $id made by whoever records it, a UUID: sent twice it is recorded once
     * @param string $on day, YYYY-MM-DD
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id,
        public SeasonalEvent $event,
        #[Assert\NotBlank] #[Day] public string $on,
    ) {
    }
}
