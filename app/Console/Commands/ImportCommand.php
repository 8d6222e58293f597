<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\History\Revisions;
use App\Models\Crew;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class ImportCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:import {file : a job file, - for standard input} {--crew= : the crew that gets the job}';

    protected $description = 'Import a job file for a crew';

    public function handle(Revisions $revisions): int
    {
        return $this->answering(function () use ($revisions): int {
            $name = $this->option('crew') ?? throw new InvalidInput('Name the crew: --crew="…".');
            $crew =
                Crew::query()->where('name', $name)->first() ??
                throw new InvalidInput("The crew “{$name}” does not exist.");
            $job = $revisions->begin($crew, null, $this->plan(), 'Imported from a job file');
            $this->line("Job {$job->id}: {$job->name}");

            return 0;
        });
    }
}
