<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Assessment\SecondExamination;
use Hylognosis\Clearance\Answer;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Rehearsal\FloraAudit;
use Hylognosis\Rehearsal\Goal;
use Hylognosis\Rehearsal\Rehearsal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Described trees, half of them traps, and the answer the gate must give. */
final class SpecimensTest extends TestCase
{
    private const FURTHER = 12;

    /** @return iterable<string, array{string, string, string, string, string}> */
    public static function traps(): iterable
    {
        foreach (explode("\n", trim((string) file_get_contents(__DIR__.'/data/specimens.tsv'))) as $line) {
            if (!str_starts_with($line, '#')) {
                [$flora, $day, $hoped, $answer, $seen, $is] = explode("\t", $line);
                yield "$is hoped to be $hoped" => [$flora, $day, $hoped, $answer, $seen];
            }
        }
    }

    #[DataProvider('traps')]
    public function testATrapStaysShut(string $letter, string $day, string $hoped, string $answer, string $seen): void
    {
        [$taxon, $part] = $this->part($letter, $hoped);
        $observations = [];
        foreach (explode(' ', $seen) as $pair) {
            [$character, $value] = explode('=', $pair);
            $observations[] = $this->observed(
                $letter,
                $character,
                is_numeric($value) ? array_fill(0, 3, (float) $value) : $value,
            );
        }
        self::assertSame(
            $answer,
            $this->assess($letter, $day, new Claim($taxon, $part, []), $observations)->clearance?->answer->value,
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function rights(): iterable
    {
        foreach (
            [
                'A' => [
                    'abies-alba/young-shoot',
                    'castanea-sativa/nut',
                    'cornus-mas/fruit',
                    'crataegus-monogyna/fruit',
                    'fagus-sylvatica/nut',
                    'juglans-regia/nut',
                    'morus-alba/fruit',
                    'pinus-sylvestris/young-shoot',
                    'prunus-avium/fruit',
                    'prunus-spinosa/fruit',
                    'quercus-robur/acorn',
                    'robinia-pseudoacacia/flower',
                    'sambucus-nigra/flower',
                    'tilia-cordata/flower',
                    'sorbus-aucuparia/fruit',
                    'viburnum-opulus/fruit',
                ],
                'B' => [
                    'castanea-dentata/nut',
                    'juglans-nigra/nut',
                    'prunus-serotina/fruit',
                    'rhus-typhina/fruit',
                    'sambucus-canadensis/flower',
                ],
                'C' => ['prosopis-glandulosa/pod', 'pinus-edulis/nut', 'sambucus-cerulea/fruit'],
            ] as $letter => $parts
        ) {
            foreach ($parts as $hoped) {
                yield $hoped => [$letter, $hoped];
            }
        }
    }

    /**
     * A typical tree, its required list worked through, and then looked at where the next look says; a second person
     * where one is needed.
     */
    #[DataProvider('rights')]
    public function testATypicalTreeIsClearedOnceItsListIsWorkedThrough(string $letter, string $hoped): void
    {
        $clearance = $this->worked($letter, $hoped)->clearance;
        self::assertSame(
            Answer::Cleared,
            $clearance?->answer,
            null === $clearance ? '' : Dossiers::words($clearance->because, Floras::get($letter)),
        );
    }

    private function worked(string $letter, string $hoped): Assessment
    {
        [$taxon, $part] = $this->part($letter, $hoped);
        $flora = Floras::get($letter);
        $months = (new FloraAudit($flora))->months($taxon, $part);
        $day = array_intersect_key(Rehearsal::months($part), array_flip($months))[$months[intdiv(\count($months), 2)]];
        $claim = (new Goal(new Claim($taxon, $part, []), $day))->confirmedOn(new \DateTimeImmutable('2027-'.$day));
        $observations = $this->scored(
            $letter,
            $taxon,
            $part,
            array_map(static fn (RequiredFeature $f): string => $f->character, $part->required),
        );
        $looks = 0;
        do {
            $assessment = $this->assess($letter, (string) $day, $claim, $observations, true);
            $next = $assessment->next[0] ?? null;
            foreach ($assessment->next as $suggestion) {
                if (
                    $taxon->description->describes($suggestion->character->id)
                    && [] ===
                        array_filter(
                            $observations,
                            static fn (Observation $o): bool => $o->character === $suggestion->character,
                        )
                ) {
                    $next = $suggestion;
                    break;
                }
            }
            if (null !== $next) {
                array_push($observations, ...$this->scored($letter, $taxon, $part, [$next->character->id]));
            }
        } while (Answer::Cleared !== $assessment->clearance?->answer && null !== $next && ++$looks < self::FURTHER);

        return $assessment;
    }

    /**
     * What a typical tree shows there.
     *
     * @param list<string> $characters
     *
     * @return list<Observation>
     */
    private function scored(string $letter, Taxon $taxon, Part $part, array $characters): array
    {
        $observations = [];
        foreach ($characters as $id) {
            $feature = $part->requires($id);
            $usual = $taxon->description->frequencies($id) ?? [];
            $usual = null === $feature ? $usual : array_intersect_key($usual, array_flip($feature->states));
            arsort($usual);
            $range = $feature->range ?? $taxon->description->range($id);
            if (null !== $range) {
                $observations[] = $this->observed(
                    $letter,
                    $id,
                    array_fill(0, max(2, $feature->samples ?? 2), $this->middle($letter, $id, $range)),
                );
            } elseif ([] !== $usual) {
                $observations[] = $this->observed($letter, $id, (string) array_key_first($usual));
            }
        }

        return $observations;
    }

    private function middle(string $letter, string $character, NumberRange $range): float
    {
        $middle = ($range->low + $range->high) / 2;

        return CharacterKind::Count === Floras::get($letter)->character($character)->kind ? round($middle) : $middle;
    }

    /** @return array{Taxon, Part} */
    private function part(string $letter, string $hoped): array
    {
        [$taxon, $part] = explode('/', $hoped);
        $taxon = Floras::get($letter)->taxon($taxon);

        return [$taxon, $taxon->part($part)];
    }

    /** @param string|list<float> $value */
    private function observed(string $letter, string $character, string|array $value): Observation
    {
        $character = Floras::get($letter)->character($character);

        return \is_string($value)
            ? Observation::ofStates($character, [$value], Certainty::Sure, 6, Whereabouts::Tree)
            : Observation::ofNumbers(
                $character,
                [] === $value ? throw new \LogicException('No number.') : $value,
                Certainty::Sure,
                Whereabouts::Tree,
            );
    }

    /** @param list<Observation> $observations */
    private function assess(
        string $letter,
        string $day,
        Claim $claim,
        array $observations,
        bool $second = false,
    ): Assessment {
        $date = new \DateTimeImmutable('2027-'.$day);
        $examination = Examination::of($date, LifeStage::Mature, ExaminerRole::Instructor, $observations);

        return (new Assessor())->assess(
            static fn (): CompiledFlora => Floras::compiled($letter),
            new Inquiry(
                $examination,
                Floras::get($letter)->reference,
                $date,
                $claim,
                new PlaceTerms(true),
                $second
                    ? [
                        new SecondExamination(
                            Examination::of(
                                $date,
                                LifeStage::Mature,
                                ExaminerRole::Instructor,
                                Starter::byOtherEyes($observations),
                            ),
                            true,
                        ),
                    ]
                    : [],
            ),
        );
    }
}
