<?php

declare(strict_types=1);

namespace App\Harvest\View;

use App\Harvest\OwnMeasure;
use Hylognosis\Measure\AmountUnit;

/** A vessel of the school's own. */
final readonly class MeasureView
{
    /**
     * @param string $id     of it
     * @param string $name   what it is called, with what is in it
     * @param float  $amount that is in it, in the unit
     * @param string $by     who weighed it
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $amount,
        public AmountUnit $unit,
        public string $by,
    ) {
    }

    public static function of(OwnMeasure $measure): self
    {
        return new self($measure->id, $measure->name, $measure->amount, $measure->unit, $measure->by->name);
    }
}
