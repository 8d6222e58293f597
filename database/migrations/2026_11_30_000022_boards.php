<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Pixel boards were named b1, b2, … in the logs of join runs, in the order of the job's items; as controllers they have the ids of those items. Older
 * revisions stay as they are: their documents are upgraded when they are read.
 */
return new class extends Migration {
    public function up(): void
    {
        $this->renamed(static fn(array $ids): array => $ids);
    }

    public function down(): void
    {
        $this->renamed(array_flip(...));
    }

    /** @param  callable(array<string, string>): array<string, string>  $way */
    private function renamed(callable $way): void
    {
        foreach (DB::table('jobs')->orderBy('id')->pluck('id') as $job) {
            $boards = $way(self::boards((int) $job));
            if ($boards === []) {
                continue;
            }
            $new = static fn(?string $text): ?string => $text === null
                ? null
                : preg_replace_callback(
                    '/(?<![\w-])[a-z][\w-]*/',
                    static fn(array $m): string => $boards[$m[0]] ?? $m[0],
                    $text,
                );
            foreach (DB::table('join_runs')->where('job_id', $job)->get() as $run) {
                DB::table('join_runs')
                    ->where('id', $run->id)
                    ->update([
                        'hand' => $new($run->hand),
                        'flaws' => $new($run->flaws),
                        'tasks' => $new($run->tasks),
                    ]);
                foreach (DB::table('join_events')->where('join_run_id', $run->id)->lazyById() as $event) {
                    DB::table('join_events')
                        ->where('id', $event->id)
                        ->update(['device' => $new($event->device), 'task' => $new($event->task)]);
                }
            }
            foreach (DB::table('left_facts')->where('job_id', $job)->get() as $fact) {
                DB::table('left_facts')
                    ->where('id', $fact->id)
                    ->update(['about' => $boards[$fact->about] ?? $fact->about]);
            }
        }
    }

    /** @return array<string, string> ids of the items of the newest version 8 of a job, by the names that they had */
    private static function boards(int $job): array
    {
        foreach (DB::table('revisions')->where('job_id', $job)->orderByDesc('number')->lazy(20) as $revision) {
            $document = json_decode((string) @gzuncompress($revision->document), true);
            if (is_array($document) && ($document['version'] ?? 0) < 9) {
                $kinds = array_column(array_column($document['kit'] ?? [], 'entry'), 'kind', 'id');
                $runs = array_column($document['runs'] ?? [], 'id');
                $boards = [];
                foreach ($document['items'] ?? [] as $item) {
                    if (($kinds[$item['kit']] ?? '') === 'board' && in_array($item['on'] ?? null, $runs, true)) {
                        $boards['b' . (count($boards) + 1)] = $item['id'];
                    }
                }

                return $boards;
            }
        }

        return [];
    }
};
