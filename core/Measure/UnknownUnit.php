<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A measure in a unit that is none, or that suits nothing here. */
final class UnknownUnit extends \InvalidArgumentException
{
}
