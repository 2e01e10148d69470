<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261126080000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Answers as people give them, further looks, dissent taken back on record, reasons instead of sentences, reviews of stated nevers.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE examination ADD COLUMN conditions_on CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE examination ADD COLUMN date_reason VARCHAR(500) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE examination ADD COLUMN reconsidered_at DATETIME DEFAULT NULL');
        $this->addSql("ALTER TABLE examination ADD COLUMN reconsidered_because VARCHAR(1000) DEFAULT '' NOT NULL");
        $this->addSql("ALTER TABLE score ADD COLUMN answer VARCHAR(16) DEFAULT 'seen' NOT NULL");
        $this->addSql("UPDATE score SET answer = 'cannot-be-seen' WHERE looked = false");
        $this->addSql('ALTER TABLE score DROP COLUMN looked');
        $this->addSql('ALTER TABLE score ADD COLUMN one_of BOOLEAN DEFAULT 0 NOT NULL');
        // Before this edition every repeat counted as a further look.
        $this->addSql('ALTER TABLE score ADD COLUMN further BOOLEAN DEFAULT 1 NOT NULL');
        $this->addSql("ALTER TABLE decision ADD COLUMN reason CLOB DEFAULT '{}' NOT NULL");
        $this->addSql('CREATE TABLE never_review (id VARCHAR(36) NOT NULL, flora VARCHAR(80) NOT NULL, taxon VARCHAR(80) NOT NULL, line VARCHAR(80) NOT NULL, fingerprint VARCHAR(12) NOT NULL, verdict VARCHAR(8) NOT NULL, who VARCHAR(120) NOT NULL, reviewed_on VARCHAR(10) NOT NULL, note VARCHAR(500) NOT NULL, recorded_at DATETIME NOT NULL, PRIMARY KEY(id))');
        $this->addSql('CREATE INDEX never_review_flora ON never_review (flora)');
    }

    /** Decisions that were stored as sentences keep them, word for word. */
    public function postUp(Schema $schema): void
    {
        foreach ($this->connection->fetchAllAssociative('SELECT id, because, points FROM decision') as $row) {
            $written = static fn (mixed $sentence): array => ['code' => 'as-written', 'with' => ['sentence' => \is_string($sentence) ? $sentence : '']];
            $points = json_decode(\is_string($row['points']) ? $row['points'] : '[]', true, flags: \JSON_THROW_ON_ERROR);
            $this->connection->update('decision', [
                'reason' => json_encode($written($row['because']), \JSON_THROW_ON_ERROR),
                'points' => json_encode(array_map(static fn (mixed $point): mixed => \is_array($point) ? ['because' => $written($point['because'] ?? '')] + $point : $point, \is_array($points) ? $points : []), \JSON_THROW_ON_ERROR),
            ], ['id' => $row['id']]);
        }
        $this->connection->executeStatement('ALTER TABLE decision DROP COLUMN because');
    }
}
