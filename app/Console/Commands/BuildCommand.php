<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Advice\Work;
use EmberDusk\Advice\Works\BuildDesk;
use EmberDusk\Build\Arrangement;
use EmberDusk\Build\Visit;
use EmberDusk\Formats\Json;
use EmberDusk\Workings\Trouble;
use Illuminate\Console\Command;

final class BuildCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:build {file : a job file, - for standard input} {--start= : first day, YYYY-MM-DD; today} {--people=1 : one or two} {--json : print the result as JSON}';

    protected $description = 'The plan of work as iCalendar, or with its reasons as JSON';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $start = is_string($this->option('start')) ? $this->option('start') : now()->format('Y-m-d');
            if (preg_match('/^\d{4}-\d{2}-\d{2}$/', $start) !== 1 || ! in_array($this->option('people'), ['1', '2'], true)) {
                throw new Trouble('--start is a day as YYYY-MM-DD, --people 1 or 2.');
            }
            $work = new Work($this->plan(), [], $this->demoShelf(), [], today: $start, arrangement: new Arrangement([new Visit($start, 0, (int) $this->option('people'))]));
            $this->output->write($this->option('json') ? Json::pretty(BuildDesk::picture($work)) : BuildDesk::calendar($work, now()->utc()->format('Ymd\THis\Z')));

            return 0;
        });
    }
}
