<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\Organ;

/** Point 5. At least three organs were scored on the tree itself; the site is no organ, and litter does not count. */
final readonly class Breadth implements Point
{
    public const ORGANS = 3;

    public function judge(Dossier $dossier): PointReport
    {
        $organs = array_map(static fn (Organ $organ): string => $organ->label(), $dossier->examination()->organsOnTheTree());
        $count = \count($organs);

        return new PointReport(
            'breadth', 'Breadth', $count >= self::ORGANS ? PointStatus::Met : PointStatus::Open,
            0 === $count ? 'No organ has been scored on the tree yet.' : \sprintf('Scored on the tree: %s.', implode(', ', $organs)),
            $count >= self::ORGANS ? '' : \sprintf('Score %d more on the tree itself, such as %s.', self::ORGANS - $count, implode(', ', \array_slice($this->others($organs), 0, 3))),
        );
    }

    /**
     * @param array<string, string> $scored
     *
     * @return list<string>
     */
    private function others(array $scored): array
    {
        $usual = [Organ::Twig, Organ::Leaf, Organ::Bud, Organ::Flower, Organ::Fruit, Organ::Bark];

        return array_values(array_diff(array_map(static fn (Organ $organ): string => $organ->label(), $usual), $scored));
    }
}
