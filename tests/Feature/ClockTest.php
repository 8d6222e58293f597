<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use FilesystemIterator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** There is one clock; it can be moved in tests, and nowhere else. */
final class ClockTest extends TestCase
{
    public function test_nothing_else_asks_the_machine_what_time_it_is(): void
    {
        $asks = [
            'app' => [
                'php',
                '/(?<!Clock::)\bnow\(\)|Carbon(Immutable)?::(now|today)|' .
                '(?<!function )(?<![\w>:$])(time|date|mktime|strtotime)\(|new \\\\?DateTime(Immutable)?\(\s*\)|[\'"](today|tomorrow|yesterday)[\'"]/',
                ['app/Time/Clock.php'],
            ],
            'core/src' => [
                'php',
                '/(?<!function )(?<![\w>:$])(time|date|mktime|strtotime|microtime|hrtime)\(|new \\\\?DateTime(Immutable)?\(\s*\)|Carbon/',
                [],
            ],
            'resources/js' => [
                'ts|vue',
                '/new Date\(\)|Date\.now\(\)/',
                ['resources/js/lib/clock.ts', 'resources/js/lib/http.ts', 'resources/js/app.ts'],
            ],
        ];
        $seen = 0;
        $found = [];
        foreach ($asks as $directory => [$endings, $pattern, $allowed]) {
            /** @var SplFileInfo $file */
            foreach (
                new RecursiveIteratorIterator(
                    new RecursiveDirectoryIterator(base_path($directory), FilesystemIterator::SKIP_DOTS),
                )
                as $file
            ) {
                $path = substr($file->getPathname(), strlen(base_path()) + 1);
                if (
                    preg_match("/\.({$endings})$/", $path) !== 1 ||
                    in_array($path, $allowed, true) ||
                    str_ends_with($path, '.test.ts')
                ) {
                    continue;
                }
                $seen++;
                $code = (string) preg_replace(
                    '#/\*.*?\*/|//[^\n]*#s',
                    '',
                    (string) file_get_contents($file->getPathname()),
                );
                if (preg_match($pattern, $code, $what) === 1) {
                    $found[] = "{$path}: {$what[0]}";
                }
            }
        }
        self::assertGreaterThan(300, $seen);
        self::assertSame([], $found);
    }

    /**
     * @return array<string, array{string, string, string}> moment in UTC, day and hour where the crew works: five
     *     hours behind UTC, four in summer time, which goes from the second Sunday of March to the first of November,
     *     02:00 (tz database)
     */
    public static function moments(): array
    {
        return [
            'an hour after midnight in UTC' => ['2026-12-01 01:30:00', '2026-11-30', '20:30'],
            'before clocks go back' => ['2026-11-01 05:59:00', '2026-11-01', '01:59'],
            'after' => ['2026-11-01 06:00:00', '2026-11-01', '01:00'],
            'before clocks go on' => ['2027-03-14 06:59:00', '2027-03-14', '01:59'],
            'after that' => ['2027-03-14 07:00:00', '2027-03-14', '03:00'],
            'a leap day' => ['2028-02-29 05:00:00', '2028-02-29', '00:00'],
            'the last minute of a year' => ['2027-01-01 04:59:00', '2026-12-31', '23:59'],
        ];
    }

    #[DataProvider('moments')]
    #[Group('clock')]
    public function test_days_and_hours_are_those_of_the_crew(string $moment, string $day, string $hour): void
    {
        $this->travelTo($moment);
        self::assertSame(
            [$day, $hour, "{$day} {$hour}"],
            [Clock::day(), Clock::hour(), Clock::local(Clock::now())->format('Y-m-d H:i')],
        );
    }

    public function test_ember_now_is_an_offset_and_is_honoured_in_tests_only(): void
    {
        $says = static function (string $env): array {
            $code =
                'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; ' .
                '$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); $one = ' .
                'App\Time\Clock::milliseconds(); usleep(30000); echo json_encode([$one, ' .
                'App\Time\Clock::milliseconds(), time() * 1000]);';
            $run = new Process(['php', '-r', $code], base_path(), [
                'APP_ENV' => $env,
                'EMBER_NOW' => '2031-01-01T00:00:00+00:00',
                'EMBER_NOW_SINCE' => sprintf('%.6F', microtime(true)),
                'DB_DATABASE' => ':memory:',
            ]);
            $run->mustRun();

            return (array) json_decode($run->getOutput(), true);
        };
        [$one, $two, $real] = $says('testing');
        $there = 1_924_992_000_000;
        self::assertGreaterThanOrEqual($there, $one);
        self::assertLessThan($there + 60_000, $one);
        self::assertGreaterThanOrEqual(30, $two - $one, 'time goes on');
        [$one, , $real] = $says('production');
        self::assertLessThan(60_000, abs($one - $real));
    }

    #[Group('clock')]
    public function test_every_answer_carries_the_time(): void
    {
        $this->travelTo('2026-12-01 09:00:00');
        foreach (['/sign-in', '/nowhere', '/?find=%ff'] as $path) {
            self::assertSame('1796115600000', $this->get($path)->headers->get('X-Ember-Now'), $path);
        }
    }
}
