<?php

declare(strict_types=1);

namespace App\Species;

use App\Library\WoodTable;
use App\Species\View\WoodNoteView;
use App\Species\View\WoodView;
use Hylognosis\Flora\FigureKind;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Processing\GroundLife;
use Hylognosis\Processing\Moisture;
use Hylognosis\Processing\WoodTraits;

/** The woods of a flora side by side: those of which wood, bark or twigs are taken. */
final readonly class WoodBook
{
    /** What wood is taken for, as the floras name uses. */
    private const USES = ['fuel', 'fire', 'posts', 'carving', 'craft', 'smoke'];

    public function __construct(private WoodTable $table, private WoodNoteRepository $notes)
    {
    }

    /** @return list<WoodView> by name */
    public function of(Flora $flora): array
    {
        $woods = [];
        $notes = $this->notes->standing();
        foreach ($flora->taxa as $taxon) {
            $parts = array_filter(
                $taxon->parts,
                // what is eaten too is no wood, whatever else is made of its stones and cups
                static fn (Part $p): bool => null !== $p->timing
                    && [] !== array_intersect($p->uses, self::USES)
                    && !\in_array('food', $p->uses, true),
            );
            if ([] !== $parts) {
                $woods[] = self::wood($taxon, $parts, $this->table->of($taxon->id), $notes[$taxon->id] ?? []);
            }
        }
        usort($woods, static fn (WoodView $a, WoodView $b): int => $a->name <=> $b->name);

        return $woods;
    }

    /**
     * @param non-empty-array<string, Part> $parts
     * @param list<WoodNote>                $notes
     */
    private static function wood(Taxon $taxon, array $parts, ?WoodTraits $traits, array $notes): WoodView
    {
        $uses = array_merge(...array_values(array_map(static fn (Part $p): array => $p->uses, $parts)));
        $figure = static fn (FigureKind $kind): ?NumberRange => $taxon->figures[$kind->value] ?? null;
        [$density, $heat, $class] = [
            $figure(FigureKind::Density),
            $figure(FigureKind::Heat),
            $figure(FigureKind::DecayClass),
        ];
        // the worse of two classes: a post does not choose
        $decay = null === $class ? null : min(5, max(1, (int) ceil($class->high)));
        $years = null === $decay ? null : GroundLife::ofClass($decay);

        return new WoodView(
            $taxon->id,
            $taxon->commonName(),
            $taxon->name,
            array_values(array_intersect(self::USES, $uses)),
            $density?->low,
            $density?->high,
            $heat?->low,
            $heat?->high,
            $decay,
            $years[0] ?? null,
            $years[1] ?? null,
            array_values(array_map(static fn (Part $p): string => $p->label, $parts)),
            self::percent($traits?->along),
            self::percent($traits?->across),
            $traits?->splits,
            $traits?->bends,
            $traits?->carves,
            $traits->lightsWet ?? false,
            $traits->smell ?? '',
            $traits->spoons ?? false,
            $traits->notForFood ?? false,
            // green, with as much water as there is dry wood
            null === $density ? null : WoodTraits::floats($density->high, Moisture::wetBasis(0.45)),
            array_map(WoodNoteView::of(...), $notes),
        );
    }

    /**
     * @param array{float, float}|null $shares
     *
     * @return array{float, float}|null percent
     */
    private static function percent(?array $shares): ?array
    {
        return null === $shares ? null : [round(100 * $shares[0], 1), round(100 * $shares[1], 1)];
    }
}
