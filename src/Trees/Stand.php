<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Survey\CountClass;

/**
 * Trees that stand together and bear no tags: a hedge, a row, a thicket. What they are held to be opens no gate, for
 * none of them was examined.
 */
#[ORM\Entity(repositoryClass: StandRepository::class)]
#[ORM\Table(name: 'stand')]
class Stand
{
    /** Degrees of latitude between two points of a row looked at one by one; some ten metres. */
    private const STEP = 0.0001;

    #[ORM\Column(name: 'gone_on', type: DayType::NAME, nullable: true)]
    public ?\DateTimeImmutable $goneOn = null;

    /**
     * @param string                    $id     made by whoever tells of it, so that sent twice it is kept once
     * @param string                    $label  how it is found again
     * @param string                    $of     a taxon or a group of the flora below; empty: not settled
     * @param list<array{float, float}> $line   longitude and latitude, degrees; one: about there; none: nobody has said
     * @param float|null                $height metres, of the tallest
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly Site $site,
        #[ORM\Column(length: 120)] public string $label,
        #[ORM\Column(name: 'held_as', length: 80)] public string $of,
        #[ORM\Column(length: 80)] public string $flora,
        #[ORM\Column(name: 'how_many', length: 8)] public CountClass $count,
        #[ORM\Column(type: 'json')] public array $line,
        #[ORM\Column(nullable: true)] public ?float $height,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'told_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column] public readonly \DateTimeImmutable $toldAt,
    ) {
    }

    /**
     * Points along it, close enough that none of its trees is far from one.
     *
     * @return list<array{float, float}> longitude and latitude
     */
    public function points(): array
    {
        $points = \array_slice($this->line, 0, 1);
        for ($i = 1, $count = \count($this->line); $i < $count; ++$i) {
            [$from, $to] = [$this->line[$i - 1], $this->line[$i]];
            $steps = max(1, min(500, (int) ceil(hypot($to[0] - $from[0], $to[1] - $from[1]) / self::STEP)));
            for ($step = 1; $step <= $steps; ++$step) {
                $points[] = [
                    $from[0] + (($to[0] - $from[0]) * $step) / $steps,
                    $from[1] + (($to[1] - $from[1]) * $step) / $steps,
                ];
            }
        }

        return $points;
    }
}
