<?php

declare(strict_types=1);

namespace App\Command;

use App\Library\FloraLibrary;
use App\Library\FloraMigration;
use App\Library\FloraRefused;
use App\Library\FloraSchema;
use App\Library\NeverReview;
use App\Library\Reviews;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\ReviewVerdict;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Rehearsal\FloraAudit;
use Hylognosis\Rehearsal\PairAudit;
use Hylognosis\Rehearsal\Remark;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand(
    'hylognosis:flora',
    'Lists, shows, exports, checks, migrates floras, and has what they state never reviewed.',
),]
final class FloraCommand extends Command
{
    public function __construct(
        private readonly FloraLibrary $library,
        private readonly FloraSchema $schema,
        private readonly Reviews $reviews,
        private readonly FloraMigration $migration,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('what', InputArgument::REQUIRED, 'list, show, export, check, review or migrate')
            ->addArgument(
                'name',
                InputArgument::OPTIONAL,
                'Name of a shipped flora, or path of an exchanged one; for migrate the document of the older format.',
            )
            ->addArgument('taxon', InputArgument::OPTIONAL, 'For show and review: one taxon.')
            ->addOption(
                'take',
                null,
                InputOption::VALUE_REQUIRED,
                'For review: a sheet that was filled in, to be taken back.',
            )
            ->addOption('by', null, InputOption::VALUE_REQUIRED, 'For review: who filled it in.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $name = $input->getArgument('name');
        $taxon = $input->getArgument('taxon');
        try {
            return match ($input->getArgument('what')) {
                'list' => $this->list($output),
                'show' => $this->show(
                    \is_string($name) ? $name : FloraLibrary::DEFAULT,
                    \is_string($taxon) ? $taxon : null,
                    $output,
                ),
                'export' => $this->export(\is_string($name) ? $name : FloraLibrary::DEFAULT, $output),
                'check' => $this->check(\is_string($name) ? [$name] : $this->library->names(), $output),
                'review' => $this->review(
                    \is_string($name) ? $name : FloraLibrary::DEFAULT,
                    \is_string($taxon) ? $taxon : null,
                    $input,
                    $output,
                ),
                'migrate' => $this->migrate(\is_string($name) ? $name : '', $output),
                default => throw FloraRefused::because(
                    'hylognosis:flora',
                    'say list, show, export, check, review or migrate.',
                ),
            };
        } catch (FloraRefused|UnknownEntry $error) {
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
                $error->getMessage(),
                OutputInterface::OUTPUT_RAW,
            );

            return Command::INVALID;
        }
    }

    private function list(OutputInterface $output): int
    {
        foreach ($this->library->names() as $name) {
            $flora = $this->library->flora($name);
            $output->writeln(
                \sprintf(
                    '%s  edition %s  %d taxa (%d dangerous), %d characters  %s',
                    $name,
                    $flora->edition,
                    \count($flora->taxa),
                    \count($flora->dangerous()),
                    \count($flora->characters),
                    substr($flora->hash, 0, 12),
                ),
            );
            if ('' !== $this->library->problem($name)) {
                $output->writeln(
                    '  the files are not taken, this is the last good edition: '.$this->library->problem($name),
                    OutputInterface::OUTPUT_RAW,
                );
            }
        }

        return Command::SUCCESS;
    }

    private function show(string $name, ?string $taxon, OutputInterface $output): int
    {
        $flora = $this->library->flora($name);
        if (null !== $taxon) {
            $this->showTaxon($flora, $taxon, $output);

            return Command::SUCCESS;
        }
        $output->writeln(
            \sprintf("%s (%s), edition %s\nhash %s", $flora->title, $flora->name, $flora->edition, $flora->hash),
        );
        foreach ($flora->taxa as $entry) {
            $output->writeln(
                \sprintf(
                    '  %-26s %-28s %-9s %s',
                    $entry->id,
                    $entry->name,
                    $entry->severity()->value,
                    implode(
                        ', ',
                        array_map(
                            static fn ($part): string => $part->label.('' === $part->harmful ? '' : ' (never)'),
                            $entry->parts,
                        ),
                    ),
                ),
            );
        }

        return Command::SUCCESS;
    }

    private function showTaxon(Flora $flora, string $id, OutputInterface $output): void
    {
        $taxon = $flora->taxon($id);
        $output->writeln(
            \sprintf(
                "%s %s, %s (%s)\n%s",
                $taxon->name,
                $taxon->names->author,
                $taxon->commonName(),
                $taxon->names->family,
                $taxon->summary,
            ),
        );
        foreach ($flora->characters as $character) {
            $range = $taxon->description->range($character->id);
            $frequencies = $taxon->description->frequencies($character->id) ?? [];
            arsort($frequencies);
            $words = array_map(
                static fn (string $state, float $share): string => \sprintf(
                    '%s %d %%',
                    $character->state($state)->label,
                    round($share * 100),
                ),
                array_keys($frequencies),
                $frequencies,
            );
            if (null !== $range || [] !== $words) {
                $output->writeln(
                    \sprintf(
                        '  %-24s %s',
                        $character->label,
                        null === $range ? implode(', ', $words) : trim($range.' '.$character->unit),
                    ),
                );
            }
        }
    }

    private function export(string $name, OutputInterface $output): int
    {
        $this->library->flora($name); // refuses what cannot be taken
        $output->writeln(
            json_encode(
                $this->library->document($name)->content,
                \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    private function review(string $name, ?string $taxon, InputInterface $input, OutputInterface $output): int
    {
        if (!$this->library->isShipped($name)) {
            throw FloraRefused::because($name, 'is not among the shipped floras; reviews are kept for those.');
        }
        $flora = $this->library->flora($name);
        $taxon = null === $taxon ? null : $flora->taxon($taxon)->id;
        $file = $input->getOption('take');
        if (!\is_string($file)) {
            $output->writeln($this->reviews->sheet($flora, $taxon), OutputInterface::OUTPUT_RAW);

            return Command::SUCCESS;
        }
        $who = $input->getOption('by');
        $sheet = is_file($file)
            ? (string) file_get_contents($file)
            : throw FloraRefused::because($file, 'there is no such file.');
        $taken = $this->reviews->taken(
            $flora,
            $sheet,
            \is_string($who) && '' !== trim($who)
                ? trim($who)
                : throw FloraRefused::because('--by', 'say who filled the sheet in.'),
            $this->clock->now(),
        );
        foreach ($taken as $review) {
            $this->entities->persist($review);
        }
        $this->entities->flush();
        $doubted = \count(
            array_filter($taken, static fn (NeverReview $review): bool => ReviewVerdict::Doubted === $review->verdict),
        );
        $output->writeln(
            \sprintf(
                '%d lines taken: %d agreed, %d doubted. Doubted lines exclude nothing from now on.',
                \count($taken),
                \count($taken) - $doubted,
                $doubted,
            ),
        );

        return Command::SUCCESS;
    }

    private function migrate(string $path, OutputInterface $output): int
    {
        $output->writeln(
            json_encode(
                $this->migration->migrated($path),
                \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** @param list<string> $names */
    private function check(array $names, OutputInterface $output): int
    {
        $faults = 0;
        foreach ($names as $name) {
            $this->schema->validate($name, $this->library->document($name));
            $flora = $this->library->flora($name);
            $audit = new FloraAudit($flora);
            $remarks = $audit->remarks();
            $found = \count(array_filter($remarks, static fn (Remark $r): bool => $r->fault));
            $output->writeln(
                \sprintf(
                    '%s: %s, %d taxa, %d characters, hash %s; %d remarks%s',
                    $name,
                    0 === $found ? 'in order' : $found.' faults',
                    \count($flora->taxa),
                    \count($flora->characters),
                    substr($flora->hash, 0, 12),
                    \count($remarks) - $found,
                    $output->isVerbose() || [] === $remarks ? '' : ' (-v shows them)',
                ),
            );
            foreach ($remarks as $remark) {
                if ($remark->fault || $output->isVerbose()) {
                    $output->writeln(
                        \sprintf('  %s %s: %s', $remark->fault ? 'FAULT' : 'note ', $remark->where, $remark->what),
                        OutputInterface::OUTPUT_RAW,
                    );
                }
            }
            $this->weakest($audit, $output);
            $faults += $found;
        }

        return 0 === $faults ? Command::SUCCESS : Command::FAILURE;
    }

    private function weakest(FloraAudit $audit, OutputInterface $output): void
    {
        $pairs = $audit->pairs();
        $shut = \count(array_filter($pairs, static fn (PairAudit $pair): bool => !$pair->canExclude));
        $unread = \count(
            array_filter($pairs, static fn (PairAudit $pair): bool => $pair->excludes && $pair->unread > 0),
        );
        $output->writeln(
            \sprintf(
                '  %d pairs of wanted part and dangerous kind: %d excluded by the required list, %d by further '.
                    'looks, %d not at all yet (the gate stays shut); %d lean on lines nobody has read but their '.
                    'author.',
                \count($pairs),
                \count(array_filter($pairs, static fn (PairAudit $pair): bool => $pair->excludes)),
                \count(array_filter($pairs, static fn (PairAudit $pair): bool => $pair->canExclude && !$pair->excludes)),
                $shut,
                $unread,
            ),
        );
        $output->writeln('  weakest pairs by the required list alone:');
        foreach (\array_slice($pairs, 0, $output->isVerbose() ? 20 : 5) as $pair) {
            $output->writeln(
                \sprintf(
                    '    %s, %s against %s (%s): %s',
                    $pair->taxon,
                    $pair->part,
                    $pair->danger,
                    $pair->severity->value,
                    [] === $pair->characters
                        ? 'nothing required parts them; further looks must'
                        : implode(', ', $pair->characters).($pair->excludes ? '' : '; one more organ is needed'),
                ),
                OutputInterface::OUTPUT_RAW,
            );
        }
    }
}
