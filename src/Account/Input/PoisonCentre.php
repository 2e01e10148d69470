<?php

declare(strict_types=1);

namespace App\Account\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Whom to call when something was swallowed. */
final readonly class PoisonCentre
{
    /** @param string $number as it is dialled; empty takes it away */
    public function __construct(
        #[Assert\Length(max: 60)]
        #[Assert\Regex('~^$|[0-9]{3}|[0-9][ /-]?[0-9]{2}~', message: 'That is no number one could dial.')]
        #[PlainText]
        public string $number,
    ) {
    }
}
