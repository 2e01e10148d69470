<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Library\FloraLibrary;
use App\Library\WoodTable;
use App\Species\WoodBook;
use Symfony\Component\Uid\Uuid;

/** The wood book: what is written down of kinds, and what the school found itself. */
final class WoodApiTest extends ApiTestCase
{
    /** Nobody has written down how these split. */
    private const NOT_KNOWN = ['broussonetia-papyrifera', 'chilopsis-linearis', 'platanus-wrightii'];
    /** Poison is known in the wood: nobody eats with it. */
    private const POISONOUS = ['laburnum-anagyroides', 'laburnum-alpinum', 'robinia-pseudoacacia', 'taxus-baccata'];

    public function testEveryWoodOfTheBookIsToldOrSaidNotToBeKnown(): void
    {
        $library = self::getContainer()->get(FloraLibrary::class);
        $kinds = $unknown = [];
        foreach ($library->names() as $name) {
            $kinds += $library->flora($name)->taxa;
        }
        $table = self::getContainer()->get(WoodTable::class)->all();
        self::assertSame([], array_diff_key($table, $kinds), 'of kinds some flora has');
        foreach (['central-european-hills', 'eastern-north-america', 'south-western-north-america'] as $flora) {
            foreach (self::getContainer()->get(WoodBook::class)->of($library->flora($flora)) as $wood) {
                if (null === $wood->splits) {
                    $unknown[] = $wood->taxon;
                }
            }
        }
        sort($unknown);
        self::assertSame(self::NOT_KNOWN, $unknown);
        foreach (self::POISONOUS as $kind) {
            self::assertFalse(isset($table[$kind]) && $table[$kind]->spoons, $kind);
        }
        foreach ($table as $kind => $wood) {
            if (null !== $wood->along && null !== $wood->across) {
                self::assertGreaterThan($wood->across[0], $wood->along[0], $kind.': more along the rings');
            }
        }
    }

    public function testWhatTheSchoolFoundStandsBesideIt(): void
    {
        $this->signIn('ida');
        $note = ['id' => Uuid::v4()->toRfc4122(), 'taxon' => 'tilia-cordata', 'work' => 'weigh'];
        $weighed = ['grams' => 106, 'cubicCentimetres' => 200, 'note' => 'A dry blank'] + $note;
        $this->call('POST', '/api/woods/notes', $weighed);
        $woods = array_column($this->call('POST', '/api/woods/notes', $weighed), null, 'taxon');
        self::assertSame(
            ['A dry blank', 530],
            [self::at($woods, 'tilia-cordata.notes.0.note'), self::at($woods, 'tilia-cordata.notes.0.density')],
        );
        self::assertCount(2, (array) self::at($woods, 'tilia-cordata.notes'), 'sent twice, it stands once');
        foreach (
            [
                $note,
                ['grams' => 5, 'cubicCentimetres' => 200] + $note,
                ['work' => 'split'] + $note,
                ['taxon' => 'no-such-kind'] + $weighed,
            ] as $wrong
        ) {
            $this->call('POST', '/api/woods/notes', ['id' => Uuid::v4()->toRfc4122()] + $wrong);
            self::assertResponseStatusCodeSame(422);
        }
        $this->signIn('tobias');
        self::assertProblem(403, 'found it', $this->call('DELETE', '/api/woods/notes/'.$note['id']));
        $this->signIn('ida');
        $woods = array_column($this->call('DELETE', '/api/woods/notes/'.$note['id']), null, 'taxon');
        self::assertCount(1, (array) self::at($woods, 'tilia-cordata.notes'));
    }
}
