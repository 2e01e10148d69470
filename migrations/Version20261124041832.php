<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261124041832 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'People, places, trees, examinations, decisions and what was taken.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $maybe = static fn (int $length): array => ['string', ['length' => $length, 'notnull' => false]];
        [$id, $json, $flag, $number, $moment, $maybeMoment] = [$text(36), ['json'], ['boolean'], ['float'], ['datetime_immutable'], ['datetime_immutable', ['notnull' => false]]];
        self::table($schema, 'person', ['id' => $id, 'password' => $text(255), 'units' => $text(8), 'email' => $text(180), 'name' => $text(120), 'role' => $text(16)])->addUniqueIndex(['email']);
        self::table($schema, 'setting', ['name' => $text(40), 'content' => $text(200)]);
        self::table($schema, 'site', [
            'id' => $id, 'permission' => ['boolean', ['notnull' => false]], 'permission_until' => $maybe(10), 'owner' => $text(200), 'protected_taxa' => $json, 'quotas' => $json,
            'name' => $text(120), 'latitude' => $number, 'longitude' => $number, 'altitude' => $number,
        ]);
        $specimen = self::table($schema, 'specimen', ['id' => $id, 'tag' => $text(24), 'whereabouts' => $text(300), 'created_at' => $moment, 'site_id' => $id]);
        $specimen->addUniqueIndex(['tag']);
        self::points($specimen, 'site_id', 'site');
        $examination = self::table($schema, 'examination', [
            'id' => $id, 'stage' => $text(16), 'route' => $text(24), 'reach' => $json, 'kit' => $json, 'claim_taxon' => $maybe(80), 'claim_part' => $maybe(40), 'conditions' => $json,
            'blind' => $flag, 'uncovered_at' => $maybeMoment, 'signed_at' => $maybeMoment, 'unprejudiced' => $flag, 'seen_by' => $json, 'date' => $text(10), 'flora' => $text(80), 'flora_hash' => $text(64),
            'created_at' => $moment, 'second_of_id' => $maybe(36), 'specimen_id' => $id, 'examiner_id' => $id,
        ]);
        self::points($examination, 'second_of_id', 'examination');
        self::points($examination, 'specimen_id', 'specimen');
        self::points($examination, 'examiner_id', 'person');
        $score = self::table($schema, 'score', [
            'id' => $id, 'taken_back_at' => $maybeMoment, 'trait' => $text(80), 'states' => $json, 'numbers' => $json, 'certainty' => $text(8), 'samples' => ['integer'], 'seen_where' => $text(8),
            'looked' => $flag, 'recorded_at' => $moment, 'examination_id' => $id,
        ]);
        self::points($score, 'examination_id', 'examination', ['onDelete' => 'CASCADE']);
        $decision = self::table($schema, 'decision', [
            'id' => $id, 'taxon' => $text(80), 'part' => $text(40), 'conditions' => $json, 'answer' => $text(12), 'because' => $text(500), 'points' => $json, 'posterior' => $number, 'flora_hash' => $text(64),
            'decided_on' => $text(10), 'valid_until' => $maybe(10), 'examination_id' => $id, 'decided_by_id' => $id,
        ]);
        self::points($decision, 'examination_id', 'examination');
        self::points($decision, 'decided_by_id', 'person');
        $harvest = self::table($schema, 'harvest', [
            'id' => $id, 'taken_on' => $text(10), 'amount' => $number, 'unit' => $text(12), 'ripeness' => $text(200), 'share_left' => ['integer'], 'note' => $text(1000), 'recorded_at' => $moment, 'decision_id' => $id, 'taken_by_id' => $id,
        ]);
        self::points($harvest, 'decision_id', 'decision');
        self::points($harvest, 'taken_by_id', 'person');
    }
}
