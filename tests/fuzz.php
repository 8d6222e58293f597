<?php

declare(strict_types=1);

// bin/fuzz: the entire application in this process, on its own database with the demo jobs and those of another crew.

use App\History\Revisions;
use App\Models\Crew;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Tests\Fuzz\Fuzzer;

$given = getopt('', ['seed:', 'requests:']);
$seed = is_string($given['seed'] ?? null) ? (int) $given['seed'] : 1;
$requests = is_string($given['requests'] ?? null) ? (int) $given['requests'] : 4000;
$file = (string) tempnam(sys_get_temp_dir(), 'ember-fuzz');
foreach (
    [
        'APP_ENV' => 'testing',
        'DB_DATABASE' => $file,
        'CACHE_STORE' => 'array',
        'SESSION_DRIVER' => 'array',
        'QUEUE_CONNECTION' => 'database',
        'LOG_CHANNEL' => 'null',
        'EMBER_DEMO' => 'false',
        'BCRYPT_ROUNDS' => '4',
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
$console->call('migrate', ['--force' => true]);
$console->call('db:seed', ['--class' => DatabaseSeeder::class, '--force' => true]);
$other = (new Revisions())->begin(
    Crew::query()->create(['name' => 'Crew B']),
    null,
    new Plan('Theirs', '', places: ['hall' => new Place('hall', 'Hall', '')]),
    'Begun',
);
$kernel = $app->make(Kernel::class);
$failures = 0;
$fuzzer = new Fuzzer(
    $seed,
    static fn(Request $request): Response => $kernel->handle($request),
    User::query()->firstOrFail(),
    [1, 1, 1, 2, $other->id],
);
$at = microtime(true);
$statuses = $fuzzer->run($requests, static function (string $what) use (&$failures): void {
    $failures++;
    fwrite(STDERR, $what . "\n");
});
array_map(unlink(...), glob($file . '*') ?: []);
printf(
    "seed %d: %d requests in %.0f s; %s; %s kinds of changes fitted; %d pages opened; slowest %.1f s; %d failed\n",
    $seed,
    $requests,
    microtime(true) - $at,
    implode(', ', array_map(static fn(int $s, int $n): string => "{$n} x {$s}", array_keys($statuses), $statuses)),
    $fuzzer->learnt() . ($fuzzer->missing() === [] ? '' : ' (not ' . implode(', ', $fuzzer->missing()) . ')'),
    $fuzzer->opened,
    $fuzzer->slowest,
    $failures,
);
exit($failures === 0 ? 0 : 1);
