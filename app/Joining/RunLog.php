<?php

declare(strict_types=1);

namespace App\Joining;

use App\Models\JoinEvent;
use App\Models\JoinRun;
use App\Models\User;
use App\Time\Clock;
use EmberDusk\Joining\Event;

/** The log of a join run, as rows. */
final readonly class RunLog
{
    /** @return list<Event> */
    public function for(JoinRun $run): array
    {
        return array_values(
            $run->events()->orderBy('number')->get()->map(static fn(JoinEvent $e): Event => $e->event())->all(),
        );
    }

    /** @return list<array{Event, string}> each with the day and time at which it was kept */
    public function timed(JoinRun $run): array
    {
        return array_values(
            $run
                ->events()
                ->orderBy('number')
                ->get()
                ->map(
                    static fn(JoinEvent $e): array => [$e->event(), Clock::local($e->created_at)->format('Y-m-d H:i')],
                )
                ->all(),
        );
    }

    /** Whether something is there already that a device has given this name. */
    public function has(JoinRun $run, string $client): bool
    {
        return $run->events()->where('client', $client)->exists();
    }

    /**
     * @param  list<Event>  $events
     * @param  User|null  $user  whose doing they are; null: they came by themselves
     * @param  string|null  $client  the name that a device gave the first of them
     */
    public function keep(JoinRun $run, array $events, ?User $user = null, ?string $client = null): void
    {
        $number = (int) $run->events()->max('number');
        foreach ($events as $n => $e) {
            $run->events()->create([
                ...JoinEvent::columns($e),
                'number' => ++$number,
                'client' => $n === 0 ? $client : null,
                'user_id' => $user?->id,
                'created_at' => Clock::now(),
            ]);
        }
    }
}
