<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261130130000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Counted rates of misreading, proposed for the next edition of a flora.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $proposal = self::table($schema, 'rate_proposal', [
            'id' => $text(36), 'flora' => $text(80), 'flora_hash' => $text(64), 'proposed_by_id' => $text(36),
            'proposed_at' => ['datetime_immutable'], 'from_people' => ['integer'], 'rates' => ['json'],
        ]);
        self::points($proposal, 'proposed_by_id', 'person');
    }
}
