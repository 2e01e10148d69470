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
use Hylognosis\Flora\Part;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Rehearsal\Goal;
use Hylognosis\Rehearsal\Rehearsal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Described trees, half of them traps, and the answer the gate must give. */
final class SpecimensTest extends TestCase
{
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
            $observations[] = $this->observed($letter, $character, is_numeric($value) ? array_fill(0, 3, (float) $value) : $value);
        }
        self::assertSame($answer, $this->assess($letter, $day, new Claim($taxon, $part, []), $observations)->clearance?->answer->value);
    }

    /** @return iterable<string, array{string, string}> */
    public static function rights(): iterable
    {
        foreach (['A' => ['abies-alba/young-shoot', 'castanea-sativa/nut', 'cornus-mas/fruit', 'crataegus-monogyna/fruit', 'fagus-sylvatica/nut', 'hippophae-rhamnoides/fruit', 'juglans-regia/nut', 'morus-alba/fruit', 'pinus-sylvestris/young-shoot', 'prunus-avium/fruit', 'prunus-spinosa/fruit', 'quercus-robur/acorn', 'robinia-pseudoacacia/flower', 'sambucus-nigra/flower', 'sorbus-aucuparia/fruit', 'viburnum-opulus/fruit'],
            'B' => ['castanea-dentata/nut', 'juglans-nigra/nut', 'prunus-serotina/fruit', 'rhus-typhina/fruit', 'sambucus-canadensis/flower'], 'C' => ['prosopis-glandulosa/pod', 'pinus-edulis/nut', 'sambucus-cerulea/fruit']] as $letter => $parts) {
            foreach ($parts as $hoped) {
                yield $hoped => [$letter, $hoped];
            }
        }
    }

    /** A typical tree, its required list worked through, and looked at in a few further places; a second person where one is needed. */
    #[DataProvider('rights')]
    public function testATypicalTreeIsClearedOnceItsListIsWorkedThrough(string $letter, string $hoped): void
    {
        [$taxon, $part] = $this->part($letter, $hoped);
        $days = array_values(Rehearsal::months($part));
        $day = $days[intdiv(\count($days), 2)];
        $claim = (new Goal(new Claim($taxon, $part, []), $day))->confirmedOn(new \DateTimeImmutable('2027-'.$day));
        $observations = [];
        foreach ($part->required as $feature) {
            $usual = $taxon->description->frequencies($feature->character) ?? [];
            $usual = array_intersect_key($usual, array_flip($feature->states));
            arsort($usual);
            $observations[] = $this->observed($letter, $feature->character, null === $feature->range ? (string) array_key_first($usual) : array_fill(0, $feature->samples, $this->middle($letter, $feature)));
        }
        foreach (['bark.colour', 'bark.lenticels', 'outline.stems', 'twig.spines', 'twig.thickness', 'bud.colour', 'leaf.margin', 'leaf.evergreen', 'site.place'] as $further) {
            $usual = $taxon->description->frequencies($further) ?? [];
            arsort($usual);
            if ([] !== $usual && [] === array_filter($part->required, static fn ($f): bool => $f->character === $further)) {
                $observations[] = $this->observed($letter, $further, (string) array_key_first($usual));
            }
        }
        $clearance = $this->assess($letter, (string) $day, $claim, $observations, true)->clearance;
        self::assertSame(Answer::Cleared, $clearance?->answer, null === $clearance ? '' : Dossiers::words($clearance->because, Floras::get($letter)));
    }

    private function middle(string $letter, RequiredFeature $feature): float
    {
        $middle = null === $feature->range ? 0.0 : ($feature->range->low + $feature->range->high) / 2;

        return CharacterKind::Count === Floras::get($letter)->character($feature->character)->kind ? round($middle) : $middle;
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
            : Observation::ofNumbers($character, [] === $value ? throw new \LogicException('No number.') : $value, Certainty::Sure, Whereabouts::Tree);
    }

    /** @param list<Observation> $observations */
    private function assess(string $letter, string $day, Claim $claim, array $observations, bool $second = false): Assessment
    {
        $date = new \DateTimeImmutable('2027-'.$day);
        $examination = Examination::of($date, LifeStage::Mature, ExaminerRole::Instructor, $observations);

        return (new Assessor())->assess(
            static fn (): CompiledFlora => Floras::compiled($letter),
            new Inquiry($examination, Floras::get($letter)->reference, $date, $claim, new PlaceTerms(true), $second ? [new SecondExamination(Examination::of($date, LifeStage::Mature, ExaminerRole::Instructor, Starter::byOtherEyes($observations)), true)] : []),
        );
    }
}
