<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

/** How one simulated examination went. */
final readonly class Course
{
    /**
     * @param int                                                         $looks        how many were taken
     * @param float                                                       $weight       how many times as likely the
     *                                         course is by fair chance; 1 where chance was fair
     * @param array<string, non-empty-list<non-empty-list<string|float>>> $scores       character → what each look read
     * @param list<string>                                                $couldNotLook
     */
    public function __construct(
        public bool $cleared,
        public int $looks,
        public float $weight,
        public array $scores,
        public array $couldNotLook,
    ) {
    }
}
