<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Formats\Json;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class RehearseCommand extends Command
{
    use ReadsJobFile;
    use TimesJoins;

    protected $signature =
        'ember:rehearse {file : a job file, - for standard input} {--seed=1} {--fault=* : KIND@DEVICE, several may be given; list ' .
        'prints all} {--timing=search : search, reset or early} {--school= : former name of --timing} ' .
        '{--trust-new : do not reset new units} {--json : print the log as JSON}';

    protected $description = 'Rehearse the joins of a job on simulated devices, and test every control at the end';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $joinable = Joinable::for($this->plan(), $this->timing());
            if (!$joinable->any()) {
                throw IncompletePlan::at('/kit', $joinable->lacking());
            }
            $faults = array_values(array_filter((array) $this->option('fault'), is_string(...)));
            if (in_array('list', $faults, true)) {
                foreach (array_keys((new Flaws($joinable->roster))->for()) as $key) {
                    $this->line($key);
                }

                return 0;
            }

            return $this->rehearse($joinable->roster, $faults);
        });
    }

    /** @param  list<string>  $faults */
    private function rehearse(Roster $roster, array $faults): int
    {
        $known = (new Flaws($roster))->for();
        $flaws = [];
        foreach ($faults as $text) {
            $flaw = Flaw::read($text);
            $flaws[] =
                $known[$flaw->key()] ??
                throw InvalidInput::at('/fault', "This job cannot have {$text}; --fault=list prints all.");
        }
        $run = Rehearsal::run($roster, (int) $this->option('seed'), $flaws);
        if ($this->option('json')) {
            $this->output->write(
                Json::pretty([
                    'works' => $run->works(),
                    'tried' => $run->tried,
                    'found' => $run->found,
                    'log' => array_map(
                        static fn(Event $e): array => [
                            'at' => $e->at,
                            'kind' => $e->kind,
                            'device' => $e->device,
                            'text' => $e->written(),
                        ],
                        $run->run->log(),
                    ),
                ]),
            );

            if ($run->works()) {
                return 0;
            }

            return 1;
        }
        foreach (EventWords::lines($run->run->log()) as $line) {
            $this->line($line->at . '  ' . $line->text);
        }
        foreach ($run->found as $key) {
            $this->line("Found and fixed: {$key}");
        }
        foreach ($run->aside as $why) {
            $this->line($why);
        }
        foreach ($run->tried as $want => $seen) {
            if ($seen !== Observation::Expected) {
                [$control, $light] = explode(' ', strtoupper($want));
                $this->line("{$light} by {$control}: " . $seen->words());
            }
        }
        $this->line($run->works() ? 'Every control works.' : 'Not every control works.');

        if ($run->works()) {
            return 0;
        }

        return 1;
    }
}
