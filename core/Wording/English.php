<?php

declare(strict_types=1);

namespace Hylognosis\Wording;

use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\Subject;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Organ;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\SampleSummary;
use Hylognosis\Measure\Units;
use Hylognosis\Reason\Reason;

/** English, in the reader's units. Where names are covered, no kind is named and no wanted value is said. */
final readonly class English implements Wording
{
    private const TITLES = [
        'required-features' => 'Required features',
        'no-contradiction' => 'No contradiction',
        'look-alikes-excluded' => 'Look-alikes excluded',
        'strength' => 'Strength',
        'breadth' => 'Breadth',
        'part-and-condition' => 'Part and condition',
        'place' => 'Place',
        'people' => 'People',
        'freshness' => 'Freshness',
    ];

    public function __construct(
        private Flora $flora,
        public Units $units = Units::Metric,
        private bool $covered = false,
    ) {
    }

    public function title(string $point): string
    {
        return self::TITLES[$point] ?? throw new \LogicException(\sprintf('There is no point "%s".', $point));
    }

    public function label(PointItem $item): string
    {
        return match ($item->about) {
            Subject::Character => $this->flora->character($item->subject)->label,
            Subject::Taxon => $this->name($item->subject),
            Subject::Condition => $this->question(new Told($item->detail)),
            Subject::Window => 'Window at this place:',
        };
    }

    public function sentence(Reason $reason): string
    {
        $told = new Told($reason);

        return $this->ofFeatures($told) ??
            ($this->ofContradictions($told) ??
                ($this->ofDangers($told) ??
                    ($this->ofStrengthAndBreadth($told) ??
                        ($this->ofPart($told) ??
                            ($this->ofPlace($told) ??
                                ($this->ofPeople($told) ??
                                    ($this->ofFreshness($told) ??
                                        ($this->ofTheGate($told) ??
                                            ($this->ofTheNextLook($told) ??
                                                throw new \LogicException(
                                                    \sprintf('English has no sentence for "%s".', $reason->code),
                                                ))))))))));
    }

    private function ofFeatures(Told $t): ?string
    {
        return match ($t->code) {
            'features-met' => \sprintf('%d of %d required features are met.', $t->whole('met'), $t->whole('all')),
            'score-the-open-ones' => 'Score the open ones, sure, on the tree.',
            'a-feature-is-otherwise' => 'A required feature was seen to be otherwise. Look again at it; if it '.
                'stays so, this is not the tree.',
            'not-scored' => $this->wanted($t).$this->from($t),
            'disagree' => 'Two scores disagree. A further look, sure and on the tree, settles it.',
            'does-not-apply' => $this->wanted($t).' Scored as making no sense on this tree.',
            'out-of-season' => 'Scored at a time of year when it cannot be seen on this kind.',
            'unripe' => $this->wanted($t).' Seen otherwise: it may not be ripe yet.',
            'seen-otherwise' => $this->wanted($t).' Seen otherwise.',
            'feature-met' => ucfirst($this->values($t)).', on '.$t->whole('samples').'.',
            'too-few' => \sprintf(
                'Seen on %d at once; at least %d are needed. The same twig scored twice is one twig.',
                $t->whole('samples'),
                $t->whole('needed'),
            ),
            'litter-only' => 'Seen on the ground only; it has to be seen on the tree.',
            'not-sure' => 'Scored, but not sure. Look again.',
            default => null,
        };
    }

    private function ofContradictions(Told $t): ?string
    {
        return match ($t->code) {
            'nothing-against' => 'Nothing that was seen speaks against '.$this->taxon($t).'.',
            'unusual-explained' => \sprintf(
                '%s not described for %s. Descriptions are never complete: so much does not shut the gate.',
                $this->unusualCount($t),
                $this->taxon($t),
            ),
            'too-unusual' => \sprintf(
                '%s not described for %s: more than a description leaves out of a right tree.',
                $this->unusualCount($t),
                $this->taxon($t),
            ),
            'contradicted' => 'Something was seen that speaks against '.$this->taxon($t).'.',
            'scores-disagree' => 'Scores of one character disagree, or were taken back and not looked at again.',
            'look-again-at-disagreement' => 'Look again at it, as a further look, or let somebody else look.',
            'look-again-or-another-tree' => 'Look again at it. If it stays so, this is another tree.',
            'never' => \sprintf('Seen: %s. %s never shows that.', $this->values($t), ucfirst($this->taxon($t))),
            'required-otherwise' => \sprintf('Seen: %s. That is not what is required.', $this->values($t)),
            'unusual' => [] === $t->list('values')
                ? 'Scored as making no sense here: not described so for this kind. Look again.'
                : \sprintf('Seen: %s. Not described for this kind; look again.', $this->values($t)),
            'taken-back' => \sprintf(
                '%s was scored and taken back. Look again, or let somebody else look.',
                ucfirst($this->values($t)),
            ),
            default => null,
        };
    }

    private function ofDangers(Told $t): ?string
    {
        return match ($t->code) {
            'all-excluded' => \sprintf(
                'All %d dangerous kinds of this flora are excluded%s.',
                $t->whole('all'),
                0 === $t->whole('lines')
                    ? ''
                    : \sprintf(
                        ', by %d lines of what they never show%s',
                        $t->whole('lines'),
                        $this->unread($t->whole('unread'), $t->whole('lines')),
                    ),
            ),
            'could-still-be' => $this->covered
                ? \sprintf('%d dangerous kinds are not yet excluded.', \count($t->list('taxa')))
                : \sprintf('It could still be: %s.', implode(', ', array_map($this->name(...), $t->texts('taxa')))),
            'see-what-it-never-shows' => 'For each, see something it never shows, in two organs.',
            'excluded-by' => \sprintf(
                'Excluded by %s%s.',
                $this->labels($t->texts('characters')),
                0 === $t->whole('read') ? '; read by nobody but its author' : '',
            ),
            'nothing-against-it' => 'Nothing seen yet speaks against it.',
            'one-more-organ' => 'One more organ is needed; so far: '.$this->labels($t->texts('characters')).'.',
            default => null,
        };
    }

    private function ofStrengthAndBreadth(Told $t): ?string
    {
        return match ($t->code) {
            'nothing-scored' => 'Nothing has been scored yet.',
            'start-with-the-next-look' => 'Start with what the next look suggests.',
            'another-leads' => $this->covered
                ? 'Another kind explains what was seen better.'
                : \sprintf(
                    '%s explains what was seen better than %s.',
                    ucfirst($this->name($t->text('leader'))),
                    $this->taxon($t),
                ),
            'let-go-of-the-hunch' => 'Let go of the hunch, or look again at what speaks against it.',
            'poor-fit' => 'Even the best candidate explains what was seen badly.',
            'perhaps-not-in-this-flora' => 'It may be a tree this flora does not hold. Look again at the odd features.',
            'thin-lead' => \sprintf(
                '%s has a probability of %s; %s is needed.',
                ucfirst($this->taxon($t)),
                self::percent($t->number('posterior')),
                self::percent($t->number('needed')),
            ),
            'part-it-from-the-runner-up' => 'Score more of what parts it from the runner-up.',
            'perhaps-unlisted' => \sprintf(
                'Something this flora does not hold still has %s; %s at most is allowed.',
                self::percent($t->number('unlisted')),
                self::percent($t->number('most')),
            ),
            'score-what-few-share' => 'Score more features that few trees share.',
            'leads' => \sprintf(
                '%s leads with %s and explains what was seen.',
                ucfirst($this->taxon($t)),
                self::percent($t->number('posterior')),
            ),
            'no-organ' => 'No organ has been scored on the tree yet.',
            'organs-scored' => \sprintf('Scored on the tree: %s.', $this->organs($t)),
            'score-more-organs' => \sprintf(
                'Score %d more on the tree itself, such as %s.',
                $t->whole('missing'),
                $this->organs($t),
            ),
            default => null,
        };
    }

    private function ofPart(Told $t): ?string
    {
        return match ($t->code) {
            'harmful-part' => $this->flora->taxon($t->text('taxon'))->part($t->text('part'))->harmful,
            'never-taken' => 'Nothing: this part is not taken.',
            'in-window-and-confirmed' => 'In its window, and its condition is confirmed.',
            'answer-with-the-part-in-view' => 'Answer the open questions with the part in view.',
            'leave-it-now' => 'Leave it now; come back when it holds.',
            'no-window-here' => 'It does not come about at this place: the cold comes before.',
            'in-window' => $this->window($t).'.',
            'not-in-window' => $this->window($t).' – not now.',
            'not-answered' => 'Not answered yet.',
            'answered-too-early' => 'Answered before its time or too long ago. Answer it again, with the part in view.',
            'condition-holds' => $t->flag('found') ? 'Yes.' : 'No, ruled out.',
            'condition-fails' => ($t->flag('found') ? 'Yes. ' : 'No. ').
                ($this->flora->taxon($t->text('taxon'))->part($t->text('part'))->condition($t->text('condition'))
                    ->note ??
                    ''),
            default => null,
        };
    }

    private function ofPlace(Told $t): ?string
    {
        return match ($t->code) {
            'protected-in-region' => ucfirst($this->taxon($t)).' is protected in this region.',
            'the-law-comes-first' => 'Nothing here: the law comes first.',
            'protected-here' => ucfirst($this->taxon($t)).' is protected at this place.',
            'ask-those-who-look-after-it' => 'Ask those who look after the place; until then leave it.',
            'outside-region' => \sprintf(
                'This flora holds for %s; the place lies outside. Other dangerous trees may grow here that it '.
                    'does not know.',
                $t->text('region'),
            ),
            'choose-another-flora' => 'Work with a flora of the region, and check position and altitude of the place.',
            'shift-too-far' => \sprintf(
                'By position and altitude spring would come %d days %s here than where this flora’s dates are '.
                    'from: too far to reckon with.',
                abs($t->whole('days')),
                $t->whole('days') < 0 ? 'earlier' : 'later',
            ),
            'check-the-place' => 'Check position and altitude of the place (metres or feet?).',
            'no-permission' => 'The owner has not given permission.',
            'ask-or-go-elsewhere' => 'Ask the owner, or take it elsewhere.',
            'permission-not-recorded' => 'No permission is recorded for this place.',
            'permission-for-other-parts' => 'The permission is for other parts, not for this one.',
            'ask-and-record' => 'Ask the owner and record the answer with the site.',
            'permission-ended' => 'The permission ended on '.
                (new \DateTimeImmutable($t->text('on')))->format('j F Y').
                '.',
            'have-it-renewed' => 'Have it renewed.',
            'quota-used-up' => \sprintf(
                'The quota of this place for %s is used up: %d of %d this year.',
                $this->taxon($t),
                $t->whole('used'),
                $t->whole('allowed'),
            ),
            'quota-not-known' => \sprintf(
                '%s is counted at this place. How much others have taken since %s cannot be known here.',
                ucfirst($this->taxon($t)),
                self::moment($t->text('at')),
            ),
            'last-word-too-old' => \sprintf(
                'What is known here of this place was last heard on %s; that is too long ago.',
                self::moment($t->text('at')),
            ),
            'go-where-the-records-are' => 'Leave it until the server has been reached; it asks the gate again then.',
            'leave-it-until-next-year' => 'Leave it until next year.',
            'permitted' => 'Permission is recorded and valid. Local law comes first all the same.',
            'permitted-near-border' => \sprintf(
                'Permission is recorded and valid. The place lies near the border of %s: trees of the next '.
                    'region may stand here. Local law comes first all the same.',
                $t->text('region'),
            ),
            default => null,
        };
    }

    private function ofPeople(Told $t): ?string
    {
        return match ($t->code) {
            'learner-never-clears' => 'A learner’s examination never clears.',
            'trust-does-not-hold' => 'The trust this learner has earned is for another part, or for other days than '.
                'those of the examination and of the decision.',
            'trusted-with-this-part' => 'The examiner is a learner who is trusted with this part; no deadly kind is '.
                'near enough to call for a second one.',
            'ask-an-instructor' => 'Ask an instructor to examine the tree.',
            'second-dissents' => 'A second examiner came to another conclusion.',
            'settle-the-dissent' => 'Look at the tree together. It stays so until that examiner takes the '.
                'conclusion back on record.',
            'one-is-enough' => 'The examiner may decide; no deadly kind is near enough to call for a second one.',
            'second-agrees' => 'A second examiner reached the same taxon, blind.',
            'second-needed' => 'A deadly kind is near: a second examiner is needed, who knows neither these '.
                'scores nor the hope.',
            'sign-and-ask' => 'Sign, and ask another instructor to examine the tree blind.',
            'second-not-blind' => 'The second examiner had seen the first scores or knew the hope.',
            'ask-somebody-who-has-not-seen' => 'Ask somebody who has not, to look with their own eyes.',
            'second-is-a-copy' => 'The second scores are the first ones over again, to the last twig.',
            'second-is-the-same-person' => 'Both looks are by the same person.',
            'second-may-not-decide' => 'The second examiner may not decide.',
            'ask-another-instructor' => 'Ask another instructor.',
            'second-too-old' => 'The second examination is too old.',
            'have-it-made-again' => 'Have it made again.',
            'second-has-not-reached-it' => 'The second examiner has not reached the same taxon yet.',
            'second-lacks-features' => 'The second examiner has not met every required feature.',
            'second-scores-disagree' => 'Scores of the second examiner disagree.',
            'second-leaves-dangers' => 'The second examiner has not excluded every danger.',
            'finish-the-second' => 'The second examination has to be finished.',
            default => null,
        };
    }

    private function ofFreshness(Told $t): ?string
    {
        return match ($t->code) {
            'another-tree' => 'The examination was made on another tree.',
            'examine-this-tree' => 'Examine the tree the part is to be taken from.',
            'dated-after' => 'The examination is dated after the decision.',
            'correct-the-date' => 'Correct the date.',
            'too-old' => \sprintf(
                'The examination is %d days old; for this part it holds %d.',
                $t->whole('age'),
                $t->whole('allowed'),
            ),
            'examine-again' => 'Examine the tree again.',
            'same-day' => 'Examined the same day.',
            'fresh' => \sprintf(
                'Examined %d days before; for this part it holds %d.',
                $t->whole('age'),
                $t->whole('allowed'),
            ),
            default => null,
        };
    }

    private function ofTheGate(Told $t): ?string
    {
        return match ($t->code) {
            'as-written' => $t->text('sentence'),
            'cleared' => 'The required list is met, and the dangerous look-alikes known to this flora are excluded.',
            'danger-could-still-be' => $this->covered
                ? 'It could still be something dangerous. Look on.'
                : \sprintf(
                    'It could still be %s, which is %s. Look on: so far little has been looked at.',
                    $this->taxon($t),
                    $t->text('severity'),
                ),
            'danger-fits-better', 'danger-fits-as-well' => $this->covered
                ? \sprintf('A %s kind fits what was seen at least as well.', $t->text('severity'))
                : \sprintf(
                    '%s fits what was seen %s %s. It is %s.',
                    ucfirst($this->taxon($t)),
                    'danger-fits-better' === $t->code ? 'better than' : 'as well as',
                    $this->name($t->text('claimed')),
                    $t->text('severity'),
                ),
            default => null,
        };
    }

    private function ofTheNextLook(Told $t): ?string
    {
        if (
            $this->covered
            && \in_array(
                $t->code,
                [
                    'speaks-against',
                    'tells-apart',
                    'required-and-tells-apart',
                    'required',
                    'tells-two-apart',
                    'narrows-down',
                ],
                true,
            )
        ) {
            return 'Worth a look.';
        }

        return match ($t->code) {
            'speaks-against' => 'What was seen speaks against '.$this->taxon($t).'. Look at it once more.',
            'required-and-tells-apart', 'tells-apart' => ('tells-apart' === $t->code
                ? 'Parts '
                : 'Required, and parts ').
                $this->taxon($t).
                ' from '.
                $this->several($t).
                '.',
            'required' => 'Required before anything is taken from '.$this->taxon($t).'.',
            'tells-two-apart' => 'Parts '.
                $this->name($t->texts('taxa')[0] ?? '').
                ' from '.
                $this->name($t->texts('taxa')[1] ?? '').
                '.',
            'narrows-down' => 'Narrows down what it can be.',
            default => null,
        };
    }

    /** Values of a character as this reader reads them. */
    public function valuesOf(string $character, string|float ...$values): string
    {
        $found = $this->flora->character($character);
        $words = array_map(
            fn (string|float $value): string => \is_string($value)
                ? $found->states[$value]->label ?? $value
                : (string) $this->units->number($value, $found->unit),
            array_values(array_unique($values)),
        );

        return trim(implode(', ', $words).' '.($found->isNumeric() ? $this->units->insteadOf($found->unit) : ''));
    }

    /** Several numbers of a character in a few figures: `5 to 7, mean 6.3, spread 1.2, on 3`. */
    public function summary(string $character, SampleSummary $summary): string
    {
        $found = $this->flora->character($character);

        return trim(
            $summary->in(fn (float $number): float => $this->units->number($number, $found->unit))->words().
                ' '.
                $this->units->insteadOf($found->unit),
        );
    }

    private function wanted(Told $t): string
    {
        if ($this->covered) {
            return 'To be scored.';
        }
        $character = $this->flora->character($t->text('character'));
        $states = array_map(static fn (string $id): string => $character->state($id)->label, $t->texts('states'));
        $range = $t->text('range');
        $beside = array_map(static fn (string $id): string => $character->state($id)->label, $t->texts('beside'));

        return \sprintf(
            'Must be: %s%s%s.',
            '' === $range
                ? implode(' or ', $states)
                : NumberRange::parse($range)->words($character->unit, $this->units),
            $t->whole('needed') > 1 ? \sprintf(', on %d or more', $t->whole('needed')) : '',
            [] === $beside ? '' : '; '.implode(' or ', $beside).' may be seen beside it',
        );
    }

    private function from(Told $t): string
    {
        return match (true) {
            !$t->says('from') => '',
            '' === $t->text('from') => ' The flora does not say when it can be seen.',
            default => ' It can be seen from about '.DayOfYear::parse($t->text('from'))->words().'.',
        };
    }

    private function window(Told $t): string
    {
        return $t->flag('all-year')
            ? 'all year'
            : DayOfYear::parse($t->text('from'))->words().' to '.DayOfYear::parse($t->text('to'))->words();
    }

    private function question(Told $t): string
    {
        return $this->flora->taxon($t->text('taxon'))->part($t->text('part'))->condition($t->text('condition'))
            ->question ?? $t->text('condition');
    }

    private function unusualCount(Told $t): string
    {
        return 1 === $t->whole('unusual')
            ? \sprintf('One of %d things seen is', $t->whole('looks'))
            : \sprintf('%d of %d things seen are', $t->whole('unusual'), $t->whole('looks'));
    }

    private function unread(int $unread, int $lines): string
    {
        return match (true) {
            0 === $unread => '',
            $unread === $lines => ', read by nobody but their author',
            default => \sprintf(', %d of them read by nobody but their author', $unread),
        };
    }

    /** @param list<string> $characters */
    private function labels(array $characters): string
    {
        return implode(', ', array_map(fn (string $id): string => $this->flora->character($id)->label, $characters));
    }

    private function organs(Told $t): string
    {
        return implode(
            ', ',
            array_map(static fn (string $organ): string => Organ::from($organ)->label(), $t->texts('organs')),
        );
    }

    private function values(Told $t): string
    {
        return $this->valuesOf($t->text('character'), ...$t->list('values'));
    }

    private function several(Told $t): string
    {
        $names = array_map($this->name(...), $t->texts('taxa'));
        if ($t->whole('more') > 0) {
            $names[] = $t->whole('more').' more';
        }
        $last = (string) array_pop($names);

        return [] === $names ? $last : implode(', ', $names).' and '.$last;
    }

    private function taxon(Told $t): string
    {
        return $this->name($t->text('taxon'));
    }

    private function name(string $taxon): string
    {
        return $this->covered ? 'it' : $this->flora->taxon($taxon)->commonName();
    }

    private static function moment(string $at): string
    {
        return (new \DateTimeImmutable($at))->format('j F, H:i');
    }

    private static function percent(float $share): string
    {
        return match (true) {
            $share > 0.9995 => 'over 99.9 %',
            $share >= 0.995 || ($share < 0.1 && $share > 0.0) => rtrim(
                rtrim(\sprintf('%.1f', $share * 100), '0'),
                '.',
            ).' %',
            default => \sprintf('%d %%', floor($share * 100)),
        };
    }
}
