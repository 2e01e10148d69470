<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\Length;
use Hylognosis\Position\Area;

/**
 * How far a tree reaches if it falls: as far as it is tall, and as much farther as its place is not known. What is not
 * known makes it reach farther, never less.
 */
final readonly class FallingReach
{
    /** Metres; taller ones are rare in Central Europe and east of the Great Plains. Common practice. */
    public const TALL = 40.0;
    /** Of the fallen top something breaks off and flies on. Common practice. */
    private const BEYOND = 1.1;

    private function __construct(public Length $reach, public Length $height, public HeightFrom $from)
    {
    }

    /**
     * @param Length|null $measured    of that very tree, on whatever day; it may have grown since by what is added
     * @param list<Taxon> $kinds       what it can be; none: anything
     * @param Length      $uncertainty within which its place is known
     */
    public static function of(?Length $measured, array $kinds, Length $uncertainty): self
    {
        [$height, $from] = [$measured, HeightFrom::Measured];
        if (null === $height) {
            $tallest = 0.0;
            foreach ($kinds as $taxon) {
                $tallest = max($tallest, $taxon->description->range('outline.height')->most ?? self::TALL);
            }
            [$height, $from] =
                [] === $kinds
                    ? [Length::ofMetres(self::TALL), HeightFrom::Unknown]
                    : [Length::ofMetres($tallest), HeightFrom::Kind];
        }

        return new self(
            Length::ofMetres(self::BEYOND * $height->metres() + $uncertainty->metres()),
            $height,
            $from,
        );
    }

    /** Where it stands as seen from a pasture. One that may stand inside does. */
    public function zone(Area $pasture, float $latitude, float $longitude): Zone
    {
        return match (true) {
            $pasture->contains($latitude, $longitude) => Zone::Inside,
            $pasture->toEdge($latitude, $longitude)->metres() <= $this->reach->metres() => Zone::WithinReach,
            default => Zone::Beyond,
        };
    }
}
