<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use Hylognosis\Flora\Taxon;

/** What a tree or a stand can be, as far as somebody has settled it and this reader may be told. */
final readonly class HeldKinds
{
    public function __construct(private FloraLibrary $library, private CoveredTrees $covered)
    {
    }

    /** @return array<string, true> ids of trees of which this reader is told nothing: he is to look at them unbiased */
    public function hiddenFrom(User $reader): array
    {
        return $this->covered->for($reader);
    }

    /**
     * @param array<string, true> $hidden from {@see hiddenFrom()}
     *
     * @return list<Taxon> none: not known, doubted, or not to be told
     */
    public function ofTree(Specimen $tree, array $hidden): array
    {
        return isset($hidden[$tree->id]) || '' !== $tree->doubt ? [] : $this->of($tree->kind, $tree->kindFlora);
    }

    /** @return list<Taxon> */
    public function ofStand(Stand $stand): array
    {
        return $this->of($stand->of, $stand->flora);
    }

    /**
     * @param string $of a taxon or a group; empty: not settled
     *
     * @return list<Taxon> all members of a group; none where nothing is known
     */
    public function of(string $of, string $flora): array
    {
        if ('' === $of || '' === $flora) {
            return [];
        }
        try {
            $flora = $this->library->flora($flora);
        } catch (FloraRefused) {
            return [];
        }
        if (isset($flora->taxa[$of])) {
            return [$flora->taxa[$of]];
        }

        return array_values(
            array_filter(
                array_map(
                    static fn (string $id): ?Taxon => $flora->taxa[$id] ?? null,
                    $flora->groups[$of]->members ?? [],
                ),
            ),
        );
    }

    /** What it is held to be; empty where nobody has said. Ask it only of what the reader may be told. */
    public function nameOf(Specimen|Stand $tree): string
    {
        return $tree instanceof Specimen
            ? $this->name($tree->kind, $tree->kindFlora)
            : $this->name($tree->of, $tree->flora);
    }

    /** How that is called; empty where nothing is known. */
    public function name(string $of, string $flora): string
    {
        if ('' === $of || '' === $flora) {
            return '';
        }
        try {
            $flora = $this->library->flora($flora);
        } catch (FloraRefused) {
            return '';
        }

        return isset($flora->taxa[$of]) ? $flora->taxa[$of]->commonName() : $flora->groups[$of]->name ?? '';
    }
}
