<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MoveRequest;
use App\Http\Requests\TickRequest;
use App\Http\Requests\VisitsRequest;
use App\Http\Requests\WaitRequest;
use App\Models\Job;
use App\Models\User;
use App\Papers\Download;
use App\Results\JobLoader;
use App\Screens\Build\MoveCost;
use App\Screens\Build\StepCalendar;
use App\Time\Clock;
use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\CriticalPath;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\JobStage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Ticks of the steps, visits and moves, and the plan of work as a calendar. */
final readonly class BuildController
{
    public function __construct(private JobLoader $loader) {}

    /** Answers with the changed steps; the page keeps the others. */
    public function tick(TickRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        // The page still shows its former user; another person has signed in since.
        abort_if(
            $request->filled('by') && $request->integer('by') !== $user->id,
            403,
            'Another person has signed in on this device. It is sent when the person who pressed it signs in again.',
        );
        $id = $request->string('step')->toString();
        $ticked = $this->state($job)->schedule()->tickable($id);
        // A clock that runs ahead must not win over every press to come.
        $at = min($request->string('at')->toString(), Clock::now()->format('Y-m-d\TH:i:s.v\Z'));
        DB::transaction(
            static fn() => $job->ticks()->firstOrCreate(
                ['uuid' => $request->string('uuid')->toString()],
                [
                    'step' => $id,
                    'kind' => $ticked->step->kind->value,
                    'done' => $request->boolean('done'),
                    'table_minutes' => $ticked->step->table,
                    'minutes' => $request->integer('minutes'),
                    'at' => $at,
                    'user_id' => $user->id,
                    'words' => mb_substr($ticked->title, 0, 300),
                ],
            ),
        );
        $this->refuseWhenOvertaken($job, $user, $id, $request->boolean('done'), $at);
        $answer = $this->loader->answer($job, $user, $job->newest(), JobStage::Build);

        return new JsonResponse($answer->without($request->known()));
    }

    /**
     * A press that waited on a device for a signal loses to a later press of another person, who is named.
     *
     * @throws InvalidInput
     */
    private function refuseWhenOvertaken(Job $job, User $user, string $step, bool $done, string $at): void
    {
        $later = $job->ticks()->where('step', $step)->where('at', '>', $at)->latest('at')->with('user')->first();
        if ($later === null || $later->done === $done || $later->user?->id === $user->id) {
            return;
        }
        $said = static fn(bool $done): string => $done ? 'done' : 'not done';
        throw new InvalidInput(
            sprintf(
                '%s pressed “%s” on %s, after your “%s” of %s. It stays “%2$s”.',
                $later->user->name ?? 'Somebody',
                $said($later->done),
                Clock::local($later->at)->format('j F, H:i'),
                $said($done),
                Clock::local($at)->format('j F, H:i'),
            ),
            '/done',
        );
    }

    public function visits(VisitsRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        return $this->arrange($job, $user, $request->read(...));
    }

    public function wait(WaitRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $schedule = $this->state($job)->schedule();

        return $this->arrange($job, $user, static function (Arrangement $a) use ($request, $schedule): Arrangement {
            $arrangement = $a->waiting(
                $request->string('step')->toString(),
                $request->string('after')->toString(),
                $request->boolean('on'),
            );
            // Refused at the place when steps would wait for each other in a circle.
            CriticalPath::from($arrangement->order($schedule->steps));

            return $arrangement;
        });
    }

    public function move(MoveRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $step = $request->string('step')->toString();
        if ($request->boolean('back')) {
            return $this->arrange($job, $user, static fn(Arrangement $a): Arrangement => $a->moved($step, null));
        }
        $pin = $request->pin();
        $cost = MoveCost::for($this->state($job), $pin);
        if (!$request->boolean('keep')) {
            return new JsonResponse($cost);
        }
        if ($cost->broken !== []) {
            throw InvalidInput::at('/step', 'It cannot be moved there. ' . implode(' ', $cost->broken));
        }

        return $this->arrange($job, $user, static fn(Arrangement $a): Arrangement => $a->moved($step, $pin));
    }

    public function calendar(Job $job): Response
    {
        return Download::with(
            StepCalendar::calendar(
                $this->state($job),
                "job{$job->id}@" . parse_url((string) config('app.url'), PHP_URL_HOST),
                (int) Clock::now()->getTimestamp(),
            ),
            Str::slug($job->name) . '.ics',
            'text/calendar; charset=utf-8',
        );
    }

    /** @param  callable(Arrangement): Arrangement  $how */
    private function arrange(Job $job, User $user, callable $how): JsonResponse
    {
        DB::transaction(static function () use ($job, $how): void {
            $kept = $job->arrangement()->first();
            $job->arrangement()->updateOrCreate([], ['document' => $how($kept?->read() ?? new Arrangement())->write()]);
        });

        return $this->answer($job, $user);
    }

    private function state(Job $job): JobState
    {
        return $this->loader->load($job, $job->newest()->plan());
    }

    private function answer(Job $job, User $user): JsonResponse
    {
        return new JsonResponse($this->loader->answer($job, $user, $job->newest(), JobStage::Build));
    }
}
