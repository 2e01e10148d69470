<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261128100000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'What was entered out of reach arrives once.';
    }

    public function up(Schema $schema): void
    {
        self::table($schema, 'arrival', ['id' => ['string', ['length' => 36]], 'request' => ['string', ['length' => 64]], 'at' => ['datetime_immutable']]);
    }
}
