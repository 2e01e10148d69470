<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261126080000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Answers as people give them, further looks, dissent taken back on record, reasons instead of sentences, reviews of stated nevers.';
    }

    public function up(Schema $schema): void
    {
        $this->add('examination', 'conditions_on', 'json', ['default' => '[]']);
        $this->add('examination', 'date_reason', 'string', ['length' => 500, 'default' => '']);
        $this->add('examination', 'reconsidered_at', 'datetime_immutable', ['notnull' => false]);
        $this->add('examination', 'reconsidered_because', 'string', ['length' => 1000, 'default' => '']);
        $this->add('score', 'answer', 'string', ['length' => 16, 'default' => 'seen']);
        $this->addSql("UPDATE score SET answer = 'cannot-be-seen' WHERE looked = false");
        $this->addSql('ALTER TABLE score DROP COLUMN looked');
        $this->add('score', 'one_of', 'boolean', ['default' => false]);
        // Before this edition every repeat counted as a further look.
        $this->add('score', 'further', 'boolean', ['default' => true]);
        $this->add('decision', 'reason', 'json', ['default' => '{}']);
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        self::table($schema, 'never_review', [
            'id' => $text(36), 'flora' => $text(80), 'taxon' => $text(80), 'line' => $text(80), 'fingerprint' => $text(12), 'verdict' => $text(8), 'who' => $text(120), 'reviewed_on' => $text(10), 'note' => $text(500), 'recorded_at' => ['datetime_immutable'],
        ])->addIndex(['flora'], 'never_review_flora');
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
