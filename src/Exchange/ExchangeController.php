<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationReading;
use App\Examine\StoredExaminations;
use App\Exchange\View\ImportView;
use App\Storage\Transaction;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SiteVoter;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Hylognosis\Assessment\InquiryWriter;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A school's data in open formats, out and in. */
#[OA\Tag('exchange')]
final class ExchangeController extends ApiController
{
    private const MOST_BYTES = 15_000_000;

    public function __construct(
        private readonly Exports $exports,
        private readonly DarwinCoreWriter $darwinCore,
        private readonly PictureArchive $pictures,
        private readonly TreeFiles $files,
        private readonly TreeImport $trees,
        private readonly SurveyImport $surveys,
        private readonly SiteRepository $sites,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
        private readonly DeedRepository $deeds,
        private readonly SchoolClock $clock,
    ) {
    }

    #[Route(
        '/api/export/{what}',
        requirements: [
            'what' => 'trees\.gpx|trees\.geojson|trees\.csv|examinations\.csv|scores\.csv|harvests\.csv|events\.csv|crops\.csv|occurrences\.zip|rare\.zip|pictures\.zip',
        ],
        methods: ['GET'],
    ),]
    #[OA\Response(
        response: 200,
        description: 'The file.',
        content: new OA\MediaType(
            mediaType: 'application/octet-stream',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    ),]
    public function export(#[CurrentUser] User $user, string $what): Response
    {
        if (\in_array($what, ['scores.csv', 'occurrences.zip', 'rare.zip', 'pictures.zip'], true)) {
            $this->permission->need(SiteVoter::CARE);
            // whoever has all scores in a file is no second person for them any more
            $this->transaction->run(fn () => ($user->exportedAt = $this->clock->now()));
        }
        $type = match ($what) {
            'trees.gpx' => 'application/gpx+xml',
            'trees.geojson' => 'application/geo+json',
            'occurrences.zip', 'rare.zip', 'pictures.zip' => 'application/zip',
            default => 'text/csv; charset=utf-8; header=present',
        };
        $text = match ($what) {
            'trees.gpx' => [$this->exports->gpx()],
            'trees.geojson' => [$this->exports->geoJson($user)],
            'trees.csv' => $this->exports->treesCsv($user),
            'examinations.csv' => $this->exports->examinations($user),
            'scores.csv' => $this->exports->scores($user),
            'harvests.csv' => $this->exports->harvests(),
            'events.csv' => $this->exports->events(),
            'crops.csv' => $this->exports->crops($user),
            'pictures.zip' => self::pieces($this->pictures->write($user)),
            'rare.zip' => self::pieces($this->darwinCore->write($user, true)),
            default => self::pieces($this->darwinCore->write($user)),
        };

        return new StreamedResponse(
            static function () use ($text): void {
                foreach ($text as $piece) {
                    echo $piece;
                }
            },
            headers: [
                'Content-Type' => $type,
                'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $what),
                'Cache-Control' => 'no-store',
            ],
        );
    }

    /** One examination as a document: read again with the same edition of the flora, it gives the same answer. */
    #[Route('/api/examinations/{id}/document', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The examination document.',
        content: new OA\JsonContent(type: 'object', additionalProperties: true),
    ),]
    #[OA\Response(
        response: 404,
        description: 'No such examination.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function document(
        #[CurrentUser] User $user,
        string $id,
        ExaminationReading $reading,
        StoredExaminations $stored,
    ): JsonResponse {
        $record = $reading->read($user, $id);
        if ($record->hidesTheHope() || $record->hidesNames()) {
            throw Refused::conflict('What is covered cannot be taken out; sign the examination first.');
        }
        $response = new JsonResponse(
            json_encode(
                (new InquiryWriter())->write($record->flora, $stored->asked($record)),
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_PRETTY_PRINT,
            ),
            json: true,
        );
        $response->headers->set(
            'Content-Disposition',
            HeaderUtils::makeDisposition(
                HeaderUtils::DISPOSITION_ATTACHMENT,
                'examination-'.$record->date->format('Y-m-d').'.json',
            ),
        );

        return $response;
    }

    /** The body is the file. Without run it is only said what it would do; with it, all of it is done, or nothing. */
    #[Route(
        '/api/import/{what}',
        requirements: ['what' => 'trees|examinations|scores|harvests|examination'],
        methods: ['POST'],
    ),]
    #[OA\RequestBody(
        required: true,
        content: new OA\MediaType(
            mediaType: 'application/octet-stream',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    ),]
    #[OA\Response(response: 200, description: 'What it would do, or did.', content: new Model(type: ImportView::class))]
    #[OA\Response(
        response: 422,
        description: 'It cannot be brought in; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function import(
        #[CurrentUser] User $user,
        Request $request,
        string $what,
        #[MapQueryParameter(validationFailedStatusCode: 422)] bool $run = false,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $tree = '',
    ): JsonResponse {
        $this->permission->need(SiteVoter::CARE);
        $bytes = $request->getContent();
        if (
            \strlen($bytes) > self::MOST_BYTES
            || (int) $request->headers->get('Content-Length', '0') > self::MOST_BYTES
        ) {
            throw Refused::field('file', 'The file has more than 15 MB.');
        }
        $place =
            '' === $site ? null : $this->sites->find($site) ?? throw Refused::field('site', 'There is no such place.');
        $plan = $this->transaction->run(function () use ($user, $bytes, $what, $run, $place, $tree): ImportPlan {
            $plan = $this->planned($what, $bytes, $place, $tree, $user);
            if ($run && [] === $plan->refused) {
                $plan->run();
                $this->deeds->note(
                    $user,
                    DeedKind::Imported,
                    $plan->format,
                    \sprintf('%d made, %d changed', \count($plan->made), \count($plan->changed)),
                );
            }

            return $plan;
        });

        return $this->json(ImportView::of($plan, $run && [] === $plan->refused));
    }

    private function planned(string $what, string $bytes, ?Site $place, string $tree, User $user): ImportPlan
    {
        try {
            return match ($what) {
                'trees' => $this->trees->plan($this->files->read($bytes), $place),
                'examinations' => $this->surveys->examinations($bytes),
                'scores' => $this->surveys->scores($bytes),
                'harvests' => $this->surveys->harvests($bytes),
                default => $this->surveys->document($bytes, $tree, $user),
            };
        } catch (UnusableFile $file) {
            $plan = new ImportPlan('no file that can be read');
            $plan->refused = $file->faults;

            return $plan;
        }
    }

    /** @return iterable<string> */
    private static function pieces(string $path): iterable
    {
        $file = fopen($path, 'r');
        unlink($path);
        while (false !== $file && !feof($file)) {
            yield (string) fread($file, 65_536);
        }
    }
}
