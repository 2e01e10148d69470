<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261126210000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'A school of one’s own: the school, invitations, who did what; people come, change and leave.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        [$id, $moment, $maybeMoment, $number] = [$text(36), ['datetime_immutable'], ['datetime_immutable', ['notnull' => false]], ['float']];
        $maybeId = ['string', ['length' => 36, 'notnull' => false]];
        self::table($schema, 'school', [
            'id' => $id, 'name' => $text(120), 'place' => $text(120), 'latitude' => $number, 'longitude' => $number, 'altitude' => $number,
            'flora' => $text(80), 'units' => $text(8), 'dates' => $text(8), 'of_one' => ['boolean'], 'begun_at' => $moment,
        ]);
        $invitation = self::table($schema, 'invitation', [
            'id' => $id, 'hash' => $text(64), 'name' => $text(120), 'role' => $text(16), 'invited_at' => $moment, 'expires_at' => $moment,
            'withdrawn_at' => $maybeMoment, 'invited_by_id' => $id, 'taken_id' => $maybeId, 'renews_id' => $maybeId,
        ]);
        $invitation->addUniqueIndex(['hash']);
        foreach (['invited_by_id', 'taken_id', 'renews_id'] as $who) {
            self::points($invitation, $who, 'person');
        }
        $deed = self::table($schema, 'deed', [
            'id' => $id, 'at' => $moment, 'kind' => $text(32), 'about' => $text(200), 'note' => $text(500), 'by_id' => $id,
        ]);
        $deed->addIndex(['at'], 'deed_at');
        self::points($deed, 'by_id', 'person');
        $permission = self::table($schema, 'site_permission', [
            'id' => $id, 'owner' => $text(200), 'given' => ['boolean'], 'parts' => ['json'], 'until' => ['string', ['length' => 10, 'notnull' => false]],
            'said' => $text(8), 'said_on' => $text(10), 'note' => $text(500), 'recorded_at' => $moment, 'site_id' => $id, 'recorded_by_id' => $id,
        ]);
        self::points($permission, 'site_id', 'site');
        self::points($permission, 'recorded_by_id', 'person');
        $measure = self::table($schema, 'tree_measure', [
            'id' => $id, 'measured_on' => $text(10), 'girth' => ['float', ['notnull' => false]], 'height' => ['float', ['notnull' => false]],
            'lowest' => ['float', ['notnull' => false]],
            'note' => $text(300), 'recorded_at' => $moment, 'specimen_id' => $id, 'measured_by_id' => $id,
        ]);
        self::points($measure, 'specimen_id', 'specimen');
        self::points($measure, 'measured_by_id', 'person');
        $kind = self::table($schema, 'tree_kind', [
            'id' => $id, 'taxon' => $text(80), 'flora' => $text(80), 'examinations' => ['json'], 'doubt' => $text(500), 'said_at' => $moment,
            'specimen_id' => $id, 'said_by_id' => $id,
        ]);
        self::points($kind, 'specimen_id', 'specimen');
        self::points($kind, 'said_by_id', 'person');
        self::table($schema, 'flora_edition', [
            'hash' => $text(64), 'name' => $text(80), 'edition' => $text(40), 'document' => ['text'], 'kept_at' => $moment,
        ]);
        $picture = self::table($schema, 'picture', [
            'id' => $id, 'caption' => $text(300), 'taken_on' => $text(10), 'added_at' => $moment, 'hash' => $text(64), 'type' => $text(20),
            'width' => ['integer'], 'height' => ['integer'], 'size' => ['integer'], 'pixels_per_millimetre' => ['float', ['notnull' => false]],
            'removed_at' => $maybeMoment, 'added_by_id' => $id, 'specimen_id' => $maybeId, 'examination_id' => $maybeId, 'score_id' => $maybeId,
            'harvest_id' => $maybeId, 'permission_id' => $maybeId,
        ]);
        foreach (['added_by_id' => 'person', 'specimen_id' => 'specimen', 'examination_id' => 'examination', 'score_id' => 'score', 'harvest_id' => 'harvest', 'permission_id' => 'site_permission'] as $column => $to) {
            self::points($picture, $column, $to);
        }
        $picture->addIndex(['hash'], 'picture_hash');
        $bytes = $schema->createTable('picture_bytes');
        $bytes->addColumn('hash', 'string', ['length' => 64]);
        $bytes->addColumn('kind', 'string', ['length' => 8]);
        $bytes->addColumn('bytes', 'blob');
        $bytes->setPrimaryKey(['hash', 'kind']);
        $base = self::table($schema, 'base_map', ['id' => $id, 'name' => $text(120), 'features' => ['text'], 'added_at' => $moment, 'added_by_id' => $id]);
        self::points($base, 'added_by_id', 'person');
        foreach (['latitude', 'longitude', 'uncertainty'] as $column) {
            $this->add('specimen', $column, 'float', ['notnull' => false]);
        }
        $this->add('specimen', 'stage', 'string', ['length' => 16, 'notnull' => false]);
        $this->add('specimen', 'gone_on', 'string', ['length' => 10, 'notnull' => false]);
        $this->add('specimen', 'merged_into', 'string', ['length' => 36, 'notnull' => false]);
        $this->add('site', 'boundary', 'json', ['default' => '[]']);
        $this->add('specimen', 'former_tags', 'json', ['default' => '[]']);
        $this->add('decision', 'hash', 'string', ['length' => 64, 'default' => '']);
        $this->add('decision', 'previous', 'string', ['length' => 64, 'default' => '']);
        $this->add('decision', 'engine', 'string', ['length' => 40, 'default' => '']);
        $this->add('decision', 'inputs', 'json', ['default' => '[]']);
        $this->add('decision', 'number', 'integer', ['notnull' => false]);
        $this->addSql('CREATE UNIQUE INDEX decision_number ON decision (number)');
        foreach (['position_from' => 12, 'sex' => 8, 'health' => 500, 'gone' => 8, 'former_tags_line' => 400, 'kind' => 80, 'kind_flora' => 80, 'doubt' => 500] as $column => $length) {
            $this->add('specimen', $column, 'string', ['length' => $length, 'default' => '']);
        }
        $this->add('site', 'permission_parts', 'json', ['default' => '[]']);
        $this->add('site', 'rules', 'string', ['length' => 1000, 'default' => '']);
        foreach (['soil' => 8, 'light' => 8, 'moisture' => 8, 'exposure' => 4] as $column => $length) {
            $this->add('site', $column, 'string', ['length' => $length, 'default' => '']);
        }
        $this->add('person', 'left_at', 'datetime_immutable', ['notnull' => false]);
        $this->add('person', 'epoch', 'integer', ['default' => 0]);
        $this->add('examination', 'handed_over', 'json', ['default' => '[]']);
        $this->add('examination', 'brought_in', 'boolean', ['default' => false]);
        $this->add('person', 'exported_at', 'datetime_immutable', ['notnull' => false]);
        $this->add('examination', 'examined_as', 'string', ['length' => 16, 'default' => 'learner']);
    }

    public function postUp(Schema $schema): void
    {
        $this->connection->executeStatement("UPDATE examination SET examined_as = 'instructor' WHERE examiner_id IN (SELECT id FROM person WHERE role = 'instructor')");
    }
}
