<?php

declare(strict_types=1);

namespace App\Trees;

use App\Library\FloraLibrary;

/** Which kinds of the shipped floras do what to a person. */
final readonly class KindsByDanger
{
    public function __construct(private FloraLibrary $library)
    {
    }

    /** @return list<string> as "flora/taxon" */
    public function of(TreeDanger $danger): array
    {
        $kinds = [];
        foreach ($this->library->names() as $name) {
            foreach ($this->library->flora($name)->taxa as $taxon) {
                if (TreeDanger::of($taxon->severity()) === $danger) {
                    $kinds[] = $name.'/'.$taxon->id;
                }
            }
        }

        return $kinds;
    }
}
