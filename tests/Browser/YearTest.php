<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use App\Tests\Support\Hazel;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Uid\Uuid;

/** The year with the real pages: dates move what is expected, and what is marked in summer is taken in winter. */
final class YearTest extends BrowserTestCase
{
    use AsksDirectly;

    public function testRodsAreMarkedInSummerAndClearInJanuary(): void
    {
        $this->signIn('Marta Ellinger');
        $this->day('2027-09-01');
        $mill = $this->site('Mill meadow');
        $this->browser->get(Servers::app().'/plan?day=2027-09-01&hope=corylus-avellana/rod&site='.$mill);
        $this->waitForText(WebDriverBy::cssSelector('[data-stop="M-07"]'), 'look now, by');
        $this->waitForText(WebDriverBy::cssSelector('[data-stop="M-07"]'), 'to take rods later');
        $tree = $this->tree('M-07');
        $address = $this->looked($tree, ['claimTaxon' => 'corylus-avellana', 'claimPart' => 'rod'], 0);
        $this->browser->navigate()->refresh();
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Nothing calls you out that day');
        $this->forget();
        $this->signIn('Jonas Brandauer');
        $this->browser->get(Servers::app().'/plan?day=2027-09-01&site='.$mill);
        $this->waitForText(WebDriverBy::cssSelector('[data-stop="M-07"]'), 'waits for a second person');
        $this->looked($tree, ['secondOf' => basename($address)], 1);
        $this->forget();
        $this->signIn('Marta Ellinger');
        $this->day('2028-01-15');
        $this->api('POST', "/api/sites/$mill/permissions", [
            'owner' => 'Orlebach parish',
            'given' => true,
            'said' => 'spoken',
            'saidOn' => '2028-01-10',
            'parts' => [],
            'until' => '2028-12-31',
            'note' => '',
        ]);
        $this->browser->get(Servers::app().'/examine/'.basename($address));
        $this->see(WebDriverBy::cssSelector('section [data-gate="withheld"]'));
        $this->press('Nine points'); // eight are met: nobody has said how thick the rods are
        $this->click(WebDriverBy::xpath('//fieldset[contains(., "thumb")]//button[normalize-space(.)="Yes"]'));
        $this->press('Close');
        $this->see(WebDriverBy::cssSelector('section [data-gate="cleared"]'));
        self::assertSame([], $this->consoleErrors());
    }

    public function testALateSpringEnteredByThreeDatesMovesTheWindowsOfTheSite(): void
    {
        $this->signIn('Marta Ellinger');
        $wood = $this->site('Upper Leiten wood');
        $windows = function () use ($wood): array {
            $year = $this->api('GET', '/api/year?all=1&site='.$wood);
            $likely = [];
            foreach ((array) $year['rows'] as $row) {
                \assert(\is_array($row) && \is_string($row['taxon']) && \is_string($row['part']));
                $next = \is_array($row['next']) ? $row['next'] : [];
                if (false === ($next['fixed'] ?? null) && \is_array($next['from'])) {
                    $likely[$row['taxon'].' '.$row['part']] = $next['from']['likely'];
                }
            }

            return $likely;
        };
        $before = $windows();
        $entered = 0;
        foreach ((array) $this->api('GET', '/api/specimens?site='.$wood)['trees'] as $tree) {
            \assert(\is_array($tree) && \is_string($tree['id']));
            foreach ((array) $this->api('GET', '/api/specimens/'.$tree['id'].'/season')['expected'] as $e) {
                if (
                    $entered >= 3
                    || !\is_array($e)
                    || 'first-flower' !== $e['event']
                    || null !== $e['seen']
                    || !\is_array($e['day'])
                    || !\is_string($e['day']['likely'])
                ) {
                    continue;
                }
                $late = (new \DateTimeImmutable($e['day']['likely']))->modify('+14 days')->format('Y-m-d');
                if ($late <= '2027-06-14') {
                    $this->dateOnThePage($tree['id'], $late);
                    ++$entered;
                }
            }
        }
        self::assertSame(3, $entered);
        $this->browser->get(Servers::app().'/year?site='.$wood);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'days late (give or take');
        $moved = 0;
        foreach ($windows() as $part => $day) {
            if ($before[$part] > '2027-06-14' && $before[$part] < '2027-10-01') {
                self::assertGreaterThan($before[$part], $day, $part);
                ++$moved;
            }
        }
        self::assertGreaterThan(5, $moved);
        self::assertSame([], $this->axe());
        self::assertSame([], $this->consoleErrors());
    }

    public function testADayWithNineTreesIsPrintedTakenAlongAndWalked(): void
    {
        $this->signIn('Marta Ellinger');
        $this->day('2027-09-20');
        $this->browser->get(Servers::app().'/plan?day=2027-09-20');
        $this->see(WebDriverBy::cssSelector('[data-stop]'));
        $all = $this->tags();
        self::assertGreaterThanOrEqual(9, \count($all));
        foreach (\array_slice($all, 9) as $tag) {
            $this->press("Leave $tag out");
            $this->browser->wait(self::PATIENCE, 40)->until(fn (): bool => !\in_array($tag, $this->tags(), true));
        }
        $nine = $this->tags();
        self::assertCount(9, $nine);
        self::assertSame([], $this->axe());
        $this->onPaper($nine);
        $href = $this->see(WebDriverBy::partialLinkText('GPX'))->getAttribute('href');
        $gpx = $this->browser->executeScript(
            'const r = new XMLHttpRequest(); r.open("GET", arguments[0], false); r.send(); return r.responseText',
            [$href],
        );
        $route = new \DOMDocument();
        self::assertTrue($route->loadXML(\is_string($gpx) ? $gpx : ''));
        $points = [];
        foreach ($route->getElementsByTagName('rtept') as $point) {
            $points[] = $point->getElementsByTagName('name')->item(0)?->textContent;
        }
        self::assertSame($nine, array_values(array_intersect($points, $nine)), 'in the order of the sheet');
        $this->resize(390, 844);
        $this->press('Walk it');
        $met = [];
        for ($i = 1; $i <= 9; ++$i) {
            $met[] = $next = $this->see(WebDriverBy::cssSelector('[data-next]'))->getAttribute('data-next');
            $this->press(4 === $i ? 'Skip it' : 'Done, next');
            $this->browser
                ->wait(self::PATIENCE, 40)
                ->until(
                    fn (): bool => [] ===
                        $this->browser->findElements(WebDriverBy::cssSelector("[data-next=\"$next\"]")),
                );
        }
        self::assertEqualsCanonicalizing($nine, $met, 'each once');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'That was the round');
        $this->waitForText(WebDriverBy::cssSelector('main'), '8 done, 0 to go');
        self::assertSame([], $this->consoleErrors());
    }

    public function testWhatHangsOnATreeIsNotedByOnePressAndADayIsKept(): void
    {
        $this->signIn('Marta Ellinger');
        $this->day('2027-07-20');
        $this->browser->get(Servers::app().'/trees/'.$this->tree('M-02'));
        $this->waitForText(WebDriverBy::cssSelector('[data-crop="nut"]'), 'One person may bring home some');
        $this->click(WebDriverBy::xpath('//*[@data-crop="nut"]//button[normalize-space(.)="Poor"]'));
        $this->waitForText(WebDriverBy::cssSelector('[data-crop="nut"]'), 'Somebody looked: the crop is poor.');
        self::assertSame([], $this->axe());
        $this->click(WebDriverBy::xpath('//summary[contains(., "What hung on it")]'));
        $this->press('Take back: nuts, 2027');
        $this->waitForText(WebDriverBy::cssSelector('[data-crop="nut"]'), 'The last good year here');
        $this->day('2027-06-14');
        $this->browser->get(Servers::app().'/plan?day=2027-06-20');
        $this->click(WebDriverBy::xpath('//summary[contains(., "Days that are kept")]'));
        $this->see(WebDriverBy::name('plan-name'))->sendKeys('Elder for the whole class');
        $this->press('Keep 20 June 2027');
        $this->waitForText(WebDriverBy::cssSelector('[data-kept="2027-06-20"]'), 'Elder for the whole class');
        self::assertSame([], $this->axe());
        $this->press('Give it up: 20 June 2027');
        $this->browser
            ->wait(self::PATIENCE, 40)
            ->until(
                fn (): bool => [] === $this->browser->findElements(WebDriverBy::cssSelector('[data-kept="2027-06-20"]')),
            );
        self::assertSame([], $this->consoleErrors());
    }

    /** @return list<string> tags on the sheet, in their order */
    private function tags(): array
    {
        $tags = $this->browser->executeScript(
            'return [...document.querySelectorAll("[data-stop]")].map(e => e.dataset.stop)',
        );

        return \is_array($tags) ? array_values(array_filter($tags, is_string(...))) : [];
    }

    /** @param list<string> $tags */
    private function onPaper(array $tags): void
    {
        $tools = new ChromeDevToolsDriver($this->browser);
        $tools->execute('Emulation.setEmulatedMedia', ['media' => 'print']);
        $seen = $this->browser->executeScript(
            'return {text: document.querySelector("main").innerText, '.
                'pressed: [...document.querySelectorAll("button, nav")].filter(e => e.checkVisibility()).length}',
        );
        $pages = $tools->execute('Page.printToPDF');
        $tools->execute('Emulation.setEmulatedMedia', ['media' => '']);
        self::assertIsArray($seen);
        self::assertIsString($seen['text']);
        self::assertSame(0, $seen['pressed'], 'nothing to press stands on paper');
        foreach ($tags as $tag) {
            self::assertStringContainsString($tag, $seen['text']);
        }
        $pdf = base64_decode(\is_string($pages['data'] ?? null) ? $pages['data'] : '', true);
        self::assertStringStartsWith('%PDF', (string) $pdf);
        self::assertLessThanOrEqual(3, preg_match_all('~/Type\s*/Page\b~', (string) $pdf), 'nine trees on three pages');
    }

    private function dateOnThePage(string $tree, string $day): void
    {
        $this->browser->get(Servers::app().'/trees/'.$tree);
        $this->click(WebDriverBy::xpath('//*[@data-event="first-flower"]//button[normalize-space(.)="It has come"]'));
        $this->see(WebDriverBy::name('event-on'));
        $this->browser->executeScript(
            'const e = document.querySelector("[name=event-on]"); '.
                'Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(e, arguments[0]); '.
                'e.dispatchEvent(new Event("input", {bubbles: true}))',
            [$day],
        );
        $this->click(WebDriverBy::xpath('//form[.//input[@name="event-on"]]//button[normalize-space(.)="Keep it"]'));
        $this->waitForText(WebDriverBy::cssSelector('[data-event="first-flower"]'), 'seen on');
    }

    /**
     * An examination of the hazel, signed; by the pages it is made in ExamineTest.
     *
     * @param array<string, string> $about
     *
     * @return string its address
     */
    private function looked(string $tree, array $about, int $more): string
    {
        $begun = $this->api('POST', '/api/examinations', $about + ['specimenId' => $tree, 'date' => '2027-09-01']);
        self::assertIsString($begun['id']);
        $address = '/api/examinations/'.$begun['id'];
        foreach (Hazel::SHOWS as $character => [$state, $samples]) {
            $this->api('POST', $address.'/scores', [
                'id' => Uuid::v4()->toRfc4122(),
                'character' => $character,
                'states' => [$state],
                'samples' => $samples + $more,
            ]);
        }
        $this->api('POST', $address.'/sign');

        return $address;
    }
}
