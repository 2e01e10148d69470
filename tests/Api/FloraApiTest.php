<?php

declare(strict_types=1);

namespace App\Tests\Api;

use PHPUnit\Framework\Attributes\DataProvider;

/** Three floras: which one a person works with, and what hangs on it. */
final class FloraApiTest extends ApiTestCase
{
    public function testTheFlorasAreListedWithHowManyOfTheirKindsAreDangerous(): void
    {
        $this->signIn('ida');
        $floras = $this->call('GET', '/api/floras');
        self::assertSame(
            ['central-european-hills', 'eastern-north-america', 'south-western-north-america'],
            array_column($floras, 'name'),
        );
        foreach ($floras as $flora) {
            self::assertIsArray($flora);
            self::assertGreaterThan(10, $flora['dangerous']);
            self::assertGreaterThan($flora['dangerous'], $flora['taxa']);
        }
    }

    public function testWhoeverChoosesAFloraWorksWithItUntilTheyChooseAnother(): void
    {
        $this->signIn('senna');
        self::assertSame('central-european-hills', self::at($this->call('GET', '/api/flora'), 'name'));
        $session = $this->call('PUT', '/api/preferences', ['units' => 'imperial', 'flora' => 'eastern-north-america']);
        self::assertSame('eastern-north-america', self::at($session, 'user.flora'));
        self::assertSame('imperial', self::at($session, 'user.units'));
        self::assertSame('eastern-north-america', self::at($this->call('GET', '/api/flora'), 'name'));
        self::assertSame(
            'Diospyros virginiana',
            self::at($this->call('GET', '/api/flora/taxa/diospyros-virginiana'), 'name'),
        );
        // units alone leave the flora as it was
        self::assertSame(
            'eastern-north-america',
            self::at($this->call('PUT', '/api/preferences', ['units' => 'metric']), 'user.flora'),
        );
        $this->signIn('ida');
        self::assertSame(
            'central-european-hills',
            self::at($this->call('GET', '/api/flora'), 'name'),
            'it is nobody else’s choice',
        );
    }

    public function testKindsAreLaidSideBySideByWhatPartsThem(): void
    {
        $this->signIn('ida');
        $c = $this->call('GET', '/api/flora/compare?taxa=fagus-sylvatica,carpinus-betulus,ulmus-glabra&stage=young');
        self::assertSame('young', self::at($c, 'stage'));
        self::assertIsArray($c['taxa']);
        self::assertSame(
            ['fagus-sylvatica', 'carpinus-betulus', 'ulmus-glabra'],
            array_column($c['taxa'], 'taxon'),
            'in the order they were named',
        );
        self::assertIsArray($c['rows']);
        self::assertContains('leaf.margin', array_column(\array_slice($c['rows'], 0, 8), 'character'));
        foreach ($c['rows'] as $row) {
            self::assertIsArray($row);
            self::assertIsArray($row['sides']);
            self::assertCount(3, $row['sides']);
            self::assertGreaterThanOrEqual(
                2,
                \count(array_filter(array_column($row['sides'], 'times'), is_numeric(...))),
            );
        }
    }

    public function testATreeThatHarmsOnlyStockIsNotListedAsHarmless(): void
    {
        $this->signIn('ida');
        $taxa = self::at($this->call('GET', '/api/flora'), 'taxa');
        self::assertIsArray($taxa);
        $onlyStock = 0;
        foreach ($taxa as $taxon) {
            self::assertIsArray($taxon);
            self::assertIsArray($taxon['harms']);
            self::assertNotContains('harmless', array_column($taxon['harms'], 'severity'));
            self::assertTrue('harmless' === $taxon['severity'] || 'people' === self::at($taxon, 'harms.0.who'));
            $onlyStock += 'harmless' === $taxon['severity'] && [] !== $taxon['harms'] ? 1 : 0;
        }
        self::assertGreaterThan(0, $onlyStock);
    }

    #[DataProvider('unfitToCompare')]
    public function testWhatCannotBeLaidSideBySideIsNamed(string $query, int $status, string $told): void
    {
        $this->signIn('ida');
        self::assertProblem($status, $told, $this->call('GET', '/api/flora/compare?'.$query));
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function unfitToCompare(): iterable
    {
        yield 'nothing' => ['', 422, 'taxa'];
        yield 'one' => ['taxa=fagus-sylvatica', 422, 'two to four'];
        yield 'twice the same' => ['taxa=fagus-sylvatica,fagus-sylvatica', 422, 'different'];
        yield 'five' => ['taxa=a,b,c,d,e', 422, 'two to four'];
        yield 'an unknown kind' => ['taxa=fagus-sylvatica,fagus-orientalis', 404, 'fagus-orientalis'];
        yield 'an unknown flora' => ['taxa=fagus-sylvatica,ulmus-glabra&flora=atlantis', 404, 'atlantis'];
        yield 'an unknown age' => ['taxa=fagus-sylvatica,ulmus-glabra&stage=ancient', 422, 'stage'];
    }

    public function testAnyFloraCanBeReadByItsName(): void
    {
        $this->signIn('ida');
        self::assertSame(
            'Schinus molle',
            self::at($this->call('GET', '/api/flora/taxa/schinus-molle?flora=south-western-north-america'), 'name'),
        );
        self::assertProblem(
            404,
            'No taxon "schinus-molle" in this flora',
            $this->call('GET', '/api/flora/taxa/schinus-molle'),
        );
        self::assertCount(
            34,
            (array) self::at($this->call('GET', '/api/flora?flora=south-western-north-america'), 'taxa'),
        );
    }

    /** @return iterable<string, array{string}> */
    public static function nowhere(): iterable
    {
        yield 'a name there is none of' => ['atlantis'];
        yield 'a path out of the folder' => ['..%2F..%2Ftests%2FSupport%2Fstarter-flora'];
        yield 'nothing' => ['%20'];
    }

    #[DataProvider('nowhere')]
    public function testAFloraThatIsNotThereIsAProblem(string $name): void
    {
        $this->signIn('ida');
        self::assertProblem(404, 'There is no flora', $this->call('GET', '/api/flora?flora='.$name));
        self::assertProblem(
            404,
            'There is no flora',
            $this->call('GET', '/api/flora/taxa/taxus-baccata?flora='.$name),
        );
        $kept = $this->call('PUT', '/api/preferences', ['units' => 'imperial', 'flora' => urldecode($name)]);
        self::assertProblem(422, 'flora: There is no flora', $kept);
        self::assertSame('metric', self::at($this->call('GET', '/api/session'), 'user.units'), 'nothing half kept');
    }

    public function testAnExaminationKeepsTheFloraItWasBegunWith(): void
    {
        $this->signIn('marta');
        $this->call('PUT', '/api/preferences', ['units' => 'metric', 'flora' => 'eastern-north-america']);
        $address = $this->begin('M-02', ['claimTaxon' => 'castanea-dentata', 'claimPart' => 'nut']);
        $this->call('PUT', '/api/preferences', ['units' => 'metric', 'flora' => 'central-european-hills']);
        $answer = $this->score($address, [
            'leaf.margin' => ['bristle-teeth', 3],
            'leaf.arrangement' => ['alternate', 2],
        ]);
        self::assertSame('eastern-north-america', self::at($answer, 'flora'));
        self::assertSame('castanea-dentata', self::at($answer, 'claim.taxon'));
        $names = array_column((array) self::at($answer, 'assessment.ranking'), 'taxon');
        self::assertContains('castanea-dentata', $names);
        self::assertNotContains('castanea-sativa', $names);
        self::assertProblem(
            422,
            'No taxon "castanea-dentata"',
            $this->call('POST', '/api/examinations', [
                'specimenId' => $this->tree('M-02'),
                'date' => '2027-06-14',
                'claimTaxon' => 'castanea-dentata',
                'claimPart' => 'nut',
            ]),
        );
    }

    public function testASecondLookIsTakenWithTheFloraOfTheFirst(): void
    {
        $this->signIn('marta');
        $this->call('PUT', '/api/preferences', ['units' => 'metric', 'flora' => 'eastern-north-america']);
        $address = $this->begin('M-02', ['claimTaxon' => 'castanea-dentata', 'claimPart' => 'nut']);
        $this->score($address, ['leaf.margin' => ['bristle-teeth', 3]]);
        $this->call('POST', $address.'/sign');
        $this->call('PUT', '/api/preferences', ['units' => 'metric', 'flora' => 'central-european-hills']);
        $this->signIn('jonas');
        $second = $this->call('GET', $this->begin('M-02', ['secondOf' => basename($address)]));
        self::assertSame('eastern-north-america', self::at($second, 'flora'));
        self::assertNull(self::at($second, 'claim'), 'the hope stays covered');
    }

    public function testTheSpeciesPageSaysWhatMayStandBesideAndWhenATreeIsExamined(): void
    {
        $this->signIn('ida');
        $sap = self::at($this->call('GET', '/api/flora/taxa/acer-saccharum?flora=eastern-north-america'), 'parts.0');
        self::assertIsArray($sap);
        self::assertSame(
            ['sap', '10 February to 5 April', '1 July to 10 October'],
            [$sap['id'], $sap['window'], $sap['identified']],
        );
        $larch = $this->call('GET', '/api/flora/taxa/larix-decidua');
        foreach ((array) self::at($larch, 'parts.0.required') as $feature) {
            self::assertIsArray($feature);
            if ('leaf.bundle' === $feature['character']) {
                self::assertSame(['tuft'], array_column((array) $feature['states'], 'state'));
                self::assertSame(['one'], array_column((array) $feature['beside'], 'state'));
            }
        }
    }

    public function testWoodsStandSideBySideAndWhatIsNotKnownIsNotNought(): void
    {
        $this->signIn('vera');
        $woods = array_column($this->call('GET', '/api/woods'), null, 'taxon');
        self::assertContains('fuel', (array) self::at($woods, 'fagus-sylvatica.uses'));
        // locust is given as 1 to 2: a post does not choose
        self::assertSame(2, self::at($woods, 'robinia-pseudoacacia.decayClass'));
        self::assertSame(2, self::at($woods, 'quercus-robur.decayClass'));
        self::assertGreaterThan(600, self::at($woods, 'fagus-sylvatica.densityLeast'));
        self::assertArrayNotHasKey('taxus-baccata', $woods, 'nothing is taken of it');
        foreach ($woods as $wood) {
            self::assertIsArray($wood);
            self::assertNotSame([], $wood['uses']);
            self::assertNotSame(0.0, $wood['heatLeast']);
        }
    }
}
