<?php

declare(strict_types=1);

// One of the writers of WritesTest: storm.php WRITER TIMES PART PARTS makes the given number of requests of every kind in its part of all writing
// kinds, through the entire application, in one database with the others. Prints their number; a refused request ends it with 1. A conflict with
// another writer (409) is by design, and repeated. With a file in STORM_ACKS it goes on after a refusal, which a killed writer before it may have
// caused, and notes there what the database must keep from each answer on: torture.php reads it.

use App\Models\Job;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Writes;

require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$app->make(Console::class)->bootstrap();
$kernel = $app->make(Kernel::class);
$user = User::query()->firstOrFail();
$job = static fn(int $n): Job => Job::query()
    ->where('id', '>=', (int) getenv('STORM_FIRST'))
    ->orderBy('id')
    ->offset($n)
    ->firstOrFail();

$ask = static function (string $method, string $path, array $body) use ($app, $kernel, $user): TestResponse {
    $files = array_filter($body, static fn(mixed $one): bool => $one instanceof UploadedFile);
    $request = Request::create($path, $method, $body, [], $files, ['HTTP_ACCEPT' => 'application/json']);
    $app->make('auth')->forgetGuards();
    Auth::setUser($user);

    return new TestResponse($kernel->handle($request));
};
$acks = getenv('STORM_ACKS');
$who = "w{$argv[1]}" . (string) getenv('STORM_ROUND');
$writes = (new Writes($ask, $job(0), $job((int) $argv[1]), $who))->part((int) $argv[3], (int) $argv[4]);
$done = 0;
for ($n = 1; $n <= (int) $argv[2]; $n++) {
    foreach ($writes as $name => $write) {
        do {
            try {
                $response = $write($n);
            } catch (Throwable $e) {
                fwrite(STDERR, "{$name}: {$e->getMessage()}\n");
                exit(1);
            }
        } while ($response->getStatusCode() === 409);
        if (is_string($acks)) {
            $status = $response->getStatusCode();
            $kept = $status < 400 ? DB::table('sqlite_sequence')->pluck('seq', 'name')->all() : [];
            file_put_contents($acks, json_encode([$name, $status, $kept]) . "\n", FILE_APPEND | LOCK_EX);
        } elseif ($response->getStatusCode() >= 400) {
            fwrite(
                STDERR,
                "{$name}: {$response->getStatusCode()} " . substr((string) $response->getContent(), 0, 400) . "\n",
            );
            exit(1);
        }
        $done++;
    }
}
echo $done;
