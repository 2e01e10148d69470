<?php

declare(strict_types=1);

// Times the posterior beside NumPy's and scikit-learn's on the same table, in the same run, and compares the results:
//   php tests/Reference/bench-against-numpy.php
// Run on demand; a benchmark prints figures and proves nothing by passing.

use App\Command\GeneratedFlora;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identifier;
use Hylognosis\Identification\MisreadingModel;
use Hylognosis\Identification\Tempering;
use Symfony\Component\Process\Process;

require dirname(__DIR__, 2).'/vendor/autoload.php';
ini_set('memory_limit', '4G');

printf("%-14s %10s %10s %10s %14s\n", 'taxa × chars', 'here ms', 'NumPy ms', 'sklearn ms', 'largest gap');
foreach ([60, 300, 1000, 5000] as $taxa) {
    $flora = (new GeneratedFlora())->make($taxa, 110);
    $compiled = CompiledFlora::of($flora, LifeStage::Mature);
    $observations = [];
    foreach (
        array_slice(array_filter($flora->characters, static fn ($c): bool => !$c->isNumeric()), 0, 12) as $character
    ) {
        $observations[] = Observation::ofStates(
            $character,
            [array_key_first($character->states) ?? ''],
            Certainty::Sure,
            1,
            Whereabouts::Tree,
        );
    }
    $examination = Examination::of(
        new DateTimeImmutable('2027-06-14'),
        LifeStage::Mature,
        ExaminerRole::Instructor,
        $observations,
    );
    $times = [];
    $identification = (new Identifier())->identify($compiled, $examination);
    for ($round = 0; $round < 30; ++$round) {
        $start = hrtime(true);
        (new Identifier())->identify($compiled, $examination);
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);
    $weights = (new Tempering())->weights($examination);
    $table = [];
    foreach ($examination->findings as $id => $finding) {
        $character = $compiled->characters[$id];
        $rate = MisreadingModel::rate($finding);
        foreach ($character->shown as $o => $row) {
            foreach ($row as $t => $share) {
                $table[$id][$o][$t] = max(1e-9, (1 - $rate) * $share + $rate * $character->misread[$o][$t]);
            }
            $table[$id][$o][] = max(1e-9, $character->background[$o]);
        }
    }
    $python = new Process(
        ['/usr/bin/python3', __DIR__.'/posterior_baseline.py'],
        input: json_encode(
            ['table' => array_values($table), 'weights' => array_values($weights)],
            \JSON_THROW_ON_ERROR,
        ),
        timeout: 120,
    );
    $python->mustRun();
    /** @var array{numpy: float, sklearn: float, posterior: list<float>} $there */
    $there = json_decode($python->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
    $gap = 0.0;
    foreach ([...$identification->posterior, $identification->unlisted] as $t => $here) {
        $gap = max($gap, abs($here - $there['posterior'][$t]));
    }
    printf(
        "%5d × %-6d %10.3f %10.3f %10.3f %14.1e\n",
        $taxa,
        110,
        $times[15],
        $there['numpy'],
        $there['sklearn'],
        $gap,
    );
}
