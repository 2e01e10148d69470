<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Library\Engine;
use App\Storage\DatabaseSize;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseTrouble;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;

/**
 * Copies of everything, one archive each: the database as it was at one moment, taken while it is in use, and a
 * manifest with what must be in it. What a copy says of itself is checked before it counts as one.
 */
final readonly class Copies
{
    public const FORMAT = 'hylognosis-copy/1';
    private const DATABASE = 'school.db';
    private const MANIFEST = 'manifest.json';

    public function __construct(
        private Connection $database,
        private DatabaseSize $size,
        private Engine $engine,
        #[Autowire('%env(resolve:APP_COPIES)%')] private string $folder,
        #[Autowire(service: 'clock')] private ClockInterface $clock,
    ) {
    }

    /**
     * @return Copy the new one
     *
     * @throws CopyFailed if there is no room, or it is no database a copy can be made of in this way
     */
    public function make(): Copy
    {
        $this->wantFile();
        $this->wantFolder();
        $free = disk_free_space($this->folder);
        if (false !== $free && $free < 2.5 * $this->size->bytes() + 20_000_000) {
            throw new CopyFailed(
                \sprintf('There is no room for a copy in %s: %d MB are free.', $this->folder, (int) ($free / 1e6)),
            );
        }
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $name = $now->format('Ymd\THis\Z');
        $taken = $this->folder.'/'.$name.'.db.part';
        $archive = $this->folder.'/'.$name.'.zip';
        if (is_file($archive) || is_file($taken)) {
            throw new CopyFailed('A copy is being made at this moment.');
        }
        try {
            $this->database->executeStatement('VACUUM INTO '.$this->database->quote($taken));
            chmod($taken, 0600);
            $this->pack($taken, $archive.'.part', $now);
            $this->read($archive.'.part'); // what cannot be read is no copy
            rename($archive.'.part', $archive);
        } catch (DatabaseTrouble) {
            throw new CopyFailed('The database gives no copy: it is broken, or somebody holds it. Ask '.
                'hylognosis:doctor.');
        } finally {
            foreach ([$taken, $taken.'-journal', $archive.'.part'] as $left) {
                if (is_file($left)) {
                    unlink($left);
                }
            }
        }

        return $this->of($archive) ?? throw new CopyFailed('The copy is gone.');
    }

    /** @return list<Copy> the newest first */
    public function all(): array
    {
        $copies = [];
        foreach (
            is_dir($this->folder)
                ? (new Finder())->files()->in($this->folder)->depth(0)->name('/^\d{8}T\d{6}Z\.zip$/D')
                : [] as $file
        ) {
            $copy = $this->of($file->getPathname());
            if (null !== $copy) {
                $copies[] = $copy;
            }
        }
        usort($copies, static fn (Copy $a, Copy $b): int => $b->name <=> $a->name);

        return $copies;
    }

    public function find(string $name): ?Copy
    {
        return 1 === preg_match('/^\d{8}T\d{6}Z$/D', $name) ? $this->of($this->folder.'/'.$name.'.zip') : null;
    }

    /**
     * Throws old ones away: the newest of each of the last seven days, five weeks and twelve months stay, and always
     * the
     *                                   last three.
     *
     * @return list<string> names of those thrown away
     */
    public function thin(): array
    {
        $copies = $this->all();
        $keep = \array_slice(array_map(static fn (Copy $c): string => $c->name, $copies), 0, 3);
        $now = $this->clock->now();
        foreach (['Y-m-d' => '-7 days', 'o-W' => '-5 weeks', 'Y-m' => '-12 months'] as $by => $since) {
            $seen = [];
            foreach ($copies as $copy) {
                $when = $copy->madeAt->format($by);
                if ($copy->madeAt >= $now->modify($since) && !isset($seen[$when])) {
                    $seen[$when] = true;
                    $keep[] = $copy->name;
                }
            }
        }
        $gone = [];
        foreach ($copies as $copy) {
            if (!\in_array($copy->name, $keep, true)) {
                unlink($copy->path);
                $gone[] = $copy->name;
            }
        }

        return $gone;
    }

    /**
     * Unpacks the database of a copy, after all its manifest says of it has been found true.
     *
     * @return array{string, Manifest} path of the database, which whoever asks has to delete, and the manifest
     *
     * @throws CopyFailed naming what is wrong with it
     */
    public function read(string $archive): array
    {
        if (!is_file($archive)) {
            throw new CopyFailed(\sprintf('There is no file %s.', $archive));
        }
        $zip = new \ZipArchive();
        if (true !== $zip->open($archive, \ZipArchive::RDONLY | \ZipArchive::CHECKCONS)) {
            throw new CopyFailed('It is no whole archive.');
        }
        $manifest = Manifest::read((string) $zip->getFromName(self::MANIFEST, 1_000_000));
        $stream = $zip->getStream(self::DATABASE);
        $path = (string) tempnam(sys_get_temp_dir(), 'copy');
        $file = fopen($path, 'w');
        if (false === $stream || false === $file) {
            throw new CopyFailed('It holds no database.');
        }
        $bytes = stream_copy_to_stream($stream, $file);
        fclose($file);
        fclose($stream);
        $zip->close();
        try {
            if ($bytes !== $manifest->bytes || hash_file('sha256', $path) !== $manifest->sha256) {
                throw new CopyFailed(
                    'The database in it is not the one its manifest tells of: it was changed, or is damaged.',
                );
            }
            $pdo = new \PDO('sqlite:'.$path);
            $ok = $pdo->query('PRAGMA integrity_check');
            if (false === $ok || 'ok' !== $ok->fetchColumn()) {
                throw new CopyFailed('The database in it is damaged.');
            }
            if (self::rows($pdo) !== $manifest->rows) {
                throw new CopyFailed('The tables in it are not those its manifest tells of.');
            }
        } catch (CopyFailed|\PDOException $failed) {
            unlink($path);
            throw $failed instanceof CopyFailed ? $failed : new CopyFailed('The database in it cannot be read.');
        }

        return [$path, $manifest];
    }

    private function pack(string $taken, string $archive, \DateTimeImmutable $now): void
    {
        $pdo = new \PDO('sqlite:'.$taken);
        $last = $pdo->query('SELECT number, hash FROM decision WHERE number IS NOT NULL ORDER BY number DESC LIMIT 1');
        /** @var array{int|string, string}|false $end */
        $end = false === $last ? false : $last->fetch(\PDO::FETCH_NUM);
        $versions = $pdo->query('SELECT version FROM doctrine_migration_versions ORDER BY version');
        $manifest = new Manifest(
            $now,
            $this->engine->version,
            array_values(
                array_filter(false === $versions ? [] : $versions->fetchAll(\PDO::FETCH_COLUMN), is_string(...)),
            ),
            self::rows($pdo),
            (int) filesize($taken),
            (string) hash_file('sha256', $taken),
            false === $end ? 0 : (int) $end[0],
            false === $end ? '' : $end[1],
        );
        unset($pdo, $last, $versions);
        $zip = new \ZipArchive();
        if (true !== $zip->open($archive, \ZipArchive::CREATE | \ZipArchive::OVERWRITE)) {
            throw new CopyFailed(\sprintf('%s cannot be written.', $archive));
        }
        $zip->addFromString(self::MANIFEST, $manifest->write());
        $zip->addFile($taken, self::DATABASE);
        if (!$zip->close()) {
            throw new CopyFailed('The archive could not be closed: is the disk full?');
        }
        chmod($archive, 0600);
    }

    /** @return array<string, int> by table */
    private static function rows(\PDO $pdo): array
    {
        $rows = [];
        $tables = $pdo->query(
            "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
        );
        foreach (false === $tables ? [] : $tables->fetchAll(\PDO::FETCH_COLUMN) as $table) {
            $table = \is_string($table) ? $table : '';
            $count = $pdo->query('SELECT COUNT(*) FROM "'.str_replace('"', '""', $table).'"');
            $rows[$table] = false === $count ? 0 : (int) $count->fetchColumn();
        }

        return $rows;
    }

    private function of(string $path): ?Copy
    {
        $name = basename($path, '.zip');
        $madeAt = \DateTimeImmutable::createFromFormat('Ymd\THis\Z', $name, new \DateTimeZone('UTC'));

        return is_file($path) && false !== $madeAt ? new Copy($name, $path, (int) filesize($path), $madeAt) : null;
    }

    private function wantFile(): void
    {
        if (!$this->database->getDatabasePlatform() instanceof SQLitePlatform) {
            throw new CopyFailed('This school lies on PostgreSQL: use pg_dump (docs/running.md).');
        }
    }

    private function wantFolder(): void
    {
        $before = umask(0077);
        $there = is_dir($this->folder) || @mkdir($this->folder, 0700, true) || is_dir($this->folder);
        umask($before);
        if (!$there || !is_writable($this->folder)) {
            throw new CopyFailed(\sprintf('The folder %s cannot be written.', $this->folder));
        }
    }
}
