<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;

/** From chestnuts that were logged to jars of flour, and back again, with the real pages. */
final class MakingTest extends BrowserTestCase
{
    public function testAFlourIsMadeLabelledTracedAndCalledBack(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/batches/new');
        $this->click(WebDriverBy::cssSelector('[data-harvest="M-02"] input[type=checkbox]'));
        $this->choose('By which recipe?', 'Chestnuts, cured, roasted, and as flour');
        $this->choose('Which way?', 'Flour: They are to keep for the year.');
        $name = $this->see(WebDriverBy::name('batch-name'));
        $name->clear()->sendKeys('Flour for the class');
        $this->see(WebDriverBy::name('batch-weight'))->sendKeys('1,35');
        self::assertSame([], $this->axe());
        $this->press('Begin');
        $this->waitForText(WebDriverBy::cssSelector('h1'), 'Flour for the class');
        // what floats is lost, and what is grey
        $this->done(0, '1,35', '1,2');
        $this->press('It has begun');
        $this->waitForText(WebDriverBy::cssSelector('[data-place="1"]'), 'look after it after 24 hours');
        $this->browser->navigate()->refresh();
        $this->waitForText(WebDriverBy::cssSelector('[data-place="1"]'), 'look after it after 24 hours');
        $this->done(1, '', '');
        $this->done(2, '1,2', '0,56');
        $this->done(3, '0,56', '0,44');
        $this->waitForText(WebDriverBy::cssSelector('[data-place="3"]'), '21 % were lost');
        $this->done(4, '', '');
        $this->see(WebDriverBy::name('jars'))->sendKeys('2');
        $this->browser->executeScript(
            'const e = document.querySelector("[name=best-before]"); '.
                'Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(e, "2028-05-01"); '.
                'e.dispatchEvent(new Event("input", {bubbles: true}))',
        );
        $this->press('Label them');
        $this->see(WebDriverBy::cssSelector('[data-jar="2"]'));
        self::assertSame([], $this->axe());
        $this->press('Print the labels');
        $label = $this->see(WebDriverBy::cssSelector('[data-label="1"]'))->getText();
        foreach (
            ['Castanea sativa', 'M-02', 'Allergens: chestnut', 'Best before 1 May 2028', '3 October 2026'] as $stands
        ) {
            self::assertStringContainsString($stands, $label);
        }
        self::assertSame([], $this->axe());
        $jar = $this->browser->executeAsyncScript(
            'const done = arguments[0]; fetch("/api/batches").then(r => r.json()).then(l => '.
                'fetch("/api/batches/" + l.find(b => b.name === "Flour for the class").id)).then(r => r.json()).then(b => done(b.units[0].id))',
        );
        self::assertIsString($jar);
        $this->browser->get(Servers::app().'/jars/'.$jar);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Jar 1: Flour for the class. Best before 1 May 2028');
        $this->waitForText(WebDriverBy::cssSelector('[data-source="M-02"]'), 'examined by Jonas Brandauer');
        $this->press('Call it back');
        $this->see(WebDriverBy::name('recall-because'))->sendKeys('Moths in the mill.');
        $this->press('Call all of it back');
        $this->press('The list');
        $this->waitForText(WebDriverBy::cssSelector('[data-recall="Flour for the class"]'), 'jar 2');
        self::assertSame([], $this->axe());
        $this->browser->get(Servers::app().'/jars/'.$jar);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Called back: Moths in the mill.');
        self::assertSame([], $this->browser->findElements(WebDriverBy::partialLinkText('Print the labels')));
        self::assertSame([], $this->consoleErrors());
    }

    public function testARecipeIsReckonedForWhatIsThere(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/species/quercus-robur');
        $this->press('Acorn meal');
        $this->see(WebDriverBy::name('weight'))->sendKeys('2,5');
        $this->press('Reckon');
        $this->waitForText(WebDriverBy::cssSelector('[data-step="Float"]'), 'water 7.5 kg');
        $this->click(WebDriverBy::xpath('//label[contains(., "Leach hot")]//input'));
        $this->waitForText(WebDriverBy::cssSelector('[data-step="Boil"]'), 'Do not use iron pots');
        self::assertSame([], $this->axe());
        $this->browser->get(Servers::app().'/reckon');
        foreach (
            ['firewood-stacked' => '1', 'firewood-density' => '720', 'firewood-perDay' => '100'] as $field => $value
        ) {
            $this->see(WebDriverBy::name($field))->clear()->sendKeys($value);
        }
        $this->click(WebDriverBy::cssSelector('[data-reckon=firewood] button[type=submit]'));
        $this->waitForText(WebDriverBy::cssSelector('[data-reckon=firewood]'), 'Heat in all of it: 2,');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->consoleErrors());
    }

    private function done(int $place, string $in, string $out): void
    {
        foreach (['step-in' => $in, 'step-out' => $out] as $field => $value) {
            $this->see(WebDriverBy::cssSelector("[data-place=\"$place\"] [name=$field]"))->sendKeys($value);
        }
        $this->click(WebDriverBy::xpath("//*[@data-place=\"$place\"]//button[normalize-space(.)=\"Done, next\"]"));
        $this->waitForText(WebDriverBy::cssSelector("[data-place=\"$place\"]"), 'Done ');
        $this->browser
            ->wait(10, 40)
            ->until(
                fn (): bool => [] ===
                    $this->browser->findElements(WebDriverBy::cssSelector("[data-place=\"$place\"] [name=step-in]")),
            );
    }

    private function choose(string $label, string $option): void
    {
        $by = WebDriverBy::xpath(\sprintf('//label[contains(normalize-space(.), "%s")]//select', $label));
        $this->see($by);
        (new WebDriverSelect($this->browser->findElement($by)))->selectByVisibleText($option);
    }
}
