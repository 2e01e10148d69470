<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\Site;

/** A piece of land the school goes to. */
final readonly class SiteView
{
    public function __construct(
        public string $id, public string $name, public float $latitude, public float $longitude, public float $altitude,
        public ?bool $permission, public ?string $permissionUntil, public string $owner,
    ) {
    }

    public static function of(Site $site): self
    {
        return new self($site->id, $site->name, $site->latitude, $site->longitude, $site->altitude, $site->permission, $site->permissionUntil, $site->owner);
    }
}
