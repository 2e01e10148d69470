<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125134000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Which flora a person works with.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE person ADD COLUMN flora VARCHAR(80) DEFAULT 'central-european-hills' NOT NULL");
    }
}
