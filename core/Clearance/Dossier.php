<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Examination\Examination;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Severity;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identification;
use Hylognosis\Season\Phenology;

/** Everything a decision rests on. */
final readonly class Dossier
{
    /** @var list<Danger> every dangerous taxon of the flora but the claimed one, worst and likeliest first */
    public array $dangers;

    /** @param bool $sameSpecimen the examination was made on the tree the part is to be taken from */
    public function __construct(
        public Claim $claim,
        public Identification $identification,
        public Phenology $phenology,
        public PlaceTerms $terms,
        public \DateTimeImmutable $decidedOn,
        public ?SecondLook $second = null,
        public bool $sameSpecimen = true,
    ) {
        $this->dangers = self::dangersBut($identification, $claim);
    }

    public function flora(): Flora
    {
        return $this->identification->compiled->flora;
    }

    public function examination(): Examination
    {
        return $this->identification->examination;
    }

    /** @return list<Danger> */
    public function openDangers(): array
    {
        return array_values(array_filter($this->dangers, static fn (Danger $danger): bool => !$danger->isExcluded()));
    }

    /** The same dossier as the second examiner's own scores would make it. */
    public function seenBySecond(SecondLook $second): self
    {
        return new self($this->claim, $second->identification, $this->phenology, $this->terms, $this->decidedOn, null, $this->sameSpecimen);
    }

    /** Probability of the claimed taxon, or of the group whose name is enough for this part. */
    public function posteriorOfClaim(): float
    {
        $group = $this->claim->part->group;

        return '' === $group
            ? $this->identification->posteriorOf($this->claim->taxon->id)
            : $this->identification->posteriorOfGroup($this->flora()->groups[$group]);
    }

    /**
     * All dangerous taxa against what was seen; with a claim, all but the claimed one.
     *
     * @return list<Danger>
     */
    public static function dangersBut(Identification $identification, ?Claim $claim): array
    {
        $compiled = $identification->compiled;
        $seen = Danger::seen($identification->examination);
        $dangers = $excluded = $severe = $likely = [];
        foreach ($compiled->flora->dangerous() as $id => $taxon) {
            if (null !== $claim && $claim->allows($compiled->flora, $taxon)) {
                continue;
            }
            $lookAlike = $claim?->part->lookAlike($id);
            $severity = null === $lookAlike ? $taxon->severity() : Severity::worse($lookAlike->severity, $taxon->severity());
            $danger = Danger::weigh($compiled, $seen, $taxon, $severity, $lookAlike->decisive ?? []);
            [$dangers[], $excluded[], $severe[], $likely[]] = [$danger, (int) $danger->isExcluded(), -$severity->rank(), -$identification->posteriorOf($id)];
        }
        $order = range(0, \count($dangers) - 1);
        array_multisort($excluded, $severe, $likely, $order);

        return array_map(static fn (int $i): Danger => $dangers[$i], [] === $dangers ? [] : $order);
    }
}
