<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Symfony\Component\HttpFoundation\Request;

final class SessionApiTest extends ApiTestCase
{
    public function testWithoutASessionNothingIsGivenAway(): void
    {
        foreach (
            ['/api/today', '/api/flora', '/api/specimens', '/api/examinations/01900000-0000-7000-8000-000000000000'] as $path
        ) {
            self::assertProblem(401, 'Sign in first.', $this->call('GET', $path));
        }
        self::assertNull(self::at($this->call('GET', '/api/session'), 'user'));
        self::assertCount(6, (array) self::at($this->call('GET', '/api/session'), 'demoAccounts'));
    }

    public function testAWrongPasswordIsRefusedAndTriesAreThrottled(): void
    {
        $email = 'nobody-'.bin2hex(random_bytes(6)).'@orlebach.example';
        for ($try = 0; $try < 8; ++$try) {
            self::assertProblem(
                401,
                'Invalid credentials',
                $this->call('POST', '/api/login', ['email' => $email, 'password' => 'wrong']),
            );
        }
        self::assertProblem(
            401,
            'Too many failed login attempts',
            $this->call('POST', '/api/login', ['email' => $email, 'password' => 'wrong']),
        );
    }

    public function testAWritingRequestFromElsewhereIsRefused(): void
    {
        $this->signIn('marta');
        foreach (
            [
                ['HTTP_SEC_FETCH_SITE' => 'cross-site', 'HTTP_X_CSRF_TOKEN' => 'csrf-token'],
                [
                    'HTTP_ORIGIN' => 'https://elsewhere.example',
                    'HTTP_REFERER' => 'https://elsewhere.example/',
                    'HTTP_X_CSRF_TOKEN' => 'csrf-token',
                ],
                ['HTTP_ORIGIN' => 'http://localhost'],
            ] as $headers
        ) {
            $this->client->request(
                'PUT',
                '/api/preferences',
                server: $headers + ['CONTENT_TYPE' => 'application/json'],
                content: '{"units":"imperial"}',
            );
            self::assertResponseStatusCodeSame(403);
        }
        self::assertSame('metric', self::at($this->call('GET', '/api/session'), 'user.units'));
    }

    public function testPreferencesAndTheDemoDayAreKept(): void
    {
        $this->signIn('marta');
        self::assertSame(
            'imperial',
            self::at($this->call('PUT', '/api/preferences', ['units' => 'imperial']), 'user.units'),
        );
        self::assertSame('2027-10-03', self::at($this->call('PUT', '/api/demo/day', ['day' => '2027-10-03']), 'today'));
        self::assertSame('2027-10-03', self::at($this->call('GET', '/api/today'), 'today'));
        self::assertSame(
            '19.4 oz',
            self::at($this->call('GET', '/api/flora/taxa/robinia-pseudoacacia'), 'harvests.0.amount'),
        );
        self::assertProblem(422, 'units', $this->call('PUT', '/api/preferences', ['units' => 'cubits']));
    }

    public function testEveryAnswerCarriesTheSecurityHeaders(): void
    {
        foreach (['/', '/api/session', '/api/nothing'] as $path) {
            $response = self::getContainer()->get('kernel')->handle(Request::create($path));
            self::assertStringContainsString(
                "script-src 'self';",
                (string) $response->headers->get('Content-Security-Policy'),
            );
            self::assertStringContainsString(
                "frame-ancestors 'none'",
                (string) $response->headers->get('Content-Security-Policy'),
            );
            self::assertSame('nosniff', $response->headers->get('X-Content-Type-Options'));
            self::assertSame('no-referrer', $response->headers->get('Referrer-Policy'));
            self::assertStringNotContainsString('<script>', (string) $response->getContent());
        }
    }

    public function testTheGlossaryAndTheSpeciesPageSayWhatTheFloraSays(): void
    {
        $this->signIn('ida');
        self::assertSame('acorn', self::at($this->call('GET', '/api/terms'), '0.term'));
        $beech = $this->call('GET', '/api/flora/taxa/fagus-sylvatica');
        self::assertSame('40–60', self::at($beech, 'figures.0.range'));
        self::assertNotEmpty(self::at($beech, 'parts.0.yield'));
        self::assertSame(
            ['quercus-robur', 'quercus-petraea'],
            self::at($this->call('GET', '/api/flora/taxa/quercus-rosacea'), 'parents'),
        );
    }

    public function testWhatIsNotThereIsAProblemToo(): void
    {
        $this->signIn('marta');
        self::assertProblem(404, 'There is nothing at this address', $this->call('GET', '/api/nothing'));
        self::assertProblem(404, 'No taxon "quercus" in this flora', $this->call('GET', '/api/flora/taxa/quercus'));
        self::assertProblem(405, '', $this->call('DELETE', '/api/today'));
    }

    public function testATagIsTakenOnce(): void
    {
        $this->signIn('marta');
        $sites = $this->call('GET', '/api/sites');
        $site = self::at($sites, '0.id');
        self::assertSame(
            'T-77',
            self::at($this->call('POST', '/api/specimens', ['tag' => ' T-77 ', 'siteId' => $site]), 'tag'),
        );
        self::assertProblem(
            422,
            'tag: The tag T-77 is taken',
            $this->call('POST', '/api/specimens', ['tag' => 'T-77', 'siteId' => $site]),
        );
        self::assertProblem(
            422,
            'tag: Give the tree a tag',
            $this->call('POST', '/api/specimens', ['tag' => '', 'siteId' => $site]),
        );
        self::assertProblem(
            422,
            'siteId: There is no such site',
            $this->call('POST', '/api/specimens', ['tag' => 'T-78', 'siteId' => 'x']),
        );
    }
}
