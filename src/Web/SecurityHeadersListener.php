<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** No inline script, no frames, no guessing of types, no addresses told to others. */
final class SecurityHeadersListener
{
    /** Sent with every page and with every file. */
    public const HEADERS = [
        // Inline style: the dialog primitives write style elements while they lock scrolling.
        'Content-Security-Policy' => "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
        'X-Content-Type-Options' => 'nosniff',
        'X-Frame-Options' => 'DENY',
        'Referrer-Policy' => 'no-referrer',
        'Cross-Origin-Opener-Policy' => 'same-origin',
        'Permissions-Policy' => 'geolocation=(self), camera=(), microphone=()',
    ];

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        $headers = $event->getResponse()->headers;
        foreach (self::HEADERS as $name => $value) {
            // a picture or a paper allows even less, and says so itself
            $headers->set($name, 'Content-Security-Policy' === $name ? $headers->get($name) ?? $value : $value);
        }
        if ($event->getRequest()->isSecure()) {
            $headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        // What is told of people and trees is kept nowhere; a flora carries its own tag and is asked for again.
        if (
            null === $event->getResponse()->getEtag()
            && str_starts_with((string) $headers->get('Content-Type'), 'application/')
        ) {
            $headers->set('Cache-Control', 'private, no-store');
        }
    }
}
