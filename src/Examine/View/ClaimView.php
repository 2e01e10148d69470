<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Clearance;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Quota;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\TakeWords;

/** What is hoped for: a part of a taxon, and what its examiner needs to know of it. */
final readonly class ClaimView
{
    /**
     * @param string             $taxon       id of the taxon
     * @param string             $commonName  common name
     * @param string             $part        id of the part
     * @param string             $label       name of the part
     * @param list<RequiredView> $required    features to be scored sure, and how they stand
     * @param list<string>       $preparation how it is prepared, step by step
     * @param string             $leave       what is left on the tree
     * @param int|null           $allowed     times it may be taken here this year; null where nothing is counted
     * @param int                $used        of these
     * @param string             $bears       what a full-grown tree gives one person in a good year; empty where nobody
     *                                        has said
     * @param AmountUnit|null    $measuredIn  how it is told; null where nobody has said
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $part,
        public string $label,
        public array $required,
        public array $preparation,
        public string $leave,
        public ?int $allowed,
        public int $used,
        public string $bears,
        public ?AmountUnit $measuredIn,
    ) {
    }

    public static function of(
        Taxon $taxon,
        Part $part,
        ?Clearance $clearance,
        ?Quota $quota,
        ?TypicalCrop $typical,
        Units $units,
    ): self {
        $standing = [];
        foreach ($clearance?->point('required-features')->items ?? [] as $item) {
            $standing[$item->subject] = $item->status;
        }

        return new self(
            $taxon->id,
            $taxon->commonName(),
            $part->id,
            $part->label,
            array_map(
                static fn (RequiredFeature $f): RequiredView => new RequiredView(
                    $f->character,
                    $f->samples,
                    $standing[$f->character] ?? PointStatus::Open,
                ),
                $part->required,
            ),
            $part->handling->preparation,
            $part->handling->leave,
            $quota?->allowed,
            $quota->used ?? 0,
            null === $typical ? '' : TakeWords::bears($typical, $units),
            $typical?->most->unit->counterpart(Units::Imperial === $units),
        );
    }
}
