<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261130140000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Days with a group, and trees looked at for a year.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $day = self::table($schema, 'group_day', [
            'id' => $text(36), 'day' => $text(10), 'site_id' => $text(36), 'name' => $text(120),
            'planned_by_id' => $text(36), 'planned_at' => ['datetime_immutable'], 'people' => ['json'],
            'guests' => ['integer'], 'stations' => ['json'], 'results' => ['json'], 'learnt' => $text(2000),
            'ask_next' => ['json'], 'given_up_at' => ['datetime_immutable', ['notnull' => false]],
        ]);
        self::points($day, 'site_id', 'site');
        self::points($day, 'planned_by_id', 'person');
        $day->addIndex(['day'], 'group_day_day');
        $tree = self::table($schema, 'adopted_tree', [
            'id' => $text(36), 'learner_id' => $text(36), 'specimen_id' => $text(36), 'since' => $text(10),
            'ended_on' => ['string', ['length' => 10, 'notnull' => false]], 'notes' => ['json'],
        ]);
        self::points($tree, 'learner_id', 'person');
        self::points($tree, 'specimen_id', 'specimen');
        $tree->addIndex(['learner_id', 'since'], 'adopted_tree_of');
    }
}
