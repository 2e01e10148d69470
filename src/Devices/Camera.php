<?php

declare(strict_types=1);

namespace App\Devices;

/** A camera whose pictures can be fetched. */
interface Camera
{
    /** @return list<string> their names */
    public function names(): array;

    /** @return string|null the picture as the camera made it; null where there is none of that name */
    public function picture(string $name): ?string;

    public function isStandIn(): bool;
}
