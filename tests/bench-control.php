<?php

declare(strict_types=1);

use EmberDusk\Control\Names;
use EmberDusk\Control\RadioReach;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;
use Tests\BenchClient;
use Tests\Browser\Server;
use Tests\Measured;

require __DIR__ . '/../vendor/autoload.php';

/** @param  callable(int): mixed  $work */
$row = static fn(string $what, callable $work, string $conditions) => Measured::row(
    $what,
    sprintf('%.0f ms', Measured::timed($work, 15)),
    $conditions,
);

// Two hundred names, every tenth of which sounds like the one before it.
mt_srand(17);
$sounds = ['ba', 'ko', 'li', 'mu', 'ne', 'pa', 'ro', 'si', 'tu', 'va', 'we', 'yo'];
$lights = [];
for ($n = 1; $n <= 200; $n++) {
    $name = '';
    for ($k = 0; $k < 4; $k++) {
        $name .= $sounds[mt_rand(0, 11)];
    }
    $lights["c{$n}"] = [ucfirst($n % 10 === 0 ? $lights['c' . ($n - 1)][0] . 'h' : $name), 'Room ' . $n % 12];
}
$row(
    '200 names',
    static fn() => (new Names($lights))->clashes(),
    'clashes and what to call it instead, median of 10, warm',
);

// A hundred devices by chance in a hall of 120 by 60 m.
$units = [
    'h1' => new Unit(
        id: 'h1',
        name: 'Hub',
        role: Unit::HUB,
        family: 'hub',
        way: 'zigbee',
        place: 'hall',
        at: [0.0, 0.0],
    ),
];
for ($n = 1; $n < 100; $n++) {
    $units["c{$n}"] = new Unit(
        id: "c{$n}",
        name: "Light {$n}",
        role: Unit::LIGHT,
        family: 'zigbee',
        way: 'zigbee',
        place: 'hall',
        at: [mt_rand(0, 1200) / 10, mt_rand(0, 600) / 10],
    );
}
$row(
    'Reach of 100 devices',
    static fn() => RadioReach::for(new Roster($units, [])),
    'links, hops, cut nodes, one more node, median of 10, warm',
);

$server = Server::start(shipped: true);
$signedIn = new BenchClient($server->url);
$client = $signedIn->client;
$post = $signedIn->post(...);
$scene = static function (int $n) use ($post): void {
    $mixed = $post('/jobs/1/mix', ['of' => 'c1', 'level' => 0.2 + $n / 100, 'kelvin' => 3500]);
    $post('/jobs/1/preview', [
        'stage' => 'scenes',
        'scene' => '',
        'open' => '',
        'change' => [
            'kind' => 'SetScene',
            'scene' => 'e1',
            'name' => 'Talk',
            'levels' => [['of' => 'c1', 'duties' => $mixed['duties']]],
        ],
    ]);
};
$row(
    'Scene change to its picture and amps',
    $scene,
    'demo job, both requests over HTTP, another level each time, median of 10, warm',
);
$row('Hand-over PDF', static fn() => $client->get('/jobs/1/sheet.pdf'), 'demo job, over HTTP, median of 10, warm');
$server->stop();
