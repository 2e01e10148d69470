<?php

declare(strict_types=1);

/*
 * Prints the trade-off behind three numbers: the description error, the surprise that shuts point 2, and what a good
 * fit is. Run by hand:  php tests/Reference/choose-numbers.php On data the floras were not written from: the accounts
 * of practitioners, the described specimens, Soybean; and on trees left out of the flora.
 */

require dirname(__DIR__, 2).'/vendor/autoload.php';

use App\Tests\Reference\Described;
use App\Tests\Reference\Floras;
use App\Tests\Reference\Soybean;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Conclusion;
use Hylognosis\Identification\DescriptionError;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use Hylognosis\Rehearsal\Chance;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Eye;
use Hylognosis\Rehearsal\Showing;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

$rates = [0.0, 0.01, 0.02, 0.05, 0.1, 0.2];
$line = static fn (string ...$cells) => print implode(
    '',
    array_map(static fn (string $cell): string => str_pad($cell, 16), $cells),
)."\n";

/**
 * @return list<array{string, LifeStage, list<string>, list<Hylognosis\Examination\Observation>, DateTimeImmutable}>
 *     letter, stage, kinds, what was seen
 */
$accounts = static function (): array {
    $trees = [];
    foreach (Described::rows('accounts.tsv') as [, $letter, $day, $stage, $kinds, $seen]) {
        $trees[] = [
            $letter,
            LifeStage::from($stage),
            explode(' ', $kinds),
            Described::observations(Floras::get($letter), $seen),
            new DateTimeImmutable('2027-'.$day),
        ];
    }

    return $trees;
};

/** @param list<Hylognosis\Examination\Observation> $observations */
function identified(
    string $letter,
    LifeStage $stage,
    array $observations,
    DateTimeImmutable $day,
    float $rate,
): Identification {
    return (new Identifier())->identify(
        CompiledFlora::of(Floras::get($letter), $stage, $rate),
        Examination::of($day, $stage, ExaminerRole::Instructor, $observations),
    );
}

echo "1. How often a right tree shows what is not listed, counted on the accounts\n";
$looks = $unusual = 0;
$shut = array_fill(0, 6, 0);
foreach ($accounts() as [$letter, $stage, $kinds, $observations, $day]) {
    $identification = identified($letter, $stage, $observations, $day, DescriptionError::RATE);
    $compiled = $identification->compiled;
    $own = $compiled->numbers[$kinds[0]];
    [$n, $k] = [0, 0];
    foreach ($identification->examination->findings as $id => $finding) {
        if (!$finding->character->isFirm() || isset($compiled->characters[$id]->silent[$own])) {
            continue;
        }
        ++$n;
        foreach ($finding->readings() as $reading) {
            if ($compiled->isUnusual($own, $finding->character, $reading)) {
                ++$k;
                break;
            }
        }
    }
    [$looks, $unusual] = [$looks + $n, $unusual + $k];
    ++$shut[min($k, 5)];
}
printf(
    "   %d of %d looks (%.1f %%); accounts with none %d, one %d, two %d, three or more %d\n\n",
    $unusual,
    $looks,
    (100 * $unusual) / $looks,
    $shut[0],
    $shut[1],
    $shut[2],
    $shut[3] + $shut[4] + $shut[5],
);

echo "2. What the rate does: accounts, trees the flora does not hold, Soybean\n";
$line('rate', 'right first', 'right in two', 'bad fit', 'none of these', 'wrong name', 'soybean right', 'log loss');
$outsiders = [
    'A' => [
        'fraxinus-excelsior',
        'ulmus-glabra',
        'carpinus-betulus',
        'hippophae-rhamnoides',
        'ilex-aquifolium',
        'juglans-regia',
        'larix-decidua',
        'populus-tremula',
    ],
    'B' => [
        'oxydendrum-arboreum',
        'asimina-triloba',
        'liquidambar-styraciflua',
        'nyssa-sylvatica',
        'sassafras-albidum',
        'cercis-canadensis',
        'lindera-benzoin',
        'catalpa-speciosa',
    ],
];
$fits = ['right' => [], 'outside' => []];
foreach ($rates as $rate) {
    [$first, $two, $bad] = [0, 0, 0];
    foreach ($accounts() as [$letter, $stage, $kinds, $observations, $day]) {
        $identification = identified($letter, $stage, $observations, $day, $rate);
        $leaders = array_map(static fn ($c): string => $c->taxon, array_slice($identification->ranking(), 0, 2));
        $first += (int) in_array($leaders[0], $kinds, true);
        $two += (int) ([] !== array_intersect($leaders, $kinds));
        $bad += (int) !$identification->hasGoodFit();
        if (DescriptionError::RATE === $rate) {
            $fits['right'][] = $identification->fit;
        }
    }
    [$none, $named, $trials] = [0, 0, 0];
    foreach ($outsiders as $letter => $taxa) {
        foreach ($taxa as $taxon) {
            $full = CompiledFlora::of(Floras::get($letter), LifeStage::Mature, $rate);
            $rest = CompiledFlora::of(Floras::get($letter)->without($taxon), LifeStage::Mature, $rate);
            $eye = Eye::of(ExaminerKind::Careful, $full);
            $chance = Chance::fair($random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $taxon, true))));
            for ($i = 0; $i < 12; ++$i) {
                $observations = [];
                foreach ($random->shuffleArray(array_keys($full->characters)) as $id) {
                    $showing = Showing::of($full->characters[$id], $full->numbers[$taxon]);
                    if (
                        null !== $showing
                        && $full->characters[$id]->isDescribed($full->numbers[$taxon])
                        && count($observations) < 14
                    ) {
                        $reads = $eye->reads($full->characters[$id], $showing, $chance->pick($showing->shares, []));
                        $values =
                            $reads[$chance->pick(array_map(static fn ($r): float => $r->probability, $reads), [])]
                                ->values;
                        $observations[] = Described::observations(
                            $full->flora,
                            $id.'='.implode(is_float($values[0]) ? ',' : '+', $values),
                        )[0];
                    }
                }
                $identification = (new Identifier())->identify(
                    $rest,
                    Examination::of(
                        new DateTimeImmutable('2027-07-01'),
                        LifeStage::Mature,
                        ExaminerRole::Instructor,
                        $observations,
                    ),
                );
                $none += (int) (Conclusion::NoneOfThese === $identification->conclusion());
                $named += (int) (Conclusion::Named === $identification->conclusion());
                ++$trials;
                if (DescriptionError::RATE === $rate) {
                    $fits['outside'][] = $identification->fit;
                }
            }
        }
    }
    [$right, $loss] = soybean($rate);
    $line(
        sprintf('%.2f', $rate),
        $first.' of 21',
        $two.' of 21',
        $bad.' of 21',
        sprintf('%d %%', round((100 * $none) / $trials)),
        sprintf('%d %%', round((100 * $named) / $trials)),
        sprintf('%.1f %%', 100 * $right),
        sprintf('%.3f', $loss),
    );
}

echo "\n3. Where a fit is called good, at the chosen rate\n";
$line('fit at least', 'accounts kept', 'outsiders kept out');
foreach ([0.0005, 0.001, 0.005, 0.01, 0.02, 0.05, 0.1] as $threshold) {
    $line(
        (string) $threshold,
        sprintf('%d %%', round(100 * goodShare($fits['right'], $threshold))),
        sprintf('%d %%', round(100 * (1 - goodShare($fits['outside'], $threshold)))),
    );
}

echo "\n4. What shuts point 2: unusual things among so many looks (rate ".DescriptionError::RATE.")\n";
$line('level', 'of 6', 'of 9', 'of 12', 'of 15', 'of 20');
foreach ([0.01, 0.05, 0.1] as $level) {
    $least = static function (int $n) use ($level): string {
        $k = 2;
        while (DescriptionError::chanceOf($k, $n) >= $level) {
            ++$k;
        }

        return $k.' shut it';
    };
    $line((string) $level, ...array_map($least, [6, 9, 12, 15, 20]));
}

/** @param list<float> $fits */
function goodShare(array $fits, float $threshold): float
{
    return count(array_filter($fits, static fn (float $fit): bool => $fit >= $threshold)) / count($fits);
}

/** @return array{float, float} share right, log loss, ten-fold */
function soybean(float $rate): array
{
    $data = new Soybean();
    $right = $loss = 0.0;
    for ($fold = 0; $fold < Soybean::FOLDS; ++$fold) {
        $compiled = $data->learnt($fold, $rate);
        foreach ($data->folds as $case => $of) {
            if ($of === $fold) {
                $identification = (new Identifier())->identify($compiled, $data->examination($compiled->flora, $case));
                $class = $data->classes[$case];
                $right += (float) ($identification->leader()->taxon === $class);
                $loss -= log(max(1e-12, $identification->posteriorOf($class) / (1 - $identification->unlisted)));
            }
        }
    }

    return [$right / count($data->cases), $loss / count($data->cases)];
}
