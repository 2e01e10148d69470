<?php

declare(strict_types=1);

namespace App\Trust;

use App\Account\Role;
use App\Account\User;
use App\Account\UserRepository;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRecord;
use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use App\Trust\View\TrustGrantView;
use App\Trust\View\TrustLookView;
use App\Trust\View\TrustRuleView;
use App\Trust\View\TrustStandingView;
use App\Trust\View\TrustView;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Learning\TrustAccount;
use Hylognosis\Learning\TrustLook;
use Hylognosis\Learning\TrustOutcome;
use Hylognosis\Measure\CalendarDay;

/** Lays out what learners have earned. */
final readonly class TrustPage
{
    public function __construct(
        private EntityManagerInterface $entities,
        private TrustGrantRepository $grants,
        private TrustEvidence $evidence,
        private UserRepository $users,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    public function for(User $reader): TrustView
    {
        $rules = $this->rules();
        $mayGrant = $reader->role->mayDecide();
        $learners = $mayGrant ? $this->users->findBy(['role' => Role::Learner], ['name' => 'ASC']) : [$reader];
        $standings = [];
        foreach ($rules as $rule) {
            foreach ($learners as $learner) {
                if (Role::Learner === $learner->role && !$learner->hasLeft()) {
                    $standings[] = $this->standing($learner, $rule);
                }
            }
        }
        $grants = $this->grants->findBy($mayGrant ? [] : ['learner' => $reader], ['on' => 'DESC', 'id' => 'DESC']);
        $today = $this->clock->today();
        usort($grants, static fn (TrustGrant $a, TrustGrant $b): int => $b->holds($today) <=> $a->holds($today));

        return new TrustView(
            $mayGrant,
            array_map(
                fn (TrustRule $r): TrustRuleView => TrustRuleView::of($r, $this->what($r->flora, $r->taxon, $r->part)),
                $rules,
            ),
            $standings,
            array_map($this->grant(...), $grants),
        );
    }

    public function account(User $learner, TrustRule $rule): TrustAccount
    {
        $today = $this->clock->today();

        return TrustAccount::of(
            $rule->terms(),
            $this->evidence->of($learner, $rule->flora, $rule->taxon, $rule->part, $rule->terms()->since($today)),
            $today,
        );
    }

    /** @return list<TrustRule> of floras and parts that are there */
    private function rules(): array
    {
        return array_values(
            array_filter(
                $this->entities->getRepository(TrustRule::class)->findBy([], ['taxon' => 'ASC', 'part' => 'ASC']),
                fn (TrustRule $rule): bool => '' !== $this->what($rule->flora, $rule->taxon, $rule->part),
            ),
        );
    }

    /** In words; empty where the flora does not know it any more. */
    private function what(string $flora, string $taxon, string $part): string
    {
        try {
            $kind = $this->library->flora($flora)->taxon($taxon);

            return $kind->commonName().', '.$kind->part($part)->label;
        } catch (FloraRefused|UnknownEntry) {
            return '';
        }
    }

    private function standing(User $learner, TrustRule $rule): TrustStandingView
    {
        $account = $this->account($learner, $rule);
        $trust = $this->grants->of($learner, $rule->taxon, $rule->part);
        $today = $this->clock->today();

        return new TrustStandingView(
            $learner->id,
            $learner->name,
            $rule->taxon,
            $rule->part,
            $this->what($rule->flora, $rule->taxon, $rule->part),
            $account->count(TrustOutcome::Agreed),
            $account->count(TrustOutcome::LookAlikeKnown),
            $account->count(TrustOutcome::TrapSeen),
            $account->count(TrustOutcome::ClearedWrongly),
            $account->isEarned(),
            null !== $trust && $trust->from <= $today && $today <= $trust->until,
            array_map(
                fn (TrustLook $l): TrustLookView => $this->look($l->id, $l->outcome, CalendarDay::iso($l->on)),
                $account->looks,
            ),
        );
    }

    private function look(string $id, TrustOutcome $outcome, string $on): TrustLookView
    {
        $tree = $this->entities->find(ExaminationRecord::class, $id)?->specimen;

        return new TrustLookView($outcome, $on, $tree->tag ?? '', $tree?->id);
    }

    private function grant(TrustGrant $grant): TrustGrantView
    {
        $what = $this->what($grant->flora, $grant->taxon, $grant->part);

        return new TrustGrantView(
            $grant->id,
            $grant->learner->name,
            '' === $what ? $grant->taxon.', '.$grant->part : $what,
            $grant->by->name,
            CalendarDay::iso($grant->on),
            CalendarDay::iso($grant->until),
            $grant->holds($this->clock->today()),
            null === $grant->withdrawnAt ? null : CalendarDay::iso($grant->withdrawnAt),
            $grant->withdrawnBy?->name,
            $grant->withdrawnBecause,
            $grant->terms,
            array_map(
                fn (array $l): TrustLookView => $this->look($l['id'], TrustOutcome::from($l['outcome']), $l['on']),
                $grant->evidence,
            ),
        );
    }
}
