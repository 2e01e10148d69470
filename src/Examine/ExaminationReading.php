<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Storage\Transaction;
use App\Web\Permission;
use App\Web\Refused;

/**
 * Who may read whose examination, and the mark it leaves: whoever has seen the scores cannot be the second person. Only
 * the mark is written, once; reading takes no lock.
 */
final readonly class ExaminationReading
{
    public function __construct(
        private ExaminationRepository $examinations,
        private Transaction $transaction,
        private Permission $permission,
    ) {
    }

    /** @throws Refused if there is no such examination, or this person may not read it now */
    public function read(User $user, string $id): ExaminationRecord
    {
        $record = $this->examinations->whole($id) ?? throw Refused::missing('There is no such examination.');
        if ($record->examiner === $user) {
            return $record;
        }
        $this->permission->need(ExaminationVoter::READ, $record);
        if (!\in_array($user->id, $record->seenBy, true)) {
            $this->transaction->run(static fn () => ($record->seenBy = [...$record->seenBy, $user->id]));
        }

        return $record;
    }
}
