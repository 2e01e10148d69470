<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use App\Field\FieldDesk;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Hylognosis\Flora\Flora;
use Symfony\Component\Filesystem\Filesystem;

/**
 * In the wood: the server is gone in the middle of an examination, which is finished, decided and harvested on the
 * device; the browser is shut and opened again; the server comes back, and all of it arrives, once.
 */
final class AwayTest extends BrowserTestCase
{
    use AsksDirectly;
    use AtTheTable;

    private const DB = __DIR__.'/../../var/away.db';

    private const LEITEN = 'L-05';

    private string $address = '';

    protected function own(): RemoteWebDriver
    {
        // before the server that is killed: that is the last one started
        Servers::driver();
        Servers::app();
        (new Filesystem())->remove(self::profile());
        Servers::school(self::DB);
        $this->address = Servers::serve(self::DB);

        return self::openBrowser(self::profile());
    }

    protected function tearDown(): void
    {
        $this->browser->quit();
        Servers::kill();
        (new Filesystem())->remove([self::profile(), self::DB, self::DB.'-figures']);
    }

    public function testADecisionOutOfReachArrivesOnceAndStands(): void
    {
        $this->browser->get($this->address);
        $this->press('Marta Ellinger');
        $this->see(WebDriverBy::xpath('//nav[@aria-label="Main"]'));
        // on the Leiten, 520 m higher, the elders flower later; nothing is counted there
        $this->api('PUT', '/api/demo/day', ['day' => '2027-06-22']);
        $this->browser->get($this->address.'/along');
        // it is offered once the page has counted what it takes
        $this->browser
            ->wait(60, 100)
            ->until(
                fn (): bool => [] !==
                    $this->browser->findElements(WebDriverBy::cssSelector('[data-take]:not([disabled])')),
            );
        $this->click(WebDriverBy::cssSelector('[data-take]'));
        $this->browser
            ->wait(60, 100)
            ->until(fn (): bool => str_contains($this->text(), 'Last heard from the server on'));

        $this->browser->get($this->address.'/examine?tree='.$this->tree());
        $this->press('Nothing yet: just looking');
        $this->press('black elder, flowers');
        $this->press('Begin');
        $this->scoreAll('twig', self::ELDER['twig']);
        $id = basename((string) parse_url($this->browser->getCurrentURL(), \PHP_URL_PATH));

        Servers::kill();
        foreach (array_diff_key(self::ELDER, ['twig' => 1]) as $organ => $scores) {
            $this->scoreAll($organ, $scores);
        }
        self::assertStringContainsString('this device goes on by itself', $this->text());
        $this->seeGate('withheld');
        $this->click(WebDriverBy::cssSelector('section[aria-label="The gate"] button'));
        $this->click(
            WebDriverBy::xpath('//fieldset[contains(., "flowers of the head open")]//button[normalize-space(.)="Yes"]'),
        );
        $this->press('Close');
        $this->seeGate('cleared');
        self::assertStringContainsString('Reckoned on this device: flora edition', $this->text());
        $this->press('Sign');
        $this->press('Sign as it stands');
        $this->press('Log a harvest');
        $this->see(WebDriverBy::name('amount'))->sendKeys('7');
        $this->click(WebDriverBy::xpath('//select[@name="unit"]/option[@value="heads"]'));
        $this->press('Put it in the log');
        $this->press('What is here');
        $this->see(WebDriverBy::cssSelector('[data-waiting=harvest]'));
        self::assertCount(
            10,
            $this->browser->findElements(WebDriverBy::cssSelector('[data-waiting]')),
            'seven scores, a condition, a signature and a harvest',
        );
        self::assertSame([4, 0, 0], $this->stored($id), 'the server knows nothing of it yet');

        $this->browser->quit();
        $this->browser = self::openBrowser(self::profile());
        $this->browser->get($this->address.'/examine/'.$id);
        $this->seeGate('cleared');
        $offline = $this->told();
        Servers::serve(self::DB, port: (int) parse_url($this->address, \PHP_URL_PORT));
        // a browser that was shut has forgotten who it was
        $this->browser
            ->wait(30, 200)
            ->until(fn (): bool => str_contains($this->text(), '10 entries wait here until you have signed in'));
        $this->press('Marta Ellinger');
        $this->browser
            ->wait(120, 200)
            ->until(fn (): bool => [] === $this->browser->findElements(WebDriverBy::cssSelector('[data-field-strip]')));
        self::assertSame([11, 1, 1], $this->stored($id), 'all of it, once');
        $this->browser->navigate()->refresh();
        $this->seeGate('cleared');
        self::assertSame($offline, $this->told(), 'the server answers as this device did');
        self::assertStringNotContainsString('Reckoned on this device', $this->text());
    }

    public function testATreeTaggedExaminedAndPhotographedOutOfReachArrivesAndWhatIsRefusedStays(): void
    {
        $this->browser->get($this->address);
        $this->press('Marta Ellinger');
        $this->see(WebDriverBy::xpath('//nav[@aria-label="Main"]'));
        $this->browser->get($this->address.'/along');
        $this->click(WebDriverBy::cssSelector('[data-take]'));
        $this->browser
            ->wait(60, 100)
            ->until(fn (): bool => str_contains($this->text(), 'Last heard from the server on'));
        Servers::kill();

        $this->browser->get($this->address.'/examine'); // the page itself is on the device
        $this->press('Tag another tree');
        $this->see(WebDriverBy::name('tag'))->sendKeys('Q-77');
        $this->press('Tag it');
        $this->press('Begin');
        $this->scoreAll('twig', ['leaf.arrangement' => ['opposite', 2]]);
        $this->station('twig');
        $this->open('leaf.arrangement');
        $picture = self::profile().'/twig.png';
        $image = imagecreatetruecolor(40, 30);
        imagepng($image, $picture);
        $file = $this->browser->findElement(
            WebDriverBy::cssSelector('[data-character="leaf.arrangement"] input[type=file]'),
        );
        $file->sendKeys($picture);
        $this->browser
            ->wait(self::PATIENCE, 100)
            ->until(fn (): bool => str_contains($this->text(), '4 entries wait here'), 'tag, begin, score, picture');

        // meanwhile somebody gives the tag to another tree
        (new \PDO('sqlite:'.self::DB))->exec("UPDATE specimen SET tag = 'Q-77' WHERE tag = 'L-06'");
        Servers::serve(self::DB, port: (int) parse_url($this->address, \PHP_URL_PORT));
        $this->browser
            ->wait(120, 200)
            ->until(fn (): bool => str_contains($this->text(), 'could not be taken'), 'another tree has that tag');
        $this->press('What is here');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Could not be taken');
        self::assertSame([], $this->axe());
        self::assertCount(
            4,
            $this->browser->findElements(WebDriverBy::cssSelector('[data-waiting]')),
            'nothing is lost',
        );
        (new \PDO('sqlite:'.self::DB))->exec("UPDATE specimen SET tag = 'L-06' WHERE tag = 'Q-77'");
        $this->press('Try again');
        $this->browser
            ->wait(self::PATIENCE, 100)
            ->until(fn (): bool => [] === $this->browser->findElements(WebDriverBy::cssSelector('[data-waiting]')));
        $id = self::asked(
            "SELECT e.id FROM examination e JOIN specimen s ON s.id = e.specimen_id WHERE s.tag = 'Q-77'",
        );
        self::assertIsString($id);
        self::assertSame([1, 0, 0], $this->stored($id));
        self::assertEquals(1, self::asked('SELECT COUNT(*) FROM picture WHERE score_id IS NOT NULL AND width = 40'));
    }

    /** @return list<string> what stands of the gate, the dangers and the names */
    private function told(): array
    {
        return array_map(fn (string $of): string => $this->see(WebDriverBy::cssSelector($of))->getText(), [
            'section [data-gate]',
            'section[aria-label="Dangers"]',
            'section[aria-label="Names"]',
        ]);
    }

    /** @return array{int, int, int} scores, signatures, harvests of an examination */
    private function stored(string $id): array
    {
        $count = static function (string $query): int {
            $found = self::asked($query);

            return is_numeric($found) ? (int) $found : self::fail($query);
        };

        return [
            $count("SELECT COUNT(*) FROM score WHERE examination_id = '$id'"),
            $count("SELECT COUNT(*) FROM examination WHERE id = '$id' AND signed_at IS NOT NULL"),
            $count(
                "SELECT COUNT(*) FROM harvest h JOIN decision d ON d.id = h.decision_id WHERE d.examination_id = '$id'",
            ),
        ];
    }

    /** Every kind of a flora, usual and unusual, sure and unsure: the worker’s PHP and ours, to the last digit. */
    public function testTheWorkerReckonsAsTheServerDoesForAWholeFloraOfAccounts(): void
    {
        $this->browser->get($this->address);
        $this->press('Marta Ellinger');
        $this->see(WebDriverBy::xpath('//nav[@aria-label="Main"]'));
        $this->browser->manage()->timeouts()->setScriptTimeout(120);
        $base64 = $this->browser->executeAsyncScript(
            'const [done] = arguments; const at = "/api/field/floras/central-european-hills"; '.
                'fetch(at).then((r) => r.blob()).then((b) => { const f = new FileReader(); '.
                'f.onload = () => done(f.result.split(",")[1]); f.readAsDataURL(b); })',
        );
        $packed = gzdecode((string) base64_decode(\is_string($base64) ? $base64 : '', true));
        self::assertIsString($packed);
        $laid = unserialize($packed);
        $flora = \is_array($laid) ? $laid['flora'] ?? null : null;
        self::assertInstanceOf(Flora::class, $flora);
        $requests = self::accounts($flora);
        self::assertGreaterThan(70, \count($requests));
        $told = $this->browser->executeAsyncScript(self::WORKER, [$flora->hash, $requests]);
        self::assertIsArray($told);
        self::assertIsArray($told['answers']);
        self::assertIsArray($told['took']);
        self::assertSame('', $told['fault'] ?? null);
        $desk = new FieldDesk();
        $desk->lay($flora->hash, $packed);
        $answers = [];
        foreach ($requests as $name => $request) {
            $answer = $desk->answer($request);
            self::assertStringStartsWith('{"status":200', $answer, $name);
            self::assertSame($answer, $told['answers'][$name] ?? null, $name);
            $answers[] = $answer;
        }
        self::assertGreaterThan(
            60,
            \count(array_unique(array_map(static fn (string $a): string => substr($a, 20), $answers))),
        );
        fwrite(
            \STDERR,
            "\nRules on the device: start, flora, first answer, then (median), answers: ".
                implode(', ', array_map(static fn (mixed $n): string => \is_int($n) ? $n.'' : '?', $told['took'])).
                " (ms)\n",
        );
    }

    /** Starts the rules as the pages do, and asks them one thing after the other. */
    private const WORKER = <<<'JS'
    const [hash, requests, done] = arguments;
    (async () => {
      const worker = new Worker('/rules.js', {type: 'module'});
      let id = 0;
      const ask = (what, hand = []) => new Promise((resolve, reject) => {
        id += 1;
        worker.onmessage = ({data}) => data.fault === undefined ? resolve(data.text) : reject(new Error(data.fault));
        worker.onerror = (e) => reject(new Error(e.message));
        worker.postMessage({...what, id}, hand);
      });
      const rules = await (await fetch('/api/field/rules')).text();
      const packed = await (await fetch('/api/field/floras/central-european-hills')).blob();
      const plain = await new Response(packed.stream().pipeThrough(new DecompressionStream('gzip'))).arrayBuffer();
      const took = [], each = [];
      const timed = async (work, into) => {
        const t = performance.now();
        const got = await work();
        into.push(Math.round(performance.now() - t));
        return got;
      };
      await timed(() => ask({do: 'start', rules}), took);
      await timed(() => ask({do: 'lay', hash, packed: plain}), took);
      const answers = {};
      for (const [name, request] of Object.entries(requests)) {
        answers[name] = await timed(() => ask({do: 'answer', request}), each);
      }
      took.push(each.shift());
      each.sort((a, b) => a - b);
      took.push(each[each.length >> 1], each.length);
      return {fault: '', answers, took};
    })().then(done, (e) => done({fault: String(e), answers: {}, took: []}));
    JS;

    /** @return array<string, string> kind → what is asked of the desk: an account of it, the odd look amiss */
    private static function accounts(Flora $flora): array
    {
        $requests = [];
        foreach (array_values($flora->taxa) as $n => $taxon) {
            $scores = [];
            foreach (array_values($flora->characters) as $k => $character) {
                $shares = $taxon->description->frequencies($character->id);
                if (null === $shares || null !== $character->applies || 0 !== ($k + $n) % 4) {
                    continue;
                }
                arsort($shares);
                $states = array_keys($shares);
                $scores[] = [
                    'id' => \sprintf('00000000-0000-4000-8000-%012d', $k),
                    'character' => $character->id,
                    'states' => [$states[0 === ($k + $n) % 12 ? \count($states) - 1 : 0]],
                    'numbers' => [],
                    'certainty' => ['sure', 'likely', 'unsure'][$k % 3],
                    'samples' => 1 + ($k % 4),
                    'where' => 0 === $k % 5 ? 'ground' : 'tree',
                    'answer' => 'seen',
                    'takenBack' => 0 === $k % 11,
                ];
            }
            $part = array_key_first($taxon->parts);
            $requests[$taxon->id] = json_encode(
                [
                    'flora' => $flora->hash,
                    'units' => 0 === $n % 2 ? 'metric' : 'imperial',
                    'today' => \sprintf('2027-%02d-14', 1 + ($n % 12)),
                    'ask' => 'view',
                    'taken' => [
                        'view' => ['scores' => $scores, 'conditions' => []] +
                            (null === $part ? [] : ['claim' => ['taxon' => $taxon->id, 'part' => $part]]),
                        'told' => [
                            'flora' => $flora->name,
                            'date' => \sprintf('2027-%02d-14', 1 + ($n % 12)),
                            'stage' => ['young', 'mature', 'old'][$n % 3],
                            'examiner' => 'instructor',
                        ],
                        'recorded' => [],
                        'conditionsOn' => [],
                        'rules' => [
                            'permission' => true,
                            'parts' => [],
                            'protected' => [],
                            'allowed' => [],
                            'used' => [],
                        ],
                        'lastWord' => ['at' => '2027-01-01T08:00:00+00:00', 'until' => '2027-12-31'],
                        'entries' => [],
                    ],
                ],
                \JSON_THROW_ON_ERROR,
            );
        }

        return $requests;
    }

    /** What day it is, each test says itself. */
    protected function backToTheDayOfTheDemo(): void
    {
    }

    private static function profile(): string
    {
        return \dirname(__DIR__, 2).'/var/away-profile';
    }

    private function text(): string
    {
        return $this->browser->findElement(WebDriverBy::tagName('body'))->getText();
    }

    private function tree(): string
    {
        $found = self::asked("SELECT id FROM specimen WHERE tag = '".self::LEITEN."'");

        return \is_string($found) ? $found : self::fail('No such tree.');
    }

    private static function asked(string $query): mixed
    {
        $answer = (new \PDO('sqlite:'.self::DB))->query($query);
        self::assertNotFalse($answer);

        return $answer->fetchColumn();
    }
}
