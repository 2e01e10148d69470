<?php

declare(strict_types=1);

namespace App\Examine\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Another tag that turned out to hang on this tree. */
final readonly class Merge
{
    /**
     * @param string $with    id of the tree whose tag is given up
     * @param string $because how that came out
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $with,
        #[Assert\NotBlank(normalizer: 'trim', message: 'Say how that came out.')]
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $because,
    ) {
    }
}
