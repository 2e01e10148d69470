<?php

declare(strict_types=1);

namespace App\Tests\Api;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/** Every address by everybody. An address nobody put into the list is a failure. */
final class AccessTest extends ApiTestCase
{
    /** Who gets in where; the address and the body are such that nothing but the person could be wrong. */
    private const WHO = [
        'openapi' => ['everybody', '/api/openapi.json'],
        'shell' => ['everybody', '/examine'],
        'app_running_health_health' => ['everybody', '/api/health'],
        'app_running_running_running' => ['instructors', '/api/running'],
        'app_account_session_session' => ['everybody', '/api/session'],
        'app_species_flora_floras' => ['people', '/api/floras'],
        'app_species_flora_flora' => ['people', '/api/flora'],
        'app_species_flora_terms' => ['people', '/api/terms'],
        'app_species_flora_taxon' => ['people', '/api/flora/taxa/taxus-baccata'],
        'app_account_session_preferences' => ['people', '/api/preferences', ['units' => 'metric']],
        'app_demo_day_day' => ['people', '/api/demo/day', ['day' => '2027-06-14']],
        'app_season_today_today' => ['people', '/api/today'],
        'app_trees_tree_sites' => ['people', '/api/sites'],
        'app_trees_tree_specimens' => ['people', '/api/specimens'],
        'app_trees_tree_specimen' => ['people', '/api/specimens/{tree}'],
        'app_trees_tree_tag' => ['people', '/api/specimens', ['tag' => 'Z-01', 'siteId' => '{site}']],
        'app_examine_treehistory_examinations' => ['people', '/api/specimens/{tree}/examinations'],
        'app_examine_examination_begin' => ['people', '/api/examinations', ['specimenId' => '{tree}', 'date' => '2027-06-14']],
        'app_species_review_sheet' => ['people', '/api/floras/central-european-hills/nevers'],
        'app_species_review_review' => ['instructors', '/api/floras/central-european-hills/nevers/taxus-baccata/strap/reviews', ['verdict' => 'agreed']],
        'app_harvest_harvest_take' => ['instructors', '/api/examinations/{examination}/harvests', ['amount' => 3, 'unit' => 'heads']],
        'app_examine_evidence__invoke' => ['the examiner', '/api/examinations/{examination}/evidence/sambucus-nigra/sambucus-ebulus'],
        'app_examine_examination_show' => ['the examiner', '/api/examinations/{examination}'],
        'app_examine_examination_change' => ['the examiner', '/api/examinations/{examination}', ['route' => 'bark-first']],
        'app_examine_examination_score' => ['the examiner', '/api/examinations/{examination}/scores', ['id' => '{random}', 'character' => 'leaf.kind', 'states' => ['pinnate']]],
        'app_examine_examination_takeback' => ['the examiner', '/api/examinations/{examination}/scores/{score}'],
        'app_examine_examination_restore' => ['the examiner', '/api/examinations/{examination}/scores/{score}/restore'],
        'app_examine_examination_reconsider' => ['the examiner', '/api/examinations/{examination}/reconsider', ['because' => 'It was another tree altogether.']],
        'app_examine_examination_sign' => ['the examiner', '/api/examinations/{examination}/sign'],
        'api_logout' => ['people', '/api/logout'],
        'api_login' => ['everybody', '/api/login', ['email' => 'tobias@orlebach.example', 'password' => \App\Demo\DemoSchool::PASSWORD]],
    ];
    private const PERSONS = ['' => ['everybody'], 'ida' => ['everybody', 'people'], 'jonas' => ['everybody', 'people', 'instructors'], 'marta' => ['everybody', 'people', 'instructors', 'the examiner']];

    public function testEveryAddressIsInTheList(): void
    {
        $router = self::getContainer()->get('router');
        self::assertInstanceOf(RouterInterface::class, $router);
        self::assertEqualsCanonicalizing(array_keys(self::WHO), array_keys($router->getRouteCollection()->all()), 'say in the list who gets in there');
    }

    /** @return iterable<string, array{string}> */
    public static function persons(): iterable
    {
        foreach (array_keys(self::PERSONS) as $person) {
            yield '' === $person ? 'a stranger' : $person => [$person];
        }
    }

    #[DataProvider('persons')]
    public function testEveryAddressBy(string $person): void
    {
        $router = self::getContainer()->get('router');
        self::assertInstanceOf(RouterInterface::class, $router);
        $this->signIn('marta');
        $site = self::at($this->call('GET', '/api/sites'), '0.id');
        $address = $this->begin('M-01');
        $score = self::at($this->call('POST', $address.'/scores', ['character' => 'leaf.kind', 'states' => ['pinnate']]), 'scores.0.id');
        self::assertIsString($site);
        self::assertIsString($score);
        $fill = ['{tree}' => $this->tree('M-01'), '{site}' => $site, '{examination}' => basename($address), '{score}' => $score, '{random}' => Uuid::v4()->toRfc4122()];
        $this->client->getCookieJar()->clear();
        if ('' !== $person) {
            $this->signIn($person);
        }
        foreach (self::WHO as $name => $entry) {
            $method = $router->getRouteCollection()->get($name)?->getMethods()[0] ?? 'GET';
            $body = isset($entry[2]) ? strtr(json_encode($entry[2], \JSON_THROW_ON_ERROR), $fill) : null;
            // not by the client, which would read the page of the application as HTML
            $answer = $this->client->getKernel()->handle(Request::create('http://localhost'.strtr($entry[1], $fill), $method, cookies: $this->client->getCookieJar()->allValues('http://localhost'), server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://localhost', 'HTTP_X_CSRF_TOKEN' => 'csrf-token'], content: $body));
            $told = \sprintf('%s %s by "%s": %d %s', $method, $entry[1], $person, $answer->getStatusCode(), substr((string) $answer->getContent(), 0, 200));
            if (\in_array($entry[0], self::PERSONS[$person], true)) {
                // 409: let in, though what is asked makes no sense of this tree; never 404 or 422, which would hide who is let in
                self::assertContains($answer->getStatusCode(), [200, 201, 204, 302, 409], $told);
            } else {
                self::assertSame('' === $person ? 401 : 403, $answer->getStatusCode(), $told);
            }
        }
    }
}
