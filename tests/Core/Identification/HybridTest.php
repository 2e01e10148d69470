<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Strength;
use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Conclusion;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;

final class HybridTest extends TestCase
{
    /** Half elder, half red elder: white pith as the one, egg-shaped heads as the other, and so on. */
    private const BETWEEN = [
        'leaf.arrangement' => ['opposite', 4],
        'leaf.kind' => ['pinnate', 3],
        'twig.woodiness' => ['woody', 2],
        'twig.pith' => ['white-wide', 2],
        'flower.head' => ['dome', 3],
        'fruit.colour' => ['red', 3],
        'flower.anthers' => ['yellow', 3],
        'bark.surface' => ['corky', 1],
    ];

    public function testATreeBetweenTwoParentsIsToldAsThatAndStrongForNeither(): void
    {
        $flora = self::floraWithHybrid();
        $identification = self::identify($flora, self::BETWEEN);
        self::assertSame('sambucus-mixta', $identification->leader()->taxon);
        self::assertSame(Conclusion::Between, $identification->conclusion());
        $claim = new Claim($flora->taxon('sambucus-nigra'), $flora->taxon('sambucus-nigra')->part('flower'), []);
        $dossier = new Dossier(
            $claim,
            $identification,
            Phenology::at($flora, $flora->reference),
            new PlaceTerms(true),
            new \DateTimeImmutable('2027-06-14'),
        );
        self::assertFalse((new Strength())->judge($dossier)->isMet());
    }

    public function testAPureParentIsStillNamed(): void
    {
        $identification = self::identify(
            self::floraWithHybrid(),
            Starter::ELDER + [
                'fruit.colour' => ['black', 3],
                'bark.surface' => ['corky', 1],
                'flower.time' => ['after', 2],
            ],
        );
        self::assertSame('sambucus-nigra', $identification->leader()->taxon);
    }

    public function testTheHazardsOfBothParentsAreItsOwnAndNothingIsTakenFromIt(): void
    {
        $hybrid = self::floraWithHybrid()->taxon('sambucus-mixta');
        self::assertTrue($hybrid->severity()->isHazard());
        self::assertSame([], $hybrid->parts);
        self::assertEqualsWithDelta(0.5, $hybrid->description->frequencies('twig.pith')['white-wide'] ?? 0.0, 1e-12);
    }

    public function testAHybridWithoutItsParentsIsRefused(): void
    {
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('hybrids[0].parents');
        Starter::changed([
            'hybrids' => [['id' => 'x', 'name' => 'x', 'parents' => ['sambucus-nigra', 'sambucus-nobody']]],
        ]);
    }

    private static function floraWithHybrid(): Flora
    {
        return Starter::changed([
            'hybrids' => [
                [
                    'id' => 'sambucus-mixta',
                    'name' => 'Sambucus × mixta',
                    'parents' => ['sambucus-nigra', 'sambucus-racemosa'],
                ],
            ],
        ]);
    }

    /** @param array<string, array{0: string|list<int>, 1?: int}> $scores */
    private static function identify(Flora $flora, array $scores): Identification
    {
        return (new Identifier())->identify(
            CompiledFlora::of($flora, LifeStage::Mature),
            Starter::examination(Starter::observations($scores)),
        );
    }
}
