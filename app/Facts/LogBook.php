<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Job;
use App\Models\JobLogEntry;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Bench\Log\LogWords;
use EmberDusk\Plan\Plan;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A job's log: readings, observations, fixes and remarks, ticks, photos and joins, ordered by time. Practice is always kept separate.
 */
final readonly class LogBook
{
    public const KINDS = [
        'tick' => 'ticks',
        'reading' => 'readings',
        'colour' => 'colours',
        'count' => 'counts',
        'mend' => 'mends',
        'remark' => 'remarks',
        'fail' => 'failed tests',
        'accept' => 'accepted points',
        'photo' => 'photos',
        'join' => 'joins',
    ];

    /** @return list<LogEntry> facts of the bench, by time */
    public static function entries(Job $job, ?int $practice = null): array
    {
        return array_values(
            $job
                ->logEntries()
                ->where('practice_id', $practice)
                ->where('kind', '!=', 'remark')
                ->orderBy('at')
                ->orderBy('id')
                ->get()
                ->map(static fn(JobLogEntry $e): LogEntry => $e->fact())
                ->all(),
        );
    }

    /** Keeps an entry with its words as the plan has them now; one that comes twice is one. Whether it is new. */
    public static function keep(Job $job, Plan $plan, LogEntry $entry, ?int $user, ?int $practice): bool
    {
        return $job->logEntries()->firstOrCreate(
            ['uuid' => $entry->uuid],
            [
                'practice_id' => $practice,
                'user_id' => $user,
                'who' => $entry->who,
                'kind' => $entry->kind,
                'place' => $entry->place,
                'command' => $entry->command,
                'value' => $entry->value,
                'text' => $entry->text,
                'words' => (new LogWords($plan))->for($entry),
                'by' => $entry->by,
                'sure' => $entry->sure,
                'at' => $entry->at,
            ],
        )->wasRecentlyCreated;
    }

    /** Whether a log, of the job or of a practice, has an entry that can be struck out. */
    public static function has(Job $job, string $uuid, ?int $practice): bool
    {
        return $job
            ->logEntries()
            ->where('practice_id', $practice)
            ->where('uuid', $uuid)
            ->where('kind', '!=', LogEntry::STRIKE)
            ->exists();
    }

    /** @return list<array<string, string|float|null>> entries that strike others out, as rows of the CSV, newest first */
    public static function strikes(Job $job): array
    {
        return array_values(
            $job
                ->logEntries()
                ->whereNull('practice_id')
                ->where('kind', LogEntry::STRIKE)
                ->orderByDesc('at')
                ->orderByDesc('id')
                ->get()
                ->map(
                    static fn(JobLogEntry $e): array => [
                        'at' => $e->at,
                        'who' => $e->who,
                        'kind' => $e->kind,
                        'place' => $e->place,
                        'command' => $e->command,
                        'text' => $e->text,
                        'words' => $e->words,
                        'uuid' => $e->uuid,
                    ],
                )
                ->all(),
        );
    }

    /** Everything, newest first: rows with id, at, who, kind, place, part, words, photo, what an entry has beside them, and who struck it out, when and why. */
    public static function lines(Job $job, string $words = '', string $kind = '', string $part = ''): Builder
    {
        $none =
            "'' as command, null as value, '' as text, '' as by, 0 as sure, '' as uuid, " .
            "'' as struck_by, '' as struck_at, '' as struck_for";
        $utc = static fn(string $column): string => "strftime('%Y-%m-%dT%H:%M:%S.000Z', {$column})";
        $entries = DB::table('log_entries')
            ->leftJoinSub(self::firstStrikes($job), 'strikes', 'strikes.command', '=', 'log_entries.uuid')
            ->where('job_id', $job->id)
            ->whereNull('practice_id')
            ->where('kind', '!=', LogEntry::STRIKE)
            ->selectRaw(
                "'e' || log_entries.id as id, at, who, kind, place, case when instr(place, '@') > 0 then substr(place, 1, instr(place, '@') - 1) " .
                    "when instr(place, ':') > 0 then substr(place, 1, instr(place, ':') - 1) else place end as part, " .
                    "words, '' as photo, log_entries.command, value, text, by, sure, uuid, " .
                    "coalesce(struck_by, '') as struck_by, coalesce(struck_at, '') as struck_at, coalesce(struck_for, '') as struck_for",
            );
        $ticks = DB::table('ticks')
            ->leftJoin('users', 'users.id', '=', 'ticks.user_id')
            ->where('ticks.job_id', $job->id)
            ->selectRaw(
                "'t' || ticks.id as id, ticks.at, coalesce(users.name, '') as who, 'tick' as kind, step as place, " .
                    "case when instr(step, '/') > 0 then substr(step, instr(step, '-') + 1, instr(step, '/') - instr(step, '-') - 1) " .
                    "else substr(step, instr(step, '-') + 1) end as part, " .
                    "case when words = '' then step else words end || case when done then ': done' else ': not done after all' end as words, " .
                    "'' as photo, {$none}",
            );
        $photos = DB::table('photos')
            ->leftJoin('users', 'users.id', '=', 'photos.user_id')
            ->where('photos.job_id', $job->id)
            ->selectRaw(
                "'p' || photos.id as id, " .
                    $utc('photos.created_at') .
                    " as at, coalesce(users.name, '') as who, 'photo' as kind, place, place as part, " .
                    "case when caption = '' then 'photo' else caption end as words, cast(photos.id as text) as photo, {$none}",
            );
        $joins = DB::table('join_events')
            ->join('join_runs', 'join_runs.id', '=', 'join_events.join_run_id')
            ->leftJoin('users', 'users.id', '=', 'join_runs.user_id')
            ->where('join_runs.job_id', $job->id)
            ->whereIn('join_events.kind', ['named', 'joined'])
            ->where('join_runs.site', true)
            ->selectRaw(
                "'j' || join_events.id as id, " .
                    $utc('join_events.created_at') .
                    " as at, coalesce(users.name, '') as who, 'join' as kind, device as place, device as part, " .
                    "upper(device) || case join_events.kind when 'named' then ' joined and named ' || join_events.text " .
                    "else ' joined' end as words, '' as photo, {$none}",
            );
        $all = DB::query()->fromSub($entries->unionAll($ticks)->unionAll($photos)->unionAll($joins), 'log');
        foreach (preg_split('/\s+/', trim($words)) ?: [] as $word) {
            if ($word !== '') {
                $like = '%' . addcslashes($word, '%_\\') . '%';
                $all->where(
                    static fn(Builder $q) => $q
                        ->whereRaw("words like ? escape '\\'", [$like])
                        ->orWhereRaw("who like ? escape '\\'", [$like]),
                );
            }
        }

        return $all
            ->when($kind !== '', static fn(Builder $q) => $q->where('kind', $kind))
            ->when($part !== '', static fn(Builder $q) => $q->where('part', $part))
            ->orderByDesc('at')
            ->orderByDesc('id');
    }

    /** The first strike of each entry that was struck out. SQLite takes the other columns from the row of the minimum. */
    private static function firstStrikes(Job $job): Builder
    {
        return DB::table('log_entries')
            ->where('job_id', $job->id)
            ->whereNull('practice_id')
            ->where('kind', LogEntry::STRIKE)
            ->groupBy('command')
            ->selectRaw('command, min(id) as first, who as struck_by, at as struck_at, text as struck_for');
    }
}
