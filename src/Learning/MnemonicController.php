<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Learning\Input\MnemonicInput;
use App\Learning\View\MnemonicView;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Memory pictures: everybody's own, and what others share. */
#[OA\Tag('learning')]
#[OA\Response(
    response: 200,
    description: 'One’s own first.',
    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: MnemonicView::class))),
)]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class MnemonicController extends ApiController
{
    public function __construct(
        private readonly MnemonicRepository $mnemonics,
        private readonly FloraLibrary $library,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/mnemonics', methods: ['GET'])]
    public function all(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $about = '',
    ): JsonResponse {
        return $this->json($this->views($user, $about));
    }

    #[Route('/api/mnemonics', methods: ['PUT'])]
    public function keep(#[CurrentUser] User $user, #[MapRequestPayload] MnemonicInput $input): JsonResponse
    {
        [$sort, $id] = explode('/', $input->about);
        $flora = $this->library->flora($user->flora);
        if ('character' === $sort ? !isset($flora->characters[$id]) : !isset($flora->taxa[$id])) {
            throw Refused::field('about', 'Your flora knows no such character or kind.');
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): void {
            $own = $this->mnemonics->findOneBy(['by' => $user, 'about' => $input->about]);
            if ('' === trim($input->text)) {
                if (null !== $own) {
                    $entities->remove($own);
                }

                return;
            }
            if (null === $own) {
                $own = new Mnemonic($user, $input->about, $this->clock->now());
                $entities->persist($own);
            }
            [$own->text, $own->isShared] = [trim($input->text), $input->isShared];
        });

        return $this->json($this->views($user, $input->about));
    }

    /** @return list<MnemonicView> */
    private function views(User $user, string $about): array
    {
        return array_map(
            static fn (Mnemonic $m): MnemonicView => new MnemonicView(
                $m->text,
                $m->by->name,
                $m->by === $user,
                $m->isShared,
            ),
            $this->mnemonics->seenBy($user, $about),
        );
    }
}
