<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use Symfony\Component\Uid\Uuid;

/** From chestnuts that were logged to jars of flour, and back again, with the real pages. */
final class MakingTest extends BrowserTestCase
{
    use AsksDirectly;

    private const CHESTNUT = [
        'leaf.arrangement' => ['alternate', 3],
        'leaf.kind' => ['simple', 3],
        'leaf.margin' => ['bristle-teeth', 4],
        'leaf.outline' => ['lance', 4],
        'leaf.lobes' => ['none', 3],
        'fruit.kind' => ['nut', 6],
        'fruit.husk' => ['fine-spines', 5],
        'fruit.nut' => ['tassel', 6],
        'leaf.evergreen' => ['deciduous', 2],
    ];

    /** Cleared, logged with a float test of forty, cured, milled with two losses, labelled, traced, called back. */
    public function testChestnutsGoThroughTheGateToTheJarAndBack(): void
    {
        $this->signIn('Marta Ellinger');
        $this->day('2027-10-05');
        $begun = $this->api('POST', '/api/examinations', [
            'specimenId' => $this->tree('M-02'),
            'claimTaxon' => 'castanea-sativa',
            'claimPart' => 'nut',
            'date' => '2027-10-05',
        ]);
        self::assertIsString($begun['id']);
        $address = '/api/examinations/'.$begun['id'];
        foreach (self::CHESTNUT as $character => [$state, $samples]) {
            $this->api('POST', $address.'/scores', [
                'id' => Uuid::v4()->toRfc4122(),
                'character' => $character,
                'states' => [$state],
                'samples' => $samples,
            ]);
        }
        $this->browser->get(Servers::app().'/examine/'.$begun['id']);
        $this->see(WebDriverBy::cssSelector('section [data-gate="withheld"]'));
        $this->press('Nine points');
        foreach (['fall' => 'Yes', 'mouldy' => 'No'] as $asked => $answer) {
            $this->click(WebDriverBy::xpath("//fieldset[contains(., '$asked')]//button[normalize-space(.)='$answer']"));
        }
        $this->press('Close');
        $this->see(WebDriverBy::cssSelector('section [data-gate="cleared"]'));
        $this->press('Sign');
        $this->press('Sign as it stands');
        $this->press('Log a harvest');
        $this->waitForText(
            WebDriverBy::cssSelector('[aria-label="What was learnt before"]'),
            'Squirrels early this year',
        );
        $this->see(WebDriverBy::name('amount'))->sendKeys('4,2');
        $this->put('[name=unit]', 'kg');
        $this->see(WebDriverBy::name('minutes'))->sendKeys('55');
        $this->put('[name=count-by]', 'float');
        $this->see(WebDriverBy::name('opened'))->sendKeys('40');
        $this->see(WebDriverBy::name('sound'))->sendKeys('34');
        self::assertSame([], $this->axe());
        $this->press('Put it in the log');
        $this->browser->get(Servers::app().'/harvests?by=kind-year');
        $this->waitForText(
            WebDriverBy::cssSelector('main'),
            '34 of 40 sound (floated in water): of all of them likely 70 to 94 %',
        );
        $this->waitForText(WebDriverBy::cssSelector('main'), 'other years 2.2 kg (3 times)');
        $this->browser->get(Servers::app().'/batches/new');
        $this->click(
            WebDriverBy::xpath('//*[@data-harvest="M-02"][contains(., "5 October 2027")]//input[@type="checkbox"]'),
        );
        $this->choose('By which recipe?', 'Chestnuts, cured, roasted, and as flour');
        $this->choose('Which way?', 'Flour: They are to keep for the year.');
        $name = $this->see(WebDriverBy::name('batch-name'));
        $name->sendKeys([WebDriverKeys::CONTROL, 'a'])->sendKeys('Flour of the year');
        $this->see(WebDriverBy::name('batch-weight'))->sendKeys('4,2');
        $this->press('Begin');
        $this->waitForText(WebDriverBy::cssSelector('h1'), 'Flour of the year');
        $this->done(0, '4,2', '3,6');
        $this->waitForText(WebDriverBy::cssSelector('[data-place="0"]'), '14 % were lost');
        $this->done(1, '', '');
        $this->done(2, '3,6', '1,7');
        $this->done(3, '1,7', '1,35');
        $this->waitForText(WebDriverBy::cssSelector('[data-place="3"]'), '21 % were lost');
        self::assertSame([], $this->browser->findElements(WebDriverBy::name('jars')), 'not before all steps are done');
        $this->done(4, '', '');
        $this->see(WebDriverBy::name('jars'))->sendKeys('3');
        $this->put('[name=best-before]', '2028-08-01');
        $this->press('Label them');
        $this->press('Print the labels');
        $this->waitForText(WebDriverBy::cssSelector('[data-label="3"]'), 'Best before 1 August 2028');
        $this->browser->navigate()->back();
        $this->waitForText(
            WebDriverBy::cssSelector('[data-source="M-02"]'),
            'cleared 5 October 2027, examined by Marta Ellinger',
        );
        $this->press('Call it back');
        $this->see(WebDriverBy::name('recall-because'))->sendKeys('It smells of must.');
        $this->press('Call all of it back');
        $this->waitForText(WebDriverBy::cssSelector('[role=dialog]'), 'Called back: 3 jars.');
        self::assertSame([], $this->consoleErrors());
    }

    /** Six days of cold water, each with a reminder on Today and a taste, and no sooner. */
    public function testAcornsAreLeachedColdOverSixDays(): void
    {
        $this->signIn('Marta Ellinger');
        $acorns = array_column($this->api('GET', '/api/batches/harvests'), 'harvest', 'tag')['S-10'] ?? null;
        self::assertIsString($acorns);
        $id = Uuid::v4()->toRfc4122();
        $this->api('POST', '/api/batches', [
            'id' => $id,
            'name' => 'Meal for dumplings',
            'recipe' => 'acorn-meal',
            'ways' => ['Leach cold'],
            'sources' => [$acorns => 20],
            'grams' => 900,
        ]);
        foreach ([0, 1, 2, 3] as $place) {
            $this->api('PUT', "/api/batches/$id/steps/$place", ['started' => true, 'done' => true]);
        }
        $this->browser->get(Servers::app().'/batches/'.$id);
        $this->press('It has begun');
        $leaching = WebDriverBy::cssSelector('[data-place="4"]');
        $this->waitForText($leaching, 'look after it after 12 hours');
        foreach (range(15, 20) as $n => $day) {
            $this->day('2027-06-'.$day);
            $this->browser->get(Servers::app().'/');
            $this->press('Meal for dumplings');
            $this->see(WebDriverBy::name('check-note'))->sendKeys(5 === $n ? 'Bland' : 'Puckers, day '.($n + 1));
            $this->press(5 === $n ? 'It is' : 'Not yet');
            $this->waitForText($leaching, 5 === $n ? 'Bland' : 'Puckers, day '.($n + 1));
            $next = WebDriverBy::xpath('//*[@data-place="4"]//button[normalize-space(.)="Done, next"]');
            self::assertSame(5 === $n, $this->see($next)->isEnabled());
            $this->press(5 === $n ? 'Done, next' : 'Looked after it');
        }
        $this->waitForText($leaching, 'Done 20 June 2027');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->consoleErrors());
    }

    public function testAStackOfAshDriesByTheStationAndItsHeatIsTold(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/batches');
        $this->press('Ash, the stack behind the saw shed');
        $this->press('How far it has dried');
        $this->waitForText(WebDriverBy::cssSelector('[data-reckon=stack]'), 'Mill meadow');
        $this->click(WebDriverBy::cssSelector('[data-reckon=stack] button[type=submit]'));
        $told = WebDriverBy::cssSelector('[data-reckon=stack] [role=status]');
        $this->waitForText($told, 'After 285 days of weather it holds ');
        $this->waitForText($told, 'Dry most likely by ');
        $this->waitForText($told, 'A stacked cubic metre gives ');
        $this->put(
            '[name=stack-site]',
            array_column($this->api('GET', '/api/sites'), 'id', 'name')['Upper Leiten wood'],
        );
        $this->click(WebDriverBy::cssSelector('[data-reckon=stack] button[type=submit]'));
        $this->waitForText(WebDriverBy::cssSelector('[data-reckon=stack] [role=alert]'), 'No station tells');
        self::assertSame([], $this->axe());
    }

    public function testALoneTreesEmptyNutsAreToldAsSuch(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/harvests?by=tree');
        $empty = WebDriverBy::xpath('//*[@data-taken="S-11"][contains(., "not worth the way")]');
        $this->waitForText($empty, '2 of 40 sound (floated in water)');
        $this->waitForText($empty, 'a lone tree of this kind bears empty fruit');
        $this->click(
            WebDriverBy::xpath('//*[@data-taken="S-11"][contains(., "not worth the way")]//button[.="Correct"]'),
        );
        $this->put('[name=lone]', 'others');
        $this->see(WebDriverBy::name('because'))->sendKeys('There is one behind the wall.');
        $this->press('Correct it');
        $this->waitForText($empty, 'not for want of another tree');
        $this->waitForText($empty, 'There is one behind the wall.');
        self::assertSame([], $this->consoleErrors());
    }

    public function testAFlourIsMadeLabelledTracedAndCalledBack(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/batches/new');
        $this->click(WebDriverBy::cssSelector('[data-harvest="M-02"] input[type=checkbox]'));
        $this->choose('By which recipe?', 'Chestnuts, cured, roasted, and as flour');
        $this->choose('Which way?', 'Flour: They are to keep for the year.');
        $name = $this->see(WebDriverBy::name('batch-name'));
        $name->sendKeys([WebDriverKeys::CONTROL, 'a'])->sendKeys('Flour for the class'); // over what it was called
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
        $names = array_column($this->api('GET', '/api/batches'), 'id', 'name');
        self::assertIsString($names['Flour for the class']);
        $units = $this->api('GET', '/api/batches/'.$names['Flour for the class'])['units'];
        self::assertIsArray($units);
        $jar = array_column($units, 'id')[0] ?? null;
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
            $this->see(WebDriverBy::name($field))->sendKeys([WebDriverKeys::CONTROL, 'a'])->sendKeys($value);
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
            ->wait(self::PATIENCE, 40)
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
