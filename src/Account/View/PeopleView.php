<?php

declare(strict_types=1);

namespace App\Account\View;

/** The people of the school, those who are expected, and what was done lately. */
final readonly class PeopleView
{
    /**
     * @param list<MemberView>     $members     by name; those who have left last
     * @param list<InvitationView> $invitations newest first
     * @param list<DeedView>       $deeds       the last first
     * @param bool                 $mail        links can be sent by mail
     */
    public function __construct(
        public array $members,
        public array $invitations,
        public array $deeds,
        public bool $mail,
    ) {
    }
}
