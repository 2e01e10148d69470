<?php

declare(strict_types=1);

namespace App\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use PHPUnit\Framework\Attributes\After;

/** What the pages ask, asked without them, where it is not what a test is about. */
trait AsksDirectly
{
    #[After]
    protected function backToTheDayOfTheDemo(): void
    {
        $this->signIn('Marta Ellinger');
        $this->day('2027-06-14');
    }

    /** A field that takes no keys one by one: a day, a slider. */
    private function put(string $field, mixed $value): void
    {
        $element = $this->see(WebDriverBy::cssSelector($field));
        if ('select' === $element->getTagName() && \is_string($value)) {
            // what there is to choose from may still be on its way
            $choice = WebDriverBy::cssSelector($field.' option[value="'.$value.'"]');
            $this->browser
                ->wait(self::PATIENCE, 40)
                ->until(fn (): bool => [] !== $this->browser->findElements($choice), "$value at $field");
        }
        $this->browser->executeScript(
            'const e = document.querySelector(arguments[0]); '.
                'const of = e instanceof HTMLSelectElement ? HTMLSelectElement : HTMLInputElement; '.
                'Object.getOwnPropertyDescriptor(of.prototype, "value").set.call(e, arguments[1]); '.
                'e.dispatchEvent(new Event(e instanceof HTMLSelectElement ? "change" : "input", {bubbles: true}))',
            [$field, $value],
        );
    }

    private function day(string $day): void
    {
        $this->api('PUT', '/api/demo/day', ['day' => $day]);
    }

    private function site(string $name): string
    {
        $id = array_column($this->api('GET', '/api/sites'), 'id', 'name')[$name] ?? null;

        return \is_string($id) ? $id : self::fail('No such place.');
    }

    private function tree(string $tag): string
    {
        $id = array_column((array) $this->api('GET', '/api/specimens?q='.$tag)['trees'], 'id', 'tag')[$tag] ?? null;

        return \is_string($id) ? $id : self::fail('No such tree.');
    }

    /**
     * What the pages would ask, asked from the page.
     *
     * @param array<string, mixed>|null $body
     *
     * @return array<mixed>
     */
    private function api(string $method, string $path, ?array $body = null): array
    {
        $answer = $this->browser->executeScript(
            'const r = new XMLHttpRequest(); r.open(arguments[0], arguments[1], false); '.
                'r.setRequestHeader("Content-Type", "application/json"); '.
                'r.setRequestHeader("Accept", "application/json"); '.
                'r.setRequestHeader("X-CSRF-Token", "csrf-token"); '.
                'r.send(arguments[2]); return [r.status, r.responseText]',
            [$method, $path, null === $body ? null : json_encode($body, \JSON_THROW_ON_ERROR)],
        );
        self::assertIsArray($answer);
        self::assertSame(200, $answer[0], $method.' '.$path.': '.(\is_string($answer[1]) ? $answer[1] : ''));
        $decoded = json_decode(\is_string($answer[1]) ? $answer[1] : '', true);

        return \is_array($decoded) ? $decoded : [];
    }
}
