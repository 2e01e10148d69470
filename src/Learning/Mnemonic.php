<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** By what somebody remembers a character or a kind, in his own words: "wrinkled finger". */
#[ORM\Entity(repositoryClass: MnemonicRepository::class)]
#[ORM\Table(name: 'mnemonic')]
#[ORM\UniqueConstraint(name: 'mnemonic_of', columns: ['learner_id', 'about'])]
class Mnemonic
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(length: 200)]
    public string $text = '';

    #[ORM\Column(name: 'is_shared')]
    public bool $isShared = false;

    /** @param string $about "character/leaf.kind" or "kind/quercus-robur" */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'learner_id', nullable: false)] public readonly User $by,
        #[ORM\Column(length: 120)] public readonly string $about,
        #[ORM\Column(name: 'made_at')] public readonly \DateTimeImmutable $madeAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
