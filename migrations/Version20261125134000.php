<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261125134000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Which flora a person works with.';
    }

    public function up(Schema $schema): void
    {
        $this->add('person', 'flora', 'string', ['length' => 80, 'default' => 'central-european-hills']);
    }
}
