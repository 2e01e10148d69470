<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys;

/** A place walked and printed, a pasture with six cows and a cherry hedge, and the morning after a gale of 95 km/h. */
final class GroundTest extends BrowserTestCase
{
    use AsksDirectly;
    use Prints;

    public function testAWalkThroughAPlaceOfTwentyFiveTreesPrintsThreeSheets(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/surveys');
        $this->put('[name="survey-site"]', $this->site('Mill meadow'));
        $this->press('Begin a walk');
        $this->see(WebDriverBy::cssSelector('[data-walked="M-01"]'));
        $this->browser->executeScript('window.presses = 0; addEventListener("click", () => (presses += 1), true)');
        $this->press('Note a stand');
        $this->see(WebDriverBy::name('stand-label'))->sendKeys('Larches at the bridge');
        $this->click(WebDriverBy::xpath('//form[@aria-label="A stand"]//button[normalize-space(.)="6 to 20"]'));
        $this->put('form [name="looks-like"]', 'larix-decidua');
        $this->press('Keep the stand');
        $this->see(WebDriverBy::cssSelector('[data-walked="Larches at the bridge"]'));
        $this->mark('M-09', 'limb hanging');
        $this->mark('M-06', 'due for coppice');
        $this->click(WebDriverBy::cssSelector('[data-walked="M-11"] button'));
        $this->click(WebDriverBy::xpath('//*[@data-walked="M-11"]//button[normalize-space(.)="bark only"]'));
        $this->waitForText(WebDriverBy::cssSelector('[data-walked="M-11"]'), 'bark only, June: not settled');
        foreach ($this->open() as $label) {
            $this->press("$label: nothing new");
            $this->browser->wait(self::PATIENCE, 40)->until(fn (): bool => !\in_array($label, $this->open(), true));
        }
        self::assertSame([], $this->axe());
        $presses = $this->browser->executeScript('return presses');
        self::assertIsInt($presses);
        fwrite(\STDERR, \sprintf("\nA walk through the Mill meadow takes %d presses\n", $presses));
        self::assertLessThan(120, $presses, 'ten minutes, at five seconds to a press');
        $this->press('Close the walk');
        $this->waitForText(WebDriverBy::cssSelector('[data-sheet="dangers"]'), 'licensed arborist');
        $this->waitForText(WebDriverBy::cssSelector('[data-sheet="materials"]'), 'after its examination');
        $this->waitForText(WebDriverBy::cssSelector('[data-sheet="keep"]'), 'due for coppice');
        self::assertSame([], $this->axe());
        [$text, $pages] = $this->printed();
        self::assertGreaterThanOrEqual(3, $pages);
        $text = preg_replace('/\s+/', ' ', $text) ?? '';
        foreach (
            [
                'Mill meadow: dangers',
                'Mill meadow: materials',
                'Mill meadow: keep and care',
                'Larches at the bridge',
                'M-11 (bark only, June)',
                'What is not settled may be any tree',
                '0199 555 40 40',
                'due again 14 June 2028',
            ] as $said
        ) {
            self::assertStringContainsString($said, $text);
        }
        self::assertStringNotContainsString('GeoJSON', $text);
        $this->resize(360, 800);
        self::assertSame([], $this->wider());
        self::assertSame([], $this->consoleErrors());
    }

    public function testTheMorningAfterAGaleOverSixCowsAndACherryHedge(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/pastures');
        $lane = WebDriverBy::cssSelector('[data-pasture="Lane pasture"]');
        foreach (['6 cattle, 600 kg each', 'Cherry hedge', 'leaves out; wilted ones', 'Fence off'] as $said) {
            $this->waitForText($lane, $said);
        }
        $this->press('Cherry hedge along the lane: keep, watch, fence off or fell');
        $this->waitForText(WebDriverBy::cssSelector('[role="dialog"]'), 'Serious harm to cattle');
        self::assertSame([], $this->axe());
        $this->click(WebDriverBy::xpath('//*[@role="dialog"]//button[normalize-space(.)="watch"]'));
        $this->press('Keep the decision');
        $this->waitForText($lane, 'Watch');
        $this->resize(390, 844);
        $this->browser->get(Servers::app().'/storms');
        $this->put('[name="storm-site"]', $this->site('Mill meadow'));
        $this->see(WebDriverBy::name('gust'))->sendKeys('95');
        $this->press('Lay a round');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'gusts of 95 km/h');
        $hedge = '[data-stop="Cherry hedge along the lane"]';
        $this->tick($hedge, 'top out');
        $this->see(WebDriverBy::cssSelector("$hedge [name=\"thick\"]"))->sendKeys('12');
        $this->click(WebDriverBy::xpath('//*[starts-with(@data-stop, "Cherry")]//button[.="Keep"]'));
        $alarm = WebDriverBy::cssSelector('[data-alarm="Cherry hedge along the lane"]');
        $told = ['600 g to 2.4 kg of wilted leaves', 'It could harm 2 to all 6 of your cattle', 'of fresh leaf'];
        foreach ($told as $said) {
            $this->waitForText($alarm, $said);
        }
        self::assertSame([], $this->axe());
        $this->resize(360, 800);
        self::assertSame([], $this->wider());
        $this->resize(390, 844);
        // down in the meadow there is no connection: what is found there waits on the phone
        $this->online(false);
        $this->tick('[data-stop="M-01"]', 'sound');
        $this->waitForText(WebDriverBy::cssSelector('[data-left]'), '1 kept on this phone');
        $this->online(true);
        $this->browser->wait(30, 100)->until(
            fn (): bool => !str_contains($this->see(WebDriverBy::cssSelector('[data-left]'))->getText(), 'kept on'),
        );
        $this->browser->navigate()->refresh();
        $this->waitForText(WebDriverBy::cssSelector('[data-stop="M-01"]'), 'sound');
        $this->waitForText($alarm, 'Down for');
        $this->browser->get(Servers::app().'/');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'something lies where animals get at it');
        $this->press('something lies where animals get at it');
        $this->press('Animals moved');
        $this->waitForText(WebDriverBy::cssSelector($hedge), 'none comes back before it is cleared away');
        foreach ($this->browser->findElements(WebDriverBy::cssSelector('[data-stop]')) as $stop) {
            $label = (string) $stop->getAttribute('data-stop');
            if (str_contains($stop->getText(), 'not looked at')) {
                $this->tick("[data-stop=\"$label\"]", 'sound');
            }
        }
        $this->waitForText(WebDriverBy::cssSelector('[data-left="0"]'), 'All looked at');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('[data-alarm]')));
        $refused = array_filter(
            $this->consoleErrors(),
            static fn (mixed $line): bool => !str_contains((string) json_encode($line), 'ERR_INTERNET_DISCONNECTED'),
        );
        self::assertSame([], $refused);
    }

    public function testAnInstructorEntersAPastureCornerByCornerInPounds(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/pastures');
        $this->press('Enter a pasture');
        $this->see(WebDriverBy::name('pasture-name'))->sendKeys('Knoll');
        $this->click(WebDriverBy::xpath('//form[@aria-label="A pasture"]//button[normalize-space(.)="goats"]'));
        $this->see(WebDriverBy::name('heads'))->sendKeys('4');
        $this->click(WebDriverBy::xpath('//summary[contains(., "enter their numbers")]'));
        foreach ([['47,1220', '15,3420'], ['47,1240', '15,3420'], ['47,1240', '15,3450']] as [$latitude, $longitude]) {
            $this->see(WebDriverBy::name('corner-latitude'))->sendKeys($latitude);
            $this->see(WebDriverBy::name('corner-longitude'))->sendKeys($longitude);
            $this->press('Add this corner');
        }
        self::assertSame([], $this->axe());
        $this->press('Keep the pasture');
        $this->waitForText(WebDriverBy::cssSelector('[data-pasture="Knoll"]'), '4 goats, 60 kg each');
        $this->waitForText(WebDriverBy::cssSelector('[data-pasture="Knoll"]'), 'grazed at any time, for nobody');
        $this->click(WebDriverBy::xpath('//*[@data-pasture="Knoll"]//button[normalize-space(.)="Change"]'));
        $this->press('Not grazed any more');
        $this->browser
            ->wait(self::PATIENCE, 40)
            ->until(
                fn (): bool => [] ===
                    $this->browser->findElements(WebDriverBy::cssSelector('[data-pasture="Knoll"]')),
            );
        self::assertSame([], $this->consoleErrors());
    }

    public function testAFenceIsDrawnWithThePointerAndWithKeysAndTakenBack(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/pastures');
        $this->press('Enter a pasture');
        $this->see(WebDriverBy::name('pasture-name'))->sendKeys('Drawn');
        $this->see(WebDriverBy::name('heads'))->sendKeys('2');
        $this->put('[name="pasture-site"]', $this->site('Mill meadow'));
        $map = $this->see(WebDriverBy::cssSelector('[data-edge-drawing]'));
        $this->browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$map]);
        $this->waitForText(WebDriverBy::cssSelector('[data-edge-drawing]'), 'M-07');
        $size = $map->getSize();
        [$left, $up] = [intdiv($size->getWidth(), 4), intdiv($size->getHeight(), 4)];
        $press = fn (int $x, int $y) => $this->browser
            ->action()
            ->moveToElement($map, $x, $y) // from its middle
            ->click()
            ->perform();
        $said = fn (string $words) => $this->waitForText(WebDriverBy::cssSelector('[data-edge-size]'), $words);
        $press(-$left, -$up);
        $press($left, -$up);
        $said('2 of at least 3 corners');
        $press($left, $up);
        $said('3 corners, ');
        $before = $map->findElement(WebDriverBy::cssSelector('[data-pulled="1"]'))->getAttribute('aria-label');
        $this->browser
            ->action()
            ->moveToElement($map, $left, -$up)
            ->clickAndHold()
            ->moveByOffset(-20, 10)
            ->moveByOffset(-20, 10)
            ->release()
            ->perform();
        $corner = static fn (): string => (string) $map
            ->findElement(WebDriverBy::cssSelector('[data-pulled="1"]'))
            ->getAttribute('aria-label');
        $this->browser->wait(self::PATIENCE, 40)->until(static fn (): bool => $corner() !== $before, 'it was pulled');
        $pulled = $corner();
        $map->findElement(WebDriverBy::cssSelector('[data-pulled="1"]'))->sendKeys(WebDriverKeys::ARROW_UP);
        $this->browser->wait(self::PATIENCE, 40)->until(static fn (): bool => $corner() !== $pulled, 'moved by a key');
        $this->browser->executeScript('arguments[0].focus()', [$map]);
        $map->sendKeys([WebDriverKeys::ARROW_UP, WebDriverKeys::ENTER]);
        $said('4 corners, ');
        $this->press('Take the last back');
        $said('3 corners, ');
        $this->press('the gate');
        $press(0, -$up);
        $said('with a gate');
        self::assertSame([], $this->axe());
        $this->press('Keep the pasture');
        $this->waitForText(WebDriverBy::cssSelector('[data-pasture="Drawn"]'), '2 cattle, 600 kg each');
        $this->waitForText(WebDriverBy::cssSelector('[data-pasture="Drawn"]'), 'M-0');
        $this->click(WebDriverBy::xpath('//*[@data-pasture="Drawn"]//button[normalize-space(.)="Change"]'));
        $this->press('Not grazed any more');
        self::assertSame([], $this->consoleErrors());
    }

    public function testADaysSheetAndThePageForTheAmbulanceFitOnPaper(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/hazards?site='.$this->site('Mill meadow').'&day=2027-06-19');
        $this->waitForText(WebDriverBy::cssSelector('[data-day-sheet]'), 'Nothing goes into the mouth');
        $this->press('nuts');
        $this->waitForText(WebDriverBy::cssSelector('[data-day-sheet]'), 'Somebody here reacts to nuts');
        [$text, $pages] = $this->printed();
        self::assertLessThanOrEqual(3, $pages);
        self::assertStringContainsString('May be touched', $text);
        self::assertStringNotContainsString('Allergies told of', $text);
        $this->browser->get(Servers::app().'/swallowed');
        $this->put('[name="swallowed-site"]', $this->site('Upper Leiten wood'));
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Taxus baccata');
        self::assertSame([], $this->axe());
        [$text, $pages] = $this->printed();
        self::assertLessThanOrEqual(3, $pages);
        foreach (['0199 555 40 40', 'Taxus baccata', 'To be filled in', 'Called, when, what they said'] as $said) {
            self::assertStringContainsString($said, preg_replace('/\s+/', ' ', $text) ?? '');
        }
    }

    private function mark(string $tree, string $mark): void
    {
        $this->click(WebDriverBy::cssSelector("[data-walked=\"$tree\"] button"));
        $this->click(WebDriverBy::xpath("//*[@data-walked='$tree']//button[normalize-space(.)='$mark']"));
        $this->waitForText(WebDriverBy::cssSelector("[data-walked=\"$tree\"]"), $mark);
        $this->browser->wait(self::PATIENCE, 40)->until(fn (): bool => !\in_array($tree, $this->open(), true));
        $this->click(WebDriverBy::cssSelector("[data-walked=\"$tree\"] button[aria-expanded]"));
    }

    /** @return list<string> trees nobody has come by on this walk */
    private function open(): array
    {
        $labels = $this->browser->executeScript(
            'return [...document.querySelectorAll("[data-walked]")]'.
                '.filter((e) => [...e.querySelectorAll("button")].some((b) => b.textContent === "nothing new"))'.
                '.map((e) => e.dataset.walked)',
        );
        self::assertIsArray($labels);

        return array_values(array_filter($labels, \is_string(...)));
    }

    private function tick(string $stop, string $finding): void
    {
        $buttons = fn (): array => array_filter(
            $this->browser->findElements(WebDriverBy::cssSelector("$stop fieldset button")),
            static fn (WebDriverElement $b): bool => $finding === $b->getText(),
        );
        if ([] === $buttons()) {
            $this->click(WebDriverBy::cssSelector("$stop button[aria-expanded]"));
        }
        $this->browser->wait(self::PATIENCE, 40)->until(static fn (): bool => [] !== $buttons());
        $this->click(WebDriverBy::xpath(\sprintf(
            '//*[@data-stop="%s"]//fieldset//button[normalize-space(.)="%s"]',
            trim(substr($stop, \strlen('[data-stop="')), '"]'),
            $finding,
        )));
        $this->waitForText(WebDriverBy::cssSelector("$stop button[aria-expanded]"), $finding);
    }

    private function online(bool $is): void
    {
        $tools = new ChromeDevToolsDriver($this->browser);
        $tools->execute('Network.enable');
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => !$is,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }
}
