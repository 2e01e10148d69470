<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** A region that does not rise from south to north, or from its lowest to its highest place. */
final class UnusableRegion extends \InvalidArgumentException
{
}
