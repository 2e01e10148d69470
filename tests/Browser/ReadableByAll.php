<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** By day, at dusk, on every screen, and with letters twice as large. */
trait ReadableByAll
{
    private function readableByAll(string $path, string $text): void
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
}
