<?php

declare(strict_types=1);

namespace App\Command;

use App\Keeping\Copies;
use App\Keeping\CopyFailed;
use App\Keeping\Restoring;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

#[AsCommand('hylognosis:copy', 'Makes copies of everything, lists, checks and restores them.')]
final class CopyCommand extends Command
{
    public function __construct(
        private readonly Copies $copies,
        private readonly Restoring $restoring,
        #[Autowire(service: 'clock')] private readonly ClockInterface $clock,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('what', InputArgument::REQUIRED, 'make, list, check or restore')
            ->addArgument('file', InputArgument::OPTIONAL, 'For check and restore: the archive.')
            ->addOption(
                'if-older',
                null,
                InputOption::VALUE_REQUIRED,
                'For make: only if the last one is older than so many hours.',
            )
            ->addOption(
                'thin',
                null,
                InputOption::VALUE_NONE,
                'For make: throw old ones away; of the last 7 days, 5 weeks and 12 months one each stays.',
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $file = \is_string($file) ? $file : '';
        try {
            match ($input->getArgument('what')) {
                'make' => $this->make($input, $output),
                'list' => $this->list($output),
                'check' => $this->check($file, $output),
                'restore' => $this->restore($file, $output),
                default => throw new CopyFailed('hylognosis:copy: say make, list, check or restore.'),
            };
        } catch (CopyFailed $failed) {
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
                $failed->getMessage(),
                OutputInterface::OUTPUT_RAW,
            );

            return Command::INVALID;
        }

        return Command::SUCCESS;
    }

    private function make(InputInterface $input, OutputInterface $output): void
    {
        $hours = $input->getOption('if-older');
        $last = $this->copies->all()[0] ?? null;
        if (
            \is_string($hours)
            && null !== $last
            && $last->madeAt > $this->clock->now()->modify(\sprintf('-%d hours', (int) $hours))
        ) {
            return;
        }
        $copy = $this->copies->make();
        $output->writeln(\sprintf('%s  %.1f MB', $copy->path, $copy->bytes / 1e6), OutputInterface::OUTPUT_RAW);
        foreach (true === $input->getOption('thin') ? $this->copies->thin() : [] as $name) {
            $output->writeln($name.' thrown away', OutputInterface::OUTPUT_RAW);
        }
    }

    private function list(OutputInterface $output): void
    {
        foreach ($this->copies->all() as $copy) {
            $output->writeln(\sprintf('%s  %.1f MB', $copy->path, $copy->bytes / 1e6), OutputInterface::OUTPUT_RAW);
        }
    }

    private function check(string $file, OutputInterface $output): void
    {
        [$path, $manifest] = $this->copies->read($file);
        unlink($path);
        $output->writeln(
            \sprintf(
                'Whole: made %s by engine %s, %d decisions, %d rows in %d tables.',
                $manifest->madeAt->format('Y-m-d H:i'),
                $manifest->engine,
                $manifest->decision,
                array_sum($manifest->rows),
                \count($manifest->rows),
            ),
            OutputInterface::OUTPUT_RAW,
        );
    }

    private function restore(string $file, OutputInterface $output): void
    {
        $rows = $this->restoring->restore($file);
        $output->writeln(
            \sprintf(
                'Restored: %d rows in %d tables. Everybody signs in again, with the passwords of then.',
                array_sum($rows),
                \count($rows),
            ),
            OutputInterface::OUTPUT_RAW,
        );
    }
}
