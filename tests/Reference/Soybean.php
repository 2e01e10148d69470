<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Organ;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\DescriptionError;

/**
 * The Soybean data as a flora: 19 diseases stand for taxa, 35 features for characters, the parts of the plant for
 * organs. A gap is "could not look". Source and licence: data/soybean.R. The folds are those of every tenth case, class
 * by class.
 */
final class Soybean
{
    public const FOLDS = 10;
    /** Laplace's rule: one case of every state is added. */
    private const ADDED = 1.0;

    /** @var list<string> */
    public readonly array $classes;
    /** @var list<array<string, string>> feature → value; gaps are missing */
    public readonly array $cases;
    /** @var list<int> */
    public readonly array $folds;
    /** @var array<string, list<string>> */
    public readonly array $values;

    public function __construct()
    {
        $lines = explode("\n", trim((string) file_get_contents(__DIR__.'/data/soybean.csv')));
        $names = explode(',', array_shift($lines));
        $classes = $cases = $folds = $values = $seen = [];
        foreach ($lines as $line) {
            $cells = explode(',', $line);
            $class = array_shift($cells);
            $classes[] = $class;
            $folds[] = ($seen[$class] = ($seen[$class] ?? -1) + 1) % self::FOLDS;
            $case = [];
            foreach ($cells as $i => $cell) {
                if ('' !== $cell) {
                    $case[$names[$i + 1]] = $cell;
                    $values[$names[$i + 1]][$cell] = $cell;
                }
            }
            $cases[] = $case;
        }
        [$this->classes, $this->cases, $this->folds] = [$classes, $cases, $folds];
        $this->values = array_map(static function (array $of): array {
            sort($of);

            return array_map(strval(...), $of);
        }, $values);
    }

    public static function organ(string $feature): Organ
    {
        return match (true) {
            str_starts_with($feature, 'leaf') || 'leaves' === $feature => Organ::Leaf,
            \in_array(
                $feature,
                [
                    'stem',
                    'lodging',
                    'stem.cankers',
                    'canker.lesion',
                    'fruiting.bodies',
                    'ext.decay',
                    'mycelium',
                    'int.discolor',
                    'sclerotia',
                ],
                true,
            ) => Organ::Bark,
            str_starts_with($feature, 'fruit.') => Organ::Fruit,
            \in_array($feature, ['seed', 'mold.growth', 'seed.discolor', 'seed.size', 'shriveling'], true) => Organ::Bud,
            \in_array($feature, ['date', 'precip', 'temp', 'hail', 'crop.hist', 'area.dam', 'seed.tmt'], true) => Organ::Site,
            'roots' === $feature => Organ::Wood,
            default => Organ::Outline,
        };
    }

    /**
     * Learnt from all cases but those of one fold.
     *
     * @param float|null $error null: by Laplace's rule; otherwise only what was met is listed, and the rest is left to
     *                          that description error
     */
    public function learnt(int $fold, ?float $error = null): CompiledFlora
    {
        $added = null === $error ? self::ADDED : 0.0;
        $counts = [];
        foreach ($this->cases as $i => $case) {
            if ($this->folds[$i] !== $fold) {
                foreach ($case as $feature => $value) {
                    $counts[$this->classes[$i]][$feature][$value] =
                        ($counts[$this->classes[$i]][$feature][$value] ?? 0) + 1;
                }
            }
        }
        $table = [];
        foreach (array_unique($this->classes) as $class) {
            foreach ($this->values as $feature => $values) {
                $sum = (float) array_sum($counts[$class][$feature] ?? []) + $added * (float) \count($values);
                foreach ($sum > 0.0 ? $values : [] as $value) {
                    $table[$class][$feature]['s'.$value] =
                        ((float) ($counts[$class][$feature][$value] ?? 0) + $added) / $sum;
                }
            }
        }

        return CompiledFlora::of(
            TableFlora::of(
                $table,
                0.0,
                array_combine(array_keys($this->values), array_map(self::organ(...), array_keys($this->values))),
            ),
            LifeStage::Mature,
            $error ?? DescriptionError::RATE,
        );
    }

    /** @param list<string>|null $only the features looked at; null: all that were recorded */
    public function examination(Flora $flora, int $case, ?array $only = null): Examination
    {
        $observations = [];
        foreach ($this->cases[$case] as $feature => $value) {
            if (null === $only || \in_array($feature, $only, true)) {
                $observations[] = Observation::ofStates(
                    $flora->character($feature),
                    ['s'.$value],
                    Certainty::Sure,
                    1,
                    Whereabouts::Tree,
                );
            }
        }

        return Examination::of(
            new \DateTimeImmutable('2027-06-14'),
            LifeStage::Mature,
            ExaminerRole::Instructor,
            $observations,
        );
    }
}
