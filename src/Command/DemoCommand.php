<?php

declare(strict_types=1);

namespace App\Command;

use App\Demo\DemoSchool;
use Doctrine\DBAL\Exception\TableNotFoundException;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

#[AsCommand('hylognosis:demo', 'Loads the invented school into an empty database; --fresh starts it over.')]
final class DemoCommand extends Command
{
    public function __construct(
        private readonly DemoSchool $school,
        #[Autowire('%env(bool:APP_DEMO)%')] private readonly bool $demo,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('fresh', null, InputOption::VALUE_NONE, 'Throw everything away and load the demo anew.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        if (!$this->demo) {
            $errors->writeln(
                'The invented school lives on a day of its own: set APP_DEMO=1, or use bin/demo, which does.',
            );

            return Command::INVALID;
        }
        $start = hrtime(true);
        try {
            if ($this->school->isLoaded()) {
                if ($this->school->holdsOthers()) {
                    $errors->writeln(
                        'People are on record who are none of the invented school: this database is somebody’s '.
                            'own. Nothing was changed.',
                    );

                    return Command::INVALID;
                }
                if (true !== $input->getOption('fresh')) {
                    $output->writeln('The demo is loaded already; its data are kept.');

                    return Command::SUCCESS;
                }
            }
            $this->school->load(true === $input->getOption('fresh'));
        } catch (TableNotFoundException) {
            $errors->writeln(
                'The database has no tables yet: run bin/console doctrine:migrations:migrate first, or use '.
                    'bin/demo, which does.',
            );

            return Command::INVALID;
        }
        $output->writeln(\sprintf('Demo school loaded in %.2f s.', (hrtime(true) - $start) / 1e9));

        return Command::SUCCESS;
    }
}
