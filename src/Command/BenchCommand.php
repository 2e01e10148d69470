<?php

declare(strict_types=1);

namespace App\Command;

use App\Library\FloraLibrary;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Route\Tour;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('hylognosis:bench', 'Times one full step (rank, explain, clearance, next look) and prints figures.')]
final class BenchCommand extends Command
{
    private const CHARACTERS = 110;
    private const SCORED = 12;
    private const ROUNDS = 40;

    public function __construct(private readonly FloraLibrary $library, private readonly Assessor $assessor)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $status = \function_exists('opcache_get_status') ? opcache_get_status(false) : false;
        $jit = \is_array($status) && \is_array($status['jit'] ?? null) && true === ($status['jit']['on'] ?? false);
        $output->writeln(
            \sprintf(
                'PHP %s, just-in-time compiler %s, one core. A step: rank all taxa, explain the six best, '.
                    'decide, suggest.',
                \PHP_VERSION,
                $jit ? 'on' : 'off',
            ),
        );
        $table = new Table($output);
        $table->setHeaders([
            'flora',
            'compile ms',
            'nothing scored ms',
            \sprintf('%d scored ms', self::SCORED),
            'worst ms',
            'memory MB',
        ]);
        $starter = $this->library->flora(FloraLibrary::DEFAULT);
        $table->addRow(
            $this->row(
                \sprintf('%s, %d × %d', $starter->name, \count($starter->taxa), \count($starter->characters)),
                $starter,
            ),
        );
        foreach ([60, 300, 1000, 5000] as $taxa) {
            $table->addRow(
                $this->row(
                    \sprintf('generated, %d × %d', $taxa, self::CHARACTERS),
                    (new GeneratedFlora())->make($taxa, self::CHARACTERS),
                ),
            );
        }
        $table->render();
        foreach ([12, 60] as $stops) {
            $output->writeln(\sprintf('A round of %d trees, in order: %.1f ms.', $stops, $this->tour($stops)));
        }
        $output->writeln(
            'Beside NumPy and scikit-learn on the same table: php tests/Reference/bench-against-numpy.php',
        );

        return Command::SUCCESS;
    }

    /** @return float milliseconds to put so many trees in order, the median of nine rounds */
    private function tour(int $stops): float
    {
        $random = new Randomizer(new Mt19937(60));
        $took = [];
        for ($round = 0; $round < 9; ++$round) {
            $points = [];
            for ($i = 0; $i < $stops + 2; ++$i) {
                $points[] = [$random->getInt(0, 1000), $random->getInt(0, 1000)];
            }
            $times = [];
            foreach ($points as $from) {
                $times[] = array_map(
                    static fn (array $to): float => hypot($from[0] - $to[0], $from[1] - $to[1]),
                    $points,
                );
            }
            $start = hrtime(true);
            Tour::through($times);
            $took[] = (hrtime(true) - $start) / 1e6;
        }
        sort($took);

        return $took[4];
    }

    /** @return list<string> */
    private function row(string $name, Flora $flora): array
    {
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $start = hrtime(true);
        $compiled = CompiledFlora::of($flora, LifeStage::Mature);
        $compile = (hrtime(true) - $start) / 1e6;
        [$first, $worstFirst] = $this->time($compiled, 0);
        [$later, $worstLater] = $this->time($compiled, self::SCORED);

        return [
            $name,
            \sprintf('%.1f', $compile),
            \sprintf('%.2f', $first),
            \sprintf('%.2f', $later),
            \sprintf('%.2f', max($worstFirst, $worstLater)),
            \sprintf('%.1f', (memory_get_peak_usage() - $before) / 1048576),
        ];
    }

    /** @return array{float, float} median and worst of the rounds, milliseconds */
    private function time(CompiledFlora $compiled, int $scored): array
    {
        $taxon = array_values(
            array_filter(
                $compiled->flora->taxa,
                static fn (Taxon $t): bool => [] !== $t->parts && '' === array_values($t->parts)[0]->harmful,
            ),
        )[0];
        $part = array_values($taxon->parts)[0];
        $times = [];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $observations = $this->observations($compiled->flora, $taxon, $scored, $round);
            $day = new \DateTimeImmutable('2027-06-14');
            $inquiry = new Inquiry(
                Examination::of($day, LifeStage::Mature, ExaminerRole::Instructor, $observations),
                $compiled->flora->reference,
                $day,
                new Claim($taxon, $part, []),
                new PlaceTerms(true),
            );
            $start = hrtime(true);
            $assessment = $this->assessor->assess(static fn (): CompiledFlora => $compiled, $inquiry);
            $ranking = $assessment->identification->ranking();
            foreach (\array_slice($ranking, 1, 6) as $rival) {
                $assessment->identification->evidence($ranking[0]->taxon, $rival->taxon);
            }
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        sort($times);

        return [$times[intdiv(self::ROUNDS, 2)], $times[self::ROUNDS - 1]];
    }

    /** @return list<Observation> typical of the taxon, a different choice of characters each round */
    private function observations(Flora $flora, Taxon $taxon, int $count, int $round): array
    {
        $ids = $taxon->description->characters();
        $observations = [];
        for ($i = 0; $i < $count; ++$i) {
            $character = $flora->character($ids[($round * 7 + $i * 5) % \count($ids)]);
            $frequencies = $taxon->description->frequencies($character->id) ?? [];
            arsort($frequencies);
            $range = $taxon->description->range($character->id);
            if (null !== $range) {
                $observations[] = Observation::ofNumbers(
                    $character,
                    [floor($range->low)],
                    Certainty::Sure,
                    Whereabouts::Tree,
                );
            } elseif ([] !== $frequencies) {
                $observations[] = Observation::ofStates(
                    $character,
                    [array_key_first($frequencies)],
                    Certainty::Sure,
                    3,
                    Whereabouts::Tree,
                );
            }
        }

        return $observations;
    }
}
