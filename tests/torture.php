<?php

declare(strict_types=1);

// bin/torture: eight writers of every kind on one database are killed again and again, one of them or all at once, at random moments. Then the
// database is whole, every revision can be read, and whatever was answered is there: of each answer the highest row of every table is kept.

use App\History\Revisions;
use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\Revision;
use App\Models\User;
use App\People\Role;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

const WRITERS = 8;
const PARTS = 4;

$given = getopt('', ['kills:', 'seed:']);
$kills = is_string($given['kills'] ?? null) ? (int) $given['kills'] : 500;
mt_srand(is_string($given['seed'] ?? null) ? (int) $given['seed'] : 1);
$home = sys_get_temp_dir() . '/ember-torture-' . getmypid();
mkdir($home);
touch("{$home}/ember.sqlite");
$env = [
    'APP_ENV' => 'testing',
    'APP_KEY' => 'base64:' . base64_encode(random_bytes(32)),
    'DB_DATABASE' => "{$home}/ember.sqlite",
    'CACHE_STORE' => 'array',
    'SESSION_DRIVER' => 'array',
    'QUEUE_CONNECTION' => 'database',
    'LOG_CHANNEL' => 'null',
    'EMBER_DEMO' => 'false',
    'BCRYPT_ROUNDS' => '4',
];
foreach ($env as $name => $value) {
    $_ENV[$name] = $_SERVER[$name] = $value;
    putenv("{$name}={$value}");
}
require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$console = $app->make(Kernel::class);
$console->bootstrap();
$console->call('migrate', ['--force' => true]);
$crew = Crew::query()->create(['name' => 'Crew A']);
Shelves::stock($crew, database_path('demo/shelf.json'));
User::query()->create([
    'name' => 'One',
    'email' => 'one@firm.example',
    'password' => 'long enough a word',
    'crew_id' => $crew->id,
    'role' => Role::Owner,
]);
$acks = "{$home}/acks";
$killed = $answered = $refused = $round = 0;
$wrong = $kinds = [];
while ($killed < $kills && $wrong === []) {
    // Jobs of their own for each round: a killed writer may have left one archived.
    for ($n = 0; $n <= WRITERS; $n++) {
        (new Revisions())->begin($crew, null, JobFile::read(Demo::text()), 'Imported');
    }
    $first = (int) DB::table('jobs')->max('id') - WRITERS;
    DB::disconnect();
    file_put_contents($acks, '');
    $writers = [];
    for ($n = 1; $n <= WRITERS; $n++) {
        $writers[$n] = new Process(
            ['php', __DIR__ . '/storm.php', (string) $n, '100000', (string) ($n % PARTS), (string) PARTS],
            dirname(__DIR__),
            $env + ['STORM_ACKS' => $acks, 'STORM_ROUND' => "-{$round}", 'STORM_FIRST' => (string) $first],
            null,
            null,
        );
        $writers[$n]->start();
    }
    // They are at work, then anything may happen.
    for ($wait = 0; $wait < 600 && count(file($acks) ?: []) < WRITERS; $wait++) {
        usleep(100_000);
    }
    usleep(mt_rand(0, 3_000_000));
    $order = array_keys($writers);
    shuffle($order);
    $oneByOne = mt_rand(0, 1) === 1;
    foreach ($order as $n) {
        $writer = $writers[$n]->getPid();
        if ($writer === null) {
            $wrong[] = "a writer ended by itself: {$writers[$n]->getErrorOutput()}";
        } else {
            posix_kill($writer, SIGKILL);
            $killed++;
        }
        usleep($oneByOne ? mt_rand(0, 300_000) : 0);
    }
    foreach ($writers as $writer) {
        while ($writer->isRunning()) {
            usleep(1000);
        }
    }
    $round++;
    $seq = DB::table('sqlite_sequence')->pluck('seq', 'name')->all();
    foreach (file($acks) ?: [] as $line) {
        $ack = json_decode($line, true);
        if (!is_array($ack)) {
            continue;
        }
        [$name, $status, $kept] = $ack;
        [$answered, $refused] = $status < 400 ? [$answered + 1, $refused] : [$answered, $refused + 1];
        $kinds[$name] = ($kinds[$name] ?? 0) + ($status < 400 ? 1 : 0);
        if ($status >= 500) {
            $wrong[] = "{$name} answered {$status}";
        }
        foreach ($kept as $table => $row) {
            if (($seq[$table] ?? 0) < $row) {
                $wrong[] = "{$name} was answered, and row {$row} of {$table} is gone";
            }
        }
    }
    if (DB::scalar('pragma integrity_check') !== 'ok' || DB::select('pragma foreign_key_check') !== []) {
        $wrong[] = 'the database is damaged';
    }
    foreach (Revision::query()->where('job_id', '>=', $first)->cursor() as $revision) {
        try {
            $revision->plan();
        } catch (Throwable $e) {
            $wrong[] = "revision {$revision->id} cannot be read: {$e->getMessage()}";
        }
    }
    $gaps = DB::select('select job_id from revisions group by job_id having max(number) <> count(*)');
    $wrong = $gaps === [] ? $wrong : [...$wrong, 'numbers of revisions are missing'];
    fprintf(STDERR, "round %d: %d killed, %d answered, %d refused\n", $round, $killed, $answered, $refused);
}
printf(
    "%d kills in %d rounds, %d writes of %d kinds answered, %d refused, %d wrong\n",
    $killed,
    $round,
    $answered,
    count(array_filter($kinds)),
    $refused,
    count($wrong),
);
echo implode("\n", array_slice($wrong, 0, 20)), $wrong === [] ? '' : "\n";
(new Process(['rm', '-rf', $home]))->run();
exit($wrong === [] ? 0 : 1);
