<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Time\Clock;
use EmberDusk\Control\Agenda;
use EmberDusk\Control\Priorities;
use EmberDusk\Control\Running;
use EmberDusk\Control\Sun;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class PlayCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:play {file : a job file, - for standard input} {--day= : YYYY-MM-DD, today where it is not said}';

    protected $description = 'Print what plays by itself: shows, the times of a day by clock and sun, and which of several wins';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $day = is_string($this->option('day')) ? $this->option('day') : Clock::day();
            if (preg_match('/^\d{4}-\d{2}-\d{2}$/', $day) !== 1 || date_create($day) === false) {
                throw new InvalidInput("“{$day}” is no day: write it as 2026-06-21.");
            }
            foreach ($plan->shows as $show) {
                $this->line("“{$show->name}” " . (new Running($plan, $show))->words());
            }
            $this->day($plan, $day);
            $this->wins($plan);
            $fights = (new Priorities($plan))->fights();

            if ($fights === []) {
                return self::SUCCESS;
            }

            return self::FAILURE;
        });
    }

    private function day(Plan $plan, string $day): void
    {
        $sun = null;
        if ($plan->position !== null) {
            $sun = (new Sun($plan->position, Clock::zone()))->on($day);
        }
        if ($sun !== null) {
            $this->line(
                $sun->rise === null || $sun->set === null
                    ? "{$day}: {$sun->why}"
                    : "{$day}: sunrise " . Agenda::clock($sun->rise) . ', sunset ' . Agenda::clock($sun->set),
            );
        }
        $agenda = Agenda::of($plan, $day, Clock::zone());
        foreach ($agenda->entries as $entry) {
            $this->line(
                '  ' .
                    Agenda::clock($entry['minutes']) .
                    '  ' .
                    self::plays($plan, $entry['trigger']) .
                    ', ' .
                    $entry['trigger']->words(),
            );
        }
        foreach ($agenda->not as $not) {
            $this->line("  {$not['trigger']->words()} starts nothing: {$not['why']}");
        }
    }

    private function wins(Plan $plan): void
    {
        foreach ((new Priorities($plan))->table() as $row) {
            $wins = [];
            foreach ($row['wins'] as $light => $by) {
                $wins[] =
                    $plan->lightName((string) $light) .
                    ': ' .
                    implode(' or ', array_map(static fn(Trigger $t): string => self::plays($plan, $t), $by)) .
                    (count($by) > 1 ? ' (they fight)' : '');
            }
            $this->line(
                implode(' + ', array_map(static fn(Trigger $t): string => $t->words(), $row['on'])) .
                    ' -> ' .
                    implode(', ', $wins),
            );
        }
    }

    private static function plays(Plan $plan, Trigger $trigger): string
    {
        return $plan->scenes[$trigger->plays]->name ?? ($plan->shows[$trigger->plays]->name ?? 'everything off');
    }
}
