<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Uid\Uuid;

/**
 * A learner practises, is drilled, looks at three trees as the second person, and so earns elder flowers; clears one
 * alone, though a dwarf elder bars her at first; and an instructor takes it back.
 */
final class TrustTest extends BrowserTestCase
{
    use AsksDirectly;
    use AtTheTable;
    use Prints;

    private const DB = __DIR__.'/../../var/trust.db';
    private const ELDER_SEEN = [
        'leaf.arrangement' => 'opposite',
        'leaf.kind' => 'pinnate',
        'leaf.stipules' => 'none',
        'leaf.margin' => 'saw-teeth',
        'twig.woodiness' => 'woody',
        'twig.pith' => 'wide',
        'twig.pith-colour' => 'white',
        'flower.head' => 'flat',
        'flower.anthers' => 'yellow',
        'scent.crushed' => 'rank',
    ];
    private const LOCUST_SEEN = [
        'leaf.arrangement' => 'alternate',
        'leaf.kind' => 'pinnate',
        'leaf.margin' => 'smooth',
        'twig.spines' => 'paired',
        'bud.shape' => 'hidden',
        'flower.head' => 'hanging',
        'flower.kind' => 'pea',
        'flower.colour' => 'white',
    ];
    private const STANDS = '[data-rule="sambucus-nigra/flower"] [data-standing="Senna Okafor"]';

    private string $address = '';

    protected function own(): RemoteWebDriver
    {
        Servers::driver();
        Servers::app();
        Servers::school(self::DB);
        $this->address = Servers::serve(self::DB);

        return self::openBrowser();
    }

    protected function tearDown(): void
    {
        $this->browser->quit();
        Servers::kill();
        (new Filesystem())->remove([self::DB, self::DB.'-figures']);
    }

    public function testTrustIsEarnedUsedAndTakenBack(): void
    {
        $this->comeIn('Senna Okafor');
        $this->browser->get($this->address.'/trust');
        $this->waitForText(WebDriverBy::cssSelector(self::STANDS), '1 of 2 named right');
        $this->waitForText(WebDriverBy::cssSelector(self::STANDS), '0 of 2 traps seen');
        self::assertSame([], $this->axe());
        $this->click(WebDriverBy::xpath('//*[@data-rule="sambucus-nigra/flower"]//a[contains(., "practise for it")]'));
        $this->press('Draw me a tree');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Black elder, flowers');
        $this->press('Never');
        $this->press('Two minutes on what went wrong');
        $this->click(WebDriverBy::cssSelector('[data-drill] fieldset button, [data-drill] input'));
        for ($lot = 1; $lot <= 6; ++$lot) {
            $this->api('POST', "/api/practice/central-european-hills.06.$lot.sambucus-nigra.flower", [
                'id' => Uuid::v4()->toRfc4122(),
                'decision' => 'never',
            ]);
        }
        $this->blind('M-06', '2027-06-08', self::ELDER_SEEN);
        $this->blind('M-01', '2027-06-12', self::ELDER_SEEN);
        $this->blind('M-04', '2027-06-10', self::LOCUST_SEEN);
        $this->browser->get($this->address.'/trust');
        $this->waitForText(WebDriverBy::cssSelector(self::STANDS), '2 of 2 named right');
        $this->waitForText(WebDriverBy::cssSelector(self::STANDS), 'earned: an instructor grants it');
        $this->sayGoodbye();

        $this->comeIn('Marta Ellinger');
        $this->browser->get($this->address.'/trust');
        $this->press('Trust Senna Okafor with it');
        $this->waitForText(WebDriverBy::cssSelector(self::STANDS), 'trusted');
        self::assertSame([], $this->axe());
        $this->resize(360, 800);
        self::assertSame([], $this->wider());
        $this->resize(1280, 800);
        $this->sayGoodbye();

        $this->comeIn('Senna Okafor');
        $id = $this->clearedAlone();
        $this->sayGoodbye();

        $this->comeIn('Marta Ellinger');
        $this->browser->get($this->address.'/trust');
        $this->click(WebDriverBy::xpath('//*[@data-grant="Senna Okafor"]//button[contains(., "Withdraw it")]'));
        $this->see(WebDriverBy::name('because'))->sendKeys('First another season beside an instructor.');
        $this->press('Withdraw it now');
        $this->waitForText(WebDriverBy::cssSelector('[data-grant="Senna Okafor"]'), 'withdrawn by Marta Ellinger');
        $this->sayGoodbye();

        $this->comeIn('Senna Okafor');
        $this->browser->get($this->address.'/examine/'.$id);
        $this->seeGate('withheld');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'A learner’s examination never clears');
        self::assertSame([], $this->consoleErrors());
    }

    public function testADayWithAGroupIsMarkedWithoutAConnectionAndItsCardsArePrinted(): void
    {
        $this->comeIn('Marta Ellinger');
        $this->browser->get($this->address.'/groups');
        self::assertSame([], $this->axe());
        $this->press('Plan a day');
        $this->see(WebDriverBy::name('group-name'))->sendKeys('Class of the parish');
        $this->press('Plan it');
        $this->waitForText(WebDriverBy::cssSelector('h1'), 'Class of the parish');
        $this->press('Who comes along');
        $ida = '//*[@role="dialog"]//*[self::label or self::button][contains(., "Ida Lenz")]';
        $this->click(WebDriverBy::xpath($ida));
        $guests = $this->see(WebDriverBy::name('guests'));
        $guests->sendKeys([WebDriverKeys::BACKSPACE, '2']);
        $this->press('That is everybody');
        $this->waitForText(WebDriverBy::cssSelector('[aria-label="Who comes along"]'), 'Ida Lenz, guest 1, guest 2');
        $this->waitForText(WebDriverBy::cssSelector('[data-hands-off]'), 'M-05');
        $this->press('Another station');
        $this->click(WebDriverBy::xpath('//*[@role="dialog"]//button[contains(., "Find your tree again")]'));
        $this->see(WebDriverBy::cssSelector('[data-station="find-again"]'));
        $this->press('Another station');
        $this->click(WebDriverBy::cssSelector('[data-offer="M-07"] button'));
        $this->waitForText(WebDriverBy::cssSelector('main'), '2. ');
        self::assertSame([], $this->axe());
        $this->resize(360, 800);
        self::assertSame([], $this->wider());
        Servers::kill();
        $this->press('Ida Lenz: found');
        $this->press('guest 2: not found');
        $this->see(WebDriverBy::cssSelector('[data-waits="2"]'));
        Servers::serve(self::DB, port: (int) parse_url($this->address, \PHP_URL_PORT));
        $this->browser
            ->wait(60, 200)
            ->until(
                fn (): bool => [] === $this->browser->findElements(WebDriverBy::cssSelector('[data-waits]')),
                'handed in',
            );
        $this->browser->navigate()->refresh();
        $pressed = WebDriverBy::cssSelector('[aria-label="Ida Lenz: found"][aria-pressed="true"]');
        $this->see($pressed);
        [$text, $pages] = $this->printed();
        self::assertStringContainsString('Find your tree again', $text);
        self::assertStringContainsString('The one who sees is answerable', preg_replace('/\s+/', ' ', $text) ?? '');
        self::assertSame(1, $pages);
        $this->resize(1280, 800);
        $this->see(WebDriverBy::name('learnt'))->sendKeys('Bark by hand.');
        $after = '//section[@aria-labelledby="after"]//button';
        $this->click(WebDriverBy::xpath($after.'[starts-with(@aria-label, "Ask Ida Lenz")]'));
        $this->click(WebDriverBy::xpath($after.'[normalize-space(.)="Keep it"]'));
        $this->waitForText(WebDriverBy::cssSelector('[aria-labelledby="after"]'), 'Kept.');
        $this->cardsOnPaper();
        $this->aTreeForAYear();
    }

    private function cardsOnPaper(): void
    {
        $this->browser->get($this->address.'/cards?taxon=sambucus-nigra');
        $this->waitForText(WebDriverBy::cssSelector('[role=status]'), 'cards, ');
        self::assertSame([], $this->axe());
        [$text, $pages, $size] = $this->printed();
        self::assertSame([595, 842], $size, 'A4, in points');
        self::assertSame(0, $pages % 2, 'a back for each front');
        self::assertMatchesRegularExpression('/A (black|dwarf) elder, B (black|dwarf) elder/', $text);
        self::assertMatchesRegularExpression('/Which is black elder\?/', $text);
        $this->browser->get($this->address.'/cards?deck=quiz&seed=7');
        $this->see(WebDriverBy::cssSelector('[data-quiz]'));
        $first = $this->printed()[0];
        $this->browser->navigate()->refresh();
        $this->see(WebDriverBy::cssSelector('[data-quiz]'));
        self::assertSame($first, $this->printed()[0], 'the same seed, the same quiz');
        self::assertStringContainsString('Quiz 7: the answers', $first);
    }

    private function aTreeForAYear(): void
    {
        $this->sayGoodbye();
        $this->comeIn('Ida Lenz');
        $this->browser->get($this->address.'/trees/'.$this->tree('M-07'));
        $this->waitForText(WebDriverBy::cssSelector('[data-adopted-here]'), 'You look at it for a year');
        $this->browser->get($this->address.'/my-tree');
        $this->see(WebDriverBy::name('adopted-note'))->sendKeys('Nuts in pairs, still soft.');
        $this->press('Keep it');
        $this->waitForText(WebDriverBy::cssSelector('[data-adopted="M-07"]'), '14 June 2027: Nuts in pairs');
        self::assertSame([], $this->axe());
        $text = $this->printed()[0];
        self::assertStringContainsString('January 2027', $text);
        self::assertStringContainsString('Nuts in pairs, still soft.', $text);
        self::assertStringNotContainsString('nobody has looked', $text, 'the album holds what was seen');
        self::assertSame([], array_filter(
            $this->consoleErrors(),
            static fn (string $line): bool => !str_contains($line, 'ERR_CONNECTION'),
        ));
    }

    /** It has a server of its own. */
    protected function backToTheDayOfTheDemo(): void
    {
    }

    private function comeIn(string $name): void
    {
        $this->browser->get($this->address);
        $this->press($name);
        $this->see(WebDriverBy::xpath('//nav[@aria-label="Main"]'));
    }

    private function sayGoodbye(): void
    {
        $this->api('POST', '/api/logout');
    }

    /**
     * As the second person, whose scores are all that matters here.
     *
     * @param array<string, string> $seen
     */
    private function blind(string $tag, string $day, array $seen): void
    {
        $tree = $this->tree($tag);
        $first = array_values(
            array_filter(
                $this->api('GET', "/api/specimens/$tree/examinations"),
                static fn (mixed $e): bool => \is_array($e) && $e['date'] === $day,
            ),
        )[0] ?? null;
        self::assertIsArray($first, "$tag on $day");
        $begun = $this->api('POST', '/api/examinations', [
            'id' => Uuid::v4()->toRfc4122(),
            'specimenId' => $tree,
            'date' => '2027-06-14',
            'secondOf' => $first['id'],
        ]);
        $id = \is_string($begun['id'] ?? null) ? $begun['id'] : '';
        foreach ($seen as $character => $state) {
            $this->api('POST', "/api/examinations/$id/scores", [
                'id' => Uuid::v4()->toRfc4122(),
                'character' => $character,
                'states' => [$state],
                'samples' => 3,
            ]);
        }
        $this->api('POST', "/api/examinations/$id/sign");
    }

    /** A bush nobody has looked at yet. */
    private function clearedAlone(): string
    {
        $this->api('POST', '/api/specimens', [
            'id' => Uuid::v4()->toRfc4122(),
            'tag' => 'M-77',
            'siteId' => $this->site('Mill meadow'),
            'whereabouts' => 'Behind the barn',
        ]);
        $this->browser->get($this->address.'/examine?tree='.$this->tree('M-77'));
        $this->press('Nothing yet: just looking');
        $this->press('black elder, flowers');
        $this->press('Begin');
        $this->scoreAll('flower', ['flower.head' => ['flat', 2]]);
        // what a dwarf elder shows too
        $alike = ['leaf.kind' => 1, 'leaf.margin' => 1];
        $this->scoreAll('leaf', array_intersect_key(self::ELDER['leaf'], $alike));
        $this->scoreAll('twig', ['leaf.arrangement' => ['opposite', 2]]);
        $this->scoreAll('scent', self::ELDER['scent']);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'dwarf elder');
        self::assertSame(
            [],
            $this->browser->findElements(WebDriverBy::cssSelector('section [data-gate="cleared"]')),
        );
        $this->scoreAll('leaf', array_diff_key(self::ELDER['leaf'], $alike));
        $this->scoreAll('twig', array_diff_key(self::ELDER['twig'], ['leaf.arrangement' => 1]));
        $this->scoreAll('flower', ['flower.anthers' => ['yellow', 2]]);
        $this->click(WebDriverBy::cssSelector('section[aria-label="The gate"] button'));
        $this->click(
            WebDriverBy::xpath('//fieldset[contains(., "flowers of the head open")]//button[normalize-space(.)="Yes"]'),
        );
        $this->press('Close');
        $this->seeGate('cleared');
        $this->press('Sign');
        $this->press('Sign as it stands');
        $this->see(WebDriverBy::xpath('//button[contains(., "Log a harvest")]'));

        return basename((string) parse_url($this->browser->getCurrentURL(), \PHP_URL_PATH));
    }
}
