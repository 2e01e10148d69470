<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use App\Batches\Input\SplitOff;
use App\Clock\SchoolClock;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Takes a part out of a batch, or puts two together, so that every jar still leads to its trees: shares and weights are
 * divided as the pot is, and added as the pots are.
 */
final readonly class Pots
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /** To be called in a transaction. */
    public function split(Batch $pot, SplitOff $input, User $by, EntityManagerInterface $entities): Batch
    {
        if (!$pot->units->isEmpty()) {
            throw Refused::conflict('Some of it stands in jars: it is not split any more.');
        }
        $share = $input->grams / ($input->grams + $input->stay);
        $part = new Batch(
            $input->id,
            trim($input->name),
            $pot->recipe,
            $pot->recipeHash,
            $pot->document,
            $pot->ways,
            $pot->grams * $share,
            $pot->begunOn,
            $this->clock->now(),
            $by,
        );
        [$part->splitFrom, $part->splitShare, $part->ownSteps] = [$pot, 100 * $share, $pot->ownSteps];
        $pot->parts->add($part);
        $pot->grams *= 1 - $share;
        foreach ($pot->sources as $source) {
            $part->sources->add(new BatchSource($part, $source->harvest, $source->percent * $share));
            $source->percent *= 1 - $share;
        }
        foreach ($pot->steps as $step) {
            $part->steps->add($step->partedTo($part, $share));
        }
        $entities->persist($part);

        return $part;
    }

    public function join(Batch $pot, Batch $other, \DateTimeImmutable $at): void
    {
        if ($pot === $other) {
            throw Refused::conflict('That is the same.');
        }
        if (
            $pot->recipeHash !== $other->recipeHash
            || $pot->ways !== $other->ways
            || ($pot->ownSteps ?? []) !== ($other->ownSteps ?? [])
        ) {
            throw Refused::conflict('They are not made in the same way.');
        }
        if (!$pot->units->isEmpty() || !$other->units->isEmpty()) {
            throw Refused::conflict('Some of it stands in jars: they are not put together any more.');
        }
        if (self::done($pot) !== self::done($other)) {
            throw Refused::conflict('They stand at different steps.');
        }
        foreach ($other->sources as $source) {
            $known = $pot->sources->findFirst(
                static fn (int $i, BatchSource $s): bool => $s->harvest === $source->harvest,
            );
            if (null === $known) {
                $pot->sources->add(new BatchSource($pot, $source->harvest, $source->percent));
            } else {
                $known->percent += $source->percent;
            }
        }
        $other->sources->clear(); // else the harvest were used twice
        foreach ($pot->steps as $step) {
            $its = $other->step($step->place);
            $step->gramsIn = null === $its?->gramsIn || null === $step->gramsIn ? null : $step->gramsIn + $its->gramsIn;
            $step->gramsOut =
                null === $its?->gramsOut || null === $step->gramsOut ? null : $step->gramsOut + $its->gramsOut;
        }
        $pot->grams += $other->grams;
        $pot->poured->add($other);
        [$other->state, $other->joinedInto, $other->endedAt] = [BatchState::Joined, $pot, $at];
    }

    /** @return list<int> places of the steps that are done */
    private static function done(Batch $batch): array
    {
        $places = [];
        foreach ($batch->steps as $step) {
            if (null !== $step->doneAt) {
                $places[] = $step->place;
            }
        }
        sort($places);

        return $places;
    }
}
