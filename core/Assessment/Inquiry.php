<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Examination\Examination;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Reach;
use Hylognosis\Measure\Place;

/** All that is known about one tree and what somebody wants of it: the question put to the engine. */
final readonly class Inquiry
{
    /**
     * @param Examination|null $second      another examiner's scores of the same tree
     * @param bool             $secondBlind that examiner had not seen the first scores
     * @param list<Reach>      $reach       how far one gets today
     * @param list<Instrument> $kit         what is in the bag
     */
    public function __construct(
        public Examination $examination,
        public Place $place,
        public \DateTimeImmutable $decidedOn,
        public ?Claim $claim,
        public PlaceTerms $terms,
        public ?Examination $second = null,
        public bool $secondBlind = true,
        public array $reach = [Reach::Ground, Reach::Hand, Reach::Binoculars, Reach::Cut],
        public array $kit = [Instrument::None, Instrument::Rule, Instrument::HandLens, Instrument::Knife, Instrument::UltravioletTorch],
    ) {
    }
}
