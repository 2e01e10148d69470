<?php

declare(strict_types=1);

namespace App\Species\Input;

use App\Web\Input\PlainText;
use Hylognosis\Flora\ReviewVerdict;
use Symfony\Component\Validator\Constraints as Assert;

/** What somebody who read a stated never came to. */
final readonly class NewReview
{
    /**
     * @param string $note what was seen otherwise; wanted with a doubt
     */
    public function __construct(
        public ReviewVerdict $verdict,
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $note = '',
    ) {
    }
}
