<?php

declare(strict_types=1);

namespace App\Demo;

use App\Library\FloraLibrary;
use Doctrine\DBAL\Connection;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Symfony\Component\Uid\Uuid;

/**
 * Fills a demo with the trees and examinations of many years, to measure by. Straight into the tables: nothing here is
 * decided by the gate.
 */
final readonly class YearsOfData
{
    private const PEOPLE = 60;
    private const SITES = 40;

    public function __construct(private Connection $database, private FloraLibrary $library)
    {
    }

    /**
     * Signed examinations but for every fiftieth, of ten scores each; three of four hope for something, one of ten took
     * something.
     *
     * @return list<string> e-mail addresses of the people made; their password is {@see DemoSchool::PASSWORD}
     */
    public function add(int $trees, int $examinations): array
    {
        return $this->database->transactional(function () use ($trees, $examinations): array {
            $flora = $this->library->flora(FloraLibrary::DEFAULT);
            $wanted = self::wanted($flora);
            [$people, $emails] = $this->people();
            $specimens = $this->trees($trees, array_keys($flora->taxa), $people[0]);
            for ($i = 0; $i < $examinations; ++$i) {
                [$taxon, $part] = $wanted[$i % \count($wanted)];
                $day = (new \DateTimeImmutable('2022-03-01'))->modify('+'.($i * 1900) % 1913 .' days');
                $this->examination(
                    $i,
                    $flora,
                    $taxon,
                    0 === $i % 4 ? null : $part,
                    $specimens[($i * 7) % \count($specimens)],
                    $people[$i % \count($people)],
                    $day,
                );
            }

            return $emails;
        });
    }

    /** @return non-empty-list<array{Taxon, Part}> */
    private static function wanted(Flora $flora): array
    {
        $wanted = [];
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                if ([] !== $part->required) {
                    $wanted[] = [$taxon, $part];
                }
            }
        }

        return [] !== $wanted ? $wanted : throw new \LogicException('The flora wants nothing.');
    }

    /** @return array{list<string>, list<string>} ids and e-mail addresses */
    private function people(): array
    {
        $password = password_hash(DemoSchool::PASSWORD, \PASSWORD_BCRYPT, ['cost' => 4]);
        $ids = $emails = [];
        for ($i = 0; $i < self::PEOPLE; ++$i) {
            $this->database->insert('person', [
                'id' => ($ids[] = self::id()),
                'password' => $password,
                'units' => 'metric',
                'flora' => FloraLibrary::DEFAULT,
                'email' => ($emails[] = \sprintf('person-%d@measured.example', $i)),
                'name' => 'Person '.$i,
                'role' => 0 === $i % 6 ? 'instructor' : 'learner',
            ]);
        }

        return [$ids, $emails];
    }

    /**
     * All with a position, three of four with a kind, one of twenty doubted or gone, each measured once.
     *
     * @param list<string> $taxa
     *
     * @return list<string> ids
     */
    private function trees(int $count, array $taxa, string $person): array
    {
        $sites = [];
        for ($i = 0; $i < self::SITES; ++$i) {
            $this->database->insert('site', [
                'id' => ($sites[] = self::id()),
                'permission' => 1,
                'permission_until' => null,
                'owner' => 'Somebody',
                'protected_taxa' => '[]',
                'quotas' => '{}',
                'name' => 'Land '.$i,
                'latitude' => 48.6 + $i / 100,
                'longitude' => 12.4,
                'altitude' => 400,
            ]);
        }
        $ids = [];
        for ($i = 0; $i < max(1, $count); ++$i) {
            $this->database->insert('specimen', [
                'id' => ($ids[] = self::id()),
                'tag' => \sprintf('M-%05d', $i),
                'site_id' => $sites[$i % self::SITES],
                'whereabouts' => 'Row '.intdiv($i, 100).', tree '.$i % 100,
                'created_at' => '2022-01-01 08:00:00',
                'latitude' => 48.6 + ($i % self::SITES) / 100 + (($i * 37) % 1000) / 150_000,
                'longitude' => 12.4 + (($i * 91) % 1000) / 100_000,
                'uncertainty' => 4.0,
                'position_from' => 'receiver',
                'stage' => 'mature',
                'kind' => 0 === $i % 4 && 0 !== $i % self::SITES ? '' : $taxa[intdiv($i, 3) % \count($taxa)],
                'kind_flora' => 0 === $i % 4 && 0 !== $i % self::SITES ? '' : FloraLibrary::DEFAULT,
                'doubt' => 1 === $i % 20 ? 'The bark looks too smooth.' : '',
                'gone' => 13 === $i % 20 ? 'felled' : '',
            ]);
            $this->database->insert('tree_measure', [
                'id' => self::id(),
                'specimen_id' => $ids[$i],
                'measured_by_id' => $person,
                'measured_on' => '2024-05-01',
                'recorded_at' => '2024-05-01 10:00:00',
                'note' => '',
                'girth' => 80.0 + ($i % 150),
                'height' => 9.0 + ($i % 17),
            ]);
        }

        $this->events($ids, $person);

        return $ids;
    }

    /**
     * Three dates a year over ten years for forty trees of the first place.
     *
     * @param list<string> $trees
     */
    private function events(array $trees, string $person): void
    {
        for ($i = 0; $i < 40 * self::SITES && $i < \count($trees); $i += self::SITES) {
            for ($year = 2018; $year < 2028; ++$year) {
                foreach (
                    ['first-bud' => '04-20', 'first-flower' => '05-10', 'leaf-fall' => '10-28'] as $event => $day
                ) {
                    $on = (new \DateTimeImmutable("$year-$day"))->modify('+'.($i * 3 + $year * 5) % 13 .' days');
                    if ($on < new \DateTimeImmutable('2027-06-14')) {
                        $this->database->insert('tree_event', [
                            'id' => self::id(),
                            'event' => $event,
                            'happened_on' => CalendarDay::iso($on),
                            'recorded_at' => CalendarDay::iso($on).' 18:00:00',
                            'specimen_id' => $trees[$i],
                            'seen_by_id' => $person,
                        ]);
                    }
                }
            }
        }
    }

    private function examination(
        int $number,
        Flora $flora,
        Taxon $taxon,
        ?Part $part,
        string $specimen,
        string $person,
        \DateTimeImmutable $day,
    ): void {
        $id = self::id();
        $signed = 0 !== $number % 50;
        $at = CalendarDay::iso($day);
        $this->database->insert('examination', [
            'id' => $id,
            'stage' => 'mature',
            'route' => 'branch-first',
            'reach' => '["ground","hand","cut"]',
            'kit' => '["none","rule","hand-lens","knife"]',
            'claim_taxon' => null === $part ? null : $taxon->id,
            'claim_part' => $part?->id,
            'conditions' => '[]',
            'conditions_on' => '[]',
            'date_reason' => '',
            'reconsidered_because' => '',
            'blind' => 0,
            'examined_as' => 'instructor',
            'handed_over' => '[]',
            'unprejudiced' => 1,
            'seen_by' => '[]',
            'date' => $at,
            'flora' => $flora->name,
            'flora_hash' => $flora->hash,
            'created_at' => $at.' 09:00:00',
            'signed_at' => $signed ? $at.' 10:00:00' : null,
            'specimen_id' => $specimen,
            'examiner_id' => $person,
            'second_of_id' => null,
            'uncovered_at' => null,
            'reconsidered_at' => null,
        ]);
        $this->scores($number, $id, $flora, $taxon, $part, $at);
        if (null !== $part && $signed) {
            $this->database->insert('decision', [
                'id' => ($decision = self::id()),
                'examination_id' => $id,
                'decided_by_id' => $person,
                'taxon' => $taxon->id,
                'part' => $part->id,
                'conditions' => '[]',
                'answer' => 'withheld',
                'reason' => '{"code":"as-written","with":{"sentence":"Not everything required was met."}}',
                'points' => '[]',
                'posterior' => 0.5,
                'flora_hash' => $flora->hash,
                'decided_on' => $at,
                'valid_until' => null,
            ]);
            if (0 === $number % 10) {
                $this->database->insert('harvest', [
                    'id' => self::id(),
                    'decision_id' => $decision,
                    'taken_by_id' => $person,
                    'taken_on' => $at,
                    'amount' => 2.5,
                    'unit' => 'kg',
                    'ripeness' => 'ripe',
                    'share_left' => 60,
                    'note' => '',
                    'recorded_at' => $at.' 12:00:00',
                ]);
            }
        }
    }

    private function scores(int $number, string $examination, Flora $flora, Taxon $taxon, ?Part $part, string $at): void
    {
        $scored = [];
        foreach ($part->required ?? [] as $feature) {
            $scored[$feature->character] =
                [] === $feature->states
                    ? [[], [$feature->range->low ?? 1.0], 1]
                    : [[$feature->states[0]], [], $feature->samples];
        }
        $ids = $taxon->description->characters();
        for ($k = 0; \count($scored) < 10 && $k < 60; ++$k) {
            $character = $flora->character($ids[($number * 7 + $k * 5) % \count($ids)]);
            $frequencies = $taxon->description->frequencies($character->id) ?? [];
            arsort($frequencies);
            if ([] !== $frequencies && CharacterKind::States === $character->kind) {
                $scored[$character->id] ??= [[array_key_first($frequencies)], [], 2];
            }
        }
        $minute = 0;
        foreach (\array_slice($scored, 0, 10, true) as $character => [$states, $numbers, $samples]) {
            $this->database->insert('score', [
                'id' => self::id(),
                'examination_id' => $examination,
                'trait' => $character,
                'states' => json_encode($states, \JSON_THROW_ON_ERROR),
                'numbers' => json_encode($numbers, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
                'certainty' => 'sure',
                'samples' => $samples,
                'seen_where' => 'tree',
                'answer' => 'seen',
                'recorded_at' => \sprintf('%s 09:%02d:00', $at, ++$minute),
                'position' => null,
                'one_of' => 0,
                'further' => 0,
                'taken_back_at' => null,
            ]);
        }
    }

    private static function id(): string
    {
        return Uuid::v7()->toRfc4122();
    }
}
