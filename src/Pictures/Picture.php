<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Account\User;
use App\Batches\Batch;
use App\Examine\ExaminationRecord;
use App\Examine\ScoreRecord;
use App\Harvest\HarvestRecord;
use App\Health\TreeSign;
use App\Storage\DayType;
use App\Trees\SitePermission;
use App\Trees\Specimen;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/**
 * A photograph of a tree, of what was scored, taken or made; or the paper a permission stands on. Its bytes lie
 * beside it, by their hash.
 */
#[ORM\Entity(repositoryClass: PictureRepository::class)]
#[ORM\Table(name: 'picture')]
#[ORM\Index(name: 'picture_hash', columns: ['hash'])]
#[ORM\Index(name: 'picture_sign', columns: ['sign_id'])]
class Picture
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\ManyToOne]
    public ?Specimen $specimen = null;

    #[ORM\ManyToOne]
    public ?ExaminationRecord $examination = null;

    #[ORM\ManyToOne]
    public ?ScoreRecord $score = null;

    #[ORM\ManyToOne]
    public ?HarvestRecord $harvest = null;

    #[ORM\ManyToOne]
    public ?Batch $batch = null;

    #[ORM\ManyToOne]
    public ?SitePermission $permission = null;

    /** A sign of illness that was seen on its tree, and is to be seen in it. */
    #[ORM\ManyToOne]
    public ?TreeSign $sign = null;

    #[ORM\Column(length: 300)]
    public string $caption = '';

    /** How many pixels of the full picture are one millimetre of what lies in it; null where nobody has said. */
    #[ORM\Column(nullable: true)]
    public ?float $pixelsPerMillimetre = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /**
     * @param string $hash   SHA-256 of the full picture
     * @param string $type   media type
     * @param int    $width  pixels; 0 for a paper
     * @param int    $height pixels
     * @param int    $size   bytes
     */
    public function __construct(
        #[ORM\Column(length: 64)] public readonly string $hash,
        #[ORM\Column(length: 20)] public readonly string $type,
        #[ORM\Column] public readonly int $width,
        #[ORM\Column] public readonly int $height,
        #[ORM\Column] public readonly int $size,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $takenOn,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly User $addedBy,
        #[ORM\Column] public readonly \DateTimeImmutable $addedAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
