<?php

declare(strict_types=1);

namespace App\Learning\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** By what somebody remembers a character or a kind. */
final readonly class MnemonicInput
{
    /**
     * @param string $about    "character/leaf.kind" or "kind/quercus-robur"
     * @param string $text     in his own words; empty: it is taken away
     * @param bool   $isShared whether others see it too
     */
    public function __construct(
        #[Assert\Regex('~^(character|kind)/[a-z0-9.-]{1,100}$~D', message: 'A character or a kind is wanted.')]
        public string $about,
        #[Assert\Length(max: 200)]
        #[PlainText]
        public string $text = '',
        public bool $isShared = false,
    ) {
    }
}
