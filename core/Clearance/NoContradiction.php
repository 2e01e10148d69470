<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/**
 * Point 2. Nothing was scored, however unsurely, that the description of the claimed taxon rules out; and no two
 * scores of one character disagree.
 */
final readonly class NoContradiction implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $items = $this->items($dossier);
        $status = PointReport::worst($items);

        return new PointReport('no-contradiction', 'No contradiction', $status, match ($status) {
            PointStatus::Met => 'Nothing that was seen speaks against '.$dossier->claim->taxon->commonName().'.',
            PointStatus::Open => 'Scores of one character disagree.',
            PointStatus::Broken => 'Something was seen that '.$dossier->claim->taxon->commonName().' never shows.',
        }, match ($status) {
            PointStatus::Met => '',
            PointStatus::Open => 'Look again at what disagrees.',
            PointStatus::Broken => 'Look again at it. If it stays so, this is another tree.',
        }, $items);
    }

    /** @return list<string> characters in which something was seen that the claimed taxon never shows */
    public function broken(Dossier $dossier): array
    {
        return array_values(array_map(
            static fn (PointItem $item): string => $item->subject,
            array_filter($this->items($dossier), static fn (PointItem $item): bool => PointStatus::Broken === $item->status),
        ));
    }

    /** @return list<PointItem> */
    private function items(Dossier $dossier): array
    {
        $compiled = $dossier->identification->compiled;
        $own = $compiled->numbers[$dossier->claim->taxon->id];
        $items = [];
        foreach ($dossier->examination()->findings as $id => $finding) {
            if ($finding->disagrees) {
                $items[] = new PointItem($id, $finding->character->label, PointStatus::Open, 'Two scores disagree. A further look, sure and on the tree, settles it.');
            }
            foreach ($finding->readings() as $reading) {
                if ($compiled->rulesOut($own, $finding->character, $reading)) {
                    $value = $reading->value;
                    $seen = \is_string($value) ? $finding->character->state($value)->label : trim($value.' '.$finding->character->unit);
                    $items[] = new PointItem($id, $finding->character->label, PointStatus::Broken, \sprintf('Seen: %s. %s never shows that.', $seen, ucfirst($dossier->claim->taxon->commonName())));
                    break;
                }
            }
        }

        return $items;
    }
}
