<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\Invitation;
use App\Account\Role;
use Hylognosis\Measure\CalendarDay;

/** An invitation that still holds. */
final readonly class InvitationView
{
    /**
     * @param string      $id      its id
     * @param string      $name    who is invited
     * @param string      $by      who invited
     * @param string      $expires last day on which it holds, YYYY-MM-DD
     * @param bool        $mailed  the mail server took it
     * @param string|null $path    of the link, told once, when it is made; afterwards nobody knows it
     */
    public function __construct(
        public string $id,
        public string $name,
        public Role $role,
        public string $by,
        public string $expires,
        public bool $mailed,
        public ?string $path,
    ) {
    }

    public static function of(Invitation $invitation, ?string $secret = null, bool $mailed = false): self
    {
        return new self(
            $invitation->id,
            $invitation->name,
            $invitation->role,
            $invitation->invitedBy->name,
            CalendarDay::iso($invitation->expiresAt),
            $mailed,
            null === $secret ? null : '/join/'.$secret,
        );
    }
}
