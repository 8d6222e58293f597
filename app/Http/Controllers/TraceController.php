<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\History\Revisions;
use App\Http\Requests\AnswerTraceRequest;
use App\Http\Requests\BeginTraceRequest;
use App\Models\Job;
use App\Models\Trace;
use App\Models\User;
use App\Screens\Survey\TraceScreen;
use App\Time\Clock;
use EmberDusk\Plan\Changes\Places\RecordTrace;
use EmberDusk\Survey\Trace\Probe;
use EmberDusk\Survey\Trace\Tracer;
use EmberDusk\Survey\Trace\TraceResult;
use EmberDusk\Values\OutOfTurn;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** A guided trace of cable legs: begun, answered one measurement at a time, and written into the notes when it is done. */
final readonly class TraceController
{
    public function __construct(private Revisions $revisions) {}

    /** Goes on with a trace of the same legs that is not recorded yet, or begins one. */
    public function begin(BeginTraceRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $plan = $job->newest()->plan();
        $place = $plan->place($request->string('place')->toString());
        $near = $request->string('near')->toString();
        $legs = array_map(static fn($l): array => [$l->name, $l->to, $l->cores], TraceScreen::legs($place, $near));
        $trace = DB::transaction(static function () use ($job, $user, $place, $near, $legs): Trace {
            $open = $job
                ->traces()
                ->where(['place' => $place->id, 'near' => $near])
                ->whereNull('recorded_at')
                ->latest('id')
                ->first();
            if ($open !== null && $open->legs === $legs) {
                return $open;
            }

            return $job->traces()->create([
                'user_id' => $user->id,
                'place' => $place->id,
                'near' => $near,
                'legs' => $legs,
                'answers' => [],
            ]);
        });

        return self::answer($trace);
    }

    /** An answer to the measurement of that number; one that was answered already is not taken twice. */
    public function act(AnswerTraceRequest $request, Job $job, Trace $trace): JsonResponse
    {
        return self::answer(
            DB::transaction(static function () use ($request, $trace): Trace {
                $trace->refresh();
                $asked = count($trace->answers);
                if ($request->boolean('back')) {
                    $trace->update(['answers' => array_slice($trace->answers, 0, -1)]);
                } elseif ($request->integer('asked') === $asked) {
                    $probe = (new Tracer(TraceScreen::traced($trace)))->next($trace->heard());
                    if ($probe instanceof Probe) {
                        $trace->update([
                            'answers' => [
                                ...$trace->answers,
                                [$probe->linked, $probe->end, $probe->cores, $request->boolean('tone')],
                            ],
                        ]);
                    }
                }

                return $trace;
            }),
        );
    }

    /** Writes the result behind the legs in the notes, as an undoable change. */
    public function record(Job $job, Trace $trace, #[CurrentUser] User $user): JsonResponse
    {
        $found = (new Tracer(TraceScreen::traced($trace)))->next($trace->heard());
        if (!($found instanceof TraceResult) || $found->found === []) {
            throw new OutOfTurn('The trace is not finished: it has no certain result yet.');
        }
        $change = RecordTrace::payload($trace->place, $found->found);
        DB::transaction(function () use ($job, $user, $trace, $change): void {
            $this->revisions->change($job, $user, $job->newest()->number, $change->write());
            $trace->update(['recorded_at' => Clock::now()]);
        });

        return self::answer($trace);
    }

    private static function answer(Trace $trace): JsonResponse
    {
        return new JsonResponse(TraceScreen::for($trace));
    }
}
