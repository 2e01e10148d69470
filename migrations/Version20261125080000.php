<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125080000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How high on the tree a thing was seen.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE score ADD COLUMN position VARCHAR(8) DEFAULT NULL');
    }
}
