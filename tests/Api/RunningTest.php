<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Storage\RequestCounts;
use Monolog\Handler\HandlerInterface;
use Monolog\Handler\TestHandler;
use Monolog\Logger;
use Monolog\LogRecord;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\HttpKernel\KernelEvents;

/** What is noted of the requests, for whoever runs this, and nothing of whoever asked. */
final class RunningTest extends ApiTestCase
{
    public function testAFailureHasANumberInTheAnswerInTheLogAndOnThePage(): void
    {
        $this->signIn('jonas');
        $dispatcher = self::getContainer()->get('event_dispatcher');
        self::assertInstanceOf(EventDispatcherInterface::class, $dispatcher);
        $fail = static fn () => throw new \RuntimeException(
            'The row (email)=(ida@orlebach.example) of ida@orlebach.example, asked by /api/specimens?q=Ida, is '.
                'in the way.',
        );
        $dispatcher->addListener(KernelEvents::CONTROLLER, $fail);
        $problem = $this->call('GET', '/api/specimens?q=secret-place');
        $dispatcher->removeListener(KernelEvents::CONTROLLER, $fail);
        $number = (string) $this->client->getResponse()->headers->get('X-Request-Id');
        self::assertMatchesRegularExpression('/^[0-9a-f]{16}$/', $number);
        self::assertProblem(500, 'with the number '.$number, $problem);

        $lines = array_filter(
            self::log(),
            static fn (LogRecord $line): bool => \in_array(
                $number,
                [$line->extra['request'] ?? '', $line->context['request'] ?? ''],
                true,
            ),
        );
        $told = (string) json_encode(
            array_map(static fn (LogRecord $line): array => $line->toArray(), array_values($lines)),
        );
        self::assertStringContainsString('RuntimeException', $told);
        self::assertStringContainsString('RunningTest.php', $told);
        foreach (['ida@', 'Ida', 'jonas', 'secret-place'] as $personal) {
            self::assertStringNotContainsString($personal, $told);
        }
        $answered = array_values(
            array_filter($lines, static fn (LogRecord $line): bool => 'request_line' === $line->channel),
        );
        self::assertCount(1, $answered);
        self::assertSame(
            ['request' => $number, 'method' => 'GET', 'route' => 'app_trees_tree_specimens', 'status' => 500],
            array_diff_key($answered[0]->context, ['milliseconds' => true]),
        );

        $page = $this->call('GET', '/api/running?days=1');
        self::assertSame($number, self::at($page, 'faults.0.number'));
        self::assertSame('app_trees_tree_specimens', self::at($page, 'faults.0.route'));
        self::assertGreaterThan(0, self::at($page, 'days.0.failed'));
        self::assertGreaterThan(100_000, self::at($page, 'database.bytes'));
        self::assertSame([], self::at($page, 'troubles'));
    }

    public function testNothingOfAnybodySigningInStandsInTheLog(): void
    {
        $this->signIn('ida');
        $this->call('POST', '/api/login', ['email' => 'marta@orlebach.example', 'password' => 'not-her-password']);
        self::assertResponseStatusCodeSame(401);
        $lines = self::log();
        self::assertGreaterThan(5, \count($lines), 'the log of the tests takes every line');
        foreach ($lines as $line) {
            self::assertDoesNotMatchRegularExpression(
                '/ida@|marta|not-her-password|127\.0\.0\.1/i',
                (string) json_encode($line->toArray()),
            );
        }
    }

    public function testTheNumberOfTheWebServerIsKeptAndNothingElseIsTakenForOne(): void
    {
        foreach (
            ['0123456789abcdef0123456789abcdef' => true, "a'; DROP" => false, 'short' => false] as $given => $kept
        ) {
            $this->client->request('GET', '/api/session', server: ['HTTP_X_REQUEST_ID' => $given]);
            self::assertSame($kept, $given === $this->client->getResponse()->headers->get('X-Request-Id'), $given);
        }
    }

    public function testTimesAreToldByTheirClassAndTheLongest(): void
    {
        $path = sys_get_temp_dir().'/hylognosis-counts-'.bin2hex(random_bytes(4)).'.db';
        $counts = new RequestCounts($path);
        $today = new \DateTimeImmutable('2027-06-14');
        foreach (
            [...array_fill(0, 90, 8_000), ...array_fill(0, 6, 150_000), ...array_fill(0, 3, 12_000_000), 12_345_678] as $took
        ) {
            $counts->count($today, 'page', 200, $took);
        }
        $counts->count($today, 'page', 404, 1);
        $counts->count($today->modify('-1 day'), 'page', 503, 3_000);
        $counts->count($today->modify('-40 days'), 'page', 200, 3_000);
        [$last, $before] = $counts->byDay($today->modify('-7 days'));
        self::assertSame(
            ['2027-06-14', 101, 1, 0, 10, 200, 12_346],
            [$last->of, $last->requests, $last->refused, $last->failed, $last->median, $last->p95, $last->longest],
        );
        self::assertSame(['2027-06-13', 1, 1, 3], [$before->of, $before->requests, $before->failed, $before->p95]);
        for ($fault = 0; $fault < 60; ++$fault) {
            $counts->fault($today, 'number-'.$fault, 'page', 'X, y.php line 1');
        }
        self::assertCount(50, $counts->faults());
        self::assertSame('number-59', $counts->faults()[0]['id']);
        self::assertSame(
            102,
            $counts->byRoute(new \DateTimeImmutable('2000-01-01'))[0]->requests,
            'what is older than a month is forgotten',
        );
        foreach ((array) glob($path.'*') as $file) {
            unlink((string) $file);
        }
    }

    /** @return list<LogRecord> */
    private static function log(): array
    {
        $logger = self::getContainer()->get('logger');
        self::assertInstanceOf(Logger::class, $logger);
        $handler =
            array_values(
                array_filter(
                    $logger->getHandlers(),
                    static fn (HandlerInterface $handler): bool => $handler instanceof TestHandler,
                ),
            )[0] ?? null;
        self::assertInstanceOf(TestHandler::class, $handler);

        return array_values($handler->getRecords());
    }
}
