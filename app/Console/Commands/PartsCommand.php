<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Advice\Work;
use EmberDusk\Advice\Works\PartsDesk;
use EmberDusk\Formats\Csv;
use EmberDusk\Formats\Json;
use Illuminate\Console\Command;

final class PartsCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:parts {file : a job file, - for standard input} {--json : print the result as JSON}';

    protected $description = 'Everything to buy, cut and bring, as CSV, or with the cut lists as JSON';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $work = new Work($this->plan(), [], $this->demoShelf(), []);
            $this->output->write($this->option('json') ? Json::pretty(PartsDesk::picture($work)) : Csv::write(PartsDesk::rows($work)));

            return 0;
        });
    }
}
