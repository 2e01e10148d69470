<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Normal;
use Hylognosis\Measure\Window;

/**
 * The year of a part at a site: when it may be taken, when its tree can be told by all that is required, and when it
 * must be looked at beforehand. What is in sight is the flora's say, moved by Hopkins' rule, as the gate has it; the
 * window is the one that learns. Whether every dangerous kind can be excluded then, the gate alone can say.
 */
final readonly class PartYear
{
    public const WEEKS = 52;

    /**
     * @param list<PartWeek>          $weeks     52 of the asked year; the last has eight days, in leap years nine;
     *                                           none where none are asked for
     * @param ExpectedWindow|null     $next      the window that is open, or opens next
     * @param \DateTimeImmutable|null $lookFrom  first day from today on when all that is required can be seen, early
     *                                           enough for that window and not too early to hold
     * @param \DateTimeImmutable|null $lookBy    the last such day in one stretch from there
     * @param bool                    $onTheSpot all that is required can be seen on some day of that window itself
     */
    private function __construct(
        public array $weeks,
        public ?ExpectedWindow $next,
        public ?\DateTimeImmutable $lookFrom,
        public ?\DateTimeImmutable $lookBy,
        public bool $onTheSpot,
    ) {
    }

    /**
     * @param string             $tree  id of the tree; empty: any of the kind
     * @param int|null           $year  of the weeks; null: without weeks
     * @param \DateTimeImmutable $today midnight, universal time
     *
     * @return self|null none where the part may not be taken, or does not come about there
     */
    public static function of(
        Flora $flora,
        Taxon $taxon,
        Part $part,
        LearnedYears $years,
        Phenology $phenology,
        string $site,
        string $tree,
        ?int $year,
        \DateTimeImmutable $today,
    ): ?self {
        $windows = [];
        $around = $year ?? (int) $today->format('Y');
        foreach ([$around - 1, $around, $around + 1] as $begins) {
            $windows[] = $years->window($taxon, $part, $site, $tree, $begins);
        }
        $windows = array_values(array_filter($windows));
        if ([] === $windows) {
            return null;
        }
        $visible = self::visible($flora, $taxon, $part, $phenology);
        $fresh = $part->freshnessDays();
        $weeks = [];
        $first = CalendarDay::parse($around.'-01-01');
        for ($w = 0; null !== $year && $w < self::WEEKS; ++$w) {
            $day = $first->modify('+'.(7 * $w + 3).' days');
            $middle = DayOfYear::on($day);
            $weeks[] = new PartWeek(
                max(array_map(static fn (ExpectedWindow $window): float => self::open($window, $day), $windows)),
                '1' === $visible[$middle->number - 1],
                self::isFresh($visible, $middle, $fresh),
            );
        }
        $next =
            (int) $today->format('Y') === $around
                ? array_values(
                    array_filter($windows, static fn (ExpectedWindow $w): bool => $w->to->likely >= $today),
                )[0] ?? null
                : self::upcoming($years, $taxon, $part, $site, $tree, $today);
        [$from, $by] = null === $next ? [null, null] : self::look($visible, $next, $today, $fresh);

        return new self($weeks, $next, $from, $by, null !== $next && self::isSeenWithin($visible, $next));
    }

    /** @return string 365 characters, 1 where all required features can be seen on the tree */
    private static function visible(Flora $flora, Taxon $taxon, Part $part, Phenology $phenology): string
    {
        $shown = [];
        foreach (Phenophase::cases() as $phase) {
            $stretch = $phenology->stretch($taxon, $phase);
            $shown[$phase->value] = null === $stretch ? str_repeat('0', 365) : self::days($stretch);
        }
        $visible = str_repeat('1', 365);
        foreach ($part->required as $feature) {
            $any = str_repeat('0', 365);
            foreach ($flora->character($feature->character)->sight->phenophases as $phase) {
                $any |= $shown[$phase->value];
            }
            $visible &= $any;
        }

        return $visible;
    }

    /** @return string 365 characters, 1 on the days of the window */
    private static function days(Window $window): string
    {
        [$from, $length] = [$window->from->number - 1, $window->days()];
        $over = max(0, $from + $length - 365); // into the next year

        return str_repeat('1', $over).
            str_repeat('0', $from - $over).
            str_repeat('1', $length - $over).
            str_repeat('0', max(0, 365 - $from - $length));
    }

    private static function open(ExpectedWindow $window, \DateTimeImmutable $day): float
    {
        return self::normal(CalendarDay::between($window->from->likely, $day) + 0.5, $window->from->spread) *
            self::normal(CalendarDay::between($day, $window->to->likely) + 0.5, $window->to->spread);
    }

    /** Probability that a normal deviation is less than so many days. */
    private static function normal(float $days, float $spread): float
    {
        return $spread > 0.0 ? Normal::below($days / $spread) : ($days > 0 ? 1.0 : 0.0);
    }

    /** Whether all could be seen on some day of those before, or on the day itself. */
    private static function isFresh(string $visible, DayOfYear $day, int $days): bool
    {
        $last = strrpos(substr($visible.$visible, 0, 365 + $day->number), '1');

        return false !== $last && 365 + $day->number - 1 - $last <= min($days, 364);
    }

    /** The window that is open, or opens next; none where the part may not be taken, or does not come about there. */
    public static function upcoming(
        LearnedYears $years,
        Taxon $taxon,
        Part $part,
        string $site,
        string $tree,
        \DateTimeImmutable $today,
    ): ?ExpectedWindow {
        $now = (int) $today->format('Y');
        foreach ([$now - 1, $now, $now + 1] as $begins) {
            $window = $years->window($taxon, $part, $site, $tree, $begins);
            if (null !== $window && $window->to->likely >= $today) {
                return $window;
            }
        }

        return null;
    }

    /** @return array{\DateTimeImmutable|null, \DateTimeImmutable|null} */
    private static function look(string $visible, ExpectedWindow $window, \DateTimeImmutable $today, int $fresh): array
    {
        $first = max($today, $window->from->likely->modify("-$fresh days"));
        $left = CalendarDay::between($first, $window->to->likely) + 1;
        $ahead = substr(str_repeat($visible, 3), DayOfYear::on($first)->number - 1, max(0, min($left, 730)));
        $from = strpos($ahead, '1');
        if (false === $from) {
            return [null, null];
        }
        $by = $from + strspn($ahead, '1', $from) - 1;

        return [$first->modify("+$from days"), $first->modify("+$by days")];
    }

    private static function isSeenWithin(string $visible, ExpectedWindow $window): bool
    {
        $days = min(365, CalendarDay::between($window->from->likely, $window->to->likely) + 1);
        $within = substr($visible.$visible, DayOfYear::on($window->from->likely)->number - 1, max(1, $days));

        return str_contains($within, '1');
    }
}
