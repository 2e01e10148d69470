<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** No range of numbers, or one that does not rise. */
final class UnusableRange extends \InvalidArgumentException
{
}
