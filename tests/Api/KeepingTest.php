<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Keeping\Copies;
use App\Library\Engine;
use App\Storage\DatabaseSize;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/**
 * Copies, restoring and the doctor: run from the shell on databases of their own, as whoever looks after a school runs
 * them.
 */
final class KeepingTest extends TestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        $database = $_ENV['DATABASE_URL'] ?? '';
        if (\is_string($database) && str_starts_with($database, 'postgres')) {
            self::markTestSkipped('Copies are of a file; a server has its own.');
        }
        $this->folder = sys_get_temp_dir().'/keeping'.bin2hex(random_bytes(6));
        (new Filesystem())->mkdir($this->folder, 0700);
        // the demo school of this process, as it was before any test
        $demo = new \PDO('sqlite:'.\dirname(__DIR__, 2).'/var/test'.getenv('TEST_TOKEN').'.db');
        $demo->exec("VACUUM INTO '$this->folder/school.db'");
        chmod($this->folder.'/school.db', 0600);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove('' === $this->folder ? [] : $this->folder);
    }

    public function testACopyTakenInUseIsRestoredIntoAnEmptyApplicationTheSame(): void
    {
        $writer = $this->database('school.db');
        $writer->exec('PRAGMA journal_mode = WAL');
        $writer->exec("UPDATE site SET rules = 'kept' WHERE name = 'Mill meadow'");
        $writer->beginTransaction();
        $writer->exec("UPDATE site SET rules = 'not kept yet'");
        $archive = $this->copy();
        $writer->rollBack();
        self::assertSame('0600', substr(\sprintf('%o', fileperms($archive)), -4));
        self::assertStringContainsString('Whole: made ', $this->shell(['hylognosis:copy', 'check', $archive]));
        $this->shell(['doctrine:migrations:migrate', '--no-interaction', '--quiet'], 'empty.db');
        self::assertSame(0, self::rows($this->database('empty.db'))['person']['count']);
        $nothing = explode('  ', $this->shell(['hylognosis:copy', 'make'], 'empty.db'))[0];
        self::assertStringContainsString(' 0 decisions', $this->shell(['hylognosis:copy', 'check', $nothing]));
        $said = $this->shell(['hylognosis:copy', 'restore', $archive], 'empty.db');
        self::assertStringContainsString('Restored: ', $said);
        $restored = self::rows($this->database('empty.db'));
        self::assertSame(self::rows($this->database('school.db')), $restored);
        self::assertCount(52, $restored);
        self::assertGreaterThan(0, $restored['picture_bytes']['count']);
        self::assertGreaterThan(0, $restored['flora_edition']['count']);
        $this->shell(['hylognosis:doctor'], 'empty.db');
        self::assertStringContainsString(
            'Somebody is in this application already',
            $this->shell(['hylognosis:copy', 'restore', $archive], 'empty.db', code: 2),
        );
    }

    public function testADamagedOrFalseCopyIsRefusedAndNothingIsRestored(): void
    {
        $archive = $this->copy();
        $whole = (string) file_get_contents($archive);
        $this->shell(['doctrine:migrations:migrate', '--no-interaction', '--quiet'], 'empty.db');
        $empty = self::rows($this->database('empty.db'));
        $manifest = static fn (string $from, string $to): callable => static function (\ZipArchive $zip) use (
            $from,
            $to,
        ): void {
            $text = (string) $zip->getFromName('manifest.json');
            self::assertMatchesRegularExpression($from, $text);
            $zip->addFromString('manifest.json', (string) preg_replace($from, $to, $text));
        };
        $bad = [
            'no zip' => 'not an archive at all',
            'empty' => '',
            'cut short' => substr($whole, 0, intdiv(\strlen($whole), 2)),
            'a byte changed' => substr_replace($whole, \chr(\ord($whole[4000]) ^ 1), 4000, 1),
            'no manifest' => static fn (\ZipArchive $zip) => $zip->deleteName('manifest.json'),
            'no database' => static fn (\ZipArchive $zip) => $zip->deleteName('school.db'),
            'another form' => $manifest('~hylognosis-copy/1~', 'hylognosis-copy/9'),
            'another hash' => $manifest('~"sha256": "\w{4}~', '"sha256": "0000'),
            'a row fewer' => $manifest('~"person": \d+~', '"person": 1'),
            'another database' => static fn (\ZipArchive $zip) => $zip->addFromString('school.db', 'SQLite format 3'),
        ];
        foreach ($bad as $name => $how) {
            $file = $this->folder.'/bad.zip';
            file_put_contents($file, \is_string($how) ? $how : $whole);
            if (!\is_string($how)) {
                $zip = new \ZipArchive();
                $zip->open($file);
                $how($zip);
                $zip->close();
            }
            self::assertNotSame('', $this->shell(['hylognosis:copy', 'restore', $file], 'empty.db', code: 2), $name);
        }
        self::assertSame($empty, self::rows($this->database('empty.db')));
        self::assertStringContainsString(
            'There is no file',
            $this->shell(['hylognosis:copy', 'check', $this->folder.'/none.zip'], code: 2),
        );
    }

    /** @return iterable<string, array{string, string}> what was done to the database → what the doctor says */
    public static function ills(): iterable
    {
        yield 'an answer changed' => [
            "UPDATE decision SET answer = 'cleared' WHERE id = (SELECT id FROM decision WHERE answer <> 'cleared' LIMIT 1)",
            'it was changed after it was taken',
        ];
        yield 'what was asked changed' => ["UPDATE decision SET inputs = '{}' WHERE number = 2", 'Decision 2 '];
        yield 'one taken out of the middle' => ['DELETE FROM decision WHERE number = 2', 'Decision 3 '];
        yield 'the end cut off' => [
            'DELETE FROM decision WHERE number = (SELECT MAX(number) FROM decision)',
            'or the database has lost it',
        ];
        yield 'an edition lost' => ['DELETE FROM flora_edition', 'leans on the edition'];
        yield 'a picture changed' => ["UPDATE picture_bytes SET bytes = x'00'", 'The picture '];
        yield 'a tree without a place' => [
            "UPDATE specimen SET site_id = 'nowhere' WHERE tag = 'M-01'",
            'points to one of site',
        ];
    }

    #[DataProvider('ills')]
    public function testTheDoctorFindsWhatIsWrong(string $sql, string $said): void
    {
        $this->copy();
        $database = $this->database('school.db');
        $database->exec('PRAGMA foreign_keys = OFF');
        self::assertGreaterThan(0, $database->exec($sql));
        unset($database);
        self::assertMatchesRegularExpression(
            '/^WRONG .*\n(       .*\n)*?       .*'.preg_quote($said, '/').'/m',
            $this->shell(['hylognosis:doctor'], code: 1),
        );
    }

    public function testTheDoctorIsContentOnlyWhereNobodyElseCanReadAndACopyIsThere(): void
    {
        self::assertStringContainsString('There is no copy yet', $this->shell(['hylognosis:doctor'], code: 1));
        $archive = $this->copy();
        self::assertStringNotContainsString('WRONG', $this->shell(['hylognosis:doctor']));
        chmod($this->folder.'/school.db', 0644);
        self::assertStringContainsString('chmod o-rwx', $this->shell(['hylognosis:doctor'], code: 1));
        chmod($this->folder.'/school.db', 0600);
        file_put_contents($archive, substr((string) file_get_contents($archive), 0, 500));
        self::assertStringContainsString('It is no whole archive', $this->shell(['hylognosis:doctor'], code: 1));
    }

    public function testOldCopiesAreThinnedAsSaid(): void
    {
        $now = new MockClock('2027-06-14 12:00:00', 'UTC');
        $connection = self::createStub(Connection::class); // no database is read
        $size = new DatabaseSize($connection, self::createStub(EntityManagerInterface::class));
        $copies = new Copies($connection, $size, new Engine(''), $this->folder, $now);
        // two a day for two years
        for ($day = 0; $day < 730; ++$day) {
            foreach (['06', '11'] as $hour) {
                touch(
                    $this->folder.
                        '/'.
                        $now
                            ->now()
                            ->modify("-$day days")
                            ->format('Ymd\T').
                        $hour.
                        '0000Z.zip',
                );
            }
        }
        $thrown = $copies->thin();
        $left = array_map(static fn (object $copy): string => substr($copy->name, 0, 11), $copies->all());
        self::assertCount(1460 - \count($left), $thrown);
        self::assertSame(
            [
                '20270614T11',
                '20270614T06',
                '20270613T11',
                '20270612T11',
                '20270611T11',
                '20270610T11',
                '20270609T11',
                '20270608T11',
            ],
            \array_slice($left, 0, 8),
            'the last three, and one of each of the last seven days',
        );
        // 2027-06-13 is a Sunday: the newest of each week, then the newest of each month
        self::assertSame(['20270606T11', '20270531T11', '20270530T11', '20270523T11'], \array_slice($left, 8, 4));
        self::assertSame('20260630T11', end($left));
        self::assertLessThanOrEqual(3 + 7 + 5 + 12, \count($left));
        self::assertSame([], $copies->thin(), 'thinned once is thinned');
    }

    public function testACopyIsMadeOnlyWhenTheLastIsOld(): void
    {
        $this->copy();
        self::assertSame('', $this->shell(['hylognosis:copy', 'make', '--if-older=1']));
        sleep(1); // a name holds the second
        self::assertNotSame('', $this->shell(['hylognosis:copy', 'make', '--if-older=0']));
        self::assertCount(2, explode("\n", trim($this->shell(['hylognosis:copy', 'list']))));
    }

    private function copy(): string
    {
        return explode('  ', $this->shell(['hylognosis:copy', 'make']))[0];
    }

    /** @param list<string> $command */
    private function shell(array $command, string $database = 'school.db', int $code = 0): string
    {
        $process = new Process(
            [\PHP_BINARY, 'bin/console', ...$command, '--env=test', '--no-debug'],
            \dirname(__DIR__, 2),
            ['DATABASE_URL' => "sqlite:///$this->folder/$database", 'APP_COPIES' => "$this->folder/copies-$database"],
        );
        $process->run();
        self::assertSame($code, $process->getExitCode(), $process->getErrorOutput().$process->getOutput());

        return $process->getOutput().$process->getErrorOutput();
    }

    private function database(string $name): \PDO
    {
        return new \PDO('sqlite:'.$this->folder.'/'.$name);
    }

    /** @return array<string, array{count: int, hash: string}> what is in each table, down to the last byte */
    private static function rows(\PDO $database): array
    {
        $found = [];
        $tables = $database->query(
            "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
        );
        self::assertNotFalse($tables);
        foreach ($tables->fetchAll(\PDO::FETCH_COLUMN) as $table) {
            if (!\is_string($table) || 'doctrine_migration_versions' === $table) {
                continue; // says when, and how long it took
            }
            $rows = $database->query("SELECT * FROM \"$table\"");
            self::assertNotFalse($rows);
            $all = array_map(serialize(...), $rows->fetchAll(\PDO::FETCH_ASSOC));
            sort($all);
            $found[$table] = ['count' => \count($all), 'hash' => hash('sha256', implode("\n", $all))];
        }

        return $found;
    }
}
