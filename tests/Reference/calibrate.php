<?php

declare(strict_types=1);

// Prints how the exponent of tempering fares on the Soybean data, under ten-fold cross-validation:
//   php tests/Reference/calibrate.php

use App\Tests\Reference\Calibration;
use App\Tests\Reference\Soybean;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$data = new Soybean();
printf(
    "%9s %9s %9s %9s   reliability: mean probability of the leader → share right, by tenths\n",
    'exponent',
    'accuracy',
    'log loss',
    'ECE',
);
foreach ([0.0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7] as $exponent) {
    $calibration = Calibration::of($data, $exponent);
    printf(
        "%9.1f %9.4f %9.4f %9.4f   %s\n",
        $exponent,
        $calibration->accuracy,
        $calibration->logLoss,
        $calibration->error,
        implode(
            '  ',
            array_map(
                static fn (array $bin): string => sprintf(
                    '%.2f→%.2f (%d)',
                    $bin['probability'],
                    $bin['right'],
                    $bin['cases'],
                ),
                $calibration->curve,
            ),
        ),
    );
}
