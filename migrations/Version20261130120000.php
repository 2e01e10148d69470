<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261130120000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'What it takes before a learner may decide on a part, and who has earned it.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $number = ['integer'];
        $rule = self::table($schema, 'trust_rule', [
            'id' => $text(36), 'taxon' => $text(80), 'part' => $text(40), 'flora' => $text(80), 'looks' => $number,
            'look_alikes' => $number, 'traps' => $number, 'months' => $number, 'valid_months' => $number,
            'set_by_id' => $text(36),
        ]);
        self::points($rule, 'set_by_id', 'person');
        $rule->addUniqueIndex(['taxon', 'part'], 'trust_rule_part');
        $maybe = static fn (string $type, int $length = 0): array => [
            $type,
            ['notnull' => false] + (0 === $length ? [] : ['length' => $length]),
        ];
        $grant = self::table($schema, 'trust_grant', [
            'id' => $text(36), 'learner_id' => $text(36), 'taxon' => $text(80), 'part' => $text(40),
            'flora' => $text(80), 'granted_by_id' => $text(36), 'granted_on' => $text(10), 'good_until' => $text(10),
            'evidence' => ['json'], 'terms' => ['json'], 'withdrawn_at' => $maybe('datetime_immutable'),
            'withdrawn_by_id' => $maybe('string', 36),
            'withdrawn_because' => ['string', ['length' => 500, 'default' => '']],
        ]);
        self::points($grant, 'learner_id', 'person');
        self::points($grant, 'granted_by_id', 'person');
        self::points($grant, 'withdrawn_by_id', 'person');
        $grant->addIndex(['learner_id', 'taxon', 'part'], 'trust_grant_of');
    }
}
