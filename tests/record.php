<?php

declare(strict_types=1);

// Records the answers of the application, to compare before and after a refactoring: for the demo jobs and 60 seeded ones the JSON of solve, advise,
// parts, build and export, of every page, and of edits. One line per answer: its name and hash; with --texts=DIR each answer is written there as
// well. The clock stands still. php tests/record.php > before.txt;  change;  php tests/record.php > after.txt;  diff before.txt after.txt

use App\History\Revisions;
use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\User;
use Carbon\CarbonImmutable;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\SeededJobs;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;

$file = (string) tempnam(sys_get_temp_dir(), 'ember-record');
foreach (
    [
        'APP_ENV' => 'testing',
        'APP_KEY' => 'base64:' . base64_encode(str_repeat('k', 32)),
        'APP_URL' => 'http://localhost',
        'DB_DATABASE' => $file,
        'CACHE_STORE' => 'array',
        'SESSION_DRIVER' => 'array',
        'QUEUE_CONNECTION' => 'sync',
        'LOG_CHANNEL' => 'null',
        'EMBER_DEMO' => 'false',
        'EMBER_TIMEZONE' => 'UTC',
    ]
    as $name => $value
) {
    $_ENV[$name] = $_SERVER[$name] = $value;
    putenv("{$name}={$value}");
}
require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$console = $app->make(Console::class);
$console->bootstrap();
foreach ([Carbon::class, CarbonImmutable::class] as $clock) {
    $clock::setTestNow('2026-12-01 09:00:00');
}
$given = getopt('', ['texts:', 'only:']);
$texts = is_string($given['texts'] ?? null) ? $given['texts'] : null;
$only = is_string($given['only'] ?? null) ? $given['only'] : null;

$say = static function (string $what, string $text) use ($texts): void {
    // Names of the built scripts change with every build.
    $text = (string) preg_replace('/"version":"[0-9a-f]{32,64}"/', '"version":""', $text);
    printf("%s %s\n", hash('xxh128', $text), $what);
    if ($texts !== null) {
        file_put_contents($texts . '/' . preg_replace('/[^\w.-]+/', '_', $what) . '.txt', $text);
    }
};
$console->call('migrate', ['--force' => true]);
$crew = Crew::query()->create(['name' => 'Recorded']);
Shelves::stock($crew, database_path('demo/shelf.json'));
$user = User::query()
    ->create([
        'crew_id' => $crew->id,
        'name' => 'One',
        'email' => 'one@firm.example',
        'password' => 'long enough a word',
    ])
    ->refresh();
$kernel = $app->make(Kernel::class);
$ask = static function (string $method, string $path, array $body = []) use ($kernel, $user): string {
    Auth::forgetGuards();
    Auth::setUser($user);
    $request = Request::create(
        $path,
        $method,
        $body,
        [],
        [],
        [
            'HTTP_ACCEPT' => 'application/json',
            'HTTP_X_INERTIA' => 'true',
            'HTTP_X_INERTIA_VERSION' => (string) Inertia\Inertia::getVersion(),
        ],
    );
    $response = $kernel->handle($request);

    return $response->getStatusCode() . ' ' . $response->getContent();
};

$jobs = [
    'observatory' => JobFile::read((string) file_get_contents(base_path('core/tests/fixtures/job-observatory.json'))),
    'narrowboat' => JobFile::read((string) file_get_contents(base_path('core/tests/fixtures/job-narrowboat.json'))),
];
foreach (SeededJobs::all() as $seed => $plan) {
    $jobs["seed{$seed}"] = $plan;
}
foreach ($jobs as $name => $plan) {
    if ($only !== null && $only !== $name) {
        continue;
    }
    $path = "{$file}.json";
    file_put_contents($path, JobFile::write($plan));
    foreach (
        [
            'solve' => ['--json' => true],
            'parts' => ['--json' => true],
            'build' => ['--json' => true, '--visit' => ['2026-12-01:0:2']],
            'export' => [],
            'join' => [],
        ] +
            (count(array_filter($plan->runs, static fn($r): bool => $r->strip !== null)) === 1
                ? ['advise' => ['--json' => true]]
                : [])
        as $command => $options
    ) {
        $status = $console->call("ember:{$command}", ['file' => $path] + $options);
        // Durations are not recorded.
        $say(
            "{$name} ember:{$command}",
            "{$status} " . preg_replace('/"(seconds|took)": *[\d.]+/', '', $console->output()),
        );
    }
    $job = (new Revisions())->begin($crew, null, $plan, 'Begun');
    $id = $job->id;
    foreach (
        [
            'survey',
            'kit',
            'wire',
            'parts',
            'build',
            'join',
            'handover',
            'sheet',
            'export',
            'netlist',
            'history',
            'quote',
            'quotes',
            'labels',
            'day-sheets',
            'van',
            'build.ics',
            'cuts.csv',
            'parts.csv',
            'summary',
        ]
        as $page
    ) {
        $say(
            "{$name} {$page}",
            str_replace(
                "/jobs/{$id}",
                '/jobs/N',
                (string) preg_replace('/"job":' . $id . '\b|job' . $id . '@/', 'N', $ask('GET', "/jobs/{$id}/{$page}")),
            ),
        );
    }
    foreach (array_keys($plan->scenes) as $scene) {
        $say(
            "{$name} wire in {$scene}",
            str_replace("\"job\":{$id}", 'N', $ask('GET', "/jobs/{$id}/state?stage=wire&scene={$scene}")),
        );
    }
    $run = (string) array_key_first($plan->runs);
    $say("{$name} options", $ask('GET', "/jobs/{$id}/options/{$run}"));
    $feed = (string) array_key_first($plan->feeds);
    $cable = (string) array_key_first($plan->cables);
    foreach (
        [
            ['preview', 'wire', ['kind' => 'MoveFeed', 'feed' => $feed, 'pad' => 3]],
            ['change', 'wire', ['kind' => 'MoveFeed', 'feed' => $feed, 'pad' => 3]],
            ['change', 'wire', ['kind' => 'FeedPattern', 'run' => $run, 'pattern' => 'ends']],
            ['change', 'parts', ['kind' => 'SetCable', 'cable' => $cable, 'length' => 4.2]],
            ['change', 'kit', ['kind' => 'ChooseKit', 'run' => $run, 'kit' => 'supply-24-320']],
            [
                'change',
                'survey',
                [
                    'kind' => 'ReviseNotes',
                    'place' => (string) array_key_first($plan->places),
                    'text' => "start door\n3.20 {$run}\n2 nonsense nonsense",
                ],
            ],
            ['undo', 'build', null],
            ['change', 'build', ['kind' => 'DropRun', 'run' => $run]],
        ]
        as $n => [$what, $stage, $change]
    ) {
        $base = $job->newest()->number;
        $say(
            "{$name} {$what} {$n}",
            str_replace(
                "\"job\":{$id}",
                'N',
                $ask(
                    'POST',
                    "/jobs/{$id}/{$what}",
                    ['stage' => $stage] + ($change === null ? [] : ['base' => $base, 'change' => $change]),
                ),
            ),
        );
    }
}
$say('home', $ask('GET', '/'));
$say('shelf', $ask('GET', '/shelf'));
$say('shelf entry', $ask('GET', '/shelf/entries/strip-tunable-24'));
$say('shelf as csv', $ask('GET', '/shelf/export.csv'));
array_map(unlink(...), glob($file . '*') ?: []);
