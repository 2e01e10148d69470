<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;

/** A flora that cannot be taken: which file, where in it, and why. Nothing of it was loaded. */
final class FloraRefused extends \RuntimeException
{
    private function __construct(string $document, string $path, string $reason)
    {
        parent::__construct(rtrim($document.': '.('' === $path ? '' : $path.' ').$reason));
    }

    public static function in(string $file, DocumentError $error): self
    {
        return new self($file, $error->path, $error->reason);
    }

    public static function because(string $file, string $reason): self
    {
        return new self($file, '', $reason);
    }
}
