<?php

declare(strict_types=1);

namespace EmberDusk\Tests;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The rooms of the core: each may use only those before it, and nothing of the application or the framework. */
final class LayeringTest extends TestCase
{
    private const ROOMS = [
        'Values',
        'Survey',
        'Formats',
        'Kit',
        'Plan',
        'Circuit',
        'Reach',
        'Joining',
        'Control',
        'Rates',
        'Parts',
        'Bench',
        'Schedule',
        'Costing',
        'Job',
        'Checks',
        'Handover',
        'Options',
        'Planner',
    ];

    /** Packages that the core may use. */
    private const PACKAGES = ['Opis'];

    public function test_rooms_import_only_rooms_to_their_left(): void
    {
        $seen = 0;
        foreach (self::files() as $file) {
            $room = explode('/', substr($file->getPathname(), strlen(self::root()) + 1))[0];
            $rank = array_search($room, self::ROOMS, true);
            self::assertIsInt($rank, "{$room} is no room");
            foreach (self::names($file) as $name) {
                $parts = explode('\\', $name);
                if ($parts[0] !== 'EmberDusk') {
                    self::assertTrue(
                        count($parts) === 1 || in_array($parts[0], self::PACKAGES, true),
                        "{$file->getFilename()} uses {$name}",
                    );

                    continue;
                }
                $other = array_search($parts[1], self::ROOMS, true);
                self::assertIsInt($other);
                self::assertLessThanOrEqual($rank, $other, "{$room}/{$file->getFilename()} uses {$name}");
                $seen++;
            }
        }
        self::assertGreaterThan(100, $seen);
    }

    /** Guide and belief must not know the simulated devices' state, nor these the beliefs: both are built from instructions alone. */
    public function test_guide_and_simulated_devices_know_nothing_of_each_other(): void
    {
        $seen = 0;
        foreach (self::files() as $file) {
            $path = $file->getPathname();
            if (!str_contains($path, '/Joining/')) {
                continue;
            }
            foreach (self::names($file) as $name) {
                if (preg_match('~/Joining/(Guide|Belief|Order)/~', $path) === 1) {
                    $seen++;
                    self::assertStringNotContainsString('\\Simulation', $name, $file->getFilename());
                }
                if (str_contains($path, '/Simulation/')) {
                    $seen++;
                    self::assertDoesNotMatchRegularExpression(
                        '/(Guide|Belief|Order)\\\\|Joining\\\\(JoinStep|Task|StepBuilder)$/',
                        $name,
                        $file->getFilename(),
                    );
                }
            }
        }
        self::assertGreaterThan(50, $seen);
    }

    /** General joining code knows families by their interface; one line per family names them. */
    public function test_general_joining_names_no_family(): void
    {
        $seen = 0;
        foreach (self::files() as $file) {
            $path = $file->getPathname();
            if (!str_contains($path, '/Joining/') || str_contains($path, '/Families')) {
                continue;
            }
            $seen++;
            foreach (self::names($file) as $name) {
                self::assertStringNotContainsString('\\Families\\', $name, $file->getFilename());
            }
            self::assertDoesNotMatchRegularExpression(
                '/\bfamily\s*[!=]==\s*\'[a-z]|Families::get\(\'|inRole\([^()]*,\s*\'/',
                (string) file_get_contents($path),
                "{$file->getFilename()} names a family: let it say a FamilyFact",
            );
        }
        self::assertGreaterThan(8, $seen);
    }

    /** The core and its tests run without the application. */
    public function test_the_cores_tests_ask_nothing_of_the_application(): void
    {
        $tests = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator(__DIR__, RecursiveDirectoryIterator::SKIP_DOTS),
        );
        $seen = 0;
        foreach ($tests as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $seen++;
                foreach (self::names($file) as $name) {
                    self::assertNotSame('App', explode('\\', $name)[0], "{$file->getFilename()} uses {$name}");
                }
            }
        }
        self::assertGreaterThan(50, $seen);
    }

    public function test_source_files_stay_under_four_hundred_lines(): void
    {
        foreach (self::files() as $file) {
            self::assertLessThan(400, count((array) file($file->getPathname())), $file->getPathname());
        }
    }

    private static function root(): string
    {
        return dirname(__DIR__) . '/src';
    }

    /** @return list<SplFileInfo> */
    private static function files(): array
    {
        $files = [];
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(self::root(), RecursiveDirectoryIterator::SKIP_DOTS),
            )
            as $file
        ) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $files[] = $file;
            }
        }

        return $files;
    }

    /** @return list<string> every class name that a file imports or writes out in full */
    private static function names(SplFileInfo $file): array
    {
        $names = [];
        foreach (token_get_all((string) file_get_contents($file->getPathname())) as $token) {
            if (is_array($token) && in_array($token[0], [T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED], true)) {
                $names[] = ltrim($token[1], '\\');
            }
        }

        return $names;
    }
}
