<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261127100000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'The year: what came on which tree on which day; weather by day.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $maybe = ['float', ['notnull' => false]];
        $event = self::table($schema, 'tree_event', [
            'id' => $text(36), 'event' => $text(16), 'happened_on' => $text(10), 'recorded_at' => ['datetime_immutable'],
            'taken_back_at' => ['datetime_immutable', ['notnull' => false]], 'specimen_id' => $text(36), 'seen_by_id' => $text(36),
        ]);
        $event->addIndex(['happened_on'], 'tree_event_day');
        self::points($event, 'specimen_id', 'specimen');
        self::points($event, 'seen_by_id', 'person');
        $weather = self::table($schema, 'daily_weather', [
            'id' => $text(36), 'day' => $text(10), 'least' => ['float'], 'greatest' => ['float'], 'rain' => $maybe, 'wind' => $maybe,
            'gust' => $maybe, 'humidity' => $maybe, 'site_id' => $text(36),
        ]);
        $weather->addUniqueIndex(['site_id', 'day'], 'daily_weather_day');
        self::points($weather, 'site_id', 'site');
        $this->add('person', 'calendar_hash', 'string', ['length' => 64, 'default' => '']);
        $this->add('site', 'station', 'string', ['length' => 12, 'default' => '']);
    }
}
