<?php

declare(strict_types=1);

namespace App\Survey;

use App\Library\CareTable;
use App\Library\SpreadTable;
use App\Library\WoodTable;
use Hylognosis\Flora\FigureKind;
use Hylognosis\Flora\Taxon;
use Hylognosis\Processing\Ease;
use Hylognosis\Survey\SheetMatter;
use Hylognosis\Survey\SheetReason;

/** What the tables beside the floras say of kinds, as reasons to stand on a sheet. */
final readonly class SheetFacts
{
    /** kWh in a stacked cubic metre from which firewood is called good. Common practice: beech 2,100, spruce 1,500. */
    private const HOT = 1800.0;

    public function __construct(private WoodTable $woods, private SpreadTable $spreads, private CareTable $care)
    {
    }

    /**
     * @param list<Taxon> $kinds what the tree can be
     *
     * @return list<SheetReason> of work with it only where it is one kind
     */
    public function of(array $kinds, string $flora): array
    {
        $reasons = [];
        foreach ($kinds as $taxon) {
            $spread = $this->spreads->spread($flora, $taxon->id);
            $rarity = $this->spreads->rarity($flora, $taxon->id);
            $reasons = [
                ...$reasons,
                ...null === $spread ? [] : [new SheetReason(SheetMatter::Invasive, $spread->harvest)],
                ...null === $rarity ? [] : [new SheetReason(SheetMatter::Rare, $rarity->who)],
            ];
        }

        return 1 === \count($kinds) ? [...$this->work($kinds[0]), ...$reasons] : $reasons;
    }

    /** @return list<SheetReason> */
    private function work(Taxon $taxon): array
    {
        $traits = $this->woods->of($taxon->id);
        $living = $this->care->living($taxon->id);
        $heat = $taxon->figures[FigureKind::Heat->value] ?? null;
        $matters = [
            ...Ease::Easy === $traits?->splits ? [SheetMatter::Splits] : [],
            ...Ease::Easy === $traits?->bends ? [SheetMatter::Bends] : [],
            ...Ease::Easy === $traits?->carves ? [SheetMatter::Carves] : [],
            ...null !== $heat && $heat->low >= self::HOT ? [SheetMatter::Burns] : [],
            ...true === $living?->coppices ? [SheetMatter::Coppices] : [],
        ];
        $reasons = array_map(static fn (SheetMatter $m): SheetReason => new SheetReason($m), $matters);
        if (null !== $living && '' !== $living->fibre) {
            $reasons[] = new SheetReason(SheetMatter::Fibre, $living->fibre);
        }

        return $reasons;
    }
}
