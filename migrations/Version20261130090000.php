<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use App\Storage\PortableMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261130090000 extends PortableMigration
{
    public function getDescription(): string
    {
        return 'Practice trees answered, what learners read, and what they are asked again.';
    }

    public function up(Schema $schema): void
    {
        $text = static fn (int $length): array => ['string', ['length' => $length]];
        $when = ['datetime_immutable'];
        $answer = self::table($schema, 'practice_answer', [
            'id' => $text(36), 'learner_id' => $text(36), 'code' => $text(90), 'taxon' => $text(80), 'said' => $text(80),
            'decision' => $text(8), 'mark' => $text(24), 'read_count' => ['integer'], 'right_count' => ['integer'], 'answered_at' => $when,
        ]);
        self::points($answer, 'learner_id', 'person');
        $reading = self::table($schema, 'learner_reading', [
            'id' => $text(36), 'learner_id' => $text(36), 'flora' => $text(80), 'trait' => $text(80), 'true_values' => ['json'],
            'read_values' => ['json'], 'certainty' => $text(8), 'is_right' => ['boolean'], 'read_at' => $when,
        ]);
        self::points($reading, 'learner_id', 'person');
        $card = self::table($schema, 'drill_card', [
            'id' => $text(36), 'learner_id' => $text(36), 'card' => $text(200), 'times_right' => ['integer'], 'days_until' => ['integer'],
            'ease' => ['float'], 'due_on' => $text(10), 'asked' => ['integer'], 'wrong' => ['integer'],
        ]);
        self::points($card, 'learner_id', 'person');
        $card->addUniqueIndex(['learner_id', 'card'], 'drill_card_of');
    }
}
