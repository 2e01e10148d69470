<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A part of what is made goes on by itself. */
final readonly class SplitOff
{
    /**
     * @param string $id    of the part, made by whoever splits it, a UUID: sent twice it is split once
     * @param string $name  what the part is called
     * @param float  $grams that are taken out, as weighed
     * @param float  $stay  grams that stay, as weighed
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id,
        #[Assert\NotBlank(message: 'Say what it is called.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $name,
        #[Assert\Range(min: 0.1, max: 10_000_000)] public float $grams,
        #[Assert\Range(min: 0.1, max: 10_000_000)] public float $stay,
    ) {
    }
}
