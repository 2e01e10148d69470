<?php

declare(strict_types=1);

namespace App\Library;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Which engine reckons: its version, and a hash of its source, so that no two ever go by the same words. */
final readonly class Engine
{
    public const VERSION = '1.0';

    public string $version;

    public function __construct(#[Autowire('%hylognosis.engine%')] string $source)
    {
        $this->version = self::VERSION.'+'.$source;
    }
}
