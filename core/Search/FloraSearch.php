<?php

declare(strict_types=1);

namespace Hylognosis\Search;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Taxon;

/**
 * Finds kinds by all they are called, by what is taken of them and for what, by whom they harm, and by what they show.
 * Every word has to meet something. Where a name is borne by several, the dangerous bearers stand first.
 *
 * @phpstan-type Entry array{what: string, text: string, words: list<string>, organ: Organ|null, weight: float}
 */
final class FloraSearch
{
    private const NAME = 'name';
    /** What is wrong with its names: found by them too, but no feature of the tree. */
    private const SAID = 'said';
    /** A name beside features tells less than they do. */
    private const NAME_BESIDE = 0.9;
    /** A state shown less often is not what one looks for by it. */
    private const USUAL = 0.2;
    private const MONTHS = [
        'January',
        'February',
        'March',
        'April',
        'May',
        'June',
        'July',
        'August',
        'September',
        'October',
        'November',
        'December',
    ];

    /** @var array<string, list<Entry>>|null by taxon */
    private ?array $index = null;

    public function __construct(private readonly Flora $flora)
    {
    }

    /**
     * @param string $query as it was typed; a comma parts what is said of one organ from what is said of another
     *
     * @return list<Found> names first, and of those the most dangerous first; then by how well they answer
     */
    public function find(string $query, int $most = 12): array
    {
        $asked = self::asked($query);
        if ([] === $asked) {
            return [];
        }
        $found = [];
        foreach ($this->index() as $id => $entries) {
            $answer = $this->answer($this->flora->taxa[$id], $entries, $asked);
            if (null !== $answer) {
                $found[] = $answer;
            }
        }
        usort(
            $found,
            static fn (Found $a, Found $b): int => [
                $b->byName,
                $b->byName ? $b->taxon->severity()->rank() : 0,
                $b->score,
                $a->taxon->commonName(),
            ] <=> [$a->byName, $a->byName ? $a->taxon->severity()->rank() : 0, $a->score, $b->taxon->commonName()],
        );

        return \array_slice($found, 0, $most);
    }

    /** @return list<array{string, Organ|null}> each word, with the organ its neighbours say it is about */
    private static function asked(string $query): array
    {
        $asked = [];
        $parts = preg_split('/[,;]/', $query);
        foreach (false === $parts ? [] : $parts as $part) {
            $words = Words::of($part);
            $organ = null;
            foreach ($words as $word) {
                $organ ??= Words::organ($word);
            }
            foreach ($words as $word) {
                $asked[] = [$word, $organ];
            }
        }

        return $asked;
    }

    /**
     * @param list<Entry>                      $entries
     * @param list<array{string, Organ|null}> $asked
     */
    private function answer(Taxon $taxon, array $entries, array $asked): ?Found
    {
        $named = array_filter(
            $entries,
            static fn (array $e): bool => \in_array($e['what'], [self::NAME, self::SAID], true),
        );
        $score = 0.0;
        foreach ($asked as [$word]) {
            $best = self::best($named, $word, null);
            if (null === $best) {
                return $this->byFeatures($taxon, $entries, $asked);
            }
            $score += $best['weight'];
        }

        return new Found($taxon, true, $score, []);
    }

    /**
     * @param list<Entry>                      $entries
     * @param list<array{string, Organ|null}> $asked
     */
    private function byFeatures(Taxon $taxon, array $entries, array $asked): ?Found
    {
        $telling = array_filter($entries, static fn (array $e): bool => self::SAID !== $e['what']);
        $score = 0.0;
        $why = [];
        foreach ($asked as [$word, $organ]) {
            $best = self::best($telling, $word, $organ);
            if (null === $best) {
                return null;
            }
            if (self::NAME === $best['what']) {
                $score += self::NAME_BESIDE;
            } else {
                $score += $best['weight'];
                $why[] = $best['text'];
            }
        }

        return new Found($taxon, false, $score, array_values(array_unique($why)));
    }

    /**
     * @param array<Entry> $entries
     *
     * @return Entry|null the weightiest that the word meets; a name only where nothing else does
     */
    private static function best(array $entries, string $word, ?Organ $organ): ?array
    {
        $best = null;
        $most = 0.0;
        foreach ($entries as $entry) {
            $fits = null === $entry['organ'] || null === $organ || $entry['organ'] === $organ;
            if ($fits && $entry['weight'] > $most && self::meets($entry['words'], $word)) {
                [$best, $most] = [$entry, $entry['weight']];
            }
        }

        return $best;
    }

    /** @param list<string> $words */
    private static function meets(array $words, string $word): bool
    {
        foreach ($words as $one) {
            if ($one === $word || (\strlen($word) >= 3 && str_starts_with($one, $word))) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, list<Entry>> */
    private function index(): array
    {
        return $this->index ??= array_map($this->entries(...), $this->flora->taxa);
    }

    /** @return list<Entry> */
    private function entries(Taxon $taxon): array
    {
        $entries = [];
        $add = static function (string $what, string $text, string $words, float $weight, ?Organ $organ = null) use (
            &$entries,
        ): void {
            $entries[] = [
                'what' => $what,
                'text' => $text,
                'words' => Words::of($words),
                'organ' => $organ,
                'weight' => $weight,
            ];
        };
        foreach ([$taxon->name, ...$taxon->names->common, ...$taxon->names->synonyms] as $name) {
            $add(self::NAME, $name, $name, 0.1);
        }
        foreach ($taxon->names->misleading as $said) {
            $add(self::SAID, $said, $said, 0.05);
        }
        $add('family', $taxon->names->family, $taxon->names->family, 1.0);
        foreach ($taxon->parts as $part) {
            $for = implode(', ', $part->uses);
            $add('part', '' === $for ? $part->label : $part->label.': '.$for, $part->label.' '.$for, 1.5);
            if ('' !== $part->harmful) {
                $add('harm', $part->label.': never taken', 'never poison harmful', 1.0);
            }
            foreach (array_keys($part->daysByMonth()) as $month) {
                $name = self::MONTHS[$month - 1] ?? '';
                $add('month', $part->label.' in '.$name, $name, 0.8);
            }
        }
        foreach ($taxon->hazards as $hazard) {
            if (!$hazard->severity->isHazard()) {
                continue;
            }
            $add(
                'harm',
                \sprintf('%s: %s to %s', $hazard->part, $hazard->severity->value, $hazard->who),
                $hazard->part.' '.$hazard->who.' '.$hazard->severity->value.' poison toxic danger',
                1.2,
            );
        }
        foreach ($this->flora->characters as $character) {
            foreach ($taxon->description->frequencies($character->id) ?? [] as $id => $share) {
                $state = $character->states[$id] ?? null;
                if (null === $state || $share < self::USUAL) {
                    continue;
                }
                $add(
                    'feature',
                    $character->label.': '.$state->label,
                    strtr($state->id, '-', ' ').
                        ' '.
                        $state->label.
                        ' '.
                        $character->label.
                        ' '.
                        $character->organ->value,
                    $share,
                    $character->organ,
                );
            }
        }

        return $entries;
    }
}
