<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Time\Clock;
use EmberDusk\Control\Agenda;
use EmberDusk\Control\Priorities;
use EmberDusk\Control\Running;
use EmberDusk\Control\Sun;
use EmberDusk\Formats\Json;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\Trigger;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class PlayCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:play {file : a job file, - for standard input} {--day= : YYYY-MM-DD, default today} ' .
        '{--json : print them as JSON}';

    protected $description = 'Print the automation of a job: shows, times of the day by clock and sun, and priorities';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $plan = $this->plan();
            $day = is_string($this->option('day')) ? $this->option('day') : Clock::day();
            if (preg_match('/^\d{4}-\d{2}-\d{2}$/', $day) !== 1 || date_create($day) === false) {
                throw new InvalidInput("“{$day}” is not a date: write it as 2026-06-21.");
            }
            if ($this->option('json')) {
                $this->output->write(Json::pretty(self::told($plan, $day)));
            } else {
                foreach ($plan->shows as $show) {
                    $this->line("“{$show->name}” " . (new Running($plan, $show))->words());
                }
                $this->day($plan, $day);
                $this->wins($plan);
            }
            $fights = (new Priorities($plan))->fights();

            if ($fights === []) {
                return self::SUCCESS;
            }

            return self::FAILURE;
        });
    }

    /** @return array<string, mixed> shows, the day's times in minutes after midnight, and which trigger wins at each light */
    private static function told(Plan $plan, string $day): array
    {
        $sun = $plan->position === null ? null : (new Sun($plan->position, Clock::zone()))->on($day);
        $agenda = Agenda::for($plan, $day, Clock::zone());

        return [
            'day' => $day,
            'sunrise' => $sun?->rise,
            'sunset' => $sun?->set,
            'shows' => array_values(
                array_map(
                    static fn(Show $s): array => ['name' => $s->name, 'words' => (new Running($plan, $s))->words()],
                    $plan->shows,
                ),
            ),
            'starts' => array_map(
                static fn(array $e): array => [
                    'minutes' => $e['minutes'],
                    'trigger' => $e['trigger']->words(),
                    'plays' => self::plays($plan, $e['trigger']),
                ],
                $agenda->entries,
            ),
            'not' => array_map(
                static fn(array $n): array => ['trigger' => $n['trigger']->words(), 'why' => $n['why']],
                $agenda->not,
            ),
            'wins' => array_map(
                static fn(array $row): array => [
                    'on' => array_map(static fn(Trigger $t): string => $t->words(), $row['on']),
                    'lights' => array_map(
                        static fn(array $by): array => array_map(
                            static fn(Trigger $t): string => self::plays($plan, $t),
                            $by,
                        ),
                        $row['wins'],
                    ),
                ],
                (new Priorities($plan))->table(),
            ),
        ];
    }

    private function day(Plan $plan, string $day): void
    {
        $sun = $plan->position !== null ? (new Sun($plan->position, Clock::zone()))->on($day) : null;
        if ($sun !== null) {
            $this->line(
                $sun->rise === null || $sun->set === null
                    ? "{$day}: {$sun->why}"
                    : "{$day}: sunrise " . Agenda::clock($sun->rise) . ', sunset ' . Agenda::clock($sun->set),
            );
        }
        $agenda = Agenda::for($plan, $day, Clock::zone());
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
            $this->line("  {$not['trigger']->words()} does not start: {$not['why']}");
        }
    }

    private function wins(Plan $plan): void
    {
        foreach ((new Priorities($plan))->table() as $row) {
            $wins = [];
            foreach ($row['wins'] as $light => $by) {
                $wins[] =
                    (new LightNames($plan))->of((string) $light) .
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
