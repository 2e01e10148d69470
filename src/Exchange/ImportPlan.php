<?php

declare(strict_types=1);

namespace App\Exchange;

/** What bringing in a file would do: shown first, then done whole or not at all. */
final class ImportPlan
{
    /** @var list<PlannedRow> */
    public array $made = [];

    /** @var list<PlannedRow> */
    public array $changed = [];

    /** How many lines say what is known already. */
    public int $same = 0;

    /** @var list<ImportFault> */
    public array $refused = [];

    /** @var list<\Closure(): void> what is done, in order */
    private array $work = [];

    public function __construct(public readonly string $format)
    {
    }

    /** @param \Closure(): void $do */
    public function make(int $line, string $what, string $name, \Closure $do): void
    {
        $this->made[] = new PlannedRow($line, $what, $name, []);
        $this->work[] = $do;
    }

    /**
     * @param list<string>     $changes
     * @param \Closure(): void $do
     */
    public function change(int $line, string $what, string $name, array $changes, \Closure $do): void
    {
        if ([] === $changes) {
            ++$this->same;

            return;
        }
        $this->changed[] = new PlannedRow($line, $what, $name, $changes);
        $this->work[] = $do;
    }

    public function refuse(int $line, string $column, string $reason): void
    {
        $this->refused[] = new ImportFault($line, $column, $reason);
    }

    public function run(): void
    {
        foreach ($this->work as $do) {
            $do();
        }
    }
}
