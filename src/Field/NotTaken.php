<?php

declare(strict_types=1);

namespace App\Field;

/** Something entered out of the server's reach that the server would refuse too. Nothing of it is kept. */
final class NotTaken extends \DomainException
{
    public function __construct(public readonly int $status, string $message, public readonly string $field = '')
    {
        parent::__construct($message);
    }
}
