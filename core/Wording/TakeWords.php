<?php

declare(strict_types=1);

namespace Hylognosis\Wording;

use Hylognosis\Crop\DoubtfulTake;
use Hylognosis\Crop\TakeDoubt;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Measure\Units;

/** What is said of a take and of what a tree bears, in the reader's units. */
final readonly class TakeWords
{
    /** What one full-grown tree gives one person in a good year: `0.3 kg to 2 kg`. */
    public static function bears(TypicalCrop $typical, Units $units): string
    {
        [$least, $most] = array_map(
            static fn ($amount): string => $amount->in($amount->unit->counterpart(Units::Imperial === $units))->words(),
            [$typical->least, $typical->most],
        );

        return "$least to $most";
    }

    /** Why it is asked once more, in one sentence for each doubt; empty where there is none. */
    public static function doubts(DoubtfulTake $take, Units $units): string
    {
        return implode(
            ' ',
            array_map(
                static fn (TakeDoubt $doubt): string => match ($doubt) {
                    TakeDoubt::MoreThanItBears => \sprintf(
                        'That is much more than a full-grown tree gives one person in a good year%s. '.
                            'Are the number and the unit right?',
                        null === $take->typical ? '' : ' ('.self::bears($take->typical, $units).')',
                    ),
                    TakeDoubt::LittleLeft => 0 === $take->left
                        ? 'Nothing is left on the tree, for itself or for those who live on it.'
                        : \sprintf(
                            'Only %d %% are left on the tree, for itself and for those who live on it.',
                            $take->left,
                        ),
                },
                $take->doubts,
            ),
        );
    }
}
