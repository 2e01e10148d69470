<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\Uid\Uuid;

/**
 * Which requests carry a key of their own (the Idempotency-Key header of the IETF draft), and which of them were done
 * already. The key is kept in the transaction that does the work: either both are there, or neither.
 */
final readonly class Arrivals
{
    public const HEADER = 'Idempotency-Key';
    private const KEPT = '_arrival_kept';

    public function __construct(private RequestStack $requests, private ClockInterface $clock)
    {
    }

    /** To be called in each transaction; keeps the key with the first of a request. */
    public function keep(EntityManagerInterface $entities): void
    {
        $request = $this->requests->getMainRequest();
        $key = null === $request ? null : self::keyOf($request);
        if (null === $request || null === $key || $request->attributes->getBoolean(self::KEPT)) {
            return;
        }
        $request->attributes->set(self::KEPT, true);
        $entities->persist(new Arrival($key, self::told($request), $this->clock->now()));
    }

    /**
     * Whether it was done already.
     *
     * @throws ConflictHttpException if the key was that of something else
     */
    public function has(EntityManagerInterface $entities, Request $request): bool
    {
        $key = self::keyOf($request);
        $known = null === $key ? null : $entities->find(Arrival::class, $key);
        if (null !== $known && $known->request !== self::told($request)) {
            throw new ConflictHttpException('This key belongs to another entry.');
        }

        return null !== $known;
    }

    private static function keyOf(Request $request): ?string
    {
        $key = $request->isMethodSafe() ? null : $request->headers->get(self::HEADER);

        return null !== $key && Uuid::isValid($key) ? strtolower($key) : null;
    }

    private static function told(Request $request): string
    {
        return hash(
            'sha256',
            implode("\n", [$request->getMethod(), $request->getRequestUri(), $request->getContent()]),
        );
    }
}
