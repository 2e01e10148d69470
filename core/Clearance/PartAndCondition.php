<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\Condition;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Window;

/**
 * Point 6. The part is within its window at this place; its ripeness has been confirmed with the part in view, and
 * each harmful condition has been ruled out, one by one.
 */
final readonly class PartAndCondition implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $part = $dossier->claim->part;
        if ('' !== $part->harmful) {
            return new PointReport('part-and-condition', 'Part and condition', PointStatus::Broken, $part->harmful, 'Nothing: this part is not taken.');
        }
        $items = [$this->window($dossier), ...array_map(fn (Condition $condition): PointItem => $this->condition($dossier, $condition), $part->conditions)];
        $status = PointReport::worst($items);
        $notMet = array_values(array_filter($items, static fn (PointItem $item): bool => PointStatus::Met !== $item->status));

        return new PointReport(
            'part-and-condition', 'Part and condition', $status,
            [] === $notMet ? 'In its window, and its condition is confirmed.' : $notMet[0]->label.' '.$notMet[0]->detail,
            match ($status) {
                PointStatus::Met => '',
                PointStatus::Open => 'Answer the open questions with the part in view.',
                PointStatus::Broken => 'Leave it now; come back when it holds.',
            },
            $items, PointStatus::Broken === $items[0]->status ? $dossier->phenology->window($part)?->from : null,
        );
    }

    private function window(Dossier $dossier): PointItem
    {
        $window = $dossier->phenology->window($dossier->claim->part);
        $inside = true === $window?->contains(DayOfYear::on($dossier->decidedOn));

        return new PointItem('window', 'Window at this place:', $inside ? PointStatus::Met : PointStatus::Broken, (string) $window?->words().($inside ? '.' : ' – not now.'));
    }

    private function condition(Dossier $dossier, Condition $condition): PointItem
    {
        $found = $dossier->claim->confirmed[$condition->id] ?? null;

        return match (true) {
            null === $found => new PointItem($condition->id, $condition->question, PointStatus::Open, 'Not answered yet.'),
            $found === $condition->wanted => new PointItem($condition->id, $condition->question, PointStatus::Met, $found ? 'Yes.' : 'No, ruled out.'),
            default => new PointItem($condition->id, $condition->question, PointStatus::Broken, ($found ? 'Yes. ' : 'No. ').$condition->note),
        };
    }
}
