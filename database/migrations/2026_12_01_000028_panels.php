<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Wall panels were named p1, p2, … in the logs of join runs, as outlets are named in the notes of a place; now w1, w2, … */
return new class extends Migration {
    public function up(): void
    {
        $this->renamed('p', 'w');
    }

    public function down(): void
    {
        $this->renamed('w', 'p');
    }

    private function renamed(string $from, string $to): void
    {
        foreach (DB::table('jobs')->orderBy('id')->pluck('id') as $job) {
            $panels = self::panels((int) $job);
            if ($panels === 0) {
                continue;
            }
            $new = static fn(?string $text): ?string => $text === null
                ? null
                : preg_replace_callback(
                    "/(?<![\\w-]){$from}(\\d+)(?![\\w-])/",
                    static fn(array $m): string => (int) $m[1] <= $panels ? $to . $m[1] : $m[0],
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
                    ->update(['about' => $new($fact->about)]);
            }
        }
    }

    /** The most panels that a revision of a job has. */
    private static function panels(int $job): int
    {
        $most = 0;
        foreach (DB::table('revisions')->where('job_id', $job)->orderByDesc('number')->lazy(20) as $revision) {
            $document = json_decode((string) @gzuncompress($revision->document), true);
            if (is_array($document)) {
                $kinds = array_column(array_column($document['kit'] ?? [], 'entry'), 'kind', 'id');
                $most = max(
                    $most,
                    array_sum(
                        array_map(
                            static fn(array $item): int => ($kinds[$item['kit']] ?? '') === 'panel'
                                ? (int) ($item['count'] ?? 1)
                                : 0,
                            $document['items'] ?? [],
                        ),
                    ),
                );
            }
        }

        return $most;
    }
};
