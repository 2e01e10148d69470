<?php

declare(strict_types=1);

namespace App\Command;

use App\Keeping\Doctor;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('hylognosis:doctor', 'Looks over whether everything kept is whole. Ends with 1 where something is wrong.')]
final class DoctorCommand extends Command
{
    public function __construct(private readonly Doctor $doctor)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $ill = false;
        foreach ($this->doctor->examine() as $what => $wrong) {
            $output->writeln(\sprintf('%s  %s', [] === $wrong ? 'well ' : 'WRONG', $what), OutputInterface::OUTPUT_RAW);
            foreach ($wrong as $sentence) {
                $ill = true;
                $output->writeln('       '.$sentence, OutputInterface::OUTPUT_RAW);
            }
        }

        return $ill ? Command::FAILURE : Command::SUCCESS;
    }
}
