<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Screens\Wire\WireScreen;
use EmberDusk\Checks\Findings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Formats\Json;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;
use Illuminate\Console\Command;

final class SolveCommand extends Command
{
    use PicksPhase;
    use ReadsJobFile;

    protected $signature =
        'ember:solve {file : a job file, - for standard input} {--scene= : a scene by its id or name, ' .
        'instead of all at full} {--phase=1 : which phase of the dimming the volts are of} {--json : ' .
        'print the result as JSON}';

    protected $description = 'Solve the circuit of a job: volts, amps, light and findings';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $scene = $this->scene($plan);
            $state = new JobState($plan, self::results($plan, $scene), $this->demoShelf(), []);
            $findings = array_values(
                array_filter(
                    (new Findings($state))->for(),
                    static fn(Finding $f): bool => $f->place->stage !== JobStage::Join,
                ),
            );
            $figures = WireScreen::ledger($state);
            if ($this->option('json')) {
                $this->output->write(
                    Json::pretty([
                        'job' => $plan->name,
                        'engine' => Engine::VERSION,
                        'figures' => array_map(static fn(Figure $f): array => $f->write(), $figures),
                        'findings' => array_map(self::finding(...), $findings),
                        'nodes' => (object) self::nodes((new Engine($plan))->networks($scene, $this->phase())),
                    ]),
                );
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

    /** @return array<string, RunResult|FixtureResult|Refusal> by run and by fitting */
    private static function results(Plan $plan, ?Scene $scene): array
    {
        $results = [];
        foreach (Island::all($plan) as $island) {
            try {
                $results +=
                    $scene === null
                        ? (new Engine($plan))->island($island)
                        : (new Engine($plan))->scene($island, $scene);
            } catch (Refusal $t) {
                $results += array_map(static fn(): Refusal => $t, $island->parts + $island->fixtures);
            }
        }

        return $results;
    }

    /**
     * @param  list<Network>  $networks
     * @return array<string, float>
     */
    private static function nodes(array $networks): array
    {
        $nodes = [];
        foreach ($networks as $network) {
            try {
                $nodes += Newton::solve($network)->nodes();
            } catch (NoSolution) {
                // That island is a finding; volts of the others are still shown.
                continue;
            }
        }

        return $nodes;
    }

    /** @return array<string, mixed> code, severity, place, title, text for scripts; the rest as on the screens */
    private static function finding(Finding $finding): array
    {
        return $finding->write() + [
            'text' => $finding->detail,
            'number' => $finding->number,
            'limit' => $finding->limit,
        ];
    }
}
