<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\User;
use App\Learning\LearnerReading;
use App\Learning\PracticeAnswer;
use App\Learning\PracticeCode;
use App\Learning\PracticeLot;
use App\Trust\TrustEvidence;
use App\Trust\TrustGrant;
use App\Trust\TrustRule;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Document\Node;
use Hylognosis\Examination\Certainty;
use Hylognosis\Flora\Character;
use Hylognosis\Identification\MisreadingModel;
use Hylognosis\Learning\LearnersDecision;
use Hylognosis\Learning\PracticeMark;
use Hylognosis\Learning\Reading;
use Hylognosis\Learning\TrustAccount;
use Hylognosis\Learning\TrustTerms;
use Hylognosis\Measure\CalendarDay;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Uid\Uuid;

/**
 * How the learners of the invented school practised over a season: drawn by lot from faults of their own, so that their
 * pages show what the rules make of real readings.
 */
final readonly class DemoLearning
{
    private const FLORA = 'central-european-hills';
    /** Characters somebody scores on one tree. */
    private const SCORED = 7;
    /** Whoever practises misreads so much less after each tree. */
    private const LEARNS = 0.97;
    private const DAYS_BETWEEN = 3;

    public function __construct(
        private EntityManagerInterface $entities,
        private PracticeLot $lot,
        private TrustEvidence $evidence,
    ) {
    }

    /** @param array<string, User> $people */
    public function add(Node $school, array $people): void
    {
        $rules = [];
        foreach ($school->children('learners') as $node) {
            $this->season($node, $people[$node->text('who')]);
        }
        foreach ($school->child('trust')->children('rules') as $node) {
            [$taxon, $part] = explode('/', $node->text('what'));
            $terms = new TrustTerms(
                $node->integer('looks', 1, 99),
                $node->integer('look_alikes', 0, 99),
                $node->integer('traps', 0, 99),
                $node->integer('months', 1, 36),
                $node->integer('valid_months', 1, 36),
            );
            $rule = new TrustRule($taxon, $part, self::FLORA, $terms, $people[$node->text('by')]);
            $this->entities->persist($rule);
            $rules[$node->text('what')] = $rule;
        }
        foreach ($school->child('trust')->children('earned') as $node) {
            $this->earned($node, $people, $rules[$node->text('what')] ?? throw new \LogicException('No such rule.'));
        }
        $this->entities->flush();
    }

    /**
     * Earned on what stands on record, or not at all.
     *
     * @param array<string, User> $people
     */
    private function earned(Node $node, array $people, TrustRule $rule): void
    {
        $learner = $people[$node->text('who')];
        foreach ($node->texts('traps') as $i => $day) {
            $this->trap($learner, $rule, CalendarDay::parse($day), LearnersDecision::Never, 100 + $i);
        }
        $this->entities->flush();
        $on = CalendarDay::parse($node->text('on'));
        $terms = $rule->terms();
        $account = TrustAccount::of(
            $terms,
            $this->evidence->of($learner, $rule->flora, $rule->taxon, $rule->part, $terms->since($on)),
            $on,
        );
        if (!$account->isEarned()) {
            throw new \LogicException($learner->name.' has not earned it: '.json_encode($account->counts));
        }
        $grant = new TrustGrant(
            Uuid::v7()->toRfc4122(),
            $learner,
            $rule->taxon,
            $rule->part,
            $rule->flora,
            $people[$node->text('by')],
            $on,
            $terms->until($on),
            array_map(TrustGrant::kept(...), $account->looks),
            $terms->asNumbers(),
        );
        $this->entities->persist($grant);
        if ($node->has('withdrawn')) {
            $this->trap($learner, $rule, CalendarDay::parse($node->text('wrong')), LearnersDecision::Take, 200);
            $grant->withdraw(
                CalendarDay::parse($node->text('withdrawn')),
                $people[$node->text('withdrawn_by')],
                $node->text('because'),
            );
        }
    }

    /** A practice tree drawn for the part that is something else. */
    private function trap(
        User $learner,
        TrustRule $rule,
        \DateTimeImmutable $on,
        LearnersDecision $what,
        int $lot,
    ): void {
        do {
            $code = new PracticeCode(self::FLORA, (int) $on->format('n'), $lot, $rule->taxon, $rule->part);
            $drawn = $this->lot->drawn($code);
            $lot += 7;
        } while ($drawn->isWanted() || $drawn->isOutsider());
        $taxon = $drawn->tree->taxon->id;
        $this->entities->persist(
            new PracticeAnswer(
                Uuid::v7()->toRfc4122(),
                $learner,
                (string) $code,
                $taxon,
                LearnersDecision::Take === $what ? $rule->taxon : $taxon,
                $what,
                PracticeMark::of($what, false, false),
                0,
                0,
                $on->modify('18:20'),
            ),
        );
    }

    private function season(Node $node, User $learner): void
    {
        $random = new Randomizer(new Mt19937(crc32($learner->email)));
        $chance = static fn (): float => $random->getInt(0, 999_999) / 1_000_000;
        $faults = $node->texts('faults');
        $rate = $node->number('rate', 0, 1);
        $day = CalendarDay::parse($node->text('from'));
        for ($tree = 0; $tree < $node->integer('trees', 1, 100); ++$tree) {
            $at = $day->modify(\sprintf('+%d days 17:%02d', self::DAYS_BETWEEN * $tree, $random->getInt(0, 59)));
            $drawn = $this->lot->drawn(
                new PracticeCode(self::FLORA, (int) $at->format('n'), $random->getInt(0, 2_000_000_000)),
            );
            $asked = $random->shuffleArray($drawn->tree->characters());
            // each goes first to what he finds hard
            $isHard = static fn (mixed $id): bool => \in_array($id, $faults, true);
            usort($asked, static fn (mixed $a, mixed $b): int => $isHard($b) <=> $isHard($a));
            $read = $right = 0;
            foreach (\array_slice($asked, 0, self::SCORED) as $id) {
                $character = $drawn->compiled->flora->characters[(string) $id] ?? null;
                $true = $drawn->tree->all((string) $id);
                if (null === $character || $character->isNumeric() || !\is_string($true[0] ?? null)) {
                    continue;
                }
                $errs = $chance() < (\in_array($id, $faults, true) ? $rate * self::LEARNS ** $tree : 0.06);
                $value = $errs ? self::instead($character, $true[0], $chance()) : $true[0];
                $sure = $chance() < $node->number('boldness', 0, 1)
                    ? Certainty::Sure
                    : ($chance() < 0.6 ? Certainty::Likely : Certainty::Unsure);
                $isRight = (new Reading($character->id, $true, [$value], $sure, $at))->isRight($character);
                $this->entities->persist(
                    new LearnerReading($learner, self::FLORA, $character->id, $true, [$value], $sure, $isRight, $at),
                );
                ++$read;
                $right += $isRight ? 1 : 0;
            }
            $named = $chance() < 0.6;
            $decision = match (true) {
                $chance() < 0.25 * $node->number('boldness', 0, 1) => LearnersDecision::Take,
                $chance() < 0.3 => LearnersDecision::Never,
                default => LearnersDecision::NotYet,
            };
            $this->entities->persist(
                new PracticeAnswer(
                    Uuid::v7()->toRfc4122(),
                    $learner,
                    (string) $drawn->code,
                    $drawn->tree->taxon->id,
                    $named ? $drawn->tree->taxon->id : $drawn->hope->id ?? '',
                    $decision,
                    PracticeMark::of($decision, $drawn->isWanted(), false),
                    $read,
                    $right,
                    $at,
                ),
            );
        }
    }

    /** @param float $lot 0 to 1 */
    private static function instead(Character $character, string $true, float $lot): string
    {
        foreach (MisreadingModel::misread($character)[$true] ?? [] as $read => $share) {
            $lot -= $share;
            if ($lot < 0.0) {
                return (string) $read;
            }
        }

        return $true;
    }
}
