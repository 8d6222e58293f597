<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Screens\Parts\PartsScreen;
use App\Screens\Parts\PartsTables;
use EmberDusk\Formats\Csv;
use EmberDusk\Formats\Json;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Offcut;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class PartsCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:parts {file : a job file, - for standard input} {--offcut=* : offcuts in the van, ' .
        'as KIT:METRES} {--json : print the result as JSON}';

    protected $description = 'Print everything to buy, cut and bring as CSV, or with the cut lists as JSON';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $state = new JobState(
                $this->plan(),
                [],
                $this->demoShelf(),
                [],
                offcuts: array_map(self::offcut(...), array_values((array) $this->option('offcut'))),
            );
            $this->output->write(
                $this->option('json')
                    ? Json::pretty(PartsScreen::picture($state))
                    : Csv::write(PartsTables::rows($state)),
            );

            return 0;
        });
    }

    private static function offcut(mixed $written): Offcut
    {
        if (!is_string($written) || preg_match('/^([a-z][a-z0-9-]*):(\d{1,2}(?:[.,]\d+)?)$/', $written, $parts) !== 1) {
            throw new InvalidInput('--offcut is a shelf id and metres, such as profile-flat:1.35.');
        }

        return new Offcut(0, $parts[1], (float) str_replace(',', '.', $parts[2]));
    }
}
