<?php

declare(strict_types=1);

namespace App\Running;

use App\Clock\MachineClock;
use App\Storage\RequestCounts;
use App\Web\RequestNumber;
use Monolog\Attribute\WithMonologChannel;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/**
 * Notes of every request which route it took, what was answered and how long it took, after it has been answered;
 * nothing of who asked, or what for.
 */
#[WithMonologChannel('request_line')]
final readonly class RequestLog
{
    private const TOOK = '_microseconds';
    private const FAULT = '_fault';

    public function __construct(
        private RequestCounts $counts,
        private MachineClock $clock,
        private LoggerInterface $log,
    ) {
    }

    #[AsEventListener(priority: 100)]
    public function onException(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        $event
            ->getRequest()
            ->attributes->set(
                self::FAULT,
                \sprintf('%s, %s line %d', $error::class, basename($error->getFile()), $error->getLine()),
            );
    }

    #[AsEventListener(priority: -4096)]
    public function onResponse(ResponseEvent $event): void
    {
        $began = $event->getRequest()->server->get('REQUEST_TIME_FLOAT');
        $event
            ->getRequest()
            ->attributes->set(
                self::TOOK,
                is_numeric($began) ? max(0, (int) (1e6 * (microtime(true) - (float) $began))) : 0,
            );
    }

    #[AsEventListener]
    public function onTerminate(TerminateEvent $event): void
    {
        $request = $event->getRequest();
        $status = $event->getResponse()->getStatusCode();
        $took = $request->attributes->getInt(self::TOOK);
        // the request is no longer the one at hand, so that its number must be given
        $this->log->info('answered', [
            'request' => RequestNumber::of($request),
            'method' => $request->getMethod(),
            'route' => self::route($request),
            'status' => $status,
            'milliseconds' => intdiv($took + 500, 1000),
        ]);
        try {
            $this->counts->count($this->clock->now(), self::route($request), $status, $took);
            // Only what nobody foresaw: a monitor asks every minute whether the disk is still full, and would push all
            // else out of the list.
            if ($status >= 500 && $request->attributes->has(self::FAULT)) {
                $this->counts->fault(
                    $this->clock->now(),
                    RequestNumber::of($request),
                    self::route($request),
                    $request->attributes->getString(self::FAULT),
                );
            }
        } catch (\PDOException $trouble) {
            // figures are worth no failed request
            $this->log->warning('The figures of a request could not be kept.', ['exception' => $trouble]);
        }
    }

    /** The name of the route: an address could say of whom or what it was. */
    private static function route(Request $request): string
    {
        return $request->attributes->getString('_route', 'no route');
    }
}
