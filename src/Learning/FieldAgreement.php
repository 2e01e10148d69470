<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Examine\ScoreRecord;
use App\Learning\View\AgreementView;
use App\Learning\View\DifferenceView;
use App\Learning\View\FieldAgreementView;
use App\Learning\View\VariationView;
use App\Library\FloraLibrary;
use App\Trees\HeldKinds;
use App\Trees\Specimen;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Learning\CharacterAgreement;

/**
 * What several people scored on the same trees, and where they differ. Trees that the reader is to look at unbiased are
 * left out.
 */
final readonly class FieldAgreement
{
    /** A kind of which fewer trees were scored tells nothing of how it varies. */
    private const LEAST_TREES = 2;

    public function __construct(
        private EntityManagerInterface $entities,
        private FloraLibrary $library,
        private HeldKinds $kinds,
    ) {
    }

    public function of(User $reader): FieldAgreementView
    {
        $flora = $this->library->flora($reader->flora);
        $hidden = $this->kinds->hiddenFrom($reader);
        $trees = $read = [];
        foreach ($this->scores($flora->name) as $score) {
            $tree = $score->examination->specimen;
            $character = $flora->characters[$score->character] ?? null;
            if (null === $character || isset($hidden[$tree->id])) {
                continue;
            }
            $trees[$tree->id] = $tree;
            // looked at again, the later look of the same person holds
            $read[$score->character][$tree->id][$score->examination->examiner->name] = self::words($character, $score);
        }
        $views = [];
        foreach ($read as $id => $byTree) {
            $views[] = $this->agreement($flora, $flora->character((string) $id), $byTree, $trees, $hidden);
        }
        $views = array_values(array_filter($views));
        usort($views, static fn (AgreementView $a, AgreementView $b): int => $a->ac1 <=> $b->ac1);

        return new FieldAgreementView($views, $this->variation($flora, $read, $trees, $hidden));
    }

    /** @return list<ScoreRecord> of signed examinations, in the order they were recorded */
    private function scores(string $flora): array
    {
        /** @var list<ScoreRecord> $scores */
        $scores = $this->entities
            ->createQueryBuilder()
            ->select('s', 'e', 't', 'p')
            ->from(ScoreRecord::class, 's')
            ->join('s.examination', 'e')
            ->join('e.specimen', 't')
            ->join('e.examiner', 'p')
            ->where('e.signedAt IS NOT NULL AND s.takenBackAt IS NULL AND e.flora = :flora')
            ->setParameter('flora', $flora)
            ->orderBy('s.recordedAt')
            ->getQuery()
            ->getResult();

        return array_values(
            array_filter($scores, static fn (ScoreRecord $s): bool => [] !== $s->states || [] !== $s->numbers),
        );
    }

    /**
     * @param array<string, array<string, string>> $byTree tree → person → what was read
     * @param array<string, Specimen>              $trees
     * @param array<string, true>                  $hidden
     */
    private function agreement(
        Flora $flora,
        Character $character,
        array $byTree,
        array $trees,
        array $hidden,
    ): ?AgreementView {
        if ($character->isNumeric()) {
            return null;
        }
        $shared = array_filter($byTree, static fn (array $by): bool => \count($by) > 1);
        if ([] === $shared) {
            return null;
        }
        $agreement = CharacterAgreement::byPeople(array_values($shared));
        $differ = [];
        foreach ($shared as $tree => $by) {
            if (\count(array_unique($by)) > 1) {
                $kind = $this->kinds->ofTree($trees[$tree], $hidden)[0] ?? null;
                $usual = $kind?->description->frequencies($character->id) ?? [];
                arsort($usual);
                $state = array_key_first($usual);
                $differ[] = new DifferenceView(
                    $tree,
                    $trees[$tree]->tag,
                    array_map(static fn (string $who, string $what): string => "$who: $what", array_keys($by), $by),
                    null === $state ? '' : $flora->character($character->id)->states[$state]->label,
                );
            }
        }

        return new AgreementView(
            $character->id,
            $character->label,
            $agreement->trees,
            $agreement->ac1,
            $agreement->kappa,
            $agreement->interval[0] ?? null,
            $agreement->interval[1] ?? null,
            $agreement->kappaInterval[0] ?? null,
            $agreement->kappaInterval[1] ?? null,
            $agreement->isCohens,
            $differ,
        );
    }

    /**
     * @param array<string, array<string, array<string, string>>> $read
     * @param array<string, Specimen>                             $trees
     * @param array<string, true>                                 $hidden
     *
     * @return list<VariationView>
     */
    private function variation(Flora $flora, array $read, array $trees, array $hidden): array
    {
        $values = [];
        foreach ($read as $id => $byTree) {
            foreach ($byTree as $tree => $by) {
                $kind = $this->kinds->ofTree($trees[$tree], $hidden)[0] ?? null;
                if (null !== $kind) {
                    $values[$kind->commonName()][$flora->character((string) $id)->label][] = (string) end($by);
                }
            }
        }
        $views = [];
        ksort($values);
        foreach ($values as $kind => $byLabel) {
            foreach ($byLabel as $label => $all) {
                $counts = array_count_values($all);
                arsort($counts);
                if (\count($all) >= self::LEAST_TREES && \count($counts) > 1) {
                    $views[] = new VariationView(
                        $kind,
                        $label,
                        array_map(
                            static fn (int|string $value, int $times): string => \sprintf(
                                '%s on %d %s',
                                $value,
                                $times,
                                1 === $times ? 'tree' : 'trees',
                            ),
                            array_keys($counts),
                            $counts,
                        ),
                    );
                }
            }
        }

        return $views;
    }

    private static function words(Character $character, ScoreRecord $score): string
    {
        if ([] !== $score->numbers) {
            $mean = array_sum($score->numbers) / \count($score->numbers);

            return trim(round($mean, $mean < 10 ? 1 : 0).' '.$character->unit);
        }
        $labels = array_map(static fn (string $s): string => $character->states[$s]->label ?? $s, $score->states);
        sort($labels);

        return implode(' or ', $labels);
    }
}
