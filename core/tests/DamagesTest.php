<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use PHPUnit\Framework\TestCase;

/** bin/test tries ten damages of many, drawn by the commit: each of them can be made, so that no draw fails for that. */
final class DamagesTest extends TestCase
{
    public function test_every_damage_stands_once_and_has_its_test(): void
    {
        $root = dirname(__DIR__, 2);
        $damages = require "{$root}/tests/mutants.php";
        self::assertIsArray($damages);
        self::assertGreaterThan(150, count($damages));
        foreach ($damages as $damage) {
            self::assertIsArray($damage);
            [$file, $searched, , $test] = array_map(
                static fn(mixed $part): string => is_string($part) ? $part : '',
                $damage,
            );
            $text = (string) file_get_contents("{$root}/core/src/{$file}");
            self::assertSame(1, substr_count($text, $searched), "{$file}: {$searched}");
            self::assertFileExists("{$root}/core/tests/{$test}");
        }
    }
}
