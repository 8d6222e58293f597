<?php

declare(strict_types=1);

namespace App\Results;

use EmberDusk\Bench\BenchSolver;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Circuit\Fingerprint;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Expected bench values, cached by the island's fingerprint: the next reading of the same wiring needs no solve. */
final readonly class BenchCache implements BenchSolver
{
    /** Goes up whenever the same island may be expected to show something else. */
    private const VERSION = 3;

    public function __construct(private ResultStore $store) {}

    public function expected(Plan $plan, Island $island, array $spots, array $commands): ExpectedReadings
    {
        $of = implode(' ', [
            ...array_map(static fn(MeterSpot $s): string => $s->id, $spots),
            ...array_map(static fn(MeterCommand $c): string => $c->key, $commands),
        ]);
        $key = self::key('expected', $plan, $island) . hash('xxh64', $of);
        $kept = $this->store->get($key);
        if ($kept instanceof ExpectedReadings) {
            return $kept;
        }
        $expected = ExpectedReadings::for($plan, $island, $spots, $commands);
        $this->store->put($key, $expected);

        return $expected;
    }

    public function predictions(Plan $plan, Island $island, Run $run): Predictions
    {
        $key = self::key('predictions', $plan, $island) . $run->id;
        $kept = $this->store->get($key);
        if ($kept instanceof Predictions) {
            return $kept;
        }
        $predictions = Predictions::for($plan, $island, $run);
        $this->store->put($key, $predictions);

        return $predictions;
    }

    /** Spots include names, so names are part of the key. */
    private static function key(string $what, Plan $plan, Island $island): string
    {
        $names = array_map(static fn($p): string => $p->run->name(), $island->parts);

        return "bench.{$what}." .
            self::VERSION .
            '.' .
            Fingerprint::for($plan, $island) .
            hash('xxh64', implode(' ', $names));
    }
}
