<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** What hands do at the examination table. */
trait AtTheTable
{
    private const ELDER = [
        'twig' => [
            'leaf.arrangement' => ['opposite', 2],
            'twig.woodiness' => ['woody', 1],
            'twig.pith' => ['wide', 1],
            'twig.pith-colour' => ['white', 1],
        ],
        'leaf' => [
            'leaf.kind' => ['pinnate', 1],
            'leaf.leaflet-count' => '5 7',
            'leaf.stipules' => ['none', 2],
            'leaf.margin' => ['saw-teeth', 2],
        ],
        'scent' => ['scent.crushed' => ['rank', 2]],
        'flower' => ['flower.head' => ['flat', 2], 'flower.anthers' => ['yellow', 2]],
    ];
    private const STATION = [
        'twig' => 'Branch',
        'leaf' => 'Leaves',
        'flower' => 'Flowers',
        'scent' => 'Smell',
        'bud' => 'Buds',
    ];

    private function open(string $character): void
    {
        $heading = WebDriverBy::cssSelector('[data-character="'.$character.'"] h3 button');
        if ('true' !== $this->see($heading)->getAttribute('aria-expanded')) {
            $this->click($heading);
        }
    }

    private function station(string $organ): void
    {
        $this->click(
            WebDriverBy::xpath('//nav[@aria-label="Stations"]//button[contains(., "'.self::STATION[$organ].'")]'),
        );
    }

    /** @param array<string, array{string, int}|string> $scores */
    private function scoreAll(string $organ, array $scores): void
    {
        $this->station($organ);
        foreach ($scores as $character => $score) {
            $question = '[data-character="'.$character.'"]';
            $this->open($character);
            if (\is_string($score)) {
                $this->see(WebDriverBy::cssSelector($question.' input'))->sendKeys($score);
            } else {
                $this->click(WebDriverBy::cssSelector($question.' [data-state-id="'.$score[0].'"]'));
                for ($n = 1; $n < $score[1]; ++$n) {
                    $this->click(WebDriverBy::cssSelector($question.' [aria-label="one more"]'));
                }
            }
            $this->click(
                WebDriverBy::xpath('//*[@data-character="'.$character.'"]//button[normalize-space(.)="Record"]'),
            );
            $this->browser
                ->wait(self::PATIENCE, 40)
                ->until(
                    fn (): bool => \is_array(
                        $this->browser->executeScript(
                            'return [...document.querySelectorAll("[role=status]")].some(e => '.
                                'e.checkVisibility() && e.textContent.startsWith("Recorded")) ? [1] : null',
                        ),
                    ),
                );
            $this->click(WebDriverBy::cssSelector('[aria-label="Dismiss"]'));
            $this->station($organ);
        }
    }

    private function seeGate(string $state): void
    {
        $this->see(WebDriverBy::cssSelector('section [data-gate="'.$state.'"]'));
    }
}
