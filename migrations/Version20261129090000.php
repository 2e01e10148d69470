<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261129090000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Walks through a place, stands, pastures, walks after a storm, signs of illness.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $may = static fn (string $type, int $length = 0): array => [$type, ['notnull' => false] + (0 < $length ? ['length' => $length] : [])];
        $when = ['datetime_immutable'];
        $stand = self::table($schema, 'stand', [
            'id' => $text(36), 'site_id' => $text(36), 'label' => $text(120), 'held_as' => $text(80), 'flora' => $text(80), 'how_many' => $text(8),
            'line' => ['json'], 'height' => $may('float'), 'told_by_id' => $text(36), 'told_at' => $when, 'gone_on' => $may('string', 10),
        ]);
        self::points($stand, 'site_id', 'site');
        self::points($stand, 'told_by_id', 'person');
        $survey = self::table($schema, 'survey', [
            'id' => $text(36), 'site_id' => $text(36), 'walked_on' => $text(10), 'walked_by_id' => $text(36), 'begun_at' => $when,
            'due_on' => $text(10), 'closed_at' => $may('datetime_immutable'),
        ]);
        self::points($survey, 'site_id', 'site');
        self::points($survey, 'walked_by_id', 'person');
        $look = self::table($schema, 'survey_look', [
            'id' => $text(36), 'survey_id' => $text(36), 'specimen_id' => $may('string', 36), 'stand_id' => $may('string', 36),
            'held_as' => $text(80), 'flora' => $text(80), 'gap' => $may('string', 12), 'marks' => ['json'], 'note' => $text(300),
            'looked_by_id' => $text(36), 'looked_at' => $when,
        ]);
        $look->addIndex(['looked_at'], 'survey_look_seen');
        self::points($look, 'survey_id', 'survey');
        self::points($look, 'specimen_id', 'specimen');
        self::points($look, 'stand_id', 'stand');
        self::points($look, 'looked_by_id', 'person');
        $pasture = self::table($schema, 'pasture', [
            'id' => $text(36), 'site_id' => $text(36), 'name' => $text(120), 'corners' => ['json'], 'gate' => ['json'], 'animal' => $text(8),
            'head_count' => ['integer'], 'grams' => ['float'], 'grazed' => ['json'], 'gone_at' => $may('datetime_immutable'),
        ]);
        self::points($pasture, 'site_id', 'site');
        $choice = self::table($schema, 'pasture_choice', [
            'id' => $text(36), 'pasture_id' => $text(36), 'specimen_id' => $may('string', 36), 'stand_id' => $may('string', 36),
            'choice' => $text(8), 'shade' => $text(200), 'fruit' => $text(200), 'price' => $may('float'), 'why' => $text(500),
            'chosen_by_id' => $text(36), 'chosen_at' => $when,
        ]);
        self::points($choice, 'pasture_id', 'pasture');
        self::points($choice, 'specimen_id', 'specimen');
        self::points($choice, 'stand_id', 'stand');
        self::points($choice, 'chosen_by_id', 'person');
        $walk = self::table($schema, 'storm_walk', [
            'id' => $text(36), 'site_id' => $text(36), 'blew_at' => $when, 'gust' => $may('float'), 'seconds' => ['integer'],
            'raised_by_id' => $text(36), 'raised_at' => $when,
        ]);
        self::points($walk, 'site_id', 'site');
        self::points($walk, 'raised_by_id', 'person');
        $stop = self::table($schema, 'storm_stop', [
            'id' => $text(36), 'walk_id' => $text(36), 'specimen_id' => $may('string', 36), 'stand_id' => $may('string', 36),
            'pasture_id' => $may('string', 36), 'stop_number' => ['integer'], 'seconds' => $may('integer'), 'finding' => $may('string', 16),
            'thickness' => $may('float'), 'note' => $text(300), 'found_at' => $may('datetime_immutable'), 'found_by_id' => $may('string', 36),
            'ended' => $may('string', 16), 'ended_at' => $may('datetime_immutable'), 'ended_by_id' => $may('string', 36),
        ]);
        self::points($stop, 'walk_id', 'storm_walk');
        self::points($stop, 'specimen_id', 'specimen');
        self::points($stop, 'stand_id', 'stand');
        self::points($stop, 'pasture_id', 'pasture');
        self::points($stop, 'found_by_id', 'person');
        self::points($stop, 'ended_by_id', 'person');
        $sign = self::table($schema, 'tree_sign', [
            'id' => $text(36), 'specimen_id' => $text(36), 'sign' => $text(40), 'is_seen' => ['boolean'], 'seen_on' => $text(10),
            'note' => $text(300), 'seen_by_id' => $text(36), 'recorded_at' => $when, 'taken_back_at' => $may('datetime_immutable'),
        ]);
        self::points($sign, 'specimen_id', 'specimen');
        self::points($sign, 'seen_by_id', 'person');
    }
}
