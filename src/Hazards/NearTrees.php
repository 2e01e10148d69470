<?php

declare(strict_types=1);

namespace App\Hazards;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Hazards\View\NearTreeView;
use App\Hazards\View\SwallowedView;
use App\School\SchoolRepository;
use App\Trees\HeldKinds;
use App\Trees\Site;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\TreeKind;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Position\GroundLine;

/** Which trees stood near when something was swallowed. */
final readonly class NearTrees
{
    /** So many fit on the page that goes with the ambulance. */
    private const MOST = 20;
    /** Metres; a child does not carry a berry farther unseen. Common practice. */
    private const NEAR = 200.0;
    private const DEGREES = 0.004;

    public function __construct(
        private SpecimenRepository $specimens,
        private SchoolRepository $schools,
        private HeldKinds $kinds,
        private EntityManagerInterface $entities,
        private SchoolClock $clock,
    ) {
    }

    /** @param bool $all whether kinds are told that the reader is to look at unbiased: it happened */
    public function of(
        ?Site $site,
        ?float $latitude,
        ?float $longitude,
        User $reader,
        bool $all = false,
    ): SwallowedView {
        $near = null !== $latitude && null !== $longitude
            ? $this->around($latitude, $longitude)
            : array_map(
                static fn (Specimen $tree): array => [$tree, null],
                null === $site ? [] : $this->specimens->findBy(['site' => $site, 'gone' => ''], ['tag' => 'ASC']),
            );
        $hidden = $all ? [] : $this->kinds->hiddenFrom($reader);
        $views = array_map(fn (array $n): NearTreeView => $this->view($n[0], $n[1], $hidden), $near);
        usort(
            $views,
            static fn (NearTreeView $a, NearTreeView $b): int => [
                PeopleHazards::place($a->danger),
                $a->metres ?? 0.0,
                $a->tag,
            ] <=> [PeopleHazards::place($b->danger), $b->metres ?? 0.0, $b->tag],
        );
        $settled = array_values(array_filter($views, static fn (NearTreeView $v): bool => '' !== $v->kind));
        $school = $this->schools->ours();

        return new SwallowedView(
            $this->clock->now()->format(\DATE_ATOM),
            $school->poisonCentre ?? '',
            $school->name ?? '',
            $site->name ?? '',
            $latitude,
            $longitude,
            \array_slice($settled, 0, self::MOST),
            max(0, \count($settled) - self::MOST),
            array_values(array_filter($views, static fn (NearTreeView $v): bool => '' === $v->kind)),
        );
    }

    /** @return list<array{Specimen, float}> with the metres to each */
    private function around(float $latitude, float $longitude): array
    {
        $east = self::DEGREES / max(0.01, cos(deg2rad($latitude)));
        $near = [];
        foreach (
            $this->specimens->inBox(
                $latitude - self::DEGREES,
                $latitude + self::DEGREES,
                $longitude - $east,
                $longitude + $east,
            ) as $tree
        ) {
            $metres = GroundLine::between(
                $latitude,
                $longitude,
                (float) $tree->latitude,
                (float) $tree->longitude,
            )->length->metres();
            if ($metres - ($tree->uncertainty ?? 0.0) <= self::NEAR) {
                $near[] = [$tree, round($metres)];
            }
        }

        return $near;
    }

    /** @param array<string, true> $hidden */
    private function view(Specimen $tree, ?float $metres, array $hidden): NearTreeView
    {
        $kinds = $this->kinds->ofTree($tree, $hidden);
        $held = [] === $kinds
            ? null
            : $this->entities
                ->getRepository(TreeKind::class)
                ->findOneBy(['specimen' => $tree], ['saidAt' => 'DESC', 'id' => 'DESC']);

        return new NearTreeView(
            $tree->id,
            $tree->tag,
            $tree->whereabouts,
            [] === $kinds ? '' : $kinds[0]->commonName(),
            [] === $kinds ? '' : $kinds[0]->name,
            null === $held ? '' : CalendarDay::iso($held->saidAt),
            PeopleHazards::danger($kinds, isset($hidden[$tree->id]) ? '' : $tree->doubt),
            $metres,
            PeopleHazards::of($kinds),
        );
    }
}
