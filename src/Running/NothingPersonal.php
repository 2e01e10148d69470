<?php

declare(strict_types=1);

namespace App\Running;

use App\Web\RequestNumber;
use Monolog\Attribute\AsMonologProcessor;
use Monolog\LogRecord;
use Symfony\Component\HttpFoundation\RequestStack;

/**
 * Takes out of every line of the log what says who somebody is or what they asked for, and puts in the number of the
 * request.
 */
#[AsMonologProcessor]
final readonly class NothingPersonal
{
    /** What Symfony's own lines hold of people and of what they sent. */
    private const PERSONAL = [
        'username',
        'user',
        'user_identifier',
        'request_uri',
        'route_parameters',
        'token',
        'password',
        'email',
        'params',
        'ip',
        'key',
    ];
    private const DEEP = 6;

    public function __construct(private RequestStack $requests)
    {
    }

    public function __invoke(LogRecord $record): LogRecord
    {
        $number = RequestNumber::of($this->requests->getMainRequest());

        return $record->with(
            message: self::text($record->message),
            context: self::cleaned($record->context),
            extra: self::cleaned($record->extra) + ('' === $number ? [] : ['request' => $number]),
        );
    }

    /**
     * @param array<mixed> $values
     *
     * @return array<mixed>
     */
    private static function cleaned(array $values, int $depth = 0): array
    {
        $clean = [];
        foreach ($values as $name => $value) {
            $clean[$name] = match (true) {
                \in_array($name, self::PERSONAL, true) => '(left out)',
                \is_string($value) => self::text($value),
                \is_array($value) => $depth < self::DEEP ? self::cleaned($value, $depth + 1) : '(too deep)',
                $value instanceof \Throwable => self::failure($value),
                \is_scalar($value) || null === $value => $value,
                $value instanceof \DateTimeInterface => $value->format(\DATE_ATOM),
                default => \is_object($value) ? $value::class : get_debug_type($value),
            };
        }

        return $clean;
    }

    /** @return array<mixed> the kind of failure and where, without the values that were on the way */
    private static function failure(\Throwable $error, int $depth = 0): array
    {
        return [
            'class' => $error::class,
            'message' => self::text($error->getMessage()),
            'at' => basename($error->getFile()).':'.$error->getLine(),
            'trace' => array_map(self::frame(...), \array_slice($error->getTrace(), 0, 20)),
        ] +
            (null !== $error->getPrevious() && $depth < self::DEEP
                ? ['before' => self::failure($error->getPrevious(), $depth + 1)]
                : []);
    }

    /** @param array{function: string, line?: int, class?: class-string, type?: '->'|'::'} $frame */
    private static function frame(array $frame): string
    {
        return \sprintf(
            '%s%s%s:%s',
            $frame['class'] ?? '',
            $frame['type'] ?? '',
            $frame['function'],
            $frame['line'] ?? '?',
        );
    }

    /** Without addresses of mail, what a database tells of a row, and the query of an address. */
    private static function text(string $text): string
    {
        return (string) preg_replace(
            ['/[^\s@"\'<>()=,;:]+@[^\s@"\'<>(),;:]+/u', '/\)=\([^)]*\)/u', '/\?[^\s"\']*=[^\s"\']*/u'],
            ['(an address of mail)', ')=(left out)', '?(left out)'],
            mb_scrub($text),
        );
    }
}
