<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Trees\GoesWithTree;
use App\Trees\Gone;
use App\Trees\Specimen;
use App\Trees\TreeKind;
use App\Trees\TreeMeasure;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Clearance\Answer;
use Hylognosis\Measure\CalendarDay;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * Which tree is which, and of what kind: two tags that are one tree, one tag that is two, and what it is held to be.
 */
final readonly class TreeIdentities
{
    /** An examination carries a kind from this probability on. */
    private const CARRIES = 0.95;

    public function __construct(
        private EntityManagerInterface $entities,
        private StoredExaminations $stored,
        private DeedRepository $deeds,
        private SchoolClock $clock,
        /** @var iterable<GoesWithTree> */
        #[AutowireIterator(GoesWithTree::class)] private iterable $hanging,
        /** @var iterable<SettledTrees> */
        #[AutowireIterator(SettledTrees::class)] private iterable $told,
    ) {
    }

    /** What a cleared examination took the tree for, it is held to be; examinations that agree are put beside it. */
    public function cleared(ExaminationRecord $record, DecisionRecord $decision): void
    {
        if (Answer::Cleared !== $decision->answer) {
            return;
        }
        $tree = $record->specimen;
        $before = $this->last($tree);
        $on =
            null !== $before && $tree->kind === $decision->taxon && $tree->kindFlora === $record->flora
                ? $before->examinations
                : [];
        if ('' === $tree->doubt && !\in_array($record->id, $on, true)) {
            $this->entities->persist(
                new TreeKind(
                    $tree,
                    $decision->taxon,
                    $record->flora,
                    [...$on, $record->id],
                    '',
                    $record->examiner,
                    $this->clock->now(),
                ),
            );
        }
    }

    /**
     * An instructor holds the tree to be a kind, on the ground of signed examinations that each name it.
     *
     * @param list<string> $examinations
     *
     * @throws Refused if one of them does not carry that kind
     */
    public function hold(Specimen $tree, string $taxon, array $examinations, User $by): void
    {
        $flora = '';
        foreach ($examinations as $id) {
            $record = $this->entities->find(ExaminationRecord::class, $id);
            if (null === $record || $record->specimen !== $tree || !$record->isSigned()) {
                throw Refused::field('examinations', 'Only signed examinations of this tree can carry its kind.');
            }
            $identification = $this->stored->assess($record)->identification;
            if (
                !isset($identification->compiled->flora->taxa[$taxon])
                || $identification->posteriorOf($taxon) < self::CARRIES
            ) {
                throw Refused::field(
                    'examinations',
                    \sprintf(
                        'The examination of %s does not name that kind: it gives it less than %d in 100.',
                        CalendarDay::iso($record->date),
                        (int) (100 * self::CARRIES),
                    ),
                );
            }
            if ('' !== $flora && $flora !== $record->flora) {
                throw Refused::field('examinations', 'They were made with different floras; choose those of one.');
            }
            $flora = $record->flora;
        }
        if ('' === $flora) {
            throw Refused::field('examinations', 'A kind rests on at least one signed examination.');
        }
        $this->deeds->note($by, DeedKind::KindHeld, $tree->tag, $taxon);
        $this->entities->persist(new TreeKind($tree, $taxon, $flora, $examinations, '', $by, $this->clock->now()));
        $this->settled($tree);
    }

    /** Somebody has signed what he saw there, or its kind was settled. */
    public function settled(Specimen $tree): void
    {
        foreach ($this->told as $told) {
            $told->settled($tree);
        }
    }

    /** Anybody may doubt a kind, and says why. */
    public function doubt(Specimen $tree, string $because, User $by): void
    {
        if ('' === $tree->kind) {
            throw Refused::conflict('No kind is held of this tree; there is nothing to doubt.');
        }
        $this->deeds->note($by, DeedKind::KindDoubted, $tree->tag, $because);
        $this->entities->persist(
            new TreeKind(
                $tree,
                $tree->kind,
                $tree->kindFlora,
                $this->last($tree)->examinations ?? [],
                $because,
                $by,
                $this->clock->now(),
            ),
        );
    }

    public function last(Specimen $tree): ?TreeKind
    {
        return $this->entities->getRepository(TreeKind::class)->findOneBy(['specimen' => $tree], ['id' => 'DESC']);
    }

    /** Two tags turned out to hang on one tree: all that is known goes with the one that stays. */
    public function merge(Specimen $stays, Specimen $goes, string $because, User $by): void
    {
        if ($stays === $goes) {
            throw Refused::field('with', 'That is the same tree.');
        }
        if ($stays->site !== $goes->site) {
            throw Refused::field('with', 'They stand at different places; one tree does not.');
        }
        if (!$stays->isThere() || !$goes->isThere()) {
            throw Refused::field('with', 'One of them is not there any more.');
        }
        if ('' !== $stays->kind && '' !== $goes->kind && $stays->kind !== $goes->kind) {
            throw Refused::field(
                'with',
                \sprintf(
                    'They are held to be different kinds. If they are one tree, one of the two is wrong: doubt '.
                        'the kinds of %s and %s first.',
                    $stays->tag,
                    $goes->tag,
                ),
            );
        }
        foreach ($this->entities->getRepository(ExaminationRecord::class)->findBy(['specimen' => $goes]) as $record) {
            $record->specimen = $stays;
        }
        foreach ($this->entities->getRepository(TreeMeasure::class)->findBy(['specimen' => $goes]) as $measure) {
            $measure->specimen = $stays;
        }
        foreach ($this->hanging as $what) {
            $what->moved($goes, $stays);
        }
        if (null === $stays->latitude) {
            [$stays->latitude, $stays->longitude, $stays->uncertainty] = [
                $goes->latitude,
                $goes->longitude,
                $goes->uncertainty,
            ];
        }
        if ('' === $stays->kind && '' !== $goes->kind) {
            $of = $this->last($goes);
            $this->entities->persist(
                new TreeKind(
                    $stays,
                    $goes->kind,
                    $goes->kindFlora,
                    $of->examinations ?? [],
                    $goes->doubt,
                    $by,
                    $this->clock->now(),
                ),
            );
        }
        $today = $this->clock->today();
        $stays->rememberTag($goes->tag, $today);
        [$goes->gone, $goes->goneOn, $goes->mergedInto] = [Gone::Merged, $today, $stays->id];
        $this->deeds->note($by, DeedKind::TreesMerged, $stays->tag, $goes->tag.': '.$because);
    }

    /**
     * One tag turned out to stand for two trees: the named examinations were of the other. The kind of the first rests
     * on them no more.
     *
     * @param list<string> $examinations
     *
     * @throws Refused if one of them is no examination of this tree
     */
    public function split(Specimen $tree, Specimen $other, array $examinations, string $because, User $by): void
    {
        foreach ($examinations as $id) {
            $record = $this->entities->find(ExaminationRecord::class, $id);
            if (null === $record || $record->specimen !== $tree) {
                throw Refused::field('examinations', 'One of them is no examination of this tree.');
            }
            foreach (
                [$record, ...$this->entities->getRepository(ExaminationRecord::class)->findBy(['secondOf' => $record])] as $moved
            ) {
                $moved->specimen = $other;
            }
            if (null !== $record->secondOf && !\in_array($record->secondOf->id, $examinations, true)) {
                throw Refused::field(
                    'examinations',
                    'A second look goes with the first one it answers; name that one too.',
                );
            }
        }
        $rests = $this->last($tree)->examinations ?? [];
        $left = array_values(array_diff($rests, $examinations));
        if ('' !== $tree->kind && $left !== $rests) {
            $this->entities->persist(
                new TreeKind(
                    $tree,
                    [] === $left ? '' : $tree->kind,
                    $tree->kindFlora,
                    $left,
                    [] === $left ? '' : $tree->doubt,
                    $by,
                    $this->clock->now(),
                ),
            );
        }
        $this->deeds->note($by, DeedKind::TreeSplit, $tree->tag, $other->tag.': '.$because);
    }
}
