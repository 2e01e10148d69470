<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

use Hylognosis\Flora\Taxon;

/** A tree or a stand as a walk left it. */
final readonly class WalkedTree
{
    /**
     * @param list<Taxon>       $kinds           what it can be; none: anything
     * @param list<SeenMark>    $marks
     * @param bool              $isProtectedHere by the rules of the place, whatever the region says
     * @param list<SheetReason> $known           what tables beside the flora say of its kinds: wood, spreading, rarity
     */
    public function __construct(
        public string $id,
        public array $kinds,
        public Settled $settled,
        public ?Gap $gap,
        public CountClass $count,
        public array $marks,
        public bool $isProtectedHere,
        public array $known,
    ) {
    }

    /** @return list<SheetReason> for which it stands on that sheet; none: it does not stand there */
    public function on(Sheet $sheet): array
    {
        $reasons = match ($sheet) {
            Sheet::Dangers => $this->dangers(),
            Sheet::Materials => $this->materials(),
            Sheet::Keep => $this->care(),
        };
        foreach ($this->marks as $mark) {
            if ($mark->sheet() === $sheet) {
                $reasons[] = new SheetReason(SheetMatter::Seen, $mark->value);
            }
        }

        return $reasons;
    }

    /** @return list<SheetReason> */
    private function dangers(): array
    {
        if ([] === $this->kinds) {
            return [new SheetReason(SheetMatter::Unknown)];
        }
        $found = [];
        foreach ($this->kinds as $taxon) {
            foreach ($taxon->hazards as $hazard) {
                if (!$hazard->severity->isHazard()) {
                    continue;
                }
                $what = match ($hazard->way) {
                    'wound' => SheetMatter::Wound,
                    'breathing', 'smoke' => SheetMatter::Breathing,
                    'eating' => SheetMatter::Toxic,
                    default => SheetMatter::Irritant,
                };
                $key = $what->value.'|'.$hazard->part.'|'.$hazard->severity->value;
                $found[$key] = new SheetReason(
                    $what,
                    $hazard->part,
                    array_values(array_unique([...$found[$key]->whom ?? [], $hazard->who])),
                    $hazard->severity,
                );
            }
        }
        $reasons = array_values($found);
        usort(
            $reasons,
            static fn (SheetReason $a, SheetReason $b): int => (int) $b->severity?->rank() <=>
                (int) $a->severity?->rank(),
        );

        return $reasons;
    }

    /**
     * Only of a kind that is settled: what is taken is examined first, and a group is no kind.
     *
     * @return list<SheetReason>
     */
    private function materials(): array
    {
        if (1 !== \count($this->kinds)) {
            return [];
        }
        $reasons = [];
        foreach ($this->kinds[0]->parts as $part) {
            if ('' === $part->harmful) {
                $reasons[] = new SheetReason(SheetMatter::Part, $part->label);
            }
        }

        return [...$reasons, ...$this->knownOf(Sheet::Materials)];
    }

    /** @return list<SheetReason> */
    private function care(): array
    {
        $reasons = $this->isProtectedHere ? [new SheetReason(SheetMatter::ProtectedHere)] : [];
        foreach ($this->kinds as $taxon) {
            if ($taxon->status->protected) {
                $reasons[] = new SheetReason(SheetMatter::Protected, $taxon->status->note);
            }
        }

        return [...$reasons, ...$this->knownOf(Sheet::Keep)];
    }

    /** @return list<SheetReason> */
    private function knownOf(Sheet $sheet): array
    {
        return array_values(
            array_filter(
                $this->known,
                static fn (SheetReason $r): bool => $sheet ===
                    match ($r->what) {
                        SheetMatter::Rare, SheetMatter::Invasive => Sheet::Keep,
                        default => Sheet::Materials,
                    },
            ),
        );
    }
}
