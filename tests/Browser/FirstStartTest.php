<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Filesystem\Filesystem;

/** From an empty folder to flowers in the basket: what a school does on its first day. */
final class FirstStartTest extends BrowserTestCase
{
    use AtTheTable;

    private const SENTENCE = 'three owls in the old ash';

    private string $data = '';
    private string $address = '';

    protected function tearDown(): void
    {
        if ('' !== $this->data) {
            Servers::end();
            (new Filesystem())->remove([$this->data, $this->data.'.log']);
        }
    }

    public function testFromAnEmptyFolderToAHarvest(): void
    {
        $this->data = sys_get_temp_dir().'/school'.bin2hex(random_bytes(4));
        [$this->address, $said] = Servers::start($this->data);
        self::assertSame(1, preg_match('/word for the first page, good for a day: +(\S+)/', $said, $word));
        $this->begin($word[1]);
        $this->invite();
        $this->enterAPlace();
        $this->tagATreeByTheStandIn();
        $this->examineIt();
        $this->takeSome();
        $this->resize(1280, 800);
        $this->browser->get($this->address.'/places');
        $this->click(WebDriverBy::cssSelector('[data-place="Ash corner"]'));
        $this->waitForText(WebDriverBy::cssSelector('main'), '2 of 3 left this year');
        self::assertSame([], $this->consoleErrors());
        foreach (['', '/school.db', '/copies'] as $kept) {
            self::assertSame(0, fileperms($this->data.$kept) & 0007, 'nobody else on the machine reads '.$kept);
        }
        self::assertNotSame([], glob($this->data.'/copies/*.zip'), 'the first copy');
    }

    private function begin(string $word): void
    {
        $this->browser->get($this->address);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Nobody has an account here yet');
        $this->lookedOver('begin');
        $this->fill([
            'word' => 'not the word at all',
            'name' => 'The school under the ash',
            'place' => 'Ashfold',
            'latitude' => '47,12',
            'longitude' => '15.31',
            'altitude' => '560',
            'person' => 'Alma Weir',
            'email' => 'alma@ashfold.example',
            'password' => self::SENTENCE,
        ]);
        $this->press('Begin');
        $this->waitForText(WebDriverBy::cssSelector('form'), 'That is not the word');
        $this->fill(['word' => $word]);
        $this->press('Begin');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'At Ashfold');
    }

    /** Nora joins by the link, once; then Alma is back. */
    private function invite(): void
    {
        $this->browser->get($this->address.'/people');
        $this->fill(['invited' => 'Nora']);
        $this->press('Make the link');
        $link = $this->see(WebDriverBy::cssSelector('[data-link]'))->getText();
        self::assertStringStartsWith($this->address.'/join/', $link);
        $this->lookedOver('people');
        $this->forget();
        $this->browser->get($link);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Alma Weir invites Nora to join as a learner');
        $this->lookedOver('join');
        $this->see(WebDriverBy::cssSelector('input[type=email]'))->sendKeys('nora@ashfold.example');
        $this->see(WebDriverBy::cssSelector('input[type=password]'))->sendKeys(self::SENTENCE);
        $this->press('Join');
        $this->waitForText(WebDriverBy::cssSelector('header'), 'learner');
        self::assertSame([], $this->consoleErrors());
        $this->forget();
        $this->browser->get($link);
        $this->waitForText(WebDriverBy::cssSelector('[role=alert]'), 'works no more');
        $this->forget();
        $this->browser->get($this->address);
        $this->see(WebDriverBy::cssSelector('input[type=email]'))->sendKeys('alma@ashfold.example');
        $this->see(WebDriverBy::cssSelector('input[type=password]'))->sendKeys(self::SENTENCE);
        $this->click(WebDriverBy::xpath('//form//button[normalize-space(.)="Sign in"]'));
        $this->waitForText(WebDriverBy::cssSelector('main'), 'At Ashfold');
    }

    private function enterAPlace(): void
    {
        $this->browser->get($this->address.'/places/new');
        $this->fill(['name' => 'Ash corner', 'latitude' => '47.121', 'longitude' => '15.312', 'altitude' => '565']);
        $this->click(WebDriverBy::xpath('//form//button[normalize-space(.)="Enter the place"]'));
        $this->waitForText(WebDriverBy::cssSelector('h1'), 'Ash corner');
        $this->press('Record what the owner says');
        $this->fill(['owner' => 'Otto Weir, farmer']);
        $this->press('Put it on record');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Otto Weir, farmer allows it for everything');
        $this->press('Change the quotas');
        $this->choose('sambucus-nigra/flower');
        $times = $this->see(WebDriverBy::cssSelector('main input[type=number]'));
        $times->clear();
        $times->sendKeys("\u{E003}3"); // backspace: an empty field reads as 0
        $this->press('Keep the quotas');
        $this->waitForText(WebDriverBy::cssSelector('main'), '3 of 3 left this year');
        $this->lookedOver('a place');
    }

    private function tagATreeByTheStandIn(): void
    {
        $this->browser->get($this->address.'/people/devices');
        $this->press('the stand-in');
        $this->fill(['latitude' => '47.12105', 'longitude' => '15.31210', 'error' => '3']);
        $this->press('Set out');
        $this->waitForText(WebDriverBy::cssSelector('[data-receiver]'), '47.121');
        $this->lookedOver('devices');
        $this->browser->get($this->address.'/examine');
        $this->press('Tag another tree');
        $this->fill(['tag' => 'A-01']);
        $this->press('Where the stand-in is now');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Stand-in receiver: within');
        $this->press('Tag it');
        $this->see(WebDriverBy::xpath('//label[contains(., "A-01")]//input[@name="tree"]'));
    }

    /** As one stands before it: on a screen in the hand. */
    private function examineIt(): void
    {
        $this->resize(390, 844);
        $this->press('just looking');
        $this->press('black elder, flowers');
        $this->click(WebDriverBy::xpath('//form//button[normalize-space(.)="Begin"]'));
        $this->see(WebDriverBy::cssSelector('[data-pane="look"]'));
        self::assertSame([], $this->wider());
        foreach (self::ELDER as $organ => $scores) {
            $this->scoreAll($organ, $scores);
        }
        $this->press('Gate');
        $this->click(
            WebDriverBy::xpath('//fieldset[contains(., "flowers of the head open")]//button[normalize-space(.)="Yes"]'),
        );
        $this->see(WebDriverBy::cssSelector('[data-gate="cleared"]'));
        $this->lookedOver('the gate');
    }

    private function takeSome(): void
    {
        $this->resize(390, 844);
        $this->press('Sign');
        $this->press('Sign as it stands');
        $this->press('Log a harvest');
        $this->see(WebDriverBy::name('amount'))->sendKeys('12');
        $this->click(WebDriverBy::xpath('//select[@name="unit"]/option[@value="heads"]'));
        $this->press('Put it in the log');
        $this->waitForText(WebDriverBy::cssSelector('section[aria-label="On record"]'), '12 heads');
        self::assertSame([], $this->wider());
    }

    private function lookedOver(string $view): void
    {
        self::assertSame([], $this->axe(), $view);
        $this->resize(360, 780);
        self::assertSame([], $this->wider(), $view);
        $this->resize(1280, 800);
    }

    private function choose(string $value): void
    {
        $this->click(WebDriverBy::cssSelector('main select option[value="'.$value.'"]'));
    }

    /** @param array<string, string> $fields by name */
    private function fill(array $fields): void
    {
        foreach ($fields as $name => $text) {
            $field = $this->see(WebDriverBy::cssSelector('input[name="'.$name.'"]'));
            $field->clear();
            $field->sendKeys($text);
        }
    }
}
