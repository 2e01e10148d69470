<?php

declare(strict_types=1);

// Takes the pictures of docs/screenshots anew, from the demo data:  php tests/Support/take-screenshots.php

use App\Tests\Browser\Servers;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$options = new ChromeOptions();
$options->addArguments([
    '--headless=new',
    '--no-sandbox',
    '--disable-dev-shm-usage',
    '--disable-gpu',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--hide-scrollbars',
    '--force-device-scale-factor=1',
    '--lang=en-GB',
]);
$capabilities = DesiredCapabilities::chrome();
$capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
$browser = RemoteWebDriver::create(Servers::driver(), $capabilities, 20_000, 60_000);
$size = static fn (int $width, int $height) => (new ChromeDevToolsDriver($browser))->execute(
    'Emulation.setDeviceMetricsOverride',
    ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => $width < 600],
);
$js = static fn (string $script, mixed ...$arguments): mixed => $browser->executeScript($script, $arguments);
$go = static function (string $path) use ($browser): void {
    $browser->get(Servers::app().$path);
    usleep(1_500_000);
};
$press = static function (string $words) use ($js): void {
    $js(
        '[...document.querySelectorAll("button, label, a")].find(e => e.checkVisibility() && '.
            '(e.textContent.includes(arguments[0]) || e.ariaLabel === arguments[0])).click()',
        $words,
    );
    usleep(600_000);
};
$shot = static function (string $name) use ($browser): void {
    $browser
        ->wait(30)
        ->until(
            static fn (RemoteWebDriver $b): bool => true ===
                $b->executeScript('return !document.body.textContent.includes("Fetching ")'),
        ); // what is still on its way is no picture
    usleep(500_000);
    $browser->takeScreenshot(dirname(__DIR__, 2).'/docs/screenshots/'.$name.'.png');
};
$tree = static function (string $tag) use ($js): string {
    $id = $js(
        'return fetch(`/api/specimens?q=${arguments[0]}`).then(r => r.json()).then(p => p.trees.find(e => e.tag '.
            '=== arguments[0]).id)',
        $tag,
    );

    return is_string($id) ? $id : throw new RuntimeException('No such tree in the demo.');
};
$examination = static function (string $tag, string $answer) use ($js): string {
    $id = $js(
        'return fetch(`/api/specimens?q=${arguments[0]}`).then(r => r.json()).then(p => p.trees.find(e => e.tag '.
            '=== arguments[0]).id).then(i => fetch(`/api/specimens/${i}/examinations`)).then(r => '.
            'r.json()).then(l => l.find(e => e.answer === arguments[1]).id)',
        $tag,
        $answer,
    );

    return is_string($id) ? $id : throw new RuntimeException('No such examination in the demo.');
};
$record = static function (string $character, string $state, int $samples) use ($js): void {
    $js(
        'const q = document.querySelector(`[data-character="${arguments[0]}"]`); const h = q.querySelector("h3 '.
            'button"); if (h.ariaExpanded === "false") h.click();',
        $character,
    );
    usleep(300_000);
    $js(
        'document.querySelector(`[data-character="${arguments[0]}"] [data-state-id="${arguments[1]}"]`).click()',
        $character,
        $state,
    );
    for ($n = 1; $n < $samples; ++$n) {
        $js('document.querySelector(`[data-character="${arguments[0]}"] [aria-label="one more"]`).click()', $character);
        usleep(60_000);
    }
    $js(
        '[...document.querySelectorAll(`[data-character="${arguments[0]}"] button`)].find(b => b.textContent === '.
            '"Record").click()',
        $character,
    );
    usleep(900_000);
    $js('document.querySelector(`[aria-label="Dismiss"]`)?.click()');
};

try {
    $size(1280, 800);
    $go('/');
    $press('Marta Ellinger');
    usleep(1_500_000);
    $shot('today');
    $go('/trees?as=map');
    $shot('map');
    $go('/trees/'.$tree('M-02'));
    $shot('tree');
    $js('location.href = document.querySelector(`main a[href^="/decisions/"]`).href');
    usleep(1_500_000);
    $shot('decision');
    $go('/places');
    $js('document.querySelector(`[data-place="Mill meadow"]`).click()');
    usleep(1_000_000);
    $shot('place');
    $go('/year');
    $shot('year');
    $go('/plan');
    $shot('plan');
    $go('/pastures');
    $shot('pastures');
    $go('/surveys');
    $js(
        '[...document.querySelectorAll(`main a[href^="/surveys/"]`)]'.
            '.find(a => a.textContent.includes("Mill meadow")).click()',
    );
    usleep(1_200_000);
    $shot('survey');
    $go('/recipes/acorn-meal?grams=5000');
    $shot('recipe');
    $go('/species/prunus-avium');
    $shot('species');
    $go('/compare?taxa=sambucus-nigra,sambucus-ebulus&months=all');
    $shot('compare');
    $go('/sheet?taxon=sambucus-nigra&part=flower');
    $shot('sheet');
    $go('/examine/'.$examination('M-01', 'cleared'));
    $shot('examine-cleared');
    $go('/examine/'.$examination('L-03', 'barred'));
    $shot('examine-barred');
    $go('/examine');
    $press('M-01');
    $press('just looking');
    $press('black elder, flowers');
    $press('Begin');
    usleep(1_200_000);
    $record('leaf.arrangement', 'opposite', 3);
    $record('twig.woodiness', 'woody', 2);
    $press('Leaves');
    $shot('examine-withheld');
    $size(390, 844);
    $press('Round the tree');
    $shot('examine-small');
    $go('/storms');
    $js('document.querySelector(`[name=gust]`).focus()');
    $js(
        'const g = document.querySelector(`[name=gust]`); '.
            'Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, `value`).set.call(g, `95`); '.
            'g.dispatchEvent(new Event(`input`, {bubbles: true}))',
    );
    $press('Lay a round');
    usleep(1_500_000);
    $js('[...document.querySelectorAll(`[data-stop^="Cherry"] button`)][0].click()');
    usleep(400_000);
    $hedge = '[...document.querySelectorAll(`[data-stop^="Cherry"] button`)]';
    $js($hedge.'.find(b => b.textContent === "top out").click()');
    usleep(900_000);
    $js(
        'const g = document.querySelector(`[data-stop^="Cherry"] [name=thick]`); '.
            'Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, `value`).set.call(g, `12`); '.
            'g.dispatchEvent(new Event(`input`, {bubbles: true}))',
    );
    $js($hedge.'.find(b => b.textContent === "Keep").click()');
    usleep(1_200_000);
    $js('scrollTo(0, 0)');
    $shot('storm');
    $size(1280, 800);
    $go('/along');
    $press('Take along');
    $browser
        ->wait(60)
        ->until(
            static fn (RemoteWebDriver $b): bool => true ===
                $b->executeScript('return document.body.textContent.includes("Last heard")'),
        );
    $shot('along');
} finally {
    $browser->quit();
    Servers::stop();
}
