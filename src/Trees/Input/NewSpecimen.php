<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A tree to be tagged. */
final readonly class NewSpecimen
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give the tree a tag, such as K-07.')]
        #[Assert\Length(max: 24)]
        #[Assert\Regex('/[\p{L}\p{N}]/u', message: 'Give the tree a tag, such as K-07.')]
        #[PlainText]
        public string $tag,
        #[Assert\NotBlank(message: 'Say on which site it stands.')]
        #[Assert\Length(max: 64)]
        public string $siteId,
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $whereabouts = '',
    ) {
    }
}
