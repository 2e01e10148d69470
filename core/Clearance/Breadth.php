<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\Organ;
use Hylognosis\Reason\Reason;

/** Point 5. At least three organs were scored on the tree itself; the site is no organ, and litter does not count. */
final readonly class Breadth implements Point
{
    public const ORGANS = 3;
    private const USUAL = [Organ::Twig, Organ::Leaf, Organ::Bud, Organ::Flower, Organ::Fruit, Organ::Bark];

    public function judge(Dossier $dossier): PointReport
    {
        $organs = $this->organs($dossier);
        $missing = max(0, self::ORGANS - \count($organs));
        $others = array_diff(
            array_map(static fn (Organ $organ): string => $organ->value, self::USUAL),
            array_keys($organs),
        );

        return new PointReport(
            'breadth',
            0 === $missing ? PointStatus::Met : PointStatus::Open,
            new Reason([] === $organs ? 'no-organ' : 'organs-scored', ['organs' => array_keys($organs)]),
            0 === $missing
                ? null
                : new Reason('score-more-organs', [
                    'missing' => $missing,
                    'organs' => array_values(\array_slice($others, 0, 3)),
                ]),
        );
    }

    /** @return array<string, Organ> seen on the tree itself, at a time when they can be seen, by value */
    private function organs(Dossier $dossier): array
    {
        $organs = [];
        foreach ($dossier->examination()->findings as $finding) {
            if (
                $finding->character->organ->isOnTheTree()
                && $finding->isOnTheTree()
                && $dossier->canBeSeen($finding->character)
            ) {
                $organs[$finding->character->organ->value] = $finding->character->organ;
            }
        }

        return $organs;
    }
}
