<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;

/**
 * A cross of two taxa of the flora, described by what its parents show: each state as often as in the mean of the two,
 * each number from the lower to the higher of them. It carries the hazards of both, and nothing is taken from it.
 */
final readonly class Hybrid
{
    /**
     * @param array<string, Taxon> $taxa
     *
     * @throws DocumentError if a parent is unknown or the two are one
     */
    public static function read(Node $node, array $taxa): Taxon
    {
        $node->onlyKnows(['id', 'name', 'common', 'parents', 'note']);
        $ids = $node->texts('parents');
        if (2 !== \count($ids) || $ids[0] === $ids[1]) {
            throw DocumentError::at($node->path.'.parents', 'must name two different taxa.');
        }
        foreach ($ids as $id) {
            FloraReader::known($taxa, $id, $node->path.'.parents', 'taxon');
        }

        return self::of(
            $node->text('id'),
            $node->text('name'),
            $node->optionalText('common'),
            $taxa[$ids[0]],
            $taxa[$ids[1]],
            $node->optionalText('note'),
        );
    }

    /** @param string $common empty: "between … and …" */
    public static function of(string $id, string $name, string $common, Taxon $a, Taxon $b, string $note = ''): Taxon
    {
        $between = 'between '.$a->commonName().' and '.$b->commonName();

        return new Taxon(
            id: $id,
            name: $name,
            names: new Names('', $a->names->family, '' === $common ? [$between] : [$common, $between]),
            status: new Status('hybrid', $a->status->protected || $b->status->protected, $note),
            summary: 'A cross of '.
                $a->name.
                ' and '.
                $b->name.
                '. What it shows lies between the two, and it cannot always be named.',
            calendar: $a->calendar,
            description: self::mixed($a->description, $b->description),
            variants: new Variants(
                self::overlays($a, $a->variants->stages, $b, $b->variants->stages),
                self::overlays($a, $a->variants->positions, $b, $b->variants->positions),
            ),
            nevers: self::bothNever($a, $b),
            hazards: [...$a->hazards, ...$b->hazards],
            parts: [],
            sources: $a->sources,
            parents: [$a->id, $b->id],
            noRecords: self::knownOfNeither($a, $b),
        );
    }

    /**
     * A cross never shows what neither of its parents ever shows.
     *
     * @return array<string, StatedNever>
     */
    private static function bothNever(Taxon $a, Taxon $b): array
    {
        $nevers = [];
        foreach ($a->nevers as $one) {
            foreach ($b->nevers as $other) {
                $states = array_values(array_intersect($one->states, $other->states));
                if (
                    $one->isDoubted()
                    || $other->isDoubted()
                    || $one->character !== $other->character
                    || ([] === $states && (null === $one->outside || null === $other->outside))
                ) {
                    continue;
                }
                $id = $one->id.'+'.$other->id;
                $nevers[$id] = new StatedNever(
                    $id,
                    $one->character,
                    $states,
                    null === $one->outside || null === $other->outside
                        ? null
                        : NumberRange::of(
                            min($one->outside->least, $other->outside->least),
                            min($one->outside->low, $other->outside->low),
                            max($one->outside->high, $other->outside->high),
                            max($one->outside->most, $other->outside->most),
                        ),
                    'Neither of its parents does. '.$one->reason,
                    Sureness::Sure === $one->sureness ? $other->sureness : $one->sureness,
                    $one->sources,
                    // read as often as the less read of the two
                    $one->agreements() <= $other->agreements() ? $one->reviews : $other->reviews,
                );
            }
        }

        return $nevers;
    }

    /**
     * @param array<string, Description> $ofA
     * @param array<string, Description> $ofB
     *
     * @return array<string, Description>
     */
    private static function overlays(Taxon $a, array $ofA, Taxon $b, array $ofB): array
    {
        $overlays = [];
        foreach (array_keys($ofA + $ofB) as $key) {
            $overlays[$key] = self::mixed(
                isset($ofA[$key]) ? $a->description->overlaidWith($ofA[$key]) : $a->description,
                isset($ofB[$key]) ? $b->description->overlaidWith($ofB[$key]) : $b->description,
            );
        }

        return $overlays;
    }

    private static function mixed(Description $a, Description $b): Description
    {
        $frequencies = $ranges = [];
        foreach ($a->characters() as $id) {
            $one = $a->frequencies($id);
            $other = $b->frequencies($id);
            if (null !== $one && null !== $other) {
                foreach ($one + $other as $state => $_) {
                    $frequencies[$id][$state] = (($one[$state] ?? 0.0) + ($other[$state] ?? 0.0)) / 2;
                }
            }
            $low = $a->range($id);
            $high = $b->range($id);
            if (null !== $low && null !== $high) {
                $ranges[$id] = NumberRange::of(
                    min($low->least, $high->least),
                    min($low->low, $high->low),
                    max($low->high, $high->high),
                    max($low->most, $high->most),
                );
            }
        }

        return new Description($frequencies, $ranges);
    }

    /** @return list<NoRecord> of whom neither parent has anything on record */
    private static function knownOfNeither(Taxon $a, Taxon $b): array
    {
        $told = array_map(static fn (Hazard $h): string => $h->who, [...$a->hazards, ...$b->hazards]);
        $of = [];
        foreach ([...$a->noRecords, ...$b->noRecords] as $none) {
            $who = array_values(array_diff($none->who, $told));
            $told = [...$told, ...$who];
            if ([] !== $who) {
                $of[] = new NoRecord($who, $none->note, $none->sources);
            }
        }

        return $of;
    }
}
