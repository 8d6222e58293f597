<?php

declare(strict_types=1);

namespace App\Papers;

use App\Models\ClientLink;
use App\Models\Job;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;

/** Signed links for clients: they run out by themselves, and can be taken back before. */
final readonly class ClientLinks
{
    /** Days for which a link is good. */
    public const DAYS = 90;

    public function make(Job $job, User $user): ClientLink
    {
        $now = Carbon::instance(Clock::now());

        return DB::transaction(
            static fn(): ClientLink => $job->clientLinks()->create([
                'user_id' => $user->id,
                'expires_at' => $now->copy()->addDays(self::DAYS),
                'created_at' => $now,
            ]),
        );
    }

    public function revoke(ClientLink $link): void
    {
        DB::transaction(static fn(): bool => $link->update(['revoked_at' => $link->revoked_at ?? Clock::now()]));
    }

    /** Whether it may be read now by whoever has its address. */
    public function good(ClientLink $link): bool
    {
        return $link->revoked_at === null && $link->expires_at->greaterThan(Carbon::instance(Clock::now()));
    }

    /** @return list<array{id: int, url: string, until: string}> those of a job that are good */
    public function of(Job $job): array
    {
        return array_values(
            array_map(
                static fn(ClientLink $link): array => [
                    'id' => $link->id,
                    'url' => URL::signedRoute('client', ['clientLink' => $link->id], absolute: false),
                    'until' => Clock::local($link->expires_at)->format('Y-m-d'),
                ],
                array_filter($job->clientLinks()->orderBy('id')->get()->all(), $this->good(...)),
            ),
        );
    }
}
