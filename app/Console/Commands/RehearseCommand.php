<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Formats\Json;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Words;
use Illuminate\Console\Command;

final class RehearseCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:rehearse {file : a job file, - for standard input} {--seed=1} {--hasty : reset once before ' .
        'any search} {--json : print the log as JSON}';

    protected $description = 'Work the joins of a job through against the stand-ins';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $kit = Kit::of($this->plan());
            $log = Rehearsal::run($kit, (int) $this->option('seed'), (bool) $this->option('hasty'));
            if ($this->option('json')) {
                $this->output->write(Json::pretty(array_map(static fn(Event $e): array => (array) $e, $log)));
            } else {
                foreach ($log as $event) {
                    $this->line(Words::clock($event->at) . '  ' . Words::of($event, $kit));
                }
            }

            return 0;
        });
    }
}
