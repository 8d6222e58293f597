<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Costing\Basis;
use EmberDusk\Formats\Json;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\Planner;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class AdviseCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:advise {file : a job file, - for standard input} ' .
        '{--keep=* : do not change feeds, cables or kit} ' .
        '{--job : print the job with the proposal taken} {--json : print the result as JSON}';

    protected $description = 'Propose the cheapest wiring that meets the limits, with reasons';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            /** @var list<string> $keep */
            $keep = $this->option('keep');
            if (array_diff($keep, Run::PINS) !== []) {
                throw new InvalidInput('--keep is one of ' . implode(', ', Run::PINS) . '.');
            }
            $proposal = Planner::propose($plan, array_keys($plan->runs), new Basis($this->demoShelf()), $keep);
            $answer = $proposal->write();
            if ($this->option('job')) {
                $this->output->write(\EmberDusk\Plan\JobFile::write($proposal->built($proposal->parts)));
            } elseif ($this->option('json')) {
                $this->output->write(Json::pretty(['job' => $plan->name, 'proposal' => $answer]));
            } else {
                $this->told($answer);
            }
            if ($proposal->clashes === []) {
                return 0;
            }

            return 1;
        });
    }

    /** @param  array<string, mixed>  $answer */
    private function told(array $answer): void
    {
        $keep = $answer['drawn']['keep'] ?? false;
        if ($keep) {
            $this->line(
                "keep the drawing: {$answer['drawn']['cost']['text']} {$answer['drawn']['cost']['unit']}, it meets every limit",
            );
        }
        if ($answer['found'] !== null) {
            $this->line(
                sprintf(
                    ($keep ? 'proposal' : 'cheapest') . ': %s %s, %d joints, evenness %s',
                    $answer['found']['cost']['text'],
                    $answer['found']['cost']['unit'],
                    $answer['found']['joints'],
                    $answer['found']['evenness'],
                ),
            );
            foreach ($answer['found']['parts'] as $part) {
                $this->line("  {$part}");
            }
            foreach ($answer['found']['bill'] as $line) {
                $this->line(
                    sprintf('  %9s  %s  %s', $line['difference'], $line['what'], "{$line['then']} to {$line['now']}"),
                );
            }
        }
        foreach ($answer['clashes'] as $clash) {
            $this->line(
                "{$clash['run']}: no layout meets the limits " .
                    implode(' and ', $clash['limits']) .
                    '; nearest: ' .
                    implode('; ', $clash['broken']),
            );
        }
        foreach ($answer['left'] as $left) {
            $this->line("{$left['run']} {$left['why']}");
        }
        foreach ($answer['cheaper'] as $cheaper) {
            $this->line("not {$cheaper['cost']['text']} {$cheaper['label']}: " . implode('; ', $cheaper['broken']));
        }
        $this->line(
            "{$answer['solved']} layouts solved" .
                // The bound of a search does not apply to a cheaper current layout, nor to some of the runs.
                ($keep || $answer['clashes'] !== []
                    ? ''
                    : "; lower bound {$answer['bound']['text']}" .
                        ($answer['gap'] === '' ? '' : ", gap {$answer['gap']}")),
        );
    }
}
