<?php

declare(strict_types=1);

namespace App\Field;

use App\Library\Engine;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;

/** The rules themselves, as they stand here: the same lines of PHP decide on the device, out of the server's reach. */
final readonly class RulesBundle
{
    /** What a decision never asks. */
    private const WITHOUT = ['Position', 'Processing', 'Recipe', 'Rehearsal', 'Route', 'Search', 'Stock'];
    /** What draws up the answer, beside the core: plain classes only. */
    private const BESIDE = [
        'Examine/View',
        'Examine/Cover.php',
        'Examine/Covering.php',
        'Examine/Shown.php',
        'Field/FieldDesk.php',
        'Field/FieldExamination.php',
        'Field/NotTaken.php',
        'Account/View/PersonView.php',
        'Account/Role.php',
    ];

    public function __construct(#[Autowire('%kernel.project_dir%')] private string $project, private Engine $engine)
    {
    }

    public function version(): string
    {
        return $this->engine->version;
    }

    /** @return array<string, string> class → the file that holds it */
    public function files(): array
    {
        $files = [];
        $core = (new Finder())
            ->files()
            ->in($this->project.'/core')
            ->exclude(self::WITHOUT)
            ->name('*.php')
            ->sortByName();
        foreach ($core as $file) {
            $files[self::named('Hylognosis', $file->getRelativePathname())] = $file->getContents();
        }
        foreach (self::BESIDE as $path) {
            $at = $this->project.'/src/'.$path;
            foreach (is_dir($at) ? (new Finder())->files()->in($at)->name('*.php')->sortByName() : [] as $file) {
                $files[self::named('App', $path.'/'.$file->getRelativePathname())] = $file->getContents();
            }
            if (is_file($at)) {
                $files[self::named('App', $path)] = (string) file_get_contents($at);
            }
        }

        return $files;
    }

    /** What the pages and the machine for the rules take, as they are built. */
    public function bytes(): int
    {
        $built = $this->project.'/public/build';
        $bytes = 0;
        foreach (is_dir($built) ? (new Finder())->files()->in($built) : [] as $file) {
            $bytes += (int) $file->getSize();
        }

        return $bytes;
    }

    private static function named(string $root, string $path): string
    {
        return $root.'\\'.strtr(substr($path, 0, -4), '/', '\\');
    }
}
