<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use PHPUnit\Framework\TestCase;

/** The schemas use only what TypeScript generation supports. */
final class SchemasTest extends TestCase
{
    private const KEYWORDS = [
        '$schema',
        '$id',
        '$defs',
        'title',
        'description',
        'type',
        'const',
        'enum',
        'properties',
        'required',
        'additionalProperties',
        'items',
        '$ref',
        'oneOf',
    ];

    public function test_only_agreed_keywords_are_used(): void
    {
        $files = [...glob(dirname(__DIR__) . '/schema/*.json') ?: [], ...Responses::files()];
        self::assertGreaterThanOrEqual(12, count($files));
        foreach ($files as $file) {
            $schema = json_decode((string) file_get_contents($file), true);
            self::assertIsArray($schema);
            self::check($schema, basename($file));
        }
    }

    /** @param  array<array-key, mixed>  $schema */
    private static function check(array $schema, string $at): void
    {
        self::assertSame([], array_diff(array_map(strval(...), array_keys($schema)), self::KEYWORDS), $at);
        self::assertTrue(!isset($schema['$ref']) || count($schema) === 1, "{$at}: \$ref has siblings");
        self::assertTrue(
            !isset($schema['properties']) || ($schema['additionalProperties'] ?? null) === false,
            "{$at}: unknown fields are let in",
        );
        foreach (['properties', '$defs'] as $map) {
            foreach (is_array($schema[$map] ?? null) ? $schema[$map] : [] as $name => $inner) {
                self::assertIsArray($inner);
                self::check($inner, "{$at}/{$name}");
            }
        }
        foreach (is_array($schema['oneOf'] ?? null) ? $schema['oneOf'] : [] as $n => $inner) {
            self::assertIsArray($inner);
            self::check($inner, "{$at}/oneOf/{$n}");
        }
        if (is_array($schema['items'] ?? null)) {
            self::check($schema['items'], "{$at}/items");
        }
    }
}
