<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Trees\Input\Boundary;
use App\Trees\Input\NewPermission;
use App\Trees\Input\Quotas;
use App\Trees\Input\SiteInput;
use App\Trees\Input\WaysIn;
use App\Trees\View\SitePageView;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Flora;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Places: where they lie, what the ground is like, what the owner said, how often one may take what. */
#[OA\Tag('trees')]
#[OA\Response(response: 200, description: 'The place.', content: new Model(type: SitePageView::class))]
#[OA\Response(
    response: 404,
    description: 'No such place.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class SiteController extends ApiController
{
    public function __construct(
        private readonly SiteRepository $sites,
        private readonly SitePage $page,
        private readonly DeedRepository $deeds,
        private readonly FloraLibrary $library,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
    ) {
    }

    #[Route('/api/sites/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->page->of($this->site($id), $user));
    }

    #[Route('/api/sites', methods: ['POST'])]
    public function add(#[CurrentUser] User $user, #[MapRequestPayload] SiteInput $input): JsonResponse
    {
        $this->permission->need(SiteVoter::CARE);
        $site = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): Site {
            $this->refuseTwins($input->name, null);
            $site = new Site(trim($input->name), $input->latitude, $input->longitude, $input->altitude);
            $this->fill($site, $input, $this->library->flora($user->flora));
            $entities->persist($site);
            $this->deeds->note($user, DeedKind::PlaceAdded, $site->name);

            return $site;
        });

        return $this->json($this->page->of($site, $user));
    }

    #[Route('/api/sites/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function change(#[CurrentUser] User $user, string $id, #[MapRequestPayload] SiteInput $input): JsonResponse
    {
        return $this->write($user, $id, function (Site $site) use ($user, $input): void {
            $this->refuseTwins($input->name, $site);
            $before = self::told($site);
            [$site->name, $site->latitude, $site->longitude, $site->altitude] = [
                trim($input->name),
                $input->latitude,
                $input->longitude,
                $input->altitude,
            ];
            $this->fill($site, $input, $this->library->flora($user->flora));
            $changes = array_diff_assoc(self::told($site), $before);
            if ([] !== $changes) {
                $was = array_map(
                    static fn (string $what): string => \sprintf(
                        '%s was %s',
                        $what,
                        '' === $before[$what] ? 'not said' : $before[$what],
                    ),
                    array_keys($changes),
                );
                $this->deeds->note($user, DeedKind::PlaceChanged, $site->name, implode('; ', $was));
            }
        });
    }

    /** Records what the owner said; the last one said holds, and the ones before stay on record. */
    #[Route('/api/sites/{id}/permissions', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function permit(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] NewPermission $input,
    ): JsonResponse {
        return $this->write($user, $id, function (Site $site, EntityManagerInterface $entities) use (
            $user,
            $input,
        ): void {
            $said = CalendarDay::parse($input->saidOn);
            $until = null === $input->until ? null : CalendarDay::parse($input->until);
            if ($said > $this->clock->today()) {
                throw Refused::field('saidOn', 'That day is still to come.');
            }
            if (null !== $until && $until < $said) {
                throw Refused::field('until', 'It would have ended before it was given.');
            }
            $parts = array_values(array_unique($input->parts));
            $this->refuseUnknownParts($this->library->flora($user->flora), 'parts', $parts, [
                ...$site->permissionParts,
            ]);
            $entities->persist(
                new SitePermission(
                    $site,
                    trim($input->owner),
                    $input->given,
                    $parts,
                    $until,
                    $input->said,
                    $said,
                    trim($input->note),
                    $user,
                    $this->clock->now(),
                ),
            );
            [$site->owner, $site->permission, $site->permissionUntil, $site->permissionParts] = [
                trim($input->owner),
                $input->given,
                $until,
                $parts,
            ];
            $this->deeds->note(
                $user,
                $input->given ? DeedKind::Permitted : DeedKind::Forbidden,
                $site->name,
                trim($input->owner),
            );
        });
    }

    #[Route('/api/sites/{id}/quotas', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function quotas(#[CurrentUser] User $user, string $id, #[MapRequestPayload] Quotas $input): JsonResponse
    {
        return $this->write($user, $id, function (Site $site) use ($user, $input): void {
            $this->refuseUnknownParts(
                $this->library->flora($user->flora),
                'quotas',
                array_map(strval(...), array_keys($input->quotas)),
                array_keys($site->quotas),
            );
            if ($site->quotas === $input->quotas) {
                return;
            }
            $before = [];
            foreach ($site->quotas as $what => $times) {
                $before[] = $what.' '.$times;
            }
            $site->quotas = $input->quotas;
            $this->deeds->note(
                $user,
                DeedKind::QuotasChanged,
                $site->name,
                [] === $before ? '' : 'before: '.implode(', ', $before),
            );
        });
    }

    #[Route('/api/sites/{id}/ways-in', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function waysIn(#[CurrentUser] User $user, string $id, #[MapRequestPayload] WaysIn $input): JsonResponse
    {
        return $this->write($user, $id, function (Site $site) use ($user, $input): void {
            [$entrance, $car] = [self::point('entrance', $input->entrance), self::point('car', $input->car)];
            if ([$entrance, $car] !== [$site->entrance, $site->car]) {
                [$site->entrance, $site->car] = [$entrance, $car];
                $this->deeds->note($user, DeedKind::PlaceChanged, $site->name, 'ways in');
            }
        });
    }

    #[Route('/api/sites/{id}/boundary', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function boundary(#[CurrentUser] User $user, string $id, #[MapRequestPayload] Boundary $input): JsonResponse
    {
        return $this->write($user, $id, function (Site $site) use ($user, $input): void {
            $corners = [];
            foreach ($input->corners as $corner) {
                if (abs($corner[1]) > 90) {
                    throw Refused::field(
                        'corners',
                        'A latitude lies between -90 and 90 degrees; the longitude comes first.',
                    );
                }
                $corners[] = [(float) $corner[0], (float) $corner[1]];
            }
            if (\count($corners) > 0 && \count($corners) < 3) {
                throw Refused::field('corners', 'A boundary has at least three corners.');
            }
            $site->boundary = $corners;
            $this->deeds->note(
                $user,
                DeedKind::PlaceChanged,
                $site->name,
                \sprintf('boundary with %d corners', \count($corners)),
            );
        });
    }

    /** @param callable(Site, EntityManagerInterface): void $work */
    private function write(User $user, string $id, callable $work): JsonResponse
    {
        $this->permission->need(SiteVoter::CARE);
        $site = $this->transaction->run(function (EntityManagerInterface $entities) use ($id, $work): Site {
            $site = $this->site($id);
            $work($site, $entities);

            return $site;
        });

        return $this->json($this->page->of($site, $user));
    }

    private function site(string $id): Site
    {
        return $this->sites->find($id) ?? throw Refused::missing('There is no such place.');
    }

    private function refuseTwins(string $name, ?Site $own): void
    {
        $found = $this->sites->findOneBy(['name' => trim($name)]);
        if (null !== $found && $found !== $own) {
            throw Refused::field('name', \sprintf('There is a place called %s already.', $found->name));
        }
    }

    private function fill(Site $site, SiteInput $input, Flora $flora): void
    {
        foreach (array_diff($input->protectedTaxa, $site->protectedTaxa) as $taxon) {
            if (!isset($flora->taxa[$taxon])) {
                throw Refused::field('protectedTaxa', \sprintf('"%s" is no kind of the flora you work with.', $taxon));
            }
        }
        $site->protectedTaxa = array_values(array_unique($input->protectedTaxa));
        [$site->soil, $site->light, $site->moisture, $site->exposure, $site->rules] = [
            $input->soil,
            $input->light,
            $input->moisture,
            $input->exposure,
            trim($input->rules),
        ];
    }

    /**
     * @param list<string> $parts "taxon/part"
     * @param list<string> $known on record already, perhaps of another flora
     */
    private function refuseUnknownParts(Flora $flora, string $field, array $parts, array $known): void
    {
        foreach (array_diff($parts, $known) as $what) {
            [$taxon, $part] = explode('/', $what) + ['', ''];
            if (!isset($flora->taxa[$taxon]->parts[$part])) {
                throw Refused::field(
                    $field,
                    \sprintf(
                        '"%s" is no part of a kind of the flora you work with; write it like sambucus-nigra/flower.',
                        $what,
                    ),
                );
            }
        }
    }

    /** @return array<string, string> what may be read of a change later */
    private static function told(Site $site): array
    {
        return [
            'name' => $site->name,
            'position' => \sprintf('%.5f, %.5f', $site->latitude, $site->longitude),
            'altitude' => \sprintf('%.0f m', $site->altitude),
            'soil' => $site->soil->value,
            'light' => $site->light->value,
            'moisture' => $site->moisture->value,
            'exposure' => $site->exposure->value,
            'rules' => $site->rules,
            'protected kinds' => implode(', ', $site->protectedTaxa),
        ];
    }

    /**
     * @param list<float> $point
     *
     * @return array{}|array{float, float}
     */
    private static function point(string $field, array $point): array
    {
        if ([] === $point) {
            return [];
        }
        if (!isset($point[1]) || abs($point[1]) > 90) {
            throw Refused::field(
                $field,
                'A point is a longitude and a latitude; a latitude lies between -90 and 90 degrees.',
            );
        }

        return [(float) $point[0], (float) $point[1]];
    }
}
