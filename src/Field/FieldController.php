<?php

declare(strict_types=1);

namespace App\Field;

use App\Account\User;
use App\Examine\ExaminationRepository;
use App\Examine\ExaminationVoter;
use App\Field\View\FieldSheetView;
use App\Field\View\SizeView;
use App\Field\View\TakenAlongView;
use App\Field\View\TakenExaminationView;
use App\Library\FloraLibrary;
use App\Trees\SiteRepository;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\Units;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What a device takes along, to decide out of the server’s reach by the same rules. */
#[OA\Tag('field')]
final class FieldController extends ApiController
{
    /** @param list<string> $sites ids of the places one goes to; none: all of them */
    #[Route('/api/field/taken', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'All that is taken along.',
        content: new Model(type: TakenAlongView::class),
    ),]
    public function taken(
        #[CurrentUser] User $user,
        TakenAlong $along,
        #[MapQueryParameter(validationFailedStatusCode: 422)] array $sites = [],
    ): JsonResponse {
        return $this->json($along->for($user, array_values(array_filter($sites, \is_string(...)))));
    }

    /** One examination anew, so that what was taken along of it is of this moment. */
    #[Route('/api/field/taken/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'It, as taken along.',
        content: new Model(type: TakenExaminationView::class),
    ),]
    #[OA\Response(
        response: 404,
        description: 'No such examination.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function examination(
        #[CurrentUser] User $user,
        string $id,
        TakenAlong $along,
        ExaminationRepository $examinations,
        Permission $permission,
    ): JsonResponse {
        $record = $examinations->find($id) ?? throw Refused::missing('There is no such examination.');
        $permission->need(ExaminationVoter::CHANGE, $record);

        return $this->json($along->examination($record, $user));
    }

    /** A sheet to be filled in with a pencil: for a wanted part, or without one for a tree nobody knows. */
    #[Route('/api/field/sheet', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The sheet.', content: new Model(type: FieldSheetView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such flora, kind, part or place.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function sheet(
        #[CurrentUser] User $user,
        FieldSheet $sheet,
        FloraLibrary $library,
        SiteRepository $sites,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $taxon = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $part = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $flora = '',
    ): JsonResponse {
        if ('' !== $flora && !$library->isShipped($flora)) {
            throw Refused::missing('There is no such flora.');
        }
        $of = $library->flora('' === $flora ? $user->flora : $flora);
        try {
            $kind = '' === $taxon ? null : $of->taxon($taxon);
            $wanted = $kind?->part($part);
        } catch (UnknownEntry $e) {
            throw Refused::missing($e->getMessage());
        }
        $where = '' === $site ? null : $sites->find($site) ?? throw Refused::missing('There is no such place.');

        return $this->json($sheet->of($of, $kind, $wanted, $where, Units::from($user->units)));
    }

    /** How much it would be, before anybody presses. */
    #[Route('/api/field/size', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'How large, and until when.', content: new Model(type: SizeView::class))]
    public function size(
        #[CurrentUser] User $user,
        TakenAlong $along,
        PackedFlora $packed,
        RulesBundle $bundle,
    ): JsonResponse {
        return $this->json(new SizeView($bundle->bytes() + \strlen($packed->pack($user->flora)), $along->until()));
    }

    #[Route('/api/field/rules', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The rules: class → the PHP file that holds it.',
        content: new OA\JsonContent(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'string'),
        ),
    ),]
    public function rules(Request $request, RulesBundle $bundle): Response
    {
        $response = $this->json($bundle->files());
        $response->setEtag(hash('xxh128', (string) $response->getContent()))->setPrivate();
        $response->isNotModified($request);

        return $response;
    }

    #[Route('/api/field/floras/{name}', requirements: ['name' => '[a-z0-9-]{1,64}'], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'A flora made ready for the rules, packed.',
        content: new OA\MediaType(
            mediaType: 'application/gzip',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    ),]
    #[OA\Response(
        response: 404,
        description: 'No such flora.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function flora(Request $request, string $name, FloraLibrary $library, PackedFlora $packed): Response
    {
        if (!$library->isShipped($name)) {
            throw Refused::missing('There is no such flora.');
        }
        $response = new Response('', 200, ['Content-Type' => 'application/gzip']);
        $response->setEtag($packed->stamp($name))->setPrivate();
        if (!$response->isNotModified($request)) {
            $response->setContent($packed->pack($name));
        }

        return $response;
    }
}
