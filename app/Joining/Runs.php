<?php

declare(strict_types=1);

namespace App\Joining;

use App\History\Revisions;
use App\Models\Job;
use App\Models\JoinEvent;
use App\Models\JoinRun;
use App\Models\User;
use App\Screens\Join\JoinPicture;
use App\Time\Clock;
use EmberDusk\Formats\Fields;
use EmberDusk\Joining\Dice;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\School;
use EmberDusk\Joining\Task;
use EmberDusk\Plan\Changes\Runs\NameLight;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use Illuminate\Support\Facades\DB;

/** Join runs, on site and rehearsed: the wall clock and the log's rows around the core's live run. */
final readonly class Runs
{
    public function __construct(private Revisions $revisions) {}

    public const SPEEDS = [0, 1, 20];

    /** The steps that logs of today speak of. */
    private const FORM = 2;

    /** Seconds past a moment at which what shows then is there. */
    private const PAST = 0.05;

    /**
     * @param  bool  $site  with real devices, at the clock's own pace; else a rehearsal against stand-ins
     * @param  string  $hand  the device that is in the hand: which phone
     * @param  int  $hidden  faults that are hidden in the stand-ins, drawn by the run's seed
     */
    public function begin(
        Job $job,
        User $user,
        int $speed,
        bool $site = false,
        string $hand = '',
        string $timing = School::SEARCH_FIRST,
        bool $trustsNew = false,
        int $hidden = 0,
    ): JoinRun {
        if ($site && $speed !== 1) {
            throw InvalidInput::at('/speed', 'On site a run goes at the clock’s own pace.');
        }

        return DB::transaction(function () use (
            $job,
            $user,
            $speed,
            $site,
            $hand,
            $timing,
            $trustsNew,
            $hidden,
        ): JoinRun {
            $newest = $job->newest();
            $roster = $this->roster($newest->plan(), new School($timing, $trustsNew));
            $seed = $job->id * 1000 + $job->joinRuns()->count();

            return $job->joinRuns()->create([
                'user_id' => $user->id,
                'site' => $site,
                'hand' => $hand,
                'form' => self::FORM,
                'school' => $timing,
                'trusts_new' => $trustsNew,
                'flaws' => $site ? '' : self::drawn($roster, $seed, $hidden),
                'tasks' => array_map(static fn(Task $t): array => $t->write(), Order::of($roster)),
                'revision' => $newest->number,
                'seed' => $seed,
                'clock_seconds' => 0,
                'clock_since' => $this->wall(),
                'speed' => $speed,
            ]);
        });
    }

    private function roster(Plan $plan, School $school): Roster
    {
        $joinable = Joinable::of($plan, $school);
        if (!$joinable->any()) {
            throw IncompletePlan::at(
                '/kit',
                'Choose a controller and a hub at Kit first: their leaflets say how they join.',
            );
        }

        return $joinable->roster;
    }

    private static function drawn(Roster $roster, int $seed, int $hidden): string
    {
        $flaws = array_keys(Flaws::of($roster));
        $dice = new Dice($seed);
        $drawn = [];
        for ($n = 0; $n < $hidden && $flaws !== []; $n++) {
            $at = min(count($flaws) - 1, (int) floor($dice->between(0, count($flaws), "hidden {$n}")));
            $drawn[] = $flaws[$at];
            array_splice($flaws, $at, 1);
        }

        return implode(' ', $drawn);
    }

    /** @return array<string, mixed> as in app/Screens/Join/join.json, $defs/joinAnswer */
    public function look(Job $job, JoinRun $run): array
    {
        return DB::transaction(function () use ($job, $run): array {
            $run->refresh();
            $now = $run->clockAt($this->wall());
            $live = $this->live($job, $run);
            if ($live === null) {
                return $this->answer($job, $run, null, $now);
            }
            $this->keep($run, null, $live->settle($now));

            return $this->answer($job, $run, $live, $now);
        });
    }

    /**
     * Something done or answered; what a device sent twice counts once.
     *
     * @param  array{kind: string, device: string, text: string, room: string, client: string|null}  $given
     * @return array<string, mixed>
     */
    public function act(Job $job, JoinRun $run, User $user, array $given): array
    {
        return DB::transaction(function () use ($job, $run, $user, $given): array {
            $run->refresh();
            if ($run->speed === 0) {
                throw new OutOfTurn('The run is paused. Go on first.');
            }
            $now = $run->clockAt($this->wall());
            $live =
                $this->live($job, $run) ??
                throw new OutOfTurn('That run speaks of steps of an earlier version: begin another.');
            $this->keep($run, null, $live->settle($now));
            if ($given['client'] !== null && $run->events()->where('client', $given['client'])->exists()) {
                return $this->answer($job, $run, $live, $now);
            }
            $new = $this->done($job, $user, $live, $given, $now);
            $this->keep($run, $user, $new, $given['client']);

            return $this->answer($job, $run, $live, $now);
        });
    }

    /**
     * @param  array{kind: string, device: string, text: string, room: string, client: string|null}  $given
     * @return list<Event>
     */
    private function done(Job $job, User $user, LiveRun $live, array $given, float $now): array
    {
        ['kind' => $kind, 'device' => $device, 'text' => $text, 'room' => $room] = $given;
        if ($kind === 'work') {
            return $live->work($text, $now);
        }
        if ($kind !== Event::NAMED) {
            return $live->act($kind, $device, $now, trim($text));
        }
        $new = $live->act($kind, $device, $now, trim($text) . ', ' . trim($room));
        // The name goes into the plan, where its rules are; refused there, it is no fact of the log either.
        $this->revisions->change(
            $job,
            $user,
            $job->newest()->number,
            NameLight::payload(controller: $device, name: $text, room: $room)->toArray(),
        );

        return $new;
    }

    /** @return array<string, mixed> */
    public function speed(Job $job, JoinRun $run, int $speed): array
    {
        if ($run->site && $speed > 1) {
            throw InvalidInput::at('/speed', 'On site a run goes at the clock’s own pace.');
        }
        DB::transaction(function () use ($run, $speed): void {
            $wall = $this->wall();
            $run->update(['clock_seconds' => $run->clockAt($wall), 'clock_since' => $wall, 'speed' => $speed]);
        });

        return $this->look($job, $run);
    }

    /**
     * A rehearsal's clock goes on to the next thing that shows or closes by itself: nobody has to wait for it.
     *
     * @return array<string, mixed> as in app/Screens/Join/join.json, $defs/joinAnswer
     */
    public function skip(Job $job, JoinRun $run): array
    {
        if ($run->site) {
            throw new OutOfTurn('On site nothing can be skipped: the real thing takes its time.');
        }
        DB::transaction(function () use ($job, $run): void {
            $run->refresh();
            $wall = $this->wall();
            $now = $run->clockAt($wall);
            $live = $this->live($job, $run);
            if ($live === null) {
                return;
            }
            $this->keep($run, null, $live->settle($now));
            $next = JoinPicture::nextAt($live, $now);
            if ($next !== null) {
                $run->update(['clock_seconds' => $next + self::PAST, 'clock_since' => $wall]);
            }
        });

        return $this->look($job, $run);
    }

    /** The run as its log has left it; null where that log speaks of steps of an earlier version. */
    public function live(Job $job, JoinRun $run): ?LiveRun
    {
        if ($run->form !== self::FORM) {
            return null;
        }
        $plan = $job->revisions()->where('number', $run->revision)->firstOrFail()->plan();
        $roster = $this->roster($plan, new School($run->school, $run->trusts_new));

        return new LiveRun(
            roster: $roster,
            tasks: array_map(static fn(array $t): Task => Task::read(new Fields($t)), $run->tasks ?? []),
            seed: $run->seed,
            log: $this->log($run),
            onSite: $run->site,
            flaws: array_map(Flaw::read(...), $run->flaws === '' ? [] : explode(' ', $run->flaws)),
        );
    }

    /** @return list<Event> */
    public function log(JoinRun $run): array
    {
        return array_values(
            $run->events()->orderBy('number')->get()->map(static fn(JoinEvent $e): Event => $e->event())->all(),
        );
    }

    /** @return array<string, mixed> */
    private function answer(Job $job, JoinRun $run, ?LiveRun $live, float $now): array
    {
        return [
            'run' => $run->id,
            'speed' => $run->speed,
            'site' => $run->site,
            'hand' => $run->hand,
            'hidden' => $run->flaws === '' ? 0 : count(explode(' ', $run->flaws)),
            'events' => $run->events()->count(),
            'picture' => $live === null ? null : JoinPicture::of($live, $now, $job->newest()->plan()),
        ];
    }

    /** @param  list<Event>  $events */
    private function keep(JoinRun $run, ?User $user, array $events, ?string $client = null): void
    {
        $number = (int) $run->events()->max('number');
        foreach ($events as $n => $e) {
            $run->events()->create([
                'number' => ++$number,
                'at' => $e->at,
                'kind' => $e->kind,
                'device' => $e->device,
                'text' => mb_substr($e->text, 0, 300),
                'client' => $n === 0 ? $client : null,
                'user_id' => $user?->id,
                'created_at' => Clock::now(),
            ]);
        }
    }

    private function wall(): float
    {
        return (float) Clock::now()->format('U.u');
    }
}
