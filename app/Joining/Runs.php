<?php

declare(strict_types=1);

namespace App\Joining;

use App\History\Revisions;
use App\Models\Job;
use App\Models\JoinRun;
use App\Models\User;
use App\Screens\Join\JoinAhead;
use App\Screens\Join\JoinAnswer;
use App\Screens\Join\JoinForeseen;
use App\Screens\Join\JoinPicture;
use App\Screens\Join\JoinRefused;
use App\Time\Clock;
use EmberDusk\Formats\Fields;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\StepsAhead;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Runs\NameLight;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use EmberDusk\Values\Refusal;
use Illuminate\Support\Facades\DB;

/** Join runs, on site and rehearsed: the wall clock and the log's rows around the core's live run. */
final readonly class Runs
{
    public function __construct(private Revisions $revisions, private RunLog $log) {}

    /** Run seconds after which an act that arrives was done while there was no signal. */
    private const LATE = 5.0;

    /** Seconds by which the log may be ahead of a clock that was not set back. */
    private const BACK = 1.0;

    /** Seconds past a moment at which what shows then is there. */
    private const PAST = 0.05;

    /** @param  int  $known  lines of the log that the page has already */
    public function look(Job $job, JoinRun $run, int $known = 0): JoinAnswer
    {
        return DB::transaction(function () use ($job, $run, $known): JoinAnswer {
            $run->refresh();
            $live = $this->live($job, $run);
            $now = $this->clock($run, $live);
            if ($live === null) {
                return $this->answer($job, $run, null, $now);
            }
            $this->log->keep($run, $live->settle($now));

            return $this->answer($job, $run, $live, $now, known: $known);
        });
    }

    /**
     * Logs actions or answers in order; duplicates of a device count once. A refused one is reported, and the rest continues.
     *
     * @param  list<GivenAct>  $acts
     */
    public function act(Job $job, JoinRun $run, User $user, array $acts): JoinAnswer
    {
        return DB::transaction(function () use ($job, $run, $user, $acts): JoinAnswer {
            $run->refresh();
            $refused = [];
            $live = $this->live($job, $run);
            $now = $this->clock($run, $live);
            foreach ($acts as $act) {
                try {
                    DB::transaction(fn() => $this->one($job, $run, $user, $live, $act));
                } catch (Refusal $refusal) {
                    $refused[] = JoinRefused::for($act, $refusal);
                    // A refused action may have changed its state.
                    $live = $this->live($job, $run);
                }
            }
            if ($live !== null) {
                $now = $this->pastHands($run, $live, $now);
                $this->log->keep($run, $live->settle($now));
            }

            return $this->answer($job, $run, $live, $now, $refused);
        });
    }

    /** Run seconds now. Where the server's clock was set back they go on from the last line of the log: no window opens twice. */
    private function clock(JoinRun $run, ?LiveRun $live): float
    {
        $log = $live?->log() ?? [];
        $last = $log === [] ? 0.0 : $log[count($log) - 1]->at;
        $wall = $this->wall();
        if ($run->clockAt($wall) < $last - self::BACK) {
            $run->update(['clock_seconds' => $last, 'clock_since' => $wall]);
        }

        return $run->clockAt($wall);
    }

    /** Simulated hands take their seconds immediately: the clock of a rehearsal is set to when they are through. */
    private function pastHands(JoinRun $run, LiveRun $live, float $now): float
    {
        $log = $live->log();
        $last = $log !== [] ? $log[count($log) - 1]->at : 0.0;
        if ($run->site || $last <= $now) {
            return $now;
        }
        $run->update(['clock_seconds' => $last, 'clock_since' => $this->wall()]);

        return $last;
    }

    private function one(Job $job, JoinRun $run, User $user, ?LiveRun $live, GivenAct $act): void
    {
        if ($live === null) {
            throw new OutOfTurn('That run has steps of an earlier version: start another.');
        }
        if ($act->client !== null && $this->log->has($run, $act->client)) {
            return;
        }
        if ($run->speed === 0) {
            throw new OutOfTurn('The run is paused. Continue it first.');
        }
        $at = $run->clockAt($this->wallOf($act));
        $this->log->keep($run, $live->settle($at));
        $this->log->keep($run, $this->done($job, $run, $user, $live, $act, $at), $user, $act->client);
    }

    /** When it was done; a device that is ahead of the server’s clock did it now. */
    private function wallOf(GivenAct $act): float
    {
        return min($act->wall ?? INF, $this->wall());
    }

    /** @return list<Event> */
    private function done(Job $job, JoinRun $run, User $user, LiveRun $live, GivenAct $act, float $at): array
    {
        // What was done a while ago, and could not be sent, was not too early any more.
        $late = $at < $run->clockAt($this->wall()) - self::LATE;
        if ($act->kind === 'work') {
            return $live->work($act->text, $at, $late);
        }
        if ($act->kind !== Event::NAMED) {
            return $live->act($act->kind, $act->device, $at, trim($act->text), $late);
        }
        $new = $live->act($act->kind, $act->device, $at, trim($act->text) . ', ' . trim($act->room));
        $change = NameLight::payload(controller: $act->device, name: $act->text, room: $act->room);
        // The name goes into the plan, where its rules are; refused there, it is no fact of the log either.
        if ($run->site) {
            $this->revisions->change($job, $user, $job->newest()->number, $change->write());
        } else {
            // A rehearsal leaves nothing in the job.
            Catalogue::make($change, new NoShelf())->apply($job->newest()->plan());
        }

        return $new;
    }

    /** Next steps for each answer, sent ahead for a lost connection; none if simulated devices have to respond. */
    public function ahead(Job $job, JoinRun $run): JoinForeseen
    {
        $run->refresh();
        $live = $this->live($job, $run);

        if ($live === null || !$run->site) {
            return new JoinForeseen(ahead: null);
        }
        $ahead = StepsAhead::for($live->roster, self::tasks($run), $live->log(), $run->clockAt($this->wall()));

        return new JoinForeseen(ahead: JoinAhead::for($ahead, $live->roster, $job->newest()->plan()));
    }

    public function speed(Job $job, JoinRun $run, int $speed): JoinAnswer
    {
        if ($run->site && $speed > 1) {
            throw InvalidInput::at('/speed', 'On site a run follows the clock.');
        }
        DB::transaction(function () use ($run, $speed): void {
            $wall = $this->wall();
            $run->update(['clock_seconds' => $run->clockAt($wall), 'clock_since' => $wall, 'speed' => $speed]);
        });

        return $this->look($job, $run);
    }

    /**
     * Advances a rehearsal's clock to the next event, to skip the wait.
     */
    public function skip(Job $job, JoinRun $run): JoinAnswer
    {
        if ($run->site) {
            throw new OutOfTurn('On site nothing can be skipped: the real device needs its time.');
        }
        DB::transaction(function () use ($job, $run): void {
            $run->refresh();
            $wall = $this->wall();
            $now = $run->clockAt($wall);
            $live = $this->live($job, $run);
            if ($live === null) {
                return;
            }
            $this->log->keep($run, $live->settle($now));
            $next = JoinPicture::nextAt($live, $now);
            if ($next !== null) {
                $run->update(['clock_seconds' => $next + self::PAST, 'clock_since' => $wall]);
            }
        });

        return $this->look($job, $run);
    }

    /** The run from its log; null if the log has steps of an earlier version. */
    public function live(Job $job, JoinRun $run): ?LiveRun
    {
        if ($run->form !== NewRun::FORM) {
            return null;
        }
        $devices = self::devices($job, $run);

        return new LiveRun(
            roster: $devices->roster,
            tasks: self::tasks($run),
            seed: $run->seed,
            log: $this->log->for($run),
            onSite: $run->site,
            flaws: [
                ...$devices->flaws,
                ...array_map(Flaw::read(...), $run->flaws === '' ? [] : explode(' ', $run->flaws)),
            ],
        );
    }

    private static function devices(Job $job, JoinRun $run): RunDevices
    {
        $plan = $job->revisions()->where('number', $run->revision)->firstOrFail()->plan();
        $school = new TimingMethod($run->school, $run->trusts_new);

        return RunDevices::for($plan, $school, $run->fixed ?? [], $run->recovery);
    }

    /** @return list<Task> */
    private static function tasks(JoinRun $run): array
    {
        return array_map(static fn(array $t): Task => Task::read(new Fields($t)), $run->tasks ?? []);
    }

    /** @param  list<JoinRefused>  $refused */
    private function answer(
        Job $job,
        JoinRun $run,
        ?LiveRun $live,
        float $now,
        array $refused = [],
        int $known = 0,
    ): JoinAnswer {
        $hidden = $run->flaws !== '' ? count(explode(' ', $run->flaws)) : 0;
        $picture = $live !== null ? JoinPicture::for($live, $now, $job->newest()->plan(), known: $known) : null;

        return new JoinAnswer(
            run: $run->id,
            speed: $run->speed,
            wall: (int) round($this->wall() * 1000),
            refused: $refused,
            site: $run->site,
            hand: $run->hand,
            hidden: $hidden,
            event: $live === null || $run->recovery === '' ? '' : self::devices($job, $run)->event,
            events: $run->events()->count(),
            picture: $picture,
        );
    }

    private function wall(): float
    {
        return (float) Clock::now()->format('U.u');
    }
}
