<?php

declare(strict_types=1);

/*
 * How long somebody waits, printed: pages on a slow phone link (1.6 Mbit/s, 150 ms, half the processor), a press and
 * its answer on this machine as it is and at a quarter of it. Figures and goals stand in docs/in-the-wood.md.
 *   php tests/Support/measure-pages.php [--without-link]
 */

use App\Tests\Browser\Servers;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const TIMES = 5;
const PRESSES = 12;
// ready: a head line stands there and nothing is being fetched any more; and what kept the page from answering
const WATCH = <<<'JS'
    window.readyAt = null;
    window.long = [0];
    const kept = (l) => l.getEntries().forEach((e) => window.long.push(e.duration));
    new PerformanceObserver(kept).observe({ entryTypes: ["longtask"] });
    const look = () => {
      const main = document.querySelector("main");
      const whole = main?.querySelector("h1, h2") && !main.textContent.includes("Fetching ");
      if (whole) window.readyAt ??= performance.now();
      else requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
    JS;
const BEGIN = <<<'JS'
    const { trees } = await fetch("/api/specimens?q=S-01").then((r) => r.json());
    const hope = { claimTaxon: "sambucus-nigra", claimPart: "flower" };
    const begun = await fetch("/api/examinations", {
      method: "POST",
      headers: { "Content-Type": "application/json", "X-CSRF-Token": "csrf-token" },
      body: JSON.stringify({ id: crypto.randomUUID(), specimenId: trees[0].id, date: "2027-06-14", ...hope }),
    }).then((r) => r.json());
    return begun.id;
    JS;
// the next look stands open after each record; in the beginning it is asked for
const OPEN = <<<'JS'
    const seen = (of) => [...document.querySelectorAll(of)].filter((b) => b.checkVisibility());
    if (seen("[data-state-id]").length === 0)
      seen("button").find((b) => b.textContent.trim().startsWith("Look next"))?.click();
    JS;
// until what came of the press has been painted
const PRESS = <<<'JS'
    const done = arguments[0];
    const tiles = [...document.querySelectorAll("[data-state-id][aria-pressed=false]")];
    const tile = tiles.find((b) => b.checkVisibility());
    const from = performance.now();
    tile.click();
    requestAnimationFrame(() => {
      const after = new MessageChannel();
      after.port1.onmessage = () => done(performance.now() - from);
      after.port2.postMessage(0);
    });
    JS;
const RECORD = <<<'JS'
    const done = arguments[0];
    const record = [...document.querySelectorAll("button:enabled")].find(
      (b) => b.checkVisibility() && b.textContent.trim().startsWith("Record"),
    );
    const from = performance.now();
    new PerformanceObserver((l, o) => {
      if (!l.getEntries().some((e) => e.name.includes("/scores"))) return;
      o.disconnect();
      requestAnimationFrame(() => done(performance.now() - from));
    }).observe({ type: "resource" });
    record.click();
    JS;

$options = new ChromeOptions();
$options->addArguments(['--headless=new', '--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu', '--lang=en-GB']);
$capabilities = DesiredCapabilities::chrome();
$capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
$browser = RemoteWebDriver::create(Servers::driver(), $capabilities, 20_000, 60_000);
$tools = new ChromeDevToolsDriver($browser);
$app = Servers::app();
$js = static fn (string $script): mixed => $browser->executeScript($script);
$text = static function (string $script) use ($browser): string {
    $said = $browser->executeAsyncScript("(async () => { $script })().then(arguments[0])");
    assert(is_string($said));

    return $said;
};
$number = static function (mixed $said): float {
    assert(is_int($said) || is_float($said));

    return (float) $said;
};
$timed = static fn (string $script): float => $number($browser->executeAsyncScript($script));
$ready = static fn (): float => $number(
    $browser->wait(60, 50)->until(static fn (): mixed => $js('return window.readyAt')),
);
$middle = static function (array $of): float {
    sort($of);
    $middle = $of[intdiv(count($of), 2)] ?? \NAN;
    assert(is_float($middle));

    return $middle;
};
$link = static fn (int $latency, int $down, int $up) => $tools->execute('Network.emulateNetworkConditions', [
    'offline' => false,
    'latency' => $latency,
    'downloadThroughput' => $down,
    'uploadThroughput' => $up,
]);
$slower = static fn (int $times) => $tools->execute('Emulation.setCPUThrottlingRate', ['rate' => $times]);

try {
    $tools->execute('Network.enable');
    $tools->execute('Page.addScriptToEvaluateOnNewDocument', ['source' => WATCH]);
    $tools->execute('Emulation.setDeviceMetricsOverride', [
        'width' => 390,
        'height' => 844,
        'deviceScaleFactor' => 1,
        'mobile' => true,
    ]);
    $browser->get($app);
    $marta = '[...document.querySelectorAll("button")].find((b) => b.textContent.includes("Marta Ellinger"))';
    $browser->wait(30, 50)->until(static fn (): bool => null !== $js("return $marta ?? null"));
    $js("$marta.click()");
    $browser
        ->wait(30, 50)
        ->until(static fn (): mixed => $js('return document.querySelector("nav[aria-label=Main]") !== null'));
    $examined = $text('return (await fetch("/api/today").then((r) => r.json())).recent[0].id');
    if (!in_array('--without-link', $argv, true)) {
        $link(150, 200_000, 94_000);
        $slower(2);
        printf("%-24s %9s %9s   slow phone link, half the processor, middle of %d\n", 'page', 'cold', 'warm', TIMES);
        foreach (['/', '/trees', '/species/sambucus-nigra', "/examine/$examined", '/plan/walk', '/along'] as $path) {
            $took = ['cold' => [], 'warm' => []];
            foreach (['cold', 'warm'] as $how) {
                for ($i = 0; $i < TIMES; ++$i) {
                    if ('cold' === $how) {
                        $tools->execute('Network.clearBrowserCache');
                    }
                    $browser->get('about:blank');
                    $browser->get($app.$path);
                    $took[$how][] = $ready();
                }
            }
            printf(
                "%-24s %6.2f s  %6.2f s\n",
                str_replace($examined, ':id', $path),
                $middle($took['cold']) / 1000,
                $middle($took['warm']) / 1000,
            );
        }
        $link(0, -1, -1);
    }
    foreach ([1, 4] as $times) {
        $slower(1);
        $browser->get("$app/examine/".$text(BEGIN));
        $ready();
        sleep(2);
        $slower($times);
        $shown = $answered = $blocked = [];
        for ($i = 0; $i < PRESSES; ++$i) {
            $js(OPEN);
            usleep(400_000);
            $js('window.long = [0]');
            $shown[] = $timed(PRESS);
            $answered[] = $timed(RECORD);
            usleep(300_000);
            $blocked[] = $number($js('return Math.max(...window.long)'));
        }
        printf(
            'processor 1/%d: a press shows in %.0f ms (longest %.0f), the answer to it in %.0f ms (longest %.0f); '.
                "longest task %.0f ms; %d presses\n",
            $times,
            $middle($shown),
            max([0.0, ...$shown]),
            $middle($answered),
            max([0.0, ...$answered]),
            max([0.0, ...$blocked]),
            PRESSES,
        );
    }
} finally {
    $browser->quit();
    Servers::stop();
}
