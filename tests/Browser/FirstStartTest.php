<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** From an empty database to two people who work with it. */
final class FirstStartTest extends BrowserTestCase
{
    private const SENTENCE = 'three owls in the old ash';

    public function testASchoolIsBegunAndSomebodyJoins(): void
    {
        $db = \dirname(__DIR__, 2).'/var/first.db';
        Servers::empty($db);
        $word = trim(Servers::console($db, 'hylognosis:begin'));
        $address = Servers::serve($db, demo: false);
        try {
            $this->begin($address, $word);
            $this->browser->get($address.'/people');
            $this->fill(['invited' => 'Nora']);
            $this->press('Make the link');
            $link = $this->see(WebDriverBy::cssSelector('[data-link]'))->getText();
            self::assertStringStartsWith($address.'/join/', $link);
            self::assertSame([], $this->axe());
            $this->forget();
            $this->join($link);
            $this->forget();
            $this->browser->get($link);
            $this->waitForText(WebDriverBy::cssSelector('[role=alert]'), 'works no more');
        } finally {
            Servers::kill();
        }
    }

    private function begin(string $address, string $word): void
    {
        $this->browser->get($address);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Nobody has an account here yet');
        self::assertSame([], $this->axe());
        $this->resize(360, 780);
        self::assertSame([], $this->wider());
        $this->resize(1280, 800);
        $this->fill([
            'word' => 'not the word at all',
            'name' => 'The school under the ash',
            'place' => 'Ashfold',
            'latitude' => '47,12',
            'longitude' => '15.31',
            'altitude' => '560',
            'person' => 'Alma Weir',
            'email' => 'alma@ashfold.example',
            'password' => self::SENTENCE,
        ]);
        $this->press('Begin');
        $this->waitForText(WebDriverBy::cssSelector('form'), 'That is not the word');
        $this->fill(['word' => $word]);
        $this->press('Begin');
        $this->waitForText(WebDriverBy::cssSelector('main'), 'At Ashfold');
    }

    private function join(string $link): void
    {
        $this->resize(390, 844);
        $this->browser->get($link);
        $this->waitForText(WebDriverBy::cssSelector('main'), 'Alma Weir invites Nora to join as a learner');
        self::assertSame([], $this->axe());
        self::assertSame([], $this->wider());
        $this->see(WebDriverBy::cssSelector('input[type=email]'))->sendKeys('nora@ashfold.example');
        $this->see(WebDriverBy::cssSelector('input[type=password]'))->sendKeys(self::SENTENCE);
        $this->press('Join');
        $this->waitForText(WebDriverBy::cssSelector('header'), 'learner');
        self::assertSame([], $this->consoleErrors());
        $this->resize(1280, 800);
    }

    /** @param array<string, string> $fields by name */
    private function fill(array $fields): void
    {
        foreach ($fields as $name => $text) {
            $field = $this->see(WebDriverBy::cssSelector('input[name="'.$name.'"]'));
            $field->clear();
            $field->sendKeys($text);
        }
    }
}
