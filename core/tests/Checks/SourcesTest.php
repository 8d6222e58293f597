<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\CheckList;
use PHPUnit\Framework\TestCase;

/** docs/sources.md lists the registry, and names only existing tests. */
final class SourcesTest extends TestCase
{
    private static function text(): string
    {
        return (string) file_get_contents(dirname(__DIR__, 3) . '/docs/sources.md');
    }

    public function test_the_table_of_rules_is_that_of_the_registry(): void
    {
        self::assertStringContainsString(CheckList::table(), self::text(), 'bin/sources writes it again');
    }

    public function test_every_test_that_is_named_is_there(): void
    {
        preg_match_all('/\b([A-Z]\w+Test)\b/', self::text(), $named);
        $there = [];
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 3) . '/core/tests'))
            as $file
        ) {
            $there[] = basename((string) $file, '.php');
        }
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 3) . '/tests'))
            as $file
        ) {
            $there[] = basename((string) $file, '.php');
        }
        self::assertSame([], array_values(array_unique(array_diff($named[1], $there))));
    }
}
