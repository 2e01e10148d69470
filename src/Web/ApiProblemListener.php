<?php

declare(strict_types=1);

namespace App\Web;

use App\Storage\Unusable;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Validator\Exception\ValidationFailedException;

/** Errors under /api are problem details (RFC 9457), with a sentence for people and the field at fault. */
final class ApiProblemListener
{
    private const LONGEST = 1000;

    public function __construct(private readonly TokenStorageInterface $tokens)
    {
    }

    /**
     * Nobody is signed in: the firewall would keep where to go after signing in, and a session with it, for every
     * stranger who knocks.
     */
    #[AsEventListener(priority: 10)]
    public function onStranger(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        if (
            ($error instanceof AccessDeniedException || $error instanceof AuthenticationException)
            && null === $this->tokens->getToken()?->getUser()
            && $this->isApi($event->getRequest())
        ) {
            $event->setResponse(self::problem(401, 'Sign in first.', [], []));
            $event->stopPropagation();
        }
    }

    #[AsEventListener(priority: -10)]
    public function // after the firewall has had its say, before Symfony's own pages (-128)
    onException(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        if (!$this->isApi($event->getRequest()) || $error instanceof AccessDeniedException) {
            return;
        }
        $unusable = Unusable::explains($error);
        $status = $error instanceof HttpExceptionInterface ? $error->getStatusCode() : ($unusable ? 503 : 500);
        $violations = $this->violations($error);
        $detail = match (true) {
            [] !== $violations => implode(
                ' ',
                array_map(static fn (array $v): string => $v['propertyPath'].': '.$v['title'], $violations),
            ),
            $error instanceof NotFoundHttpException => 'There is nothing at this address.',
            $status < 500 => $error->getMessage(),
            $unusable => \sprintf(
                'The database of the school cannot be used: it is missing, broken, full, of '.
                    'another version, or may not be written. Nothing was stored. Tell whoever runs this, with the '.
                    'number %s.',
                RequestNumber::of($event->getRequest()),
            ),
            default => \sprintf(
                'Something went wrong on our side. Nothing was stored. Try again; if it stays '.
                    'so, tell whoever runs this, with the number %s.',
                RequestNumber::of($event->getRequest()),
            ),
        };
        $event->setResponse(
            self::problem(
                $status,
                $detail,
                $violations,
                $error instanceof HttpExceptionInterface ? $error->getHeaders() : [],
            ),
        );
        if ($status < 500) {
            $event->allowCustomResponseCode();
        }
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        $response = $event->getResponse();
        if (
            $response->getStatusCode() < 400
            || !$this->isApi($event->getRequest())
            || 'application/problem+json' === $response->headers->get('Content-Type')
        ) {
            return;
        }
        // The sign-in answers with {"error": …}.
        $content = json_decode((string) $response->getContent(), true);
        $detail =
            \is_array($content) && \is_string($content['error'] ?? null)
                ? $content['error']
                : Response::$statusTexts[$response->getStatusCode()] ?? '';
        $event->setResponse(self::problem($response->getStatusCode(), $detail, [], []));
    }

    /**
     * @param list<array{propertyPath: string, title: string}> $violations
     * @param array<mixed>                                     $headers
     */
    public static function problem(int $status, string $detail, array $violations, array $headers): JsonResponse
    {
        $response = new JsonResponse(status: $status);
        $response->headers->add($headers);
        $response->headers->set('Content-Type', 'application/problem+json');
        $response->setEncodingOptions(\JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
        $response->setData([
            'type' => 'about:blank',
            'title' => Response::$statusTexts[$status] ?? 'Error',
            'status' => $status,
            'detail' => self::sayable($detail),
            'violations' => array_map(
                static fn (array $v): array => [
                    'propertyPath' => self::sayable($v['propertyPath']),
                    'title' => self::sayable($v['title']),
                ],
                $violations,
            ),
        ]);

        return $response;
    }

    /** Whatever was sent may be told back: without what is no text, and not at any length. */
    private static function sayable(string $text): string
    {
        return mb_substr(mb_scrub($text), 0, self::LONGEST);
    }

    /** @return list<array{propertyPath: string, title: string}> */
    private function violations(\Throwable $error): array
    {
        if ($error instanceof Refused) {
            return '' === $error->field ? [] : [['propertyPath' => $error->field, 'title' => $error->getMessage()]];
        }
        $violations = [];
        if ($error->getPrevious() instanceof ValidationFailedException) {
            foreach ($error->getPrevious()->getViolations() as $violation) {
                $violations[] = [
                    'propertyPath' => $violation->getPropertyPath(),
                    'title' => (string) $violation->getMessage(),
                ];
            }
        }

        return $violations;
    }

    private function isApi(Request $request): bool
    {
        // as the router and the firewall read it
        return 1 === preg_match('#^/api(/|$)#', rawurldecode($request->getPathInfo()));
    }
}
