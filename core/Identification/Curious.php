<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Reason\Reason;

/**
 * A look is worth what it tells of the tree: the expected fall in entropy over the taxa and over something the flora
 * does not hold.
 */
final readonly class Curious implements Valuation
{
    /** Of the most probable taxa, so many are asked for the pair a character parts best. */
    private const PAIRED = 6;
    private const PARTS_AT_ALL = 0.2;

    /**
     * @param array<int, float> $posterior of the taxa that matter, by number
     */
    public function __construct(private Identification $identification, private array $posterior)
    {
    }

    public function of(CompiledCharacter $character): Worth
    {
        $known = null !== $this->identification->examination->finding($character->character->id);

        return new Worth($known ? 0.0 : $this->bits($character), 0.0, (float) $character->character->sight->effort);
    }

    public function why(CompiledCharacter $character): Why
    {
        $pair = $this->pair($character);

        return new Why(
            2 === \count($pair) ? new Reason('tells-two-apart', ['taxa' => $pair]) : new Reason('narrows-down'),
            $pair,
        );
    }

    private function bits(CompiledCharacter $character): float
    {
        if (
            [] === $this->identification->examination->findings
            && \count($this->posterior) === \count($this->identification->posterior)
        ) {
            return $character->bitsAtFirst;
        }

        return self::told(
            $character->read,
            $character->spread,
            $character->background,
            $character->backgroundSpread,
            $this->posterior,
            $this->identification->unlisted,
        );
    }

    /**
     * What a look tells of the taxon is what the taxon tells of the look: the entropy of what will be read, less what
     * is left of it once the taxon is known. The latter is the same every time and stands ready.
     *
     * @param array<int, array<int, float>> $read             outcome → taxon → probability that one careful look reads
     *                                         it
     * @param array<int, float>             $spread           taxon → entropy of what one careful look reads, in nats
     * @param array<int, float>             $background       outcome → how often it is met in the flora as a whole
     * @param float                         $backgroundSpread entropy of that, in nats
     * @param array<int, float>             $posterior        taxon → probability
     * @param float                         $unlisted         probability of something else, which would read as the
     *                                         flora's trees do on the whole
     *
     * @return float bits, at least 0
     */
    public static function told(
        array $read,
        array $spread,
        array $background,
        float $backgroundSpread,
        array $posterior,
        float $unlisted,
    ): float {
        $sum = $unlisted;
        $known = $unlisted * $backgroundSpread;
        foreach ($posterior as $t => $probability) {
            $sum += $probability;
            $known += $probability * $spread[$t];
        }
        $unknown = 0.0;
        foreach ($read as $o => $row) {
            $mass = $unlisted * $background[$o];
            foreach ($posterior as $t => $probability) {
                $mass += $probability * $row[$t];
            }
            if ($mass > 0.0) {
                $unknown -= ($mass / $sum) * log($mass / $sum);
            }
        }

        return max(0.0, $unknown - $known / $sum) / \M_LN2;
    }

    /** @return list<string> the two probable taxa this character parts best; none where it parts none */
    private function pair(CompiledCharacter $character): array
    {
        $posterior = $this->posterior;
        arsort($posterior);
        $top = array_keys(\array_slice($posterior, 0, self::PAIRED, true));
        $best = [];
        $most = 0.0;
        foreach ($top as $i => $a) {
            foreach (\array_slice($top, $i + 1) as $b) {
                $apart = 0.0;
                foreach ($character->read as $row) {
                    $apart += abs($row[$a] - $row[$b]) / 2;
                }
                $gain = $apart * sqrt($posterior[$a] * $posterior[$b]);
                if ($apart > self::PARTS_AT_ALL && $gain > $most) {
                    [$best, $most] = [
                        [$this->identification->compiled->taxa[$a], $this->identification->compiled->taxa[$b]],
                        $gain,
                    ];
                }
            }
        }

        return $best;
    }
}
