<?php

declare(strict_types=1);

use App\Kit\Shelves;
use App\Screens\Screen;
use EmberDusk\Checks\Findings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\CutList;
use EmberDusk\Parts\Jointed;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Planner\Planner;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Move;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Steps;
use EmberDusk\Schedule\Visit;
use Facebook\WebDriver\WebDriverBy;
use Tests\BenchClient;
use Tests\Browser\Browser;
use Tests\Browser\Server;

require __DIR__ . '/../vendor/autoload.php';

$median = static function (array $times): float {
    sort($times);

    return $times[intdiv(count($times), 2)];
};
$row = static fn(string $what, string $number, string $conditions) => printf(
    "%-46s %12s   %s\n",
    $what,
    $number,
    $conditions,
);

printf("PHP %s, %s, %d cores\n\n", PHP_VERSION, php_uname('m'), (int) shell_exec('nproc'));

// Edits at the server, over HTTP on loopback: another pad each time, so that nothing is answered from the cache.
$server = Server::start();
$signedIn = new BenchClient($server->url);
$client = $signedIn->client;
$post = $signedIn->post(...);
foreach (['one feed' => null, 'both ends and the middle' => ['ends', 'middle']] as $name => $patterns) {
    $revision = 0;
    foreach ($patterns ?? [] as $pattern) {
        $state = (array) json_decode(
            (string) $client
                ->get('/jobs/1/state?stage=wire', ['headers' => ['Accept' => 'application/json']])
                ->getBody(),
            true,
        );
        $post('/jobs/1/change', [
            'stage' => 'wire',
            'base' => $state['revision'],
            'change' => ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => $pattern],
        ]);
    }
    $state = (array) json_decode(
        (string) $client->get('/jobs/1/state?stage=wire', ['headers' => ['Accept' => 'application/json']])->getBody(),
        true,
    );
    $revision = $state['revision'];
    $times = [];
    for ($n = 0; $n < 55; $n++) {
        $at = hrtime(true);
        $answer = $post('/jobs/1/change', [
            'stage' => 'wire',
            'base' => $revision,
            'change' => ['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => ($patterns === null ? 10 : 80) + $n],
        ]);
        $times[] = (hrtime(true) - $at) / 1e6;
        $revision = $answer['revision'];
    }
    $row(
        "Edit on Wire, {$name}",
        sprintf('%.0f ms', $median(array_slice($times, 5))),
        'median of 50 over HTTP, warm, each solved anew; at most 35 ms',
    );
}
$ask = static function (string $path) use ($client): void {
    $client
        ->get($path, ['headers' => ['Accept' => 'application/json']])
        ->getBody()
        ->getContents();
};
$timed = static function (callable $state, int $times = 25) use ($median): float {
    $taken = [];
    for ($n = 0; $n < $times; $n++) {
        $at = hrtime(true);
        $state($n);
        $taken[] = (hrtime(true) - $at) / 1e6;
    }

    return $median(array_slice($taken, 5));
};
// Tape notes of 500 words, one of them another each time, kept and read at the server.
$state = (array) json_decode(
    (string) $client->get('/jobs/1/state?stage=survey', ['headers' => ['Accept' => 'application/json']])->getBody(),
    true,
);
$revision = $state['revision'];
$words = static fn(int $n): string => "start door\n" .
    implode(
        "\n",
        array_map(
            static fn(int $i): string => ($i % 2 === 0 ? 'right ' : 'left ') .
                '1.' .
                (10 + (($i + $n) % 80)) .
                ' shelf, gap 0.20 at 0.30 beam',
            range(1, 62),
        ),
    ) .
    "\ndry";
$row(
    'Tape notes of ' . (1 + str_word_count($words(0), 0, '0..9.,')) . ' words',
    sprintf(
        '%.0f ms',
        $timed(static function (int $n) use ($post, &$revision, $words): void {
            $revision = $post('/jobs/1/change', [
                'stage' => 'survey',
                'base' => $revision,
                'change' => ['kind' => 'ReviseNotes', 'place' => 'place4', 'text' => $words($n)],
            ])['revision'];
        }),
    ),
    'median of 20 over HTTP, warm, kept as a revision; at most 50 ms',
);
// The planner, cold: forty runs and three hundred metres, strips chosen and nothing else; then an edit on the job that it makes.
$fixture = static fn(string $name): string => (string) file_get_contents(__DIR__ . "/fixtures/bench/{$name}.json");
$shelf = Shelves::ofFile(__DIR__ . '/fixtures/bench/shelf.json');
$forty = JobFile::read($fixture('forty-runs'));
$took = [];
for ($n = 0; $n < 3; $n++) {
    $at = hrtime(true);
    $proposal = Planner::of($forty, array_map(strval(...), array_keys($forty->runs)), new Basis($shelf));
    $took[] = (hrtime(true) - $at) / 1e9;
}
$row(
    'Planner, 40 runs, 300 m',
    sprintf('%.1f s', $median($took)),
    sprintf(
        'median of 3, cold, %d layouts solved, %.2f %s, gap %.0f %%; at most 3 s',
        $proposal->solved,
        $proposal->cost() / 10_000,
        $forty->terms->currency,
        100 * (1 - $proposal->bound / $proposal->cost()),
    ),
);
$file = $fixture('forty-runs-wired');
$token = $signedIn->token();
$client->post('/jobs/import', [
    'headers' => ['X-XSRF-TOKEN' => $token, 'Accept' => 'application/json'],
    'multipart' => [['name' => 'file', 'filename' => 'forty.json', 'contents' => $file]],
]);
$state = $client->get('/jobs/3/state?stage=wire', ['headers' => ['Accept' => 'application/json']]);
$number = ((array) json_decode((string) $state->getBody(), true))['revision'];
$row(
    'Edit on that job',
    sprintf(
        '%.0f ms',
        $timed(static function (int $n) use ($post, &$number): void {
            $number = $post('/jobs/3/change', [
                'stage' => 'wire',
                'base' => $number,
                'change' => ['kind' => 'SetFeeds', 'run' => 'a0', 'shares' => [0.02 + $n / 40]],
            ])['revision'];
        }),
    ),
    'median of 20 over HTTP, a feed moved each time, only its island solved; at most 100 ms',
);
// A crew with 500 jobs, fifty of them with forty runs.
$large = (string) tempnam(sys_get_temp_dir(), 'ember-large');
file_put_contents($large, $file);
$server->script(__DIR__ . '/many-jobs.php', '497', __DIR__ . '/fixtures/bench/observatory.json', $large);
$list = static fn(string $query): mixed => $client
    ->get("/?{$query}")
    ->getBody()
    ->getContents();
preg_match_all('/&quot;id&quot;:(\d+),&quot;name/', (string) $list('page=2'), $shown);
foreach ($shown[1] as $id) {
    $ask("/jobs/{$id}/summary");
}
$row(
    'Home of 500 jobs, a page of 25',
    sprintf('%.0f ms', $timed(static fn() => $list('page=2'))),
    'median of 20 over HTTP, warm, 50 of them with 40 runs; at most 150 ms',
);
$row(
    'Home of 500 jobs, nothing worked out yet',
    sprintf('%.0f ms', $timed(static fn(int $n) => $list('page=' . (3 + ($n % 17))), 22)),
    'median over pages not seen before; what the stages say follows job by job',
);
$entry = (array) json_decode(
    (string) $client->get('/shelf/entries/cable-3x15', ['headers' => ['Accept' => 'application/json']])->getBody(),
    true,
);
$row(
    'A changed price of what 500 jobs use',
    sprintf(
        '%.0f ms',
        $timed(
            static fn(int $n) => $post('/shelf/entries', [
                'cells' => ['price' => (string) (1 + $n / 100)] + $entry['cells'],
            ]),
        ),
    ),
    'median of 20 over HTTP, kept; what would move is worked out when looked at; at most 300 ms',
);
$whole = JobFile::read($file);
$solved = [];
foreach (Island::all($whole) as $island) {
    $solved += Engine::island($whole, $island);
}
$row(
    'All checks of the 40-run job',
    sprintf('%.1f ms', $timed(static fn() => Findings::of(new JobState($whole, $solved, $shelf)))),
    'median of 20, in the core, solved already, fixes that need no solve; at most 25 ms',
);
$browser = Browser::start();
$driver = $browser->driver;
$driver->get($server->url . '/sign-in');
$shown = static fn(string $css): mixed => $driver
    ->wait(20)
    ->until(static fn(): bool => $driver->findElements(WebDriverBy::cssSelector($css)) !== []);
$shown('form button.press');
$driver->findElement(WebDriverBy::cssSelector('form button.press'))->click();
$shown('article');
$driver->get($server->url . '/jobs/1/wire');
$shown('[data-feed=f1]');
$driver->manage()->timeouts()->setScriptTimeout(90);
/** @var list<float> $took */
$took = $driver->executeAsyncScript((string) file_get_contents(__DIR__ . '/bench-picture.js'));
$took = array_slice($took, 5);
sort($took);
$row(
    'From a key to the picture',
    sprintf('%.0f ms', $took[47]),
    sprintf('95th percentile of 50 in the browser, to the frame, median %.0f ms; at most 80 ms', $took[25]),
);
$browser->stop();
$many = JobFile::read($fixture('two-hundred-runs'));
$row(
    'Kit of 200 runs',
    sprintf('%.0f ms', $timed(static fn() => Screen::of('kit', new JobState($many, [], $shelf, [])))),
    'median of 20, in the core; the most runs that a job takes',
);
// Parts and the plan of work.
/** @var array{whole: list<int>, parted: list<int>} $cuts */
$cuts = json_decode($fixture('pieces'), true);
['whole' => $pieces, 'parted' => $parted] = $cuts;
$row(
    'Cut list of 200 pieces',
    sprintf('%.2f s', $timed(static fn() => CutList::of($pieces, 2000)) / 1000),
    'median of 20, warm, lengths in steps of 50 mm; at most 1 s',
);
$whole = JobFile::read($file);
$row(
    'Parts of the 40-run job',
    sprintf('%.0f ms', $timed(static fn() => PartsList::of($whole, $shelf))),
    'median of 20, warm; at most 150 ms',
);
$basis = new Basis($shelf);
$row(
    'Price of the 40-run job',
    sprintf('%.0f ms', $timed(static fn() => Costing::price($whole, $basis))),
    'median of 20, warm, parts, cut lists, steps and lines; at most 60 ms',
);
$moved = static fn(int $n): Plan => Catalogue::read(
    ['kind' => 'SetFeeds', 'run' => 'a0', 'shares' => [0.02 + $n / 40]],
    $shelf,
)->apply($whole);
$row(
    'What a change there moves',
    sprintf('%.1f ms', $timed(static fn(int $n) => Costing::moving($moved($n), $basis, ['a0'])->cost())),
    'median of 20, warm, a feed moved each time, the change with it; at most 2 ms',
);
$steps = array_slice(Steps::of($whole, PartsList::of($whole, $shelf), Productivity::of([])), 0, 300);
$arrangement = new Arrangement([new Visit('2026-11-30', 0, 2)]);
$remaining = RemainingWork::of(steps: $steps, arrangement: $arrangement, ticks: [], arrivals: [], now: '2026-11-30');
$row(
    'Schedule of ' . count($steps) . ' steps',
    sprintf(
        '%.2f s',
        $timed(
            static fn() => RemainingWork::of(
                steps: $steps,
                arrangement: $arrangement,
                ticks: [],
                arrivals: [],
                now: '2026-11-30',
            ),
        ) / 1000,
    ),
    'median of 20, warm, two people; at most 0.3 s',
);
$last = array_key_last($remaining->left);
$row(
    'What moving a step of them costs',
    sprintf('%.2f s', $timed(static fn() => Move::of($remaining, new Pin((string) $last, '2026-12-21', 0))) / 1000),
    'median of 20, warm, both schedules and the soonest',
);
$row(
    'Cut list of 24 pieces, 12 may be parted',
    sprintf('%.2f s', $timed(static fn() => Jointed::of(array_slice($pieces, 0, 12), $parted, 2000, [700])) / 1000),
    'median of 20, warm, fewest joints too',
);
// Six options of the cove, each solved.
$row(
    'Six options of the 18 m cove side by side',
    sprintf('%.0f ms', $timed(static fn() => $ask('/jobs/1/options/cove'))),
    'median of 20 over HTTP, warm, all solved anew; at most 500 ms',
);
// A shelf of 5,000 entries.
$entries = (array) json_decode($fixture('shelf'), true)['entries'];
$many = [];
for ($n = 0; count($many) < 5000 - count($entries); $n++) {
    $many[] = ['id' => "more-{$n}"] + $entries[$n % count($entries)];
}
$token = $signedIn->token();
$client->post('/shelf/import', [
    'headers' => ['X-XSRF-TOKEN' => $token, 'Accept' => 'application/json'],
    'multipart' => [
        [
            'name' => 'file',
            'filename' => 'shelf.json',
            'contents' => json_encode(['format' => 'ember-dusk-shelf', 'version' => 1, 'entries' => $many]),
        ],
    ],
]);
foreach (['24 v tunable', 'mm² 3 cores', 'nothing like this'] as $find) {
    $row(
        "Shelf search at 5,000 entries, “{$find}”",
        sprintf('%.0f ms', $timed(static fn() => $ask('/shelf/entries?find=' . rawurlencode($find)))),
        'median of 20 over HTTP, warm; at most 50 ms',
    );
}
$server->stop();

// The solver alone.
$plan = JobFile::read($fixture('observatory'));
$times = [];
$rounds = 0;
for ($n = 0; $n < 25; $n++) {
    $network = Engine::network($plan, $plan->run('cove'));
    $at = hrtime(true);
    $rounds = Newton::solve($network)->iterations;
    $times[] = (hrtime(true) - $at) / 1e6;
}
$row(
    'Solve of the 18 m cove, 720 loads',
    sprintf('%.1f ms', $median(array_slice($times, 5))),
    "median of 20, {$rounds} iterations",
);

// What a first visit loads in script, the Wire page being the largest.
$manifest = (array) json_decode((string) file_get_contents(__DIR__ . '/../public/build/manifest.json'), true);
$load = static function (string $key, array &$seen) use (&$load, $manifest): int {
    if (isset($seen[$key])) {
        return 0;
    }
    $seen[$key] = true;
    $bytes = strlen(
        (string) gzencode((string) file_get_contents(__DIR__ . '/../public/build/' . $manifest[$key]['file']), 6),
    );
    foreach ($manifest[$key]['imports'] ?? [] as $import) {
        $bytes += $load($import, $seen);
    }

    return $bytes;
};
$largest = 0;
foreach (array_keys($manifest) as $key) {
    if (preg_match('~^resources/js/stages/[a-z-]+/\w+Page\.vue$~', $key) === 1) {
        $seen = [];
        $largest = max($largest, $load('resources/js/app.ts', $seen) + $load($key, $seen));
    }
}
$row('Script of a first visit, largest page', sprintf('%.0f kB', $largest / 1000), 'gzip; at most 250 kB');
