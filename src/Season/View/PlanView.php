<?php

declare(strict_types=1);

namespace App\Season\View;

/** A day out. */
final readonly class PlanView
{
    /**
     * @param string             $day         YYYY-MM-DD
     * @param list<PlanDayView>  $days        the next ten days
     * @param string|null        $dawn        civil twilight begins, HH:MM; null where it does not
     * @param string|null        $sunrise     HH:MM
     * @param string|null        $sunset      HH:MM
     * @param string|null        $dusk        civil twilight ends, HH:MM
     * @param list<StopView>     $stops       in the order they are walked; those without a position last
     * @param int                $seconds     on foot, there and back
     * @param int                $home        seconds from the last stop back
     * @param bool               $exact       no other order is shorter
     * @param bool               $heights     slopes are reckoned with
     * @param list<string>       $kit         instruments to bring
     * @param list<AskAgainView> $permissions that run out, or have
     * @param int                $left        trees with something to do that did not go in
     * @param list<EndView>      $ends        where the round begins and ends; then the car, if it stays elsewhere
     * @param int                $approach    seconds from the car to the beginning, besides; each way
     * @param list<HopeView>     $choices     what could be hoped for there
     */
    public function __construct(
        public string $day,
        public array $days,
        public ?string $dawn,
        public ?string $sunrise,
        public ?string $sunset,
        public ?string $dusk,
        public array $stops,
        public int $seconds,
        public int $home,
        public bool $exact,
        public bool $heights,
        public array $kit,
        public array $permissions,
        public int $left,
        public array $ends,
        public int $approach,
        public array $choices,
    ) {
    }
}
