<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Account\UserRepository;
use App\Demo\DemoSchool;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\Uid\Uuid;

/** Talks to the API of the demo school as the pages do. */
abstract class ApiTestCase extends WebTestCase
{
    protected KernelBrowser $client;

    protected function setUp(): void
    {
        $this->client = self::createClient();
        $this->client->disableReboot();
        $this->client->useHtml5Parser(false); // nothing here reads HTML
        $guesses = self::getContainer()->get('cache.rate_limiter');
        self::assertInstanceOf(CacheItemPoolInterface::class, $guesses);
        $guesses->clear(); // of the tests before
    }

    protected function signIn(string $who): void
    {
        $this->call('POST', '/api/login', ['email' => $who.'@orlebach.example', 'password' => DemoSchool::PASSWORD]);
        self::assertResponseStatusCodeSame(200);
    }

    /**
     * @param array<string, mixed>|null $body
     *
     * @return array<mixed>
     */
    protected function call(string $method, string $path, ?array $body = null): array
    {
        if ('POST' === $method && str_ends_with($path, '/scores')) {
            $body = ($body ?? []) + ['id' => Uuid::v4()->toRfc4122()];
        }
        $this->client->request(
            $method,
            $path,
            server: [
                'CONTENT_TYPE' => 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_X_CSRF_TOKEN' => 'csrf-token',
            ],
            content: null === $body ? null : json_encode($body, \JSON_THROW_ON_ERROR),
        );
        $content = (string) $this->client->getResponse()->getContent();
        $decoded = '' === $content ? [] : json_decode($content, true, flags: \JSON_THROW_ON_ERROR);
        self::assertIsArray($decoded);

        return $decoded;
    }

    /** @param array<mixed> $problem */
    protected static function assertProblem(int $status, string $detail, array $problem): void
    {
        self::assertResponseStatusCodeSame($status);
        self::assertResponseHeaderSame('Content-Type', 'application/problem+json');
        self::assertSame($status, $problem['status'] ?? null);
        self::assertIsString($problem['detail'] ?? null);
        self::assertStringContainsString($detail, $problem['detail']);
    }

    /**
     * What stands at a dotted path in an answer.
     *
     * @param array<mixed> $answer
     */
    protected static function at(array $answer, string $path): mixed
    {
        $value = $answer;
        foreach (explode('.', $path) as $key) {
            self::assertIsArray($value, $path);
            self::assertArrayHasKey($key, $value, $path);
            $value = $value[$key];
        }

        return $value;
    }

    /** @param array<mixed> $answer */
    protected static function text(array $answer, string $path): string
    {
        $text = self::at($answer, $path);
        self::assertIsString($text, $path);

        return $text;
    }

    /** @return string the id of somebody of the demo, by the first part of the address they sign in with */
    protected function person(string $who): string
    {
        $person = self::getContainer()
            ->get(UserRepository::class)
            ->findOneBy(['email' => $who.'@orlebach.example']);

        return $person->id ?? self::fail('Nobody signs in as '.$who);
    }

    protected function site(string $name): string
    {
        $id = array_column($this->call('GET', '/api/sites'), 'id', 'name')[$name] ?? null;

        return \is_string($id) ? $id : self::fail('No such place.');
    }

    protected function tree(string $tag): string
    {
        $page = $this->call('GET', '/api/specimens?q='.$tag);
        foreach (\is_array($page['trees'] ?? null) ? $page['trees'] : [] as $specimen) {
            if (\is_array($specimen) && $tag === $specimen['tag'] && \is_string($specimen['id'])) {
                return $specimen['id'];
            }
        }
        self::fail('No tree '.$tag);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return string the examination's address
     */
    protected function begin(string $tag, array $more = []): string
    {
        $examination = $this->call(
            'POST',
            '/api/examinations',
            $more + ['specimenId' => $this->tree($tag), 'date' => '2027-06-14'],
        );
        self::assertResponseStatusCodeSame(200);
        $id = self::at($examination, 'id');
        self::assertIsString($id);

        return '/api/examinations/'.$id;
    }

    /**
     * @param array<string, array{0: string|list<int|float>, 1?: int}> $scores
     *
     * @return array<mixed> the examination after the last score
     */
    protected function score(string $address, array $scores): array
    {
        $answer = [];
        foreach ($scores as $character => $score) {
            $answer = $this->call(
                'POST',
                $address.'/scores',
                ['character' => $character, 'samples' => $score[1] ?? 1] +
                    (\is_string($score[0]) ? ['states' => [$score[0]]] : ['numbers' => $score[0]]),
            );
            self::assertResponseStatusCodeSame(200);
        }

        return $answer;
    }

    /**
     * Records of a station, as a file.
     *
     * @return array<mixed>
     */
    protected function bring(string $site, string $file, string $query = ''): array
    {
        $this->client->request(
            'POST',
            '/api/sites/'.$site.'/weather'.$query,
            server: [
                'CONTENT_TYPE' => 'application/octet-stream',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_X_CSRF_TOKEN' => 'csrf-token',
            ],
            content: $file,
        );
        self::assertResponseStatusCodeSame(200);
        $answer = json_decode((string) $this->client->getResponse()->getContent(), true);
        self::assertIsArray($answer);

        return $answer;
    }
}
