<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261130110000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Pictures of signs of illness.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'ALTER TABLE picture ADD COLUMN sign_id VARCHAR(36) DEFAULT NULL REFERENCES tree_sign (id)',
        );
        $this->addSql('CREATE INDEX picture_sign ON picture (sign_id)');
    }
}
