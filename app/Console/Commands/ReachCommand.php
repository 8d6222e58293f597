<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Control\RadioReach;
use EmberDusk\Control\WifiAdvice;
use EmberDusk\Formats\Json;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\School;
use Illuminate\Console\Command;

final class ReachCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:reach {file : a job file, - for standard input} {--wifi=* : Wi-Fi channels in use there, beside those of the notes} ' .
        '{--json : print them as JSON}';

    protected $description = 'Print which devices of a job hear each other: links, hops, nodes whose loss cuts others off, channels that are free';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $roster = RosterOfPlan::of($plan, new School());
            $all = RadioReach::of($roster);
            $lost = array_sum(array_map(static fn(RadioReach $r): int => count($r->lost), $all));
            $wifi = array_values(array_map(intval(...), (array) $this->option('wifi')));
            $advice = WifiAdvice::of($plan, $wifi);
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
