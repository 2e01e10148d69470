<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Exception\InvalidFormat;
use Doctrine\DBAL\Types\Exception\InvalidType;
use Doctrine\DBAL\Types\Type;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;

/** A day of the calendar, stored as it is written, `2027-06-14`: it sorts as text does, and no time zone moves it. */
final class DayType extends Type
{
    public const NAME = 'day';

    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return $platform->getStringTypeDeclarationSQL(['length' => 10] + $column);
    }

    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): ?\DateTimeImmutable
    {
        try {
            return null === $value ? null : CalendarDay::parse(\is_string($value) ? $value : '');
        } catch (NoSuchDay $e) {
            throw InvalidFormat::new(get_debug_type($value), self::class, '2027-06-14', $e);
        }
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        return match (true) {
            null === $value => null,
            $value instanceof \DateTimeInterface => CalendarDay::iso($value),
            default => throw InvalidType::new($value, self::class, ['null', \DateTimeInterface::class]),
        };
    }
}
