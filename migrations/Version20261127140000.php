<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261127140000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'How much hung on which tree in which year; days out that are kept; where one enters a place and leaves the car.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $note = self::table($schema, 'crop_note', [
            'id' => $text(36), 'part' => $text(40), 'crop_year' => ['integer'], 'grade' => $text(8), 'opened' => ['integer'], 'sound' => ['integer'],
            'recorded_at' => ['datetime_immutable'], 'taken_back_at' => ['datetime_immutable', ['notnull' => false]], 'specimen_id' => $text(36),
            'seen_by_id' => $text(36),
        ]);
        $note->addIndex(['crop_year'], 'crop_note_year');
        self::points($note, 'specimen_id', 'specimen');
        self::points($note, 'seen_by_id', 'person');
        $day = self::table($schema, 'planned_day', [
            'id' => $text(36), 'day' => $text(10), 'name' => $text(120), 'asked' => ['json'], 'trees' => ['json'], 'kept_at' => ['datetime_immutable'],
            'given_up_at' => ['datetime_immutable', ['notnull' => false]], 'kept_by_id' => $text(36),
        ]);
        $day->addIndex(['day'], 'planned_day_day');
        self::points($day, 'kept_by_id', 'person');
        $this->add('site', 'entrance', 'json', ['default' => '[]']);
        $this->add('site', 'car', 'json', ['default' => '[]']);
    }
}
