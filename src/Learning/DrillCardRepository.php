<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<DrillCard> */
final class DrillCardRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, DrillCard::class);
    }

    /** @return array<string, DrillCard> by what is asked */
    public function of(User $user): array
    {
        $cards = [];
        foreach ($this->findBy(['by' => $user]) as $card) {
            $cards[$card->card] = $card;
        }

        return $cards;
    }
}
