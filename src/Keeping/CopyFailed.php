<?php

declare(strict_types=1);

namespace App\Keeping;

/** A copy could not be made, or is none. */
final class CopyFailed extends \RuntimeException
{
}
