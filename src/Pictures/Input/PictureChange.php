<?php

declare(strict_types=1);

namespace App\Pictures\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What is said of a picture. */
final readonly class PictureChange
{
    /**
     * @param string     $caption             what it shows
     * @param float|null $pixelsPerMillimetre of the full picture; null: nobody has laid a known length in
     */
    public function __construct(
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $caption = '',
        #[Assert\Range(min: 0.001, max: 10000)]
        public ?float $pixelsPerMillimetre = null,
    ) {
    }
}
