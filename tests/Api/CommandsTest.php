<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** The shell, run as people run it. */
final class CommandsTest extends ApiTestCase
{
    public function testTheShellGivesTheSameAnswerAsTheScreen(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01', [
            'claimTaxon' => 'sambucus-nigra',
            'claimPart' => 'flower',
            'kit' => ['none', 'rule', 'hand-lens', 'knife', 'ultraviolet-torch'],
        ]);
        $scores = \array_slice(Starter::ELDER_AS_SHIPPED, 0, 6);
        $this->score($address, $scores);
        $screen = $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]])['assessment'];
        $points = $this->call('GET', $address.'/points');
        $shell = json_decode(
            $this->shell(['hylognosis:examine', '-', '--json'], $this->document($scores))->getOutput(),
            true,
        );
        self::assertIsArray($screen);
        self::assertIsArray($shell);
        foreach (['unlisted', 'goodFit', 'conclusion', 'next'] as $key) {
            self::assertEquals($shell[$key], $screen[$key], $key);
        }
        self::assertEquals($shell['clearance'], $points);
        self::assertEquals(
            \array_slice(array_column((array) $shell['ranking'], 'posterior', 'taxon'), 0, 8),
            array_column((array) $screen['ranking'], 'posterior', 'taxon'),
        );
        $excluded = [];
        foreach ((array) $shell['dangers'] as $danger) {
            self::assertIsArray($danger);
            $excluded[\is_string($danger['taxon']) ? $danger['taxon'] : ''] = $danger['excluded'];
        }
        self::assertSame(array_keys($excluded, true, true), array_column((array) $screen['excluded'], 'taxon'));
        self::assertSame(array_keys($excluded, false, true), array_column((array) $screen['dangers'], 'taxon'));
        $first = (string) array_key_first($excluded);
        self::assertEquals(((array) $shell['dangers'])[0], $this->call('GET', $address.'/dangers/'.$first));
    }

    public function testTheAnswerHoldsWhatIsPromised(): void
    {
        $shell = json_decode(
            $this->shell(
                ['hylognosis:examine', '-', '--json'],
                $this->document(Starter::ELDER_AS_SHIPPED),
            )->getOutput(),
            true,
        );
        self::assertIsArray($shell);
        self::assertSame('cleared', self::at($shell, 'clearance.answer'));
        self::assertSame('sambucus-nigra', self::at($shell, 'ranking.0.taxon'));
        self::assertCount(9, (array) self::at($shell, 'clearance.points'));
        foreach (['point', 'status', 'because'] as $key) {
            self::assertIsString(self::at($shell, 'clearance.points.0.'.$key));
        }
        self::assertTrue(self::at($shell, 'dangers.0.excluded'));
        $early = json_decode(
            $this->shell(
                ['hylognosis:examine', '-', '--json'],
                $this->document(\array_slice(Starter::ELDER, 0, 2)),
            )->getOutput(),
            true,
        );
        self::assertIsArray($early);
        foreach (['character', 'worth', 'because'] as $key) {
            self::assertNotEmpty(self::at($early, 'next.0.'.$key));
        }
    }

    public function testOtherPeoplesFlorasRunToo(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'flora');
        file_put_contents(
            (string) $file,
            $this->shell(['hylognosis:flora', 'export', 'central-european-hills'])->getOutput(),
        );
        $shell = $this->shell(
            ['hylognosis:examine', '-', '--json', '--flora='.$file],
            $this->document(Starter::ELDER_AS_SHIPPED),
        );
        self::assertStringContainsString('"answer": "cleared"', $shell->getOutput());
        self::assertStringContainsString(
            'in order',
            $this->shell(['hylognosis:flora', 'check', (string) $file])->getOutput(),
        );
        unlink((string) $file);
    }

    public function testWrongInputIsOneClearSentenceAndExitCodeTwo(): void
    {
        $cases = [
            [['hylognosis:examine', '-'], '{"date": ', 'standard input: is not valid JSON'],
            [
                ['hylognosis:examine', '-'],
                '{"date": "2027-06-14", "examiner": "guest", "observations": []}',
                'examiner: "guest" is not known here; known: instructor, learner.',
            ],
            [['hylognosis:examine', '/no/such/file.json'], '', '/no/such/file.json: there is no such file.'],
            [
                ['hylognosis:examine', '-', '--flora=nowhere'],
                '{}',
                'nowhere: no such flora; shipped: central-european-hills',
            ],
            [['hylognosis:flora', 'paint'], '', 'say list, show, export, check, review or migrate.'],
        ];
        foreach ($cases as [$command, $input, $message]) {
            $shell = $this->shell($command, $input, 2);
            self::assertStringContainsString($message, $shell->getErrorOutput());
            self::assertSame(1, substr_count(trim($shell->getErrorOutput())."\n", "\n"));
            self::assertSame('', $shell->getOutput());
        }
    }

    public function testTheDocumentedShapeIsTheOneThatIsRead(): void
    {
        $schema = json_decode(
            (string) file_get_contents(\dirname(__DIR__, 2).'/docs/formats/examination.schema.json'),
        );
        self::assertInstanceOf(\stdClass::class, $schema);
        $validator = new Validator();
        self::assertTrue(
            $validator->validate(json_decode($this->document(Starter::ELDER_AS_SHIPPED)), $schema)->isValid(),
        );
        self::assertFalse(
            $validator->validate(json_decode('{"date": "2027-06-14", "observations": []}'), $schema)->isValid(),
        );
    }

    public function testARehearsalTellsItsFiguresAndRefusesWhatItDoesNotKnow(): void
    {
        $run = $this->shell([
            'hylognosis:rehearse',
            '--taxon=morus-nigra',
            '--part=fruit',
            '--month=8',
            '--plays=10',
            '--workers=1',
            '--json',
        ]);
        $figures = json_decode($run->getOutput(), true);
        self::assertIsArray($figures);
        self::assertSame(8, self::at($figures, 'right.0.month'));
        self::assertSame('morus-nigra', self::at($figures, 'passing.0.taxon'));
        self::assertGreaterThan(20, \count((array) self::at($figures, 'passing')));
        foreach (
            [['--taxon=morus-rubra'], ['--month=13'], ['--examiner=hasty'], ['--part=fruit'], ['--plays=1']] as $wrong
        ) {
            self::assertCount(
                1,
                explode("\n", trim($this->shell(['hylognosis:rehearse', ...$wrong], '', 2)->getErrorOutput())),
            );
        }
    }

    public function testTheSafetyCaseOnPaperIsTheOneTheFiguresMake(): void
    {
        self::assertStringEqualsFile(
            \dirname(__DIR__, 2).'/docs/safety-case.md',
            $this->shell(['hylognosis:safety-case'])->getOutput(),
        );
    }

    public function testTheDemoCanBeStartedOver(): void
    {
        $database = sys_get_temp_dir().'/hylognosis-'.bin2hex(random_bytes(4)).'.db';
        $env = ['DATABASE_URL' => 'sqlite:///'.$database, 'APP_DEMO' => '1'];
        self::assertStringContainsString(
            'APP_DEMO=1',
            $this->shell(['hylognosis:demo'], '', 2, ['APP_DEMO' => '0'] + $env)->getErrorOutput(),
        );
        self::assertStringContainsString('no tables', $this->shell(['hylognosis:demo'], '', 2, $env)->getErrorOutput());
        $this->shell(['doctrine:migrations:migrate', '--no-interaction'], '', 0, $env);
        self::assertSame(0o600, fileperms($database) & 0o777, 'no business of others on the machine');
        self::assertStringContainsString('loaded in', $this->shell(['hylognosis:demo'], '', 0, $env)->getOutput());
        self::assertStringContainsString('kept', $this->shell(['hylognosis:demo'], '', 0, $env)->getOutput());
        self::assertStringContainsString(
            'loaded in',
            $this->shell(['hylognosis:demo', '--fresh'], '', 0, $env)->getOutput(),
        );
        (new Filesystem())->remove([$database, $database.'-wal', $database.'-shm']);
    }

    /** @param array<string, array{0: string|list<int|float>, 1?: int}> $scores */
    private function document(array $scores): string
    {
        $observations = [];
        foreach ($scores as $character => $score) {
            $observations[] =
                ['character' => $character] +
                (\is_string($score[0])
                    ? ['states' => [$score[0]], 'samples' => $score[1] ?? 1]
                    : ['numbers' => $score[0]]);
        }

        return json_encode(
            [
                'flora' => 'central-european-hills',
                'date' => '2027-06-14',
                'place' => ['latitude' => 47.12, 'longitude' => 15.31, 'altitude_m' => 560],
                'examiner' => 'instructor',
                'permission' => true,
                'observations' => $observations,
                'claim' => ['taxon' => 'sambucus-nigra', 'part' => 'flower', 'conditions' => ['in-full-bloom' => true]],
            ],
            \JSON_THROW_ON_ERROR,
        );
    }

    /**
     * @param list<string>          $command
     * @param array<string, string> $env
     */
    private function shell(array $command, string $input = '', int $code = 0, array $env = []): Process
    {
        $process = new Process(
            [\PHP_BINARY, 'bin/console', ...$command, '--env=test', '--no-debug'],
            \dirname(__DIR__, 2),
            $env,
            $input,
            60,
        );
        self::assertSame($code, $process->run(), $process->getErrorOutput());

        return $process;
    }
}
