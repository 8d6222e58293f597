<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Log;
use Psr\Log\NullLogger;
use Symfony\Component\HttpFoundation\Response;
use Tests\Fuzz\Fuzzer;
use Tests\TestCase;

/** 250 broken requests of every kind; bin/fuzz makes as many as are wanted. */
final class FuzzTest extends TestCase
{
    use DatabaseFiles;

    public function test_no_request_fails_the_server(): void
    {
        $this->database('first');
        Log::swap(new NullLogger());
        Artisan::call('db:seed', ['--class' => DatabaseSeeder::class, '--force' => true]);
        $theirs = (new Revisions())->begin(
            $this->crew('Crew B'),
            null,
            new Plan('Theirs', '', places: ['hall' => new Place('hall', 'Hall', '')]),
            'Begun',
        );
        $kernel = $this->app->make(Kernel::class);
        $failures = [];
        $fuzzer = new Fuzzer(
            20261127,
            static fn(Request $request): Response => $kernel->handle($request),
            User::query()->firstOrFail(),
            [1, 1, 1, 2, $theirs->id],
        );
        $statuses = $fuzzer->run(250, static function (string $what) use (&$failures): void {
            $failures[] = $what;
        });
        self::assertSame([], $failures);
        self::assertSame(250, array_sum($statuses));
        self::assertGreaterThan(30, $statuses[200], 'enough of them fit');
        self::assertGreaterThan(50, $statuses[422], 'enough of them are broken');
        self::assertMatchesRegularExpression(
            '/^\d+ of (?:[5-9]\d|\d{3})$/',
            $fuzzer->learnt(),
            'all kinds of changes are tried',
        );
        self::assertSame(1, $theirs->revisions()->count(), 'another crew’s job is as it was');
    }
}
