<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Learning\DrillDeck;
use App\Learning\DrillKind;
use App\Learning\PracticeCode;
use App\Learning\PracticeLot;
use App\Learning\SchoolTrees;
use App\Library\FloraLibrary;
use Hylognosis\Learning\PracticeTree;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;
use Symfony\Component\Yaml\Yaml;

/** Practice trees, drills, and what one confuses. */
final class LearningApiTest extends ApiTestCase
{
    private const FLORA = 'central-european-hills';

    public function testTheSameCodeDrawsTheSameTreeAndTellsNoName(): void
    {
        $this->signIn('ida');
        $tree = $this->call('GET', '/api/practice?month=6');
        $code = self::text($tree, 'code');
        self::assertSame($tree, $this->call('GET', '/api/practice/'.$code));
        self::assertCount(PracticeTree::PLACES, (array) $tree['places']);
        $drawn = self::lot()->drawn(PracticeCode::parse($code));
        $told = (string) json_encode($tree);
        self::assertStringNotContainsString($drawn->tree->taxon->id, $told);
        self::assertStringNotContainsString('"label":"o', $told, 'it is drawn, not told');
        foreach (['no-such-flora.06.1', self::FLORA.'.13.1', self::FLORA.'.06.UPPER'] as $bad) {
            $this->call('GET', '/api/practice/'.$bad);
            self::assertResponseStatusCodeSame(404, $bad);
        }
        $this->call('GET', '/api/practice?month=13');
        self::assertResponseStatusCodeSame(422);
    }

    /** What is drawn is what the flora says: no tree shows what its kind is stated never to show. */
    public function testTreesAreDrawnFromTheirDescriptionsDangerousOnesAndOutsidersAmongThem(): void
    {
        $kinds = ['dangerous' => 0, 'outsider' => 0, 'hybrid' => 0, 'wanted' => 0, 'hoped' => 0];
        for ($seed = 0; $seed < 240; ++$seed) {
            $drawn = self::lot()->drawn(new PracticeCode(self::FLORA, 1 + $seed % 12, $seed));
            $taxon = $drawn->tree->taxon;
            $kinds['dangerous'] += $taxon->severity()->isHazard() ? 1 : 0;
            $kinds['outsider'] += $drawn->isOutsider() ? 1 : 0;
            $kinds['hybrid'] += $taxon->isHybrid() ? 1 : 0;
            $kinds['wanted'] += $drawn->isWanted() ? 1 : 0;
            $kinds['hoped'] += null === $drawn->hope ? 0 : 1;
            foreach ($drawn->tree->characters() as $id) {
                foreach ($drawn->tree->all($id) as $value) {
                    foreach ($taxon->standingNevers()[$id] ?? [] as $never) {
                        self::assertNotContains($value, $never->states, "$taxon->id, $id");
                    }
                }
            }
        }
        self::assertGreaterThan(60, $kinds['dangerous']);
        self::assertGreaterThan(8, $kinds['outsider']);
        self::assertGreaterThan(0, $kinds['hybrid']);
        self::assertGreaterThan(60, $kinds['wanted']);
        self::assertLessThan(130, $kinds['wanted'], 'often it is not what is hoped for');
        self::assertGreaterThan(200, $kinds['hoped']);
    }

    public function testNotYetIsAFullMarkAndTakingTooSoonIsNone(): void
    {
        $this->signIn('ida');
        $code = self::code(static fn ($drawn): bool => $drawn->isWanted());
        $blind = $this->answer($code, 'not-yet');
        self::assertSame(['rightly-waited', 1], [$blind['mark'], $blind['share']]);
        self::assertFalse($blind['isOpen']);
        self::assertNotSame([], $blind['missing']);
        $hasty = $this->answer($code, 'take');
        self::assertSame(['hasty', 0], [$hasty['mark'], $hasty['share']]);
        self::assertSame('left-the-right-one', $this->answer($code, 'never')['mark']);
        $other = self::code(static fn ($drawn): bool => null !== $drawn->hope && !$drawn->isWanted());
        self::assertSame('wrong', $this->answer($other, 'take')['mark']);
        self::assertSame('rightly-left', $this->answer($other, 'never')['mark']);
    }

    public function testTreesOfTheSchoolArePractisedOnAsTheyWereReadWithTheirNamesCovered(): void
    {
        $this->signIn('ida');
        $trees = self::getContainer()->get(SchoolTrees::class);
        self::assertInstanceOf(SchoolTrees::class, $trees);
        $tree = $this->call('GET', '/api/practice?for=school');
        $code = self::text($tree, 'code');
        self::assertMatchesRegularExpression('/^tree\.[0-9a-f]{16}$/', $code);
        self::assertSame($tree, $this->call('GET', '/api/practice/'.$code), 'the same code, the same tree');
        $record = $trees->of(substr($code, 5));
        self::assertNotNull($record);
        $told = (string) json_encode($tree);
        self::assertStringNotContainsString($record->id, $told);
        self::assertStringNotContainsString($record->specimen->id, $told);
        self::assertStringNotContainsString('"'.$record->specimen->tag.'"', $told);
        $read = $trees->seen($record, self::getContainer()->get(FloraLibrary::class)->flora(self::FLORA));
        self::assertEqualsCanonicalizing(array_keys($read), (array) $tree['characters'], 'nothing is added');
        $answer = $this->answer($code, 'never', $record->specimen->kind);
        self::assertTrue($answer['saidRight']);
        $this->call('GET', '/api/practice/tree.0123456789abcdef');
        self::assertResponseStatusCodeSame(404);
    }

    public function testWhatItCouldBeIsHeldAgainstTheDangersThatWereOpen(): void
    {
        $this->signIn('ida');
        $code = self::code(static fn ($drawn): bool => $drawn->isWanted());
        $open = $this->answer($code, 'not-yet');
        self::assertSame([], $open['foreseen']);
        $flora = self::getContainer()->get(FloraLibrary::class)->flora(self::FLORA);
        $dangers = array_map(strval(...), array_keys($flora->dangerous()));
        $said = $this->call('POST', '/api/practice/'.$code, [
            'id' => Uuid::v4()->toRfc4122(),
            'decision' => 'not-yet',
            'couldBe' => \array_slice($dangers, 0, 12),
        ]);
        self::assertNotSame([], $said['foreseen']);
        foreach ((array) $said['foreseen'] as $foreseen) {
            self::assertContains($foreseen, (array) $said['dangers']);
        }
        $this->call('POST', '/api/practice/'.$code, [
            'id' => Uuid::v4()->toRfc4122(),
            'decision' => 'not-yet',
            'couldBe' => ['triffid'],
        ]);
        self::assertResponseStatusCodeSame(422);
    }

    public function testABarkIsAskedAtThreeAges(): void
    {
        $deck = self::getContainer()->get(DrillDeck::class);
        self::assertInstanceOf(DrillDeck::class, $deck);
        $surfaces = [];
        foreach (range(1, 40) as $lot) {
            $item = $deck->item(self::FLORA, 'bark/quercus-robur', $lot);
            self::assertNotNull($item);
            foreach ($item->view->shows as $shown) {
                if ('bark.surface' === $shown->character) {
                    $surfaces[$item->view->ask][] = $shown->states[0]->state;
                }
            }
        }
        self::assertCount(3, $surfaces);
        $young = $surfaces['Which tree is this of, a young one?'] ?? [];
        $old = $surfaces['Which tree is this of, an old one?'] ?? [];
        $smooth = static fn (array $of): int => \count(array_keys($of, 'smooth', true));
        self::assertGreaterThan(2 * $smooth($old), $smooth($young), 'a young oak is often smooth yet');
    }

    public function testRatesAreCountedProposedWithTheirSourceAndPlayedAgainstAPart(): void
    {
        $this->signIn('marta');
        $page = $this->call('GET', '/api/learning/rates');
        self::assertSame(3, $page['people']);
        self::assertStringNotContainsString('Lenz', (string) json_encode($page['rates']), 'without names');
        $rates = array_column((array) $page['rates'], 'rate');
        self::assertSame($rates, self::falling($rates), 'the most misread first');
        $gate = $this->call('GET', '/api/flora?flora='.self::FLORA);
        $id = Uuid::v4()->toRfc4122();
        $proposed = $this->call('POST', '/api/learning/rates', ['id' => $id]);
        $this->call('POST', '/api/learning/rates', ['id' => $id]);
        $founded = array_filter(
            (array) $page['rates'],
            static fn (mixed $r): bool => \is_array($r) && true === $r['isWellFounded'],
        );
        self::assertSame(\count($founded), self::at($proposed, 'proposals.0.rates'));
        self::assertSame($gate, $this->call('GET', '/api/flora?flora='.self::FLORA), 'no flora is changed by it');
        $this->client->request('GET', "/api/learning/rates/$id.yaml");
        $document = Yaml::parse((string) $this->client->getResponse()->getContent());
        self::assertIsArray($document);
        self::assertSame(self::FLORA, $document['flora']);
        foreach ((array) $document['characters'] as $character) {
            self::assertIsArray($character);
            $counted = '/^counted 2027-06-14: \d+ of \d+ looks of 3 people/';
            self::assertMatchesRegularExpression($counted, self::text($character, 'source'));
            self::assertGreaterThanOrEqual(0.01, $character['misreading']);
            self::assertLessThanOrEqual(0.3, $character['misreading']);
        }
        $played = $this->call('GET', '/api/learning/rehearsal?part=sambucus-nigra/flower');
        self::assertSame('black elder, flowers', $played['what']);
        self::assertGreaterThan(0, self::at($played, 'passing.0.school'));
        $this->call('GET', '/api/learning/rehearsal?part=sambucus-nigra/leaf-of-gold');
        self::assertResponseStatusCodeSame(422);
        $this->signIn('ida');
        $this->call('GET', '/api/learning/rates');
        self::assertResponseStatusCodeSame(403);
    }

    /**
     * @param list<mixed> $numbers
     *
     * @return list<mixed>
     */
    private static function falling(array $numbers): array
    {
        rsort($numbers);

        return $numbers;
    }

    public function testWhoLooksAtEverythingRoundARightTreeMayTakeIt(): void
    {
        $this->signIn('ida');
        $opened = $tried = 0;
        for ($seed = 0; $tried < 12 && $seed < 2000; ++$seed) {
            $drawn = self::lot()->drawn(new PracticeCode(self::FLORA, 6, $seed));
            if (!$drawn->isWanted()) {
                continue;
            }
            ++$tried;
            $scores = [];
            foreach ($drawn->tree->characters() as $id) {
                $all = $drawn->tree->all($id);
                $numbers = array_values(array_filter($all, is_float(...)));
                $scores[] = [
                    'character' => $id,
                    'states' => array_values(array_filter($all, is_string(...))),
                    'numbers' => [] === $numbers ? [] : array_pad($numbers, 3, $numbers[0]),
                    'samples' => 3,
                ];
            }
            $all = $this->answer((string) $drawn->code, 'take', $drawn->tree->taxon->id, $scores);
            self::assertNotContains(false, array_column((array) $all['readings'], 'isRight'));
            self::assertTrue($all['saidRight']);
            $opened += 'rightly-taken' === $all['mark'] ? 1 : 0;
        }
        self::assertGreaterThan(5, $opened, 'a gate that never opens for a right tree is worth nothing');
    }

    public function testWhatWasMisreadIsCountedOnceAndSeenByHimselfAndByInstructorsOnly(): void
    {
        $this->signIn('tobias');
        $this->call('DELETE', '/api/learning');
        $code = self::code(static fn ($drawn): bool => [] !== $drawn->tree->all('leaf.arrangement'));
        $true = self::lot()->drawn(PracticeCode::parse($code))->tree->all('leaf.arrangement');
        $wrong = ['opposite', 'alternate'];
        $read = array_values(array_diff($wrong, $true))[0];
        $scores = [['character' => 'leaf.arrangement', 'states' => [$read], 'certainty' => 'sure']];
        $result = $this->answer($code, 'not-yet', '', $scores);
        self::assertFalse(self::at($result, 'readings.0.isRight'));
        $this->answer($code, 'not-yet', '', $scores);
        $own = $this->call('GET', '/api/learning');
        self::assertSame(['leaf.arrangement', 1, 1], [
            self::at($own, 'characters.0.character'),
            self::at($own, 'characters.0.read'),
            self::at($own, 'characters.0.wrong'),
        ], 'answered a second time it is no news');
        self::assertEqualsWithDelta(0.95 ** 2, $own['brier'], 1e-9, 'sure and wrong');
        self::assertGreaterThan(self::at($own, 'characters.0.expected'), self::at($own, 'characters.0.misread'));
        $this->client->request('GET', '/api/learning.csv');
        self::assertStringContainsString('leaf.arrangement', (string) $this->client->getResponse()->getContent());
        $tobias = '/api/learning/'.$this->person('tobias');
        $this->signIn('ida');
        $this->call('GET', $tobias);
        self::assertResponseStatusCodeSame(403);
        $this->signIn('marta');
        self::assertSame('Tobias Rauth', $this->call('GET', $tobias)['person'] ?? '');
        $this->signIn('tobias');
        self::assertSame([], $this->call('DELETE', '/api/learning')['characters']);
    }

    public function testAMemoryPictureIsOnesOwnUntilItIsShared(): void
    {
        $this->signIn('ida');
        $about = 'kind/quercus-robur';
        $keep = fn (string $text, bool $isShared = false): array => $this->call(
            'PUT',
            '/api/mnemonics',
            ['about' => $about, 'text' => $text, 'isShared' => $isShared],
        );
        self::assertSame('Ears on the leaf', self::at($keep('Ears on the leaf'), '0.text'));
        $this->signIn('tobias');
        self::assertSame([], $this->call('GET', '/api/mnemonics?about='.$about));
        $this->signIn('ida');
        $keep('Little ears', true);
        $this->signIn('tobias');
        $seen = $this->call('GET', '/api/mnemonics?about='.$about);
        self::assertSame(['Little ears', 'Ida Lenz', false], [
            self::at($seen, '0.text'),
            self::at($seen, '0.by'),
            self::at($seen, '0.isOwn'),
        ]);
        $this->call('PUT', '/api/mnemonics', ['about' => 'kind/triffid', 'text' => 'x']);
        self::assertResponseStatusCodeSame(422);
        $this->signIn('ida');
        self::assertSame([], $keep(''));
    }

    public function testHowFarPeopleAgreeIsSeenByInstructorsAndTellsNothingOfCoveredTrees(): void
    {
        $this->signIn('ida');
        $this->call('GET', '/api/learning/agreement');
        self::assertResponseStatusCodeSame(403);
        $this->call('GET', '/api/learning/school');
        self::assertResponseStatusCodeSame(403);
        $this->signIn('marta');
        $view = $this->call('GET', '/api/learning/agreement');
        self::assertNotSame([], $view['characters'], 'some trees of the demo were examined twice');
        $ac1 = array_column((array) $view['characters'], 'ac1');
        $sorted = $ac1;
        sort($sorted);
        self::assertSame($sorted, $ac1, 'the least agreed first');
        foreach ((array) $view['characters'] as $character) {
            self::assertIsArray($character);
            foreach ((array) $character['differ'] as $tree) {
                self::assertIsArray($tree);
                self::assertGreaterThan(1, \count((array) $tree['read']));
            }
        }
        $worst = $this->call('GET', '/api/learning/school');
        self::assertGreaterThan(5, \count($worst));
        self::assertStringNotContainsString('Ida', (string) json_encode($worst), 'without names');
    }

    /** @return iterable<string, array{DrillKind}> */
    public static function kinds(): iterable
    {
        foreach (DrillKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function testEverySortOfQuestionHasOneRightAnswer(DrillKind $kind): void
    {
        $this->signIn('ida');
        $items = $this->call('GET', '/api/drills?kind='.$kind->value);
        self::assertGreaterThan(5, \count($items));
        $deck = self::getContainer()->get(DrillDeck::class);
        self::assertInstanceOf(DrillDeck::class, $deck);
        foreach (\array_slice($items, 0, 4) as $view) {
            self::assertIsArray($view);
            $lot = self::at($view, 'lot');
            self::assertIsInt($lot);
            $item = $deck->item(self::FLORA, self::text($view, 'card'), $lot);
            self::assertNotNull($item);
            $choices = self::ids($view['choices']);
            if ([] !== $choices) {
                self::assertContains($item->answer, $choices);
                self::assertCount(\count($choices), array_unique($choices));
            }
            $body = ['card' => $view['card'], 'lot' => $view['lot']];
            $wrong = [] === $choices ? '0.001' : array_values(array_diff($choices, [$item->answer]))[0];
            self::assertFalse($this->call('POST', '/api/drills/answers', $body + ['answer' => $wrong])['isRight']);
            $right = $this->call('POST', '/api/drills/answers', $body + ['answer' => $item->answer]);
            self::assertTrue($right['isRight'], $item->view->card);
            self::assertSame('2027-06-15', $right['dueOn'], 'asked again tomorrow');
        }
        foreach ([['card' => 'bark/triffid'], ['card' => 'bark'], ['answer' => ''], ['lot' => -1]] as $bad) {
            $good = ['card' => 'bark/quercus-robur', 'lot' => 1, 'answer' => 'x'];
            $this->call('POST', '/api/drills/answers', $bad + $good);
            self::assertResponseStatusCodeSame(422, (string) json_encode($bad));
        }
    }

    public function testWhatWasWrongIsAskedAgainTheNextDay(): void
    {
        $this->signIn('ida');
        $this->call('DELETE', '/api/learning');
        $first = $this->call('GET', '/api/drills?kind=states');
        $card = self::text($first, '0.card');
        $wrong = array_values(array_diff(self::ids(self::at($first, '0.choices')), [explode('/', $card)[2]]))[0];
        $body = ['card' => $card, 'lot' => self::at($first, '0.lot'), 'answer' => $wrong];
        $this->call('POST', '/api/drills/answers', $body);
        $again = array_column($this->call('GET', '/api/drills?kind=states'), 'card');
        self::assertNotContains($card, $again, 'not today');
        $this->call('PUT', '/api/demo/day', ['day' => '2027-06-15']);
        self::assertSame($card, self::text($this->call('GET', '/api/drills?kind=states'), '0.card'));
        $this->call('PUT', '/api/demo/day', ['day' => '2027-06-14']);
    }

    /**
     * @param list<array<string, mixed>> $scores
     *
     * @return array<mixed>
     */
    private function answer(string $code, string $decision, string $said = '', array $scores = []): array
    {
        $answer = $this->call('POST', '/api/practice/'.$code, [
            'id' => Uuid::v4()->toRfc4122(),
            'decision' => $decision,
            'said' => $said,
            'scores' => $scores,
        ]);
        self::assertResponseIsSuccessful();

        return $answer;
    }

    /** @return list<string> */
    private static function ids(mixed $choices): array
    {
        return array_values(array_filter(array_column((array) $choices, 'id'), \is_string(...)));
    }

    /** @param \Closure(\App\Learning\DrawnTree): bool $such */
    private static function code(\Closure $such): string
    {
        for ($seed = 0; $seed < 500; ++$seed) {
            $drawn = self::lot()->drawn(new PracticeCode(self::FLORA, 6, $seed));
            if ($such($drawn)) {
                return (string) $drawn->code;
            }
        }
        self::fail('No such tree in five hundred.');
    }

    private static function lot(): PracticeLot
    {
        $lot = self::getContainer()->get(PracticeLot::class);
        self::assertInstanceOf(PracticeLot::class, $lot);

        return $lot;
    }
}
