<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Formats\Json;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\School;
use EmberDusk\Joining\Seen;
use EmberDusk\Joining\Words;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class RehearseCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:rehearse {file : a job file, - for standard input} {--seed=1} {--fault=* : KIND@DEVICE, several may be given; list ' .
        'prints all} {--school=search : search, reset or early} {--trust-new : units that are new are not reset} {--json : print the log as JSON}';

    protected $description = 'Work the joins of a job through against the stand-ins, and press every control at the end';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $timing = (string) $this->option('school');
            if (!in_array($timing, School::TIMINGS, true)) {
                throw InvalidInput::at('/school', "“{$timing}” is none of " . implode(', ', School::TIMINGS) . '.');
            }
            $joinable = Joinable::of($this->plan(), new School($timing, (bool) $this->option('trust-new')));
            if (!$joinable->any()) {
                throw IncompletePlan::at('/kit', $joinable->lacking());
            }
            $faults = array_values(array_filter((array) $this->option('fault'), is_string(...)));
            if (in_array('list', $faults, true)) {
                foreach (array_keys(Flaws::of($joinable->roster)) as $key) {
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
        $known = Flaws::of($roster);
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
                    'log' => array_map(static fn(Event $e): array => (array) $e, $run->run->log()),
                ]),
            );

            if ($run->works()) {
                return 0;
            }

            return 1;
        }
        foreach (Words::lines($run->run->log(), $roster) as $line) {
            $this->line($line['at'] . '  ' . $line['text']);
        }
        foreach ($run->found as $key) {
            $this->line("Found and put right: {$key}");
        }
        foreach ($run->aside as $why) {
            $this->line($why);
        }
        foreach ($run->tried as $want => $seen) {
            if ($seen !== Seen::YES) {
                [$control, $light] = explode(' ', strtoupper($want));
                $this->line("{$light} by {$control}: " . Seen::words($seen));
            }
        }
        $this->line($run->works() ? 'Every control works.' : 'Not every control works.');

        if ($run->works()) {
            return 0;
        }

        return 1;
    }
}
