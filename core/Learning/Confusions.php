<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Flora\Character;
use Hylognosis\Identification\MisreadingModel;
use Hylognosis\Measure\BetaShare;

/**
 * What is read where a state is there, in one character: own readings, and behind them what the flora expects of
 * anybody, as a Dirichlet prior worth so many looks. Few own readings leave the flora's rates standing, many outweigh
 * them.
 */
final readonly class Confusions
{
    /** So many looks the rates of the flora count for. Estimate: with as many of one's own, both weigh alike. */
    public const PRIOR_LOOKS = 20.0;

    /**
     * @param array<string, array<string, int>>   $counts true state → read state → own readings
     * @param array<string, array<string, float>> $prior  true → read → looks of the flora's rates, above 0
     */
    private function __construct(public Character $character, public array $counts, private array $prior)
    {
    }

    /**
     * @param list<Reading> $readings of that character; those with several values count each that was read, as a share
     *                                of one look where one state alone was there
     */
    public static function of(Character $character, array $readings): self
    {
        $counts = $prior = [];
        $misread = MisreadingModel::misread($character);
        $rate = max(0.002, MisreadingModel::plainRate($character));
        foreach (array_keys($character->states) as $true) {
            foreach (array_keys($character->states) as $read) {
                $share = $true === $read ? 1 - $rate : $rate * ($misread[$true][$read] ?? 0.0);
                $prior[$true][$read] = self::PRIOR_LOOKS * max(1e-6, $share);
            }
        }
        foreach ($readings as $reading) {
            // which of several was looked at nobody knows; one state alone tells
            if (1 !== \count($reading->true) || 1 !== \count($reading->read)) {
                continue;
            }
            [$true, $read] = [(string) $reading->true[0], (string) $reading->read[0]];
            if (isset($prior[$true][$read])) {
                $counts[$true][$read] = ($counts[$true][$read] ?? 0) + 1;
            }
        }

        return new self($character, $counts, $prior);
    }

    /** How often that state is read where this one is there, flora and own readings together. */
    public function share(string $true, string $read): BetaShare
    {
        $for = $this->prior[$true][$read] + ($this->counts[$true][$read] ?? 0);
        $all = array_sum($this->prior[$true]) + array_sum($this->counts[$true] ?? []);

        return BetaShare::of($for, max(1e-9, $all - $for));
    }

    /** Own readings of that state, 0 or more. */
    public function looks(string $true): int
    {
        return array_sum($this->counts[$true] ?? []);
    }

    /** How often it is misread over all its states, weighed by how often each was looked at. */
    public function misread(): float
    {
        $wrong = $all = 0.0;
        foreach ($this->prior as $true => $row) {
            $looks = $this->looks((string) $true);
            $weight = [] === $this->counts ? 1.0 : (float) $looks;
            $wrong += $weight * (1 - $this->share((string) $true, (string) $true)->mean());
            $all += $weight;
        }

        return $all > 0.0 ? $wrong / $all : 0.0;
    }

    /**
     * Which two are most taken for each other, the worst first.
     *
     * @return list<array{string, string, int}> true state, read state, how often; none where nothing was misread
     */
    public function worst(): array
    {
        $pairs = [];
        foreach ($this->counts as $true => $row) {
            foreach ($row as $read => $times) {
                if ($true !== $read) {
                    $pairs[] = [(string) $true, (string) $read, $times];
                }
            }
        }
        usort($pairs, static fn (array $a, array $b): int => $b[2] <=> $a[2]);

        return $pairs;
    }
}
