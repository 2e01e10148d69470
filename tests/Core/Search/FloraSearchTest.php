<?php

declare(strict_types=1);

namespace App\Tests\Core\Search;

use Hylognosis\Flora\FloraFolder;
use Hylognosis\Flora\FloraReader;
use Hylognosis\Search\FloraSearch;
use Hylognosis\Search\Found;
use Hylognosis\Search\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FloraSearchTest extends TestCase
{
    /** @var array<string, FloraSearch> */
    private static array $searches = [];

    /** @return iterable<string, array{string, string, list<string>, 3?: list<string>}> */
    public static function questions(): iterable
    {
        $east = 'eastern-north-america';
        $central = 'central-european-hills';
        yield 'by what it shows' => [
            $east,
            'white hanging berries, alternate',
            ['toxicodendron-vernix', 'toxicodendron-radicans'],
            ['rhus-typhina', 'rhus-glabra'],
        ];
        yield 'an organ said, not the bark' => [
            $central,
            'red berries, needles',
            ['taxus-baccata'],
            ['pinus-sylvestris'],
        ];
        yield 'by part and month' => [$central, 'flowers in June', ['sambucus-nigra', 'tilia-cordata']];
        yield 'by whom it harms' => [$central, 'deadly to horses', ['taxus-baccata'], ['fraxinus-excelsior']];
        yield 'by a botanical name' => [
            $central,
            'sambucus',
            ['sambucus-nigra', 'sambucus-ebulus', 'sambucus-racemosa'],
        ];
        yield 'a name and a part' => [$central, 'elder flowers', ['sambucus-nigra'], ['taxus-baccata']];
        yield 'the beginning of a word' => [$central, 'sorb', ['sorbus-aucuparia']];
        yield 'however it is written' => [$central, '  ELDER;; ', ['sambucus-nigra']];
    }

    /**
     * @param list<string> $among
     * @param list<string> $not
     */
    #[DataProvider('questions')]
    public function testKindsAreFound(string $flora, string $query, array $among, array $not = []): void
    {
        $found = array_map(static fn (Found $f): string => $f->taxon->id, self::search($flora)->find($query, 40));
        self::assertSame([], array_diff($among, $found));
        self::assertSame([], array_intersect($not, $found));
    }

    public function testOfThoseThatBearANameTheDangerousStandFirst(): void
    {
        $borne = ['eastern-north-america' => ['elder', 'sumac', 'cedar'], 'central-european-hills' => ['cherry']];
        foreach ($borne as $flora => $names) {
            foreach ($names as $name) {
                $ranks = array_map(
                    static fn (Found $f): int => $f->taxon->severity()->rank(),
                    array_filter(self::search($flora)->find($name, 40), static fn (Found $f): bool => $f->byName),
                );
                $sorted = $ranks;
                rsort($sorted);
                self::assertGreaterThan(1, \count($ranks), $name);
                self::assertSame($sorted, $ranks, $name);
            }
        }
    }

    public function testEveryKindIsFoundByEachOfItsNamesAndSaysWhyWhereItIsNoName(): void
    {
        $search = self::search('central-european-hills');
        foreach (self::flora('central-european-hills')->taxa as $taxon) {
            foreach ([$taxon->name, ...$taxon->names->common, ...$taxon->names->synonyms] as $name) {
                $found = array_filter(
                    $search->find($name, 99),
                    static fn (Found $f): bool => $f->taxon->id === $taxon->id,
                );
                self::assertCount(1, $found, $name);
            }
        }
        foreach ($search->find('flowers in June', 99) as $found) {
            self::assertNotSame([], $found->why);
        }
        self::assertSame([], $search->find('unicorn', 9));
        self::assertSame([], $search->find(' of the ', 9));
    }

    public function testWordsAreCutToWhatIsCompared(): void
    {
        self::assertSame(
            ['berry', 'leaf', 'needle', 'hang', 'thorn', 'bush'],
            Words::of('Berries, leaves & needles hanging; thorns: bushes'),
        );
        self::assertSame(['moss', 'citrus'], Words::of('Moss of the citrus'));
    }

    private static function flora(string $name): \Hylognosis\Flora\Flora
    {
        return (new FloraReader())->read(FloraFolder::open(\dirname(__DIR__, 3).'/flora/'.$name)->document);
    }

    private static function search(string $flora): FloraSearch
    {
        return self::$searches[$flora] ??= new FloraSearch(self::flora($flora));
    }
}
