<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Storage\Transaction;
use App\Trees\Input\NewMeasure;
use App\Trees\Input\NewTag;
use App\Trees\Input\TreeChange;
use App\Trees\View\TreePageView;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A tree over the years: where it stands, how it does, how it grows, and when it went. */
#[OA\Tag('trees')]
#[OA\Response(response: 200, description: 'The tree.', content: new Model(type: TreePageView::class))]
#[OA\Response(
    response: 404,
    description: 'No such tree.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class TreePageController extends ApiController
{
    public function __construct(
        private readonly SpecimenRepository $specimens,
        private readonly TreeMeasureRepository $measures,
        private readonly DeedRepository $deeds,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
        private readonly TreeLabels $labels,
    ) {
    }

    #[Route('/api/specimens/{id}/page', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->page($this->tree($id), $user);
    }

    #[Route('/api/specimens/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function change(#[CurrentUser] User $user, string $id, #[MapRequestPayload] TreeChange $input): JsonResponse
    {
        return $this->page(
            $this->transaction->run(function () use ($user, $id, $input): Specimen {
                $tree = $this->tree($id);
                if ((null === $input->latitude) !== (null === $input->longitude)) {
                    throw Refused::field('longitude', 'A position has two numbers, or none.');
                }
                $goneOn =
                    null === $input->goneOn || Gone::Not === $input->gone ? null : CalendarDay::parse($input->goneOn);
                if (Gone::Not !== $input->gone && (null === $goneOn || $goneOn > $this->clock->today())) {
                    throw Refused::field('goneOn', 'Say on which day it went, today at the latest.');
                }
                if (Gone::Merged === $input->gone || Gone::Merged === $tree->gone) {
                    throw Refused::field('gone', 'Two tags are made one tree, and parted again, by themselves.');
                }
                if ($tree->gone !== $input->gone) {
                    $this->deeds->note(
                        $user,
                        DeedKind::TreeGone,
                        $tree->tag,
                        Gone::Not === $input->gone ? 'there again' : $input->gone->value,
                    );
                }
                $tree->whereabouts = trim($input->whereabouts);
                [$tree->latitude, $tree->longitude] = [$input->latitude, $input->longitude];
                $tree->uncertainty = null === $input->latitude ? null : $input->uncertainty;
                $tree->positionFrom = null === $input->latitude ? PositionFrom::Unknown : $input->positionFrom;
                [$tree->stage, $tree->sex, $tree->health] = [$input->stage, $input->sex, trim($input->health)];
                [$tree->gone, $tree->goneOn] = [$input->gone, $goneOn];

                return $tree;
            }),
            $user,
        );
    }

    /** The old tag is lost or unreadable: the tree gets another, and is still found by the old one. */
    #[Route('/api/specimens/{id}/tag', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function tagAnew(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewTag $input): JsonResponse
    {
        return $this->page(
            $this->transaction->run(function () use ($user, $id, $input): Specimen {
                $tree = $this->tree($id);
                $tag = trim($input->tag);
                $this->specimens->wantFree($tag);
                $this->deeds->note($user, DeedKind::TagChanged, $tag, 'was '.$tree->tag);
                $tree->tagAnew($tag, $this->clock->today());

                return $tree;
            }),
            $user,
        );
    }

    #[Route('/api/specimens/{id}/measures', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function measure(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewMeasure $input): JsonResponse
    {
        return $this->page(
            $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $id, $input): Specimen {
                $tree = $this->tree($id);
                $on = CalendarDay::parse($input->on);
                if ($on > $this->clock->today()) {
                    throw Refused::field('on', 'That day is still to come.');
                }
                if (null === $input->girth && null === $input->height && null === $input->lowest) {
                    throw Refused::field('girth', 'Measure the girth, the height, or how high the lowest twigs hang.');
                }
                $entities->persist(
                    new TreeMeasure(
                        $tree,
                        $on,
                        $input->girth,
                        $input->height,
                        $input->lowest,
                        trim($input->note),
                        $user,
                        $this->clock->now(),
                    ),
                );

                return $tree;
            }),
            $user,
        );
    }

    private function tree(string $id): Specimen
    {
        return $this->specimens->find($id) ?? throw Refused::missing('There is no such tree.');
    }

    private function page(Specimen $tree, User $reader): JsonResponse
    {
        return $this->json(TreePageView::of($this->labels->of([$tree], $reader)[0], $tree, $this->measures->of($tree)));
    }
}
