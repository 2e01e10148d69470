<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\Site;
use Hylognosis\Measure\CalendarDay;

/** A piece of land the school goes to. */
final readonly class SiteView
{
    /**
     * @param string      $id              its id
     * @param string      $name            what it is called
     * @param float       $latitude        degrees, north above 0
     * @param float       $longitude       degrees, east above 0
     * @param float       $altitude        metres above the sea
     * @param bool|null   $permission      whether the owner allows taking; null: nobody has asked
     * @param string|null $permissionUntil last day of the permission, YYYY-MM-DD; null: no end was named
     * @param string      $owner           whose land it is
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $latitude,
        public float $longitude,
        public float $altitude,
        public ?bool $permission,
        public ?string $permissionUntil,
        public string $owner,
    ) {
    }

    public static function of(Site $site): self
    {
        return new self(
            $site->id,
            $site->name,
            $site->latitude,
            $site->longitude,
            $site->altitude,
            $site->permission,
            null === $site->permissionUntil ? null : CalendarDay::iso($site->permissionUntil),
            $site->owner,
        );
    }
}
