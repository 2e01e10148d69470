<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use App\Tests\Support\Starter;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys;

/** The whole of the main job, from today's page to the log: with nothing but keys, and with nothing but a thumb. */
final class HandsTest extends BrowserTestCase
{
    private const OPEN = '[data-pane="look"] [data-character]:has(h3 button[aria-expanded="true"])';

    public function testByTouchAloneRoundTheTreeARightTreeClearsInFewPressesAndIsLogged(): void
    {
        $this->resize(390, 844);
        $this->signIn('Marta Ellinger');
        $this->tools()->execute('Emulation.setTouchEmulationEnabled', ['enabled' => true, 'maxTouchPoints' => 1]);
        $this->tap(self::named('Examine a tree'));
        $this->tap(WebDriverBy::xpath('//label[contains(., "M-01")]'));
        $this->tap(self::named('just looking'));
        $this->tap(self::named('black elder, flowers'));
        $this->tap(self::named('Begin'));
        $this->see(WebDriverBy::cssSelector('[data-pane="look"]'));
        $this->browser->executeScript('window.presses = 0; addEventListener("click", () => (presses += 1), true)');
        $this->tap(self::named('Round the tree'));
        for ($question = 0; $question < 40; ++$question) {
            $at = $this->asks('[data-round] [data-character]');
            if (null === $at) {
                break;
            }
            $this->answerByThumb($at);
        }
        $this->waitForText(WebDriverBy::cssSelector('[data-round]'), 'What tells most has been looked at');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->wider());
        $this->tap(self::named('Nine points'));
        $this->tap(
            WebDriverBy::xpath('//fieldset[contains(., "flowers of the head open")]//button[normalize-space(.)="Yes"]'),
        );
        $this->tap(self::named('Close'));
        $this->see(WebDriverBy::cssSelector('[data-gate="cleared"]'));
        $presses = $this->browser->executeScript('return presses');
        self::assertIsInt($presses);
        fwrite(\STDERR, \sprintf("\nRound the tree: an elder clears in %d presses\n", $presses));
        self::assertLessThan(60, $presses);
        $this->tap(WebDriverBy::xpath('//button[normalize-space(.)="Gate"]'));
        $this->tap(self::named('Sign'));
        $this->tap(self::named('Sign as it stands'));
        $this->tap(self::named('Log a harvest'));
        $this->see(WebDriverBy::name('amount'))->sendKeys('12');
        $this->tap(self::named('Put it in the log'));
        $this->waitForText(WebDriverBy::cssSelector('main'), '12 heads');
        self::assertSame([], $this->consoleErrors());
    }

    public function testByKeyboardAloneFromTodayToTheLog(): void
    {
        $this->signIn('Marta Ellinger');
        $this->tabTo('Examine a tree', WebDriverKeys::ENTER);
        $this->waitForText(WebDriverBy::cssSelector('h1'), 'Which tree?');
        $this->tabTo('Find a tree by tag', 'M-01');
        $this->browser
            ->wait(self::PATIENCE, 40)
            ->until(
                fn (): bool => 1 ===
                    \count($this->browser->findElements(WebDriverBy::cssSelector('input[type="radio"][name="tree"]'))),
            );
        $this->tabTo('M-01', WebDriverKeys::SPACE);
        $this->tabTo('just looking', WebDriverKeys::ENTER);
        $this->see(WebDriverBy::cssSelector('[role="dialog"]'));
        $this->tabTo('black elder, flowers', WebDriverKeys::ENTER);
        $this->tabTo('Begin', WebDriverKeys::ENTER);
        $this->see(WebDriverBy::cssSelector('[data-pane="look"]'));
        $left = array_diff_key(Starter::ELDER_AS_SHIPPED, ['leaf.teeth' => 1]); // that one is not required
        for ($look = 0; $look < 40 && [] !== $left; ++$look) {
            $this->keys('n');
            $at = $this->asks(self::OPEN);
            self::assertIsString($at, 'the next look stands open');
            $this->answerByKeys($at, Starter::ELDER_AS_SHIPPED[$at] ?? null);
            unset($left[$at]);
        }
        self::assertSame([], $left, 'all that is required was asked for');
        $this->keys('p');
        $this->waitForText(WebDriverBy::cssSelector('[role="dialog"]'), 'flowers of the head open');
        $this->tabTo('Yes', WebDriverKeys::ENTER);
        $this->waitForText(WebDriverBy::cssSelector('[role="dialog"]'), 'All nine are met');
        $this->keys(WebDriverKeys::ESCAPE);
        $this->browser
            ->wait(self::PATIENCE, 40)
            ->until(fn (): bool => [] === $this->browser->findElements(WebDriverBy::cssSelector('[role="dialog"]')));
        $this->see(WebDriverBy::cssSelector('section [data-gate="cleared"]'));
        $this->keys('S');
        $this->see(WebDriverBy::cssSelector('[role="dialog"]'));
        $this->tabTo('Sign as it stands', WebDriverKeys::ENTER);
        $this->see(self::named('Log a harvest'));
        $this->keys('H');
        $this->see(WebDriverBy::name('amount'));
        $this->tabTo('Amount', '12');
        $this->tabTo('Put it in the log', WebDriverKeys::ENTER);
        $this->waitForText(WebDriverBy::cssSelector('main'), '12 heads');
        self::assertSame([], $this->consoleErrors());
    }

    /** Two presses a look: the tile, and on how many. What is not known of this tree is left for later. */
    private function answerByThumb(string $at): void
    {
        $in = '[data-round] [data-character="'.$at.'"]';
        $score = Starter::ELDER_AS_SHIPPED[$at] ?? null;
        if (null === $score) {
            $this->tap(self::named('Later'));
        } elseif (\is_array($score[0])) {
            $this->see(WebDriverBy::cssSelector($in.' input'))->sendKeys(implode(' ', $score[0]));
        } else {
            $this->tap(WebDriverBy::cssSelector($in.' [data-state-id="'.$score[0].'"]'));
        }
        if (null !== $score) {
            $this->tap(WebDriverBy::xpath('(//*[@data-round]//button[contains(., "ecord")][not(@disabled)])[last()]'));
        }
        $this->browser
            ->wait(self::PATIENCE, 40)
            ->until(fn (): bool => [] === $this->browser->findElements(WebDriverBy::cssSelector($in)), $at);
    }

    /** @param array{string|list<int>, int}|array{list<int>}|null $score null: it cannot be seen now */
    private function answerByKeys(string $at, ?array $score): void
    {
        if (null === $score) {
            $this->keys('x');
        } elseif (\is_array($score[0])) {
            $this->tabTo('one for each', implode(' ', $score[0]).WebDriverKeys::ENTER, 'One count for each');
        } else {
            $place = $this->browser->executeScript(
                'return [...document.querySelectorAll(arguments[0])]'.
                    '.findIndex((e) => e.dataset.stateId === arguments[1])',
                ['[data-character="'.$at.'"] [data-state-id]', $score[0]],
            );
            self::assertIsInt($place);
            if ($place < 9) {
                $this->keys((string) ($place + 1));
            } else {
                $label = $this->browser->executeScript(
                    'return document.querySelectorAll(arguments[0])[arguments[1]].textContent.trim()',
                    ['[data-character="'.$at.'"] [data-state-id]', $place],
                );
                self::assertIsString($label);
                $this->tabTo($label, WebDriverKeys::SPACE);
            }
            $this->keys(str_repeat('+', ($score[1] ?? 1) - 1).WebDriverKeys::ENTER);
        }
        $this->browser->wait(self::PATIENCE, 40)->until(fn (): bool => $this->asks(self::OPEN) !== $at, $at);
    }

    /** What the open question asks about. */
    private function asks(string $selector): ?string
    {
        $at = $this->browser->executeScript(
            'return document.querySelector(arguments[0])?.dataset.character ?? null',
            [$selector],
        );

        return \is_string($at) ? $at : null;
    }

    /** Goes on with the tabulator until what is so called has the focus, and presses a key there. */
    private function tabTo(string $words, string $then, string $or = ''): void
    {
        for ($tab = 0; $tab < 160; ++$tab) {
            $here = $this->browser->executeScript(
                'const e = document.activeElement; const of = e.labels?.[0] ?? e; '.
                    'return e.matches("a, button, input, select, textarea, summary") '.
                    '? `${e.ariaLabel ?? ""} ${of.textContent}` : ""',
            );
            if (\is_string($here) && (str_contains($here, $words) || ('' !== $or && str_contains($here, $or)))) {
                $this->keys($then);

                return;
            }
            $this->keys(WebDriverKeys::TAB);
        }
        self::fail('"'.$words.'" cannot be reached with the tabulator.');
    }

    /** To whatever has the focus; once more where the page was drawn anew in between. */
    private function keys(string $keys): void
    {
        $this->browser->wait(self::PATIENCE, 40)->until(function () use ($keys): bool {
            try {
                $this->browser->switchTo()->activeElement()->sendKeys($keys);

                return true;
            } catch (StaleElementReferenceException) {
                return false;
            }
        });
    }

    /** A finger: no mouse comes near it. */
    private function tap(WebDriverBy $by): void
    {
        $this->browser->wait(self::PATIENCE, 40)->until(function () use ($by): bool {
            foreach ($this->browser->findElements($by) as $element) {
                if (!$element->isDisplayed() || !$element->isEnabled()) {
                    continue;
                }
                $at = $this->browser->executeScript(
                    'const e = arguments[0]; e.scrollIntoView({ block: "center", behavior: "instant" }); '.
                        'const r = e.getBoundingClientRect(); const [x, y] = [r.x + r.width / 2, r.y + r.height / 2]; '.
                        'const top = document.elementFromPoint(x, y); '.
                        'const [was, now] = [e.aim, `${x} ${y}`]; e.aim = now; '.
                        'return e.contains(top) && was === now ? [x, y] : null',
                    [$element],
                );
                if (!\is_array($at)) {
                    continue; // something lies over it, or it still moves
                }
                $finger = ['x' => $at[0], 'y' => $at[1]];
                // on a busy machine the finger stays down too long now and then, or what it aims at is pushed away by
                // something that was still being fetched: the page says what was pressed
                $this->browser->executeScript(
                    'const e = arguments[0]; window.tapped = false; addEventListener("click", '.
                        '(c) => (window.tapped = e.contains(c.target) || !e.isConnected ? "it" : "beside"), '.
                        '{ capture: true, once: true })',
                    [$element],
                );
                foreach (['touchStart' => [$finger], 'touchEnd' => []] as $type => $points) {
                    $this->tools()->execute('Input.dispatchTouchEvent', ['type' => $type, 'touchPoints' => $points]);
                }
                for ($waited = 0; $waited < 100; ++$waited) {
                    $tapped = $this->browser->executeScript('return window.tapped ?? null');
                    if (false !== $tapped && 'beside' !== $tapped) {
                        return true; // null: another page came up
                    }
                    usleep(40_000);
                    if ('beside' === $tapped) {
                        break;
                    }
                }

                return $this->isGone($element); // a press beside a dialog closes it too
            }

            return false;
        }, 'Nothing to tap at '.$by->getValue());
    }

    private function isGone(WebDriverElement $element): bool
    {
        usleep(400_000);
        try {
            return !$element->isDisplayed();
        } catch (StaleElementReferenceException) {
            return true;
        }
    }

    private function tools(): ChromeDevToolsDriver
    {
        return new ChromeDevToolsDriver($this->browser);
    }

    private static function named(string $words): WebDriverBy
    {
        return WebDriverBy::xpath(
            \sprintf(
                '//*[self::button or self::a][contains(normalize-space(.), "%1$s") or @aria-label="%1$s"]',
                $words,
            ),
        );
    }
}
