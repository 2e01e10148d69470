<?php

declare(strict_types=1);

namespace App\Teaching\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What was seen there today. */
final readonly class AdoptedNoteInput
{
    /** @param string $text in one’s own words; it replaces what was noted today, empty takes it away */
    public function __construct(#[Assert\Length(max: 1000)] #[PlainText] public string $text = '')
    {
    }
}
