<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** A learner looks before he names, is drilled, and sees what he confuses; an instructor sees it too, nobody else. */
final class LearnTest extends BrowserTestCase
{
    use AsksDirectly;

    private const CODE = 'central-european-hills.06.k3f9x';

    public function testALearnerPractisesIsDrilledAndSeesWhatHeConfuses(): void
    {
        $this->signIn('Senna Okafor');
        $this->browser->get(Servers::app().'/practice');
        $this->see(WebDriverBy::name('practice-code'))->sendKeys(self::CODE);
        $this->press('Show it');
        $leaf = '[data-organ="Leaf"]';
        $this->see(WebDriverBy::cssSelector("$leaf svg"));
        $asked = '[data-asked="leaf.arrangement"]';
        $this->click(WebDriverBy::cssSelector("$asked button"));
        $this->click(WebDriverBy::xpath('//*[@data-asked="leaf.arrangement"]//button[normalize-space(.)="opposite"]'));
        $this->click(WebDriverBy::xpath('//button[normalize-space(.)="crown"]'));
        $this->click(WebDriverBy::cssSelector('[data-asked="leaf.kind"] button'));
        $this->click(WebDriverBy::xpath('//*[@data-asked="leaf.kind"]//button[normalize-space(.)="simple"]'));
        $this->waitForText(WebDriverBy::cssSelector('main'), '2 looks read');
        self::assertSame([], $this->axe());
        $this->press('Not yet');
        $this->see(WebDriverBy::cssSelector('[data-practice-result="rightly-waited"]'));
        foreach (['That is the full mark', 'black mulberry', '1 of 2 looks right', 'read: opposite'] as $said) {
            $this->waitForText(WebDriverBy::cssSelector('[data-practice-result]'), $said);
        }
        self::assertSame([], $this->axe());
        $this->resize(360, 800);
        self::assertSame([], $this->wider());
        $this->resize(1280, 800);
        $this->press('Two minutes on what went wrong');
        $this->click(WebDriverBy::xpath('//button[normalize-space(.)="a character in its states"]'));
        for ($item = 1; $item <= 12; ++$item) {
            $this->waitForText(WebDriverBy::cssSelector('main'), "$item of 12");
            $this->click(WebDriverBy::cssSelector('[data-drill] fieldset button'));
            $this->see(WebDriverBy::cssSelector('[data-right]'));
            $this->press('Next');
        }
        $this->waitForText(WebDriverBy::cssSelector('[data-drilled]'), 'of 12 right');
        $this->press('What I confuse');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'How sure, how right');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'read as opposite');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->consoleErrors());
        $this->forget();
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/people');
        $this->press('What Senna confuses');
        $this->waitForText(WebDriverBy::cssSelector('h1'), 'What Senna Okafor confuses');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'read as opposite');
        $this->browser->get(Servers::app().'/learning');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'What the school misreads');
    }
}
