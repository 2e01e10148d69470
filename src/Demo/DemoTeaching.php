<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\User;
use App\Teaching\AdoptedTree;
use App\Teaching\GroupDay;
use App\Trees\Site;
use App\Trees\Specimen;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Document\Node;
use Hylognosis\Measure\CalendarDay;
use Symfony\Component\Uid\Uuid;

/** Days with groups, and the trees the learners of the invented school look at for a year. */
final readonly class DemoTeaching
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @param array<string, User>     $people
     * @param array<string, Site>     $sites
     * @param array<string, Specimen> $trees
     */
    public function add(Node $school, array $people, array $sites, array $trees): void
    {
        foreach ($school->children('groups') as $node) {
            $this->day($node, $people, $sites, $trees);
        }
        foreach ($school->children('adopted') as $node) {
            $adopted = new AdoptedTree(
                Uuid::v7()->toRfc4122(),
                $people[$node->text('by')],
                $trees[$node->text('tree')],
                CalendarDay::parse($node->text('since')),
            );
            foreach ($node->children('notes') as $note) {
                $adopted->notes[] = ['on' => $note->text('on'), 'text' => $note->text('text')];
            }
            $this->entities->persist($adopted);
        }
        $this->entities->flush();
    }

    /**
     * @param array<string, User>     $people
     * @param array<string, Site>     $sites
     * @param array<string, Specimen> $trees
     */
    private function day(Node $node, array $people, array $sites, array $trees): void
    {
        $on = CalendarDay::parse($node->text('day'));
        $day = new GroupDay(
            $node->text('id'),
            $on,
            $sites[$node->text('site')],
            $node->text('name'),
            $people[$node->text('by')],
            $on->modify('-3 days 20:00'),
        );
        $day->people = array_map(static fn (string $who): string => $people[$who]->id, $node->texts('people'));
        $day->guests = $node->integer('guests', 0, 60);
        foreach ($node->children('stations') as $station) {
            $id = $station->text('id');
            $day->stations[] = [
                'id' => $id,
                'tree' => $station->has('tree') ? $trees[$station->text('tree')]->id : null,
                'character' => $station->optionalText('look'),
                'activity' => $station->optionalText('activity'),
                'note' => $station->optionalText('note'),
            ];
            foreach ($station->entries('found') as $who => $found) {
                $day->results[$id][isset($people[$who]) ? $people[$who]->id : (string) $who] = $found->asFlag();
            }
        }
        $day->learnt = $node->optionalText('learnt');
        foreach ($node->children('next') as $next) {
            $day->next[] = ['who' => $people[$next->text('who')]->id, 'character' => $next->text('ask')];
        }
        $this->entities->persist($day);
    }
}
