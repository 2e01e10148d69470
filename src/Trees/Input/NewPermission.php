<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Trees\Said;
use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What an owner said. */
final readonly class NewPermission
{
    /**
     * @param string       $owner  whose land it is
     * @param bool         $given  may one take, or not
     * @param string       $saidOn day it was said, YYYY-MM-DD
     * @param list<string> $parts  for what, as "taxon/part"; empty: for everything
     * @param string|null  $until  last day, YYYY-MM-DD; null: no end was named
     * @param string       $note   how much, where it is written down, what else was said
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say whose land it is.', normalizer: 'trim')]
        #[Assert\Length(max: 200)]
        #[PlainText]
        public string $owner,
        public bool $given,
        public Said $said,
        #[Assert\NotBlank] #[Day] public string $saidOn,
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 130)])]
        #[Assert\Count(max: 200)]
        public array $parts = [],
        #[Day] public ?string $until = null,
        #[Assert\Length(max: 500)] #[PlainText] public string $note = '',
    ) {
    }
}
