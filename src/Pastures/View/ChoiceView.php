<?php

declare(strict_types=1);

namespace App\Pastures\View;

use App\Pastures\Choice;
use App\Pastures\PastureChoice;

/** What was decided last. */
final readonly class ChoiceView
{
    /**
     * @param string     $shade in words; may be empty
     * @param string     $fruit in words; may be empty
     * @param float|null $price of a cubic metre as it stands, in the user's money
     * @param string     $why   in words; may be empty
     * @param string     $by    who decided
     * @param string     $at    ISO 8601
     */
    public function __construct(
        public Choice $choice,
        public string $shade,
        public string $fruit,
        public ?float $price,
        public string $why,
        public string $by,
        public string $at,
    ) {
    }

    public static function of(PastureChoice $c): self
    {
        return new self(
            $c->choice,
            $c->shade,
            $c->fruit,
            $c->price,
            $c->why,
            $c->by->name,
            $c->chosenAt->format(\DATE_ATOM),
        );
    }
}
