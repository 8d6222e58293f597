<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Formats\Json;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\Order;
use Illuminate\Console\Command;

final class JoinCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:join {file : a job file, - for standard input} {--json : print the steps as JSON}';

    protected $description = 'Print the order in which the controllers of a job are reset and joined';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $steps = Order::of(Kit::of($this->plan()));
            if ($this->option('json')) {
                $this->output->write(Json::pretty($steps));
            } else {
                foreach ($steps as $n => $step) {
                    $this->line(sprintf('%2d  %s  (%s)', $n + 1, $step['title'], $step['where']));
                    $this->line('    ' . $step['why']);
                }
            }

            return 0;
        });
    }
}
