<?php

declare(strict_types=1);

namespace App\Examine\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** The other tree one tag turned out to stand for. */
final readonly class Split
{
    /**
     * @param string       $tag          tag of the other tree
     * @param list<string> $examinations ids of those that were of the other
     * @param string       $because      how that came out
     * @param string       $whereabouts  how to find the other
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the other tree a tag, such as K-07.', normalizer: 'trim')]
        #[Assert\Length(max: 24)]
        #[Assert\Regex('/[\p{L}\p{N}]/u', message: 'Give the other tree a tag, such as K-07.')]
        #[PlainText]
        public string $tag,
        #[Assert\Count(max: 200)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $examinations,
        #[Assert\NotBlank(normalizer: 'trim', message: 'Say how that came out.')]
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $because,
        #[Assert\Length(max: 300)] #[PlainText] public string $whereabouts = '',
    ) {
    }
}
