<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Screens\Build\BuildScreen;
use App\Screens\Build\StepCalendar;
use App\Time\Clock;
use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;
use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Values\InvalidInput;
use Illuminate\Console\Command;

final class BuildCommand extends Command
{
    use ReadsJobFile;

    protected $signature =
        'ember:build {file : a job file, - for standard input} {--visit=* : a visit as ' .
        'YYYY-MM-DD[:days[:people]], no days for as many as it takes; today with one person} {--weekends : ' .
        'work on Saturdays and Sundays too} {--json : print the result as JSON}';

    protected $description = 'Print the plan of work as iCalendar, or with its reasons as JSON';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $arrangement = Arrangement::read(
                new Fields([
                    'visits' => array_map(self::visit(...), array_values((array) $this->option('visit'))),
                    'weekends' => (bool) $this->option('weekends'),
                    'pins' => [],
                    'waits' => [],
                ]),
            );
            $state = new JobState(
                $this->plan(),
                [],
                $this->demoShelf(),
                [],
                today: min([Clock::day(), ...array_map(static fn($v): string => $v->from, $arrangement->visits)]),
                arrangement: $arrangement,
            );
            $this->output->write(
                $this->option('json')
                    ? Json::pretty(BuildScreen::picture($state))
                    : StepCalendar::calendar(
                        $state,
                        substr(hash('sha256', $state->plan->name . "\0" . $state->plan->client), 0, 12) .
                            '@ember-dusk.invalid',
                        (int) Clock::now()->getTimestamp(),
                    ),
            );

            return 0;
        });
    }

    /** @return array{from: string, days: int, people: int} */
    private static function visit(mixed $written): array
    {
        if (
            !is_string($written) ||
            preg_match('/^(\d{4}-\d{2}-\d{2})(?::(\d{1,2}))?(?::([12]))?$/', $written, $parts) !== 1
        ) {
            throw new InvalidInput(
                '--visit is a day as YYYY-MM-DD, with days of work and one or two people behind it where wanted: 2026-12-01:2:2.',
            );
        }

        return ['from' => $parts[1], 'days' => (int) ($parts[2] ?? 0), 'people' => (int) ($parts[3] ?? 1)];
    }
}
