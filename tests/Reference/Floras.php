<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use App\Library\FloraFiles;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;

/** The shipped floras, read once. */
final class Floras
{
    public const NAMES = [
        'A' => 'central-european-hills',
        'B' => 'eastern-north-america',
        'C' => 'south-western-north-america',
    ];

    /** @var array<string, Flora> */
    private static array $floras = [];
    /** @var array<string, CompiledFlora> */
    private static array $compiled = [];

    public static function get(string $letter): Flora
    {
        return self::$floras[$letter] ??= (new FloraFiles())->load(
            \dirname(__DIR__, 2).'/flora/'.self::NAMES[$letter],
        )[0];
    }

    public static function compiled(string $letter): CompiledFlora
    {
        return self::$compiled[$letter] ??= CompiledFlora::of(self::get($letter), LifeStage::Mature);
    }
}
