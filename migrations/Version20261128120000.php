<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261128120000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'A take that was asked about was said once more.';
    }

    public function up(Schema $schema): void
    {
        $this->add('harvest', 'sure', 'boolean', ['default' => false]);
    }
}
