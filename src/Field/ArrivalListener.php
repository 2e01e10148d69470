<?php

declare(strict_types=1);

namespace App\Field;

use App\Storage\Arrivals;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/** Tells those who send something again that it has arrived already. Nothing of it is done twice. */
final readonly class ArrivalListener
{
    public function __construct(private Arrivals $arrivals, private EntityManagerInterface $entities)
    {
    }

    /** After the firewall (priority 8), which keeps strangers out. */
    #[AsEventListener(priority: 1)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (
            $event->isMainRequest()
            && $request->headers->has(Arrivals::HEADER)
            && str_starts_with($request->getPathInfo(), '/api/')
            && $this->arrivals->has($this->entities, $request)
        ) {
            $event->setResponse(new JsonResponse(['arrived' => true]));
        }
    }
}
