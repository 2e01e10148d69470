<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\Deed;
use App\Account\Invitation;
use App\Account\Role;
use App\Account\User;
use App\Batches\Batch;
use App\Batches\BatchCheck;
use App\Batches\BatchSource;
use App\Batches\BatchStep;
use App\Batches\BatchUnit;
use App\Batches\Recall;
use App\Examine\DecisionRecord;
use App\Examine\Decisions;
use App\Examine\ExaminationRecord;
use App\Examine\ScoreRecord;
use App\Examine\StoredExaminations;
use App\Examine\Summaries;
use App\Examine\TreeIdentities;
use App\Harvest\HarvestCorrection;
use App\Harvest\HarvestRecord;
use App\Harvest\OwnMeasure;
use App\Harvest\Taken;
use App\Health\TreeSign;
use App\Learning\DrillCard;
use App\Learning\LearnerReading;
use App\Learning\Mnemonic;
use App\Learning\PracticeAnswer;
use App\Learning\RateProposal;
use App\Library\FloraEdition;
use App\Library\FloraLibrary;
use App\Library\NeverReview;
use App\Map\BaseMap;
use App\Pastures\Pasture;
use App\Pastures\PastureChoice;
use App\Pictures\Album;
use App\Pictures\Picture;
use App\Pictures\PictureBytes;
use App\Recipes\OwnRecipe;
use App\School\School;
use App\Season\CropNote;
use App\Season\PlannedDay;
use App\Season\TreeEvent;
use App\Species\WoodNote;
use App\Storage\Arrival;
use App\Storage\SettingRepository;
use App\Storm\StormStop;
use App\Storm\StormWalk;
use App\Survey\Survey;
use App\Survey\SurveyLook;
use App\Teaching\AdoptedTree;
use App\Teaching\GroupDay;
use App\Trees\Exposure;
use App\Trees\Gone;
use App\Trees\Light;
use App\Trees\Moisture;
use App\Trees\PositionFrom;
use App\Trees\Said;
use App\Trees\Sex;
use App\Trees\Site;
use App\Trees\SitePermission;
use App\Trees\Soil;
use App\Trees\Specimen;
use App\Trees\Stand;
use App\Trees\StationKind;
use App\Trees\TreeKind;
use App\Trees\TreeMeasure;
use App\Trials\Trial;
use App\Trust\TrustGrant;
use App\Trust\TrustRule;
use App\Weather\StoredDay;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Crop\CropGrade;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\SeasonalEvent;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Uid\Uuid;

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
        private Decisions $decisions,
        private TreeIdentities $identities,
        private Album $album,
        private DemoMaking $making,
        private DemoGround $ground,
        private DemoLearning $learning,
        private DemoTeaching $teaching,
        #[Autowire('%kernel.project_dir%/demo/school.yaml')] private string $file,
    ) {
    }

    /** Whether people are on record who are none of the invented ones: then this is somebody's school. */
    public function holdsOthers(): bool
    {
        $invented = array_map(
            static fn (Node $person): string => User::normalised($person->text('email')),
            Node::root(YamlText::ofFile($this->file))->children('people'),
        );

        return [] !==
            array_filter(
                $this->entities->getRepository(User::class)->findAll(),
                static fn (User $user): bool => !\in_array($user->email, $invented, true),
            );
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
            $school = Node::root(YamlText::ofFile($this->file));
            $this->school($school->child('school'));
            $people = $this->people($school);
            $sites = $this->sites($school, $people);
            $trees = $this->trees($school, $sites, $people);
            foreach ($school->children('planned_days') as $node) {
                $this->entities->persist(
                    new PlannedDay(
                        Uuid::v7()->toRfc4122(),
                        CalendarDay::parse($node->text('day')),
                        $node->text('name'),
                        [
                            'sites' => [$sites[$node->text('site')]->id],
                            'hopes' => [],
                            'skip' => [],
                            'latitude' => null,
                            'longitude' => null,
                        ],
                        $node->texts('trees'),
                        $people[$node->text('by')],
                        CalendarDay::parse($node->text('kept'))->modify('18:00'),
                    ),
                );
            }
            $examinations = [];
            foreach ($school->children('examinations') as $node) {
                $examinations[$node->text('id')] = $this->examination($node, $people, $trees, $examinations);
            }
            foreach ($school->children('again') as $node) {
                $examinations[$node->text('id')] = $this->again($node, $people, $trees, $examinations);
            }
            foreach ($school->children('takes') as $node) {
                $day = CalendarDay::parse($node->text('day'));
                $this->settings->put(DemoClock::DAY, CalendarDay::iso($day));
                $this->entities->flush();
                $this->making->take($examinations[$node->text('of')], $node, $people[$node->text('by')], $day);
                $this->entities->flush();
            }
            foreach ($school->children('blind') as $node) {
                $this->blind($node, $people, $examinations);
            }
            $this->afterwards($school, $people, $trees, $examinations);
            $this->ground->add($school, $people, $sites, $trees);
            $this->learning->add($school, $people);
            $this->teaching->add($school, $people, $sites, $trees);
            $this->settings->put(DemoClock::DAY, $school->text('day'));
        });
    }

    public function clear(): void
    {
        $this->entities->wrapInTransaction(function (): void {
            foreach (
                [
                    Arrival::class,
                    Deed::class,
                    BaseMap::class,
                    Picture::class,
                    PictureBytes::class,
                    Invitation::class,
                    SitePermission::class,
                    TreeEvent::class,
                    BatchUnit::class,
                    Recall::class,
                    BatchCheck::class,
                    BatchStep::class,
                    BatchSource::class,
                    OwnMeasure::class,
                    OwnRecipe::class,
                    WoodNote::class,
                    Trial::class,
                    CropNote::class,
                    PlannedDay::class,
                    StoredDay::class,
                    TreeMeasure::class,
                    TreeKind::class,
                    FloraEdition::class,
                    HarvestCorrection::class,
                    HarvestRecord::class,
                    DecisionRecord::class,
                    ScoreRecord::class,
                    NeverReview::class,
                    TreeSign::class,
                    GroupDay::class,
                    AdoptedTree::class,
                    RateProposal::class,
                    TrustGrant::class,
                    TrustRule::class,
                    DrillCard::class,
                    Mnemonic::class,
                    LearnerReading::class,
                    PracticeAnswer::class,
                    StormStop::class,
                    StormWalk::class,
                    PastureChoice::class,
                    Pasture::class,
                    SurveyLook::class,
                    Survey::class,
                    Stand::class,
                    School::class,
                ] as $class
            ) {
                $this->entities->createQuery('DELETE FROM '.$class)->execute();
            }
            $this->entities->createQuery('UPDATE '.ExaminationRecord::class.' e SET e.secondOf = NULL')->execute();
            $this->entities
                ->createQuery('UPDATE '.Batch::class.' b SET b.splitFrom = NULL, b.joinedInto = NULL')
                ->execute();
            foreach ([Batch::class, ExaminationRecord::class, Specimen::class, Site::class, User::class] as $class) {
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
            $user = new User($email, $node->text('name'), $node->word('role', Role::class));
            // one hash for all: it is no secret
            $user->password = $hash ??= $this->hasher->hashPassword($user, self::PASSWORD);
            $this->entities->persist($user);
            $people[$node->text('id')] = $user;
        }

        return $people;
    }

    private function school(Node $node): void
    {
        $school = new School(
            $node->text('name'),
            $node->text('place'),
            $node->number('latitude', -90, 90),
            $node->number('longitude', -180, 180),
            $node->number('altitude_m', 0, 4000),
            new \DateTimeImmutable('2026-04-11 09:00'),
        );
        $school->poisonCentre = $node->has('poison_centre') ? $node->text('poison_centre') : '';
        $this->entities->persist($school);
    }

    /**
     * @param array<string, User> $people
     *
     * @return array<string, Site>
     */
    private function sites(Node $school, array $people): array
    {
        $sites = [];
        foreach ($school->children('sites') as $node) {
            $site = new Site(
                $node->text('name'),
                $node->number('latitude', -90, 90),
                $node->number('longitude', -180, 180),
                $node->number('altitude_m', 0, 4000),
            );
            $site->permission = $node->flag('permission', false);
            $site->permissionUntil = CalendarDay::parse($node->text('until'));
            $site->owner = $node->text('owner');
            $site->rules = $node->text('rules');
            $site->soil = $node->word('soil', Soil::class);
            $site->light = $node->word('light', Light::class);
            $site->moisture = $node->word('moisture', Moisture::class);
            $site->exposure = $node->word('exposure', Exposure::class);
            $site->station = $node->has('station') ? $node->word('station', StationKind::class) : StationKind::None;
            foreach ($node->children('boundary') as $corner) {
                $at = $corner->items();
                $site->boundary[] = [$at[0]->asNumber(-180, 180), $at[1]->asNumber(-90, 90)];
            }
            $site->entrance = self::point($node, 'entrance');
            $site->car = self::point($node, 'car');
            $said = CalendarDay::parse($node->text('on'));
            $this->entities->persist(
                new SitePermission(
                    $site,
                    $site->owner,
                    $site->permission,
                    [],
                    $site->permissionUntil,
                    $node->word('said', Said::class),
                    $said,
                    '',
                    $people['marta'],
                    $said->modify('18:00'),
                ),
            );
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
     * @param array<string, User> $people
     *
     * @return array<string, Specimen>
     */
    private function trees(Node $school, array $sites, array $people): array
    {
        $trees = [];
        foreach ($school->children('trees') as $node) {
            $tag = $node->text('tag');
            $trees[$tag] = $this->tree($node, $tag, $sites[$node->text('site')], $people['marta']);
        }

        return $trees;
    }

    private function tree(Node $node, string $tag, Site $site, User $measuredBy): Specimen
    {
        $tree = new Specimen($tag, $site, $node->text('whereabouts'), new \DateTimeImmutable('2026-04-11 10:00'));
        $at = $node->child('at')->items();
        [$tree->latitude, $tree->longitude] = [$at[0]->asNumber(-90, 90), $at[1]->asNumber(-180, 180)];
        $tree->uncertainty = $node->number('within_m', 0, 100);
        $tree->positionFrom = PositionFrom::Receiver;
        $tree->stage = $node->word('stage', LifeStage::class);
        $tree->sex = $node->has('sex') ? $node->word('sex', Sex::class) : Sex::Unknown;
        $tree->health = $node->optionalText('health');
        if ($node->has('gone')) {
            $tree->gone = $node->word('gone', Gone::class);
            $tree->goneOn = CalendarDay::parse($node->text('gone_on'));
        }
        $this->entities->persist($tree);
        foreach ($node->children('measures') as $measure) {
            $values = $measure->items();
            $on = CalendarDay::parse($values[0]->asText());
            $this->entities->persist(
                new TreeMeasure(
                    $tree,
                    $on,
                    $values[1]->asNumber(0, 4000),
                    $values[2]->asNumber(0, 130),
                    $values[3]->asNumber(0, 100),
                    '',
                    $measuredBy,
                    $on->modify('16:00'),
                ),
            );
        }

        return $tree;
    }

    /**
     * What turned out later: other tags, two tags of one tree, kinds and doubts, pictures.
     *
     * @param array<string, User>              $people
     * @param array<string, Specimen>          $trees
     * @param array<string, ExaminationRecord> $examinations
     */
    private function afterwards(Node $school, array $people, array $trees, array $examinations): void
    {
        foreach ($school->children('tags') as $node) {
            $trees[$node->text('tree')]->tagAnew($node->text('tag'), CalendarDay::parse($node->text('day')));
        }
        foreach ($school->children('merged') as $node) {
            $this->settings->put(DemoClock::DAY, $node->text('day'));
            $this->entities->flush();
            $this->identities->merge(
                $trees[$node->text('stays')],
                $trees[$node->text('goes')],
                $node->text('because'),
                $people[$node->text('by')],
            );
        }
        foreach ($school->children('kinds') as $node) {
            $this->identities->hold(
                $trees[$node->text('tree')],
                $node->text('taxon'),
                [$examinations[$node->text('examination')]->id],
                $people[$node->text('by')],
            );
        }
        $this->entities->flush();
        foreach ($school->children('doubts') as $node) {
            $this->identities->doubt($trees[$node->text('tree')], $node->text('because'), $people[$node->text('by')]);
        }
        foreach ($school->children('events') as $node) {
            $on = CalendarDay::parse($node->text('on'));
            $this->entities->persist(
                new TreeEvent(
                    Uuid::v7()->toRfc4122(),
                    $trees[$node->text('tree')],
                    $node->word('event', SeasonalEvent::class),
                    $on,
                    $people[$node->text('by')],
                    $on->modify('18:00'),
                ),
            );
        }
        foreach ($school->children('crops') as $node) {
            $this->entities->persist(
                new CropNote(
                    Uuid::v7()->toRfc4122(),
                    $trees[$node->text('tree')],
                    $node->text('part'),
                    $node->integer('year', 1990, 2100),
                    $node->word('grade', CropGrade::class),
                    $node->has('opened') ? $node->integer('opened', 0, 1000) : 0,
                    $node->has('sound') ? $node->integer('sound', 0, 1000) : 0,
                    $people[$node->text('by')],
                    new \DateTimeImmutable($node->integer('year', 1990, 2100).'-12-01 18:00'),
                ),
            );
        }
        $this->making->add($school, $people, $trees);
        foreach ($school->children('pictures') as $node) {
            $this->settings->put(DemoClock::DAY, $node->text('day'));
            $this->entities->flush();
            $picture = $this->album->put(
                (string) file_get_contents(\dirname($this->file).'/camera/'.$node->text('file')),
                CalendarDay::parse($node->text('day')),
                $people[$node->text('by')],
            );
            $picture->specimen = $trees[$node->text('tree')];
            $picture->caption = $node->text('caption');
            $picture->pixelsPerMillimetre = $node->has('pixels_per_mm')
                ? $node->number('pixels_per_mm', 0, 1000)
                : null;
            $this->entities->flush();
        }
    }

    /**
     * @param array<string, User>              $people
     * @param array<string, Specimen>          $trees
     * @param array<string, ExaminationRecord> $before
     */
    private function examination(Node $node, array $people, array $trees, array $before): ExaminationRecord
    {
        $day = CalendarDay::parse($node->text('day'));
        $this->settings->put(DemoClock::DAY, CalendarDay::iso($day));
        $this->entities->flush();
        $flora = $this->library->flora(FloraLibrary::DEFAULT);
        $at = $day->modify($node->optionalText('at', '10:00'));
        $record = new ExaminationRecord(
            $trees[$node->text('tree')],
            $people[$node->text('examiner')],
            $day,
            $flora->name,
            $flora->hash,
            $at,
        );
        $record->stage = $node->has('stage') ? $node->word('stage', LifeStage::class) : LifeStage::Mature;
        $record->secondOf = $node->has('second_of') ? $before[$node->text('second_of')] : null;
        $record->blind = null !== $record->secondOf;
        if ($node->has('claim')) {
            [$record->claimTaxon, $record->claimPart] = explode('/', $node->text('claim'));
        }
        foreach ($node->entries('conditions') as $id => $answer) {
            $record->conditions[$id] = $answer->asFlag();
            $record->conditionsOn[$id] = CalendarDay::iso($day);
        }
        $this->entities->persist($record);
        $minute = 0;
        foreach ($node->children('scores') as $score) {
            $record->scores->add($this->score($record, $score, $at->modify('+'.++$minute.' minutes')));
        }
        $this->entities->flush();
        if ($node->flag('signed', true)) {
            $this->conclude($record, $at->modify('+40 minutes'));
        }
        foreach ($node->children('harvests') as $harvest) {
            $this->making->take($record->secondOf ?? $record, $harvest, $people[$harvest->text('by')], $day);
        }
        $this->entities->flush();

        return $record;
    }

    /**
     * What was scored once, scored again on another day, or of another tree.
     *
     * @param array<string, User>              $people
     * @param array<string, Specimen>          $trees
     * @param array<string, ExaminationRecord> $before
     */
    private function again(Node $node, array $people, array $trees, array $before): ExaminationRecord
    {
        $day = CalendarDay::parse($node->text('day'));
        $this->settings->put(DemoClock::DAY, CalendarDay::iso($day));
        $this->entities->flush();
        $first = $this->copied($before[$node->text('of')], $trees[$node->text('tree')], $day->modify('08:00'), null);
        if ($node->has('second')) {
            $second = $this->copied($before[$node->text('second')], $first->specimen, $day->modify('09:00'), $first);
            $this->conclude($second, $day->modify('09:40'));
        }
        $this->conclude($first, $day->modify('09:50'));
        $this->entities->flush();

        return $first;
    }

    /**
     * A learner looks at the tree as the second person, and reads this and that another way.
     *
     * @param array<string, User>              $people
     * @param array<string, ExaminationRecord> $before
     */
    private function blind(Node $node, array $people, array $before): void
    {
        $first = $before[$node->text('of')];
        $this->settings->put(DemoClock::DAY, CalendarDay::iso($first->date));
        $this->entities->flush();
        $at = $first->date->modify('14:00');
        $second = $this->copied(
            $before[$node->text('like')],
            $first->specimen,
            $at,
            $first,
            $people[$node->text('by')],
            array_map(
                static fn (Node $states): array => array_map(
                    static fn (Node $state): string => $state->asText(),
                    $states->items(),
                ),
                $node->entries('but'),
            ),
            $node->has('certainty') ? $node->word('certainty', Certainty::class) : Certainty::Sure,
        );
        $this->conclude($second, $at->modify('+40 minutes'));
        $this->entities->flush();
    }

    /** @param array<string, list<string>> $but characters read another way */
    private function copied(
        ExaminationRecord $of,
        Specimen $tree,
        \DateTimeImmutable $at,
        ?ExaminationRecord $secondOf,
        ?User $by = null,
        array $but = [],
        Certainty $unsure = Certainty::Sure,
    ): ExaminationRecord {
        $day = $at->setTime(0, 0);
        $record = new ExaminationRecord($tree, $by ?? $of->examiner, $day, $of->flora, $of->floraHash, $at);
        $record->stage = $of->stage;
        [$record->secondOf, $record->blind] = [$secondOf, null !== $secondOf];
        [$record->claimTaxon, $record->claimPart] = [$of->claimTaxon, $of->claimPart];
        $record->conditions = $of->conditions;
        $record->conditionsOn = array_fill_keys(array_keys($of->conditions), CalendarDay::iso($day));
        $this->entities->persist($record);
        $minute = 0;
        foreach ($of->scores as $s) {
            $score = new ScoreRecord(
                $record,
                $s->character,
                $but[$s->character] ?? $s->states,
                $s->numbers,
                isset($but[$s->character]) ? $unsure : $s->certainty,
                $s->samples,
                $s->where,
                $s->answer,
                $at->modify('+'.++$minute.' minutes'),
                further: $s->further,
            );
            $this->entities->persist($score);
            $record->scores->add($score);
        }
        $this->entities->flush();

        return $record;
    }

    private function conclude(ExaminationRecord $record, \DateTimeImmutable $at): void
    {
        $record->sign($at);
        $this->entities->flush();
        $assessment = $this->stored->assess($record);
        $record->secondWanted = Summaries::wantsSecond($assessment);
        if (null !== $assessment->clearance) {
            $this->identities->cleared($record, $this->decisions->record($record, $record->examiner, $assessment));
        }
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
        $again = $record->scores->exists(
            static fn (int $i, ScoreRecord $before): bool => $before->character === $values[0]->asText(),
        );
        $score = new ScoreRecord(
            $record,
            $values[0]->asText(),
            $states,
            $numbers,
            $certainty,
            $samples,
            Whereabouts::Tree,
            ScoreAnswer::Seen,
            $at,
            further: $again,
        );
        StoredExaminations::observation($this->stored->flora($record), $score);
        $this->entities->persist($score);

        return $score;
    }

    /** @return array{}|array{float, float} longitude and latitude */
    private static function point(Node $node, string $key): array
    {
        $point = $node->has($key) ? $node->children($key) : [];

        return isset($point[1]) ? [$point[0]->asNumber(-180, 180), $point[1]->asNumber(-90, 90)] : [];
    }
}
