<?php

declare(strict_types=1);

// Hostile examinations against the second reckoning of the nine points:  php tests/Reference/run-hostile.php [HOW MANY]
// [SEED] [FLORA LETTER]

use App\Tests\Reference\Hostile;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[$many, $seed, $letter] = [(int) ($argv[1] ?? 50_000), (int) ($argv[2] ?? 1), $argv[3] ?? 'A'];
$began = microtime(true);
$hostile = new Hostile($letter, $seed);
$hostile->run($many);
foreach (array_slice($hostile->faults, 0, 40) as $fault) {
    echo $fault, "\n";
}
printf(
    "%d examinations of flora %s (seed %d) in %.0f s: %d cleared, %d faults\n",
    $many,
    $letter,
    $seed,
    microtime(true) - $began,
    $hostile->cleared,
    count($hostile->faults),
);
exit([] === $hostile->faults ? 0 : 1);
