<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** No year has such a day. */
final class NoSuchDay extends \InvalidArgumentException
{
}
