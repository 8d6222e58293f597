<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\Trouble;
use App\Models\Job;
use App\Photos\Shrink;
use App\Results\ResultStore;
use ArrayObject;
use EmberDusk\Tests\Demo;
use ErrorException;
use FilesystemIterator;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PDO;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use RuntimeException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Process\Process;
use Tests\TestCase;
use UnexpectedValueException;

/** Input that no normal page sends: each is refused with a message, none fails the server. */
final class BadInputTest extends TestCase
{
    use DatabaseFiles;

    private Job $job;

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }

    private function begin(): void
    {
        $this->database('first');
        $this->job = $this->job($this->crew());
        $this->actingAs($this->user($this->job->crew));
    }

    /** @return TestResponse<Response> */
    private function raw(string $path, string $json): TestResponse
    {
        return $this->call(
            'POST',
            $path,
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $json,
        );
    }

    /** @return array<string, array{string, string, string}> path, JSON with the number 1e999 in it, pointer */
    public static function infinite(): array
    {
        return [
            'base' => ['change', '{"base":1e999,"stage":"wire","change":{"kind":"DropRun","run":"cove"}}', '/base'],
            'minutes' => [
                'build/tick',
                '{"uuid":"6f1c2b1e-9a51-4c7e-8f7f-0a6a3f6d2b11","step":"dry-cove","done":true,"minutes":1e999,"at":"2026-11-25T09:00:00.000Z"}',
                '/minutes',
            ],
            'people' => [
                'build/visits',
                '{"visits":[{"from":"2026-12-01","days":0,"people":1e999}],"weekends":false}',
                '/visits/0/people',
            ],
            'from' => [
                'build/move',
                '{"step":"dry-cove","day":"2026-12-01","from":-1e999,"person":0,"keep":false}',
                '/from',
            ],
            'count' => ['offcuts', '{"kit":"profile-flat","metres":1,"count":1e999}', '/count'],
            'metres' => ['offcuts', '{"kit":"profile-flat","metres":1e999,"count":1}', '/metres'],
        ];
    }

    #[DataProvider('infinite')]
    public function test_an_infinite_number_is_none(string $path, string $json, string $pointer): void
    {
        $this->begin();
        $this->raw("/jobs/{$this->job->id}/{$path}", $json)
            ->assertStatus(422)
            ->assertJsonPath('pointer', $pointer)
            ->assertJsonPath('message', 'A finite number was expected.');
    }

    /** @return array<string, array{string, int, string}> file, status, message */
    public static function files(): array
    {
        $job = (string) file_get_contents(dirname(__DIR__, 2) . '/core/tests/fixtures/job-narrowboat.json');

        return [
            'an infinite limit' => [
                (string) preg_replace('/"drop": *[\d.]+/', '"drop": 1e999', $job),
                422,
                'The number is too large to be one.',
            ],
            'a zip' => ["PK\x03\x04" . str_repeat("\0", 60), 422, 'The file is packed (zip). Unpack it first.'],
            'a gzip' => [(string) gzencode($job), 422, 'The file is packed (gzip). Unpack it first.'],
            'a byte-order mark' => ["\xEF\xBB\xBF" . $job, 201, ''],
        ];
    }

    #[DataProvider('files')]
    public function test_job_files_that_editors_and_mail_make(string $file, int $status, string $said): void
    {
        $this->begin();
        $response = $this->postJson('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', $file),
        ])->assertStatus($status);
        if ($said !== '') {
            $response->assertJsonPath('message', $said);
        }
    }

    public function test_refuses_a_header_cell_of_megabytes_by_its_length(): void
    {
        $this->begin();
        $huge = 'kind,id,name,' . str_repeat('x', 7_900_000) . "\nfuse,a,b,c\n";
        $response = $this->postJson('/shelf/import', [
            'file' => UploadedFile::fake()->createWithContent('shelf.csv', $huge),
        ])->assertStatus(422);
        self::assertStringContainsString('is too long for the name of a column', (string) $response->json('message'));
        self::assertLessThan(400, strlen((string) $response->getContent()));
        $this->postJson('/shelf/import', [
            'file' => UploadedFile::fake()->createWithContent('shelf.csv', str_repeat('kind,', 500_000) . "\n"),
        ])
            ->assertStatus(422)
            ->assertJsonPath('message', 'Line 1 has 500001 columns; at most 400 are accepted.');
    }

    public function test_an_array_as_address_at_sign_in(): void
    {
        $this->database('first');
        $this->postJson('/sign-in', ['email' => ['a@firm.example'], 'password' => 'x'])->assertStatus(422);
        $this->post('/sign-in', ['email' => ['a' => ['b']], 'password' => ['x']])->assertRedirect();
    }

    public function test_control_characters_and_torn_letters_are_refused_at_their_field(): void
    {
        $this->begin();
        foreach (["Co\0ve", "\x1b[31m", "\x7f"] as $text) {
            $this->postJson("/jobs/{$this->job->id}/change", [
                'base' => 1,
                'stage' => 'wire',
                'change' => ['kind' => 'DescribeJob', 'name' => $text, 'client' => ''],
            ])
                ->assertStatus(422)
                ->assertJsonPath('pointer', '/change/name');
        }
        $this->get('/?find=%ff%fe')->assertStatus(422);
        $this->get('/jobs/%00')->assertStatus(422);
        $deep = str_repeat('{"a":', 40) . '1' . str_repeat('}', 40);
        $this->raw("/jobs/{$this->job->id}/preview", '{"stage":"wire","change":' . $deep . '}')->assertStatus(422);
    }

    public function test_what_the_core_refuses_is_a_page_with_words_where_no_json_is_wanted(): void
    {
        $this->begin();
        $this->post("/jobs/{$this->job->id}/join", ['speed' => 1])->assertSuccessful();
        $this->call(
            'POST',
            "/jobs/{$this->job->id}/change",
            ['base' => 1, 'stage' => 'wire', 'change' => ['kind' => 'DropRun', 'run' => 'nowhere']],
            server: ['HTTP_ACCEPT' => 'text/html'],
        )
            ->assertStatus(422)
            ->assertSee('This cannot be done')
            ->assertSee('nowhere');
    }

    public function test_reports_a_full_disk_and_logs_its_cause(): void
    {
        $this->begin();
        $log = $this->home . '/log.txt';
        config(['logging.channels.single.path' => $log, 'logging.default' => 'single']);
        DB::statement('pragma max_page_count = ' . DB::scalar('pragma page_count'));
        $photo = [
            'place' => 'lecture',
            'caption' => '',
            'width' => 1,
            'height' => 1,
            'image' => random_bytes(300_000),
            'created_at' => now(),
        ];
        $said = null;
        for ($n = 0; $n < 20 && $said === null; $n++) {
            $answer = $this->postJson('/jobs/import', [
                'file' => UploadedFile::fake()->createWithContent('job.json', $this->jobFile()),
            ]);
            $said = $answer->getStatusCode() === 201 ? null : $answer;
        }
        self::assertNotNull($said);
        $said->assertStatus(507)->assertJsonPath('message', Trouble::FullDisk->words());
        self::assertStringContainsString('database or disk is full', (string) file_get_contents($log));
        $this->post(
            '/jobs/import',
            ['file' => UploadedFile::fake()->createWithContent('job.json', $this->jobFile())],
            ['Accept' => 'text/html'],
        )
            ->assertStatus(507)
            ->assertSee('The disk is full');
        DB::statement('pragma max_page_count = 1000000');
        $this->job->photos()->create($photo);
        self::assertSame('ok', DB::scalar('pragma integrity_check'));
    }

    /** A database that cannot be written says so, and loses nothing: a read-only disk, a file of another user. */
    public function test_a_database_that_cannot_be_written_is_explained(): void
    {
        $this->begin();
        $change = fn(string $name): TestResponse => $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => $this->job->newest()->number,
            'stage' => 'wire',
            'change' => ['kind' => 'DescribeJob', 'name' => $name, 'client' => ''],
        ]);
        $before = $this->job->newest()->number;
        DB::statement('pragma query_only = 1');
        $change('Lost')->assertStatus(500)->assertJsonPath('message', Trouble::Unwritable->words());
        DB::statement('pragma query_only = 0');
        self::assertSame($before, $this->job->newest()->number);
        $change('Kept')->assertOk();
    }

    /** A begin or commit is no query: its failure carries no code of its own, and was a 500. */
    public function test_a_write_outside_a_query_that_fails_is_explained_too(): void
    {
        $this->begin();
        foreach (
            [
                [new PDOException('SQLSTATE[HY000]: General error: 5 database is locked'), 503, 'busy for too long'],
                [
                    new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full'),
                    507,
                    'disk of the server is full',
                ],
                [
                    new ErrorException(
                        'file_put_contents(): write of 90 bytes failed with errno=28 No space left on device',
                    ),
                    507,
                    'disk of the server is full',
                ],
                [
                    new UnexpectedValueException('The stream "x.log" could not be opened: No space left on device'),
                    507,
                    'disk of the server is full',
                ],
                [new RuntimeException('outer', 0, new PDOException('database is locked')), 503, 'busy for too long'],
            ]
            as [$thrown, $status, $words]
        ) {
            Route::middleware('web')->post('/thrown', static fn() => throw $thrown)->name('people.password');
            $this->postJson('/thrown')->assertStatus($status)->assertSee($words);
            $this->post('/thrown', [], ['Accept' => 'text/html'])
                ->assertStatus($status)
                ->assertSee($words);
        }
        Route::middleware('web')
            ->post('/thrown', static fn() => throw new RuntimeException('a bug'))
            ->name('people.password');
        $this->postJson('/thrown')->assertStatus(500);
    }

    /** Another process holds the write lock for longer than a request waits: every kind of write reports it. */
    public function test_a_database_that_stays_locked_is_explained(): void
    {
        $this->begin();
        DB::statement('pragma busy_timeout = 50');
        $other = new PDO('sqlite:' . DB::connection()->getDatabaseName());
        $other->exec('begin immediate');
        foreach (
            [
                [
                    "/jobs/{$this->job->id}/change",
                    [
                        'base' => 1,
                        'stage' => 'wire',
                        'change' => ['kind' => 'DescribeJob', 'name' => 'New', 'client' => ''],
                    ],
                ],
                ['/jobs', ['name' => 'Another', 'client' => '', 'place' => 'Hall']],
                ["/jobs/{$this->job->id}/client-links", []],
                [
                    "/jobs/{$this->job->id}/bench/log",
                    [
                        'uuid' => (string) Str::uuid(),
                        'kind' => 'remark',
                        'place' => '',
                        'command' => '',
                        'value' => null,
                        'text' => 'x',
                        'by' => '',
                        'sure' => false,
                        'at' => '2026-11-28T09:30:00.000Z',
                    ],
                ],
            ]
            as [$path, $body]
        ) {
            $this->postJson($path, $body)->assertStatus(503)->assertSee('busy for too long');
        }
        $other->exec('rollback');
        $this->postJson("/jobs/{$this->job->id}/client-links")->assertCreated();
    }

    /** A job file with a bell in its name is refused where it stands; a stored one is read without it, and can be deleted. */
    public function test_control_characters_in_job_files_are_refused_and_in_stored_jobs_left_out(): void
    {
        $this->begin();
        $document = (array) json_decode($this->jobFile(), true);
        $document['name'] = "Pebble\u{7} Fen";
        $this->postJson('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', (string) json_encode($document)),
        ])
            ->assertStatus(422)
            ->assertJsonPath('pointer', '/name')
            ->assertSee('control characters');
        $kept = $this->job->newest();
        DB::connection()
            ->getPdo()
            ->prepare('update revisions set document = ? where id = ?')
            ->execute([(string) gzcompress((string) json_encode($document)), $kept->id]);
        DB::table('jobs')
            ->where('id', $this->job->id)
            ->update(['name' => $document['name']]);
        $job = $this->job->refresh();
        self::assertSame('Pebble Fen', $job->newest()->plan()->name);
        $this->get("/jobs/{$job->id}/wire")->assertOk();
        $this->postJson("/jobs/{$job->id}/archive")->assertOk();
        $this->deleteJson("/jobs/{$job->id}", ['name' => 'Pebble Fen'])->assertOk();
    }

    /** Results can be calculated again: a file of them that was cut off or changed is as good as none. */
    public function test_damaged_result_files_are_calculated_again(): void
    {
        $this->begin();
        config(['cache.stores.results' => ['driver' => 'file', 'path' => "{$this->home}/results"]]);
        $this->app->forgetInstance(ResultStore::class);
        $this->app->forgetInstance('cache');
        $this->app->make('cache')->forgetDriver('results');
        $this->get("/jobs/{$this->job->id}/wire")->assertOk();
        $files = [];
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator("{$this->home}/results", FilesystemIterator::SKIP_DOTS),
            )
            as $file
        ) {
            $files[] = (string) $file;
        }
        self::assertNotSame([], $files);
        foreach (
            [
                static fn(string $b): string => substr($b, 0, intdiv(strlen($b), 2)),
                static fn(string $b): string => substr_replace($b, "\xff\x00X", intdiv(strlen($b), 2), 3),
                static fn(string $b): string => 'garbage',
                static fn(string $b): string => '',
                static fn(string $b): string => substr($b, 0, 10) . serialize(new ArrayObject([1])),
            ]
            as $damage
        ) {
            foreach ($files as $file) {
                file_put_contents($file, $damage((string) @file_get_contents($file)));
            }
            $this->get("/jobs/{$this->job->id}/wire")->assertOk();
            $this->get('/')->assertOk();
        }
        File::deleteDirectory("{$this->home}/results");
    }

    public function test_the_largest_photo_stays_under_200_megabytes(): void
    {
        $file = sys_get_temp_dir() . '/ember-large-' . bin2hex(random_bytes(4)) . '.jpg';
        $make =
            '$i = imagecreatetruecolor(5000, 5000); for ($n = 0; $n < 4000; $n++) { imagefilledellipse($i, ' .
            'mt_rand(0, 5000), mt_rand(0, 5000), 60, 60, mt_rand(0, 0xffffff)); } imagejpeg($i, $argv[1], 98);';
        (new Process(['php', '-d', 'memory_limit=-1', '-r', $make, $file]))->mustRun();
        $shrink =
            'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; ' .
            '$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); $small = ' .
            'App\Photos\Shrink::from(file_get_contents($argv[1])); preg_match("/VmHWM:\s+(\d+)/", ' .
            'file_get_contents("/proc/self/status"), $most); echo json_encode([$small->width, $small->height, ' .
            '(int) $most[1]]);';
        $run = new Process(['php', '-r', $shrink, $file], dirname(__DIR__, 2));
        $run->mustRun();
        /** @var array{int, int, int} $said */
        $said = json_decode($run->getOutput(), true);
        unlink($file);
        self::assertSame([Shrink::SIDE, Shrink::SIDE], [$said[0], $said[1]]);
        self::assertLessThan(200_000, $said[2], 'kilobytes of the whole process');
        $header = static fn(int $w, int $h): string => "\x89PNG\r\n\x1a\n" .
            pack('N', 13) .
            'IHDR' .
            ($h = pack('NNCCCCC', $w, $h, 8, 2, 0, 0, 0)) .
            pack('N', crc32('IHDR' . $h));
        $this->begin();
        $this->postJson("/jobs/{$this->job->id}/photos", [
            'place' => 'lecture',
            'photo' => UploadedFile::fake()->createWithContent('a.png', $header(5001, 5000)),
        ])
            ->assertStatus(422)
            ->assertJsonPath(
                'message',
                'The photo has 5001 x 5000 pixels; at most 25 million are accepted. Use a smaller picture size.',
            );
    }
}
