<?php

declare(strict_types=1);

namespace App\Command;

use App\Account\UserRepository;
use App\School\BeginWord;
use Doctrine\DBAL\Exception\TableNotFoundException;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('hylognosis:begin', 'Prints the word with which the first page of an empty school is opened.')]
final class BeginCommand extends Command
{
    public function __construct(private readonly UserRepository $people, private readonly BeginWord $word)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        try {
            if ($this->people->isAnybodyHere()) {
                $errors->writeln('The school has begun already: an instructor invites whoever is to join.');

                return Command::INVALID;
            }
            $word = $this->word->make();
        } catch (TableNotFoundException) {
            $errors->writeln(
                'The database has no tables yet: run bin/console doctrine:migrations:migrate first, or use '.
                    'bin/start, which does.',
            );

            return Command::INVALID;
        }
        $output->writeln($word, OutputInterface::OUTPUT_RAW);
        $errors->writeln(\sprintf('Type it on the first page. It works once, for %d hours.', BeginWord::HOURS));

        return Command::SUCCESS;
    }
}
