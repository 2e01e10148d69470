<?php

declare(strict_types=1);

namespace App\Web\Input;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;

/** A day, written like 2027-06-14. An empty text is none: it must not pass for today. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Day extends Assert\Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [new Assert\NotBlank(allowNull: true, message: self::MESSAGE), new Assert\Date(message: self::MESSAGE)];
    }

    private const MESSAGE = 'Write the day like 2027-06-14.';
}
