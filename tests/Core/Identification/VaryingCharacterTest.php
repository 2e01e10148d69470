<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Document\DocumentError;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Reading;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identifier;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What light, vigour or planting change: a strong shoot of yew may be brown, and long. It hints; nothing rests on it.
 */
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
        $compiled = self::compiled($character);
        $yew = $compiled->numbers['taxus-baccata'];
        $reading = new Reading([$seen]);
        self::assertFalse($compiled->isUnusual($yew, $compiled->flora->character($character), $reading));
        self::assertSame([], $compiled->forbidding($yew, $compiled->flora->character($character), $reading));
        $steady = self::compiled('');
        self::assertSame(
            \is_string($seen),
            $steady->isUnusual($yew, $steady->flora->character($character), $reading),
            'a size never counts as unusual, another state does',
        );
    }

    public function testWhatTellsOfSizeOrPlaceCannotBeStatedNever(): void
    {
        foreach (['leaf.length', 'site.place', 'outline.height'] as $id) {
            self::assertFalse(Starter::flora()->character($id)->isFirm(), $id);
        }
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('"site.place" tells of size, place or what a storm or a planter can change');
        Starter::changed([
            'taxa/taxus-baccata/never' => [
                [
                    'id' => 'place',
                    'character' => 'site.place',
                    'states' => ['open'],
                    'reason' => 'It likes shade.',
                    'sure' => 'sure',
                    'sources' => [['source' => 'exkursionsflora']],
                    'reviews' => [],
                ],
            ],
        ]);
    }

    #[DataProvider('odd')]
    public function testStillSpeaksForOneTreeAgainstAnother(string $character, string|float $seen): void
    {
        $compiled = self::compiled($character);
        $needles = self::examination($compiled, [['leaf.kind', 'needle']]);
        $odd = self::examination($compiled, [['leaf.kind', 'needle'], [$character, $seen]]);
        $identifier = new Identifier();
        self::assertLessThan(
            $identifier->identify($compiled, $needles)->posteriorOf('taxus-baccata'),
            $identifier->identify($compiled, $odd)->posteriorOf('taxus-baccata'),
        );
    }

    private static function compiled(string $varying): CompiledFlora
    {
        $number = array_search($varying, array_keys(Starter::flora()->characters), true);
        // Nothing is asked of a wanted tree here: what varies may not be.
        $changes = \is_int($number) ? ['characters/'.$number.'/varies' => true] : [];
        foreach ('' === $varying ? [] : Starter::taxonDocuments() as $id => $taxon) {
            $changes['taxa/'.$id.'/parts'] = $changes['taxa/'.$id.'/never'] = [];
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

        return Examination::of(
            new \DateTimeImmutable('2027-06-14'),
            LifeStage::Mature,
            ExaminerRole::Instructor,
            $observations,
        );
    }
}
