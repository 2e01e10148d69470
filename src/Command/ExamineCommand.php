<?php

declare(strict_types=1);

namespace App\Command;

use App\Examine\View\AccountView;
use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\InquiryReader;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonText;
use Hylognosis\Document\Node;
use Hylognosis\Wording\English;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Serializer\Normalizer\NormalizerInterface;

#[AsCommand('hylognosis:examine', 'Ranks, excludes and decides for one examination document.')]
final class ExamineCommand extends Command
{
    public function __construct(
        private readonly FloraLibrary $library,
        private readonly InquiryReader $reader,
        private readonly Assessor $assessor,
        private readonly NormalizerInterface $normalizer,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument(
            'file',
            InputArgument::REQUIRED,
            'Examination document (JSON, see docs/formats/examination.md), or - for standard input.',
        )
            ->addOption(
                'flora',
                null,
                InputOption::VALUE_REQUIRED,
                'Name of a shipped flora, or path of an exchanged one; otherwise the one the document names.',
            )
            ->addOption('json', null, InputOption::VALUE_NONE, 'Answer as JSON.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $file = $input->getArgument('file');
            $flora = $input->getOption('flora');
            $assessment = $this->assess(\is_string($file) ? $file : '-', \is_string($flora) ? $flora : null);
        } catch (DocumentError|FloraRefused $error) {
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
                $error->getMessage(),
                OutputInterface::OUTPUT_RAW,
            );

            return Command::INVALID;
        }
        if (true === $input->getOption('json')) {
            $flora = $assessment->identification->compiled->flora;
            $output->writeln(
                json_encode(
                    ['flora' => ['name' => $flora->name, 'edition' => $flora->edition, 'hash' => $flora->hash]] +
                        (array) $this->normalizer->normalize(AccountView::of($assessment, new English($flora))),
                    \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->tell($assessment, $output);
        }

        return Command::SUCCESS;
    }

    /**
     * @throws DocumentError if the document cannot be taken
     * @throws FloraRefused  if the flora cannot be taken
     */
    private function assess(string $file, ?string $flora): Assessment
    {
        $text =
            '-' === $file
                ? stream_get_contents(\STDIN)
                : (is_file($file)
                    ? file_get_contents($file)
                    : throw DocumentError::at($file, 'there is no such file.'));
        try {
            $root = Node::root(JsonText::parse((string) $text, 32));
        } catch (DocumentError $e) {
            throw DocumentError::at('-' === $file ? 'standard input' : $file, $e->reason);
        }
        $name = $flora ?? $root->optionalText('flora', FloraLibrary::DEFAULT);
        if (null === $flora && !$this->library->isShipped($name)) {
            // a document may not bring a weaker flora along
            throw DocumentError::at(
                'flora',
                \sprintf(
                    '"%s" is none of the shipped floras (%s); another one is named with --flora.',
                    $name,
                    implode(', ', $this->library->names()),
                ),
            );
        }

        return $this->assessor->assess(
            $this->library->compiler($name),
            $this->reader->read($this->library->flora($name), $root),
        );
    }

    private function tell(Assessment $assessment, OutputInterface $output): void
    {
        $flora = $assessment->identification->compiled->flora;
        $view = AccountView::of($assessment, new English($flora), 1);
        $line = static function (string $text) use ($output): void {
            $output->writeln($text, OutputInterface::OUTPUT_RAW);
        };
        $line(\sprintf('By %s, edition %s, %s', $flora->name, $flora->edition, substr($flora->hash, 0, 12)));
        $line('What it may be');
        foreach (\array_slice($view->ranking, 0, 5) as $candidate) {
            $line(
                \sprintf('  %6.2f %%  %s (%s)', $candidate->posterior * 100, $candidate->name, $candidate->commonName),
            );
        }
        $line(\sprintf('  %6.2f %%  something this flora does not hold', $view->unlisted * 100));
        $line(
            \sprintf(
                '  fit %.3f%s',
                $view->fit,
                true === $view->goodFit ? '' : ' – nothing here explains well what was seen',
            ),
        );
        $line('Dangers not yet excluded');
        $open = array_filter($view->dangers, static fn ($danger): bool => !$danger->excluded);
        foreach ($open as $danger) {
            $line(
                \sprintf(
                    '  %s (%s): %s',
                    $danger->commonName,
                    $danger->severity->value,
                    null === $danger->wouldLabel ? 'no look in sight today parts it' : 'look at '.$danger->wouldLabel,
                ),
            );
        }
        if ([] === $open) {
            $line('  none');
        }
        if (null !== $view->clearance) {
            $line(
                'The gate: '.
                    $view->clearance->answer->value.
                    (null === $view->clearance->until ? '' : ' until '.$view->clearance->until),
            );
            foreach ($view->clearance->points as $i => $point) {
                $line(
                    \sprintf(
                        '  %d %-22s %-7s %s%s',
                        $i + 1,
                        $point->title,
                        $point->status->value,
                        $point->because,
                        PointStatus::Met === $point->status ? '' : ' '.$point->change,
                    ),
                );
            }
        }
        $line('Look next at');
        foreach (\array_slice($view->next, 0, 3) as $suggestion) {
            $line(\sprintf('  %s – %s', $suggestion->label, $suggestion->because));
        }
    }
}
