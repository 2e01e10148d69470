<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Symfony\Component\Process\Process;

/** What comes out of a printer. */
trait Prints
{
    /** @return array{string, int, list<int>} text, number of pages, size in points */
    private function printed(): array
    {
        $pages = (new ChromeDevToolsDriver($this->browser))->execute('Page.printToPDF', ['preferCSSPageSize' => true]);
        $pdf = base64_decode(\is_string($pages['data'] ?? null) ? $pages['data'] : '', true);
        self::assertIsString($pdf);
        $text = (new Process(['pdftotext', '-', '-'], input: $pdf))->mustRun()->getOutput();
        $info = (new Process(['pdfinfo', '-'], input: $pdf))->mustRun()->getOutput();
        self::assertSame(1, preg_match('/Page size:\s+([\d.]+) x ([\d.]+)/', $info, $size));
        self::assertSame(1, preg_match('/Pages:\s+(\d+)/', $info, $many));

        return [$text, (int) $many[1], [(int) round((float) $size[1]), (int) round((float) $size[2])]];
    }
}
