<?php

declare(strict_types=1);

namespace App\Examine;

use App\Examine\View\AsleepView;
use App\Examine\View\AssessmentView;
use App\Examine\View\ClaimView;
use App\Examine\View\ClearanceView;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\Quota;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Identification\Asleep;
use Hylognosis\Identification\InSight;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Wording\English;

/**
 * What an examiner may see of one full step of the engine. Plain: it is drawn up by the server, and out of its reach on
 * the device itself.
 */
final readonly class Shown
{
    /**
     * @param list<string>     $inSight ids of the characters the examiner is asked about
     * @param list<AsleepView> $asleep  those no tree can show on that day
     */
    private function __construct(
        public ?ClaimView $claim,
        public AssessmentView $assessment,
        public array $inSight,
        public array $asleep,
    ) {
    }

    /** @param TypicalCrop|null $typical of the wanted part; null where nobody has said */
    public static function of(
        Assessment $assessment,
        ?Claim $claim,
        ?Quota $quota,
        ?TypicalCrop $typical,
        Cover $cover,
        English $words,
    ): self {
        $seen = Cover::Hope === $cover ? null : $claim;
        $inSight = InSight::of(
            $assessment->identification->compiled->flora,
            $assessment->identification->examination,
            $assessment->outlook,
            array_map(static fn (RequiredFeature $feature): string => $feature->character, $seen->part->required ?? []),
        );

        return new self(
            null === $seen
                ? null
                : ClaimView::of($seen->taxon, $seen->part, $assessment->clearance, $quota, $typical, $words->units),
            (new Covering())->of($cover, AssessmentView::of($assessment, $words)),
            array_map(static fn (Character $character): string => $character->id, $inSight),
            self::asleep($assessment),
        );
    }

    /** @return list<AsleepView> */
    private static function asleep(Assessment $assessment): array
    {
        $outlook = $assessment->outlook;
        $date = $assessment->identification->examination->date;
        $asleep = [];
        foreach (
            Asleep::of($assessment->identification->compiled->flora, $outlook->phenology, $outlook->day) as $id => $wakes
        ) {
            $asleep[] = new AsleepView(
                $id,
                CalendarDay::iso($date->modify('+'.$outlook->day->until($wakes).' days')),
            );
        }

        return $asleep;
    }

    /** The gate with all nine points; none where nothing is asked, or what is asked is covered. */
    public static function points(Assessment $assessment, Cover $cover, English $words): ?ClearanceView
    {
        return null === $assessment->clearance
            ? null
            : (new Covering())->points($cover, ClearanceView::of($assessment->clearance, $words));
    }
}
