<?php

declare(strict_types=1);

namespace App\Tests\Api;

/** The description of the API is what other programs are written by. */
final class DescriptionTest extends ApiTestCase
{
    public function testEveryPropertyIsDescribed(): void
    {
        $schemas = (array) self::at($this->call('GET', '/api/openapi.json'), 'components.schemas');
        self::assertGreaterThan(60, \count($schemas));
        $silent = [];
        foreach ($schemas as $name => $schema) {
            self::assertIsArray($schema);
            $properties = (array) ($schema['properties'] ?? []);
            if ([] !== $properties && '' === ($schema['description'] ?? '')) {
                $silent[] = $name;
            }
            foreach ($properties as $property => $said) {
                self::assertIsArray($said);
                if ([] === array_intersect(['description', '$ref', 'oneOf', 'anyOf', 'allOf'], array_keys($said))) {
                    // what it refers to says what it is
                    $silent[] = $name.'.'.$property;
                }
            }
        }
        self::assertSame([], $silent, 'say it beside the parameter of the constructor');
    }
}
