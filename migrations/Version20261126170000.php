<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261126170000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Lists that stay fast over the years: what they are asked for by stands in indexes, and where a second person is wanted is on record.';
    }

    public function up(Schema $schema): void
    {
        $this->add('examination', 'second_wanted', 'boolean', ['default' => false]);
        $this->addSql('DROP INDEX IF EXISTS IDX_CCDAABC5AA9E377A');
        $this->addSql('CREATE INDEX examination_date ON examination (date, created_at)');
        $this->addSql('CREATE INDEX examination_open ON examination (examiner_id, signed_at, created_at)');
        $this->addSql('CREATE INDEX examination_blind ON examination (specimen_id, examiner_id, signed_at)');
        $this->addSql('CREATE INDEX examination_wanted ON examination (second_wanted, date)');
        $this->addSql('CREATE INDEX decision_part ON decision (taxon, part)');
        $this->addSql('CREATE INDEX harvest_day ON harvest (taken_on, recorded_at)');
    }

    /** Where nothing but people and what is asked of the part was open when it was signed, a second person was wanted. */
    public function postUp(Schema $schema): void
    {
        foreach ($this->connection->fetchAllAssociative('SELECT d.examination_id, d.points FROM decision d JOIN examination e ON e.id = d.examination_id WHERE e.signed_at IS NOT NULL ORDER BY d.id') as $row) {
            $points = json_decode(\is_string($row['points']) ? $row['points'] : '[]', true);
            $missing = [];
            foreach (\is_array($points) ? $points : [] as $point) {
                if (\is_array($point) && \is_string($point['point'] ?? null) && 'met' !== ($point['status'] ?? '')) {
                    $missing[$point['point']] = $point['status'] ?? '';
                }
            }
            if ('open' === ($missing['people'] ?? '') && [] === array_diff(array_keys($missing), ['people', 'part-and-condition'])) {
                $this->connection->executeStatement('UPDATE examination SET second_wanted = true WHERE id = ?', [$row['examination_id']]);
            }
        }
        $this->connection->executeStatement('ANALYZE');
    }
}
