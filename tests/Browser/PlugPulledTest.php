<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use App\Demo\DemoSchool;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\CurlHttpClient;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\HttpClient\Exception\TransportExceptionInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

/**
 * The server dies without warning while four people write, again and again (HYLO_KILLS times): what was acknowledged is
 * there afterwards. And what a database that cannot be used looks like from outside.
 */
final class PlugPulledTest extends TestCase
{
    private const DB = __DIR__.'/../../var/plug.db';
    private CurlHttpClient $http;

    public static function setUpBeforeClass(): void
    {
        Servers::school(self::DB);
        copy(self::DB, self::DB.'.new');
    }

    protected function setUp(): void
    {
        self::clear();
        copy(self::DB.'.new', self::DB);
    }

    public static function tearDownAfterClass(): void
    {
        self::clear();
        unlink(self::DB.'.new');
    }

    private static function clear(): void
    {
        array_map(static fn (string $f) => is_file($f) && unlink($f), [self::DB, self::DB.'-wal', self::DB.'-shm']);
    }

    public function testWhatWasAcknowledgedIsThere(): void
    {
        $kills = getenv('HYLO_KILLS');
        $kills = \is_string($kills) ? (int) $kills : 4;
        $acknowledged = ['SELECT tag FROM specimen' => [], 'SELECT id FROM score' => []];
        $cut = 0;
        for ($kill = 0; $kill < $kills; ++$kill) {
            $this->signIn();
            $site = self::id($this->http->request('GET', '/api/sites'));
            $examination = self::id(
                $this->http->request('POST', '/api/examinations', [
                    'json' => [
                        'specimenId' => self::id($this->http->request('GET', '/api/specimens')),
                        'date' => '2027-06-14',
                    ],
                ]),
            );
            $until = microtime(true) + random_int(50, 600) / 1000;
            /** @var array<string, ResponseInterface> $open */
            $open = [];
            $take = static function (string $name) use (&$open, &$acknowledged): void {
                if (200 === $open[$name]->getStatusCode()) {
                    $acknowledged[
                        24 === \strlen($name) ? 'SELECT tag FROM specimen' : 'SELECT id FROM score'
                    ][] = $name;
                }
                unset($open[$name]);
            };
            while (microtime(true) < $until) {
                while (\count($open) < 4) {
                    $name = Uuid::v4()->toRfc4122();
                    if (0 === random_int(0, 1)) {
                        $name = substr($name, 0, 24);
                        $open[$name] = $this->http->request('POST', '/api/specimens', [
                            'json' => ['tag' => $name, 'siteId' => $site],
                        ]);
                    } else {
                        $open[$name] = $this->http->request('POST', '/api/examinations/'.$examination.'/scores', [
                            'json' => [
                                'id' => $name,
                                'character' => 'leaf.kind',
                                'states' => ['pinnate'],
                                'further' => true,
                            ],
                        ]);
                    }
                }
                foreach ($this->http->stream($open, 0.002) as $response => $chunk) {
                    if (!$chunk->isTimeout() && $chunk->isLast()) {
                        $take((string) array_search($response, $open, true));
                    }
                }
            }
            Servers::kill();
            foreach (array_keys($open) as $name) {
                try {
                    $take($name);
                } catch (TransportExceptionInterface) {
                    ++$cut;
                }
            }
        }
        $database = new \PDO('sqlite:'.self::DB);
        foreach (['PRAGMA integrity_check' => ['ok'], 'PRAGMA foreign_key_check' => []] as $pragma => $well) {
            self::assertSame($well, self::column($database, $pragma));
        }
        foreach ($acknowledged as $query => $names) {
            self::assertSame([], array_values(array_diff($names, self::column($database, $query))), 'lost: '.$query);
        }
        $many = \count($acknowledged, \COUNT_RECURSIVE) - 2;
        self::assertGreaterThan($kills, $many, 'something has to be written between the kills');
        self::assertGreaterThan($kills / 4, $cut, 'and something has to be under way when the plug is pulled');
        if ($kills > 4) {
            fwrite(\STDERR, \sprintf("%d kills, %d writes acknowledged, %d cut\n", $kills, $many, $cut));
        }
    }

    public function testAFullDiskIsToldAndNothingIsHalfStored(): void
    {
        $this->signIn(260_000);
        $site = self::id($this->http->request('GET', '/api/sites'));
        $refused = $taken = [];
        for ($i = 0; $i < 400 && \count($refused) < 3; ++$i) {
            $answer = $this->http->request('POST', '/api/specimens', [
                'json' => ['tag' => 'F-'.$i, 'siteId' => $site, 'whereabouts' => str_repeat('by the spring ', 20)],
            ]);
            if (200 === $answer->getStatusCode()) {
                $taken[] = 'F-'.$i;
            } else {
                $refused[] = 'F-'.$i;
                self::assertSame('application/problem+json', $answer->getHeaders(false)['content-type'][0] ?? '');
                self::assertSame(503, $answer->getStatusCode());
                self::assertStringContainsString(
                    'full, of another version, or may not be written. Nothing was stored',
                    $answer->getContent(false),
                );
                self::assertSame(
                    200,
                    $this->http->request('GET', '/api/sites')->getStatusCode(),
                    'what is there is still read',
                );
            }
        }
        Servers::kill();
        self::assertNotSame([], $refused);
        $this->signIn();
        $tags = self::column(new \PDO('sqlite:'.self::DB), 'SELECT tag FROM specimen');
        self::assertSame([], array_values(array_diff($taken, $tags)));
        self::assertSame([], array_intersect($refused, $tags));
        self::assertSame(200, $this->http->request('GET', '/api/health')->getStatusCode());
        Servers::kill();
    }

    public function testFilesCarryTheHeadersToo(): void
    {
        $this->signIn();
        $page = $this->http->request('GET', '/')->getContent();
        self::assertGreaterThan(1, preg_match_all('~/build/assets/[\w.-]+\.(?:js|css)\b~', $page, $built));
        foreach (array_fill_keys($built[0], 'immutable') + ['/favicon.svg' => 'no-cache'] as $path => $kept) {
            $file = $this->http->request('GET', $path);
            $headers = $file->getHeaders();
            self::assertStringContainsString($kept, $headers['cache-control'][0] ?? '');
            self::assertMatchesRegularExpression(
                '~^(text/javascript|text/css|image/svg\+xml)~',
                $headers['content-type'][0] ?? '',
                $path,
            );
            self::assertSame('nosniff', $headers['x-content-type-options'][0] ?? '');
            self::assertArrayHasKey('content-security-policy', $headers);
            self::assertSame(
                304,
                $this->http
                    ->request('GET', $path, ['headers' => ['If-None-Match' => $headers['etag'][0] ?? '']])
                    ->getStatusCode(),
            );
        }
        Servers::kill();
    }

    /** @return iterable<string, array{callable(string): mixed}> */
    public static function troubles(): iterable
    {
        yield 'the file is gone' => [static fn (string $db) => unlink($db)];
        yield 'the file is empty' => [static fn (string $db) => file_put_contents($db, '')];
        yield 'the file is something else' => [
            static fn (string $db) => file_put_contents($db, str_repeat('a letter to the forester ', 4000)),
        ];
        yield 'of an earlier version' => [
            static fn (string $db) => (new \PDO('sqlite:'.$db))->exec('DELETE FROM doctrine_migration_versions'),
        ];
    }

    /** @param callable(string): mixed $spoil */
    #[DataProvider('troubles')]
    public function testADatabaseThatCannotBeUsedIsTold(callable $spoil): void
    {
        $spoil(self::DB);
        $address = Servers::serve(self::DB);
        $http = new CurlHttpClient(['base_uri' => $address]);
        $health = $http->request('GET', '/api/health');
        self::assertSame(503, $health->getStatusCode());
        self::assertStringContainsString('database', $health->getContent(false));
        $answer = $http->request('POST', '/api/login', [
            'headers' => ['Origin' => $address, 'X-CSRF-Token' => 'csrf-token'],
            'json' => ['email' => 'marta@orlebach.example', 'password' => DemoSchool::PASSWORD],
        ]);
        if (200 !== $answer->getStatusCode()) {
            self::assertSame(503, $answer->getStatusCode(), 'no wrong password where nobody can be looked up');
            self::assertStringContainsString('database of the school cannot be used', $answer->getContent(false));
            self::assertSame('application/problem+json', $answer->getHeaders(false)['content-type'][0] ?? '');
        }
        Servers::kill();
    }

    private function signIn(int $largest = 0): void
    {
        $address = Servers::serve(self::DB, $largest);
        $http = new CurlHttpClient(
            ['base_uri' => $address, 'headers' => ['Origin' => $address, 'X-CSRF-Token' => 'csrf-token']],
            8,
        );
        $answer = $http->request('POST', '/api/login', [
            'json' => ['email' => 'marta@orlebach.example', 'password' => DemoSchool::PASSWORD],
        ]);
        $cookie = $answer->getHeaders()['set-cookie'][0] ?? '';
        $this->http = new CurlHttpClient(
            [
                'base_uri' => $address,
                'headers' => ['Origin' => $address, 'X-CSRF-Token' => 'csrf-token', 'Cookie' => strtok($cookie, ';')],
            ],
            8,
        );
    }

    /** The id an answer carries, or the first in its list. */
    private static function id(ResponseInterface $response): string
    {
        $answer = $response->toArray();
        $first = \is_array($answer['trees'] ?? null) ? $answer['trees'][0] ?? null : $answer[0] ?? null;
        $id = $answer['id'] ?? (\is_array($first) ? $first['id'] ?? null : null);
        self::assertIsString($id);

        return $id;
    }

    /** @return list<string> */
    private static function column(\PDO $database, string $query): array
    {
        $answer = $database->query($query);
        self::assertNotFalse($answer);

        return array_map(
            static fn (mixed $value): string => \is_scalar($value) ? (string) $value : '',
            array_values($answer->fetchAll(\PDO::FETCH_COLUMN)),
        );
    }
}
