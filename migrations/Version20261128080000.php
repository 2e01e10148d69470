<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261128080000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Batches are split, joined, tasted, photographed and done otherwise; harvests note sex and company; own measures and woods are shared.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $check = self::table($schema, 'batch_check', [
            'id' => $text(36), 'answer' => $text(12), 'note' => $text(300), 'checked_at' => ['datetime_immutable'], 'step_id' => $text(36),
            'checked_by_id' => $text(36),
        ]);
        self::points($check, 'step_id', 'batch_step');
        self::points($check, 'checked_by_id', 'person');
        $measure = self::table($schema, 'own_measure', [
            'id' => $text(36), 'name' => $text(60), 'amount' => ['float'], 'unit' => $text(12), 'weighed_at' => ['datetime_immutable'],
            'forgotten_at' => ['datetime_immutable', ['notnull' => false]], 'weighed_by_id' => $text(36),
        ]);
        self::points($measure, 'weighed_by_id', 'person');
        $recipe = self::table($schema, 'own_recipe', [
            'id' => $text(36), 'recipe' => $text(60), 'hash' => $text(64), 'document' => ['json'], 'brought_at' => ['datetime_immutable'],
            'laid_aside_at' => ['datetime_immutable', ['notnull' => false]], 'brought_by_id' => $text(36),
        ]);
        self::points($recipe, 'brought_by_id', 'person');
        $wood = self::table($schema, 'wood_note', [
            'id' => $text(36), 'taxon' => $text(80), 'work' => $text(8), 'ease' => ['string', ['length' => 4, 'notnull' => false]],
            'density' => ['float', ['notnull' => false]], 'note' => $text(300), 'taken_back_at' => ['datetime_immutable', ['notnull' => false]],
            'recorded_at' => ['datetime_immutable'], 'found_by_id' => $text(36),
        ]);
        $wood->addIndex(['taxon', 'recorded_at'], 'wood_note_taxon');
        self::points($wood, 'found_by_id', 'person');
        foreach (['batch' => ['split_from_id', 'joined_into_id'], 'picture' => ['batch_id']] as $table => $columns) {
            foreach ($columns as $column) {
                $this->addSql("ALTER TABLE $table ADD COLUMN $column VARCHAR(36) DEFAULT NULL REFERENCES batch (id)");
                $this->addSql(\sprintf('CREATE INDEX IDX_%s ON %s (%s)', strtoupper(dechex(crc32($table)).dechex(crc32($column))), $table, $column));
            }
        }
        $this->add('batch_step', 'left_out', 'boolean', ['default' => false]);
        $this->add('harvest', 'sex', 'string', ['length' => 8, 'default' => '']);
        $this->add('harvest', 'lone', 'boolean', ['notnull' => false]);
        $this->add('batch', 'split_share', 'float', ['notnull' => false]);
        $this->add('batch', 'own_steps', 'json', ['notnull' => false]);
        $this->add('batch_source', 'percent', 'float', ['default' => 100]);
        $this->addSql('UPDATE batch_source SET percent = share');
        $this->addSql('ALTER TABLE batch_source DROP COLUMN share');
    }
}
