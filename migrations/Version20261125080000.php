<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261125080000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'How high on the tree a thing was seen.';
    }

    public function up(Schema $schema): void
    {
        $this->add('score', 'position', 'string', ['length' => 8, 'notnull' => false]);
    }
}
