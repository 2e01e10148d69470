<?php

declare(strict_types=1);

namespace App\Running;

use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use App\Storage\DatabaseSize;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseTrouble;
use Doctrine\Migrations\DependencyFactory;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Whether the application can do its work: the database is there, of this version and can be written, and every flora
 * is the edition in its files.
 */
final readonly class Health
{
    public function __construct(
        private Connection $database,
        #[Autowire(service: 'doctrine.migrations.dependency_factory')] private DependencyFactory $migrations,
        private DatabaseSize $size,
        private FloraLibrary $library,
        private LoggerInterface $log,
        #[Autowire('%kernel.project_dir%/var')] private string $sessions,
        /** Bytes that must be free where the database lies. A day of a school writes a few hundred thousand. */
        private int $free = 20_000_000,
    ) {
    }

    /** @return list<string> what is wrong, a sentence each; none where all is well */
    public function troubles(): array
    {
        return [...$this->ofTheDatabase(), ...$this->ofTheFloras()];
    }

    /** @return list<string> */
    private function ofTheDatabase(): array
    {
        try {
            $this->database->executeQuery('SELECT 1')->fetchOne();
            if (\count($this->migrations->getMigrationStatusCalculator()->getNewMigrations()) > 0) {
                return ['The database is not of this version: run bin/console doctrine:migrations:migrate.'];
            }
            // the lock alone tells whether it can be written; nothing is
            $this->database->beginTransaction();
            $this->database->rollBack();
            // a database elsewhere tells of its own disk
            $free = $this->size->free() ?? disk_free_space($this->sessions);
            if (false !== $free && $free < $this->free) {
                return [
                    \sprintf(
                        'The disk with the database, or with the sessions, is nearly full: %d MB are free.',
                        (int) ($free / 1e6),
                    ),
                ];
            }
        } catch (DatabaseTrouble $trouble) {
            $this->log->error('The database cannot be used.', ['exception' => $trouble]);

            return ['The database cannot be used: it is missing, broken, or may not be written.'];
        }

        return [];
    }

    /** @return list<string> */
    private function ofTheFloras(): array
    {
        $troubles = [];
        foreach ($this->library->names() as $name) {
            try {
                $problem = $this->library->problem($name);
            } catch (FloraRefused $refused) {
                $problem = $refused->getMessage();
            } catch (DatabaseTrouble) {
                continue; // told above
            }
            if ('' !== $problem) {
                $troubles[] = \sprintf('The files of the flora %s are not taken: %s', $name, $problem);
            }
        }

        return $troubles;
    }
}
