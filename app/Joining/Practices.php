<?php

declare(strict_types=1);

namespace App\Joining;

use App\Models\PracticeRun;
use App\Models\User;
use App\Screens\Join\JoinPicture;
use App\Screens\Join\JoinRefused;
use App\Screens\Practice\PracticeAnswer;
use App\Screens\Practice\PracticePicture;
use App\Screens\Practice\PracticeScore;
use App\Time\Clock;
use EmberDusk\Formats\Fields;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Practice\Attempt;
use EmberDusk\Joining\Practice\Lesson;
use EmberDusk\Joining\Practice\Lessons;
use EmberDusk\Joining\Practice\Score;
use EmberDusk\Joining\Practice\Turning;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use EmberDusk\Values\Refusal;
use Illuminate\Support\Facades\DB;

/** Lessons that are worked through: the wall clock and the row around the core's lessons. */
final readonly class Practices
{
    /** Something of a simulated device is looked into; the text is the fault that it would be. */
    public const INSPECT = 'inspect';

    /** Lines that a lesson's log may have. */
    private const MOST = 3_000;

    /** Seconds past a moment at which what shows then is there. */
    private const PAST = 0.05;

    public function begin(User $user, Lesson $lesson): PracticeRun
    {
        return DB::transaction(
            fn(): PracticeRun => PracticeRun::create([
                'user_id' => $user->id,
                'lesson' => $lesson->key,
                'clock_seconds' => 0,
                'clock_since' => $this->wall(),
                'speed' => 1,
                'log' => [],
            ]),
        );
    }

    /**
     * @param  float|null  $at  run seconds, of a replay; null: now
     */
    public function look(PracticeRun $run, ?float $at = null): PracticeAnswer
    {
        return DB::transaction(function () use ($run, $at): PracticeAnswer {
            $run->refresh();
            $lesson = Lessons::get($run->lesson);
            if ($run->ended_at !== null || $at !== null) {
                return $this->replayed($run, $lesson, min($at ?? INF, $run->ended_at ?? $this->now($run)));
            }
            $live = $lesson->run(self::log($run));
            $this->keep($run, $live->settle($this->now($run)));

            return $this->answer($run, $lesson, $live, $this->now($run));
        });
    }

    private function replayed(PracticeRun $run, Lesson $lesson, float $at): PracticeAnswer
    {
        $log = array_values(array_filter(self::log($run), static fn(Event $e): bool => $e->at <= $at));
        $live = $lesson->run($log);
        $live->settle($at);

        return $this->answer($run, $lesson, $live, $at);
    }

    /**
     * Logs hand actions in order; duplicates of a device count once. A refused action is reported, and the rest continues.
     *
     * @param  list<GivenAct>  $acts
     */
    public function act(PracticeRun $run, array $acts): PracticeAnswer
    {
        return DB::transaction(function () use ($run, $acts): PracticeAnswer {
            $run->refresh();
            $lesson = Lessons::get($run->lesson);
            $live = $lesson->run(self::log($run));
            $refused = [];
            foreach ($acts as $act) {
                try {
                    $this->one($run, $live, $act);
                } catch (Refusal $refusal) {
                    $refused[] = JoinRefused::for($act, $refusal);
                    $live = $lesson->run(self::log($run));
                }
            }
            $this->keep($run, $live->settle($this->now($run)));

            return $this->answer($run, $lesson, $live, $this->now($run), $refused);
        });
    }

    private function one(PracticeRun $run, LiveRun $live, GivenAct $act): void
    {
        if ($act->client !== null && in_array($act->client, array_column($run->log, 4), true)) {
            return;
        }
        if ($run->ended_at !== null) {
            throw new OutOfTurn('This lesson is over. Start it again to retry.');
        }
        if ($run->speed === 0) {
            throw new OutOfTurn('The lesson is paused. Continue it first.');
        }
        if (count($run->log) >= self::MOST) {
            throw new OutOfTurn('That is more than any lesson needs. Start it again.');
        }
        $at = $run->clockAt(min($act->wall ?? INF, $this->wall()));
        $this->keep($run, $live->settle($at));
        if ($act->kind === self::INSPECT) {
            $suspect = (new Flaws($live->roster))->suspects()["{$act->text}@{$act->device}"] ?? null;
            $this->keep($run, $live->inspect($act->device, $act->text, $at), $act->client);
            // Looking takes its time.
            $this->setClock($run, $at + ($suspect->seconds ?? 0.0));

            return;
        }
        if ($act->kind === 'work') {
            throw InvalidInput::at('/kind', 'In a lesson, use the drawn kit itself.');
        }
        $text = $act->kind === Event::NAMED ? trim($act->text) . ', ' : trim($act->text);
        $this->keep($run, $live->act($act->kind, $act->device, $at, $text), $act->client);
    }

    /**
     * Every control is pressed: the lesson is over, and is scored.
     */
    public function end(PracticeRun $run): PracticeAnswer
    {
        DB::transaction(function () use ($run): void {
            $run->refresh();
            if ($run->ended_at !== null) {
                return;
            }
            $now = $this->now($run);
            $lesson = Lessons::get($run->lesson);
            $this->keep($run, $lesson->run(self::log($run))->settle($now));
            $attempt = new Attempt($lesson, self::log($run), $now);
            $run->update([
                'ended_at' => $now,
                'speed' => 0,
                'clock_seconds' => $now,
                'score' => PracticePicture::score($attempt, Score::for($attempt), Turning::for($attempt))->write(),
            ]);
        });

        return $this->look($run);
    }

    public function speed(PracticeRun $run, int $speed): PracticeAnswer
    {
        DB::transaction(function () use ($run, $speed): void {
            $run->refresh();
            if ($run->ended_at === null) {
                $this->setClock($run, $this->now($run));
                $run->update(['speed' => min(1, $speed)]);
            }
        });

        return $this->look($run);
    }

    public function skip(PracticeRun $run): PracticeAnswer
    {
        DB::transaction(function () use ($run): void {
            $run->refresh();
            $now = $this->now($run);
            $live = Lessons::get($run->lesson)->run(self::log($run));
            $this->keep($run, $live->settle($now));
            $next = JoinPicture::nextAt($live, $now);
            if ($next !== null && $run->ended_at === null) {
                $this->setClock($run, $next + self::PAST);
            }
        });

        return $this->look($run);
    }

    /** @return array<string, list<PracticeRun>> practice runs of a person, by lesson, oldest first */
    public function done(User $user): array
    {
        $done = [];
        foreach (PracticeRun::query()->where('user_id', $user->id)->orderBy('id')->cursor() as $run) {
            $done[$run->lesson][] = $run;
        }

        return $done;
    }

    /** @return list<Event> */
    private static function log(PracticeRun $run): array
    {
        return array_map(static fn(array $e): Event => Event::read($e[0], $e[1], $e[2], $e[3]), $run->log);
    }

    /** @param  list<Event>  $events */
    private function keep(PracticeRun $run, array $events, ?string $client = null): void
    {
        if ($events === []) {
            return;
        }
        $new = [];
        foreach ($events as $n => $e) {
            $new[] = [$e->at, $e->kind, $e->device, mb_substr($e->written(), 0, 300), $n === 0 ? $client : null];
        }
        $run->update(['log' => [...$run->log, ...$new]]);
    }

    private function setClock(PracticeRun $run, float $seconds): void
    {
        $run->update(['clock_seconds' => $seconds, 'clock_since' => $this->wall()]);
    }

    /** @param  list<JoinRefused>  $refused */
    private function answer(
        PracticeRun $run,
        Lesson $lesson,
        LiveRun $live,
        float $now,
        array $refused = [],
    ): PracticeAnswer {
        return new PracticeAnswer(
            run: $run->id,
            speed: $run->speed,
            wall: (int) round($this->wall() * 1000),
            refused: $refused,
            ended: $run->ended_at,
            score: $run->score === null ? null : PracticeScore::read(new Fields($run->score)),
            lesson: PracticePicture::lesson($lesson),
            picture: JoinPicture::for($live, $now, null, windows: $run->ended_at !== null),
            keys: PracticePicture::keys($lesson),
            lines: PracticePicture::lines($live),
            leaflets: PracticePicture::leaflets($lesson),
            parts: PracticePicture::parts($lesson),
        );
    }

    private function now(PracticeRun $run): float
    {
        return $run->ended_at ?? $run->clockAt($this->wall());
    }

    private function wall(): float
    {
        return (float) Clock::now()->format('U.u');
    }
}
