<?php

declare(strict_types=1);

namespace Tests;

use PHPUnit\Event\Test\Finished;
use PHPUnit\Event\Test\FinishedSubscriber;
use PHPUnit\Event\Test\Prepared;
use PHPUnit\Event\Test\PreparedSubscriber;
use PHPUnit\Runner\Extension\Extension;
use PHPUnit\Runner\Extension\Facade;
use PHPUnit\Runner\Extension\ParameterCollection;
use PHPUnit\TextUI\Configuration\Configuration;

/**
 * Writes what each test took of the processor into the file that EMBER_TEST_TIMES names, for tests/slowest.php: time by the
 * clock would depend on what else the machine is doing.
 */
final class ProcessorTime implements Extension
{
    private static float $begun = 0.0;

    public function bootstrap(Configuration $configuration, Facade $facade, ParameterCollection $parameters): void
    {
        $file = getenv('EMBER_TEST_TIMES');
        if (!is_string($file) || $file === '') {
            return;
        }
        $facade->registerSubscribers(
            new class implements PreparedSubscriber {
                public function notify(Prepared $event): void
                {
                    ProcessorTime::begin();
                }
            },
            new class ($file) implements FinishedSubscriber {
                public function __construct(private readonly string $file) {}

                public function notify(Finished $event): void
                {
                    $line = sprintf("%.3f\t%s\n", ProcessorTime::taken(), $event->test()->id());
                    file_put_contents($this->file, $line, FILE_APPEND | LOCK_EX);
                }
            },
        );
    }

    public static function begin(): void
    {
        self::$begun = self::seconds();
    }

    public static function taken(): float
    {
        return self::seconds() - self::$begun;
    }

    /** Of this process and its waited-for children. */
    private static function seconds(): float
    {
        $sum = 0.0;
        foreach ([0, 1] as $who) {
            $use = getrusage($who) ?: [];
            foreach (['ru_utime', 'ru_stime'] as $kind) {
                $sum += ($use["{$kind}.tv_sec"] ?? 0) + ($use["{$kind}.tv_usec"] ?? 0) / 1e6;
            }
        }

        return $sum;
    }
}
