<?php

declare(strict_types=1);

namespace App\Batches\View;

use Hylognosis\Recipe\CheckAnswer;

/** Somebody looked whether a step is done. */
final readonly class CheckView
{
    /**
     * @param string $note how it tasted, felt or looked
     * @param string $at   moment, RFC 3339
     * @param string $by   who looked
     */
    public function __construct(
        public CheckAnswer $answer,
        public string $note,
        public string $at,
        public string $by,
    ) {
    }
}
