<?php

declare(strict_types=1);

namespace App\Command;

use App\Library\FloraLibrary;
use App\Library\SafetyCase;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand(
    'hylognosis:safety-case',
    'Prints the safety case (docs/safety-case.md) from the kept rehearsals of the shipped floras.',
)]
final class SafetyCaseCommand extends Command
{
    public function __construct(private readonly FloraLibrary $library, private readonly SafetyCase $case)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->write(
            $this->case->written(array_map($this->library->flora(...), $this->library->names())),
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }
}
