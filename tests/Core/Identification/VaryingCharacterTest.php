<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Reading;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Severity;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identifier;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What light, vigour or planting change: a strong shoot of yew may be brown, and long. It hints; nothing rests on it. */
final class VaryingCharacterTest extends TestCase
{
    /** @return iterable<string, array{string, string|float}> a character, and what the flora never says of yew */
    public static function odd(): iterable
    {
        yield 'a colour' => ['twig.colour', 'grey-brown'];
        yield 'a measure' => ['leaf.length', 9.0];
    }

    #[DataProvider('odd')]
    public function testExcludesNothingAndContradictsNothing(string $character, string|float $seen): void
    {
        foreach ([false, true] as $varies) {
            $compiled = self::compiled($varies ? $character : '');
            $yew = $compiled->numbers['taxus-baccata'];
            self::assertSame(!$varies, $compiled->rulesOut($yew, $compiled->flora->character($character), new Reading($seen)));
            $scores = self::examination($compiled, [['leaf.kind', 'simple'], [$character, $seen], ['bud.shape', 'hidden']]);
            $danger = Danger::weigh($compiled, Danger::seen($scores), $compiled->flora->taxon('taxus-baccata'), Severity::Deadly, []);
            self::assertSame(!$varies, \in_array($character, $danger->contradictions, true));
        }
    }

    #[DataProvider('odd')]
    public function testStillSpeaksForOneTreeAgainstAnother(string $character, string|float $seen): void
    {
        $compiled = self::compiled($character);
        $needles = self::examination($compiled, [['leaf.kind', 'needle']]);
        $odd = self::examination($compiled, [['leaf.kind', 'needle'], [$character, $seen]]);
        $identifier = new Identifier();
        self::assertLessThan($identifier->identify($compiled, $needles)->posteriorOf('taxus-baccata'), $identifier->identify($compiled, $odd)->posteriorOf('taxus-baccata'));
    }

    public function testDoesNotMakeSenseWhereItDoesNotApply(): void
    {
        $compiled = self::compiled('leaf.leaflet-count');
        self::assertTrue($compiled->rulesOut($compiled->numbers['taxus-baccata'], $compiled->flora->character('leaf.leaflet-count'), new Reading(7.0)), 'needles have no leaflets, however strong the shoot');
    }

    private static function compiled(string $varying): CompiledFlora
    {
        $number = array_search($varying, array_keys(Starter::flora()->characters), true);
        // Nothing is asked of a wanted tree here: what varies may not be.
        $changes = \is_int($number) ? ['characters/'.$number.'/varies' => true] : [];
        foreach ('' === $varying ? [] : Starter::taxonDocuments() as $id => $taxon) {
            $changes['taxa/'.$id.'/parts'] = [];
        }

        return CompiledFlora::of(Starter::changed($changes), LifeStage::Mature);
    }

    /** @param list<array{string, string|float}> $scores */
    private static function examination(CompiledFlora $compiled, array $scores): Examination
    {
        $observations = [];
        foreach ($scores as [$id, $value]) {
            $character = $compiled->flora->character($id);
            $observations[] = \is_string($value)
                ? Observation::ofStates($character, [$value], Certainty::Sure, 3, Whereabouts::Tree)
                : Observation::ofNumbers($character, [$value, $value], Certainty::Sure, Whereabouts::Tree);
        }

        return Examination::of(new \DateTimeImmutable('2027-06-14'), LifeStage::Mature, ExaminerRole::Instructor, $observations);
    }
}
