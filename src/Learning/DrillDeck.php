<?php

declare(strict_types=1);

namespace App\Learning;

use App\Learning\View\DrillChoiceView;
use App\Learning\View\DrillItemView;
use App\Library\FloraLibrary;
use App\Species\View\DescribedView;
use App\Species\View\StateShareView;
use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\LookAlike;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Learning\PracticeTree;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Rehearsal\Desk;
use Hylognosis\Rehearsal\Goal;
use Hylognosis\Season\Phenology;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The questions of a flora. A card names what is asked ("bark/quercus-robur"), a lot draws one question of it: the same
 * card and lot ask the same.
 */
final readonly class DrillDeck
{
    private const ORGANS = ['twigs' => 'twig', 'bark' => 'bark', 'outlines' => 'outline'];
    /** Characters by which an organ is told; a kind that describes fewer of them is not asked. */
    private const DRAWN_BY = [
        'fruit' => ['fruit.'],
        'leaf' => ['leaf.'],
        'twig' => ['bud.', 'twig.', 'leaf.arrangement', 'leaf.ranks'],
        'bark' => ['bark.'],
        'outline' => ['outline.'],
    ];
    /** Of other organs, what the drawing of this one hangs on too. */
    private const DRAWN_WITH = [
        'outline' => ['leaf.kind'],
        'bark' => ['outline.', 'leaf.kind'],
        'fruit' => ['flower.bract', 'flower.head'],
    ];
    private const HERB = 'herbaceous';
    private const LEAST_DRAWN = 4;
    private const WINTER = '01-20';
    private const SUMMER = '07-10';
    /** When an organ is best seen, and else; of any other it is summer. */
    private const SEEN_ON = ['twig' => [self::WINTER], 'fruit' => ['09-20', '07-10', '11-01', '06-01', '04-01']];
    /** Without this an organ cannot be drawn. */
    private const BARE = [
        'fruit' => 'fruit.kind',
        'leaf' => 'leaf.kind',
        'bark' => 'bark.surface',
        'outline' => 'outline.habit',
    ];
    private const CHOICES = 4;
    private const BARKS_OF = [LifeStage::Young, LifeStage::Mature, LifeStage::Old];
    private const YEAR = 2027;
    private const MEASURED = ['leaf.length', 'fruit.width', 'leaf.width'];

    public function __construct(private FloraLibrary $library)
    {
    }

    /** @return list<string> all that can be asked of that sort */
    public function cards(string $flora, DrillKind $kind): array
    {
        $of = $this->library->flora($flora);
        $cards = [];
        foreach ($of->taxa as $taxon) {
            if ($taxon->isHybrid()) {
                continue;
            }
            switch ($kind) {
                case DrillKind::Pair:
                    foreach (self::takenFor($of, $taxon) as $other) {
                        $cards[] = 'pair/'.min($taxon->id, $other).'/'.max($taxon->id, $other);
                    }
                    break;
                case DrillKind::Twigs:
                case DrillKind::Bark:
                case DrillKind::Outlines:
                    if (self::isDrawn($taxon, self::ORGANS[$kind->value] ?? 'leaf')) {
                        $cards[] = $kind->value.'/'.$taxon->id;
                    }
                    break;
                case DrillKind::Ear:
                    $cards[] = 'ear/'.$taxon->id;
                    break;
                case DrillKind::Next:
                case DrillKind::Enough:
                    foreach ($taxon->parts as $part) {
                        if ('' === $part->harmful && [] !== $part->required) {
                            $cards[] = $kind->value.'/'.$taxon->id.'/'.$part->id;
                        }
                    }
                    break;
                case DrillKind::Number:
                    foreach (self::MEASURED as $id) {
                        if (null !== $taxon->description->range($id)) {
                            $cards[] = 'number/'.$id.'/'.$taxon->id;
                        }
                    }
                    break;
                default:
            }
        }
        if (DrillKind::States === $kind) {
            foreach ($of->characters as $character) {
                foreach (array_keys($character->states) as $state) {
                    $cards[] = 'states/'.$character->id.'/'.$state;
                }
            }
        }

        return array_values(array_unique($cards));
    }

    /** @return DrillItem|null null where that flora has no such card */
    public function item(string $flora, string $card, int $lot): ?DrillItem
    {
        $words = explode('/', $card);
        $kind = DrillKind::tryFrom($words[0]);
        $compiled = $this->library->compiled($flora, LifeStage::Mature);
        $random = new Randomizer(new Mt19937($lot));

        return match ($kind) {
            DrillKind::States => $this->states($compiled->flora, $card, $words, $lot, $random),
            DrillKind::Pair => $this->pair($compiled, $card, $words, $lot, $random),
            DrillKind::Twigs, DrillKind::Bark, DrillKind::Outlines => $this->organ(
                $compiled,
                $kind,
                $card,
                $words,
                $lot,
                $random,
            ),
            DrillKind::Ear => $this->ear($compiled, $card, $words, $lot, $random),
            DrillKind::Number => $this->number($compiled, $card, $words, $lot),
            DrillKind::Next, DrillKind::Enough => $this->looks($compiled, $kind, $card, $words, $lot, $random),
            null => null,
        };
    }

    /**
     * An organ of a kind as one tree shows it, in winter where it is a twig.
     *
     * @param string $organ one of those it can draw: twig, bark, outline, leaf, fruit
     *
     * @return list<DescribedView>|null null where it is not described well enough to be drawn
     */
    public function plate(CompiledFlora $compiled, Taxon $taxon, string $organ, int $lot): ?array
    {
        if (!isset(self::DRAWN_BY[$organ]) || !self::isDrawn($taxon, $organ)) {
            return null;
        }
        foreach (self::SEEN_ON[$organ] ?? [self::SUMMER] as $day) {
            $tree = $this->tree($compiled, $taxon, $day, $lot);
            if (!isset(self::BARE[$organ]) || null !== $tree->at(self::BARE[$organ], 0)) {
                return self::described($compiled->flora, $tree, self::drawnWith($organ));
            }
        }

        return null;
    }

    /** @return list<string> beginnings of the characters the drawing of an organ hangs on */
    private static function drawnWith(string $organ): array
    {
        return [...self::DRAWN_BY[$organ], ...self::DRAWN_WITH[$organ] ?? []];
    }

    /**
     * In what the two are never alike, organ by organ.
     *
     * @return array<string, list<string>> organ → lines; none where it does not part them
     */
    public function partedBy(Flora $flora, Taxon $one, Taxon $other): array
    {
        $by = [];
        foreach (self::DRAWN_BY as $organ => $beginnings) {
            $lines = self::telling($one, $other, $flora, $beginnings);
            if ([] !== $lines) {
                $by[$organ] = $lines;
            }
        }

        return $by;
    }

    /** @param list<string> $words */
    private function states(Flora $flora, string $card, array $words, int $lot, Randomizer $random): ?DrillItem
    {
        $character = $flora->characters[$words[1] ?? ''] ?? null;
        $state = $character?->states[$words[2] ?? ''] ?? null;
        if (null === $character || null === $state || \count($character->states) < 2) {
            return null;
        }
        // what is taken for it stands among the choices first
        $others = array_values(
            array_unique([
                ...$character->legibility->confusions[$state->id] ?? [],
                ...array_map(strval(...), $random->shuffleArray(array_keys($character->states))),
            ]),
        );
        $ids = \array_slice(array_values(array_diff($others, [$state->id])), 0, self::CHOICES - 1);
        $choices = array_map(
            static fn (string $id): DrillChoiceView => new DrillChoiceView($id, $character->states[$id]->label),
            self::shuffled($random, [...$ids, $state->id]),
        );

        return new DrillItem(
            new DrillItemView(
                $card,
                $lot,
                DrillKind::States,
                $character->question,
                '',
                [],
                $character->id,
                $state->id,
                $state->drawing,
                [],
                $choices,
                '',
            ),
            $state->id,
            $character->id,
            [$state->id],
            $state->definition,
        );
    }

    /** @param list<string> $words */
    private function pair(CompiledFlora $compiled, string $card, array $words, int $lot, Randomizer $random): ?DrillItem
    {
        $taxa = $compiled->flora->taxa;
        [$one, $other] = [$taxa[$words[1] ?? ''] ?? null, $taxa[$words[2] ?? ''] ?? null];
        if (null === $one || null === $other) {
            return null;
        }
        $organs = array_values(
            array_filter(
                ['leaf', 'fruit', 'twig', 'bark', 'outline'],
                fn (string $organ): bool => null !== $this->plate($compiled, $one, $organ, $lot)
                    && null !== $this->plate($compiled, $other, $organ, $lot),
            ),
        );
        if ([] === $organs) {
            return null;
        }
        $taxon = 0 === $random->getInt(0, 1) ? $one : $other;
        $organ = $organs[$random->getInt(0, \count($organs) - 1)];
        $beside = $taxon === $one ? $other : $one;

        return new DrillItem(
            $this->drawnItem($compiled, DrillKind::Pair, $card, $lot, $organ, $taxon, [$one, $other]),
            $taxon->id,
            '',
            [],
            self::tells($taxon, $beside, $compiled->flora, self::DRAWN_BY[$organ]),
        );
    }

    /** @param list<string> $words */
    private function organ(
        CompiledFlora $compiled,
        DrillKind $kind,
        string $card,
        array $words,
        int $lot,
        Randomizer $random,
    ): ?DrillItem {
        $stage = LifeStage::Mature;
        if (DrillKind::Bark === $kind) {
            // one kind has three barks in its life
            $stage = self::BARKS_OF[$random->getInt(0, 2)];
            $compiled = $this->library->compiled($compiled->flora->name, $stage);
        }
        $taxon = $compiled->flora->taxa[$words[1] ?? ''] ?? null;
        $organ = self::ORGANS[$kind->value] ?? 'leaf';
        if (null === $taxon || null === $this->plate($compiled, $taxon, $organ, $lot)) {
            return null;
        }
        $choices = self::choices($compiled->flora, $taxon, $random, $organ);

        return new DrillItem(
            $this->drawnItem($compiled, $kind, $card, $lot, $organ, $taxon, $choices, stage: $stage),
            $taxon->id,
            '',
            [],
            $taxon->summary,
        );
    }

    /** @param list<string> $words */
    private function ear(CompiledFlora $compiled, string $card, array $words, int $lot, Randomizer $random): ?DrillItem
    {
        $taxon = $compiled->flora->taxa[$words[1] ?? ''] ?? null;
        if (null === $taxon) {
            return null;
        }
        $tree = $this->tree($compiled, $taxon, self::SUMMER, $lot);
        $told = [];
        foreach (self::shuffled($random, $tree->characters()) as $id) {
            $character = $compiled->flora->character($id);
            $value = $tree->at($id, 0);
            if (\count($told) < 5 && \is_string($value)) {
                $told[] = $character->label.': '.$character->state($value)->label;
            }
        }

        return new DrillItem(
            new DrillItemView(
                $card,
                $lot,
                DrillKind::Ear,
                'Somebody describes a tree. Which of these is it?',
                '',
                [],
                '',
                '',
                '',
                $told,
                self::asChoices(self::choices($compiled->flora, $taxon, $random, 'leaf')),
                '',
            ),
            $taxon->id,
            '',
            [],
            $taxon->summary,
        );
    }

    /** @param list<string> $words */
    private function number(CompiledFlora $compiled, string $card, array $words, int $lot): ?DrillItem
    {
        $character = $compiled->flora->characters[$words[1] ?? ''] ?? null;
        $taxon = $compiled->flora->taxa[$words[2] ?? ''] ?? null;
        if (null === $character || null === $taxon || null === $taxon->description->range($character->id)) {
            return null;
        }
        $value = $this->tree($compiled, $taxon, self::SUMMER, $lot)->at($character->id, 0);
        if (!\is_float($value)) {
            return null;
        }
        $organ = explode('.', $character->id)[0];

        return new DrillItem(
            $this->drawnItem($compiled, DrillKind::Number, $card, $lot, $organ, $taxon, [], $character),
            (string) $value,
            $character->id,
            [$value],
            '',
        );
    }

    /**
     * Some of what a part requires was read, of the right tree: which look tells most now, and whether it is enough.
     * The real engine answers.
     *
     * @param list<string> $words
     */
    private function looks(
        CompiledFlora $compiled,
        DrillKind $kind,
        string $card,
        array $words,
        int $lot,
        Randomizer $random,
    ): ?DrillItem {
        $taxon = $compiled->flora->taxa[$words[1] ?? ''] ?? null;
        $part = $taxon?->parts[$words[2] ?? ''] ?? null;
        $day = $part?->examinedIn()?->from;
        if (null === $taxon || null === $part || null === $day || '' !== $part->harmful) {
            return null;
        }
        $phenology = Phenology::at($compiled->flora, $compiled->flora->reference);
        $tree = PracticeTree::of($compiled, $taxon->id, $phenology, $day, $lot);
        $desk = new Desk(
            $compiled,
            $phenology,
            new Goal(new Claim($taxon, $part, []), $day),
            CalendarDay::parse(self::YEAR.'-'.$day),
        );
        $asked = self::shuffled(
            $random,
            array_map(static fn (RequiredFeature $f): string => $f->character, $part->required),
        );
        $leave = DrillKind::Next === $kind ? $random->getInt(2, max(2, \count($asked))) : $random->getInt(0, 3);
        $scores = $told = [];
        foreach (\array_slice($asked, 0, max(0, \count($asked) - $leave)) as $id) {
            $value = $tree->at($id, 0);
            if (null !== $value) {
                $scores[$id] = [[$value]];
                $character = $compiled->flora->character($id);
                $told[] = $character->label.': '.
                    (\is_string($value) ? $character->state($value)->label : trim($value.' '.$character->unit));
            }
        }
        $verdict = $desk->verdict($scores, []);
        $hope = $taxon->commonName().', '.$part->label;
        if (DrillKind::Enough === $kind) {
            return new DrillItem(
                self::asked($card, $lot, $kind, "$hope: enough to take it?", $told, [
                    new DrillChoiceView('take', 'enough'),
                    new DrillChoiceView('not-yet', 'not yet'),
                ]),
                $verdict->open ? 'take' : 'not-yet',
                '',
                [],
                $verdict->open
                    ? 'All that is required was read, and nothing dangerous is left.'
                    : \sprintf(
                        'Still in the way: %s.',
                        implode(', ', self::named($compiled->flora, $desk->inTheWay($scores, []))),
                    ),
            );
        }
        $best = $verdict->next[0] ?? null;
        $others = array_values(array_diff($asked, array_keys($scores), [$best]));
        $others = [...$others, ...self::shuffled($random, array_values(array_diff($tree->characters(), $asked)))];
        if (null === $best || \count($others) < 2) {
            return null;
        }
        // those next best tell nearly as much: they are no wrong answers to be chosen between
        $wrong = array_values(array_diff($others, $verdict->next));
        $ids = self::shuffled($random, [...\array_slice($wrong, 0, self::CHOICES - 1), $best]);

        return new DrillItem(
            self::asked(
                $card,
                $lot,
                $kind,
                "$hope: which look tells most now?",
                $told,
                array_map(
                    static fn (string $id): DrillChoiceView => new DrillChoiceView(
                        $id,
                        $compiled->flora->character($id)->label,
                    ),
                    $ids,
                ),
            ),
            $best,
            '',
            [],
            '',
        );
    }

    /**
     * @param list<string>          $told
     * @param list<DrillChoiceView> $choices
     */
    private static function asked(
        string $card,
        int $lot,
        DrillKind $kind,
        string $ask,
        array $told,
        array $choices,
    ): DrillItemView {
        return new DrillItemView($card, $lot, $kind, $ask, '', [], '', '', '', $told, $choices, '');
    }

    /**
     * @param list<string> $ids characters, kinds and points
     *
     * @return list<string> what of it has a name
     */
    private static function named(Flora $flora, array $ids): array
    {
        return array_map(
            static fn (string $id): string => $flora->characters[$id]->label ??
                (isset($flora->taxa[$id]) ? $flora->taxa[$id]->commonName() : str_replace('-', ' ', $id)),
            \array_slice($ids, 0, 4),
        );
    }

    private static function question(?Character $measured, LifeStage $stage): string
    {
        return match (true) {
            null !== $measured => $measured->question,
            LifeStage::Young === $stage => 'Which tree is this of, a young one?',
            LifeStage::Old === $stage => 'Which tree is this of, an old one?',
            default => 'Which tree is this of?',
        };
    }

    /** @param list<Taxon> $choices */
    private function drawnItem(
        CompiledFlora $compiled,
        DrillKind $kind,
        string $card,
        int $lot,
        string $organ,
        Taxon $taxon,
        array $choices,
        ?Character $measured = null,
        LifeStage $stage = LifeStage::Mature,
    ): DrillItemView {
        $shows = null === $measured
            ? $this->plate($compiled, $taxon, $organ, $lot) ?? []
            : self::described($compiled->flora, $this->tree($compiled, $taxon, self::SUMMER, $lot), ['']);

        return new DrillItemView(
            $card,
            $lot,
            $kind,
            self::question($measured, $stage),
            $organ,
            $shows,
            '',
            '',
            '',
            [],
            self::asChoices($choices),
            null === $measured ? '' : $measured->unit,
        );
    }

    private function tree(CompiledFlora $compiled, Taxon $taxon, string $day, int $lot): PracticeTree
    {
        return PracticeTree::of(
            $compiled,
            $taxon->id,
            Phenology::at($compiled->flora, $compiled->flora->reference),
            DayOfYear::parse($day),
            $lot,
        );
    }

    /**
     * What one place of the tree shows of an organ, without a word; a leaf is drawn by what bears it too.
     *
     * @param list<string> $by beginnings of the characters
     *
     * @return list<DescribedView>
     */
    private static function described(Flora $flora, PracticeTree $tree, array $by): array
    {
        $shows = [];
        foreach ($tree->characters() as $id) {
            $told = [] !== array_filter($by, static fn (string $of): bool => str_starts_with($id, $of));
            $value = $tree->at($id, 0);
            if (null === $value || !$told) {
                continue;
            }
            $character = $flora->character($id);
            $shows[] = new DescribedView(
                $id,
                $character->organ,
                '',
                \is_float($value) ? [] : [new StateShareView($value, '', $character->state($value)->drawing, 1.0)],
                \is_float($value) ? (string) $value : null,
                null,
            );
        }

        return $shows;
    }

    /** @param list<string> $by beginnings of the characters */
    private static function tells(Taxon $taxon, Taxon $other, Flora $flora, array $by): string
    {
        $tells = self::telling($taxon, $other, $flora, $by);

        return [] === $tells ? '' : implode('; ', \array_slice($tells, 0, 3)).'.';
    }

    /**
     * @param list<string> $by beginnings of the characters
     *
     * @return list<string>
     */
    private static function telling(Taxon $taxon, Taxon $other, Flora $flora, array $by): array
    {
        $tells = [];
        foreach ($flora->characters as $character) {
            $of = [] !== array_filter($by, static fn (string $b): bool => str_starts_with($character->id, $b));
            $own = array_keys($taxon->description->frequencies($character->id) ?? []);
            $others = array_keys($other->description->frequencies($character->id) ?? []);
            if ($of && [] !== $own && [] !== $others && [] === array_intersect($own, $others)) {
                $tells[] = \sprintf(
                    '%s: %s here, %s there',
                    $character->label,
                    $character->states[$own[0]]->label,
                    $character->states[$others[0]]->label,
                );
            }
        }

        return $tells;
    }

    /** @return list<Taxon> the kind, and others it is taken for, in any order */
    private static function choices(Flora $flora, Taxon $taxon, Randomizer $random, string $organ): array
    {
        $near = self::takenFor($flora, $taxon);
        $genus = explode('-', $taxon->id)[0];
        $all = array_filter(
            array_map(strval(...), array_keys($flora->taxa)),
            static fn (string $id): bool => $id !== $taxon->id
                && !$flora->taxa[$id]->isHybrid()
                && self::isDrawn($flora->taxa[$id], $organ),
        );
        $sisters = array_filter($all, static fn (string $id): bool => str_starts_with($id, $genus.'-'));
        $ids = array_values(
            array_unique([
                ...array_intersect(self::shuffled($random, $near), $all),
                ...self::shuffled($random, array_values($sisters)),
                ...self::shuffled($random, array_values($all)),
            ]),
        );

        return array_map(
            static fn (string $id): Taxon => $flora->taxa[$id],
            self::shuffled($random, [...\array_slice($ids, 0, self::CHOICES - 1), $taxon->id]),
        );
    }

    /** @return list<string> kinds it is taken for, by the look-alikes of its parts and of theirs */
    private static function takenFor(Flora $flora, Taxon $taxon): array
    {
        $near = [];
        foreach ($flora->taxa as $other) {
            foreach ($other->parts as $part) {
                foreach (self::lookAlikes($part) as $id) {
                    if ($other->id === $taxon->id && isset($flora->taxa[$id])) {
                        $near[$id] = true;
                    } elseif ($id === $taxon->id) {
                        $near[$other->id] = true;
                    }
                }
            }
        }

        return array_map(strval(...), array_keys($near));
    }

    /** @return list<string> */
    private static function lookAlikes(Part $part): array
    {
        return array_map(static fn (LookAlike $l): string => $l->taxon, $part->lookAlikes);
    }

    private static function isDrawn(Taxon $taxon, string $organ): bool
    {
        $woodiness = $taxon->description->frequencies('twig.woodiness') ?? [];
        if ('twig' === $organ && ($woodiness[self::HERB] ?? 0.0) > 0.5) {
            return false; // it has none in winter
        }
        $described = 0;
        foreach (self::DRAWN_BY[$organ] as $beginning) {
            foreach ($taxon->description->characters() as $id) {
                $described += str_starts_with($id, $beginning) ? 1 : 0;
            }
        }

        return $described >= self::LEAST_DRAWN;
    }

    /**
     * @param list<Taxon> $taxa
     *
     * @return list<DrillChoiceView>
     */
    private static function asChoices(array $taxa): array
    {
        return array_map(static fn (Taxon $t): DrillChoiceView => new DrillChoiceView($t->id, $t->commonName()), $taxa);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private static function shuffled(Randomizer $random, array $ids): array
    {
        return array_values(array_map(strval(...), $random->shuffleArray($ids)));
    }
}
