<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261127200000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'What was tried, and whether it worked.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $trial = self::table($schema, 'trial', [
            'id' => $text(36), 'what' => $text(8), 'made_of' => $text(120), 'way' => $text(120), 'damp' => $text(4), 'worked' => ['boolean'],
            'seconds' => ['integer', ['notnull' => false]], 'note' => $text(500), 'tried_on' => $text(10), 'recorded_at' => ['datetime_immutable'],
            'taken_back_at' => ['datetime_immutable', ['notnull' => false]], 'specimen_id' => ['string', ['length' => 36, 'notnull' => false]],
            'tried_by_id' => $text(36),
        ]);
        self::points($trial, 'specimen_id', 'specimen');
        self::points($trial, 'tried_by_id', 'person');
    }
}
