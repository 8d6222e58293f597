<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Control\RadioReach;
use EmberDusk\Control\WifiAdvice;
use EmberDusk\Formats\Json;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use Illuminate\Console\Command;

final class ReachCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:reach {file : a job file, - for standard input} {--wifi=* : Wi-Fi channels in use on site, besides those in the notes} ' .
        '{--json : print them as JSON}';

    protected $description = 'Print the radio reach of a job: links, hops, critical nodes and free channels';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $roster = RosterOfPlan::for($plan, new TimingMethod());
            $all = RadioReach::for($roster);
            $lost = array_sum(array_map(static fn(RadioReach $r): int => count($r->lost), $all));
            $wifi = array_values(array_map(intval(...), (array) $this->option('wifi')));
            $advice = WifiAdvice::for($plan, $wifi);
            if ($this->option('json')) {
                $this->output->write(
                    Json::pretty([
                        'reach' => array_map(static fn(RadioReach $r): array => get_object_vars($r), $all),
                        'wifi' => get_object_vars($advice),
                    ]),
                );
            } else {
                foreach ($all as $reach) {
                    array_map($this->line(...), $reach->lines($roster));
                }
                if ($advice->words() !== '') {
                    $this->line($advice->words());
                }
            }

            if ($lost === 0) {
                return self::SUCCESS;
            }

            return self::FAILURE;
        });
    }
}
