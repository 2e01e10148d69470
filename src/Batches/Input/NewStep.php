<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A step of one's own. */
final readonly class NewStep
{
    /**
     * @param string     $name       what it is called
     * @param string     $do         what is done
     * @param string     $until      how one knows that it is done
     * @param float|null $waitsHours it goes on by itself so long
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say what it is called.', normalizer: 'trim')]
        #[Assert\Length(max: 60)]
        #[PlainText]
        public string $name,
        #[Assert\NotBlank(message: 'Say what is done.', normalizer: 'trim')]
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $do,
        #[Assert\NotBlank(message: 'Say how one knows that it is done.', normalizer: 'trim')]
        #[Assert\Length(max: 300)]
        #[PlainText] public string $until,
        #[Assert\Range(min: 0.1, max: 20_000)] public ?float $waitsHours = null,
    ) {
    }
}
