<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Reason\Reason;

/** A look is worth what it tells, and what it can be expected to close of an intended clearance. */
final class Aimed implements Valuation
{
    /** A second look at what speaks against the hope turns it over so often (an estimate). */
    private const SECOND_LOOK_TURNS = 0.5;
    /** A number is accepted about as often as specimens lie in the normal range. */
    private const NUMBER_ACCEPTED = 0.9;
    /** Effort of a required look counts for the order of looks only. */
    private const ORDERING = 100;
    private const MOSTLY = 0.5;
    private const NAMED = 3;

    /**
     * @var list<array{int, array<string, float>}> dangers not yet excluded: taxon number, step by organ, or by
     *     character where one decides
     */
    private readonly array $dangers;
    /** @var list<array{int, array<string, float>}> the same as the required features in sight will leave them */
    private readonly array $left;

    /** @param int $phases what the taxon aimed at shows today, one bit each */
    public function __construct(
        private readonly Curious $curious,
        private readonly Identification $identification,
        private readonly Aim $aim,
        private readonly Contrast $contrast,
        private readonly int $phases,
        Outlook $outlook,
    ) {
        $numbers = $identification->compiled->numbers;
        $this->dangers = array_map(
            static fn (Danger $danger): array => [$numbers[$danger->taxon->id], $danger->steps()],
            $aim->dangers,
        );
        $this->left = $this->leftBy($this->requiredInSight($outlook));
    }

    public function of(CompiledCharacter $character): Worth
    {
        $worth = $this->curious->of($character);

        // What is required has to be looked at in any case: it comes first, and its effort counts for the order only.
        return null !== $this->aim->requires($character->character->id)
            ? new Worth(
                $worth->bits,
                $this->closes($character, $this->dangers),
                1.0 + $worth->effort / self::ORDERING,
                true,
            )
            : new Worth($worth->bits, $this->closes($character, $this->left), $worth->effort);
    }

    public function why(CompiledCharacter $character): Why
    {
        $id = $character->character->id;
        $required = null !== $this->aim->requires($id);
        $parted = [];
        foreach ($this->aim->dangers as $danger) {
            if (
                $danger->stepOf($character->character) > 0.0
                && $this->contrast->against($id, $this->identification->compiled->numbers[$danger->taxon->id]) >
                    self::MOSTLY
            ) {
                $parted[] = $danger->taxon->id;
            }
        }
        $about = [
            'taxon' => $this->aim->taxon->id,
            'taxa' => \array_slice($parted, 0, self::NAMED),
            'more' => max(0, \count($parted) - self::NAMED),
        ];

        return match (true) {
            \in_array($id, $this->aim->against, true) => new Why(new Reason('speaks-against', $about), $parted),
            [] !== $parted => new Why(
                new Reason($required ? 'required-and-tells-apart' : 'tells-apart', $about),
                $parted,
            ),
            $required => new Why(new Reason('required', $about), []),
            default => $this->curious->why($character),
        };
    }

    /** @return list<CompiledCharacter> open required features that can be looked at today */
    private function requiredInSight(Outlook $outlook): array
    {
        $inSight = [];
        foreach ($this->aim->open as $feature) {
            $character = $this->identification->compiled->characters[$feature->character];
            if (
                0 !== ($character->phenophases & $this->phases)
                && $outlook->reaches($character->character)
                && !\in_array($feature->character, $this->identification->examination->couldNotLook, true)
            ) {
                $inSight[] = $character;
            }
        }

        return $inSight;
    }

    /**
     * The dangers as the required features in sight will leave them: a look that is not required is worth only what
     * those would not close anyway.
     *
     * @param list<CompiledCharacter> $inSight
     *
     * @return list<array{int, array<string, float>}>
     */
    private function leftBy(array $inSight): array
    {
        $closed = array_fill(0, \count($this->dangers), 0.0);
        foreach ($inSight as $character) {
            $against = $this->contrast->row($character->character->id);
            foreach ($this->dangers as $d => [$number, $steps]) {
                $closed[$d] += self::step($steps, $character) * $against[$number];
            }
        }
        $left = [];
        foreach ($this->dangers as $d => [$number, $steps]) {
            if ($closed[$d] < 1.0) {
                $left[] = [$number, array_map(static fn (float $step): float => $step * (1.0 - $closed[$d]), $steps)];
            }
        }

        return $left;
    }

    /** @param array<string, float> $steps by organ, or by character where one decides */
    private static function step(array $steps, CompiledCharacter $character): float
    {
        return $steps[$character->character->id] ?? $steps[$character->character->organ->value];
    }

    /** @param list<array{int, array<string, float>}> $dangers taxon number, step by organ */
    private function closes(CompiledCharacter $character, array $dangers): float
    {
        if (0 === ($character->phenophases & $this->phases)) {
            return 0.0;
        }
        $closes = 0.0;
        $required = $this->aim->requires($character->character->id);
        if (null !== $required) {
            foreach ($required->states as $state) {
                $closes += $character->read[$character->outcomes[$state]][$this->contrast->own];
            }
            $closes += null === $required->range ? 0.0 : self::NUMBER_ACCEPTED;
        }
        if (\in_array($character->character->id, $this->aim->against, true)) {
            $closes = max($closes, self::SECOND_LOOK_TURNS);
        }
        if ([] === $dangers) {
            return $closes;
        }
        $against = $this->contrast->row($character->character->id);
        foreach ($dangers as [$number, $steps]) {
            $closes += self::step($steps, $character) * $against[$number];
        }

        return $closes;
    }
}
