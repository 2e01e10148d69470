<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Flora\Phenophase;

/** A moment of a tree's year that somebody can date. */
enum SeasonalEvent: string
{
    case FirstBud = 'first-bud';
    case FullLeaf = 'full-leaf';
    case FirstFlower = 'first-flower';
    case FullFlower = 'full-flower';
    case FirstRipe = 'first-ripe';
    case HalfFallen = 'half-fallen';
    case LeafFall = 'leaf-fall';

    /** The stretch of the year it lies in. */
    public function phase(): Phenophase
    {
        return match ($this) {
            self::FirstBud, self::FullLeaf => Phenophase::Leafing,
            self::FirstFlower, self::FullFlower => Phenophase::Flowering,
            self::FirstRipe, self::HalfFallen => Phenophase::Fruiting,
            self::LeafFall => Phenophase::Leafless,
        };
    }

    /** How far into that stretch it lies, 0 its first day, 1 its last. Common practice. */
    public function share(): float
    {
        return match ($this) {
            self::FirstBud, self::FirstFlower, self::FirstRipe, self::LeafFall => 0.0,
            self::FullFlower => 0.5,
            self::HalfFallen => 0.7,
            self::FullLeaf => 1.0,
        };
    }

    /** Whether it waits for warmth; leaf fall answers to cold and to shorter days. */
    public function waitsForWarmth(): bool
    {
        return self::LeafFall !== $this;
    }

    /**
     * How much of a late or early spring is left by then: ripening makes up for part of it.
     *
     * Source: memory; fruit of a late year ripens late, but by less.
     */
    public function yearShare(): float
    {
        return match ($this) {
            self::FirstRipe, self::HalfFallen => 0.7,
            default => 1.0,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::FirstBud => 'first bud open',
            self::FullLeaf => 'in full leaf',
            self::FirstFlower => 'first flower open',
            self::FullFlower => 'in full flower',
            self::FirstRipe => 'first fruit ripe',
            self::HalfFallen => 'half of the fruit fallen',
            self::LeafFall => 'half of the leaves fallen',
        };
    }

    /**
     * The events with which a stretch of the year begins and ends.
     *
     * @return array{self, self}
     */
    public static function boundsOf(Phenophase $phase): array
    {
        return match ($phase) {
            Phenophase::Leafing => [self::FirstBud, self::FullLeaf],
            Phenophase::Flowering => [self::FirstFlower, self::FullFlower],
            Phenophase::Fruiting => [self::FirstRipe, self::HalfFallen],
            Phenophase::InLeaf => [self::FullLeaf, self::LeafFall],
            Phenophase::Leafless => [self::LeafFall, self::FirstBud],
        };
    }
}
