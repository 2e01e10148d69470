<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\User;
use App\Examine\DecisionRecord;
use App\Examine\ExaminationRecord;
use App\Examine\ScoreRecord;
use App\Examine\StoredExaminations;
use App\Examine\Summaries;
use App\Harvest\HarvestRecord;
use App\Library\FloraLibrary;
use App\Library\NeverReview;
use App\Storage\SettingRepository;
use App\Trees\Site;
use App\Trees\Specimen;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Document\Node;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Wording\English;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Yaml\Yaml;

/**
 * Fills an empty database with the invented school of demo/school.yaml. Decisions are not written in the file:
 * each is taken by the real gate, on the day the file gives.
 */
final readonly class DemoSchool
{
    public const PASSWORD = 'orlebach-2027';

    public function __construct(
        private EntityManagerInterface $entities,
        private UserPasswordHasherInterface $hasher,
        private SettingRepository $settings,
        private StoredExaminations $stored,
        private FloraLibrary $library,
        #[Autowire('%kernel.project_dir%/demo/school.yaml')] private string $file,
    ) {
    }

    /** Whether people are on record who are none of the invented ones: then this is somebody's school. */
    public function holdsOthers(): bool
    {
        $invented = array_map(static fn (Node $person): string => User::normalised($person->text('email')), Node::root(Yaml::parseFile($this->file))->children('people'));

        return [] !== array_filter($this->entities->getRepository(User::class)->findAll(), static fn (User $user): bool => !\in_array($user->email, $invented, true));
    }

    public function isLoaded(): bool
    {
        return 0 < $this->entities->getRepository(User::class)->count();
    }

    /** @param bool $fresh throw away what is there; should the new one fail, the old one is still there */
    public function load(bool $fresh = false): void
    {
        $this->entities->wrapInTransaction(function () use ($fresh): void {
            if ($fresh) {
                $this->clear();
            }
            $school = Node::root(Yaml::parseFile($this->file));
            $people = $this->people($school);
            $trees = $this->trees($school, $this->sites($school));
            $examinations = [];
            foreach ($school->children('examinations') as $node) {
                $examinations[$node->text('id')] = $this->examination($node, $people, $trees, $examinations);
            }
            $this->settings->put(DemoClock::DAY, $school->text('day'));
        });
    }

    public function clear(): void
    {
        $this->entities->wrapInTransaction(function (): void {
            foreach ([HarvestRecord::class, DecisionRecord::class, ScoreRecord::class, NeverReview::class] as $class) {
                $this->entities->createQuery('DELETE FROM '.$class)->execute();
            }
            $this->entities->createQuery('UPDATE '.ExaminationRecord::class.' e SET e.secondOf = NULL')->execute();
            foreach ([ExaminationRecord::class, Specimen::class, Site::class, User::class] as $class) {
                $this->entities->createQuery('DELETE FROM '.$class)->execute();
            }
        });
        $this->entities->clear();
    }

    /** @return array<string, User> */
    private function people(Node $school): array
    {
        $people = [];
        $hash = null;
        foreach ($school->children('people') as $node) {
            $email = $node->text('email');
            \assert('' !== $email);
            $user = new User($email, $node->text('name'), $node->word('role', ExaminerRole::class));
            $user->password = $hash ??= $this->hasher->hashPassword($user, self::PASSWORD); // one hash for all: it is no secret
            $this->entities->persist($user);
            $people[$node->text('id')] = $user;
        }

        return $people;
    }

    /** @return array<string, Site> */
    private function sites(Node $school): array
    {
        $sites = [];
        foreach ($school->children('sites') as $node) {
            $site = new Site($node->text('name'), $node->number('latitude', -90, 90), $node->number('longitude', -180, 180), $node->number('altitude_m', 0, 4000));
            $site->permission = $node->flag('permission', false);
            $site->permissionUntil = $node->text('until');
            $site->owner = $node->text('owner');
            foreach ($node->entries('quotas') as $what => $allowed) {
                $site->quotas[$what] = (int) $allowed->asNumber(0, 1000);
            }
            $this->entities->persist($site);
            $sites[$node->text('id')] = $site;
        }

        return $sites;
    }

    /**
     * @param array<string, Site> $sites
     *
     * @return array<string, Specimen>
     */
    private function trees(Node $school, array $sites): array
    {
        $trees = [];
        foreach ($school->children('trees') as $node) {
            $tag = $node->text('tag');
            $trees[$tag] = new Specimen($tag, $sites[$node->text('site')], $node->text('whereabouts'), new \DateTimeImmutable('2026-04-11 10:00'));
            $this->entities->persist($trees[$tag]);
        }

        return $trees;
    }

    /**
     * @param array<string, User>              $people
     * @param array<string, Specimen>          $trees
     * @param array<string, ExaminationRecord> $before
     */
    private function examination(Node $node, array $people, array $trees, array $before): ExaminationRecord
    {
        $day = $node->text('day');
        $this->settings->put(DemoClock::DAY, $day);
        $this->entities->flush();
        $flora = $this->library->flora(FloraLibrary::DEFAULT);
        $at = new \DateTimeImmutable($day.' '.$node->optionalText('at', '10:00'));
        $record = new ExaminationRecord($trees[$node->text('tree')], $people[$node->text('examiner')], $day, $flora->name, $flora->hash, $at);
        $record->stage = $node->has('stage') ? $node->word('stage', LifeStage::class) : LifeStage::Mature;
        $record->secondOf = $node->has('second_of') ? $before[$node->text('second_of')] : null;
        $record->blind = null !== $record->secondOf;
        if ($node->has('claim')) {
            [$record->claimTaxon, $record->claimPart] = explode('/', $node->text('claim'));
        }
        foreach ($node->entries('conditions') as $id => $answer) {
            $record->conditions[$id] = $answer->asFlag();
            $record->conditionsOn[$id] = $day;
        }
        $this->entities->persist($record);
        $minute = 0;
        foreach ($node->children('scores') as $score) {
            $record->scores->add($this->score($record, $score, $at->modify('+'.++$minute.' minutes')));
        }
        $this->entities->flush();
        if ($node->flag('signed', true)) {
            $record->signedAt = $at->modify('+40 minutes');
            $this->entities->flush();
            $assessment = $this->stored->assess($record);
            $record->secondWanted = Summaries::wantsSecond($assessment);
            $this->entities->persist(DecisionRecord::of($record, $record->examiner, $assessment, new \DateTimeImmutable($day)));
        }
        foreach ($node->children('harvests') as $harvest) {
            $this->harvest(null === $record->secondOf ? $record : $record->secondOf, $harvest, $people, $day);
        }
        $this->entities->flush();

        return $record;
    }

    private function score(ExaminationRecord $record, Node $node, \DateTimeImmutable $at): ScoreRecord
    {
        $values = $node->items(); // character, states or numbers, samples, certainty
        $states = $numbers = [];
        foreach ($values[1]->items() as $value) {
            if ($value->isText()) {
                $states[] = $value->asText();
            } else {
                $numbers[] = $value->asNumber(0, 10_000);
            }
        }
        $samples = isset($values[2]) ? (int) $values[2]->asNumber(1, 50) : max(1, \count($numbers));
        $certainty = isset($values[3]) ? $values[3]->asWord(Certainty::class) : Certainty::Sure;
        $again = $record->scores->exists(static fn (int $i, ScoreRecord $before): bool => $before->character === $values[0]->asText());
        $score = new ScoreRecord($record, $values[0]->asText(), $states, $numbers, $certainty, $samples, Whereabouts::Tree, ScoreAnswer::Seen, $at, further: $again);
        StoredExaminations::observation($this->stored->flora($record), $score);
        $this->entities->persist($score);

        return $score;
    }

    /** @param array<string, User> $people */
    private function harvest(ExaminationRecord $record, Node $node, array $people, string $day): void
    {
        $assessment = $this->stored->assess($record);
        if (true !== $assessment->clearance?->isCleared()) {
            throw new \LogicException(\sprintf('demo/school.yaml: %s was not cleared on %s: %s', $node->path, $day, null === $assessment->clearance ? '' : (new English($assessment->identification->compiled->flora))->sentence($assessment->clearance->because)));
        }
        $this->entities->persist(new HarvestRecord(
            DecisionRecord::of($record, $record->examiner, $assessment, new \DateTimeImmutable($day)), $people[$node->text('by')], $day,
            $node->number('amount', 0, 1000), $node->word('unit', AmountUnit::class), $node->text('ripeness'),
            $node->integer('share_left', 0, 100), $node->optionalText('note'), new \DateTimeImmutable($day.' 15:00'),
        ));
    }
}
