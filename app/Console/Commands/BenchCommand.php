<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\FaultPlace;
use EmberDusk\Bench\Faults\BenchRun;
use EmberDusk\Bench\Faults\Fault;
use EmberDusk\Bench\Faults\FaultDraw;
use EmberDusk\Bench\Faults\FaultWords;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Meter\RunParts;
use EmberDusk\Circuit\Island;
use EmberDusk\Formats\Json;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class BenchCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:bench {file : a job file, - for standard input} {--seed=1} {--fault= : KIND@PLACE to put in, list for ' .
        'lists every fault of the job; empty for good wiring} {--json : print the run as JSON}';

    protected $description = 'Put a fault into a job’s wiring and find it with the simulated meter';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $name = (string) $this->option('fault');
            if ($name === 'list') {
                return $this->listed($plan);
            }
            $place = self::placeOf($plan, $name, (int) $this->option('seed'));
            $fault = $place->fault;
            $run = BenchRun::for(
                $plan,
                $place->island,
                $place->predictions,
                $fault === null ? [] : [$fault],
                (int) $this->option('seed'),
            );
            $this->told($plan, $run, $fault);

            if ($run->named() === ($fault === null ? 'none' : $fault->class())) {
                return 0;
            }

            return 1;
        });
    }

    private function listed(Plan $plan): int
    {
        $told = [];
        foreach (self::places($plan) as [, $predictions]) {
            $classes = [];
            foreach ($predictions->faults as ['fault' => $fault]) {
                $classes[$fault->name()] = $fault->class();
            }
            foreach (array_keys((new FaultDraw($predictions))->all()) as $name) {
                $told[$name] = $name . ($classes[$name] === $name ? '' : "  ({$classes[$name]})");
            }
        }
        array_map($this->line(...), array_values($told));

        return 0;
    }

    /** @throws InvalidInput when no island can have the fault */
    private static function placeOf(Plan $plan, string $name, int $seed): FaultPlace
    {
        foreach (self::places($plan) as [$island, $predictions]) {
            $fault = $name !== '' ? (new FaultDraw($predictions))->named($name, $seed) : null;
            if ($name === '' || $fault !== null) {
                return new FaultPlace($island, $predictions, $fault);
            }
        }
        throw new InvalidInput(
            $name === ''
                ? 'No run of this job is wired yet.'
                : "This job cannot have the fault {$name}; --fault=list prints those that it can.",
        );
    }

    /**
     * Each run with the island that it hangs in; one of few runs is looked immediately.
     *
     * @return iterable<array{Island, Predictions}>
     */
    private static function places(Plan $plan): iterable
    {
        foreach (Island::all($plan) as $island) {
            $before = null;
            foreach ($island->parts as $parts) {
                $near = RunParts::for($plan, $island, $parts->run);
                if ($near != $before) {
                    yield [$island, Predictions::for($plan, $island, $parts->run)];
                }
                $before = $near;
            }
        }
    }

    private function told(Plan $plan, BenchRun $run, ?Fault $fault): void
    {
        $words = new FaultWords($plan);
        $found = $run->belief->fault($run->named());
        if ($this->option('json')) {
            $this->output->write(
                Json::pretty([
                    'fault' => $fault?->name(),
                    'readings' => array_map(
                        static fn($r): array => [
                            'spot' => $r->spot->id,
                            'command' => $r->command->key,
                            'value' => $r->value,
                            'unit' => $r->spot->unit,
                        ],
                        $run->readings,
                    ),
                    'belief' => array_slice($run->belief->classes, 0, 5),
                    'named' => $run->named(),
                    'size' => $found?->size,
                ]),
            );

            return;
        }
        foreach ($run->readings as $n => $r) {
            $this->line(
                sprintf(
                    '%d  %s, %s: %.4g %s',
                    $n + 1,
                    $r->spot->words,
                    $r->command->words(),
                    $r->value,
                    $r->spot->unit,
                ),
            );
        }
        foreach (array_slice($run->belief->classes, 0, 5) as $class => $share) {
            $this->line(sprintf('   %.2f  %s', $share, $words->class($run->belief, $class)));
        }
        $size = $found !== null ? $words->size($found) : '';
        $this->line(ucfirst($words->class($run->belief, $run->named())) . ($size === '' ? '' : ", {$size}") . '.');
    }
}
