<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Learning\PracticeCode;
use App\Learning\PracticeLot;
use App\Tests\Support\Starter;
use Symfony\Component\Uid\Uuid;

/** Who is trusted with what: earned on record, granted by an instructor, gone at once. */
final class TrustApiTest extends ApiTestCase
{
    private const ELDER = ['taxon' => 'sambucus-nigra', 'part' => 'flower'];

    public function testTheDemoHasOneEarnedOnRealLooksAndOneWithdrawn(): void
    {
        $this->signIn('marta');
        $page = $this->call('GET', '/api/trust');
        self::assertTrue($page['mayGrant']);
        self::assertSame([true, false], array_column(self::list($page, 'grants'), 'holds'), 'what holds comes first');
        self::assertSame(
            ['trap-seen' => 2, 'agreed' => 2, 'look-alike-known' => 3],
            array_count_values(
                array_map(strval(...), array_filter(array_column(self::list(self::list($page, 'grants')[0], 'evidence'), 'outcome'), is_string(...))),
            ),
        );
        $of = static fn (string $taxon): array => array_column(
            array_filter(self::list($page, 'standings'), static fn (array $s): bool => $taxon === $s['taxon']),
            null,
            'name',
        );
        self::assertTrue($of('cornus-mas')['Ida Lenz']['isTrusted'] ?? false);
        self::assertFalse($of('sambucus-nigra')['Ida Lenz']['isTrusted'] ?? true, 'of another part nothing follows');
        self::assertGreaterThan(0, $of('sambucus-nigra')['Tobias Rauth']['wrong'] ?? 0);
        self::assertFalse($of('sambucus-nigra')['Tobias Rauth']['isEarned'] ?? true);
        $this->signIn('senna');
        $own = $this->call('GET', '/api/trust');
        self::assertFalse($own['mayGrant']);
        self::assertSame([], $own['grants'], 'of others nothing is told');
        self::assertNotContains('Ida Lenz', array_column(self::list($own, 'standings'), 'name'));
    }

    public function testNothingIsGrantedThatIsNotEarned(): void
    {
        $this->signIn('marta');
        foreach ([['senna', 'sambucus-nigra', 'flower', 409], ['ida', 'cornus-mas', 'fruit', 409],
            ['senna', 'tilia-cordata', 'flower', 422], ['jonas', 'sambucus-nigra', 'flower', 422],
        ] as [$who, $taxon, $part, $code]) {
            $this->call('POST', '/api/trust', [
                'id' => Uuid::v4()->toRfc4122(),
                'learner' => $this->person($who),
                'taxon' => $taxon,
                'part' => $part,
            ]);
            self::assertResponseStatusCodeSame($code, "$who, $taxon");
        }
        $this->call('PUT', '/api/trust/rules', ['taxon' => 'taxus-baccata', 'part' => 'wood', 'looks' => 0]);
        self::assertResponseStatusCodeSame(422);
    }

    public function testATrustedLearnerClearsAloneTakesAndLosesItAtOnce(): void
    {
        $grant = $this->trusted();
        $this->signIn('ida');
        $id = $this->elder('M-06');
        $signed = $this->call('POST', "/api/examinations/$id/sign");
        self::assertSame('cleared', self::text($signed, 'assessment.clearance.answer'));
        $points = $this->call('GET', "/api/examinations/$id/points");
        self::assertStringContainsString('trusted with this part', (string) json_encode($points));
        $open = (string) json_encode($this->call('GET', '/api/harvests/open'));
        self::assertStringContainsString($id, $open);
        $this->signIn('marta');
        $this->call('POST', "/api/trust/$grant/withdraw", ['because' => '']);
        self::assertResponseStatusCodeSame(422, 'it is said why');
        $gone = $this->call('POST', "/api/trust/$grant/withdraw", ['because' => 'To be looked at anew.']);
        self::assertSame(
            'Marta Ellinger',
            array_column(self::list($gone, 'grants'), 'withdrawnBy', 'id')[$grant] ?? '',
        );
        $this->signIn('ida');
        $shut = $this->call('GET', "/api/examinations/$id");
        self::assertSame('withheld', self::text($shut, 'assessment.clearance.answer'));
        $this->call('POST', "/api/examinations/$id/harvests", ['amount' => 5, 'unit' => 'heads']);
        self::assertResponseStatusCodeSame(403);
        $this->signIn('marta');
        $deeds = (string) json_encode($this->call('GET', '/api/people'));
        self::assertStringContainsString('withdrew the trust of', $deeds);
    }

    public function testItFallsByItselfWhenALearnerWouldTakeAnotherTree(): void
    {
        $grant = $this->trusted();
        $lot = self::getContainer()->get(PracticeLot::class);
        self::assertInstanceOf(PracticeLot::class, $lot);
        $code = '';
        foreach (range(20, 60) as $seed) {
            $tree = new PracticeCode('central-european-hills', 6, $seed, 'sambucus-nigra', 'flower');
            $code = $lot->drawn($tree)->isWanted() ? $code : (string) $tree;
        }
        $this->signIn('ida');
        $this->call('POST', "/api/practice/$code", ['id' => Uuid::v4()->toRfc4122(), 'decision' => 'take']);
        $fallen = array_column(self::list($this->call('GET', '/api/trust'), 'grants'), null, 'id')[$grant] ?? [];
        self::assertFalse($fallen['holds'] ?? true);
        self::assertNull($fallen['withdrawnBy'] ?? null);
        self::assertNotNull($fallen['withdrawnOn'] ?? null);
    }

    public function testItFallsWhenTheTreeTurnsOutToBeAnother(): void
    {
        $grant = $this->trusted();
        $this->signIn('ida');
        $id = $this->elder('M-13');
        $this->call('POST', "/api/examinations/$id/sign");
        $this->signIn('marta');
        $own = $this->begin('M-13');
        foreach ([
            'leaf.arrangement' => 'opposite',
            'leaf.kind' => 'pinnate',
            'leaf.stipules' => 'leafy',
            'twig.woodiness' => 'herbaceous',
            'flower.head' => 'flat',
            'flower.anthers' => 'purple',
            'outline.habit' => 'herb',
        ] as $character => $state) {
            $this->call('POST', "$own/scores", ['character' => $character, 'states' => [$state], 'samples' => 3]);
            self::assertResponseIsSuccessful();
        }
        $this->call('POST', "$own/sign");
        $of = fn (): array => array_column(
            self::list($this->call('GET', '/api/trust'), 'grants'),
            null,
            'id',
        )[$grant] ?? [];
        self::assertTrue($of()['holds'] ?? false, 'not settled yet');
        $this->call('PUT', '/api/specimens/'.$this->tree('M-13').'/kind', [
            'taxon' => 'sambucus-ebulus',
            'examinations' => [basename($own)],
        ]);
        self::assertResponseIsSuccessful();
        self::assertFalse($of()['holds'] ?? true);
        self::assertNull($of()['withdrawnBy'] ?? null, 'nobody had to press for that');
        self::assertStringContainsString('took something else', self::text($of(), 'because'));
    }

    public function testPracticeTreesAreDrawnForAPart(): void
    {
        $this->signIn('ida');
        $tree = $this->call('GET', '/api/practice?month=6&for=sambucus-nigra/flower');
        self::assertSame('black elder, flowers', $tree['hope']);
        $this->call('GET', '/api/practice?for=sambucus-nigra/beard');
        self::assertResponseStatusCodeSame(422);
        $lot = self::getContainer()->get(PracticeLot::class);
        self::assertInstanceOf(PracticeLot::class, $lot);
        $drawn = [];
        for ($seed = 0; $seed < 60; ++$seed) {
            $code = new PracticeCode('central-european-hills', 6, $seed, 'sambucus-nigra', 'flower');
            $drawn[] = $lot->drawn($code)->tree->taxon->id;
        }
        $counts = array_count_values($drawn);
        self::assertGreaterThan(12, $counts['sambucus-nigra'] ?? 0);
        self::assertGreaterThan(3, $counts['sambucus-ebulus'] ?? 0, 'what is mistaken for it comes often');
    }

    /** Two traps are all that Ida lacks for elder flowers; then an instructor grants it. */
    private function trusted(): string
    {
        $this->signIn('ida');
        foreach (range(1, 8) as $lot) {
            $this->call('POST', "/api/practice/central-european-hills.06.$lot.sambucus-nigra.flower", [
                'id' => Uuid::v4()->toRfc4122(),
                'decision' => 'never',
            ]);
        }
        $this->signIn('marta');
        $grant = Uuid::v4()->toRfc4122();
        $this->call('POST', '/api/trust', ['id' => $grant, 'learner' => $this->person('ida')] + self::ELDER);
        self::assertResponseIsSuccessful();

        return $grant;
    }

    /** All that black elder shows in June, scored in one go. */
    private function elder(string $tag): string
    {
        $begun = $this->call('POST', '/api/examinations', [
            'specimenId' => $this->tree($tag),
            'date' => '2027-06-14',
            'claimTaxon' => self::ELDER['taxon'],
            'claimPart' => self::ELDER['part'],
        ]);
        $id = self::text($begun, 'id');
        $this->score("/api/examinations/$id", Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', "/api/examinations/$id", ['conditions' => ['in-full-bloom' => true]]);
        self::assertResponseIsSuccessful();

        return $id;
    }

    /**
     * @param array<mixed> $of
     *
     * @return list<array<mixed>>
     */
    private static function list(array $of, string $key): array
    {
        foreach (explode('.', $key) as $step) {
            $of = \is_array($of[$step] ?? null) ? $of[$step] : [];
        }

        return array_values(array_filter($of, is_array(...)));
    }
}
