<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Trust;
use Hylognosis\Examination\Examination;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Reach;
use Hylognosis\Measure\Place;

/** All that is known about one tree and what somebody wants of it: the question put to the engine. */
final readonly class Inquiry
{
    /**
     * @param list<SecondExamination> $seconds other examiners' examinations of the same tree
     * @param list<Reach>             $reach   how far one gets today
     * @param list<Instrument>        $kit     what is in the bag
     * @param string                  $person  who made the examination; empty where nobody says
     * @param bool                    $covered the examiner does not know what is hoped for, and must not learn it from
     *                                         what is suggested
     * @param Trust|null              $trust   what the examiner has earned, if he is a learner
     */
    public function __construct(
        public Examination $examination,
        public Place $place,
        public \DateTimeImmutable $decidedOn,
        public ?Claim $claim,
        public PlaceTerms $terms,
        public array $seconds = [],
        public array $reach = [Reach::Ground, Reach::Hand, Reach::Binoculars, Reach::Cut],
        public array $kit = [
            Instrument::None,
            Instrument::Rule,
            Instrument::HandLens,
            Instrument::Knife,
            Instrument::UltravioletTorch,
        ],
        public string $person = '',
        public bool $covered = false,
        public ?Trust $trust = null,
    ) {
    }
}
