<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Another tag for a tree. */
final readonly class NewTag
{
    /** @param string $tag tag on the tree from now on */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the tree a tag, such as K-07.', normalizer: 'trim')]
        #[Assert\Length(max: 24)]
        #[Assert\Regex('/[\p{L}\p{N}]/u', message: 'Give the tree a tag, such as K-07.')]
        #[PlainText]
        public string $tag,
    ) {
    }
}
