<?php

declare(strict_types=1);

namespace Hylognosis\Wording;

use Hylognosis\Reason\Reason;

/** What a reason speaks of, by name and type. */
final readonly class Told
{
    public string $code;

    public function __construct(private Reason $reason)
    {
        $this->code = $reason->code;
    }

    /** Whether the reason speaks of it at all. */
    public function says(string $what): bool
    {
        return null !== ($this->reason->with[$what] ?? null);
    }

    public function text(string $what): string
    {
        $value = $this->reason->with[$what] ?? '';

        return \is_scalar($value) ? (string) $value : '';
    }

    public function whole(string $what): int
    {
        return (int) $this->number($what);
    }

    public function number(string $what): float
    {
        $value = $this->reason->with[$what] ?? 0;

        return \is_int($value) || \is_float($value) ? (float) $value : 0.0;
    }

    public function flag(string $what): bool
    {
        return true === ($this->reason->with[$what] ?? false);
    }

    /** @return list<string|float> */
    public function list(string $what): array
    {
        $value = $this->reason->with[$what] ?? [];

        return \is_array($value) ? $value : [];
    }

    /** @return list<string> */
    public function texts(string $what): array
    {
        return array_map(static fn (string|float $value): string => (string) $value, $this->list($what));
    }
}
