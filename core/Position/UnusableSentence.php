<?php

declare(strict_types=1);

namespace Hylognosis\Position;

/** A line of a position receiver that cannot be relied on. */
final class UnusableSentence extends \RuntimeException
{
}
