<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Examination\Dispute;
use Hylognosis\Identification\CompiledCharacter;

/**
 * Plays one examination: a tree is drawn as its description says, and an examiner, who hopes for the goal, follows the
 * suggested looks, is always sure, and looks again at what stands in the way, until the gate opens, the looks are used
 * up, or nothing is left to look at.
 */
final class Rehearser
{
    public const LOOKS = 12;

    /** @var array<string, Showing|null> character → what the tree's taxon shows */
    private array $showings = [];
    /**
     * @var array<string, list<list<array{ReadValues, bool}>>> character → value mostly shown → readings, with whether
     *     the goal welcomes them
     */
    private array $reads = [];
    private readonly int $phases;

    public function __construct(private readonly Desk $desk, private readonly Eye $eye, private readonly TreeKind $tree)
    {
        $this->phases = $tree->phases($desk->phenology, $desk->goal->day);
    }

    public function play(Chance $chance): Course
    {
        $mostly = $scores = $couldNotLook = [];
        $looks = 0;
        for (; $looks <= self::LOOKS; ++$looks) {
            $verdict = $this->desk->verdict($scores, $couldNotLook);
            if ($verdict->open) {
                return new Course(true, $looks, $chance->weight(), $scores, $couldNotLook);
            }
            $next = null;
            foreach ($verdict->next as $id) {
                if (\count($scores[$id] ?? []) < Dispute::MOST_LOOKS) {
                    $next = $id;
                    break;
                }
            }
            if (null === $next || self::LOOKS === $looks) {
                break;
            }
            $read = $this->look($next, $mostly, $scores[$next] ?? [], $chance);
            if (null === $read) {
                $couldNotLook[] = $next;
            } else {
                $scores[$next][] = $read;
            }
        }

        return new Course(false, $looks, $chance->weight(), $scores, $couldNotLook);
    }

    /**
     * @return list<string> what still stands open at the end of a course: required features, look-alikes,
     *     contradictions, strength
     */
    public function inTheWay(Course $course): array
    {
        return $this->desk->inTheWay($course->scores, $course->couldNotLook);
    }

    /**
     * @param array<string, int>                             $mostly what the tree mostly shows, as far as it has been
     *                                         drawn
     * @param list<non-empty-list<string|float>> $before earlier readings of the character
     *
     * @param-out array<string, int>                         $mostly
     *
     * @return non-empty-list<string|float>|null none where the tree does not show the character that day, or never
     */
    private function look(string $id, array &$mostly, array $before, Chance $chance): ?array
    {
        $character = $this->tree->character($id);
        $showing = $this->showings[$id] ??= $this->tree->showing($id, $this->desk->goal);
        if (null === $showing || 0 === ($character->phenophases & $this->phases)) {
            return null;
        }
        if ([] !== $before && $chance->number() < Eye::REPEATS) {
            return $before[\count($before) - 1];
        }
        $mostly[$id] ??= $chance->pick(
            $showing->shares,
            array_map(fn (string|float $value): bool => $this->welcomes($character, [$value]), $showing->values),
        );
        $reads = $this->reads[$id][$mostly[$id]] ??= array_map(
            fn (ReadValues $read): array => [$read, $this->welcomes($character, $read->values)],
            $this->eye->reads(
                $character,
                $showing,
                $mostly[$id],
                $this->desk->goal->hopes($this->desk->compiled, $character->character),
            ),
        );
        $shares = array_map(static fn (array $read): float => $read[0]->probability, $reads);
        \assert([] !== $shares);

        return $reads[$chance->pick($shares, array_map(static fn (array $read): bool => $read[1], $reads))][0]->values;
    }

    /** @param non-empty-list<string|float> $values */
    private function welcomes(CompiledCharacter $character, array $values): bool
    {
        return $this->desk->goal->welcomes($this->desk->compiled, $character->character, $values);
    }
}
