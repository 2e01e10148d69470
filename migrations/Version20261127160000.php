<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261127160000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Batches: what is made of which harvests, by which recipe, in which jars; and what was called back.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $when = ['datetime_immutable', ['notnull' => false]];
        $grams = ['float', ['notnull' => false]];
        $batch = self::table($schema, 'batch', [
            'id' => $text(36), 'name' => $text(120), 'recipe' => $text(60), 'recipe_hash' => $text(64), 'document' => ['json'], 'ways' => ['json'],
            'grams' => ['float'], 'begun_on' => $text(10), 'begun_at' => ['datetime_immutable'], 'state' => $text(12), 'ended_at' => $when,
            'note' => $text(1000), 'begun_by_id' => $text(36),
        ]);
        $batch->addIndex(['state', 'begun_at'], 'batch_state');
        self::points($batch, 'begun_by_id', 'person');
        $source = self::table($schema, 'batch_source', [
            'id' => $text(36), 'share' => ['integer'], 'batch_id' => $text(36), 'harvest_id' => $text(36),
        ]);
        $source->addUniqueIndex(['batch_id', 'harvest_id'], 'batch_source_once');
        self::points($source, 'batch_id', 'batch');
        self::points($source, 'harvest_id', 'harvest');
        $step = self::table($schema, 'batch_step', [
            'id' => $text(36), 'place' => ['integer'], 'started_at' => $when, 'due_at' => $when, 'done_at' => $when, 'grams_in' => $grams,
            'grams_out' => $grams, 'note' => $text(1000), 'batch_id' => $text(36), 'written_by_id' => $text(36),
        ]);
        $step->addUniqueIndex(['batch_id', 'place'], 'batch_step_place');
        self::points($step, 'batch_id', 'batch');
        self::points($step, 'written_by_id', 'person');
        $unit = self::table($schema, 'batch_unit', [
            'id' => $text(36), 'number' => ['integer'], 'contents' => $text(120), 'made_on' => $text(10), 'best_before' => $text(10),
            'given_to' => $text(200), 'labelled_at' => ['datetime_immutable'], 'recalled_at' => $when, 'batch_id' => $text(36), 'labelled_by_id' => $text(36),
            'recall_id' => ['string', ['length' => 36, 'notnull' => false]],
        ]);
        $unit->addUniqueIndex(['batch_id', 'number'], 'batch_unit_number');
        self::points($unit, 'batch_id', 'batch');
        self::points($unit, 'labelled_by_id', 'person');
        $recall = self::table($schema, 'recall', [
            'id' => $text(36), 'what' => $text(12), 'about' => $text(160), 'because' => $text(500), 'recalled_at' => ['datetime_immutable'],
            'recalled_by_id' => $text(36),
        ]);
        self::points($recall, 'recalled_by_id', 'person');
        self::points($unit, 'recall_id', 'recall');
    }
}
