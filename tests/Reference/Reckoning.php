<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Taxon;

/**
 * The nine points reckoned a second time, from docs/how-it-decides.md, out of what the flora states and plain rows of
 * scores: no rule of `core/` is called. Point 4, the ranking, is checked elsewhere ({@see PosteriorTest}, against
 * another library).
 *
 * @phpstan-type Score array{character: string, values: list<string|float>, either: bool, na: bool, certainty: string, samples: int, where: string, position: string, further: bool, at: int|null, back: bool}
 */
final readonly class Reckoning
{
    private Taxon $taxon;
    private Part $part;
    /** @var array<string, list<Score>> by character */
    private array $scores;
    private int $day;

    /**
     * @param list<Score> $scores
     * @param string      $date   of the examination, Y-m-d in a year without a leap day
     */
    public function __construct(private Flora $flora, string $taxon, string $part, array $scores, private string $date)
    {
        $this->taxon = $flora->taxa[$taxon];
        $this->part = $this->taxon->parts[$part];
        $by = [];
        foreach ($scores as $score) {
            $by[$score['character']][] = $score;
        }
        $this->scores = $by;
        $this->day = self::dayOf($date);
    }

    public function featuresAreMet(): bool
    {
        foreach ($this->part->required as $feature) {
            if (!$this->isMet($feature)) {
                return false;
            }
        }

        return true;
    }

    private function isMet(RequiredFeature $feature): bool
    {
        $character = $this->flora->characters[$feature->character];
        [$standing, $disagrees] = $this->standing($feature->character);
        $sure = array_filter($standing, self::decides(...));
        if ($disagrees || !$this->isInSeason($character)) {
            return false;
        }
        $accepted = static fn (string|float $value): bool => \is_string($value)
            ? \in_array($value, $feature->states, true)
            : null !== $feature->range && $value >= $feature->range->least && $value <= $feature->range->most;
        $most = 0;
        foreach ($sure as $score) {
            $own = false;
            foreach (
                $score['either']
                    ? [$score['values']]
                    : array_map(static fn (string|float $v): array => [$v], $score['values']) as $oneOf
            ) {
                $good = array_filter($oneOf, $accepted);
                $beside = array_filter(
                    $oneOf,
                    static fn (string|float $v): bool => $accepted($v) || \in_array($v, $feature->beside, true),
                );
                if (\count($beside) < \count($oneOf)) {
                    return false; // foreign values
                }
                $own = $own || \count($good) === \count($oneOf);
            }
            $most = $own && !$score['na'] ? max($most, $score['samples']) : $most;
        }

        return $most >= $feature->samples;
    }

    public function isUncontradicted(): bool
    {
        return 'nothing' === $this->against();
    }

    /** @return string `broken`, `open` (disagreeing, or taken back) or `nothing` */
    public function against(): string
    {
        $odd = $looks = 0;
        $open = false;
        foreach ($this->scores as $id => $scores) {
            $character = $this->flora->characters[$id];
            [$standing, $disagrees] = $this->standing($id);
            $open = $open || ($disagrees && [] !== $standing);
            $unusual = false;
            foreach ($standing as $score) {
                foreach (self::readings($score) as $oneOf) {
                    if ($this->speaksAgainst($character, $oneOf)) {
                        return 'broken';
                    }
                    $unusual = $unusual || $this->isUnusual($character, $oneOf, $score['position']);
                }
            }
            foreach ($scores as $score) {
                foreach (
                    $score['back'] && !$this->isSettled($scores, $score['position']) ? self::readings($score) : [] as $oneOf
                ) {
                    $open =
                        $open
                        || $this->speaksAgainst($character, $oneOf)
                        || $this->isUnusual($character, $oneOf, $score['position']);
                }
            }
            $described = $this->described('');
            if (
                [] !== $standing
                && $this->isFirm($character)
                && ($described->describes($id) || $this->flora->isInapplicable($described, $character))
            ) {
                ++$looks;
            }
            $denied =
                [] !== $standing
                && [] === array_filter($standing, static fn (array $s): bool => !$s['na'])
                && $this->isFirm($character)
                && $described->describes($id);
            $odd += (int) ($unusual || $denied);
        }
        $atLeast = 0.0; // of so many or more among so many looks, one in twenty each
        for ($k = $odd; $k <= $looks; ++$k) {
            $atLeast += self::choose($looks, $k) * 0.05 ** $k * 0.95 ** ($looks - $k);
        }

        return $odd > 1 && $atLeast < 0.05 ? 'broken' : ($open ? 'open' : 'nothing');
    }

    /** @return list<string> dangerous kinds that are not excluded */
    public function openDangers(): array
    {
        $open = [];
        $allowed =
            '' === $this->part->group
                ? [$this->taxon->id]
                : [$this->taxon->id, ...$this->flora->groups[$this->part->group]->members];
        foreach ($this->flora->taxa as $id => $taxon) {
            if (
                0 === self::harm($taxon)
                || \in_array($id, $allowed, true)
                || \in_array($this->taxon->id, $taxon->parents, true)
            ) {
                continue;
            }
            $decisive = [];
            foreach ($this->part->lookAlikes as $lookAlike) {
                $decisive = $lookAlike->taxon === $id ? $lookAlike->decisive : $decisive;
            }
            $organs = [];
            $decided = false;
            foreach (array_keys($this->scores) as $character) {
                [$standing, $disagrees] = $this->standing($character);
                if ($disagrees || !$this->isInSeason($this->flora->characters[$character])) {
                    continue;
                }
                foreach (array_filter($standing, self::decides(...)) as $score) {
                    foreach (self::readings($score) as $oneOf) {
                        $lines = $this->forbids($taxon, $this->flora->characters[$character], $oneOf);
                        if ([] !== $lines) {
                            $organs[$this->flora->characters[$character]->organ->value] = true;
                            $decided = $decided || [] !== array_intersect($lines, $decisive);
                        }
                    }
                }
            }
            if (
                !$decided
                && (\count($organs) < 2 || [] === array_diff(array_keys($organs), ['bark', 'outline', 'site']))
            ) {
                $open[] = $id;
            }
        }

        return $open;
    }

    public function organs(): int
    {
        $organs = [];
        foreach (array_keys($this->scores) as $id) {
            $character = $this->flora->characters[$id];
            foreach ($this->standing($id)[0] as $score) {
                if (
                    'tree' === $score['where']
                    && 'unsure' !== $score['certainty']
                    && !$score['na']
                    && 'site' !== $character->organ->value
                    && $this->isInSeason($character)
                ) {
                    $organs[$character->organ->value] = true;
                }
            }
        }

        return \count($organs);
    }

    /**
     * At the reference place.
     *
     * @param array<string, array{bool, string}> $answers condition → found, and when
     */
    public function partIsReady(array $answers, string $decidedOn): bool
    {
        $inside = fn (string $date): bool => null !== $this->part->timing
            && self::within(
                $this->part->timing->window->from->number,
                $this->part->timing->window->to->number,
                self::dayOf($date),
            );
        if ('' !== $this->part->harmful || !$inside($decidedOn)) {
            return false;
        }
        foreach ($this->part->conditions as $condition) {
            [$found, $on] = $answers[$condition->id] ?? [null, ''];
            if (
                $found !== $condition->wanted
                || $on > $decidedOn
                || self::age($on, $decidedOn) > $this->part->freshnessDays()
                || !$inside($on)
            ) {
                return false;
            }
        }

        return true;
    }

    public function isFresh(string $decidedOn): bool
    {
        return $this->date <= $decidedOn && self::age($this->date, $decidedOn) <= $this->part->freshnessDays();
    }

    /** Whether a deadly kind is listed, or passes with three misreadings of required features or fewer. */
    public function wantsTwo(): bool
    {
        foreach ($this->part->lookAlikes as $lookAlike) {
            if ('deadly' === $lookAlike->severity->value || 3 === self::harm($this->flora->taxa[$lookAlike->taxon])) {
                return true;
            }
        }
        $allowed =
            '' === $this->part->group
                ? [$this->taxon->id]
                : [$this->taxon->id, ...$this->flora->groups[$this->part->group]->members];
        foreach ($this->flora->taxa as $id => $taxon) {
            if (
                3 !== self::harm($taxon)
                || \in_array($id, $allowed, true)
                || \in_array($this->taxon->id, $taxon->parents, true)
            ) {
                continue;
            }
            $fence = 0;
            foreach ($this->part->required as $feature) {
                $character = $this->flora->characters[$feature->character];
                if (null !== $feature->range) {
                    $values =
                        'count' === $character->kind->value
                            ? array_map(floatval(...), range((int) $feature->range->least, (int) $feature->range->most))
                            : [$feature->range->low];
                } else {
                    $values = $feature->states;
                }
                $fence +=
                    (int) ([] ===
                        array_filter(
                            $values,
                            fn (string|float $v): bool => [] === $this->forbids($taxon, $character, [$v]),
                        ));
            }
            if ($fence <= 3) {
                return true;
            }
        }

        return false;
    }

    /** @param list<string|float> $oneOf */
    private function speaksAgainst(Character $character, array $oneOf): bool
    {
        if ([] !== $this->forbids($this->taxon, $character, $oneOf)) {
            return true;
        }
        foreach ($this->part->required as $feature) {
            if ($feature->character !== $character->id || $character->variation->ripens) {
                continue;
            }
            foreach ($oneOf as $value) {
                if (
                    \is_string($value)
                        ? \in_array($value, [...$feature->states, ...$feature->beside], true)
                        : null !== $feature->range
                            && $value >= $feature->range->least
                            && $value <= $feature->range->most
                ) {
                    return false;
                }
            }

            return true;
        }

        return false;
    }

    /**
     * @param list<string|float> $oneOf
     *
     * @return list<string> the characters of the lines that forbid it
     */
    private function forbids(Taxon $taxon, Character $character, array $oneOf): array
    {
        $lines = [];
        foreach ($oneOf as $value) {
            $line = $this->states($taxon, $character->id, $value);
            if (!$line) {
                $lines = [];
                break;
            }
            $lines[] = $character->id;
        }
        if ([] === $lines && null !== $character->applies) {
            foreach ($character->applies->states as $state) {
                if (!$this->states($taxon, $character->applies->character, $state)) {
                    return [];
                }
                $lines[] = $character->applies->character;
            }
        }

        return $lines;
    }

    /** Whether it states that it never shows this. */
    private function states(Taxon $taxon, string $character, string|float $value): bool
    {
        foreach ($taxon->nevers as $never) {
            $last = [];
            foreach ($never->reviews as $review) {
                $last[$review->who] = $review->verdict->value;
            }
            if (
                $never->character === $character
                && !\in_array('doubted', $last, true)
                && (\is_string($value)
                    ? \in_array($value, $never->states, true)
                    : null !== $never->outside && ($value < $never->outside->least || $value > $never->outside->most))
            ) {
                return true;
            }
        }

        return false;
    }

    private function isFirm(Character $character): bool
    {
        return !$character->variation->byChance
            && 'site' !== $character->organ->value
            && 'number' !== $character->kind->value;
    }

    /** @param list<string|float> $oneOf */
    private function isUnusual(Character $character, array $oneOf, string $position): bool
    {
        if (!$this->isFirm($character)) {
            return false;
        }
        $described = $this->described($position);
        if ($this->flora->isInapplicable($described, $character)) {
            return true;
        }
        foreach ($oneOf as $value) {
            $listed = \is_string($value)
                ? ($described->frequencies($character->id) ?? [$value => 1.0])[$value] ?? 0.0
                : null;
            $range = $described->range($character->id);
            if (
                \is_string($value)
                    ? $listed > 0.0
                    : null === $range || ($value >= $range->least && $value <= $range->most)
            ) {
                return false;
            }
        }

        return true;
    }

    private function described(string $position): \Hylognosis\Flora\Description
    {
        $description = $this->taxon->description;
        foreach (
            [
                $this->taxon->variants->stages[LifeStage::Mature->value] ?? null,
                $this->taxon->variants->positions[$position] ?? null,
            ] as $overlay
        ) {
            $description = null === $overlay ? $description : $description->overlaidWith($overlay);
        }

        return $description;
    }

    /** @return array{list<Score>, bool} what stands, and whether it disagrees at some height */
    private function standing(string $character): array
    {
        $standing = [];
        $disagrees = false;
        foreach (Position::cases() as $position) {
            $there = array_values(
                array_filter(
                    $this->scores[$character] ?? [],
                    static fn (array $s): bool => $s['position'] === $position->value,
                ),
            );
            $side = $this->winners($there);
            $disagrees = $disagrees || null === $side;
            array_push(
                $standing,
                ...$side ?? array_values(array_filter($there, static fn (array $s): bool => !$s['back'])),
            );
        }

        return [$standing, $disagrees];
    }

    /**
     * @param list<Score> $there
     *
     * @return list<Score>|null
     */
    private function winners(array $there): ?array
    {
        $standing = array_values(array_filter($there, static fn (array $s): bool => !$s['back']));
        if (!$this->quarrel($there)) {
            return $standing;
        }
        foreach (\count($there) > 5 ? [] : $standing as $last) {
            if (!$last['further'] || !self::decides($last)) {
                continue;
            }
            $friends = array_values(array_filter($standing, fn (array $s): bool => $this->agree($s, $last)));
            $side = array_values(
                array_filter(
                    $friends,
                    fn (array $s): bool => [] === array_filter($friends, fn (array $t): bool => !$this->agree($s, $t)),
                ),
            );
            $votes = $this->votes($side, $there);
            if ($votes >= 2 && $votes > \count($there) - \count($side)) {
                return $side;
            }
        }

        return null;
    }

    /** @param list<Score> $scores */
    private function isSettled(array $scores, string $position): bool
    {
        $there = array_values(array_filter($scores, static fn (array $s): bool => $s['position'] === $position));
        if ($this->quarrel($there)) {
            return null !== $this->winners($there);
        }
        $standing = array_values(array_filter($there, static fn (array $s): bool => !$s['back']));
        $votes = $this->votes($standing, $there);
        $further = array_filter($standing, static fn (array $s): bool => $s['further'] && self::decides($s));

        return [] !== $further && \count($there) <= 5 && $votes >= 2 && $votes > \count($there) - \count($standing);
    }

    /** @param list<Score> $there */
    private function quarrel(array $there): bool
    {
        foreach ($there as $a) {
            foreach ($there as $b) {
                if (!$this->agree($a, $b)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param list<Score> $side
     * @param list<Score> $there
     */
    private function votes(array $side, array $there): int
    {
        $first = $further = 0;
        foreach ($side as $score) {
            if (!self::decides($score)) {
                continue;
            }
            $near = array_filter(
                $there,
                static fn (array $o): bool => null !== $o['at']
                    && null !== $score['at']
                    && abs($o['at'] - $score['at']) < 15,
            );
            $first = $score['further'] ? $first : 1;
            $further += (int) ($score['further'] && \count($near) <= 1);
        }

        return $first + $further;
    }

    /**
     * @param Score $a
     * @param Score $b
     */
    private function agree(array $a, array $b): bool
    {
        if ($a['na'] || $b['na']) {
            return $a['na'] && $b['na'];
        }
        $x = array_filter($a['values'], is_float(...));
        $y = array_filter($b['values'], is_float(...));

        return [] === $x || [] === $y
            ? [] !== array_intersect($a['values'], $b['values'])
            : min($x) <= 1.5 * max($y) && min($y) <= 1.5 * max($x);
    }

    /** @param Score $score */
    private static function decides(array $score): bool
    {
        return 'sure' === $score['certainty'] && 'tree' === $score['where'];
    }

    /**
     * @param Score $score
     *
     * @return list<list<string|float>>
     */
    private static function readings(array $score): array
    {
        return $score['na']
            ? []
            : ($score['either']
                ? [$score['values']]
                : array_map(static fn (string|float $v): array => [$v], $score['values']));
    }

    private function isInSeason(Character $character): bool
    {
        foreach (Phenophase::cases() as $phase) {
            $window = $this->taxon->calendar->window($phase);
            if (null !== $window && \in_array($phase, $character->sight->phenophases, true)) {
                for ($off = -14; $off <= 14; ++$off) {
                    if (
                        self::within(
                            $window->from->number,
                            $window->to->number,
                            (($this->day - 1 + $off + 365) % 365) + 1,
                        )
                    ) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private static function within(int $from, int $to, int $day): bool
    {
        return $from <= $to ? $day >= $from && $day <= $to : $day >= $from || $day <= $to;
    }

    private static function dayOf(string $date): int
    {
        $day = new \DateTimeImmutable($date);
        $number = (int) $day->format('z') + 1;

        // the twenty-ninth of February counts as the first of March
        return $number - (int) ('1' === $day->format('L') && $number > 60);
    }

    private static function age(string $from, string $to): int
    {
        return (int) (new \DateTimeImmutable($from))->diff(new \DateTimeImmutable($to))->format('%r%a');
    }

    private static function harm(Taxon $taxon): int
    {
        $worst = 0;
        foreach ($taxon->hazards as $hazard) {
            $worst =
                'people' === $hazard->who
                && (('wound' !== $hazard->way && 'breathing' !== $hazard->way)
                    || !\in_array($hazard->severity->value, ['harmless', 'mild'], true))
                    ? max(
                        $worst,
                        ['harmless' => 0, 'mild' => 1, 'serious' => 2, 'deadly' => 3][$hazard->severity->value],
                    )
                    : $worst;
        }

        return $worst;
    }

    private static function choose(int $n, int $k): float
    {
        $c = 1.0;
        for ($i = 1; $i <= $k; ++$i) {
            $c *= ($n - $k + $i) / $i;
        }

        return $c;
    }
}
