<?php

declare(strict_types=1);

namespace App\Teaching\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What came of a day. */
final readonly class AfterInput
{
    /**
     * @param string          $learnt what was learnt
     * @param list<NextInput> $next   whom to ask what next time
     */
    public function __construct(
        #[Assert\Length(max: 2000)] #[PlainText] public string $learnt = '',
        #[Assert\Valid] #[Assert\Count(max: 60)] public array $next = [],
    ) {
    }
}
