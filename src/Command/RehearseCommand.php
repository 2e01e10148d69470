<?php

declare(strict_types=1);

namespace App\Command;

use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use App\Library\RehearsalFile;
use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Taxon;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Rehearsal;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/** @phpstan-import-type Rows from RehearsalFile */
#[AsCommand(
    'hylognosis:rehearse',
    'Plays a flora’s examinations many times over and says how often they would go wrong.',
)]
final class RehearseCommand extends Command
{
    public function __construct(
        private readonly FloraLibrary $library,
        private readonly RehearsalFile $file,
        #[Autowire('%kernel.project_dir%')] private readonly string $project,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption(
            'flora',
            null,
            InputOption::VALUE_REQUIRED,
            'Name of a shipped flora, or path of an exchanged one.',
            FloraLibrary::DEFAULT,
        )
            ->addOption('taxon', null, InputOption::VALUE_REQUIRED, 'Only this wanted taxon.')
            ->addOption('part', null, InputOption::VALUE_REQUIRED, 'Only this part of it.')
            ->addOption('month', null, InputOption::VALUE_REQUIRED, 'Only this month, 1 to 12.')
            ->addOption(
                'examiner',
                null,
                InputOption::VALUE_REQUIRED,
                'careful, average, careless, several with commas between, or all.',
                'careful',
            )
            ->addOption('plays', null, InputOption::VALUE_REQUIRED, 'Examinations played for each figure.', '300')
            ->addOption('seed', null, InputOption::VALUE_REQUIRED, 'The same seed gives the same figures.', '1')
            ->addOption('workers', null, InputOption::VALUE_REQUIRED, 'Processes at work side by side.', '2')
            ->addOption(
                'exact',
                null,
                InputOption::VALUE_NONE,
                'Dangerous trees by their exact bound alone, which is never too low; they are not played. Much faster.',
            )
            ->addOption('json', null, InputOption::VALUE_NONE, 'Answer as JSON.')
            ->addOption(
                'save',
                null,
                InputOption::VALUE_NONE,
                'Keep the figures with the flora (rehearsal.json), where the species pages show them.',
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        try {
            $name = $this->text($input, 'flora');
            $flora = $this->library->flora($name);
            $taxon = $this->text($input, 'taxon');
            $part = $this->text($input, 'part');
            $only = '' === $taxon ? null : $flora->taxon($taxon);
            if ('' !== $part) {
                null === $only ? throw FloraRefused::because('--part', 'goes with --taxon.') : $only->part($part);
            }
            $month = '' === $this->text($input, 'month') ? null : $this->whole($input, 'month', 1, 12);
            $examiners = $this->examiners($this->text($input, 'examiner'));
            $rehearsal = new Rehearsal(
                $flora,
                $this->whole($input, 'seed', 0, 1_000_000_000),
                $this->whole($input, 'plays', 10, 100_000),
                true === $input->getOption('exact'),
            );
            $workers = $this->whole($input, 'workers', 1, 64);
        } catch (FloraRefused|UnknownEntry $error) {
            $errors->writeln($error->getMessage(), OutputInterface::OUTPUT_RAW);

            return Command::INVALID;
        }
        $result =
            null === $only && $workers > 1
                ? $this->sideBySide($flora, $input, $workers, $errors)
                : $this->play(
                    $rehearsal,
                    $flora,
                    $only,
                    $part,
                    $month,
                    $examiners,
                    true !== $input->getOption('json') ? $errors : null,
                );
        $result = $this->file->headed(
            $flora,
            $this->whole($input, 'seed', 0, 1_000_000_000),
            $this->whole($input, 'plays', 10, 100_000),
            $result,
        );
        if (true === $input->getOption('save')) {
            $errors->writeln('Kept in '.$this->file->save($flora, $result).'.');
        }
        if (true === $input->getOption('json')) {
            $output->writeln(
                json_encode($result, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->file->tell(
                $flora,
                $result,
                static fn (string $line) => $output->writeln($line, OutputInterface::OUTPUT_RAW),
            );
        }

        return Command::SUCCESS;
    }

    /**
     * @param list<ExaminerKind> $examiners
     *
     * @return Rows
     */
    private function play(
        Rehearsal $rehearsal,
        Flora $flora,
        ?Taxon $only,
        string $onlyPart,
        ?int $month,
        array $examiners,
        ?OutputInterface $progress,
    ): array {
        $right = $passing = $outsiders = [];
        $bar =
            null === $progress ? null : new ProgressBar($progress, \count($rehearsal->wanted()) + \count($flora->taxa));
        foreach ($rehearsal->wanted() as [$taxon, $part]) {
            $bar?->advance();
            if ((null !== $only && $taxon !== $only) || ('' !== $onlyPart && $part->id !== $onlyPart)) {
                continue;
            }
            $days = Rehearsal::months($part);
            $days = null === $month ? $days : array_intersect_key($days, [$month => true]);
            foreach ([] === $days ? [] : $examiners as $kind) {
                foreach ($days as $m => $day) {
                    $right[] = $this->file->right($rehearsal->right($taxon, $part, $m, $day, $kind));
                }
                foreach ($flora->dangerous() as $danger) {
                    if (!(new Claim($taxon, $part, []))->allows($flora, $danger)) {
                        $passing[] = $this->file->passing($rehearsal->passing($taxon, $part, $danger, $days, $kind));
                    }
                }
            }
        }
        foreach ($flora->taxa as $taxon) {
            $bar?->advance();
            if ((null === $only || $taxon === $only) && '' === $onlyPart && null === $month && !$taxon->isHybrid()) {
                $outsiders[] = $this->file->outsiders($rehearsal->outsiders($taxon, $examiners[0]));
            }
        }
        $bar?->finish();
        $progress?->writeln('');

        return ['right' => $right, 'passing' => $passing, 'outsiders' => $outsiders];
    }

    /**
     * One process for each taxon, so many at a time.
     *
     * @return Rows
     */
    private function sideBySide(Flora $flora, InputInterface $input, int $workers, OutputInterface $progress): array
    {
        $queue = array_keys(array_filter($flora->taxa, static fn (Taxon $taxon): bool => !$taxon->isHybrid()));
        $bar = new ProgressBar($progress, \count($queue));
        $bar->start();
        $running = $answers = [];
        while ([] !== $queue || [] !== $running) {
            while ([] !== $queue && \count($running) < $workers) {
                $taxon = array_shift($queue);
                $running[$taxon] = $this->worker($input, $taxon);
            }
            foreach ($running as $taxon => $process) {
                if (!$process->isRunning()) {
                    if (!$process->isSuccessful()) {
                        throw new \RuntimeException(
                            'The rehearsal of '.$taxon.' failed: '.$process->getErrorOutput(),
                        );
                    }
                    $answers[$taxon] = $process->getOutput();
                    unset($running[$taxon]);
                    $bar->advance();
                }
            }
            usleep(20_000);
        }
        $bar->finish();
        $progress->writeln('');
        $result = ['right' => [], 'passing' => [], 'outsiders' => []];
        foreach (array_keys($flora->taxa) as $taxon) {
            if (isset($answers[$taxon])) {
                $answer = json_decode($answers[$taxon], true, flags: \JSON_THROW_ON_ERROR);
                \assert(\is_array($answer));
                foreach (['right', 'passing', 'outsiders'] as $list) {
                    $rows = $answer[$list];
                    \assert(\is_array($rows));
                    foreach ($rows as $row) {
                        \assert(\is_array($row));
                        /** @var array<string, scalar|null> $row */
                        $result[$list][] = $row;
                    }
                }
            }
        }

        return $result;
    }

    private function worker(InputInterface $input, string $taxon): Process
    {
        $command = [
            (string) (new PhpExecutableFinder())->find(),
            '-d',
            'memory_limit=2G',
            '-d',
            'opcache.enable_cli=1',
            '-d',
            'opcache.jit_buffer_size=64M',
            '-d',
            'opcache.jit=function',
            $this->project.'/bin/console',
            'hylognosis:rehearse',
            '--json',
            '--workers=1',
            '--taxon='.$taxon,
        ];
        if (true === $input->getOption('exact')) {
            $command[] = '--exact';
        }
        foreach (['flora', 'month', 'examiner', 'plays', 'seed'] as $option) {
            if ('' !== $this->text($input, $option)) {
                $command[] = '--'.$option.'='.$this->text($input, $option);
            }
        }
        $process = new Process($command, timeout: null);
        $process->start();

        return $process;
    }

    /** @return non-empty-list<ExaminerKind> */
    private function examiners(string $word): array
    {
        if ('all' === $word) {
            return ExaminerKind::cases();
        }

        return array_map(
            static fn (string $one): ExaminerKind => ExaminerKind::tryFrom(trim($one)) ??
                throw FloraRefused::because(
                    '--examiner',
                    'say careful, average, careless, several of them with commas between, or all.',
                ),
            explode(',', $word),
        );
    }

    private function text(InputInterface $input, string $option): string
    {
        $value = $input->getOption($option);

        return \is_string($value) ? $value : '';
    }

    private function whole(InputInterface $input, string $option, int $least, int $most): int
    {
        $text = $this->text($input, $option);

        return 1 === preg_match('/^\d{1,10}$/', $text) && $text >= $least && $text <= $most
            ? (int) $text
            : throw FloraRefused::because(
                '--'.$option,
                \sprintf('must be a whole number from %d to %d.', $least, $most),
            );
    }
}
