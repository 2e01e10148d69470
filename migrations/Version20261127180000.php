<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261127180000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'How long a harvest took and how much of it was sound; what stood there before it was corrected.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $correction = self::table($schema, 'harvest_correction', [
            'id' => $text(36), 'stood' => ['json'], 'because' => $text(300), 'corrected_at' => ['datetime_immutable'], 'harvest_id' => $text(36),
            'corrected_by_id' => $text(36),
        ]);
        self::points($correction, 'harvest_id', 'harvest');
        self::points($correction, 'corrected_by_id', 'person');
        $this->add('harvest', 'minutes', 'integer', ['notnull' => false]);
        $this->add('harvest', 'opened', 'integer', ['default' => 0]);
        $this->add('harvest', 'sound', 'integer', ['default' => 0]);
        $this->add('harvest', 'count_by', 'string', ['length' => 8, 'default' => '']);
    }
}
