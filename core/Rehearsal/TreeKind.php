<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledCharacter;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** The kind of tree that really stands there: a taxon of a flora, which need not be the flora the examiner holds. */
final readonly class TreeKind
{
    private const ANOTHER_YEAR_DAYS = 14;
    /**
     * What a list asks for is what is steady: trees described by people who had not seen the files were contradicted in
     * it some five times more rarely than in what nobody asks for (2 of some 300 looks against one in twenty; outside
     * readings of 26 November 2026).
     */
    private const ERROR_OF_REQUIRED = 0.2;

    private int $number;

    /**
     * @param bool $unknownIsWelcome what the flora does not say of this kind looks the way the examiner hopes: the
     *                               worst
     *                               case, for dangerous trees; otherwise it looks as trees of the flora look on the
     *                                   whole
     */
    public function __construct(private CompiledFlora $compiled, string $taxon, private bool $unknownIsWelcome)
    {
        $this->number = $compiled->numbers[$taxon];
    }

    public function taxon(): Taxon
    {
        return $this->compiled->flora->taxon($this->compiled->taxa[$this->number]);
    }

    public function character(string $id): CompiledCharacter
    {
        return $this->compiled->characters[$id];
    }

    /**
     * What it shows on a day, one bit per phenophase. Of a dangerous tree also what it would show two weeks earlier or
     * later: no two years are alike.
     */
    public function phases(Phenology $phenology, DayOfYear $day): int
    {
        $phases = 0;
        foreach ($this->unknownIsWelcome ? [-self::ANOTHER_YEAR_DAYS, 0, self::ANOTHER_YEAR_DAYS] : [0] as $days) {
            $phases |= $phenology->phases($this->taxon(), $day->plus($days));
        }

        return $phases;
    }

    /** What it shows in a character; none where the character makes no sense on it. */
    public function showing(string $id, Goal $goal): ?Showing
    {
        $character = $this->compiled->characters[$id];
        $hoped = $this->compiled->numbers[$goal->claim->taxon->id] ?? null;
        if (
            $character->character->variation->ripens
            && $this->taxon()->id === $goal->claim->taxon->id
            && isset($goal->required[$id])
        ) {
            // ripeness is taken as given
            return Showing::of($character, $this->number, $goal->required[$id]->states, 0.0);
        }

        if (!$this->unknownIsWelcome && isset($goal->required[$id])) {
            return Showing::of($character, $this->number, null, self::ERROR_OF_REQUIRED);
        }

        return Showing::of(
            $character,
            $this->unknownIsWelcome && null !== $hoped && isset($character->silent[$this->number])
                ? $hoped
                : $this->number,
        );
    }

    /**
     * Chance that a character that makes no sense on this kind does so on one of its trees after all: the description
     * error.
     */
    public function makesSenseAfterAll(string $id): float
    {
        return array_sum(
            array_map(fn (array $row): float => $row[$this->number], $this->compiled->characters[$id]->shown),
        );
    }
}
