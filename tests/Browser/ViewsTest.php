<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** Each main view, by day and at dusk: it comes up, nothing complains, and axe finds nothing serious. */
final class ViewsTest extends BrowserTestCase
{
    use AsksDirectly;

    public function testTheDoor(): void
    {
        $this->browser->get(Servers::app().'/');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Look before you name');
        self::assertSame([], $this->axe());
        $this->see(WebDriverBy::cssSelector('input[type=email]'))->sendKeys('nobody@orlebach.example');
        $this->see(WebDriverBy::cssSelector('input[type=password]'))->sendKeys('wrong');
        $this->click(WebDriverBy::xpath('//form//button[normalize-space(.)="Sign in"]'));
        $this->waitForText(WebDriverBy::cssSelector('[role=alert]'), 'Invalid credentials');
    }

    /** @return iterable<string, array{string, string}> */
    public static function views(): iterable
    {
        yield 'Today' => ['/', 'Signed lately'];
        yield 'Begin' => ['/examine', 'Which tree?'];
        yield 'Terms' => ['/terms', 'Glossary'];
        yield 'Species' => ['/species', 'Central European hill country'];
        yield 'A species' => ['/species/taxus-baccata', 'What harms'];
        yield 'Side by side' => ['/compare?taxa=fagus-sylvatica,carpinus-betulus&months=all', 'If it fits neither'];
        yield 'Taken along' => ['/along', 'Waits to be handed in'];
        yield 'A sheet of paper' => ['/sheet?taxon=sambucus-nigra&part=flower', 'Stop: take nothing if'];
        yield 'A filled-in sheet' => ['/sheet/enter?taxon=sambucus-nigra&part=flower', 'In the order of the paper'];
        yield 'What they never show' => ['/review/central-european-hills', 'Strike out any'];
        yield 'Trees' => ['/trees', 'trees'];
        yield 'The map' => ['/trees?as=map', 'drawn'];
        yield 'The year' => ['/year', 'look then, for the window'];
        yield 'A day out' => ['/plan', 'Walk it'];
        yield 'The round by phone' => ['/plan/walk', 'Done, next'];
        yield 'What came when' => ['/phenology', 'Trend'];
        yield 'Recipes' => ['/recipes', 'Fibre and cord'];
        yield 'A recipe' => ['/recipes/acorn-meal?grams=1000', 'It keeps'];
        yield 'What was taken' => ['/harvests', 'One by one'];
        yield 'In the making' => ['/batches', 'Begin a batch'];
        yield 'A new batch' => ['/batches/new', 'Of which harvests?'];
        yield 'Called back' => ['/recalls', 'pull the label'];
        yield 'Poison for animals' => ['/stock?taxon=prunus-avium', 'No record is not proof'];
        yield 'Practice trees' => ['/practice', 'Draw me a tree'];
        yield 'A practice tree' => ['/practice/central-european-hills.06.k3f9x', 'What is it, and what would you do?'];
        yield 'Two minutes' => ['/drills', 'How sure'];
        yield 'What I confuse' => ['/learning', 'By character'];
        yield 'Do we agree' => ['/agreement', 'Flower cluster'];
        yield 'Trust' => ['/trust', 'What was granted'];
        yield 'What we misread' => ['/rates', 'For the next edition'];
        yield 'Cards' => ['/cards?taxon=sambucus-nigra', 'printed pages'];
        yield 'Groups' => ['/groups', 'What can be done at trees'];
        yield 'A group' => ['/groups/b2c1f0de-3f27-4d8e-9c53-000000000000', 'Afterwards'];
        yield 'One tree' => ['/my-tree', 'Print the album'];
        yield 'Walk a place' => ['/surveys', 'Begin a walk'];
        yield 'Pastures' => ['/pastures', 'Lane pasture'];
        yield 'After a storm' => ['/storms', 'Lay a round'];
        yield 'A day’s hazards' => ['/hazards', 'To be read out'];
        yield 'Something swallowed' => ['/swallowed', 'Call first'];
        yield 'Trials' => ['/trials', 'fire steel'];
        yield 'Woods' => ['/woods', 'last in the ground'];
        yield 'Reckon' => ['/reckon', 'A board moves'];
        yield 'Tags' => ['/tags', 'Print'];
        yield 'Files' => ['/exchange', 'Darwin Core Archive'];
        yield 'Devices' => ['/people/devices', 'Position receiver'];
        yield 'Places' => ['/places', 'Enter a place'];
        yield 'A new place' => ['/places/new', 'Rules of the place'];
        yield 'People' => ['/people', 'Who did what'];
        yield 'How the server runs' => ['/running', 'Free where it lies'];
    }

    #[DataProvider('views')]
    public function testEveryViewIsReadableByAll(string $path, string $text): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().$path);
        $this->waitForText(WebDriverBy::cssSelector('main'), $text);
        foreach (
            $this->browser->findElements(WebDriverBy::xpath('//main//label[normalize-space(.)="Find"]/input')) as $field
        ) {
            // a part of a long list is as good as the whole, and looked through in a tenth of the time
            $field->sendKeys('ba');
        }
        self::assertSame([], $this->axe());
        // at dusk nothing but the colours is another
        $this->browser->executeScript('document.documentElement.dataset.theme = "dusk"');
        self::assertSame([], $this->axe(['color-contrast']), 'dusk');
        foreach ([[820, 1180], [390, 844], [360, 780]] as [$width, $height]) {
            $this->resize($width, $height);
            self::assertSame([], $this->wider(), 'nothing reaches beyond a small screen');
        }
        $this->resize(820, 1180);
        $this->browser->executeScript('document.documentElement.style.fontSize = "200%"');
        self::assertSame([], $this->wider(), 'nor with letters twice as large');
        self::assertSame([], $this->consoleErrors());
    }

    public function testEverythingIsFoundFromAnywhereByKeyboard(): void
    {
        $this->signIn('Marta Ellinger');
        $this->see(WebDriverBy::cssSelector('body'))->sendKeys('/');
        $field = $this->see(WebDriverBy::cssSelector('[role=combobox]'));
        $first = fn (): string => $this->see(WebDriverBy::cssSelector('[role=option][aria-selected=true]'))->getText();
        self::assertSame('Examine a tree', $first(), 'pages, where nothing was looked at yet');
        $field->sendKeys('cherry');
        $this->waitForText(WebDriverBy::cssSelector('[role=listbox]'), 'serious');
        self::assertSame([], $this->axe());
        self::assertStringContainsString('serious', $first(), 'a dangerous bearer of the name stands first');
        $field->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'deadly to horses');
        $this->waitForText(WebDriverBy::cssSelector('[role=listbox]'), 'Yew');
        $field->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'mill meadow m-01');
        $this->waitForText(WebDriverBy::cssSelector('[role=listbox]'), 'Trees');
        $field->sendKeys(WebDriverKeys::ENTER);
        $this->waitForText(WebDriverBy::cssSelector('main h1'), 'M-01');
        sleep(2); // a page is remembered once it has been looked at
        $this->see(WebDriverBy::cssSelector('body'))->sendKeys('/');
        self::assertStringContainsString('M-01', $first());
        $this->see(WebDriverBy::cssSelector('[role=combobox]'))->sendKeys('unicorn');
        $this->waitForText(WebDriverBy::cssSelector('[role=dialog]'), 'Nothing answers to that');
        self::assertSame([], $this->consoleErrors());
    }

    public function testATreeWithItsYearsAndADecisionThatExplainsItself(): void
    {
        $this->signIn('Marta Ellinger');
        foreach (
            [
                'M-02' => 'sweet chestnut',
                'M-09' => 'doubts it',
                'M-13' => 'Nobody holds a kind',
                'L-04a' => 'Tags before',
            ] as $tag => $told
        ) {
            $this->browser->get(Servers::app().'/trees');
            $this->see(WebDriverBy::cssSelector('input[type=search]'))->sendKeys($tag);
            $this->click(WebDriverBy::cssSelector('[data-tree="'.$tag.'"]'));
            $this->waitForText(WebDriverBy::cssSelector('main'), $told);
            $this->waitForText(WebDriverBy::cssSelector('main'), 'Find it again');
            self::assertSame([], $this->axe(), $tag);
            $this->resize(390, 844);
            self::assertSame([], $this->wider(), $tag);
            $this->resize(1280, 800);
        }
        $this->browser->get(Servers::app().'/trees?q=M-02');
        $this->click(WebDriverBy::cssSelector('[data-tree="M-02"]'));
        $this->click(WebDriverBy::cssSelector('main a[href^="/decisions/"]'));
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Reckoned again');
        self::assertSame([], $this->axe());
        $this->resize(390, 844);
        self::assertSame([], $this->wider());
        self::assertSame([], $this->consoleErrors());
    }

    public function testADayOutIsPlannedAndWalkedWithThePhone(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/plan');
        $this->see(WebDriverBy::cssSelector('[data-stop]'));
        $stops = \count($this->browser->findElements(WebDriverBy::cssSelector('[data-stop]')));
        self::assertGreaterThan(3, $stops);
        $this->resize(390, 844);
        $this->press('Walk it');
        $first = $this->see(WebDriverBy::cssSelector('[data-next]'))->getAttribute('data-next');
        $this->press('Done, next');
        $this->waitForText(WebDriverBy::cssSelector('main'), '1 done, '.($stops - 1).' to go');
        self::assertNotSame($first, $this->see(WebDriverBy::cssSelector('[data-next]'))->getAttribute('data-next'));
        $this->press('Skip it');
        $this->waitForText(WebDriverBy::cssSelector('main'), '1 done, '.($stops - 2).' to go');
        $this->browser->navigate()->refresh();
        $this->waitForText(WebDriverBy::cssSelector('main'), '1 done, '.($stops - 2).' to go');
        self::assertSame([], $this->consoleErrors());
    }

    public function testWhatCameIsDatedByTwoPressesAndTakenBack(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/trees?q=M-02');
        $this->click(WebDriverBy::cssSelector('[data-tree="M-02"]'));
        $this->see(WebDriverBy::cssSelector('[data-event="first-flower"]'));
        $this->click(WebDriverBy::xpath('//*[@data-event="first-flower"]//button[normalize-space(.)="It has come"]'));
        $this->click(WebDriverBy::xpath('//button[normalize-space(.)="Today"]'));
        $this->waitForText(WebDriverBy::cssSelector('[data-event="first-flower"]'), 'seen on 14 June');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->consoleErrors());
    }

    public function testOneSelectionAsListAndAsMapByKeyToo(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/trees?danger=deadly');
        $this->see(WebDriverBy::cssSelector('[data-tree="L-03"]'));
        $listed = \count($this->browser->findElements(WebDriverBy::cssSelector('[data-tree]')));
        $this->press('Map');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'drawn');
        self::assertStringContainsString('danger=deadly', $this->browser->getCurrentURL());
        for ($i = 0; $i < 8; ++$i) {
            $trees = $this->browser->findElements(WebDriverBy::cssSelector('main svg [role=button][aria-pressed]'));
            ($trees[0] ?? $this->see(WebDriverBy::cssSelector('main svg [role=button]')))->sendKeys(
                WebDriverKeys::ENTER,
            );
            if ([] !== $trees) {
                break; // a cluster only draws larger
            }
        }
        $this->see(WebDriverBy::cssSelector('[data-chosen]'));
        self::assertStringContainsString('tree=', $this->browser->getCurrentURL());
        $this->press('List');
        $this->see(WebDriverBy::cssSelector('[data-tree="L-03"]'));
        self::assertCount($listed, $this->browser->findElements(WebDriverBy::cssSelector('[data-tree]')));
        self::assertSame([], $this->consoleErrors());
    }

    public function testAPlaceWithItsPermissionAndQuotas(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/places');
        $this->click(WebDriverBy::cssSelector('[data-place="Mill meadow"]'));
        $this->waitForText(WebDriverBy::cssSelector('main'), 'of 14 left this year');
        self::assertSame([], $this->axe());
        foreach (['Change the place', 'Record what the owner says'] as $dialog) {
            $this->press($dialog);
            $this->see(WebDriverBy::cssSelector('[role=dialog] form'));
            self::assertSame([], $this->axe(), $dialog);
            $this->resize(360, 780);
            self::assertSame([], $this->wider(), $dialog);
            $this->resize(1280, 800);
            $this->press('Close');
        }
        $this->press('Change the quotas');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->consoleErrors());
    }

    public function testAnExaminationInEveryStateOfTheGate(): void
    {
        $this->signIn('Marta Ellinger');
        foreach (['M-01' => 'cleared', 'M-05' => 'barred', 'L-01' => 'withheld'] as $tag => $state) {
            $decided = array_filter(
                (array) $this->api('GET', '/api/specimens/'.$this->tree($tag).'/known?all=1')['decisions'],
                static fn (mixed $d): bool => \is_array($d) && $d['answer'] === $state,
            );
            $address = array_column($decided, 'examination')[0] ?? null;
            self::assertIsString($address);
            $this->browser->get(Servers::app().'/examine/'.$address);
            $this->see(WebDriverBy::cssSelector('section [data-gate="'.$state.'"]'));
            self::assertSame([], $this->axe(), $state);
            $this->resize(360, 780);
            self::assertSame([], $this->wider(), $state);
            $this->resize(1280, 800);
        }
        self::assertSame([], $this->consoleErrors());
    }

    public function testTwoKindsAreLaidSideBySideAndPrinted(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/species/sambucus-nigra');
        $this->click(WebDriverBy::cssSelector('a[aria-label="Side by side with dwarf elder"]'));
        $main = WebDriverBy::cssSelector('main');
        $this->waitForText($main, 'Look first at the');
        $this->waitForText($main, 'never shows');
        self::assertCount(2, $this->browser->findElements(WebDriverBy::cssSelector('[data-compared]')));
        $now = \count($this->browser->findElements(WebDriverBy::cssSelector('[data-parting]')));
        $this->press('all year');
        $this->browser
            ->wait(self::PATIENCE)
            ->until(
                fn (): bool => \count($this->browser->findElements(WebDriverBy::cssSelector('[data-parting]'))) > $now,
            );
        $this->see(WebDriverBy::cssSelector('main form input'))->sendKeys('red elder'.WebDriverKeys::ENTER);
        $this->see(WebDriverBy::cssSelector('[data-compared="sambucus-racemosa"]'));
        self::assertStringContainsString('sambucus-racemosa', urldecode($this->browser->getCurrentURL()));
        $this->see(WebDriverBy::cssSelector('main form input'))->sendKeys('unicorn tree'.WebDriverKeys::ENTER);
        $this->waitForText($main, 'No kind of this flora goes by that.');
        $this->press('Drop red elder');
        $this->browser
            ->wait(self::PATIENCE)
            ->until(
                fn (): bool => 2 === \count($this->browser->findElements(WebDriverBy::cssSelector('[data-compared]'))),
            );
        $pages = (new ChromeDevToolsDriver($this->browser))->execute('Page.printToPDF');
        $pdf = base64_decode(\is_string($pages['data'] ?? null) ? $pages['data'] : '', true);
        self::assertLessThanOrEqual(3, preg_match_all('~/Type\s*/Page\b~', (string) $pdf), 'a pair on three pages');
        self::assertSame([], $this->consoleErrors());
    }

    public function testAnotherFloraIsChosenAndKeptForTheNextTree(): void
    {
        $this->signIn('Senna Okafor');
        $this->browser->get(Servers::app().'/species');
        $this->chooseFlora('eastern-north-america');
        $this->waitForText(WebDriverBy::cssSelector('h1'), 'Eastern North America');
        $this->see(WebDriverBy::cssSelector('main input'))->sendKeys('persimmon');
        $this->press('Diospyros virginiana');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'beside it also green');
        self::assertSame([], $this->axe());
        $this->browser->get(Servers::app().'/examine');
        $this->waitForText(WebDriverBy::cssSelector('main'), '95 kinds'); // the floras have come
        self::assertSame(
            'eastern-north-america',
            $this->see(WebDriverBy::cssSelector('main select'))->getAttribute('value'),
        );
        $this->chooseFlora('central-european-hills');
        $this->waitForText(WebDriverBy::cssSelector('main'), '85 kinds');
        self::assertSame([], $this->consoleErrors());
    }

    private function chooseFlora(string $name): void
    {
        $this->click(WebDriverBy::cssSelector('main select'));
        $this->click(WebDriverBy::cssSelector('main select option[value="'.$name.'"]'));
    }

    public function testAnInstructorReadsTheSheetAndALearnerLooks(): void
    {
        $this->signIn('Ida Lenz');
        $this->browser->get(Servers::app().'/review/central-european-hills');
        $this->see(WebDriverBy::cssSelector('[data-review="taxus-baccata"]'));
        self::assertEmpty(
            $this->browser->findElements(WebDriverBy::xpath('//button[normalize-space(.)="I doubt it"]')),
        );
        $this->forget();
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/review/central-european-hills');
        $line = '[data-review="taxus-baccata"] [data-line="strap"]';
        $this->click(
            WebDriverBy::xpath(
                '//*[@data-review="taxus-baccata"]//*[@data-line="strap"]//button[normalize-space(.)="I doubt it"]',
            ),
        );
        $this->see(WebDriverBy::cssSelector($line.' input'))->sendKeys('something like it, on the browser’s tree');
        $this->press('Record the doubt');
        $this->waitForText(WebDriverBy::cssSelector($line), 'Doubted: it excludes nothing');
        $this->browser->get(Servers::app().'/species/taxus-baccata');
        $this->waitForText(WebDriverBy::cssSelector('[data-nevers]'), 'on the browser’s tree');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->consoleErrors());
    }

    public function testAnAddressThatLeadsNowhereSaysSo(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/species/quercus-nobody');
        $this->waitForText(WebDriverBy::cssSelector('[role=alert]'), 'No taxon "quercus-nobody" in this flora');
        $this->browser->get(Servers::app().'/specie/quercus-robur');
        $this->waitForText(WebDriverBy::cssSelector('[role=alert]'), '“/specie/quercus-robur” leads nowhere');
        $this->browser->get(Servers::app().'/trees');
        $this->browser
            ->wait(self::PATIENCE)
            ->until(fn (): bool => 'Trees · Hylognosis' === $this->browser->getTitle());
    }
}
