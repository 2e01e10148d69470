<?php

declare(strict_types=1);

namespace App\Health\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A sign was seen, or looked for and not seen. */
final readonly class NewSign
{
    /**
     * @param string $id     a UUID made by whoever tells of it
     * @param string $sign   which
     * @param bool   $isSeen false: it was looked for, and was not there
     * @param string $note   what else is to be said; may be empty
     */
    public function __construct(
        #[Assert\Uuid(message: 'The id must be a UUID.')]
        public string $id,
        #[Assert\NotBlank(message: 'Say which sign.')]
        #[Assert\Length(max: 40)]
        public string $sign,
        public bool $isSeen = true,
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $note = '',
    ) {
    }
}
