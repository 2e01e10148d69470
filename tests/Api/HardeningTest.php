<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Account\PeopleProvider;
use App\Account\Role;
use App\Account\SessionExpiryListener;
use App\Account\User;
use App\Account\UserRepository;
use App\Library\FloraLibrary;
use App\Running\Health;
use App\Storage\DatabaseSize;
use App\Storage\SqliteMiddleware;
use App\Storage\StoredMeanwhile;
use App\Storage\Transaction;
use App\Trees\Site;
use App\Trees\Specimen;
use App\Web\SecurityHeadersListener;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Doctrine\Migrations\DependencyFactory;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Tools\SchemaValidator;
use PHPUnit\Framework\Attributes\DataProvider;
use Psr\Cache\CacheItemPoolInterface;
use Psr\Log\NullLogger;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;

/** What was found by attack on the running application, each with the test that fails without the fix. */
final class HardeningTest extends ApiTestCase
{
    public function testTheDemoDoesNotTouchSomebodysOwnSchool(): void
    {
        $entities = self::getContainer()->get(EntityManagerInterface::class);
        $entities->persist(new User('her.own@school.example', 'Her Own', Role::Instructor));
        $entities->flush();
        $run = new CommandTester((new Application(self::bootedKernel()))->find('hylognosis:demo'));
        self::assertSame(Command::INVALID, $run->execute(['--fresh' => true]));
        self::assertSame(7, $entities->getRepository(User::class)->count());
    }

    /** @return iterable<string, array{string}> */
    public static function spellings(): iterable
    {
        yield 'plain' => ['/api/preferences'];
        yield 'one letter written as a number' => ['/%61pi/preferences'];
        yield 'all of them' => ['/%61%70%69/preferences'];
    }

    #[DataProvider('spellings')]
    public function testAForeignPageWritesNothingHoweverTheAddressIsSpelled(string $path): void
    {
        $this->signIn('marta');
        $this->client->request(
            'PUT',
            $path,
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_SEC_FETCH_SITE' => 'cross-site'],
            content: '{"units":"imperial"}',
        );
        self::assertResponseStatusCodeSame(403);
        self::assertResponseHeaderSame('Content-Type', 'application/problem+json');
        self::assertSame('metric', self::at($this->call('GET', '/api/session'), 'user.units'));
    }

    public function testALongNameIsNoSearch(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $long = str_repeat('a', 100_000);
        self::assertProblem(
            422,
            'character',
            $this->call('POST', $address.'/scores', ['character' => $long, 'states' => ['x']]),
        );
        self::assertProblem(
            422,
            'states',
            $this->call('POST', $address.'/scores', ['character' => 'leaf.kind', 'states' => [$long]]),
        );
        self::assertProblem(
            422,
            'claimTaxon',
            $this->call('PATCH', $address, ['claimTaxon' => $long, 'claimPart' => 'fruit']),
        );
    }

    public function testAnExaminationTakesSoManyScores(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $database = self::getContainer()->get(Connection::class);
        $id = basename($address);
        $this->call('POST', $address.'/scores', ['character' => 'leaf.kind', 'states' => ['pinnate']]);
        for ($i = 0; $i < 249; ++$i) {
            $row = $database->fetchAssociative('SELECT * FROM score WHERE examination_id = ? LIMIT 1', [$id]);
            self::assertIsArray($row);
            $database->insert('score', ['id' => \sprintf('01900000-0000-7000-8000-%012d', $i)] + $row, [
                'one_of' => 'boolean',
                'further' => 'boolean',
            ]);
        }
        self::getContainer()->get(EntityManagerInterface::class)->clear();
        self::assertProblem(
            409,
            'So many scores',
            $this->call('POST', $address.'/scores', ['character' => 'leaf.margin', 'states' => ['smooth']]),
        );
    }

    public function testAStrangerLeavesNoSession(): void
    {
        $this->client->request('GET', '/api/today', server: ['HTTP_ACCEPT' => 'application/json']);
        self::assertResponseStatusCodeSame(401);
        self::assertSame([], $this->client->getResponse()->headers->getCookies());
    }

    public function testASignInThatIsNoJsonIsNoSignIn(): void
    {
        $this->client->request(
            'POST',
            '/api/login',
            ['email' => 'marta@orlebach.example', 'password' => 'x'],
            server: ['HTTP_ORIGIN' => 'http://localhost', 'HTTP_X_CSRF_TOKEN' => 'csrf-token'],
        );
        self::assertResponseStatusCodeSame(415);
    }

    public function testTwoSpellingsAreNoTwoPeople(): void
    {
        $this->call('POST', '/api/login', [
            'email' => ' MARTA@Orlebach.example',
            'password' => \App\Demo\DemoSchool::PASSWORD,
        ]);
        self::assertResponseStatusCodeSame(200);
        self::assertSame(User::normalised("jose\u{301}@x.example"), User::normalised("JOS\u{c9}@x.example"));
    }

    protected function tearDown(): void
    {
        $counters = self::getContainer()->get('cache.rate_limiter');
        self::assertInstanceOf(CacheItemPoolInterface::class, $counters);
        $counters->clear();
        parent::tearDown();
    }

    public function testGuessesAtOneAccountAreCountedFromWhereverTheyCome(): void
    {
        $guess = fn (int $from): string => (function () use ($from): string {
            $this->client->request(
                'POST',
                '/api/login',
                server: [
                    'REMOTE_ADDR' => '10.0.0.'.$from,
                    'CONTENT_TYPE' => 'application/json',
                    'HTTP_ORIGIN' => 'http://localhost',
                    'HTTP_X_CSRF_TOKEN' => 'csrf-token',
                ],
                content: '{"email":"ida@orlebach.example","password":"no"}',
            );

            return (string) $this->client->getResponse()->getContent();
        })();
        for ($i = 1; $i <= 8; ++$i) {
            self::assertStringContainsString('Invalid credentials', $guess($i));
        }
        self::assertStringContainsString('Too many failed login attempts', $guess(9));
        self::assertStringContainsString(
            'Invalid credentials',
            (function (): string {
                $this->call('POST', '/api/login', ['email' => 'tobias@orlebach.example', 'password' => 'no']);

                return (string) $this->client->getResponse()->getContent();
            })(),
            'the others behind the same address still sign in',
        );
    }

    public function testSomebodyUnknownTakesAsLongAsSomebodyKnown(): void
    {
        $hasher = $this->createMock(PasswordHasherInterface::class);
        $hasher->expects(self::once())->method('hash');
        $hashers = self::createStub(PasswordHasherFactoryInterface::class);
        $hashers->method('getPasswordHasher')->willReturn($hasher);
        $this->expectException(UserNotFoundException::class);
        (new PeopleProvider(self::getContainer()->get(UserRepository::class), $hashers))->loadUserByIdentifier(
            'nobody@orlebach.example',
        );
    }

    public function testASessionEnds(): void
    {
        $clock = new MockClock();
        $listener = new SessionExpiryListener($clock);
        $used = static function () use ($listener): bool {
            $session = new Session(new MockArraySessionStorage());
            $session->start();
            $session->set('who', 'marta');
            $request = Request::create('/api/today', cookies: [$session->getName() => 'x']);
            $request->setSession($session);
            $listener->onRequest(new RequestEvent(self::bootedKernel(), $request, HttpKernelInterface::MAIN_REQUEST));

            return $session->has('who');
        };
        self::assertTrue($used());
        $clock->modify('+13 hours');
        self::assertFalse($used());
    }

    public function testTagsLookLikeWhatTheyAre(): void
    {
        $this->signIn('marta');
        $site = self::at($this->call('GET', '/api/sites'), '0.id');
        foreach (["\u{202e}10-K", "K-\u{200b}01", "\u{2800}", "\u{a0}", "K\u{0}1"] as $tag) {
            self::assertProblem(422, 'tag', $this->call('POST', '/api/specimens', ['tag' => $tag, 'siteId' => $site]));
        }
        $this->call('POST', '/api/specimens', ['tag' => 'Ä-07', 'siteId' => $site]);
        self::assertResponseStatusCodeSame(200);
    }

    public function testWhatIsPrivateIsKeptNowhere(): void
    {
        $this->signIn('marta');
        foreach (['/api/today', '/api/specimens', '/api/session'] as $path) {
            $this->call('GET', $path);
            self::assertStringContainsString(
                'no-store',
                (string) $this->client->getResponse()->headers->get('Cache-Control'),
                $path,
            );
            self::assertFalse($this->client->getResponse()->headers->has('Strict-Transport-Security'));
        }
        $this->client->request('GET', 'https://localhost/api/session');
        self::assertStringContainsString(
            'max-age=',
            (string) $this->client->getResponse()->headers->get('Strict-Transport-Security'),
        );
    }

    public function testACommitOutlivesAPowerCut(): void
    {
        $database = self::getContainer()->get(Connection::class);
        $database->getDatabasePlatform() instanceof SQLitePlatform
            ? self::assertEquals(
                2,
                $database->fetchOne('PRAGMA synchronous'),
                'FULL, set by '.SqliteMiddleware::class,
            )
            : self::assertSame('on', $database->fetchOne('SHOW synchronous_commit'));
    }

    public function testTheDatabaseIsWhatTheMappingSays(): void
    {
        self::assertSame(
            [],
            array_diff(
                (new SchemaValidator(self::getContainer()->get(EntityManagerInterface::class)))->getUpdateSchemaList(),
                ['DROP TABLE doctrine_migration_versions'],
            ),
        );
    }

    /** On a database that lets several write at once, the one who comes second is told so. */
    public function testTheSameStoredTwiceInOneMomentIsToldAndNotBroken(): void
    {
        $this->expectException(StoredMeanwhile::class);
        self::getContainer()
            ->get(Transaction::class)
            ->run(static function (EntityManagerInterface $entities): void {
                $site = $entities->getRepository(Site::class)->findOneBy([]);
                self::assertNotNull($site);
                foreach ([1, 2] as $_) {
                    $entities->persist(new Specimen('Z-99', $site, '', new \DateTimeImmutable('2027-06-14')));
                }
            });
    }

    public function testHealthSaysWhatIsWrong(): void
    {
        self::assertSame([], self::getContainer()->get(Health::class)->troubles());
        $migrations = self::getContainer()->get('doctrine.migrations.dependency_factory');
        self::assertInstanceOf(DependencyFactory::class, $migrations);
        $full = new Health(
            self::getContainer()->get(Connection::class),
            $migrations,
            self::getContainer()->get(DatabaseSize::class),
            self::getContainer()->get(FloraLibrary::class),
            new NullLogger(),
            __DIR__,
            \PHP_INT_MAX,
        );
        self::assertStringContainsString('nearly full', implode(' ', $full->troubles()));
        self::getContainer()->get(Connection::class)->executeStatement('DELETE FROM doctrine_migration_versions');
        self::assertProblem(503, 'not of this version', $this->call('GET', '/api/health'));
    }

    private static function bootedKernel(): \Symfony\Component\HttpKernel\KernelInterface
    {
        return self::$kernel ?? self::bootKernel();
    }

    public function testNginxSendsWithFilesWhatTheApplicationSendsWithAnswers(): void
    {
        preg_match_all(
            '/^add_header (\S+) "(.*)" always;$/m',
            (string) file_get_contents(\dirname(__DIR__, 2).'/deploy/headers.conf'),
            $lines,
        );
        $this->client->request('GET', 'https://localhost/api/session');
        $sent = array_map(fn (string $name): ?string => $this->client->getResponse()->headers->get($name), $lines[1]);
        self::assertSame($lines[2], $sent);
        self::assertEqualsCanonicalizing(
            [...array_keys(SecurityHeadersListener::HEADERS), 'Strict-Transport-Security'],
            $lines[1],
        );
    }
}
