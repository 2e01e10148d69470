<?php

declare(strict_types=1);

namespace App\Trials\Input;

use App\Trials\Damp;
use App\Trials\TrialOf;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Somebody tried something. */
final readonly class NewTrial
{
    /**
     * @param string      $id      made by whoever records it, a UUID: sent twice it is recorded once
     * @param TrialOf     $what    what was tried
     * @param string      $of      of what: the stuff, in words
     * @param string      $way     how: the spark, the twist, the mordant
     * @param Damp        $damp    how damp it was, by the hand
     * @param bool        $worked  whether it worked
     * @param int|null    $seconds until it worked, or until it was given up
     * @param string|null $tree    id of the tree it is from
     * @param string      $note    in words
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id,
        public TrialOf $what,
        #[Assert\NotBlank(message: 'Say of what.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $of,
        #[Assert\NotBlank(message: 'Say how.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $way,
        public Damp $damp,
        public bool $worked,
        #[Assert\Range(min: 1, max: 1_000_000)] public ?int $seconds = null,
        #[Assert\Uuid] public ?string $tree = null,
        #[Assert\Length(max: 500)] #[PlainText] public string $note = '',
    ) {
    }
}
