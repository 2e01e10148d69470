<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Uid\Uuid;

/**
 * Requests made up from the description of the API, half of them as it says and half against it: no server error, and
 * every error is problem details. HYLO_REQUESTS=5000 and HYLO_SEED=… make more of them.
 */
final class GeneratedRequestsTest extends ApiTestCase
{
    private const EVIL = [
        null,
        '',
        ' ',
        "\u{0}",
        '../../etc/passwd',
        '<b>',
        -1,
        0,
        1e308,
        99999999999,
        0.1,
        true,
        false,
        [],
        [null],
        [[]],
        ['a' => 'b'],
        "\u{202e}x",
        '2027-06-14',
        '7',
        'always',
        'leaf.kind',
        'simple',
    ];
    private const IN_PATHS = [
        'none',
        '0',
        '%00',
        '%ff',
        '..%2f..',
        'a%20b',
        'caf%C3%A9',
        '01900000-0000-7000-8000-000000000000',
        'sambucus-nigra',
        'central-european-hills',
    ];

    private Randomizer $random;
    /** @var array<mixed> */
    private array $schemas;
    /** Whether this request goes against the description. */
    private bool $evil = false;
    /** @var list<string> ids that are there */
    private array $ids;

    public function testNoRequestEndsInAServerError(): void
    {
        $api = json_decode(
            (string) file_get_contents(\dirname(__DIR__, 2).'/frontend/openapi.json'),
            true,
            flags: \JSON_THROW_ON_ERROR,
        );
        self::assertIsArray($api);
        $this->schemas = (array) self::at($api, 'components.schemas');
        $this->random = new Randomizer(new Xoshiro256StarStar(self::setting('HYLO_SEED', 11)));
        $this->signIn('marta');
        $address = $this->begin('M-01');
        $site = self::at($this->call('GET', '/api/sites'), '0.id');
        self::assertIsString($site);
        $this->ids = [basename($address), $this->tree('M-01'), $this->tree('L-03'), $site];
        $operations = [];
        foreach ((array) self::at($api, 'paths') as $path => $methods) {
            foreach ((array) $methods as $method => $operation) {
                if (
                    \is_array($operation)
                    && \in_array($method, ['get', 'post', 'put', 'patch', 'delete'], true)
                    && !str_contains((string) $path, 'log')
                    && !str_contains((string) $path, 'sessions/end')
                    && !str_contains((string) $path, 'demo/day')
                ) {
                    // What takes a body has more that can go wrong.
                    array_push(
                        $operations,
                        ...array_fill(0, isset($operation['requestBody']) ? 4 : 1, [
                            (string) $path,
                            strtoupper($method),
                            $operation,
                        ]),
                    );
                }
            }
        }
        $requests = self::setting('HYLO_REQUESTS', 500);
        $answers = [];
        for ($i = 0; $i < $requests; ++$i) {
            [$path, $method, $operation] = $this->one($operations);
            $this->evil = 0 === $i % 2;
            // Mostly what is there, so that the body counts; the one examination is not signed, or no write would reach
            // it afterwards.
            $there = match (true) {
                str_contains($path, '/specimens/') => $this->ids[1],
                str_contains($path, '/sites/') => $this->ids[3],
                default => $this->ids[0],
            };
            $path = (string) preg_replace_callback(
                '/\{(\w+)\}/',
                fn (array $m): string => 'id' === $m[1]
                && !str_ends_with($path, '/sign')
                && 0 !== $this->random->getInt(0, 4)
                    ? $there
                    : $this->one([...\array_slice($this->ids, 1), ...self::IN_PATHS]),
                $path,
            );
            $query = 0 === $this->random->getInt(0, 4) ? '?flora='.$this->one(self::IN_PATHS) : '';
            $body = isset($operation['requestBody']) ? $this->sent($operation['requestBody']) : null;
            if (0 === $this->random->getInt(0, 19)) {
                $body = $this->one(['', '{', '[]', 'null', '"x"', '{"a":1e999}', "\xff", str_repeat('[', 600)]);
            }
            $this->client->request(
                $method,
                $path.$query,
                server: [
                    'CONTENT_TYPE' => 'application/json',
                    'HTTP_ACCEPT' => 'application/json',
                    'HTTP_ORIGIN' => 'http://localhost',
                    'HTTP_X_CSRF_TOKEN' => 'csrf-token',
                ],
                content: false === $body ? null : $body,
            );
            $answer = $this->client->getResponse();
            $told =
                $method.
                ' '.
                $path.
                $query.
                ' '.
                substr((string) $body, 0, 400).
                ' → '.
                $answer->getStatusCode().
                ' '.
                substr((string) $answer->getContent(), 0, 300);
            self::assertLessThan(500, $answer->getStatusCode(), $told);
            if ($answer->getStatusCode() >= 400) {
                self::assertSame('application/problem+json', $answer->headers->get('Content-Type'), $told);
                self::assertJson((string) $answer->getContent(), $told);
            }
            $answers[intdiv($answer->getStatusCode(), 100)] =
                ($answers[intdiv($answer->getStatusCode(), 100)] ?? 0) + 1;
        }
        self::assertGreaterThan($requests / 10, $answers[2] ?? 0, 'some of them have to get through');
        self::assertGreaterThan($requests / 10, $answers[4] ?? 0);
    }

    private static function setting(string $name, int $otherwise): int
    {
        $set = getenv($name);

        return \is_string($set) ? (int) $set : $otherwise;
    }

    private function sent(mixed $description): string|false
    {
        self::assertIsArray($description);

        return isset(((array) $description['content'])['application/json'])
            ? json_encode($this->body($description), \JSON_PARTIAL_OUTPUT_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE)
            : $this->one([
                "\xFF\xD8\xFF\xE0 no picture",
                '%PDF-1.4 no paper',
                "PK\x03\x04 no archive",
                '{"type": "FeatureCollection", "features": [{"type": "Feature", "geometry": {"type": "Point", '.
                    '"coordinates": [15.31, 47.12]}, "properties": {"tag": "G-01"}}]}',
                '{"type": "Feature", "geometry": null}',
                '<gpx xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="47.1" '.
                    'lon="15.3"><name>G-02</name></wpt></gpx>',
                "tag,place\r\nG-03,Mill meadow\r\nM-01,\r\n",
                "id,tag,examiner,date,flora,signed_at\r\nx,M-01,Marta Ellinger,2027-01-01,central-european-hills,now\r\n",
                '',
                str_repeat("\x00", 40),
            ]);
    }

    private function body(mixed $description): mixed
    {
        self::assertIsArray($description);
        $body = $this->made(self::at($description, 'content.application/json.schema'), 'body');

        // One thing at a time goes against the description: with more of them the first alone is ever looked at.
        return $this->evil ? $this->spoilt($body) : $body;
    }

    private function made(mixed $schema, string $name): mixed
    {
        self::assertIsArray($schema);
        if (\is_string($schema['$ref'] ?? null)) {
            return $this->made($this->schemas[basename($schema['$ref'])] ?? null, $name);
        }
        if (isset($schema['oneOf'])) {
            return $this->made($this->one(array_values((array) $schema['oneOf'])), $name);
        }
        if (isset($schema['enum'])) {
            return $this->one(array_values((array) $schema['enum']));
        }
        $type = \is_array($schema['type'] ?? null)
            ? $this->one(array_values($schema['type']))
            : $schema['type'] ?? 'object';

        return match ($type) {
            'object' => $this->object($schema, $name),
            'array' => array_map(
                fn (): mixed => $this->made($schema['items'] ?? ['type' => 'string'], $name),
                array_fill(0, $this->random->getInt(0, 3), 0),
            ),
            'integer' => $this->one([1, 2, 70]),
            'number' => $this->one([0.5, 3, 12.25]),
            'boolean' => $this->one([true, false]),
            'null' => null,
            default => $this->one(
                match ($name) {
                    'id' => [Uuid::v4()->toRfc4122()],
                    'specimenId', 'secondOf', 'siteId' => $this->ids,
                    'date' => ['2027-06-14', '2027-06-10'],
                    'character' => ['leaf.kind', 'leaf.kind', 'leaf.leaflet-count'],
                    'states' => ['pinnate', 'simple'],
                    'reach' => ['ground', 'hand'],
                    'kit' => ['rule', 'knife'],
                    'route' => ['bark-first'],
                    'claimTaxon' => ['sambucus-nigra'],
                    'claimPart' => ['flower', 'fruit'],
                    'tag' => ['K-1'.$this->random->getInt(0, 99)],
                    default => ['Seen at noon.', 'two looks at it'],
                },
            ),
        };
    }

    /**
     * @param array<mixed> $schema
     *
     * @return array<mixed>
     */
    private function object(array $schema, string $name): array
    {
        $made =
            isset($schema['additionalProperties']) && 0 === $this->random->getInt(0, 1)
                ? ['ripe' => $this->made(['type' => 'boolean'], $name)]
                : [];
        foreach ((array) ($schema['properties'] ?? []) as $key => $property) {
            if (\in_array($key, (array) ($schema['required'] ?? []), true) || 0 === $this->random->getInt(0, 2)) {
                $made[(string) $key] = $this->made($property, (string) $key);
            }
        }

        return $made;
    }

    private function spoilt(mixed $body): mixed
    {
        if (!\is_array($body) || 0 === $this->random->getInt(0, 3)) {
            return $this->one(self::EVIL);
        }
        $key =
            [] === $body
                ? 'unheard-of'
                : $this->one([...array_keys($body), ...array_keys($body), ...array_keys($body), 'unheard-of', 0]);
        if (0 === $this->random->getInt(0, 19)) {
            unset($body[$key]);
        } else {
            $body[$key] = $this->spoilt($body[$key] ?? null);
        }

        return $body;
    }

    /**
     * @template T
     *
     * @param list<T> $of
     *
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, \count($of) - 1)];
    }
}
