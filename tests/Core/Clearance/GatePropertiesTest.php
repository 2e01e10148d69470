<?php

declare(strict_types=1);

namespace App\Tests\Core\Clearance;

use App\Tests\Support\Starter;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\Gate;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Reading;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\Identifier;
use Hylognosis\Rehearsal\Chance;
use Hylognosis\Rehearsal\Goal;
use Hylognosis\Rehearsal\Rehearsal;
use Hylognosis\Rehearsal\Showing;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * What must hold of the gate whatever was scored. Examinations are made up from the descriptions: all that is required
 * of a wanted part, a few further looks, and sometimes a mistake or a doubt. About half of them open the gate.
 */
final class GatePropertiesTest extends TestCase
{
    private const TRIALS = 120;

    private Randomizer $random;
    private Chance $chance;

    protected function setUp(): void
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $this->name(), true)));
        $this->chance = Chance::fair($this->random);
    }

    public function testAddingAContradictionNeverOpensIt(): void
    {
        $this->everywhere(function (Goal $goal, array $scores, bool $open): void {
            $own = Starter::compiled()->numbers[$goal->claim->taxon->id];
            foreach (Starter::compiled()->characters as $character) {
                $never = array_keys(
                    array_filter($character->outcomes, static fn (int $o): bool => isset($character->never[$o][$own])),
                );
                if ([] !== $never && 0 === $this->random->getInt(0, 5)) {
                    $scores[] = Observation::ofStates(
                        $character->character,
                        [$never[0]],
                        Certainty::cases()[$this->random->getInt(0, 2)],
                        1,
                        Whereabouts::Tree,
                    );
                    self::assertFalse(!$open && $this->opens($goal, $scores), $character->character->id);
                }
            }
        });
    }

    /**
     * Removing a score that is no contradiction never makes a point met, but the fourth; and the fourth only where the
     * score spoke against the claim, or said so little that it but watered the others of its organ down (its weight is
     * shared, {@see \Hylognosis\Identification\Tempering}).
     */
    public function testRemovingWhatSpeaksForTheClaimNeverOpensIt(): void
    {
        $this->everywhere(function (Goal $goal, array $scores, bool $open): void {
            $own = Starter::compiled()->numbers[$goal->claim->taxon->id];
            $before = $this->dossier($goal, $scores);
            $met = $this->met($before);
            foreach ($scores as $i => $score) {
                if (
                    [] !==
                    array_filter(
                        $score->values(),
                        static fn (string|float $value): bool => self::speaksAgainst($own, $score, $value),
                    )
                ) {
                    continue;
                }
                $after = $this->dossier($goal, array_values(array_diff_key($scores, [$i => true])));
                self::assertSame([], array_diff($this->met($after), $met, ['strength']), $score->character->id);
                $spokeFor =
                    $after->posteriorOfClaim() <= $before->posteriorOfClaim()
                    && $after->identification->fit <= $before->identification->fit;
                self::assertFalse(
                    !$open && $spokeFor && (new Gate())->isOpenBut($after, ['people']),
                    $score->character->id,
                );
            }
        });
    }

    public function testTheOrderOfScoresChangesNothing(): void
    {
        $this->everywhere(function (Goal $goal, array $scores, bool $open): void {
            self::assertSame($open, $this->opens($goal, $this->random->shuffleArray($scores)));
        });
    }

    public function testLessCertaintyNeverOpensIt(): void
    {
        $this->everywhere(function (Goal $goal, array $scores, bool $open): void {
            $i = $this->random->getInt(0, \count($scores) - 1);
            $own = Starter::compiled()->numbers[$goal->claim->taxon->id];
            $before = $this->dossier($goal, $scores);
            $less = match ($scores[$i]->certainty) {
                Certainty::Sure => Certainty::Likely,
                default => Certainty::Unsure,
            };
            $against = array_filter(
                $scores[$i]->values(),
                static fn (string|float $value): bool => [] !==
                    Starter::compiled()->forbidding($own, $scores[$i]->character, new Reading([$value])),
            );
            $scores[$i] = self::again($scores[$i], $less);
            // Doubting what spoke against the claim may be right; but a true contradiction keeps the gate shut however
            // unsure it is.
            if (!$open && $this->opens($goal, array_values($scores))) {
                self::assertSame([], $against, $scores[$i]->character->id);
                self::assertGreaterThan(
                    $before->posteriorOfClaim() + $before->identification->fit,
                    $this->dossier($goal, array_values($scores))->posteriorOfClaim() +
                        $this->dossier($goal, array_values($scores))->identification->fit,
                    $scores[$i]->character->id,
                );
            }
        });
    }

    public function testADangerThatNothingContradictsKeepsItShut(): void
    {
        $this->everywhere(function (Goal $goal, array $scores): void {
            foreach (Starter::flora()->dangerous() as $danger) {
                $number = Starter::compiled()->numbers[$danger->id];
                $left = array_values(
                    array_filter(
                        $scores,
                        static fn (Observation $o): bool => [] ===
                            array_filter(
                                $o->values(),
                                static fn (string|float $value): bool => [] !==
                                    Starter::compiled()->forbidding($number, $o->character, new Reading([$value])),
                            ),
                    ),
                );
                if ($danger->id !== $goal->claim->taxon->id) {
                    self::assertFalse($this->opens($goal, $left), $danger->id);
                }
            }
        });
    }

    /** @param callable(Goal, non-empty-list<Observation>, bool): void $check */
    private function everywhere(callable $check): void
    {
        $wanted = (new Rehearsal(Starter::flora(), 1, 10))->wanted();
        $opened = 0;
        for ($trial = 0; $trial < self::TRIALS; ++$trial) {
            [$taxon, $part] = $wanted[$trial % \count($wanted)];
            $days = array_values(Rehearsal::months($part));
            $goal = new Goal(new Claim($taxon, $part, []), $days[$this->random->getInt(0, \count($days) - 1)]);
            $scores = $this->scores($goal);
            $open = $this->opens($goal, $scores);
            $opened += (int) $open;
            $check($goal, $scores, $open);
        }
        self::assertGreaterThan(
            self::TRIALS / 5,
            $opened,
            'too few of the examinations open the gate for the property to mean anything',
        );
        self::assertLessThan(self::TRIALS * 0.9, $opened);
    }

    /** @return non-empty-list<Observation> */
    private function scores(Goal $goal): array
    {
        $compiled = Starter::compiled();
        $own = $compiled->numbers[$goal->claim->taxon->id];
        $scores = [];
        foreach ($goal->required as $feature) {
            $character = Starter::flora()->character($feature->character);
            $range = $feature->range;
            $scores[] =
                null === $range
                    ? Observation::ofStates(
                        $character,
                        [$feature->states[$this->random->getInt(0, \count($feature->states) - 1)]],
                        0 === $this->random->getInt(0, 19) ? Certainty::Likely : Certainty::Sure,
                        4,
                        Whereabouts::Tree,
                    )
                    : Observation::ofNumbers(
                        $character,
                        array_fill(0, 4, $range->low),
                        Certainty::Sure,
                        Whereabouts::Tree,
                    );
        }
        foreach ($this->random->shuffleArray(array_keys($compiled->characters)) as $id) {
            $showing = Showing::of($compiled->characters[$id], $own);
            if (\count($scores) < \count($goal->required) + 8 && !isset($goal->required[$id]) && null !== $showing) {
                $value = $showing->values[$this->chance->pick($showing->shares, [])];
                $scores[] = $this->maybeWrong($compiled->characters[$id]->character, $value);
            }
        }
        \assert([] !== $scores);

        return $scores;
    }

    private function maybeWrong(Character $character, string|float $value): Observation
    {
        if (\is_float($value)) {
            return Observation::ofNumbers($character, [$value], Certainty::Sure, Whereabouts::Tree);
        }
        $states = array_keys($character->states);
        $value = 0 === $this->random->getInt(0, 24) ? $states[$this->random->getInt(0, \count($states) - 1)] : $value;

        return Observation::ofStates(
            $character,
            [$value],
            Certainty::Sure,
            2,
            0 === $this->random->getInt(0, 9) ? Whereabouts::Ground : Whereabouts::Tree,
        );
    }

    private static function again(Observation $score, Certainty $certainty): Observation
    {
        return [] !== $score->numbers
            ? Observation::ofNumbers($score->character, $score->numbers, $certainty, $score->where)
            : Observation::ofStates(
                $score->character,
                [$score->states[0], ...$score->states],
                $certainty,
                $score->samples,
                $score->where,
            );
    }

    private static function speaksAgainst(int $taxon, Observation $score, string|float $value): bool
    {
        $reading = new Reading([$value], $score->position);

        return [] !== Starter::compiled()->forbidding($taxon, $score->character, $reading)
            || Starter::compiled()->isUnusual($taxon, $score->character, $reading);
    }

    /** @return list<string> points that are met */
    private function met(Dossier $dossier): array
    {
        return array_values(
            array_map(
                static fn (PointReport $p): string => $p->point,
                array_filter((new Gate())->decide($dossier)->points, static fn (PointReport $p): bool => $p->isMet()),
            ),
        );
    }

    /** @param list<Observation> $scores */
    private function opens(Goal $goal, array $scores): bool
    {
        return (new Gate())->isOpenBut($this->dossier($goal, $scores), ['people']);
    }

    /** @param list<Observation> $scores */
    private function dossier(Goal $goal, array $scores): Dossier
    {
        $date = new \DateTimeImmutable('2027-'.$goal->day);
        $identification = (new Identifier())->identify(
            Starter::compiled(),
            Examination::of($date, LifeStage::Mature, ExaminerRole::Instructor, $scores),
        );

        return new Dossier(
            $goal->confirmedOn($date),
            $identification,
            Phenology::at(Starter::flora(), Starter::flora()->reference),
            new PlaceTerms(true),
            $date,
        );
    }
}
