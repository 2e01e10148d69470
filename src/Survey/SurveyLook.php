<?php

declare(strict_types=1);

namespace App\Survey;

use App\Account\User;
use App\Trees\Specimen;
use App\Trees\Stand;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Survey\Gap;
use Hylognosis\Survey\SeenMark;

/** What was seen of one tree, or of one stand, on a walk. Looked at again on the same walk, the later look holds. */
#[ORM\Entity(repositoryClass: SurveyLookRepository::class)]
#[ORM\Table(name: 'survey_look')]
#[ORM\Index(name: 'survey_look_seen', columns: ['looked_at'])]
class SurveyLook
{
    /**
     * @param string       $id    made by whoever looks
     * @param string       $of    a taxon or a group by a short look; empty: what its record says, or nothing
     * @param string       $flora where that stands
     * @param Gap|null     $gap   why it stays open; null where it does not
     * @param list<string> $marks of {@see SeenMark}
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly Survey $survey,
        #[ORM\ManyToOne] #[ORM\JoinColumn] public ?Specimen $specimen,
        #[ORM\ManyToOne] #[ORM\JoinColumn] public readonly ?Stand $stand,
        #[ORM\Column(name: 'held_as', length: 80)] public string $of,
        #[ORM\Column(length: 80)] public string $flora,
        #[ORM\Column(length: 12, nullable: true)] public ?Gap $gap,
        #[ORM\Column(type: 'json')] public array $marks,
        #[ORM\Column(length: 300)] public string $note,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'looked_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column(name: 'looked_at')] public \DateTimeImmutable $lookedAt,
    ) {
    }

    /** @return list<SeenMark> */
    public function seen(): array
    {
        return array_values(array_filter(array_map(SeenMark::tryFrom(...), $this->marks)));
    }
}
