<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\User;
use App\Health\TreeSign;
use App\Pastures\Choice;
use App\Pastures\Pasture;
use App\Pastures\PastureChoice;
use App\Storage\SettingRepository;
use App\Storm\Ended;
use App\Storm\StormLaying;
use App\Storm\StormStop;
use App\Storm\StormWalk;
use App\Survey\Survey;
use App\Survey\SurveyLook;
use App\Trees\Site;
use App\Trees\Specimen;
use App\Trees\Stand;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Stock\Animal;
use Hylognosis\Storm\StormFinding;
use Hylognosis\Survey\CountClass;
use Hylognosis\Survey\Gap;
use Symfony\Component\Uid\Uuid;

/** The ground of the invented school: its walks, stands, pastures, and the storm it came through. */
final class DemoGround
{
    private const FLORA = 'central-european-hills';

    /** @var array<string, Stand> by the id of the file */
    private array $stands = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly StormLaying $laying,
        private readonly SettingRepository $settings,
    ) {
    }

    /**
     * @param array<string, User>     $people
     * @param array<string, Site>     $sites
     * @param array<string, Specimen> $trees
     */
    public function add(Node $school, array $people, array $sites, array $trees): void
    {
        $this->stands($school, $people, $sites);
        $this->pastures($school, $people, $sites, $trees);
        $this->surveys($school, $people, $sites, $trees);
        foreach ($school->children('health') as $node) {
            $on = CalendarDay::parse($node->text('on'));
            $this->entities->persist(
                new TreeSign(
                    Uuid::v7()->toRfc4122(),
                    $trees[$node->text('tree')],
                    $node->text('sign'),
                    $node->flag('seen', true),
                    $on,
                    $node->optionalText('note'),
                    $people[$node->text('by')],
                    $on->modify('15:00'),
                ),
            );
        }
        $this->entities->flush();
        foreach ($school->children('storms') as $node) {
            $this->storm($node, $people, $sites, $trees);
        }
    }

    /**
     * @param array<string, User> $people
     * @param array<string, Site> $sites
     */
    private function stands(Node $school, array $people, array $sites): void
    {
        foreach ($school->children('stands') as $node) {
            $stand = new Stand(
                Uuid::v7()->toRfc4122(),
                $sites[$node->text('site')],
                $node->text('label'),
                $node->optionalText('of'),
                '' === $node->optionalText('of') ? '' : self::FLORA,
                $node->word('count', CountClass::class),
                array_map(self::point(...), $node->children('line')),
                $node->has('height') ? $node->number('height', 0.1, 120) : null,
                $people[$node->text('by')],
                CalendarDay::parse($node->text('on'))->modify('10:00'),
            );
            $this->stands[$node->text('id')] = $stand;
            $this->entities->persist($stand);
        }
    }

    /**
     * @param array<string, User>     $people
     * @param array<string, Site>     $sites
     * @param array<string, Specimen> $trees
     */
    private function pastures(Node $school, array $people, array $sites, array $trees): void
    {
        $pastures = [];
        foreach ($school->children('pastures') as $node) {
            $pasture = new Pasture(
                Uuid::v7()->toRfc4122(),
                $sites[$node->text('site')],
                $node->text('name'),
                array_map(self::point(...), $node->children('corners')),
                self::point($node->child('gate')),
                $node->word('animal', Animal::class),
                $node->integer('number', 1, 10_000),
                1000 * $node->number('kilograms', 0.01, 2000),
                array_map(
                    static fn (Node $n): array => [
                        'from' => $n->items()[0]->asText(),
                        'to' => $n->items()[1]->asText(),
                    ],
                    $node->children('grazed'),
                ),
            );
            $pastures[$node->text('id')] = $pasture;
            $this->entities->persist($pasture);
        }
        foreach ($school->children('choices') as $node) {
            $tree = $trees[$node->text('of')] ?? null;
            $this->entities->persist(
                new PastureChoice(
                    $pastures[$node->text('pasture')],
                    $tree,
                    null === $tree ? $this->stands[$node->text('of')] : null,
                    $node->word('choice', Choice::class),
                    $node->optionalText('shade'),
                    $node->optionalText('fruit'),
                    null,
                    $node->optionalText('why'),
                    $people[$node->text('by')],
                    CalendarDay::parse($node->text('on'))->modify('19:00'),
                ),
            );
        }
    }

    /**
     * @param array<string, User>     $people
     * @param array<string, Site>     $sites
     * @param array<string, Specimen> $trees
     */
    private function surveys(Node $school, array $people, array $sites, array $trees): void
    {
        foreach ($school->children('surveys') as $node) {
            $on = CalendarDay::parse($node->text('on'));
            $by = $people[$node->text('by')];
            $survey = new Survey(Uuid::v7()->toRfc4122(), $sites[$node->text('site')], $on, $by, $on->modify('9:00'));
            $survey->closedAt = $on->modify('11:30');
            $this->entities->persist($survey);
            foreach ($node->children('looks') as $i => $look) {
                $tree = $trees[$look->text('of')] ?? null;
                $like = $look->optionalText('looks_like');
                $this->entities->persist(
                    new SurveyLook(
                        Uuid::v7()->toRfc4122(),
                        $survey,
                        $tree,
                        null === $tree ? $this->stands[$look->text('of')] : null,
                        $like,
                        '' === $like ? '' : self::FLORA,
                        $look->has('gap') ? $look->word('gap', Gap::class) : null,
                        $look->texts('marks'),
                        $look->optionalText('note'),
                        $by,
                        $on->modify(\sprintf('9:00 +%d minutes', 7 * $i)),
                    ),
                );
            }
        }
    }

    /**
     * The round is laid by the application itself, as of that day.
     *
     * @param array<string, User>     $people
     * @param array<string, Site>     $sites
     * @param array<string, Specimen> $trees
     */
    private function storm(Node $node, array $people, array $sites, array $trees): void
    {
        $raised = new \DateTimeImmutable($node->text('raised'));
        $this->settings->put(DemoClock::DAY, $raised->format('Y-m-d'));
        $this->entities->flush();
        [$site, $by] = [$sites[$node->text('site')], $people[$node->text('by')]];
        $laid = $this->laying->at($site, $by);
        $walk = new StormWalk(
            Uuid::v7()->toRfc4122(),
            $site,
            new \DateTimeImmutable($node->text('blew_at')),
            $node->number('gust', 1, 120),
            $laid->round->wholeSeconds,
            $by,
            $raised,
        );
        $this->entities->persist($walk);
        $stops = [];
        foreach ($laid->inOrder() as $i => [$tree, $seconds]) {
            $stop = new StormStop(
                $walk,
                $tree instanceof Specimen ? $tree : null,
                $tree instanceof Specimen ? null : $tree,
                $laid->threatened[$tree->id] ?? null,
                $i + 1,
                $seconds,
            );
            $this->entities->persist($stop);
            $stops[$tree->id] = $stop;
        }
        foreach ($node->children('found') as $found) {
            $of = $found->text('of');
            $stop =
                $stops[($trees[$of] ?? $this->stands[$of])->id] ??
                throw DocumentError::at($found->path, $of.' is no stop of that round.');
            $stop->finding = $found->word('finding', StormFinding::class);
            $stop->thickness = $found->has('thickness') ? $found->number('thickness', 5, 3000) : null;
            $stop->note = $found->optionalText('note');
            [$stop->foundAt, $stop->foundBy] = [new \DateTimeImmutable($found->text('at')), $by];
            if ($found->has('ended')) {
                [$stop->ended, $stop->endedAt, $stop->endedBy] = [
                    $found->word('ended', Ended::class),
                    new \DateTimeImmutable($found->text('ended_at')),
                    $by,
                ];
            }
        }
        $this->entities->flush();
    }

    /** @return array{float, float} */
    private static function point(Node $node): array
    {
        [$longitude, $latitude] = $node->items();

        return [$longitude->asNumber(-180, 180), $latitude->asNumber(-90, 90)];
    }
}
