<?php

declare(strict_types=1);

namespace App\Survey;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Survey\Input\LookInput;
use App\Survey\Input\NewSurvey;
use App\Survey\Input\StandInput;
use App\Survey\View\SurveyRowView;
use App\Survey\View\SurveyView;
use App\Trees\SiteRepository;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\Stand;
use App\Trees\StandRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Uid\Uuid;

/** Walks through a place: three sheets from one walk. */
#[OA\Tag('survey')]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class SurveyController extends ApiController
{
    public function __construct(
        private readonly SurveyRepository $surveys,
        private readonly SurveyLookRepository $looks,
        private readonly SpecimenRepository $specimens,
        private readonly StandRepository $stands,
        private readonly SiteRepository $sites,
        private readonly SurveyBook $book,
        private readonly FloraLibrary $library,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/surveys', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The last first.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: SurveyRowView::class))),
    )]
    public function all(): JsonResponse
    {
        return $this->json($this->book->rows());
    }

    #[Route('/api/surveys', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: SurveyView::class))]
    #[OA\Response(
        response: 409,
        description: 'That id is of another walk.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function begin(#[CurrentUser] User $user, #[MapRequestPayload] NewSurvey $input): JsonResponse
    {
        $survey = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): Survey {
            $site = $this->sites->find($input->siteId) ?? throw Refused::field('siteId', 'There is no such place.');
            $known = $this->surveys->find($input->id);
            if (null !== $known) {
                return $known->site === $site && $known->by === $user
                    ? $known // sent twice
                    : throw Refused::conflict('That id is of another walk.');
            }
            $survey = new Survey($input->id, $site, $this->clock->today(), $user, $this->clock->now());
            $entities->persist($survey);

            return $survey;
        });

        return $this->json($this->book->view($survey, $user));
    }

    #[Route('/api/surveys/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: SurveyView::class))]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->book->view($this->survey($id), $user));
    }

    #[Route(
        '/api/surveys/{id}.{format}',
        requirements: ['id' => Requirement::UUID, 'format' => 'csv|geojson'],
        methods: ['GET'],
    )]
    #[OA\Response(
        response: 200,
        description: 'The walk as a file.',
        content: new OA\MediaType(mediaType: 'text/plain', schema: new OA\Schema(type: 'string')),
    )]
    public function export(#[CurrentUser] User $user, SurveyFiles $files, string $id, string $format): Response
    {
        $survey = $this->book->view($this->survey($id), $user);

        return new Response('csv' === $format ? $files->csv($survey) : $files->geoJson($survey), headers: [
            'Content-Type' => 'csv' === $format ? 'text/csv; charset=utf-8' : 'application/geo+json',
            'Content-Disposition' => \sprintf('attachment; filename="survey-%s.%s"', $survey->on, $format),
        ]);
    }

    /** What was seen of one tree; seen again on the same walk, the later look holds. */
    #[Route('/api/surveys/{id}/looks', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: SurveyView::class))]
    public function look(#[CurrentUser] User $user, string $id, #[MapRequestPayload] LookInput $input): JsonResponse
    {
        $survey = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $id, $input): Survey {
            $survey = $this->open($id);
            $tree = $this->specimens->find($input->tree) ?? $this->stands->find($input->tree);
            if (null === $tree || $tree->site !== $survey->site) {
                throw Refused::field('tree', 'No such tree stands at that place.');
            }
            $this->wantKnown($user, $input->of);
            $isTree = $tree instanceof Specimen;
            $look = $this->looks->findOneBy(['survey' => $survey, $isTree ? 'specimen' : 'stand' => $tree]);
            if (null === $look) {
                $look = new SurveyLook(
                    Uuid::v7()->toRfc4122(),
                    $survey,
                    $isTree ? $tree : null,
                    $isTree ? null : $tree,
                    '',
                    '',
                    null,
                    [],
                    '',
                    $user,
                    $this->clock->now(),
                );
                $entities->persist($look);
            }
            [$look->of, $look->flora] = [$input->of, '' === $input->of ? '' : $user->flora];
            [$look->gap, $look->marks, $look->note] = [
                $input->gap,
                array_values(array_unique($input->marks)),
                trim($input->note),
            ];
            $look->lookedAt = $this->clock->now();

            return $survey;
        });

        return $this->json($this->book->view($survey, $user));
    }

    /** Pressed by mistake: nobody has come by that tree on this walk. */
    #[Route(
        '/api/surveys/{id}/looks/{tree}',
        requirements: ['id' => Requirement::UUID, 'tree' => Requirement::UUID],
        methods: ['DELETE'],
    )]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: SurveyView::class))]
    public function unlook(#[CurrentUser] User $user, string $id, string $tree): JsonResponse
    {
        $survey = $this->transaction->run(function (EntityManagerInterface $entities) use ($id, $tree): Survey {
            $survey = $this->open($id);
            foreach ($this->looks->ofSurvey($survey) as $look) {
                if ($tree === $look->specimen?->id || $tree === $look->stand?->id) {
                    $entities->remove($look);
                }
            }

            return $survey;
        });

        return $this->json($this->book->view($survey, $user));
    }

    /** A hedge, a row or a thicket, by the class of its count. The id is made by whoever sends it. */
    #[Route(
        '/api/surveys/{id}/stands/{stand}',
        requirements: ['id' => Requirement::UUID, 'stand' => Requirement::UUID],
        methods: ['PUT'],
    )]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: SurveyView::class))]
    public function stand(
        #[CurrentUser] User $user,
        string $id,
        string $stand,
        #[MapRequestPayload] StandInput $input,
    ): JsonResponse {
        $survey = $this->transaction->run(function (EntityManagerInterface $entities) use (
            $user,
            $id,
            $stand,
            $input,
        ): Survey {
            $survey = $this->open($id);
            $this->wantKnown($user, $input->of);
            $line = [];
            foreach ($input->line as $i => $point) {
                if (abs($point[1] ?? 0.0) > 90) {
                    throw Refused::field(
                        \sprintf('line[%d]', $i),
                        'A latitude lies between -90 and 90 degrees; the longitude comes first.',
                    );
                }
                $line[] = [(float) ($point[0] ?? 0.0), (float) ($point[1] ?? 0.0)];
            }
            $known = $this->stands->find($stand);
            if (null !== $known) {
                if ($known->site !== $survey->site) {
                    throw Refused::conflict('That id is of a stand at another place.');
                }
                [$known->label, $known->of, $known->flora] = [
                    trim($input->label),
                    $input->of,
                    '' === $input->of ? '' : $user->flora,
                ];
                [$known->count, $known->line, $known->height] = [$input->count, $line, $input->height];

                return $survey;
            }
            $entities->persist(
                new Stand(
                    strtolower($stand),
                    $survey->site,
                    trim($input->label),
                    $input->of,
                    '' === $input->of ? '' : $user->flora,
                    $input->count,
                    $line,
                    $input->height,
                    $user,
                    $this->clock->now(),
                ),
            );

            return $survey;
        });

        return $this->json($this->book->view($survey, $user));
    }

    /** It stands no more; walks that saw it keep it. */
    #[Route(
        '/api/surveys/{id}/stands/{stand}',
        requirements: ['id' => Requirement::UUID, 'stand' => Requirement::UUID],
        methods: ['DELETE'],
    )]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: SurveyView::class))]
    public function standGone(#[CurrentUser] User $user, string $id, string $stand): JsonResponse
    {
        $survey = $this->transaction->run(function () use ($id, $stand): Survey {
            $survey = $this->open($id);
            $known = $this->stands->find($stand);
            if (null === $known || $known->site !== $survey->site) {
                throw Refused::missing('There is no such stand at that place.');
            }
            $known->goneOn ??= $this->clock->today();

            return $survey;
        });

        return $this->json($this->book->view($survey, $user));
    }

    /** The walk is over: what nobody came by stays open on its sheets. */
    #[Route('/api/surveys/{id}/close', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: SurveyView::class))]
    public function close(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $survey = $this->transaction->run(function () use ($id): Survey {
            $survey = $this->survey($id);
            $survey->closedAt ??= $this->clock->now();

            return $survey;
        });

        return $this->json($this->book->view($survey, $user));
    }

    private function wantKnown(User $user, string $of): void
    {
        $flora = $this->library->flora($user->flora);
        if ('' !== $of && !isset($flora->taxa[$of]) && !isset($flora->groups[$of])) {
            throw Refused::field('of', \sprintf('Your flora knows no kind and no group "%s".', $of));
        }
    }

    private function survey(string $id): Survey
    {
        return $this->surveys->find($id) ?? throw Refused::missing('There is no such walk.');
    }

    private function open(string $id): Survey
    {
        $survey = $this->survey($id);

        return null === $survey->closedAt
            ? $survey
            : throw Refused::conflict('That walk is over; begin another one.');
    }
}
