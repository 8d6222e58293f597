<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\Stage;
use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Job\JobState;
use EmberDusk\Values\JobStage;

/** The Bench stage: tests, observations and readings before mounting. Hand-over is possible without tests; the sheet then says so. */
final readonly class BenchStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Bench;
    }

    public function digit(): int
    {
        return 6;
    }

    public function name(): string
    {
        return 'Bench';
    }

    public function page(): ?string
    {
        return null;
    }

    public function picture(JobState $state): null
    {
        return null;
    }

    public function ledger(JobState $state): array
    {
        return BenchLedger::for($state);
    }

    public function begun(JobState $state): bool
    {
        return $state->bench->entries !== [] || array_filter(array_keys($state->ticks), self::isTest(...)) !== [];
    }

    public function open(JobState $state): int
    {
        if (!$this->begun($state)) {
            return 0;
        }

        return count(
            array_filter(Tests::for($state->plan), static fn(BenchTest $t): bool => !isset($state->ticks[$t->id])),
        );
    }

    public function optional(): bool
    {
        return true;
    }

    private static function isTest(string $tick): bool
    {
        return str_contains($tick, '/');
    }
}
