<?php

declare(strict_types=1);

namespace App\Examine;

use App\Examine\View\AssessmentView;
use App\Examine\View\ClearanceView;
use App\Examine\View\DangerView;
use App\Examine\View\ExcludedView;
use App\Examine\View\PointItemView;
use App\Examine\View\PointView;
use App\Examine\View\SuggestionView;
use Hylognosis\Clearance\Subject;

/**
 * What an examiner must not know yet, taken out of everything the server sends, in this one place. A second look is
 * blind to the first scores, to the hope and to the wanted values until it is signed; somebody who examines with the
 * names covered is blind to the names until they are uncovered.
 */
final readonly class Covering
{
    public function of(Cover $cover, AssessmentView $view): AssessmentView
    {
        return match ($cover) {
            Cover::Hope => new AssessmentView([], null, null, null, [], [], null, self::blankLooks($view)),
            Cover::Names => new AssessmentView(
                [],
                null,
                null,
                null,
                array_map(self::unnamed(...), $view->dangers, array_keys($view->dangers)),
                array_map(
                    static fn (ExcludedView $excluded, int $n): ExcludedView => new ExcludedView('excluded-'.$n, ''),
                    $view->excluded,
                    array_keys($view->excluded),
                ),
                $view->clearance,
                self::blankLooks($view),
            ),
            Cover::Nothing => $view,
        };
    }

    /** The points, less what names a kind; none where the hope is covered. */
    public function points(Cover $cover, ClearanceView $view): ?ClearanceView
    {
        return match ($cover) {
            Cover::Hope => null,
            Cover::Names => self::withoutTaxa($view),
            Cover::Nothing => $view,
        };
    }

    /** @return list<SuggestionView> where to look, and nothing of why */
    private static function blankLooks(AssessmentView $view): array
    {
        return array_map(
            static fn (SuggestionView $s): SuggestionView => new SuggestionView(
                $s->character,
                $s->organ,
                $s->label,
                0.0,
                false,
                'Worth a look.',
            ),
            $view->next,
        );
    }

    private static function unnamed(DangerView $danger, int $number): DangerView
    {
        return new DangerView(
            'covered-'.$number,
            'a '.$danger->severity->value.' kind',
            $danger->severity,
            [],
            $danger->would,
            $danger->wouldLabel,
        );
    }

    private static function withoutTaxa(ClearanceView $clearance): ClearanceView
    {
        return new ClearanceView(
            $clearance->answer,
            $clearance->because,
            $clearance->until,
            $clearance->nearest,
            array_map(
                static fn (PointView $p): PointView => new PointView(
                    $p->point,
                    $p->title,
                    $p->status,
                    $p->because,
                    $p->change,
                    array_values(
                        array_filter(
                            $p->items,
                            static fn (PointItemView $item): bool => Subject::Taxon !== $item->about,
                        ),
                    ),
                    $p->when,
                ),
                $clearance->points,
            ),
        );
    }
}
