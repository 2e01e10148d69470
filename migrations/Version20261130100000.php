<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261130100000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'By what somebody remembers a character or a kind.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $mnemonic = self::table($schema, 'mnemonic', [
            'id' => $text(36), 'learner_id' => $text(36), 'about' => $text(120), 'text' => $text(200), 'is_shared' => ['boolean'],
            'made_at' => ['datetime_immutable'],
        ]);
        self::points($mnemonic, 'learner_id', 'person');
        $mnemonic->addUniqueIndex(['learner_id', 'about'], 'mnemonic_of');
    }
}
