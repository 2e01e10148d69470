<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Examination\Examination;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Severity;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identification;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** Everything a decision rests on. */
final readonly class Dossier
{
    /** No two years are alike: what shows so many days before or after its usual time counts as seen in season. */
    private const LEEWAY_DAYS = 14;

    /** @var list<Danger> every dangerous taxon of the flora but the claimed one, worst and likeliest first */
    public array $dangers;

    /**
     * @param list<SecondLook> $seconds      all other examinations of this specimen made to answer this one
     * @param bool             $sameSpecimen the examination was made on the tree the part is to be taken from
     * @param string           $person       who made it; empty where nobody says
     * @param Trust|null       $trust        what its examiner has earned, if he is a learner; none of the second looks
     */
    public function __construct(
        public Claim $claim,
        public Identification $identification,
        public Phenology $phenology,
        public PlaceTerms $terms,
        public \DateTimeImmutable $decidedOn,
        public array $seconds = [],
        public bool $sameSpecimen = true,
        public string $person = '',
        public ?Trust $trust = null,
    ) {
        $this->dangers = self::dangersBut($identification, $claim, $phenology);
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

    /** The claimed taxon's number in the compiled flora. */
    public function claimed(): int
    {
        return $this->identification->compiled->numbers[$this->claim->taxon->id];
    }

    public function examinedOn(): DayOfYear
    {
        return DayOfYear::on($this->examination()->date);
    }

    /**
     * Whether the character can have been in sight on the claimed tree on the day of the examination, two weeks given
     * or taken.
     */
    public function canBeSeen(Character $character): bool
    {
        return $this->phenology->canShow($this->claim->taxon, $character, $this->examinedOn(), self::LEEWAY_DAYS);
    }

    /** The same dossier as the second examiner's own scores would make it. */
    public function seenBySecond(SecondLook $second): self
    {
        return new self(
            $this->claim,
            $second->identification,
            $this->phenology,
            $this->terms,
            $this->decidedOn,
            [],
            $this->sameSpecimen,
            $second->person,
        );
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
     * All dangerous taxa against what was seen; with a claim, all but the claimed one, and only what can be seen on
     * that in this season.
     *
     * @return list<Danger>
     */
    public static function dangersBut(Identification $identification, ?Claim $claim, Phenology $phenology): array
    {
        $compiled = $identification->compiled;
        $seen = Danger::seen($identification->examination);
        if (null !== $claim) {
            $day = DayOfYear::on($identification->examination->date);
            $seen = array_filter(
                $seen,
                static fn (array $scored): bool => $phenology->canShow(
                    $claim->taxon,
                    $scored[0],
                    $day,
                    self::LEEWAY_DAYS,
                ),
            );
        }
        $dangers = $excluded = $severe = $likely = [];
        foreach ($compiled->flora->dangerous() as $id => $taxon) {
            if (null !== $claim && $claim->allows($compiled->flora, $taxon)) {
                continue;
            }
            $lookAlike = $claim?->part->lookAlike($id);
            $severity =
                null === $lookAlike ? $taxon->severity() : Severity::worse($lookAlike->severity, $taxon->severity());
            $danger = Danger::weigh($compiled, $seen, $taxon, $severity, $lookAlike->decisive ?? []);
            [$dangers[], $excluded[], $severe[], $likely[]] = [
                $danger,
                (int) $danger->isExcluded(),
                -$severity->rank(),
                -$identification->posteriorOf($id),
            ];
        }
        if ([] === $dangers) {
            return []; // a flora may hold nothing dangerous
        }
        $order = range(0, \count($dangers) - 1);
        array_multisort($excluded, $severe, $likely, $order);

        return array_map(static fn (int $i): Danger => $dangers[$i], $order);
    }
}
