<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\Condition;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Reason\Reason;

/**
 * Point 6. The part is within its window at this place; its ripeness has been confirmed with the part in view, within
 * that window and not too long ago; and each harmful condition has been ruled out so, one by one.
 */
final readonly class PartAndCondition implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $part = $dossier->claim->part;
        if ('' !== $part->harmful) {
            return new PointReport(
                'part-and-condition',
                PointStatus::Broken,
                self::harmful($dossier->claim),
                new Reason('never-taken'),
            );
        }
        $items = [
            $this->window($dossier),
            ...array_map(
                fn (Condition $condition): PointItem => $this->condition($dossier, $condition),
                $part->conditions,
            ),
        ];
        $status = PointReport::worst($items);
        $notMet = array_values(
            array_filter($items, static fn (PointItem $item): bool => PointStatus::Met !== $item->status),
        );

        return new PointReport(
            'part-and-condition',
            $status,
            [] === $notMet ? new Reason('in-window-and-confirmed') : $notMet[0]->detail,
            match ($status) {
                PointStatus::Met => null,
                PointStatus::Open => new Reason('answer-with-the-part-in-view'),
                PointStatus::Broken => new Reason('leave-it-now'),
            },
            $items,
            PointStatus::Broken === $items[0]->status ? $dossier->phenology->window($part)?->from : null,
        );
    }

    /** Why nobody may take a part that is itself harmful. */
    public static function harmful(Claim $claim): Reason
    {
        return new Reason('harmful-part', ['taxon' => $claim->taxon->id, 'part' => $claim->part->id]);
    }

    private function window(Dossier $dossier): PointItem
    {
        $window = $dossier->phenology->window($dossier->claim->part);
        $inside = true === $window?->contains(DayOfYear::on($dossier->decidedOn));

        return new PointItem(
            Subject::Window,
            'window',
            $inside ? PointStatus::Met : PointStatus::Broken,
            new Reason(
                null === $window ? 'no-window-here' : ($inside ? 'in-window' : 'not-in-window'),
                null === $window
                    ? []
                    : [
                        'from' => (string) $window->from,
                        'to' => (string) $window->to,
                        'all-year' => 365 === $window->days(),
                    ],
            ),
        );
    }

    private function condition(Dossier $dossier, Condition $condition): PointItem
    {
        $answer = $dossier->claim->confirmed[$condition->id] ?? null;
        [$status, $code] = match (true) {
            null === $answer => [PointStatus::Open, 'not-answered'],
            $answer->found !== $condition->wanted => [PointStatus::Broken, 'condition-fails'],
            !$this->stillHolds($dossier, $answer) => [PointStatus::Open, 'answered-too-early'],
            default => [PointStatus::Met, 'condition-holds'],
        };

        return new PointItem(
            Subject::Condition,
            $condition->id,
            $status,
            new Reason($code, [
                'condition' => $condition->id,
                'taxon' => $dossier->claim->taxon->id,
                'part' => $dossier->claim->part->id,
                'found' => $answer->found ?? null,
            ]),
        );
    }

    /**
     * What was answered before the window opened, or longer ago than an examination holds, says nothing of the part
     * today.
     */
    private function stillHolds(Dossier $dossier, ConditionAnswer $answer): bool
    {
        $age = CalendarDay::between($answer->on, $dossier->decidedOn);

        return $age >= 0
            && $age <= $dossier->claim->part->freshnessDays()
            && true === $dossier->phenology->window($dossier->claim->part)?->contains(DayOfYear::on($answer->on));
    }
}
