<?php

declare(strict_types=1);

namespace App\Account;

use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * A session that lay unused for a working day, or is a month old, is over: the shared tablet in the hut forgets who it
 * was.
 */
final readonly class SessionExpiryListener
{
    private const IDLE_SECONDS = 12 * 3600;
    private const LONGEST_SECONDS = 30 * 24 * 3600;

    public function __construct(#[Autowire(service: 'clock')] private ClockInterface $clock)
    {
    }

    #[AsEventListener(priority: 10)]
    public function // before the firewall (8) asks the session who it is
    onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || !$request->hasPreviousSession()) {
            return;
        }
        $session = $request->getSession();
        $kept = $session->getMetadataBag();
        $now = $this->clock->now()->getTimestamp();
        if (
            $kept->getCreated() > 0
            && ($now - $kept->getLastUsed() > self::IDLE_SECONDS || $now - $kept->getCreated() > self::LONGEST_SECONDS)
        ) {
            $session->invalidate();
        }
    }
}
