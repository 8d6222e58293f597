<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Photo;
use App\Models\Revision;
use App\Models\User;
use EmberDusk\Plan\JobFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use ZipArchive;

/**
 * Databases as earlier programs kept them, by the last migration that each knew: the demo world with edits, an undo, a
 * tick, a part on the way, a quote, offcuts, a join run, a proposal and a photo. Each is migrated and everything opens.
 */
final class LandedDatabasesTest extends TestCase
{
    use DatabaseFiles;

    private const PAGES = [
        'survey',
        'kit',
        'wire',
        'parts',
        'build',
        'bench',
        'log',
        'join',
        'handover',
        'sheet',
        'quote',
        'van',
        'day-sheets',
        'build.ics',
        'export',
        'history',
    ];

    /** @return iterable<string, array{string, bool}> a database, and whether every page is opened */
    public static function databases(): iterable
    {
        $files = glob(dirname(__DIR__) . '/fixtures/databases/*.zip') ?: [];
        natsort($files);
        $files = array_values($files);
        foreach ($files as $n => $file) {
            // What lies between the oldest and the newest was kept by one of their tables.
            yield basename($file, '.zip') => [$file, $n === 0 || $n === count($files) - 1];
        }
    }

    #[DataProvider('databases')]
    public function test_what_an_earlier_program_kept_is_migrated_and_opens(string $zip, bool $pages): void
    {
        $this->travelTo('2026-12-01 09:00:00');
        $file = $this->database('landed', false);
        $archive = new ZipArchive();
        self::assertTrue($archive->open($zip, ZipArchive::CHECKCONS));
        file_put_contents($file, (string) $archive->getFromName('ember.sqlite'));
        DB::purge();
        self::assertSame(0, Artisan::call('migrate', ['--force' => true]), Artisan::output());
        self::assertSame(
            ['blob'],
            DB::table('revisions')->selectRaw('typeof(document) as t')->distinct()->pluck('t')->all(),
        );
        self::assertSame(IMAGETYPE_JPEG, getimagesizefromstring(Photo::query()->sole()->image)[2] ?? null);
        foreach (Revision::query()->get() as $revision) {
            self::assertEquals(
                $revision->plan(),
                JobFile::read(JobFile::write($revision->plan())),
                "revision {$revision->number}",
            );
        }
        $this->actingAs(User::query()->firstOrFail());
        $this->get('/')->assertOk();
        foreach (Job::query()->orderBy('id')->get() as $job) {
            self::assertSame(
                array_keys($job->revisions()->orderByDesc('number')->firstOrFail()->plan()->kit),
                array_keys($job->kit),
            );
            $this->answer($this->getJson("/jobs/{$job->id}/summary"), 'jobSummary');
            foreach ($pages ? self::PAGES : ['wire', 'join', 'handover'] as $page) {
                $this->get("/jobs/{$job->id}/{$page}")->assertOk();
            }
        }
        $job = Job::query()->findOrFail(1);
        $steps = (array) $this->answer($this->getJson("/jobs/{$job->id}/state?stage=build"))['desk']['build']['steps'];
        self::assertSame(
            [true],
            array_column(
                array_filter($steps, static fn(mixed $s): bool => is_array($s) && $s['id'] === 'dry-cove'),
                'done',
            ),
        );
        // Undone changes can be redone, and done ones undone.
        self::assertSame(
            'K1 is 5.00 m long',
            $this->answer($this->postJson("/jobs/{$job->id}/redo", ['stage' => 'wire']))['undo'],
        );
        $this->postJson("/jobs/{$job->id}/undo", ['stage' => 'wire'])->assertOk();
        $this->postJson("/jobs/{$job->id}/undo", ['stage' => 'wire'])
            ->assertOk()
            ->assertJsonPath('undo', null);
    }
}
