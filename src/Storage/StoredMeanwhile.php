<?php

declare(strict_types=1);

namespace App\Storage;

use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Two people stored the same in the same moment: one of them has to look again. */
final class StoredMeanwhile extends ConflictHttpException
{
    public function __construct(\Throwable $previous)
    {
        parent::__construct('Somebody stored the same in this very moment. Load the page again and see.', $previous);
    }
}
