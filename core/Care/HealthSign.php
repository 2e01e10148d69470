<?php

declare(strict_types=1);

namespace Hylognosis\Care;

/** A sign of illness that is looked for. */
final readonly class HealthSign
{
    /**
     * @param string       $see        how it looks
     * @param string       $notifiable where it must be reported, as far as the author knows; law is local
     * @param string       $hygiene    so that it is not carried to other trees
     * @param list<string> $genera     in which it occurs; none: in any
     * @param list<string> $floras     where it occurs; none: anywhere
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $see,
        public string $notifiable,
        public string $hygiene,
        public array $genera,
        public array $floras,
        public string $source,
    ) {
    }

    /**
     * Whether it is looked for at such a tree.
     *
     * @param list<string> $genera what the tree can be; none: anything, and every sign is looked for
     */
    public function concerns(array $genera, string $flora): bool
    {
        return ([] === $this->genera || [] === $genera || [] !== array_intersect($genera, $this->genera))
            && ([] === $this->floras || '' === $flora || \in_array($flora, $this->floras, true));
    }
}
