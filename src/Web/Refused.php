<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Component\HttpKernel\Exception\HttpException;

/** A request that cannot be met, with a sentence for people and, where there is one, the field at fault. */
final class Refused extends HttpException
{
    private function __construct(int $status, string $message, public readonly string $field)
    {
        parent::__construct($status, $message);
    }

    public static function field(string $field, string $message): self
    {
        return new self(422, $message, $field);
    }

    public static function conflict(string $message): self
    {
        return new self(409, $message, '');
    }

    public static function forbidden(string $message): self
    {
        return new self(403, $message, '');
    }

    public static function missing(string $message): self
    {
        return new self(404, $message, '');
    }
}
