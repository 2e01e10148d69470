<?php

declare(strict_types=1);

namespace App\Running;

use App\Clock\MachineClock;
use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use App\Running\View\CountView;
use App\Running\View\DatabaseView;
use App\Running\View\EditionView;
use App\Running\View\FaultView;
use App\Running\View\FiguresView;
use App\Running\View\OpcodesView;
use App\Running\View\RunningView;
use App\Running\View\StoreView;
use App\Storage\DatabaseSize;
use App\Storage\FolderSize;
use App\Storage\RequestCounts;
use App\Web\ApiController;
use App\Web\Permission;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Finder\Finder;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;

#[OA\Tag('running')]
final class RunningController extends ApiController
{
    /**
     * How the server does: requests, times, failures, the size of the database, what is kept ready. For those who may
     * decide.
     */
    #[Route('/api/running', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'As it stands now.', content: new Model(type: RunningView::class))]
    #[OA\Response(
        response: 403,
        description: 'Not an instructor.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function running(
        Permission $permission,
        Health $health,
        RequestCounts $counts,
        DatabaseSize $size,
        FloraLibrary $library,
        MachineClock $clock,
        #[Autowire('%kernel.cache_dir%/pools')] string $pools,
        #[MapQueryParameter(
            filter: \FILTER_VALIDATE_INT,
            options: ['min_range' => 1, 'max_range' => RequestCounts::KEPT],
        )]
        int $days = 7,
    ): JsonResponse {
        $permission->need(RunningVoter::SEE);
        $since = $clock->today()->modify(\sprintf('-%d days', $days - 1));

        return $this->json(
            new RunningView(
                $health->troubles(),
                $days,
                array_map(FiguresView::from(...), $counts->byDay($since)),
                array_map(FiguresView::from(...), $counts->byRoute($since)),
                array_map(
                    static fn (array $f): FaultView => new FaultView($f['at'], $f['id'], $f['route'], $f['what']),
                    $counts->faults(),
                ),
                new DatabaseView($size->kind(), $size->bytes(), $size->free()),
                array_map(
                    static fn (string $table, int $rows): CountView => new CountView($table, $rows),
                    array_keys($size->rows()),
                    array_values($size->rows()),
                ),
                self::editions($library),
                self::stores($pools),
                self::opcodes(),
            ),
        );
    }

    /** @return list<EditionView> those that can be used */
    private static function editions(FloraLibrary $library): array
    {
        $editions = [];
        foreach ($library->names() as $name) {
            try {
                $flora = $library->flora($name);
            } catch (FloraRefused) {
                continue; // is among the troubles
            }
            $editions[] = new EditionView($name, $flora->title, $flora->edition, substr($flora->hash, 0, 12));
        }

        return $editions;
    }

    /** @return list<StoreView> */
    private static function stores(string $pools): array
    {
        $stores = [];
        foreach (is_dir($pools) ? (new Finder())->directories()->in($pools)->depth(0)->sortByName() : [] as $pool) {
            $holds = FolderSize::of($pool->getPathname());
            $stores[] = new StoreView($pool->getFilename(), $holds->files, $holds->bytes);
        }

        return $stores;
    }

    /** Nothing where PHP runs without the cache. */
    private static function opcodes(): ?OpcodesView
    {
        $status = \function_exists('opcache_get_status') ? opcache_get_status(false) : false;
        if (!\is_array($status)) {
            return null;
        }
        /** @var array{used_memory: int, free_memory: int, wasted_memory: int} $memory */
        $memory = $status['memory_usage'];
        /** @var array{num_cached_scripts: int, oom_restarts: int} $statistics */
        $statistics = $status['opcache_statistics'];

        return new OpcodesView(
            $memory['used_memory'],
            $memory['free_memory'],
            $memory['wasted_memory'],
            $statistics['num_cached_scripts'],
            true === $status['cache_full'],
            $statistics['oom_restarts'],
        );
    }
}
