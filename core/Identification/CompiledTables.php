<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

/**
 * What takes long of a compiled flora, as plain numbers without the flora itself: kept ready, so that nothing is read
 * twice.
 *
 * @phpstan-import-type Table from CompiledCharacter
 */
final readonly class CompiledTables
{
    /**
     * @param array<string, Table>                $characters as seen where no height is named
     * @param array<string, array<string, Table>> $heights    position → the characters that differ there
     * @param float                               $error      how often a look at a described character finds what is
     *                                         not listed, 0 to 1
     */
    public function __construct(public array $characters, public array $heights, public float $error)
    {
    }
}
