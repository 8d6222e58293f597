<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Advice\Planner\Planner;
use EmberDusk\Formats\Json;
use Illuminate\Console\Command;

final class AdviseCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:advise {file : a job file, - for standard input} {--json : print the result as JSON}';

    protected $description = 'Propose the cheapest feeds and cables that hold the limits, with reasons';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $proposals = [];
            $held = true;
            foreach (Planner::together($plan) as $runs) {
                $proposal = Planner::of($plan, $runs, $this->demoShelf());
                $held = $held && $proposal->found !== null;
                $proposals[] = $proposal->toArray($plan);
            }
            if ($this->option('json')) {
                $this->output->write(Json::pretty(['job' => $plan->name, 'proposals' => $proposals]));
            } else {
                foreach ($proposals as $of) {
                    $way = $of['found'] ?? $of['nearest'];
                    $this->line($way === null ? implode(', ', $of['broken']) : sprintf('%s: %s %s, %d joints, evenness %s%s', $of['found'] === null ? 'nearest' : 'cheapest',
                        $way['label'], $way['cost']['text'].' '.$way['cost']['unit'], $way['joints'], $way['evenness'], $of['found'] === null ? ' ('.implode(', ', $of['broken']).')' : ''));
                    foreach ($of['cheaper'] as $cheaper) {
                        $this->line("    {$cheaper['cost']['text']} {$cheaper['label']}: ".implode(', ', $cheaper['broken']));
                    }
                }
            }

            return $held ? 0 : 1;
        });
    }
}
