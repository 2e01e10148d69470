<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\TreeMeasure;
use Hylognosis\Measure\CalendarDay;

/** What was measured of a tree on a day. */
final readonly class MeasureView
{
    /**
     * @param string     $on     day, YYYY-MM-DD
     * @param float|null $girth  centimetres round the trunk at breast height
     * @param float|null $height metres
     * @param float|null $lowest metres above ground, of the lowest living twigs
     * @param string     $note   how it was measured; may be empty
     * @param string     $by     who measured
     */
    public function __construct(
        public string $on,
        public ?float $girth,
        public ?float $height,
        public ?float $lowest,
        public string $note,
        public string $by,
    ) {
    }

    public static function of(TreeMeasure $m): self
    {
        return new self(CalendarDay::iso($m->on), $m->girth, $m->height, $m->lowest, $m->note, $m->by->name);
    }
}
