<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Exchange\ImportFault;
use App\Exchange\UnusableFile;
use App\Pastures\Input\NewChoice;
use App\Pastures\Input\PastureInput;
use App\Pastures\View\PasturesView;
use App\Storage\Transaction;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SiteVoter;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\StandRepository;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\NoSuchDay;
use Hylognosis\Position\Area;
use Hylognosis\Position\UnusableArea;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Uid\Uuid;

/** Pastures, and the trees that could harm what grazes there. */
#[OA\Tag('stock')]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class PastureController extends ApiController
{
    private const MOST_BYTES = 2_000_000;

    public function __construct(
        private readonly PastureRepository $pastures,
        private readonly PastureBook $book,
        private readonly PastureTrees $trees,
        private readonly SiteRepository $sites,
        private readonly DeedRepository $deeds,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
    ) {
    }

    #[Route('/api/pastures', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'All pastures.', content: new Model(type: PasturesView::class))]
    public function all(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $day = '',
    ): JsonResponse {
        try {
            $on = '' === $day ? $this->clock->today() : CalendarDay::parse($day);
        } catch (NoSuchDay) {
            throw Refused::field('day', 'A day is wanted, YYYY-MM-DD.');
        }

        return $this->json($this->book->all($user, $on));
    }

    #[Route('/api/pastures.geojson', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The pastures as GeoJSON.',
        content: new OA\MediaType(mediaType: 'application/geo+json', schema: new OA\Schema(type: 'string')),
    )]
    public function export(): Response
    {
        return new Response(PastureFile::write($this->pastures->there()), headers: [
            'Content-Type' => 'application/geo+json',
            'Content-Disposition' => 'attachment; filename="pastures.geojson"',
        ]);
    }

    /** Enters it, or changes it where it is known. */
    #[Route('/api/pastures/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'All pastures.', content: new Model(type: PasturesView::class))]
    public function put(#[CurrentUser] User $user, string $id, #[MapRequestPayload] PastureInput $input): JsonResponse
    {
        $this->permission->need(SiteVoter::CARE);
        $this->transaction->run(
            fn (EntityManagerInterface $entities) => $this->keep($entities, strtolower($id), $input, $user),
        );

        return $this->json($this->book->all($user, $this->clock->today()));
    }

    /** The body is a GeoJSON file; each of its polygons becomes a pasture, or none does. */
    #[Route('/api/pastures/import', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'All pastures.', content: new Model(type: PasturesView::class))]
    #[OA\RequestBody(
        required: true,
        content: new OA\MediaType(
            mediaType: 'application/geo+json',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    )]
    public function import(
        #[CurrentUser] User $user,
        Request $request,
        PastureFile $files,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
    ): JsonResponse {
        $this->permission->need(SiteVoter::CARE);
        $bytes = $request->getContent();
        if (\strlen($bytes) > self::MOST_BYTES) {
            throw Refused::field('file', 'The file has more than 2 MB.');
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use ($files, $bytes, $site, $user): void {
            try {
                $inputs = $files->read($bytes, $this->site($site));
            } catch (UnusableFile $e) {
                throw Refused::field(
                    'file',
                    implode(
                        ' ',
                        array_map(
                            static fn (ImportFault $f): string => \sprintf('Line %d: %s', $f->line, $f->reason),
                            \array_slice($e->faults, 0, 10),
                        ),
                    ),
                );
            }
            foreach ($inputs as $input) {
                $this->keep($entities, Uuid::v7()->toRfc4122(), $input, $user);
            }
        });

        return $this->json($this->book->all($user, $this->clock->today()));
    }

    /** It stays on record, with what was decided there, and is shown no more. */
    #[Route('/api/pastures/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'All pastures.', content: new Model(type: PasturesView::class))]
    public function giveUp(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $this->permission->need(SiteVoter::CARE);
        $this->transaction->run(function () use ($user, $id): void {
            $pasture = $this->pasture($id);
            $pasture->goneAt ??= $this->clock->now();
            $this->deeds->note(
                $user,
                DeedKind::PlaceChanged,
                $pasture->site->name,
                'pasture given up: '.$pasture->name,
            );
        });

        return $this->json($this->book->all($user, $this->clock->today()));
    }

    /** Keep, watch, fence off or fell: the owner decides; what was decided before stays on record. */
    #[Route('/api/pastures/{id}/choices', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'All pastures.', content: new Model(type: PasturesView::class))]
    public function choose(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] NewChoice $input,
        SpecimenRepository $specimens,
        StandRepository $stands,
    ): JsonResponse {
        $this->permission->need(SiteVoter::CARE);
        $this->transaction->run(function (EntityManagerInterface $entities) use (
            $user,
            $id,
            $input,
            $specimens,
            $stands,
        ): void {
            $pasture = $this->pasture($id);
            $reaching = array_map(
                static fn (ReachingTree $r): string => $r->tree->id,
                $this->trees->of($pasture, $user),
            );
            $tree = $specimens->find($input->of) ?? $stands->find($input->of);
            if (null === $tree || !\in_array($tree->id, $reaching, true)) {
                throw Refused::field('of', 'No such tree stands in this pasture, or reaches it.');
            }
            $entities->persist(
                new PastureChoice(
                    $pasture,
                    $tree instanceof Specimen ? $tree : null,
                    $tree instanceof Specimen ? null : $tree,
                    $input->choice,
                    trim($input->shade),
                    trim($input->fruit),
                    $input->price,
                    trim($input->why),
                    $user,
                    $this->clock->now(),
                ),
            );
        });

        return $this->json($this->book->all($user, $this->clock->today()));
    }

    private function keep(EntityManagerInterface $entities, string $id, PastureInput $input, User $user): void
    {
        $site = $this->site($input->siteId);
        $corners = array_map(
            static fn (array $c): array => [(float) ($c[0] ?? 0.0), (float) ($c[1] ?? 0.0)],
            $input->corners,
        );
        try {
            Area::within($corners);
        } catch (UnusableArea $e) {
            throw Refused::field('corners', $e->getMessage());
        }
        foreach ($input->grazed as $i => $stretch) {
            try {
                [DayOfYear::parse($stretch['from']), DayOfYear::parse($stretch['to'])];
            } catch (\InvalidArgumentException) {
                throw Refused::field(\sprintf('grazed[%d]', $i), 'There is no such day of the year.');
            }
        }
        $gate = isset($input->gate[0], $input->gate[1]) ? [(float) $input->gate[0], (float) $input->gate[1]] : [];
        if ([] !== $gate && abs($gate[1]) > 90) {
            throw Refused::field('gate', 'A latitude lies between -90 and 90 degrees; the longitude comes first.');
        }
        $pasture = $this->pastures->find($id);
        if (null === $pasture) {
            $pasture = new Pasture(
                $id,
                $site,
                trim($input->name),
                $corners,
                $gate,
                $input->animal,
                $input->number,
                $input->grams,
                $input->grazed,
            );
            $entities->persist($pasture);
            $this->deeds->note($user, DeedKind::PlaceChanged, $site->name, 'pasture: '.$pasture->name);

            return;
        }
        [$pasture->site, $pasture->name, $pasture->corners, $pasture->gate] = [
            $site,
            trim($input->name),
            $corners,
            $gate,
        ];
        [$pasture->animal, $pasture->number, $pasture->grams, $pasture->grazed] = [
            $input->animal,
            $input->number,
            $input->grams,
            $input->grazed,
        ];
    }

    private function site(string $id): Site
    {
        return $this->sites->find($id) ?? throw Refused::field('siteId', 'There is no such place.');
    }

    private function pasture(string $id): Pasture
    {
        $pasture = $this->pastures->find($id);

        return null !== $pasture && null === $pasture->goneAt
            ? $pasture
            : throw Refused::missing('There is no such pasture.');
    }
}
