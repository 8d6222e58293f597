<?php

declare(strict_types=1);

namespace App\Papers;

use App\Models\ClientLink;
use App\Models\Job;
use App\Models\User;
use App\Screens\Handover\ClientLinkView;
use App\Time\Clock;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Str;

/** Links for clients, each with its own random secret: they expire by themselves, and can be revoked before. */
final readonly class ClientLinks
{
    /** Days for which a link is good. */
    public const DAYS = 90;

    /** Letters and digits of a secret: 238 bits. */
    private const LETTERS = 40;

    public function make(Job $job, User $user): ClientLink
    {
        $now = Carbon::instance(Clock::now());

        return DB::transaction(
            static fn(): ClientLink => $job->clientLinks()->create([
                'user_id' => $user->id,
                'expires_at' => $now->copy()->addDays(self::DAYS),
                'created_at' => $now,
                'secret' => Str::random(self::LETTERS),
            ]),
        );
    }

    public function revoke(ClientLink $link): void
    {
        DB::transaction(static fn(): bool => $link->update(['revoked_at' => $link->revoked_at ?? Clock::now()]));
    }

    /** Whether it may be read now by the person who has its address. */
    public function good(ClientLink $link): bool
    {
        return $link->revoked_at === null && $link->expires_at->greaterThan(Carbon::instance(Clock::now()));
    }

    /** The link that an address opens; null where its secret or, for one made before there were secrets, its signature is not right. */
    public function find(Request $request, int $id, string $secret): ?ClientLink
    {
        $link = ClientLink::query()->find($id);
        // The link of a deleted job opens nothing; it is good again if the job is brought back.
        if ($link === null || !$this->good($link) || !$link->job()->exists()) {
            return null;
        }
        if ($link->secret !== null) {
            return hash_equals($link->secret, $secret) ? $link : null;
        }

        return $secret === '' && $request->hasValidSignature(absolute: false) ? $link : null;
    }

    private static function url(ClientLink $link): string
    {
        $of = ['clientLink' => $link->id];
        if ($link->secret === null) {
            return URL::signedRoute('client', $of, absolute: false);
        }

        return route('client', [...$of, 'secret' => $link->secret], false);
    }

    /** @return list<ClientLinkView> those of a job that are good */
    public function for(Job $job): array
    {
        return array_values(
            array_map(
                static fn(ClientLink $link): ClientLinkView => new ClientLinkView(
                    id: $link->id,
                    url: self::url($link),
                    until: Clock::local($link->expires_at)->format('Y-m-d'),
                ),
                array_filter($job->clientLinks()->orderBy('id')->get()->all(), $this->good(...)),
            ),
        );
    }
}
