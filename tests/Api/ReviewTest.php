<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Library\FloraFiles;
use App\Library\FloraLibrary;
use App\Library\FloraMigration;
use App\Library\FloraRefused;
use App\Library\RehearsalFile;
use App\Library\Reviews;
use App\Tests\Support\Starter;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\FloraReader;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\ReviewVerdict;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Filesystem\Filesystem;

/** Who reads what is stated never, and which edition of a flora is in use. */
final class ReviewTest extends ApiTestCase
{
    private const FLORA = 'central-european-hills';
    private string $folder = '';
    private ArrayAdapter $kept;

    protected function tearDown(): void
    {
        (new Filesystem())->remove('' === $this->folder ? [] : [$this->folder]);
        parent::tearDown();
    }

    public function testADoubtTakesEffectAtOnceAndOnlyInstructorsMayHaveOne(): void
    {
        $line = '/api/floras/'.self::FLORA.'/nevers/taxus-baccata/strap/reviews';
        $this->signIn('ida');
        self::assertGreaterThan(500, self::at($this->call('GET', '/api/floras/'.self::FLORA.'/nevers'), 'lines'));
        self::assertProblem(403, 'read by instructors', $this->call('POST', $line, ['verdict' => 'agreed']));
        $this->signIn('marta');
        self::assertProblem(
            422,
            'Say what you have seen',
            $this->call('POST', $line, ['verdict' => 'doubted', 'note' => ' ']),
        );
        self::assertProblem(
            404,
            'no such line',
            $this->call('POST', str_replace('strap', 'wings', $line), ['verdict' => 'agreed']),
        );
        $sheet = $this->call('POST', $line, ['verdict' => 'doubted', 'note' => 'saw one in the park']);
        self::assertSame(1, self::at($sheet, 'doubted'));
        self::assertSame([true, 'saw one in the park'], $this->strap());
        $this->call('POST', $line, ['verdict' => 'agreed', 'note' => 'it was a lime beside it']);
        self::assertFalse($this->strap()[0], 'the last word of a person counts');
    }

    public function testASheetIsPrintedFilledInAndTakenBack(): void
    {
        $reviews = self::getContainer()->get(Reviews::class);
        $flora = self::getContainer()->get(FloraLibrary::class)->flora(self::FLORA);
        $sheet = $reviews->sheet($flora, 'taxus-baccata');
        self::assertSame(\count($flora->taxon('taxus-baccata')->nevers), substr_count($sheet, '[ ] taxus-baccata/'));
        self::assertStringNotContainsString('sambucus', $sheet);
        $filled = preg_replace(
            ['/^\[ \] (taxus-baccata\/strap .*\| )$/m', '/^\[ \] (taxus-baccata\/resin )/m'],
            ['[!] ${1}saw one', '[x] $1'],
            $sheet,
        );
        self::assertIsString($filled);
        $now = new \DateTimeImmutable('2027-06-14 12:00');
        $taken = $reviews->taken($flora, str_replace("\n", "\r\n", $filled), 'A Botanist', $now);
        $told = [];
        foreach ($taken as $review) {
            $told[$review->line] = [$review->verdict, $review->note, $review->who];
        }
        ksort($told);
        self::assertSame(
            [
                'resin' => [ReviewVerdict::Agreed, '', 'A Botanist'],
                'strap' => [ReviewVerdict::Doubted, 'saw one', 'A Botanist'],
            ],
            $told,
        );
        foreach (
            ['[?] taxus-baccata/strap' => 'is no mark', '[x] taxus-baccata/wings' => 'states no', '' => 'holds no line'] as $bad => $why
        ) {
            try {
                $reviews->taken($flora, $bad, 'A Botanist', $now);
                self::fail($why);
            } catch (FloraRefused $refused) {
                self::assertStringContainsString($why, $refused->getMessage());
            }
        }
    }

    public function testABrokenFileChangesNothingAndIsShownUntilItIsMended(): void
    {
        $library = $this->library();
        $before = $library->flora('small')->hash;
        self::assertSame('', $library->problem('small'));

        $yew = $this->folder.'/small/taxa/taxus-baccata.yaml';
        $whole = (string) file_get_contents($yew);
        file_put_contents($yew, substr($whole, 0, intdiv(\strlen($whole), 2)));
        $library->reset();
        self::assertSame($before, $library->flora('small')->hash, 'the last good edition stays');
        self::assertStringContainsString('taxus-baccata.yaml', $library->problem('small'));

        file_put_contents($yew, $whole);
        $library->reset();
        self::assertSame('', $library->problem('small'));
    }

    public function testADangerousKindMayNotVanishSilentlyBetweenEditions(): void
    {
        $library = $this->library();
        self::assertArrayHasKey('taxus-baccata', $library->flora('small')->dangerous());
        $files = new Filesystem();
        $files->remove($this->folder.'/small/taxa/taxus-baccata.yaml');
        $flora = $this->folder.'/small/flora.yaml';
        $text = str_replace("  taxus-baccata: deadly\n", '', (string) file_get_contents($flora));
        file_put_contents($flora, $text);
        foreach ((array) glob($this->folder.'/small/taxa/*.yaml') as $file) {
            // nobody is taken for it any more
            file_put_contents(
                (string) $file,
                preg_replace('/^\s*- \{taxon: taxus-baccata.*\n/m', '', (string) file_get_contents((string) $file)),
            );
        }
        $library->reset();
        self::assertArrayHasKey('taxus-baccata', $library->flora('small')->dangerous());
        self::assertStringContainsString('Name it under "retired"', $library->problem('small'));

        file_put_contents(
            $flora,
            str_replace(
                "groups: []\n",
                "groups: []\nretired:\n  taxus-baccata: \"Does not grow here after all.\"\n",
                $text,
            ),
        );
        $library->reset();
        self::assertSame('', $library->problem('small'));
        self::assertArrayNotHasKey('taxus-baccata', $library->flora('small')->taxa);
    }

    public function testOneProcessKeepsAFloraFromRequestToRequestUntilItIsEdited(): void
    {
        $library = $this->library();
        $compiled = $library->compiled('small', LifeStage::Old);
        $library->reset();
        self::assertSame($compiled, $library->compiled('small', LifeStage::Old));

        touch($this->folder.'/small/flora.yaml', 1_800_000_000);
        self::assertSame(
            $compiled,
            $library->compiled('small', LifeStage::Old),
            'within a request everything is of one edition',
        );
        $library->reset();
        $next = $library->compiled('small', LifeStage::Old);
        self::assertNotSame($compiled, $next);
        self::assertSame($library->flora('small'), $next->flora);
    }

    public function testEditsDoNotPileUp(): void
    {
        $library = $this->library();
        $sizes = [];
        for ($edit = 0; $edit < 6; ++$edit) {
            touch($this->folder.'/small/flora.yaml', 1_800_000_000 + $edit);
            $library->reset();
            foreach (LifeStage::cases() as $stage) {
                $library->compiled('small', $stage);
            }
            $sizes[] = \count($this->kept->getValues());
        }
        foreach ([7, 8, 7, 8] as $backAndForth) {
            touch($this->folder.'/small/flora.yaml', 1_800_000_000 + $backAndForth);
            $library->reset();
            self::assertNotEmpty($library->flora('small')->taxa);
        }
        self::assertSame($sizes[2], $sizes[5], 'the edition in use and the one before it');
        self::assertGreaterThan(
            $sizes[0],
            $sizes[1],
            'whoever is in the middle of a request still finds the one before',
        );
    }

    public function testAnOldFloraIsMigratedAndThenExcludesNothing(): void
    {
        $document = (new FloraFiles())->load(\dirname(__DIR__).'/Support/starter-flora')[1]->content;
        $taxa = $document['taxa'];
        self::assertIsArray($taxa);
        unset($document['region'], $document['dangerous']);
        foreach ($taxa as $i => $taxon) {
            self::assertIsArray($taxon);
            unset($taxon['never'], $taxon['end']);
            self::assertIsArray($taxon['description']);
            $taxon['description']['twig.pith'] = ['narrow' => 'always', 'chambered' => 'never'];
            $taxa[$i] = $taxon;
        }
        $this->folder = sys_get_temp_dir().'/hylognosis-'.bin2hex(random_bytes(4));
        (new Filesystem())->dumpFile(
            $this->folder.'/old.json',
            json_encode(['format' => FloraDocument::FORMAT_BEFORE, 'taxa' => $taxa] + $document, \JSON_THROW_ON_ERROR),
        );
        $migrated = (new FloraMigration())->migrated($this->folder.'/old.json');
        $flora = (new FloraReader())->read(new FloraDocument($migrated));
        self::assertNotEmpty($flora->dangerous());
        foreach ($flora->taxa as $taxon) {
            self::assertSame([], $taxon->nevers, 'silence is not turned into statements');
        }
        (new Filesystem())->dumpFile($this->folder.'/new.json', json_encode($migrated, \JSON_THROW_ON_ERROR));
        $this->expectExceptionMessage('is no document of the format hylognosis-flora/1');
        (new FloraMigration())->migrated($this->folder.'/new.json');
    }

    public function testAFigureThatIsMissingIsNotNoRisk(): void
    {
        $this->folder = sys_get_temp_dir().'/hylognosis-'.bin2hex(random_bytes(4));
        $flora = Starter::flora();
        $file = new RehearsalFile($this->folder, new MockClock('2027-06-14'), new ArrayAdapter());
        $row = [
            'taxon' => 'sambucus-nigra',
            'part' => 'flower',
            'danger' => 'taxus-baccata',
            'severity' => 'deadly',
            'examiner' => 'careful',
            'estimate' => null,
            'bound' => 1e-6,
            'meets_aim' => true,
            'wanting_2' => 1e-5,
            'wanting_3' => 1e-6,
            'wanting_4' => 1e-6,
            'false_5' => 1e-5,
            'false_1' => 1e-6,
            'tolerates' => 0.1,
            'two_tolerate' => 1,
        ];
        $kept = function (array $row) use ($file, $flora): ?array {
            (new Filesystem())->dumpFile(
                $this->folder.'/'.$flora->name.'/rehearsal.json',
                json_encode(
                    [
                        'hash' => $flora->knowledge,
                        'made_on' => '2027-06-14',
                        'seed' => 1,
                        'plays' => 10,
                        'right' => [],
                        'passing' => [$row],
                        'outsiders' => [],
                    ],
                    \JSON_THROW_ON_ERROR,
                ),
            );

            return $file->kept($flora);
        };
        self::assertNotNull($kept($row));
        foreach (['bound', 'wanting_3', 'false_5', 'tolerates'] as $figure) {
            self::assertNull($kept(array_diff_key($row, [$figure => 1])), $figure);
            self::assertNull($kept([$figure => null] + $row), $figure);
        }
        $this->expectException(\UnexpectedValueException::class);
        RehearsalFile::number(null);
    }

    /**
     * @return array{mixed, mixed} whether the line of the strap is doubted, and the last note on it
     *
     * @phpstan-impure
     */
    private function strap(): array
    {
        foreach (
            (array) self::at($this->call('GET', '/api/flora/taxa/taxus-baccata?flora='.self::FLORA), 'nevers') as $never
        ) {
            if (\is_array($never) && 'strap' === $never['id']) {
                $reviews = (array) $never['reviews'];

                return [$never['doubted'], self::at((array) end($reviews), 'note')];
            }
        }
        self::fail('The line is not there.');
    }

    private function library(): FloraLibrary
    {
        $this->folder = sys_get_temp_dir().'/hylognosis-'.bin2hex(random_bytes(4));
        (new Filesystem())->mirror(\dirname(__DIR__).'/Support/starter-flora', $this->folder.'/small');
        $flora = $this->folder.'/small/flora.yaml';
        file_put_contents(
            $flora,
            str_replace(
                ['name: central-european-hills', 'end: central-european-hills'],
                ['name: small', 'end: small'],
                (string) file_get_contents($flora),
            ),
        );

        $this->kept = new ArrayAdapter(storeSerialized: true);

        return new FloraLibrary(
            $this->folder,
            new FloraFiles(),
            self::getContainer()->get(Reviews::class),
            $this->kept,
        );
    }
}
