<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Limits;
use App\Models\Act;
use App\Models\Crew;
use App\Models\User;
use App\Time\Clock;
use EmberDusk\Formats\Csv;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The record of who did what in a crew: by the route's name in words, with the job, the person or the entry that it was about. */
final readonly class Record
{
    /** Days for which a line is kept. */
    public const DAYS = 400;

    /** Lines that the page shows; the file has all. */
    public const SHOWN = 50;

    private const WORDS = [
        'sign-in.store' => 'signed in',
        'sign-in.demo' => 'signed in to the demo',
        'sign-out' => 'signed out',
        'welcome.store' => 'came in by a link',
        'people.password' => 'changed the own password',
        'people.devices.end' => 'signed out the own other devices',
        'people.factor.confirm' => 'switched the second factor on',
        'people.factor.end' => 'switched the second factor off',
        'people.invite' => 'made an invitation',
        'people.link.revoke' => 'revoked a link',
        'people.reset' => 'made a link for a new password',
        'people.role' => 'changed a role',
        'people.close' => 'closed an account',
        'people.reopen' => 'reopened an account',
        'people.record' => 'exported this record',
        'jobs.import' => 'imported a job',
        'jobs.export' => 'exported a job',
        'jobs.archive' => 'archived a job',
        'jobs.back' => 'took a job back from the archive',
        'jobs.revive' => 'brought a deleted job back',
        'jobs.destroy' => 'deleted a job',
        'jobs.pdf' => 'printed the sheet',
        'jobs.quote.pdf' => 'printed the quote',
        'quotes.give' => 'noted a quote as given',
        'parts.csv' => 'exported the parts',
        'log.csv' => 'exported the log',
        'log.import' => 'imported lines into the log',
        'client.make' => 'made a link for the client',
        'client.revoke' => 'revoked a link for the client',
        'photos.destroy' => 'deleted a photo',
        'shelf.store' => 'changed an entry of the shelf',
        'shelf.destroy' => 'deleted an entry of the shelf',
        'shelf.import' => 'imported a shelf file',
        'shelf.export' => 'exported the shelf',
        'jobs.change SetTerms' => 'changed rate, mark-up or terms of a quote',
    ];

    /** Notes what a request has done, where it is one of those. */
    public static function of(Request $request, User $user): void
    {
        $route = (string) $request->route()?->getName();
        $kind = $request->input('change.kind');
        $what = self::WORDS[$route] ?? (self::WORDS[is_string($kind) ? "{$route} {$kind}" : ''] ?? null);
        if ($what !== null) {
            self::note($request, $user, $what, self::about($request));
        }
    }

    /** @param  User|null  $user  null where no account has the address */
    public static function failed(Request $request, ?User $user): void
    {
        self::note($request, $user, 'failed to sign in', '');
    }

    private static function note(Request $request, ?User $user, string $what, string $about): void
    {
        $now = Carbon::instance(Clock::now());
        DB::transaction(static function () use ($request, $user, $what, $about, $now): void {
            Act::query()
                ->where('at', '<', $now->copy()->subDays(self::DAYS))
                ->delete();
            Act::query()->create([
                'crew_id' => $user?->crew_id,
                'user_id' => $user?->id,
                'what' => $what,
                'about' => Str::limit($about, 110),
                'network' => Limits::range((string) $request->ip()),
                'at' => $now,
            ]);
        });
    }

    /** Name of the job or the person, or id of the entry. */
    private static function about(Request $request): string
    {
        foreach (['job', 'person', 'entry'] as $of) {
            $one = $request->route($of);
            $name = $one instanceof Model ? $one->getAttribute('name') : $one;
            if (is_string($name)) {
                return $name;
            }
        }

        return '';
    }

    /**
     * The newest lines of a crew first.
     *
     * @return list<array{at: string, who: string, what: string, about: string}>
     */
    public static function lines(Crew $crew, ?int $most): array
    {
        return array_values(
            Act::query()
                ->with('user')
                ->where('crew_id', $crew->id)
                ->orderByDesc('id')
                ->when($most !== null, static fn($query) => $query->limit((int) $most))
                ->get()
                ->map(
                    static fn(Act $a): array => [
                        'at' => Clock::local($a->at)->format('Y-m-d H:i'),
                        'who' => $a->user->name ?? '',
                        'what' => $a->what,
                        'about' => $a->about,
                    ],
                )
                ->all(),
        );
    }

    /** All lines as a table. */
    public static function csv(Crew $crew): string
    {
        return Csv::write([['at', 'who', 'what', 'about'], ...array_map(array_values(...), self::lines($crew, null))]);
    }
}
