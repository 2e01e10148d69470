<?php

declare(strict_types=1);

namespace App\Learning;

use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\LookAlike;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Learning\PracticeTree;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Draws a practice tree by its code: dangerous kinds twice as often, now and then one the flora does not know. */
final readonly class PracticeLot
{
    /** So many trees of a hundred are what is hoped for. */
    private const WANTED = 40;
    /** Of the others, one of so many is of another flora. */
    private const OUTSIDERS = 8;
    /** A tree of which less can be seen is no practice. */
    private const LEAST_SHOWN = 8;
    private const MIDDLE_OF_MONTH = 15;

    public function __construct(private FloraLibrary $library, private SchoolTrees $trees)
    {
    }

    /**
     * @throws FloraRefused if there is no such flora
     * @throws UnknownEntry if that has no such kind or part
     */
    public function drawn(PracticeCode $code): DrawnTree
    {
        if ('' !== $code->tree) {
            return $this->ofTheSchool($code);
        }
        $compiled = $this->library->compiled($code->flora, LifeStage::Mature);
        $flora = $compiled->flora;
        $day = DayOfYear::parse(\sprintf('%02d-%02d', $code->month, self::MIDDLE_OF_MONTH));
        $random = new Randomizer(new Mt19937($code->seed));
        $parts = '' === $code->taxon ? self::parts($flora, $day) : [self::asked($flora, $code)];
        $of = $compiled;
        if ([] !== $parts && $random->getInt(1, 100) <= self::WANTED) {
            [$hope, $part] = $parts[$random->getInt(0, \count($parts) - 1)];
            $tree = PracticeTree::of($of, $hope->id, Phenology::at($flora, $flora->reference), $day, $code->seed);
        } else {
            $of = $this->maybeAnother($random, $compiled, $code->flora);
            $phenology = Phenology::at($of->flora, $of->flora->reference);
            do {
                $taxon = self::taxon($random, $of, $compiled, '' === $code->taxon ? null : $parts[0][1]);
                $tree = PracticeTree::of($of, $taxon->id, $phenology, $day, $code->seed);
            } while (\count($tree->characters()) < self::LEAST_SHOWN);
            [$hope, $part] = '' === $code->taxon ? self::hope($random, $parts, $taxon) : self::asked($flora, $code);
        }

        return new DrawnTree(
            $code,
            $tree,
            $compiled,
            $of->flora,
            Phenology::at($flora, $flora->reference),
            $day,
            $hope,
            $part,
        );
    }

    /** @return array{Taxon, Part} */
    private static function asked(Flora $flora, PracticeCode $code): array
    {
        $taxon = $flora->taxon($code->taxon);

        return [$taxon, $taxon->part($code->part)];
    }

    /** A tree somebody of the school examined; where nothing was hoped for, one of the parts it is taken for. */
    private function ofTheSchool(PracticeCode $code): DrawnTree
    {
        $record = $this->trees->of($code->tree) ?? throw new UnknownEntry('No tree of the school has that code.');
        $compiled = $this->library->compiled($record->flora, $record->stage);
        $flora = $compiled->flora;
        $taxon = $flora->taxon($record->specimen->kind);
        $day = DayOfYear::on($record->date);
        $seed = (int) hexdec(substr($code->tree, 0, 7));
        $random = new Randomizer(new Mt19937($seed));
        [$hope, $part] = null === $record->claimTaxon || null === $record->claimPart
            ? self::hope($random, self::parts($flora, $day), $taxon)
            : [$flora->taxon($record->claimTaxon), $flora->taxon($record->claimTaxon)->part($record->claimPart)];

        return new DrawnTree(
            $code,
            PracticeTree::recorded($compiled, $taxon, $this->trees->seen($record, $flora), $seed),
            $compiled,
            $flora,
            Phenology::at($flora, $record->specimen->site->place()),
            $day,
            $hope,
            $part,
        );
    }

    private static function taxon(Randomizer $random, CompiledFlora $of, CompiledFlora $examinedBy, ?Part $part): Taxon
    {
        $lots = [];
        $likes = array_map(static fn (LookAlike $l): string => $l->taxon, $part->lookAlikes ?? []);
        $likes = array_values(array_filter($likes, static fn (string $id): bool => isset($of->numbers[$id])));
        if ($of === $examinedBy && [] !== $likes && 1 === $random->getInt(0, 1)) {
            return $of->flora->taxon($likes[$random->getInt(0, \count($likes) - 1)]);
        }
        foreach ($of->taxa as $id) {
            if ($of !== $examinedBy && isset($examinedBy->numbers[$id])) {
                continue; // that one it knows
            }
            $taxon = $of->flora->taxon($id);
            array_push($lots, ...array_fill(0, $taxon->severity()->isHazard() ? 2 : 1, $taxon));
        }

        return $lots[$random->getInt(0, \count($lots) - 1)];
    }

    /** The flora itself, and now and then another: then it is a tree nobody there knows. */
    private function maybeAnother(Randomizer $random, CompiledFlora $compiled, string $name): CompiledFlora
    {
        $others = array_values(array_diff($this->library->names(), [$name]));
        if ([] === $others || 1 !== $random->getInt(1, self::OUTSIDERS)) {
            return $compiled;
        }

        return $this->library->compiled($others[$random->getInt(0, \count($others) - 1)], LifeStage::Mature);
    }

    /** @return list<array{Taxon, Part}> that are examined that day */
    private static function parts(Flora $flora, DayOfYear $day): array
    {
        $parts = [];
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                if ('' === $part->harmful && true === $part->examinedIn()?->contains($day)) {
                    $parts[] = [$taxon, $part];
                }
            }
        }

        return $parts;
    }

    /**
     * A part of what the tree is taken for; of any other, where it is taken for none of them.
     *
     * @param list<array{Taxon, Part}> $parts
     *
     * @return array{Taxon, Part}|array{null, null}
     */
    private static function hope(Randomizer $random, array $parts, Taxon $tree): array
    {
        $mistaken = $others = [];
        foreach ($parts as [$taxon, $part]) {
            if ($taxon->id === $tree->id) {
                continue;
            }
            $others[] = [$taxon, $part];
            if ([] !== array_filter($part->lookAlikes, static fn (LookAlike $l): bool => $l->taxon === $tree->id)) {
                $mistaken[] = [$taxon, $part];
            }
        }
        $from = [] === $mistaken ? $others : $mistaken;

        return [] === $from ? [null, null] : $from[$random->getInt(0, \count($from) - 1)];
    }
}
