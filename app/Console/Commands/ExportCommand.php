<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Job;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Netlist;
use EmberDusk\Plan\JobFile;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class ExportCommand extends Command
{
    use PicksPhase;
    use ReadsJobFile;

    protected $signature =
        'ember:export {file? : a job file, - for standard input} {--job= : a stored job by its number, ' .
        'instead of a file} {--as=job : job or spice} {--scene= : spice of a scene, by its id or name} ' .
        '{--phase=1 : which phase of its dimming}';

    protected $description = 'Write a job as a job file or as a SPICE netlist';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $number = $this->option('job');
            if ($number !== null) {
                $job = Job::query()->find($number) ?? throw new InvalidInput("Job {$number} does not exist.");
                $plan = $job->newest()->plan();
            } else {
                $plan = $this->plan();
            }
            $this->output->write(
                match ($this->option('as')) {
                    'job' => JobFile::write($plan),
                    'spice' => Netlist::write(
                        $plan->name,
                        (new Engine($plan))->networks($this->scene($plan), $this->phase()),
                    ),
                    default => throw new InvalidInput('--as takes job or spice.'),
                },
                false,
                \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW,
            );

            return 0;
        });
    }
}
