<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\LogBook;
use App\Http\Requests\AcceptRequest;
use App\Http\Requests\UnacceptRequest;
use App\Models\Job;
use App\Models\User;
use App\Results\JobLoader;
use App\Time\Clock;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Checks\Findings;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\OutOfTurn;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Open points that a person accepts with a reason, and takes back: entries of the log. */
final readonly class AcceptController
{
    private const UTC = 'Y-m-d\TH:i:s.v\Z';

    public function __construct(private JobLoader $loader) {}

    public function accept(AcceptRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $plan = $job->newest()->plan();
        $key = $request->string('key')->toString();
        $finding =
            (new Findings($this->loader->load($job, $plan)))->find($key) ??
            throw OutOfTurn::at('/key', 'That point is no longer open.');
        if (!$finding->acceptable()) {
            throw InvalidInput::at('/key', 'A point marked stop cannot be accepted: fix it.');
        }
        $reason = trim($request->string('reason')->toString());
        $this->keep(
            $job,
            $plan,
            $user,
            new LogEntry(
                uuid: $request->string('uuid')->toString(),
                kind: LogEntry::ACCEPT,
                place: '',
                command: $key,
                value: null,
                text: "{$finding->title}. Reason: {$reason}",
                by: '',
                sure: false,
                at: Clock::now()->format(self::UTC),
                who: $user->name,
            ),
        );

        return new JsonResponse(['kept' => true]);
    }

    public function takeBack(UnacceptRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $entry = $request->string('entry')->toString();
        if (!LogBook::has($job, $entry, null)) {
            throw InvalidInput::at('/entry', 'That acceptance is not in this log. Reload the page.');
        }
        $this->keep(
            $job,
            $job->newest()->plan(),
            $user,
            new LogEntry(
                uuid: $request->string('uuid')->toString(),
                kind: LogEntry::STRIKE,
                place: '',
                command: $entry,
                value: null,
                text: 'Taken back',
                by: '',
                sure: false,
                at: Clock::now()->format(self::UTC),
                who: $user->name,
            ),
        );

        return new JsonResponse(['kept' => true]);
    }

    private function keep(Job $job, Plan $plan, User $user, LogEntry $entry): void
    {
        DB::transaction(static fn(): bool => LogBook::keep($job, $plan, $entry->check(), $user->id, null));
    }
}
