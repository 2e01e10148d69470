<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/**
 * Every writing request must come from our own pages, however its path is spelled: it carries a header no foreign form
 * can set, and its origin is checked by Symfony's same-origin token manager.
 */
final readonly class CsrfListener
{
    public function __construct(private CsrfTokenManagerInterface $tokens)
    {
    }

    #[AsEventListener(priority: 20)]
    // after routing, before the sign-in (8)
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        if (!$this->tokens->isTokenValid(new CsrfToken('api', $request->headers->get('X-CSRF-Token')))) {
            throw new AccessDeniedHttpException('This request did not come from the application’s own pages. '.
                'Reload the page and try again.');
        }
    }
}
