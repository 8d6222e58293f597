<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use App\Models\Photo;
use App\Models\Revision;
use EmberDusk\Plan\JobFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Binary data is stored as binary: a dump of the database contains all of it. */
final class BlobsTest extends TestCase
{
    use DatabaseFiles;

    /** Every byte there is, NUL first. */
    private static function bytes(): string
    {
        return implode('', array_map(chr(...), range(0, 255)));
    }

    public function test_every_revision_and_photo_reads_back_after_a_dump_and_a_reload(): void
    {
        $file = $this->database('first');
        $job = $this->job($this->crew());
        $user = $this->user($job->crew);
        foreach (['One', 'Two', 'Three'] as $n => $name) {
            (new Revisions())->change($job, $user, $n + 1, [
                'kind' => 'DescribeJob',
                'name' => $name,
                'client' => 'Trust',
            ]);
        }
        $job->photos()->create([
            'place' => 'lecture',
            'caption' => '',
            'width' => 1,
            'height' => 1,
            'image' => self::bytes(),
            'created_at' => now(),
        ]);
        $before = Revision::query()
            ->orderBy('id')
            ->get()
            ->map(static fn(Revision $r): string => JobFile::write($r->plan()))
            ->all();
        self::assertCount(4, array_unique($before));
        $copy = $this->reloaded($file);
        self::assertSame(
            $before,
            Revision::query()
                ->orderBy('id')
                ->get()
                ->map(static fn(Revision $r): string => JobFile::write($r->plan()))
                ->all(),
            $copy,
        );
        self::assertSame(self::bytes(), Photo::query()->sole()->image);
    }

    public function test_every_column_of_bytes_holds_blobs(): void
    {
        $this->database('first');
        $job = $this->job($this->crew());
        $job->photos()->create([
            'place' => 'lecture',
            'caption' => '',
            'width' => 1,
            'height' => 1,
            'image' => self::bytes(),
            'created_at' => now(),
        ]);
        $seen = [];
        foreach (Schema::getTableListing(schemaQualified: false) as $table) {
            foreach (Schema::getColumns($table) as $column) {
                if ($column['type_name'] === 'blob') {
                    $seen[] = "{$table}.{$column['name']}";
                    self::assertSame(
                        ['blob'],
                        DB::table($table)
                            ->selectRaw("typeof({$column['name']}) as t")
                            ->distinct()
                            ->pluck('t')
                            ->all(),
                        end($seen),
                    );
                }
            }
        }
        self::assertSame(['photos.image', 'revisions.document'], $seen);
    }

    public function test_rows_that_an_earlier_version_kept_as_text_are_brought_up(): void
    {
        $file = $this->database('first');
        $job = $this->job($this->crew());
        $plan = JobFile::write($job->newest()->plan());
        $job->photos()->create([
            'place' => 'lecture',
            'caption' => '',
            'width' => 1,
            'height' => 1,
            'image' => self::bytes(),
            'created_at' => now(),
        ]);
        // As it was bound before: a string.
        DB::update('update revisions set document = ?', [gzcompress($plan, 6)]);
        DB::update('update photos set image = ?', [self::bytes()]);
        self::assertSame(['text'], DB::table('photos')->selectRaw('typeof(image) as t')->pluck('t')->all());
        $migration = require database_path('migrations/2026_11_27_000010_blobs.php');
        $migration->up();
        $this->reloaded($file);
        self::assertSame($plan, JobFile::write(Revision::query()->sole()->plan()));
        self::assertSame(self::bytes(), Photo::query()->sole()->image);
    }

    /** The database, written out as text by the usual tool and read in again, becomes the application's. */
    private function reloaded(string $file): string
    {
        $copy = "{$this->home}/copy.sqlite";
        Process::fromShellCommandline(
            'sqlite3 ' . escapeshellarg($file) . ' .dump | sqlite3 ' . escapeshellarg($copy),
        )->mustRun();

        return $this->database('copy', false);
    }
}
