<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261128140000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'The number of the poison centre, entered once.';
    }

    public function up(Schema $schema): void
    {
        $this->add('school', 'poison_centre', 'string', ['length' => 60, 'default' => '']);
    }
}
