<?php

declare(strict_types=1);

namespace App\Exchange;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;
use Symfony\Component\Uid\Uuid;

/** Takes the fields of a line for what they are to be, and says at which of them it fails. */
final class RowReader
{
    private bool $failed = false;

    /** @param array<string, string> $values */
    public function __construct(
        private readonly ImportPlan $plan,
        private readonly int $line,
        private readonly array $values,
    ) {
    }

    public function failed(): bool
    {
        return $this->failed;
    }

    public function want(bool $holds, string $column, string $otherwise): void
    {
        if (!$holds) {
            $this->failed = true;
            $this->plan->refuse($this->line, $column, $otherwise);
        }
    }

    public function text(string $column): string
    {
        return trim($this->values[$column] ?? '');
    }

    /** @return list<string> */
    public function words(string $column): array
    {
        return array_values(
            array_filter(explode(' ', $this->text($column)), static fn (string $word): bool => '' !== $word),
        );
    }

    public function id(string $column): string
    {
        $this->want(
            Uuid::isValid($this->text($column)),
            $column,
            \sprintf('"%s" is no id.', mb_substr($this->text($column), 0, 40)),
        );

        return strtolower($this->text($column));
    }

    public function day(string $column, \DateTimeImmutable $latest): ?\DateTimeImmutable
    {
        try {
            $day = CalendarDay::parse($this->text($column));
        } catch (NoSuchDay $e) {
            $this->want(false, $column, $e->getMessage());

            return null;
        }
        $this->want($day <= $latest, $column, 'That day is still to come.');

        return $day;
    }

    public function moment(string $column): ?\DateTimeImmutable
    {
        $moment = \DateTimeImmutable::createFromFormat(\DateTimeInterface::RFC3339, $this->text($column));
        $this->want(
            false !== $moment,
            $column,
            \sprintf(
                '"%s" is no moment; write it like 2027-06-14T10:30:00+02:00.',
                mb_substr($this->text($column), 0, 40),
            ),
        );

        return false === $moment ? null : $moment->setTimezone(new \DateTimeZone(date_default_timezone_get()));
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $vocabulary
     *
     * @return T|null where nothing stands there
     */
    public function word(string $column, string $vocabulary): ?\BackedEnum
    {
        $text = $this->text($column);
        if ('' === $text) {
            return null;
        }
        $word = $vocabulary::tryFrom($text);
        $this->want(
            null !== $word,
            $column,
            \sprintf(
                '"%s" is not known here; known: %s.',
                mb_substr($text, 0, 40),
                implode(', ', array_column($vocabulary::cases(), 'value')),
            ),
        );

        return $word;
    }

    public function number(string $column, float $least, float $most): float
    {
        $text = $this->text($column);
        $sound =
            1 === preg_match('/^\d{1,9}(?:\.\d{1,12})?$/D', $text) && (float) $text >= $least && (float) $text <= $most;
        $this->want(
            $sound,
            $column,
            \sprintf('"%s" must be a number from %s to %s.', mb_substr($text, 0, 40), $least, $most),
        );

        return (float) $text;
    }

    public function integer(string $column, int $least, int $most, int $otherwise): int
    {
        $text = $this->text($column);
        if ('' === $text) {
            return $otherwise;
        }
        $sound = 1 === preg_match('/^\d{1,6}$/D', $text) && (int) $text >= $least && (int) $text <= $most;
        $this->want(
            $sound,
            $column,
            \sprintf('"%s" must be a whole number from %d to %d.', mb_substr($text, 0, 40), $least, $most),
        );

        return (int) $text;
    }
}
