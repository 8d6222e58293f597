<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Control\RadioReach;
use EmberDusk\Control\WifiAdvice;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\School;
use Illuminate\Console\Command;

final class ReachCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:reach {file : a job file, - for standard input} {--wifi=* : Wi-Fi channels in use there, beside those of the notes}';

    protected $description = 'Print which devices of a job hear each other: links, hops, nodes whose loss cuts others off, channels that are free';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $roster = RosterOfPlan::of($plan, new School());
            $lost = 0;
            foreach (RadioReach::of($roster) as $reach) {
                array_map($this->line(...), $reach->lines($roster));
                $lost += count($reach->lost);
            }
            $wifi = array_values(array_map(intval(...), (array) $this->option('wifi')));
            $advice = WifiAdvice::of($plan, $wifi)->words();
            if ($advice !== '') {
                $this->line($advice);
            }

            if ($lost === 0) {
                return self::SUCCESS;
            }

            return self::FAILURE;
        });
    }
}
