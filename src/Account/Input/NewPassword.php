<?php

declare(strict_types=1);

namespace App\Account\Input;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;

/** A password somebody chooses: long rather than odd. No list of leaked ones can be asked from here. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class NewPassword extends Assert\Compound
{
    public const SHORTEST = 12;

    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\Length(min: self::SHORTEST, max: 200, minMessage: 'Twelve letters or more; a sentence is best.'),
            new Assert\Regex('/^(.{1,3})\1+$/u', match: false, message: 'The same again and again is no password.'),
        ];
    }
}
