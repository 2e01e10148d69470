<?php

declare(strict_types=1);

namespace App\Web\Input;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;

/** Words that look like what they are: no control, direction or zero-width characters; a line may break. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class PlainText extends Assert\Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\Regex(
                '/^(?:[^\p{C}]|[\n\t])*$/uD',
                message: 'There are characters in it that cannot be seen; write it with plain letters.',
            ),
        ];
    }
}
