<?php

declare(strict_types=1);

namespace Hylognosis\Document;

/** A document that cannot be taken as it is: says where in it, and why. Nothing of it is kept. */
final class DocumentError extends \DomainException
{
    private function __construct(public readonly string $path, public readonly string $reason)
    {
        parent::__construct('' === $path ? $reason : $path.': '.$reason);
    }

    /**
     * @param string $path where in the document, e.g. `taxa[3].parts.fruit.window`; empty for the document as a whole
     */
    public static function at(string $path, string $reason): self
    {
        return new self($path, $reason);
    }
}
