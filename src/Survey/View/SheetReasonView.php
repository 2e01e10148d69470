<?php

declare(strict_types=1);

namespace App\Survey\View;

use Hylognosis\Flora\Severity;
use Hylognosis\Survey\Sheet;
use Hylognosis\Survey\SheetMatter;
use Hylognosis\Survey\SheetReason;

/** One reason for which a tree stands on a sheet. */
final readonly class SheetReasonView
{
    /**
     * @param string        $detail   which part of it, or what was seen; empty where the matter says all
     * @param list<string>  $whom     it harms
     * @param Severity|null $severity how badly
     */
    public function __construct(
        public Sheet $sheet,
        public SheetMatter $what,
        public string $detail,
        public array $whom,
        public ?Severity $severity,
    ) {
    }

    public static function of(Sheet $sheet, SheetReason $reason): self
    {
        return new self($sheet, $reason->what, $reason->detail, $reason->whom, $reason->severity);
    }
}
