<?php

declare(strict_types=1);

namespace App\Species;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Library\NeverReview;
use App\Species\Input\NewReview;
use App\Species\View\NeverView;
use App\Species\View\ReviewSheetView;
use App\Species\View\ReviewTaxonView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('flora')]
#[OA\Response(response: 200, description: 'The sheet as it stands.', content: new Model(type: ReviewSheetView::class))]
#[OA\Response(
    response: 404,
    description: 'No such flora or line.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class ReviewController extends ApiController
{
    public function __construct(private readonly FloraLibrary $library)
    {
    }

    /** What the dangerous kinds of a flora never show, with who has read it. */
    #[Route('/api/floras/{name}/nevers', requirements: ['name' => '[a-z0-9-]{1,64}'], methods: ['GET'])]
    public function sheet(string $name): JsonResponse
    {
        return $this->json($this->sheetOf($this->named($name)));
    }

    /** Somebody who may decide says what they think of one line. A doubt takes effect with the next look. */
    #[Route(
        '/api/floras/{name}/nevers/{taxon}/{line}/reviews',
        requirements: ['name' => '[a-z0-9-]{1,64}', 'taxon' => '[a-z0-9-]{1,64}', 'line' => '[a-z0-9-]{1,64}'],
        methods: ['POST'],
    )]
    #[OA\Response(
        response: 403,
        description: 'Not an instructor.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    #[OA\Response(
        response: 422,
        description: 'A doubt without a word; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function review(
        #[CurrentUser] User $user,
        string $name,
        string $taxon,
        string $line,
        #[MapRequestPayload] NewReview $input,
        Transaction $transaction,
        SchoolClock $clock,
        Permission $permission,
    ): JsonResponse {
        $permission->need(ReviewVoter::REVIEW);
        $never =
            ($this->named($name)->taxa[$taxon] ?? null)->nevers[$line] ??
            throw Refused::missing('This edition states no such line.');
        $note = trim($input->note);
        if ('doubted' === $input->verdict->value && '' === $note) {
            throw Refused::field('note', 'Say what you have seen otherwise, or where it stands.');
        }
        $transaction->run(static function (EntityManagerInterface $entities) use (
            $name,
            $taxon,
            $line,
            $never,
            $input,
            $note,
            $user,
            $clock,
        ): void {
            $entities->persist(
                new NeverReview(
                    $name,
                    $taxon,
                    $line,
                    $never->fingerprint(),
                    $input->verdict,
                    $user->name,
                    $clock->today(),
                    $note,
                    $clock->now(),
                ),
            );
        });
        $this->library->reset();

        return $this->json($this->sheetOf($this->named($name)));
    }

    private function named(string $name): Flora
    {
        return \in_array($name, $this->library->names(), true)
            ? $this->library->flora($name)
            : throw Refused::missing(\sprintf('There is no flora "%s".', $name));
    }

    private function sheetOf(Flora $flora): ReviewSheetView
    {
        $taxa = array_filter(
            $flora->taxa,
            static fn (Taxon $taxon): bool => [] !== $taxon->nevers && !$taxon->isHybrid(),
        );
        uasort(
            $taxa,
            static fn (Taxon $a, Taxon $b): int => [$b->severity()->rank(), $a->name] <=> [
                $a->severity()->rank(),
                $b->name,
            ],
        );
        $lines = array_merge(
            ...array_map(static fn (Taxon $taxon): array => array_values($taxon->nevers), array_values($taxa)),
        );

        return new ReviewSheetView(
            $flora->name,
            $flora->title,
            $flora->edition,
            \count($lines),
            \count(array_filter($lines, static fn (StatedNever $never): bool => $never->agreements() > 0)),
            \count(array_filter($lines, static fn (StatedNever $never): bool => $never->isDoubted())),
            array_values(
                array_map(
                    static fn (Taxon $taxon): ReviewTaxonView => new ReviewTaxonView(
                        $taxon->id,
                        $taxon->name,
                        $taxon->commonName(),
                        $taxon->severity(),
                        array_values(
                            array_map(
                                static fn (StatedNever $never): NeverView => NeverView::of($flora, $never),
                                $taxon->nevers,
                            ),
                        ),
                    ),
                    $taxa,
                ),
            ),
        );
    }
}
