<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Advice\Slate;
use EmberDusk\Advice\WireDesk;
use EmberDusk\Advice\Work;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Formats\Json;
use EmberDusk\Plan\Plan;
use EmberDusk\Workings\Figure;
use EmberDusk\Workings\Finding;
use EmberDusk\Workings\Trouble;
use Illuminate\Console\Command;

final class SolveCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:solve {file : a job file, - for standard input} {--json : print the result as JSON}';

    protected $description = 'Solve the circuit of a job: volts, amps, light and findings';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $work = new Work($plan, self::results($plan), $this->demoShelf(), []);
            $findings = array_values(array_filter(Slate::of($work), static fn (Finding $f): bool => $f->place->stage !== 'join'));
            $figures = WireDesk::ledger($work);
            if ($this->option('json')) {
                $this->output->write(Json::pretty([
                    'job' => $plan->name,
                    'engine' => Engine::VERSION,
                    'figures' => array_map(static fn (Figure $f): array => $f->toArray(), $figures),
                    'findings' => array_map(static fn (Finding $f): array => $f->toArray(), $findings),
                    'nodes' => (object) self::nodes($plan),
                ]));
            } else {
                foreach ($figures as $f) {
                    $this->line(sprintf('%-24s %10s %s', $f->label, $f->text(), $f->unit));
                }
                foreach ($findings as $f) {
                    $this->line("{$f->severity->value}: {$f->title}. {$f->detail}");
                }
            }

            return $this->verdict($findings);
        });
    }

    /** @return array<string, \EmberDusk\Circuit\RunResult|Trouble> */
    private static function results(Plan $plan): array
    {
        $results = [];
        foreach ($plan->runs as $id => $run) {
            try {
                $results[$id] = Engine::solve($plan, $run);
            } catch (Trouble $t) {
                $results[$id] = $t;
            }
        }

        return $results;
    }

    /** @return array<string, float> */
    private static function nodes(Plan $plan): array
    {
        $nodes = [];
        foreach (Engine::networks($plan) as $network) {
            $nodes += Newton::solve($network)->nodes();
        }

        return $nodes;
    }
}
