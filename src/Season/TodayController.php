<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Batches\BatchPage;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRepository;
use App\Examine\Summaries;
use App\Examine\View\ExaminationSummaryView;
use App\Harvest\HarvestLog;
use App\Harvest\HarvestRepository;
use App\Library\FloraLibrary;
use App\School\School;
use App\School\SchoolRepository;
use App\Season\View\AskAgainView;
use App\Season\View\InWindowView;
use App\Season\View\TodayView;
use App\Trees\CoveredTrees;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SpecimenRepository;
use App\Trees\SpentQuotas;
use App\Web\ApiController;
use Hylognosis\Flora\Flora;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Place;
use Hylognosis\Season\Phenology;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('today')]
final class TodayController extends ApiController
{
    private const RECENT = 6;
    private const WANTED = 12;
    private const TAKEN = 4;
    /** So long before a permission ends the owner is asked again. */
    private const ASK_BEFORE = '+21 days';

    public function __construct(
        private readonly ExaminationRepository $examinations,
        private readonly HarvestRepository $harvests,
        private readonly SchoolRepository $schools,
        private readonly SiteRepository $sites,
        private readonly Summaries $summaries,
        private readonly HarvestLog $log,
        private readonly FloraLibrary $library,
        private readonly SchoolClock $clock,
        private readonly DueToday $due,
        private readonly BatchPage $making,
        private readonly SpecimenRepository $specimens,
        private readonly CoveredTrees $covered,
        private readonly SpentQuotas $spent,
    ) {
    }

    #[Route('/api/today', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What matters today.', content: new Model(type: TodayView::class))]
    public function today(#[CurrentUser] User $user): JsonResponse
    {
        $flora = $this->library->flora($user->flora);
        $today = $this->clock->today();
        $place = $this->schools->ours() ?? $this->sites->findOneBy([], ['name' => 'ASC']);
        $wanted = $user->role->mayDecide()
            ? $this->summaries->of($this->examinations->wantingSecondFrom($user, self::WANTED), $user)
            : [];

        return $this->json(
            new TodayView(
                CalendarDay::iso($today),
                $place instanceof School ? $place->place : $place->name ?? '',
                $this->summaries->of($this->examinations->openOf($user, self::RECENT), $user),
                array_values(array_filter($wanted, static fn (ExaminationSummaryView $s): bool => $s->wantsSecond)),
                self::toBeRead($this->summaries->of($this->examinations->signedFor($user, self::RECENT), $user)),
                null === $place ? [] : $this->inWindow($flora, $place->place(), DayOfYear::on($today), $user),
                array_map($this->log->view(...), $this->harvests->newest(self::TAKEN)),
                array_map(
                    static fn (Site $site): AskAgainView => new AskAgainView(
                        $site->id,
                        $site->name,
                        $site->owner,
                        null === $site->permissionUntil ? '' : CalendarDay::iso($site->permissionUntil),
                        $site->permissionUntil < $today,
                    ),
                    $this->sites->endingBy($today->modify(self::ASK_BEFORE)),
                ),
                $this->due->of($user),
                $this->due->weather(),
                null === $place ? null : LessonOfDay::of($flora, $place->place(), DayOfYear::on($today)),
                $this->making->running(),
            ),
        );
    }

    /**
     * What waits for a second look stands above, without a way to the first scores.
     *
     * @param list<ExaminationSummaryView> $signed
     *
     * @return list<ExaminationSummaryView>
     */
    private static function toBeRead(array $signed): array
    {
        return array_values(
            array_filter($signed, static fn (ExaminationSummaryView $s): bool => !$s->wantsSecond || !$s->covered),
        );
    }

    /** @return list<InWindowView> those of which we have a tree first, soonest to close first */
    private function inWindow(Flora $flora, Place $place, DayOfYear $today, User $user): array
    {
        $phenology = Phenology::at($flora, $place);
        $views = $trees = $held = [];
        $covered = $this->covered->for($user);
        foreach ($this->specimens->held($flora->name) as $tree) {
            if (!isset($covered[$tree->id])) {
                $trees[$tree->kind][] = $tree->tag;
                $held[$tree->kind][$tree->site->id] = $tree->site;
            }
        }
        $spent = $this->spent->at(array_merge(...array_values(array_map(array_values(...), $held))));
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                $window = $phenology->window($part);
                if (null !== $window && $window->days() < 365 && $window->contains($today)) {
                    $views[] = new InWindowView(
                        $taxon->id,
                        $taxon->name,
                        $taxon->commonName(),
                        $part->id,
                        $part->label,
                        $window->words(),
                        $today->until($window->to),
                        \array_slice($trees[$taxon->id] ?? [], 0, 4),
                        array_values(
                            array_map(
                                static fn (Site $site): string => $site->name,
                                array_filter(
                                    $held[$taxon->id] ?? [],
                                    static fn (Site $site): bool => isset($spent[$site->id][$taxon->id.'/'.$part->id]),
                                ),
                            ),
                        ),
                    );
                }
            }
        }
        usort(
            $views,
            static fn (InWindowView $a, InWindowView $b): int => [[] === $a->trees, $a->daysLeft] <=> [
                [] === $b->trees,
                $b->daysLeft,
            ],
        );

        return $views;
    }
}
