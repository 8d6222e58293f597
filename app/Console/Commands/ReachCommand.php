<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Control\RadioReach;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\School;
use EmberDusk\Reach\Channels;
use Illuminate\Console\Command;

final class ReachCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:reach {file : a job file, - for standard input} {--wifi=* : Wi-Fi channels in use there}';

    protected $description = 'Print which devices of a job hear each other: links, hops, nodes whose loss cuts others off, channels that are free';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $roster = RosterOfPlan::of($this->plan(), new School());
            $lost = 0;
            foreach (RadioReach::of($roster) as $reach) {
                array_map($this->line(...), $reach->lines($roster));
                $lost += count($reach->lost);
            }
            $wifi = array_values(array_map(intval(...), (array) $this->option('wifi')));
            if ($wifi !== []) {
                $this->line(
                    'Zigbee channels beside Wi-Fi ' .
                        implode(', ', $wifi) .
                        ': ' .
                        (implode(', ', Channels::free($wifi)) ?: 'none is free: move the Wi-Fi first'),
                );
            }

            return $lost === 0 ? self::SUCCESS : self::FAILURE;
        });
    }
}
