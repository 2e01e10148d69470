<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Clock\SchoolClock;
use App\Trees\Input\NewSpecimen;
use App\Trees\Input\SiteInput;
use App\Trees\Input\TreeChange;
use App\Trees\PositionFrom;
use App\Trees\Sex;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Position\GroundLine;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/** Compares places and trees of a file with those that are known: by name, and by tag. */
final readonly class TreeImport
{
    /** A tree of which the file names no place belongs to the nearest one within so many metres. */
    private const NEAR = 3000.0;

    public function __construct(
        private EntityManagerInterface $entities,
        private SiteRepository $sites,
        private SpecimenRepository $specimens,
        private ValidatorInterface $validator,
        private SchoolClock $clock,
    ) {
    }

    /** @param Site|null $default where trees stand of which the file names no place */
    public function plan(TreeFile $file, ?Site $default): ImportPlan
    {
        $plan = new ImportPlan($file->format);
        $places = [];
        foreach ($this->sites->findAll() as $site) {
            $places[mb_strtolower($site->name)] = $site;
        }
        $seen = [];
        foreach ($file->places as $row) {
            $key = mb_strtolower($row->name);
            if (isset($seen[$key])) {
                $plan->refuse(
                    $row->line,
                    'name',
                    \sprintf('The place %s stands twice in the file, first in line %d.', $row->name, $seen[$key]),
                );
                continue;
            }
            $seen[$key] = $row->line;
            $places[$key] = $this->place($plan, $row, $places[$key] ?? null);
        }
        $known = $this->known($file->trees);
        $seen = [];
        foreach ($file->trees as $row) {
            $tag = trim($row->tag);
            if (isset($seen[$tag])) {
                $plan->refuse(
                    $row->line,
                    $row->column('tag'),
                    \sprintf('The tag %s stands twice in the file, first in line %d.', $tag, $seen[$tag]),
                );
                continue;
            }
            $seen[$tag] = $row->line;
            $this->tree($plan, $row, $known[$tag] ?? null, $places, $default);
        }

        return $plan;
    }

    /**
     * @param list<TreeRow> $rows
     *
     * @return array<string, Specimen> by tag
     */
    private function known(array $rows): array
    {
        $known = [];
        foreach (array_chunk($rows, 500) as $chunk) {
            foreach (
                $this->specimens->findBy(['tag' => array_map(static fn (TreeRow $r): string => trim($r->tag), $chunk)]) as $tree
            ) {
                $known[$tree->tag] = $tree;
            }
        }

        return $known;
    }

    private function place(ImportPlan $plan, PlaceRow $row, ?Site $site): Site
    {
        $new = null === $site;
        $site ??= new Site($row->name, $row->latitude, $row->longitude, $row->altitude ?? 0);
        foreach (
            $this->validator->validate(
                new SiteInput($row->name, $row->latitude, $row->longitude, $row->altitude ?? $site->altitude),
            ) as $violation
        ) {
            $plan->refuse($row->line, $violation->getPropertyPath(), (string) $violation->getMessage());
        }
        if ($new) {
            if (null === $row->altitude) {
                $plan->refuse(
                    $row->line,
                    'altitude_m',
                    \sprintf(
                        '%s is a new place; the file must say its altitude: windows of the year are shifted by it.',
                        $row->name,
                    ),
                );
            }
            $plan->make($row->line, 'place', $row->name, function () use ($site, $row): void {
                $site->boundary = $row->boundary ?? [];
                $this->entities->persist($site);
            });

            return $site;
        }
        $changes = [];
        $moved = GroundLine::between(
            $site->latitude,
            $site->longitude,
            $row->latitude,
            $row->longitude,
        )->length->metres();
        $redrawn = null !== $row->boundary && self::apart($row->boundary, $site->boundary);
        if ($moved > 1 && (null === $row->boundary || $redrawn)) {
            $changes[] = \sprintf('moves by %d m', (int) round($moved));
        }
        if (null !== $row->altitude && abs($row->altitude - $site->altitude) >= 1) {
            $changes[] = \sprintf('altitude %d m, was %d m', (int) $row->altitude, (int) $site->altitude);
        }
        if ($redrawn) {
            $changes[] = \sprintf('boundary with %d corners', \count($row->boundary));
        }
        $plan->change($row->line, 'place', $row->name, $changes, static function () use ($site, $row): void {
            [$site->latitude, $site->longitude] = [$row->latitude, $row->longitude];
            $site->altitude = $row->altitude ?? $site->altitude;
            $site->boundary = $row->boundary ?? $site->boundary;
        });

        return $site;
    }

    /** @param array<string, Site> $places by name in small letters */
    private function tree(ImportPlan $plan, TreeRow $row, ?Specimen $tree, array $places, ?Site $default): void
    {
        $site = null === $row->place ? null : $places[mb_strtolower($row->place)] ?? null;
        if (null !== $row->place && null === $site) {
            $plan->refuse(
                $row->line,
                $row->column('place'),
                \sprintf(
                    'No place is called "%s". Enter it first, or choose one for the whole file.',
                    mb_substr($row->place, 0, 80),
                ),
            );

            return;
        }
        $site ??= $tree->site ?? ($default ?? $this->nearest($places, $row));
        if (null === $site) {
            $plan->refuse(
                $row->line,
                $row->column('place'),
                \sprintf('Nothing says at which place %s stands, and none is within 3 km.', $row->tag),
            );

            return;
        }
        $stage = null === $row->stage ? null : LifeStage::tryFrom($row->stage);
        $sex = null === $row->sex ? null : Sex::tryFrom($row->sex);
        if (null !== $row->stage && null === $stage) {
            $plan->refuse(
                $row->line,
                $row->column('stage'),
                \sprintf('"%s" is no stage: sapling, young, mature or old.', mb_substr($row->stage, 0, 30)),
            );
        }
        if (null !== $row->sex && null === $sex) {
            $plan->refuse(
                $row->line,
                $row->column('sex'),
                \sprintf('"%s" is no sex: male, female or both.', mb_substr($row->sex, 0, 30)),
            );
        }
        $violations = [
            ...$this->validator->validate(
                new NewSpecimen(
                    trim($row->tag),
                    $site->id,
                    $row->whereabouts ?? '',
                    $row->latitude,
                    $row->longitude,
                    $row->uncertainty,
                ),
            ),
            ...$this->validator->validateProperty(new TreeChange(health: $row->health ?? ''), 'health'),
        ];
        foreach ($violations as $violation) {
            $plan->refuse($row->line, $row->column($violation->getPropertyPath()), (string) $violation->getMessage());
        }
        if ((null === $row->latitude) !== (null === $row->longitude)) {
            $plan->refuse($row->line, $row->column('longitude'), 'A position has two numbers, or none.');
        }
        if (null !== $tree && $tree->site !== $site) {
            $plan->refuse(
                $row->line,
                $row->column('place'),
                \sprintf('%s stands at %s; a tree does not move.', $tree->tag, $tree->site->name),
            );

            return;
        }
        if (null === $tree) {
            $former = $this->specimens->findFormer(trim($row->tag));
            if (null !== $former) {
                $plan->refuse(
                    $row->line,
                    $row->column('tag'),
                    \sprintf('%s had the tag %s before.', $former->tag, trim($row->tag)),
                );
            }
            $plan->make($row->line, 'tree', trim($row->tag), function () use ($row, $site, $stage, $sex): void {
                $tree = new Specimen(trim($row->tag), $site, trim($row->whereabouts ?? ''), $this->clock->now());
                $this->fill($tree, $row, $stage, $sex);
                $this->entities->persist($tree);
            });

            return;
        }
        $plan->change($row->line, 'tree', $tree->tag, $this->changes($tree, $row, $stage, $sex), function () use (
            $tree,
            $row,
            $stage,
            $sex,
        ): void {
            $tree->whereabouts = trim($row->whereabouts ?? $tree->whereabouts);
            $this->fill($tree, $row, $stage, $sex);
        });
    }

    private function fill(Specimen $tree, TreeRow $row, ?LifeStage $stage, ?Sex $sex): void
    {
        if (null !== $row->latitude && null !== $row->longitude && $this->isElsewhere($tree, $row)) {
            [$tree->latitude, $tree->longitude] = [$row->latitude, $row->longitude];
            [$tree->uncertainty, $tree->positionFrom] = [$row->uncertainty, PositionFrom::File];
        }
        $tree->stage = $stage ?? $tree->stage;
        $tree->sex = $sex ?? $tree->sex;
        $tree->health = trim($row->health ?? $tree->health);
    }

    /** @return list<string> */
    private function changes(Specimen $tree, TreeRow $row, ?LifeStage $stage, ?Sex $sex): array
    {
        $changes = [];
        if (null !== $row->whereabouts && trim($row->whereabouts) !== $tree->whereabouts) {
            $changes[] = \sprintf(
                'whereabouts "%s", was "%s"',
                mb_substr(trim($row->whereabouts), 0, 60),
                mb_substr($tree->whereabouts, 0, 60),
            );
        }
        if ($this->isElsewhere($tree, $row)) {
            $changes[] =
                null === $tree->latitude
                    ? 'gets a position'
                    : \sprintf('moves by %d m', (int) round($this->metresAway($tree, $row) ?? 0));
        }
        if (null !== $stage && $stage !== $tree->stage) {
            $changes[] = 'stage '.$stage->value;
        }
        if (null !== $sex && $sex !== $tree->sex) {
            $changes[] = 'sex '.$sex->value;
        }
        if (null !== $row->health && trim($row->health) !== $tree->health) {
            $changes[] = \sprintf('health "%s"', mb_substr(trim($row->health), 0, 60));
        }

        return $changes;
    }

    /** A metre is below what any receiver tells, and what seven digits of a degree round away. */
    private function isElsewhere(Specimen $tree, TreeRow $row): bool
    {
        $away = $this->metresAway($tree, $row);

        return null !== $row->latitude && (null === $away || $away >= 1);
    }

    private function metresAway(Specimen $tree, TreeRow $row): ?float
    {
        return null === $tree->latitude
            || null === $tree->longitude
            || null === $row->latitude
            || null === $row->longitude
            ? null
            : GroundLine::between($tree->latitude, $tree->longitude, $row->latitude, $row->longitude)->length->metres();
    }

    /** @param array<string, Site> $places */
    private function nearest(array $places, TreeRow $row): ?Site
    {
        $nearest = null;
        $least = self::NEAR;
        if (null === $row->latitude || null === $row->longitude) {
            return null;
        }
        foreach ($places as $site) {
            $away = GroundLine::between(
                $site->latitude,
                $site->longitude,
                $row->latitude,
                $row->longitude,
            )->length->metres();
            if ($away <= $least) {
                [$nearest, $least] = [$site, $away];
            }
        }

        return $nearest;
    }

    /**
     * @param list<array{float, float}> $one
     * @param list<array{float, float}> $other
     */
    private static function apart(array $one, array $other): bool
    {
        if (\count($one) !== \count($other)) {
            return true;
        }
        foreach ($one as $i => [$longitude, $latitude]) {
            if (GroundLine::between($latitude, $longitude, $other[$i][1], $other[$i][0])->length->metres() >= 1) {
                return true;
            }
        }

        return false;
    }
}
