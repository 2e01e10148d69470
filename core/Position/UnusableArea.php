<?php

declare(strict_types=1);

namespace Hylognosis\Position;

/** Corners that enclose nothing. */
final class UnusableArea extends \InvalidArgumentException
{
}
