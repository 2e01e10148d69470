<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** The main job, done as people do it: by pointer, by key, by thumb. */
final class ExamineTest extends BrowserTestCase
{
    use AtTheTable;

    public function testAnElderInJuneOpensTheGateWithTheLastRequiredFeatureAndItsFlowersAreLogged(): void
    {
        $this->signIn('Marta Ellinger');
        $this->begin('M-01', 'black elder, flowers');
        $this->press('Nine points');
        $this->click(
            WebDriverBy::xpath('//fieldset[contains(., "flowers of the head open")]//button[normalize-space(.)="Yes"]'),
        );
        $this->press('Close');
        $last = ['flower.head' => ['flat', 2]];
        foreach (self::ELDER as $organ => $scores) {
            $this->scoreAll($organ, array_diff_key($scores, $last));
        }
        $this->seeGate('withheld');
        self::assertStringContainsString(
            '8 of 9 required features',
            $this->see(WebDriverBy::cssSelector('section [data-gate]'))->getText(),
        );
        $this->scoreAll('flower', $last);
        $this->seeGate('cleared');

        $this->press('Sign');
        $this->press('Sign as it stands');
        $this->press('Log a harvest');
        $this->see(WebDriverBy::name('amount'))->sendKeys('18');
        $this->click(WebDriverBy::xpath('//select[@name="unit"]/option[@value="heads"]'));
        $this->see(WebDriverBy::name('note'))->sendKeys('from the browser test');
        $this->press('Put it in the log');
        $this->press('To the species page');
        $this->waitForText(WebDriverBy::cssSelector('section[aria-label="Harvests"]'), 'from the browser test');
        $this->waitForText(WebDriverBy::cssSelector('section[aria-label="Harvests"]'), '18 heads');
        self::assertSame([], $this->consoleErrors());
    }

    public function testAYewHopedToBeSilverFirIsBarredWithTheReason(): void
    {
        $this->signIn('Jonas Brandauer');
        $this->begin('L-03', 'silver fir, young shoots');
        $this->scoreAll('leaf', [
            'leaf.kind' => ['needle', 2],
            'leaf.bands' => ['pale-green', 4],
            'leaf.needle-tip' => ['soft-point', 3],
        ]);
        $this->scoreAll('twig', ['twig.needle-scar' => ['running-down', 3]]);
        $this->seeGate('barred');
        $gate = $this->see(WebDriverBy::cssSelector('section [data-gate="barred"]'))->getText();
        self::assertStringContainsString('Yew fits what was seen better than silver fir. It is deadly.', $gate);
        self::assertNotEmpty($this->browser->findElements(WebDriverBy::cssSelector('[data-danger="taxus-baccata"]')));
    }

    public function testALearnerCannotClearAndAReloadInMidExaminationLosesNothing(): void
    {
        $this->signIn('Tobias Rauth');
        $this->begin('M-01', 'black elder, flowers');
        $this->scoreAll('leaf', ['leaf.kind' => ['pinnate', 3]]);
        $this->browser->navigate()->refresh();
        $this->waitForText(WebDriverBy::cssSelector('section [data-gate]'), '1 of 9 required features');
        $this->station('leaf');
        self::assertStringContainsString(
            'feathered',
            $this->see(WebDriverBy::cssSelector('[data-character="leaf.kind"]'))->getText(),
        );
        foreach (self::ELDER as $organ => $scores) {
            $this->scoreAll($organ, array_diff_key($scores, ['leaf.kind' => 1]));
        }
        $this->press('Nine points');
        $this->click(
            WebDriverBy::xpath('//fieldset[contains(., "flowers of the head open")]//button[normalize-space(.)="Yes"]'),
        );
        $people = WebDriverBy::cssSelector('[data-point="people"]');
        $this->waitForText($people, 'A learner’s examination never clears.');
        self::assertSame(
            'met',
            $this->see(WebDriverBy::cssSelector('[data-point="required-features"]'))->getAttribute('data-status'),
        );
        $this->press('Close');
        $this->seeGate('withheld');
        $this->press('Sign');
        $this->press('Sign as it stands');
        $this->waitForText(WebDriverBy::cssSelector('section[aria-label="On record"]'), 'withheld');
        self::assertEmpty($this->browser->findElements(WebDriverBy::xpath('//button[contains(., "Log a harvest")]')));
    }

    public function testByKeyboardAlone(): void
    {
        $this->signIn('Marta Ellinger');
        $this->begin('M-01', 'black elder, flowers');
        $body = $this->see(WebDriverBy::cssSelector('body'));
        $body->sendKeys('1+');
        $body->sendKeys(WebDriverKeys::ENTER);
        // the word alone stands on the tile before
        $this->waitForText(WebDriverBy::cssSelector('[role="status"].fixed'), 'Recorded');
        $body->sendKeys('j');
        $body->sendKeys('k');
        $body->sendKeys('1');
        $body->sendKeys('l');
        $body->sendKeys(WebDriverKeys::ENTER);
        $this->waitForText(WebDriverBy::cssSelector('[data-character="twig.woodiness"]'), '(likely)');
        $body->sendKeys('z');
        $this->waitForText(WebDriverBy::cssSelector('[role="status"].fixed'), 'Taken back');
        $body->sendKeys('?');
        $this->waitForText(WebDriverBy::cssSelector('[role="dialog"]'), 'Keys at the table');
    }

    public function testTheWordsAreExplainedWithoutLosingWhatIsDrafted(): void
    {
        $this->signIn('Marta Ellinger');
        $this->begin('M-01', 'black elder, flowers');
        $this->station('leaf');
        $this->open('leaf.kind');
        $this->click(WebDriverBy::cssSelector('[data-character="leaf.kind"] [data-state-id="pinnate"]'));
        $this->press('What the words mean');
        $this->waitForText(WebDriverBy::cssSelector('[role="dialog"]'), 'feathered');
        self::assertSame([], $this->axe());
        $this->press('Close');
        $this->click(WebDriverBy::xpath('//*[@data-character="leaf.kind"]//button[normalize-space(.)="Record"]'));
        $this->waitForText(WebDriverBy::cssSelector('[role="status"].fixed'), 'Recorded');
        self::assertSame([], $this->consoleErrors());
    }

    public function testScoresThatDisagreeBothStayAndAFurtherLookSettlesThem(): void
    {
        $this->signIn('Jonas Brandauer');
        $this->begin('L-01', 'silver fir, young shoots');
        foreach (['notched', 'soft-point'] as $tip) {
            $this->scoreAll('leaf', ['leaf.needle-tip' => [$tip, 2]]);
        }
        $this->press('Nine points');
        $this->waitForText(WebDriverBy::cssSelector('[data-point="no-contradiction"]'), 'needle tip');
        self::assertNotSame(
            'met',
            $this->see(WebDriverBy::cssSelector('[data-point="no-contradiction"]'))->getAttribute('data-status'),
        );
        $this->press('Close');
        sleep(16); // a further look is another act: sooner it would be the same one
        $this->scoreAll('leaf', ['leaf.needle-tip' => ['notched', 2]]);
        $this->open('leaf.needle-tip');
        self::assertCount(
            3,
            $this->browser->findElements(
                WebDriverBy::xpath('//*[@data-character="leaf.needle-tip"]//li[contains(., "Recorded:")]'),
            ),
            'nothing is overwritten',
        );
        $this->press('Nine points');
        $this->see(WebDriverBy::cssSelector('[data-point="no-contradiction"][data-status="met"]'));
    }

    public function testAnswersAsPeopleGiveThem(): void
    {
        $this->signIn('Jonas Brandauer');
        $this->begin('M-01', 'black elder, flowers');
        $this->station('leaf');
        $this->open('leaf.margin');
        $this->click(WebDriverBy::cssSelector('[data-character="leaf.margin"] [data-group="toothed"]'));
        $this->record('leaf.margin', 'toothed somehow, cannot say which');
        $this->open('leaf.outline');
        foreach (['egg', 'lance'] as $state) {
            $this->click(WebDriverBy::cssSelector('[data-character="leaf.outline"] [data-state-id="'.$state.'"]'));
        }
        $this->click(WebDriverBy::cssSelector('[data-character="leaf.outline"] [data-either]'));
        $this->record('leaf.outline', ' or ');
        $this->open('leaf.bundle');
        $this->click(
            WebDriverBy::xpath('//*[@data-character="leaf.bundle"]//button[normalize-space(.)="Makes no sense here"]'),
        );
        $this->waitForText(WebDriverBy::cssSelector('[data-character="leaf.bundle"]'), 'makes no sense here');
        $this->open('leaf.under');
        $this->click(
            WebDriverBy::xpath('//*[@data-character="leaf.under"]//button[normalize-space(.)="Cannot be seen now"]'),
        );
        $this->waitForText(WebDriverBy::cssSelector('[data-character="leaf.under"]'), 'cannot be seen now');
        self::assertSame([], $this->consoleErrors());
    }

    public function testByThumbOnASmallScreen(): void
    {
        $this->resize(390, 844);
        $this->signIn('Marta Ellinger');
        $this->begin('M-01', 'black elder, flowers');
        self::assertSame(
            390,
            $this->browser->executeScript('return Math.max(innerWidth, document.documentElement.scrollWidth)'),
            'Nothing sticks out.',
        );
        $this->scoreAll('leaf', ['leaf.kind' => ['pinnate', 1]]);
        $this->waitForText(WebDriverBy::cssSelector('[data-gate="withheld"]'), '1 of 9 required features');
        $this->press('Dangers');
        $this->waitForText(WebDriverBy::cssSelector('[data-danger="sambucus-ebulus"]'), 'woody or herb');
        self::assertSame([], $this->axe());
        $this->press('Gate');
        $this->click(
            WebDriverBy::xpath('//fieldset[contains(., "flowers of the head open")]//button[normalize-space(.)="Yes"]'),
        );
        $this->see(WebDriverBy::cssSelector('[data-point="part-and-condition"][data-status="met"]'));
        $small = $this->browser->executeScript(
            'return [...document.querySelectorAll("button, a[href]")].filter(e => e.checkVisibility() && '.
                'e.getBoundingClientRect().height > 1 && e.getBoundingClientRect().height < 43.5).map(e => '.
                'e.outerHTML.slice(0, 120))',
        );
        self::assertSame([], $small, 'Targets are 44 px high.');
    }

    private function record(string $character, string $words): void
    {
        $this->click(
            WebDriverBy::xpath('//*[@data-character="'.$character.'"]//button[normalize-space(.)="Record"]'),
        );
        $this->waitForText(WebDriverBy::cssSelector('[data-character="'.$character.'"]'), $words);
    }

    private function begin(string $tag, string $part): void
    {
        $this->browser->get(Servers::app().'/examine');
        $this->click(WebDriverBy::xpath('//label[contains(., "'.$tag.'")]'));
        $this->press('just looking');
        $this->press($part);
        $this->press('Begin');
        $this->see(WebDriverBy::cssSelector('[data-pane="look"]'));
    }
}
