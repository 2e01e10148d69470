<?php

declare(strict_types=1);

namespace App\Map;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Exchange\GeoJson;
use App\Exchange\Gpx;
use App\Exchange\UnusableFile;
use App\Map\View\BaseMapView;
use App\Storage\Transaction;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The ground under the trees, from an open file: nothing is fetched from anywhere. */
final readonly class BaseMaps
{
    private const MOST_BYTES = 8_000_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Transaction $transaction,
        private DeedRepository $deeds,
        private SchoolClock $clock,
        #[Autowire('%kernel.project_dir%/demo/valley.geojson')] private string $valley,
        #[Autowire('%env(bool:APP_DEMO)%')] private bool $demo,
        private GeoJson $geoJson = new GeoJson(),
        private Gpx $gpx = new Gpx(),
    ) {
    }

    /** A GeoJSON feature collection. */
    public function text(): string
    {
        $own = $this->entities->getRepository(BaseMap::class)->findOneBy([], ['id' => 'DESC']);
        if (null !== $own && '' !== $own->features) {
            return $own->features;
        }

        return $this->demo && is_file($this->valley) ? (string) file_get_contents($this->valley) : GeoJson::write([]);
    }

    /** @throws Refused naming line, column and reason */
    public function set(string $bytes, User $by): BaseMapView
    {
        if (\strlen($bytes) > self::MOST_BYTES) {
            throw Refused::field('file', 'The map has more than 8 MB. Leave out what is not needed.');
        }
        $features = '' === trim($bytes) ? [] : $this->read($bytes);
        if ([] === $features && '' !== trim($bytes)) {
            throw Refused::field('file', 'Nothing in it can be drawn: of GPX tracks and routes are taken, of '.
                'GeoJSON all.');
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use ($features, $by): void {
            $entities->persist(
                new BaseMap(
                    'the school’s own ground',
                    [] === $features ? '' : GeoJson::write($features),
                    $this->clock->now(),
                    $by,
                ),
            );
            $this->deeds->note($by, DeedKind::Imported, 'a base map', \count($features).' features');
        });
        $count = ['Line' => 0, 'Poly' => 0, 'Poin' => 0];
        foreach ($features as $feature) {
            $kind = substr(str_replace('Multi', '', $feature['geometry']['type']), 0, 4);
            $count[$kind] = ($count[$kind] ?? 0) + 1;
        }

        return new BaseMapView($count['Line'], $count['Poly'], $count['Poin']);
    }

    /** @return list<array{type: string, geometry: array{type: string, coordinates: list<mixed>}, properties: array<string, mixed>}> */
    private function read(string $bytes): array
    {
        try {
            if (str_starts_with(ltrim($bytes), '<')) {
                return array_map(
                    static fn (array $line): array => [
                        'type' => 'Feature',
                        'geometry' => ['type' => 'LineString', 'coordinates' => $line],
                        'properties' => ['is' => 'way'],
                    ],
                    $this->gpx->lines($this->gpx->document($bytes)),
                );
            }

            return array_map(
                static fn (array $feature): array => [
                    'type' => 'Feature',
                    'geometry' => ['type' => $feature['type'], 'coordinates' => $feature['coordinates']],
                    'properties' => $feature['properties'],
                ],
                $this->geoJson->read($bytes),
            );
        } catch (UnusableFile $file) {
            $first = $file->faults[0];
            throw Refused::field(
                'file',
                \sprintf(
                    'Line %d%s: %s%s',
                    $first->line,
                    '' === $first->column ? '' : ', column '.$first->column,
                    $first->reason,
                    \count($file->faults) > 1 ? \sprintf(' And %d more faults.', \count($file->faults) - 1) : '',
                ),
            );
        }
    }
}
