<?php

declare(strict_types=1);

namespace App\Field\View;

use Hylognosis\Flora\Severity;

/** A dangerous kind on a field sheet, and the look that parts it from what is wanted. */
final readonly class SheetDangerView
{
    /**
     * @param string       $taxon      its id
     * @param string       $commonName common name
     * @param string       $name       scientific name
     * @param bool         $named      it is named as a look-alike of the part
     * @param string       $note       what parts the two; empty where nothing is said
     * @param string|null  $look       id of the character most likely to speak against it; null where none does today
     * @param string       $shows      what it usually shows there, in words
     * @param string       $wanted     what the wanted kind usually shows there
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $name,
        public Severity $severity,
        public bool $named,
        public string $note,
        public ?string $look,
        public string $shows,
        public string $wanted,
    ) {
    }
}
