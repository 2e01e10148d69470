<?php

declare(strict_types=1);

namespace Hylognosis\Search;

use Hylognosis\Flora\Organ;

/** Words as people type them, cut down to what is compared. English, as the floras are. */
final readonly class Words
{
    private const IDLE = [
        'a',
        'an',
        'and',
        'are',
        'as',
        'at',
        'by',
        'for',
        'from',
        'has',
        'have',
        'in',
        'is',
        'it',
        'its',
        'of',
        'on',
        'or',
        'that',
        'the',
        'to',
        'which',
        'with',
    ];
    /** Words that say which part of a tree the words beside them are about. */
    private const ORGANS = [
        'leaf' => ['leaf', 'needle', 'leaflet', 'foliage', 'blade'],
        'fruit' => ['fruit', 'berry', 'nut', 'cone', 'acorn', 'pod', 'seed', 'cherry', 'drupe', 'capsule'],
        'flower' => ['flower', 'blossom', 'catkin', 'bloom'],
        'twig' => ['twig', 'shoot', 'branch', 'pith', 'spine', 'thorn'],
        'bark' => ['bark', 'trunk', 'stem'],
        'bud' => ['bud'],
        'scent' => ['smell', 'scent', 'sap'],
    ];

    /** @return list<string> */
    public static function of(string $text): array
    {
        $plain = strtr(strtolower($text), [
            '’' => '',
            "'" => '',
            'ä' => 'a',
            'ö' => 'o',
            'ü' => 'u',
            'é' => 'e',
            'è' => 'e',
        ]);
        $words = preg_split('/[^a-z0-9]+/', $plain, -1, \PREG_SPLIT_NO_EMPTY);

        return array_values(array_map(self::stem(...), array_diff(false === $words ? [] : $words, self::IDLE)));
    }

    /** Which organ a word names; null where it names none. */
    public static function organ(string $word): ?Organ
    {
        foreach (self::ORGANS as $organ => $names) {
            if (\in_array($word, $names, true)) {
                return Organ::from($organ);
            }
        }

        return null;
    }

    /** Berries and berry, leaves and leaf, hanging and hang are one word. */
    private static function stem(string $word): string
    {
        $irregular = [
            'leaves' => 'leaf',
            'teeth' => 'tooth',
            'toothed' => 'tooth',
            'horses' => 'horse',
            'poisonous' => 'poison',
        ];
        if (isset($irregular[$word])) {
            return $irregular[$word];
        }

        return match (true) {
            \strlen($word) < 4 => $word,
            str_ends_with($word, 'ies') => substr($word, 0, -3).'y',
            (bool) preg_match('/(ss|us|is)$/', $word) => $word,
            (bool) preg_match('/(ch|sh|x|s)es$/', $word) => substr($word, 0, -2),
            str_ends_with($word, 's') => substr($word, 0, -1),
            \strlen($word) > 5 && str_ends_with($word, 'ing') => substr($word, 0, -3),
            default => $word,
        };
    }
}
