<?php

declare(strict_types=1);

namespace App\Health\View;

use Hylognosis\Care\HealthSign;

/** A sign of illness that is looked for. */
final readonly class SignView
{
    /**
     * @param string $id         in the table of signs
     * @param string $name       what it is called
     * @param string $see        how it looks
     * @param string $notifiable where it must be reported, as far as is known here; empty: nowhere that is known
     * @param string $hygiene    so that it is not carried on
     * @param string $source     where it can be looked up
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $see,
        public string $notifiable,
        public string $hygiene,
        public string $source,
    ) {
    }

    public static function of(HealthSign $s): self
    {
        return new self($s->id, $s->name, $s->see, $s->notifiable, $s->hygiene, $s->source);
    }
}
