<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** A station, with all its card says. */
final readonly class StationView
{
    /**
     * @param string $id its id
     * @param ?string $tree id of the tree
     * @param string $tag of the tree; empty: anywhere
     * @param string $whereabouts where it stands
     * @param bool $mayTouch by what is on record of the tree; true where there is none
     * @param string $character what is looked at; empty where it is an activity
     * @param string $label of that character
     * @param string $question what is asked
     * @param string $hint how to look
     * @param string $note for whoever leads
     * @param array<string, bool> $results who → found
     */
    public function __construct(
        public string $id,
        public ?string $tree,
        public string $tag,
        public string $whereabouts,
        public bool $mayTouch,
        public string $character,
        public string $label,
        public string $question,
        public string $hint,
        public ?ActivityView $activity,
        public string $note,
        public array $results,
    ) {
    }
}
