<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Where on the tree, or around it, a character is read. Also the stations of an examination. */
enum Organ: string
{
    case Outline = 'outline';
    case Bark = 'bark';
    case Twig = 'twig';
    case Bud = 'bud';
    case Leaf = 'leaf';
    case Flower = 'flower';
    case Fruit = 'fruit';
    case Scent = 'scent';
    case Wood = 'wood';
    case Site = 'site';

    /**
     * Bark, outline and site mislead: two unrelated trees can share them. They support an exclusion or a
     * required list, and never carry it alone (common practice).
     */
    public function decidesAlone(): bool
    {
        return !\in_array($this, [self::Outline, self::Bark, self::Site], true);
    }

    public function isOnTheTree(): bool
    {
        return self::Site !== $this;
    }

    public function label(): string
    {
        return match ($this) {
            self::Scent => 'smell and sap',
            default => $this->value,
        };
    }
}
