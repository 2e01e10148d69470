<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * Gives every request a number: it stands in the answer, in each line of the log, and in what people are told when
 * something went wrong.
 */
final class RequestNumber
{
    public const HEADER = 'X-Request-Id';
    private const ATTRIBUTE = '_number';

    /** The number of a request, '' for one that was never given any. */
    public static function of(?Request $request): string
    {
        $number = $request?->attributes->get(self::ATTRIBUTE);

        return \is_string($number) ? $number : '';
    }

    #[AsEventListener(priority: 4096)]
    // before anything can fail
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        // The web server may have given it one already.
        $given = (string) $request->headers->get(self::HEADER);
        $request->attributes->set(self::ATTRIBUTE, 1 === preg_match('/^[0-9a-zA-Z-]{8,64}$/D', $given) ? $given : bin2hex(random_bytes(8)));
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        $event->getResponse()->headers->set(self::HEADER, self::of($event->getRequest()));
    }
}
