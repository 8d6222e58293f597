<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Several processes write to one database file immediately: every acknowledged change is there, numbered without gap or double. */
final class ConcurrencyTest extends TestCase
{
    private const WORKERS = 3;

    private const EACH = 12;

    public function test_no_change_is_lost_and_no_number_given_twice(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'ember');
        $env = ['DB_DATABASE' => $file, 'APP_ENV' => 'testing', 'CACHE_STORE' => 'array', 'EMBER_DEMO' => 'true'];
        $root = dirname(__DIR__, 2);
        $migrate = new Process(['php', 'artisan', 'migrate', '--seed', '--force'], $root, $env);
        self::assertSame(0, $migrate->run(), $migrate->getErrorOutput());
        $workers = [];
        for ($n = 0; $n < self::WORKERS; $n++) {
            $workers[$n] = new Process(
                ['php', __DIR__ . '/../write-changes.php', (string) ($n + 1), (string) self::EACH],
                $root,
                $env,
            );
            $workers[$n]->start();
        }
        foreach ($workers as $worker) {
            self::assertSame(0, $worker->wait());
            self::assertSame('', $worker->getOutput() . $worker->getErrorOutput());
        }
        $rows = new Process(['php', __DIR__ . '/../write-changes.php', 'report'], $root, $env);
        self::assertSame(0, $rows->run(), $rows->getErrorOutput());
        /** @var array{numbers: list<int>, words: list<string>} $report */
        $report = json_decode($rows->getOutput(), true);
        unlink($file);
        self::assertSame(range(1, 1 + self::WORKERS * self::EACH), $report['numbers']);
        self::assertCount(self::WORKERS * self::EACH, array_unique(array_slice($report['words'], 1)));
    }
}
