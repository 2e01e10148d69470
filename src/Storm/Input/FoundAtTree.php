<?php

declare(strict_types=1);

namespace App\Storm\Input;

use App\Web\Input\PlainText;
use Hylognosis\Storm\StormFinding;
use Symfony\Component\Validator\Constraints as Assert;

/** What was found at a tree after a storm. */
final readonly class FoundAtTree
{
    /**
     * @param float|null  $thickness millimetres at the foot of what came down; null: not measured
     * @param string      $note      what else is to be said; may be empty
     * @param int          $secondsAgo it was found so long before it could be sent; a phone’s clock may be wrong
     */
    public function __construct(
        public StormFinding $finding,
        #[Assert\Range(min: 5, max: 3000, notInRangeMessage: 'What came down is 5 mm to 3 m thick.')]
        public ?float $thickness = null,
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $note = '',
        #[Assert\Range(min: 0, max: 2_592_000, notInRangeMessage: 'A finding is sent within thirty days.')]
        public int $secondsAgo = 0,
    ) {
    }
}
