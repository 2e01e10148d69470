<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\Decisions;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationRepository;
use App\Examine\StoredExaminations;
use App\Library\CropTable;
use App\Trees\Sex;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Crop\DoubtfulTake;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\English;
use Hylognosis\Wording\TakeWords;

/** Logs what was taken, under the decision of this moment: the gate is asked anew, for each tree. */
final readonly class Taking
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ExaminationRepository $examinations,
        private StoredExaminations $stored,
        private Decisions $decisions,
        private Permission $permission,
        private SchoolClock $clock,
        private CropTable $crops,
    ) {
    }

    /**
     * To be called in a transaction.
     *
     * @throws Refused if there is no such examination, it is not signed, or the gate is not open; or if it is so much
     *                 that it is asked about first
     */
    public function take(string $examination, User $by, Taken $taken): ExaminationRecord
    {
        $record = $this->examinations->find($examination) ?? throw Refused::missing('There is no such examination.');
        // it may have been read already, as the second look at another
        $this->entities->lock($record, LockMode::PESSIMISTIC_WRITE);
        $this->permission->need(HarvestVoter::TAKE, $record);
        if (!$record->isSigned()) {
            throw Refused::conflict('Sign the examination first.');
        }
        $assessment = $this->stored->assess($record);
        $clearance = $assessment->clearance;
        if (null === $clearance || !$clearance->isCleared()) {
            throw Refused::conflict(
                'The gate is not open: '.
                    (null === $clearance
                        ? 'nothing was asked for.'
                        : (new English($this->stored->flora($record), Units::from($by->units)))->sentence(
                            $clearance->because,
                        )),
            );
        }
        $this->needMeant($taken, $record->claimTaxon ?? '', $record->claimPart ?? '', $by);
        $harvest = new HarvestRecord(
            $this->decisions->record($record, $by, $assessment),
            $by,
            $this->clock->today(),
            $taken,
            $this->clock->now(),
        );
        $this->entities->persist($harvest);
        if (Sex::Unknown !== $taken->sex && Sex::Unknown === $record->specimen->sex) {
            $record->specimen->sex = $taken->sex;
        }
        $this->entities->flush(); // a quota counts it for the next tree of the same round

        return $record;
    }

    /**
     * What was mistyped, or empties a tree, is asked about once before it is kept.
     *
     * @param string $taxon of which it was taken
     * @param string $part  and which part
     *
     * @throws Refused on the field `sure`, if it is doubted and was not said once more
     */
    public function needMeant(Taken $taken, string $taxon, string $part, User $by): void
    {
        $doubtful = DoubtfulTake::of(
            Amount::of($taken->amount, $taken->unit),
            $taken->shareLeft,
            $this->crops->of($taxon, $part),
        );
        if ([] !== $doubtful->doubts && !$taken->sure) {
            throw Refused::field('sure', TakeWords::doubts($doubtful, Units::from($by->units)));
        }
    }
}
