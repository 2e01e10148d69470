<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Examine\Decisions;
use App\Library\FloraEdition;
use App\Library\FloraRefused;
use App\Pictures\PictureBytes;
use App\Pictures\Rendition;
use App\Running\Health;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Looks everything over that keeps: what is wrong is said, and nothing is mended behind anybody's back. */
final readonly class Doctor
{
    public function __construct(
        private Connection $database,
        private EntityManagerInterface $entities,
        private Decisions $decisions,
        private Copies $copies,
        private Health $health,
        #[Autowire('%kernel.project_dir%')] private string $root,
    ) {
    }

    /** @return array<string, list<string>> what was looked at → what is wrong with it; an empty list where all is well */
    public function examine(): array
    {
        $file = $this->database->getDatabasePlatform() instanceof SQLitePlatform;

        return array_filter(
            [
                'the application' => $this->health->troubles(),
                'the file of the database' => $file ? $this->integrity() : null,
                'what points to what' => $file ? $this->pointers() : null,
                'the chain of decisions' => $this->chain(),
                'editions of floras kept' => $this->editions(),
                'pictures' => $this->pictures(),
                'who may read the files' => $this->permissions(),
                'copies' => $file ? $this->copies() : null,
            ],
            static fn (?array $wrong): bool => null !== $wrong,
        );
    }

    /** @return list<string> */
    private function integrity(): array
    {
        return array_values(
            array_filter(
                $this->database->executeQuery('PRAGMA integrity_check')->fetchFirstColumn(),
                static fn (mixed $line): bool => \is_string($line) && 'ok' !== $line,
            ),
        );
    }

    /** @return list<string> */
    private function pointers(): array
    {
        $wrong = [];
        foreach ($this->database->executeQuery('PRAGMA foreign_key_check')->fetchAllNumeric() as [$table, $row, $to]) {
            $wrong[] = \sprintf(
                'A row of %s points to one of %s that is not there.',
                \is_string($table) ? $table : '?',
                \is_string($to) ? $to : '?',
            );
        }

        return $wrong;
    }

    /** @return list<string> */
    private function chain(): array
    {
        [$count, $wrong] = $this->decisions->check();
        // what was cut off at the end leaves no gap: an older copy knows of it
        foreach (\array_slice($this->copies->all(), 0, 1) as $copy) {
            try {
                [$path, $manifest] = $this->copies->read($copy->path);
                unlink($path);
            } catch (CopyFailed) {
                continue; // told with the copies
            }
            if (
                $manifest->decision > $count
                || ($manifest->decision > 0 && $this->decisions->hashOf($manifest->decision) !== $manifest->chain)
            ) {
                $wrong[] = \sprintf(
                    'The copy of %s knows decision %d with another hash, or the database has lost it.',
                    $copy->name,
                    $manifest->decision,
                );
            }
        }

        return $wrong;
    }

    /** @return list<string> */
    private function editions(): array
    {
        $wrong = [];
        $kept = [];
        foreach ($this->entities->getRepository(FloraEdition::class)->findAll() as $edition) {
            try {
                $edition->unpacked();
                $kept[$edition->hash] = true;
            } catch (FloraRefused $refused) {
                $wrong[] = $refused->getMessage();
            }
        }
        foreach (
            $this->database->fetchFirstColumn("SELECT DISTINCT flora_hash FROM decision WHERE hash <> ''") as $hash
        ) {
            if (\is_string($hash) && !isset($kept[$hash])) {
                $wrong[] = \sprintf(
                    'A decision leans on the edition %s of a flora, which is not kept.',
                    substr($hash, 0, 12),
                );
            }
        }

        return $wrong;
    }

    /** @return list<string> */
    private function pictures(): array
    {
        $wrong = [];
        foreach ($this->database->fetchFirstColumn('SELECT DISTINCT hash FROM picture') as $hash) {
            $hash = \is_string($hash) ? $hash : '';
            $found = $this->entities->find(PictureBytes::class, ['hash' => $hash, 'kind' => Rendition::Full]);
            $bytes = $found?->bytes;
            $bytes = \is_resource($bytes) ? stream_get_contents($bytes, offset: 0) : $bytes;
            if (!\is_string($bytes) || hash('sha256', $bytes) !== $hash) {
                $wrong[] = \sprintf('The picture %s is missing, or not what was kept.', substr($hash, 0, 12));
            }
            if (null !== $found) {
                $this->entities->detach($found);
            }
        }

        return $wrong;
    }

    /** @return list<string> */
    private function permissions(): array
    {
        $wrong = [];
        $path = $this->database->getParams()['path'] ?? '';
        foreach (array_filter([$path, $path.'-wal', $this->root.'/.env.local'], is_file(...)) as $file) {
            if (0 !== ((int) fileperms($file) & 0007)) {
                $wrong[] = \sprintf('%s can be read by everybody on this machine: chmod o-rwx.', $file);
            }
        }

        return $wrong;
    }

    /** @return list<string> */
    private function copies(): array
    {
        $copies = $this->copies->all();
        if ([] === $copies) {
            return ['There is no copy yet: bin/console hylognosis:copy make.'];
        }
        try {
            [$path] = $this->copies->read($copies[0]->path);
            unlink($path);
        } catch (CopyFailed $failed) {
            return [\sprintf('The last copy, %s: %s', $copies[0]->name, $failed->getMessage())];
        }

        return [];
    }
}
