<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\Backup;
use App\Backup\Manifest;
use App\Joining\NewRun;
use App\Joining\Practices;
use App\Models\Job;
use App\Models\PracticeRun;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use EmberDusk\Joining\Practice\Lessons;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Inertia\Inertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\TestCase;
use ZipArchive;

/** A backup restores completely, elsewhere too; a damaged one is refused with a message and changes nothing. */
final class BackupTest extends TestCase
{
    use DatabaseFiles;

    public function test_original_and_restored_answer_every_page_alike(): void
    {
        $this->travelTo('2026-12-01 09:00:00');
        $this->filled();
        // The list's summaries are calculated when they are first asked for.
        $this->actingAs(User::query()->firstOrFail());
        foreach (Job::query()->get() as $job) {
            $this->getJson("/jobs/{$job->id}/summary")->assertOk();
        }
        $before = $this->pages();
        self::assertSame(0, Artisan::call('ember:backup', ['file' => "{$this->home}/kept.zip"]));
        self::assertStringContainsString('2 jobs, 3 revisions, 1 photos, all verified', Artisan::output());
        $this->database('elsewhere', false);
        self::assertSame(0, Artisan::call('ember:restore', ['file' => "{$this->home}/kept.zip"]), Artisan::output());
        clearstatcache();
        $file = DB::connection()->getDatabaseName();
        self::assertSame('0640', sprintf('%04o', fileperms($file) & 0777), 'others on the server do not read it');
        $after = $this->pages();
        self::assertGreaterThan(50, count($before));
        self::assertSame(array_keys($before), array_keys($after));
        foreach ($before as $path => $answer) {
            self::assertSame(self::withoutNonce($answer), self::withoutNonce($after[$path]), $path);
        }
    }

    /** Each answer has a nonce of its own. */
    private static function withoutNonce(mixed $answer): mixed
    {
        return is_string($answer) ? preg_replace('/ nonce="[^"]*"/', '', $answer) : $answer;
    }

    public function test_a_backup_is_whole_while_others_write(): void
    {
        $file = $this->database('first');
        Artisan::call('db:seed', ['--class' => DatabaseSeeder::class, '--force' => true]);
        $env = ['DB_DATABASE' => $file, 'APP_ENV' => 'testing', 'CACHE_STORE' => 'array', 'EMBER_DEMO' => 'true'];
        $writers = array_map(
            static function (int $n) use ($env): Process {
                $writer = new Process(
                    ['php', __DIR__ . '/../write-changes.php', (string) $n, '40'],
                    dirname(__DIR__, 2),
                    $env,
                );
                $writer->start();

                return $writer;
            },
            [1, 2],
        );
        $revisions = static fn(): int => DB::table('revisions')->count();
        while ($revisions() < 6) {
            usleep(5_000);
        }
        $manifest = Backup::to("{$this->home}/kept.zip");
        foreach ($writers as $writer) {
            self::assertSame(0, $writer->wait(), $writer->getErrorOutput());
        }
        self::assertGreaterThanOrEqual(6, $manifest->rows['revisions']);
        self::assertSame(2 + 80, $revisions());
        $this->database('elsewhere', false);
        self::assertSame(0, Artisan::call('ember:restore', ['file' => "{$this->home}/kept.zip"]), Artisan::output());
        self::assertSame($manifest->rows['revisions'], $revisions());
        self::assertSame(
            range(1, $revisions() - 1),
            DB::table('revisions')->where('job_id', 1)->orderBy('number')->pluck('number')->all(),
            'no change is half in it',
        );
    }

    /** @return array<string, array{callable(string): mixed, string}> */
    public static function broken(): array
    {
        $manifest = static fn(callable $how): callable => static function (string $file) use ($how): void {
            $zip = new ZipArchive();
            $zip->open($file);
            $zip->addFromString(
                Backup::MANIFEST,
                (string) json_encode($how((array) json_decode((string) $zip->getFromName(Backup::MANIFEST), true))),
            );
            $zip->close();
        };
        $database = static function (string $file, callable $how): void {
            $zip = new ZipArchive();
            $zip->open($file);
            $zip->addFromString(Backup::DATABASE, $how((string) $zip->getFromName(Backup::DATABASE)));
            $zip->close();
        };

        return [
            'cut off' => [
                static fn(string $file) => file_put_contents($file, substr((string) file_get_contents($file), 0, 4000)),
                'damaged',
            ],
            'bytes inside the packed database' => [
                static function (string $file): void {
                    $bytes = (string) file_get_contents($file);
                    $at = intdiv(strlen($bytes), 2);
                    file_put_contents($file, substr_replace($bytes, str_repeat("\x00", 200), $at, 200));
                },
                'damaged',
            ],
            'no zip' => [static fn(string $file) => file_put_contents($file, 'hello'), 'not an Ember Dusk backup'],
            'another zip' => [$manifest(static fn(): array => ['hello' => 1]), 'its manifest cannot be read'],
            'a newer program' => [
                $manifest(
                    static fn(array $m): array => ['migrations' => [...$m['migrations'], '2031_01_01_000001_more']] +
                        $m,
                ),
                'by a newer program',
            ],
            'a newer format' => [
                $manifest(static fn(array $m): array => ['emberDuskBackup' => Manifest::FORMAT + 1] + $m),
                'by a newer program',
            ],
            'a changed byte' => [
                static fn(string $file) => $database(
                    $file,
                    static fn(string $s): string => substr_replace($s, 'X', intdiv(strlen($s), 2), 1),
                ),
                'has changed since',
            ],
            'a revision that cannot be read' => [
                static function (string $file) use ($database, $manifest): void {
                    $hash = '';
                    $database($file, static function (string $bytes) use (&$hash, $file): string {
                        file_put_contents("{$file}.db", $bytes);
                        $pdo = new \PDO("sqlite:{$file}.db");
                        $pdo->exec("update revisions set document = x'00ff' where number = 1");
                        unset($pdo);
                        $changed = (string) file_get_contents("{$file}.db");
                        $hash = hash('sha256', $changed);

                        return $changed;
                    });
                    $manifest(static fn(array $m): array => ['sha256' => $hash] + $m)($file);
                },
                'Revision 1 of job 1 cannot be read',
            ],
        ];
    }

    #[DataProvider('broken')]
    public function test_refuses_newer_or_damaged_backups_with_a_message(callable $break, string $said): void
    {
        $this->database('first');
        $this->job($this->crew());
        Backup::to("{$this->home}/kept.zip");
        $break("{$this->home}/kept.zip");
        $file = $this->database('elsewhere', false);
        self::assertSame(2, Artisan::call('ember:restore', ['file' => "{$this->home}/kept.zip"]));
        self::assertStringContainsString($said, $output = Artisan::output());
        self::assertStringContainsString('Nothing was restored', $output);
        self::assertSame(0, filesize($file));
        self::assertFileDoesNotExist("{$file}.restored");
    }

    public function test_nothing_is_overwritten(): void
    {
        $this->database('first');
        $this->job($this->crew());
        Backup::to("{$this->home}/kept.zip");
        $kept = hash_file('sha256', "{$this->home}/kept.zip");
        self::assertSame(2, Artisan::call('ember:backup', ['file' => "{$this->home}/kept.zip"]));
        self::assertStringContainsString('already exists', Artisan::output());
        self::assertSame(2, Artisan::call('ember:restore', ['file' => "{$this->home}/kept.zip"]));
        self::assertStringContainsString('is not empty: it contains crews', Artisan::output());
        self::assertSame(2, Artisan::call('ember:backup', ['file' => "{$this->home}/nowhere/kept.zip"]));
        self::assertStringContainsString('not a writable folder', Artisan::output());
        self::assertSame($kept, hash_file('sha256', "{$this->home}/kept.zip"));
        self::assertSame(1, Job::query()->count());
    }

    /** The demo world with something of every kind in it. */
    private function filled(): void
    {
        $this->database('first');
        Artisan::call('db:seed', ['--class' => DatabaseSeeder::class, '--force' => true]);
        $user = User::query()->firstOrFail();
        $job = Job::query()->orderBy('id')->firstOrFail();
        $this->actingAs($user);
        $this->postJson("/jobs/{$job->id}/change", [
            'base' => 1,
            'stage' => 'wire',
            'change' => ['kind' => 'DescribeJob', 'name' => 'Observatory', 'client' => 'Trust'],
        ])->assertOk();
        app(NewRun::class)->begin($job, $user, 1);
        app(Practices::class)->begin($user, Lessons::get('first-join'));
        $this->postJson("/jobs/{$job->id}/quotes")->assertOk();
        $this->postJson("/jobs/{$job->id}/parts", ['part' => 'cable-3x15', 'state' => 'here'])->assertOk();
        ob_start();
        imagejpeg(imagecreatetruecolor(8, 8));
        $job->photos()->create([
            'user_id' => $user->id,
            'place' => 'lecture',
            'caption' => 'Cupboard',
            'width' => 8,
            'height' => 8,
            'image' => (string) ob_get_clean(),
            'created_at' => now(),
        ]);
    }

    /** @return array<string, string> what every page says, by path; PDFs carry the moment at which they were made and are left out */
    private function pages(): array
    {
        $this->actingAs(User::query()->firstOrFail());
        $pages = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (
                !in_array('GET', $route->methods(), true) ||
                str_contains($route->uri(), '.pdf') ||
                in_array(
                    $route->uri(),
                    [
                        'up',
                        // What is exported here is noted in the record that this page shows.
                        'people',
                        'people/record.csv',
                        'sign-in',
                        'welcome/{personLink}/{secret}',
                        'jobs/{job}/proposals/{proposal}',
                    ],
                    true,
                )
            ) {
                continue;
            }
            foreach (Job::query()->orderBy('id')->get() as $job) {
                $given = [
                    '{job}' => $job->id,
                    '{entry}' => 'cable-3x15',
                    '{format}' => 'csv',
                    '{number}' => 1,
                    '{run}' => array_key_first($job->revisions()->firstOrFail()->plan()->runs),
                    '{joinRun}' => $job->joinRuns()->first()->id ?? 0,
                    '{practiceRun}' => PracticeRun::query()->firstOrFail()->id,
                    '{show}' => array_key_first($job->newest()->plan()->shows) ?? 'none',
                    '{photo}' => $job->photos()->first()->id ?? 0,
                    '{place}' => 'lecture',
                ];
                foreach (
                    str_contains($route->uri(), '{stage}') ? ['survey', 'kit', 'wire', 'parts', 'build'] : ['']
                    as $stage
                ) {
                    $path =
                        '/' .
                        strtr($route->uri(), ['{stage}' => $stage] + $given) .
                        match ($route->getName()) {
                            'jobs.state', 'jobs.beside' => '?stage=wire',
                            'bench.helper' => '?kind=divider&most=5&least=4.5&bears=3.3&reads=2.5&tolerance=5',
                            default => '',
                        };
                    $response = $this->get($path, [
                        'X-Inertia' => 'true',
                        'X-Inertia-Version' => Inertia::getVersion(),
                        'Accept' => 'application/json',
                    ]);
                    $pages[$path] = $response->getStatusCode() . ' ' . $response->getContent();
                }
            }
        }
        self::assertGreaterThan(
            count($pages) - 7,
            count(array_filter($pages, static fn(string $said): bool => str_starts_with($said, '200 '))),
            implode(
                "\n",
                array_keys(array_filter($pages, static fn(string $said): bool => !str_starts_with($said, '200 '))),
            ),
        );

        return $pages;
    }
}
