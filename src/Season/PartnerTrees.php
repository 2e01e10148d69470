<?php

declare(strict_types=1);

namespace App\Season;

use App\Library\PollinationTable;
use App\Season\View\PartnersView;
use App\Season\View\PartnerView;
use App\Trees\Sex;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use Hylognosis\Position\GroundLine;
use Hylognosis\Season\Partner;

/** Looks for the second tree a kind wants near to bear fruit. */
final readonly class PartnerTrees
{
    public function __construct(private PollinationTable $table, private SpecimenRepository $specimens)
    {
    }

    /** Null where no kind is held of it, or that kind bears alone. */
    public function of(Specimen $tree): ?PartnersView
    {
        $wants = '' === $tree->kind ? null : $this->table->of($tree->kind);
        if (null === $wants) {
            return null;
        }
        $near = [];
        if (null !== $tree->latitude && null !== $tree->longitude) {
            foreach (
                $this->specimens->ofKindAround($tree->kind, $tree->latitude, $tree->longitude, $wants->within) as $other
            ) {
                $line = GroundLine::between(
                    $tree->latitude,
                    $tree->longitude,
                    (float) $other->latitude,
                    (float) $other->longitude,
                );
                if ($other !== $tree && $line->length->metres() <= $wants->within->metres()) {
                    $near[] = new PartnerView(
                        $other->id,
                        $other->tag,
                        $other->sex,
                        $line->length->metres(),
                        $line->bearing,
                        Partner::OtherSex !== $wants->partner || self::pair($tree->sex, $other->sex),
                    );
                }
            }
            usort($near, static fn (PartnerView $a, PartnerView $b): int => $a->distance <=> $b->distance);
        }

        return new PartnersView(
            $wants->partner,
            $wants->carrier,
            $wants->within->metres(),
            null !== $tree->latitude,
            [] !== array_filter($near, static fn (PartnerView $p): bool => $p->serves),
            $near,
        );
    }

    /** Known to be of two sexes; where one is not known, nothing is. */
    private static function pair(Sex $one, Sex $other): bool
    {
        return match ($one) {
            Sex::Male => \in_array($other, [Sex::Female, Sex::Both], true),
            Sex::Female => \in_array($other, [Sex::Male, Sex::Both], true),
            Sex::Both => Sex::Unknown !== $other,
            Sex::Unknown => false,
        };
    }
}
