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
     * @param string|null $at        when it was found, ISO 8601; null: now
     */
    public function __construct(
        public StormFinding $finding,
        #[Assert\Range(min: 5, max: 3000, notInRangeMessage: 'What came down is 5 mm to 3 m thick.')]
        public ?float $thickness = null,
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $note = '',
        #[Assert\Regex(
            '/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/D',
            message: 'A moment is wanted, as in 2026-11-27T08:30:00Z.',
        )]
        public ?string $at = null,
    ) {
    }
}
