<?php

declare(strict_types=1);

namespace App\Library;

use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Flora\ReviewVerdict;
use Symfony\Component\Uid\Uuid;

/**
 * One person's reading of one line of what a taxon never shows. Reviews are only ever added; the last word of each
 * person counts.
 */
#[ORM\Entity(repositoryClass: NeverReviewRepository::class, readOnly: true)]
#[ORM\Table(name: 'never_review')]
#[ORM\Index(name: 'never_review_flora', columns: ['flora'])]
class NeverReview
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string $fingerprint of the statement that was read; a review says nothing of another wording
     */
    public function __construct(
        #[ORM\Column(length: 80)]
        public readonly string $flora,
        #[ORM\Column(length: 80)]
        public readonly string $taxon,
        #[ORM\Column(length: 80)]
        public readonly string $line,
        #[ORM\Column(length: 12)]
        public readonly string $fingerprint,
        #[ORM\Column(length: 8)]
        public readonly ReviewVerdict $verdict,
        #[ORM\Column(length: 120)]
        public readonly string $who,
        #[ORM\Column(type: DayType::NAME)]
        public readonly \DateTimeImmutable $reviewedOn,
        #[ORM\Column(length: 500)]
        public readonly string $note,
        #[ORM\Column]
        public readonly \DateTimeImmutable $recordedAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
