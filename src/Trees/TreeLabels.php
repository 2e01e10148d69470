<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use App\Trees\View\SpecimenView;
use Hylognosis\Flora\Taxon;

/** Trees with what they are held to be, in words. */
final readonly class TreeLabels
{
    public function __construct(private FloraLibrary $library, private CoveredTrees $covered)
    {
    }

    /**
     * @param list<Specimen> $trees
     *
     * @return list<SpecimenView> in the same order
     */
    public function of(array $trees, User $reader): array
    {
        $covered = $this->covered->for($reader);

        return array_map(
            fn (Specimen $tree): SpecimenView => isset($covered[$tree->id])
                ? SpecimenView::of($tree)
                : $this->told($tree, $this->taxon($tree->kindFlora, $tree->kind)),
            $trees,
        );
    }

    /** The taxon of a flora; null where it holds none of that name any more. */
    public function taxon(string $flora, string $kind): ?Taxon
    {
        try {
            return '' === $kind || '' === $flora ? null : $this->library->flora($flora)->taxa[$kind] ?? null;
        } catch (FloraRefused) {
            return null;
        }
    }

    /** Never harmless where nothing is known, or where it is doubted. */
    public function danger(?Taxon $taxon, string $doubt): TreeDanger
    {
        return match (true) {
            null === $taxon => TreeDanger::Unknown,
            '' !== $doubt => TreeDanger::Doubted,
            default => TreeDanger::of($taxon->severity()),
        };
    }

    private function told(Specimen $tree, ?Taxon $taxon): SpecimenView
    {
        return SpecimenView::of(
            $tree,
            $taxon?->commonName() ?? '',
            $taxon->name ?? '',
            $this->danger($taxon, $tree->doubt),
        );
    }
}
