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
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Kit;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Plan\Changes\Runs\NameLight;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use Illuminate\Support\Facades\DB;

/** Join runs, on site and rehearsed: the wall clock and the log's rows around the core's live run. */
final readonly class Runs
{
    public function __construct(private Revisions $revisions) {}

    public const SPEEDS = [0, 1, 20];

    /** Seconds past a moment at which what shows then is there. */
    private const PAST = 0.05;

    /**
     * @param  bool  $site  with real devices, at the clock's own pace; else a rehearsal against stand-ins
     * @param  string  $hand  the device that is in the hand: which phone
     */
    public function begin(Job $job, User $user, int $speed, bool $site = false, string $hand = ''): JoinRun
    {
        if ($site && $speed !== 1) {
            throw InvalidInput::at('/speed', 'On site a run goes at the clock’s own pace.');
        }

        return DB::transaction(function () use ($job, $user, $speed, $site, $hand): JoinRun {
            $newest = $job->newest();
            Kit::of($newest->plan());

            return $job->joinRuns()->create([
                'user_id' => $user->id,
                'site' => $site,
                'hand' => $hand,
                'revision' => $newest->number,
                'seed' => $job->id * 1000 + $job->joinRuns()->count(),
                'clock_seconds' => 0,
                'clock_since' => $this->wall(),
                'speed' => $speed,
            ]);
        });
    }

    /** @return array<string, mixed> as in app/Screens/Join/join.json, $defs/joinAnswer */
    public function look(Job $job, JoinRun $run): array
    {
        return DB::transaction(function () use ($job, $run): array {
            $now = $run->clockAt($this->wall());
            $live = $this->live($job, $run);
            $this->keep($run, $live->settle($now));

            return $this->answer($run, $live, $now);
        });
    }

    /** @return array<string, mixed> */
    public function act(
        Job $job,
        JoinRun $run,
        User $user,
        string $kind,
        string $device,
        int $presses,
        string $name,
        string $room,
    ): array {
        return DB::transaction(function () use ($job, $run, $user, $kind, $device, $presses, $name, $room): array {
            $run->refresh();
            if ($run->speed === 0) {
                throw new OutOfTurn('The run is paused. Go on first.');
            }
            $now = $run->clockAt($this->wall());
            $live = $this->live($job, $run);
            $this->keep($run, $live->settle($now));
            $new = $live->act(
                kind: $kind,
                device: $device,
                now: $now,
                presses: $presses,
                text: match ($kind) {
                    'named' => trim($name) . ', ' . trim($room),
                    'found' => trim($name),
                    default => '',
                },
            );
            if ($kind === 'named') {
                // The name goes into the plan, where its rules are; refused there, it is no fact of the log either.
                $this->revisions->change(
                    $job,
                    $user,
                    $job->newest()->number,
                    NameLight::payload(controller: $device, name: $name, room: $room)->toArray(),
                );
            }
            $this->keep($run, $new);

            return $this->answer($run, $live, $now);
        });
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
            $this->keep($run, $live->settle($now));
            $next = JoinPicture::nextAt($live, $now);
            if ($next !== null) {
                $run->update(['clock_seconds' => $next + self::PAST, 'clock_since' => $wall]);
            }
        });

        return $this->look($job, $run);
    }

    public function live(Job $job, JoinRun $run): LiveRun
    {
        $plan = $job->revisions()->where('number', $run->revision)->firstOrFail()->plan();
        $log = $run->events()->orderBy('number')->get()->map(static fn(JoinEvent $e): Event => $e->event())->all();

        return new LiveRun(kit: Kit::of($plan), seed: $run->seed, log: array_values($log), onSite: $run->site);
    }

    /** @return array<string, mixed> */
    private function answer(JoinRun $run, LiveRun $live, float $now): array
    {
        return [
            'run' => $run->id,
            'speed' => $run->speed,
            'site' => $run->site,
            'hand' => $run->hand,
            'picture' => JoinPicture::of($live, $now),
        ];
    }

    /** @param  list<Event>  $events */
    private function keep(JoinRun $run, array $events): void
    {
        $number = (int) $run->events()->max('number');
        foreach ($events as $e) {
            $run->events()->create([
                'number' => ++$number,
                'at' => $e->at,
                'kind' => $e->kind,
                'device' => $e->device,
                'text' => mb_substr($e->text, 0, 300),
                'created_at' => Clock::now(),
            ]);
        }
    }

    private function wall(): float
    {
        return (float) Clock::now()->format('U.u');
    }
}
