<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Flora\TaxonGroup;

/** The ranking of all taxa and of "something this flora does not hold", with the evidence behind it. */
final readonly class Identification
{
    /** Share of a candidate's own specimens that would look as odd as this one: below it the fit is bad. */
    public const GOOD_FIT = 0.02;
    public const LEAD = 0.95;
    private const NO_FIT = 0.002;
    private const FEWEST_SCORES = 3;

    /**
     * @param list<float>                $posterior   by taxon number, 0 to 1
     * @param float                      $unlisted    posterior of something this flora does not hold, 0 to 1
     * @param float                      $fit         of the best candidate, 0 to 1
     * @param array<string, list<float>> $evidence    character → taxon number → weighted log-likelihood (natural)
     */
    public function __construct(
        public CompiledFlora $compiled,
        public Examination $examination,
        public array $posterior,
        public float $unlisted,
        public float $fit,
        private array $evidence,
    ) {
    }

    /** @return list<Candidate> most probable first; ties in the flora's order */
    public function ranking(): array
    {
        $posterior = $this->posterior;
        arsort($posterior); // a stable sort: ties stay in the flora's order
        $ranking = [];
        foreach ($posterior as $t => $probability) {
            $ranking[] = new Candidate($this->compiled->taxa[$t], $probability);
        }

        return $ranking;
    }

    public function leader(): Candidate
    {
        $best = 0;
        foreach ($this->posterior as $t => $probability) {
            if ($probability > $this->posterior[$best]) {
                $best = $t;
            }
        }

        return new Candidate($this->compiled->taxa[$best], $this->posterior[$best]);
    }

    public function posteriorOf(string $taxon): float
    {
        return $this->posterior[$this->compiled->numbers[$taxon]];
    }

    public function posteriorOfGroup(TaxonGroup $group): float
    {
        return array_sum(array_map($this->posteriorOf(...), $group->members));
    }

    public function hasGoodFit(): bool
    {
        return $this->fit >= self::GOOD_FIT;
    }

    public function conclusion(): Conclusion
    {
        $leader = $this->leader()->posterior;

        return match (true) {
            \count($this->examination->findings) < self::FEWEST_SCORES => Conclusion::TooEarly,
            $this->fit < self::NO_FIT || $this->unlisted > $leader => Conclusion::NoneOfThese,
            $this->hasGoodFit() && $this->compiled->flora->taxon($this->leader()->taxon)->isHybrid() => Conclusion::Between,
            $leader >= self::LEAD && $this->hasGoodFit() => Conclusion::Named,
            default => Conclusion::Undecided,
        };
    }

    /**
     * What each scored character says for one taxon against another; the sum is exactly the logarithm of the
     * odds between the two, in decibans.
     *
     * @return list<Contribution> strongest first
     */
    public function evidence(string $for, string $against): array
    {
        $a = $this->compiled->numbers[$for];
        $b = $this->compiled->numbers[$against];
        $contributions = [];
        foreach ($this->examination->findings as $id => $finding) {
            $contributions[] = new Contribution(
                $finding,
                (10 / \M_LN10) * ($this->evidence[$id][$a] - $this->evidence[$id][$b]),
            );
        }
        usort(
            $contributions,
            static fn (Contribution $x, Contribution $y): int => abs($y->decibans) <=> abs($x->decibans),
        );

        return $contributions;
    }
}
