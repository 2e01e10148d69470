<?php

declare(strict_types=1);

namespace App\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\RateLimiter\RequestRateLimiterInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\RateLimiter\RateLimit;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/**
 * So many guesses at one account, from wherever they come, and so many from one address, however many share it. Each
 * attempt is counted before the password is looked at, one at a time, so that guesses side by side are counted too.
 */
final readonly class SignInLimiter implements RequestRateLimiterInterface
{
    public function __construct(
        #[Autowire(service: 'limiter.sign_in_account')] private RateLimiterFactory $accounts,
        #[Autowire(service: 'limiter.sign_in_address')] private RateLimiterFactory $addresses,
    ) {
    }

    public function consume(Request $request): RateLimit
    {
        $address = $this->addresses->create($request->getClientIp())->consume();

        return $address->isAccepted() ? $this->accounts->create($this->account($request))->consume() : $address;
    }

    public function reset(Request $request): void
    {
        $this->accounts->create($this->account($request))->reset();
    }

    /** Whoever sits at somebody's open session guesses at the password no faster than from outside. */
    public function mayGuessAt(User $user): bool
    {
        return $this->accounts->create(hash('xxh128', $user->email))->consume()->isAccepted();
    }

    private function account(Request $request): string
    {
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME, '');

        return hash('xxh128', User::normalised(\is_string($name) ? $name : ''));
    }
}
