<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use App\Tests\Support\Starter;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Paper for when the battery is dead: what is on it, how large it is, and back again by keyboard. */
final class PaperTest extends BrowserTestCase
{
    use Prints;

    public function testTheSheetOfAPartHoldsAllThatIsRequiredAndAllThatHarms(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/species/sambucus-nigra');
        $this->click(WebDriverBy::cssSelector('[data-part="flower"] a[href^="/sheet"]'));
        $this->waitForText(WebDriverBy::cssSelector('[data-sheet]'), 'Stop: take nothing if');
        self::assertSame([], $this->axe());
        [$text, $pages, $size] = $this->printed();
        self::assertLessThanOrEqual(2, $pages, 'one leaf of A5, both sides');
        self::assertSame([420, 595], $size, 'A5 upright, in points');
        $text = preg_replace('/\s+/', ' ', $text) ?? '';
        foreach (
            ['Black elder, flowers', 'Sambucus nigra', 'Leave at least two thirds', 'Dwarf elder', 'Red elder'] as $said
        ) {
            self::assertStringContainsString($said, $text);
        }
        $dangers = Starter::shippedNames();
        self::assertGreaterThan(40, \count($dangers));
        foreach ($dangers as $danger) {
            self::assertStringContainsString($danger, $text, 'none that harms is missing');
        }
        $this->press('A5 folded to A6');
        $this->browser
            ->wait(self::PATIENCE, 40)
            ->until(
                fn (): bool => true ===
                    $this->browser->executeScript(
                        'return [...document.querySelectorAll("style")].some(e => e.textContent.includes("landscape"))',
                    ),
            );
        [, $pages, $size] = $this->printed();
        self::assertSame([595, 420], $size, 'A5 lying, to be folded');
        self::assertLessThanOrEqual(2, $pages);
        self::assertSame([], $this->consoleErrors());
    }

    public function testASurveySheetFollowsTheRouteAndOpensNothing(): void
    {
        $this->signIn('Ida Lenz');
        $this->browser->get(Servers::app().'/sheet?route=bark-first');
        $this->waitForText(WebDriverBy::cssSelector('[data-sheet]'), 'A tree nobody knows');
        [$text, $pages] = $this->printed();
        self::assertSame(1, preg_match('/^\s*Bark\s*$.*^\s*Branch and twig\s*$/ms', $text));
        self::assertStringContainsString('Take nothing.', preg_replace('/\s+/', ' ', $text) ?? '');
        self::assertLessThanOrEqual(8, $pages);
    }

    public function testAFilledInSheetIsEnteredInOnePassByKeyboard(): void
    {
        $this->signIn('Marta Ellinger');
        $this->browser->get(Servers::app().'/sheet/enter?taxon=sambucus-nigra&part=flower');
        $this->see(WebDriverBy::name('tag'))->sendKeys('M-01');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Mill meadow');
        $keys = fn (string $typed) => $this->browser->switchTo()->activeElement()->sendKeys($typed);
        $keys(WebDriverKeys::ENTER);
        $lines = $this->browser->findElements(WebDriverBy::cssSelector('li[data-row]'));
        self::assertGreaterThan(8, \count($lines));
        foreach ($lines as $line) {
            $score = Starter::ELDER_AS_SHIPPED[(string) $line->getAttribute('data-row')] ?? null;
            if (null === $score) {
                $keys('x');
            } elseif (\is_array($score[0])) {
                $keys(implode(' ', $score[0]));
            } else {
                $keys($this->numberOf($line->getText(), (string) $line->getAttribute('data-row'), $score[0]));
                $keys(WebDriverKeys::TAB);
                $keys((string) ($score[1] ?? 1));
            }
            $keys(WebDriverKeys::ENTER);
        }
        $keys('y'); // the condition: yes
        $keys(WebDriverKeys::TAB);
        self::assertSame([], $this->axe());
        $keys(WebDriverKeys::ENTER);
        $this->see(WebDriverBy::cssSelector('section [data-gate="cleared"]'));
        self::assertSame([], $this->consoleErrors());

        $this->browser->get(Servers::app().'/sheet/enter?taxon=sambucus-nigra&part=flower');
        $this->see(WebDriverBy::name('tag'))->sendKeys('no such tree');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'No tree has this tag.');
        $this->see(WebDriverBy::cssSelector('[data-row="leaf.arrangement"] input'))->sendKeys('9');
        $this->waitForText(
            WebDriverBy::cssSelector('[data-row="leaf.arrangement"]'),
            'Numbers from 1 to 3, as printed.',
        );
    }

    /** The number that stands before a state on the line. */
    private function numberOf(string $line, string $character, string $state): string
    {
        $label = Starter::labels()[$character][$state] ?? self::fail($character.' '.$state);

        return 1 === preg_match('/(\d+) '.preg_quote($label, '/').'(?: ·|$|\n)/', $line, $found)
            ? $found[1]
            : self::fail($line);
    }
}
