<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;

/** Islands of the shipped demo jobs, each solved once for all tests of a class. */
trait DemoIslands
{
    /** @return array{Plan, Island, Predictions} */
    private static function island(string $job, string $run): array
    {
        static $kept = [];
        if (!isset($kept["{$job} {$run}"])) {
            $plan = JobFile::read(Demo::shipped($job));
            $island = Island::for($plan, $plan->run($run));
            assert($island !== null);
            $kept["{$job} {$run}"] = [$plan, $island, Predictions::for($plan, $island, $plan->run($run))];
        }

        return $kept["{$job} {$run}"];
    }
}
