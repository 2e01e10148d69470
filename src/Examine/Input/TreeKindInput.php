<?php

declare(strict_types=1);

namespace App\Examine\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What a tree is held to be, and on what ground. */
final readonly class TreeKindInput
{
    /**
     * @param string       $taxon        id of the taxon
     * @param list<string> $examinations ids of signed examinations that name it
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Length(max: 80)]
        #[PlainText]
        public string $taxon,
        #[Assert\Count(min: 1, max: 60)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $examinations,
    ) {
    }
}
