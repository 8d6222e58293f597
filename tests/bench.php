<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Tests\BenchClient;
use Tests\Browser\Browser;
use Tests\Browser\Server;
use Tests\Measured;

require __DIR__ . '/../vendor/autoload.php';

$median = Measured::median(...);
$row = Measured::row(...);
$timed = Measured::timed(...);

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
        'median of 50 over HTTP, warm, each solved again; at most 35 ms',
    );
}
$ask = static function (string $path) use ($client): void {
    $client
        ->get($path, ['headers' => ['Accept' => 'application/json']])
        ->getBody()
        ->getContents();
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
    'Wall notes of ' . (1 + str_word_count($words(0), 0, '0..9.,')) . ' words',
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
// The 40-run job, wired.
$fixture = static fn(string $name): string => (string) file_get_contents(__DIR__ . "/fixtures/bench/{$name}.json");
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
preg_match_all('/"id":(\d+),"name/', (string) $list('page=2'), $shown);
foreach ($shown[1] as $id) {
    $ask("/jobs/{$id}/summary");
}
$row(
    'Home of 500 jobs, a page of 25',
    sprintf('%.0f ms', $timed(static fn() => $list('page=2'))),
    'median of 20 over HTTP, warm, 50 of them with 40 runs; at most 150 ms',
);
$row(
    'Home of 500 jobs, nothing calculated yet',
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
    'median of 20 over HTTP, kept; what would move is calculated when looked at; at most 300 ms',
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
// A run of 10,000 pixels with a light running along it.
$long = ['kind' => 'ReviseNotes', 'place' => 'place3', 'text' => "start door\ndry\n166.70 band\noutlet P3 at 0.1"];
foreach ([$long, ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'pixels-24-rgb']] as $change) {
    $state = (array) json_decode(
        (string) $client->get('/jobs/1/state?stage=wire', ['headers' => ['Accept' => 'application/json']])->getBody(),
        true,
    );
    $post('/jobs/1/change', ['stage' => 'wire', 'base' => $state['revision'], 'change' => $change]);
}
$driver->get($server->url . '/jobs/1/wire');
$shown('[data-run=band] [aria-pressed]');
$driver->executeScript('document.querySelector("[data-run=band] [aria-pressed]").click()');
$shown('[data-run=band] canvas[data-frames]');
$frames = static fn(): int => (int) $driver->executeScript(
    'return document.querySelector("canvas[data-frames]").dataset.frames',
);
$before = $frames();
$at = hrtime(true);
sleep(5);
$row(
    'Frames a second of a light along 10,000 pixels',
    sprintf('%.0f', (($frames() - $before) * 1e9) / (hrtime(true) - $at)),
    'in the browser, over 5 s, without a graphics card; at least 30',
);
$browser->stop();
// Six options of the cove, each solved.
$row(
    'Six options of the 18 m cove side by side',
    sprintf('%.0f ms', $timed(static fn() => $ask('/jobs/1/options/cove'))),
    'median of 20 over HTTP, warm, all solved again; at most 500 ms',
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
