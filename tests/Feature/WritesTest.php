<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PersonLink;
use App\Models\User;
use App\People\PersonLinks;
use App\People\Role;
use App\People\TimedCodes;
use App\Time\Clock;
use Closure;
use EmberDusk\Tests\Demo;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Process\Process;
use Tests\TestCase;
use Tests\Writes;

/** Every write takes the database's lock first: no route reads first and writes later, none is refused because others write. */
final class WritesTest extends TestCase
{
    use DatabaseFiles;

    /** They write no row. */
    private const SILENT = ['jobs.preview', 'quotes.preview', 'jobs.say', 'jobs.mix'];

    private const WORKERS = 8;

    /** Writers that differ by this write the same kinds: each has a quarter, and every kind meets itself and the others. */
    private const PARTS = 4;

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }

    public function test_every_route_that_writes_takes_the_lock_first(): void
    {
        $this->database('first');
        // The content of a proposal is the planner's business.
        config(['queue.default' => 'database']);
        $job = $this->job($this->crew());
        $this->actingAs($user = $this->user($job->crew));
        $accounts = $this->accounts($user);
        $written = $loose = [];
        $now = '';
        DB::listen(static function (QueryExecuted $query) use (&$written, &$loose, &$now): void {
            if (preg_match('/^\s*(insert|update|delete|replace)\b/i', $query->sql) === 1) {
                $written[$now] = ($written[$now] ?? 0) + 1;
                if ($query->connection->transactionLevel() === 0) {
                    $loose["{$now}: {$query->sql}"] = true;
                }
            }
        });
        $writes = (new Writes(
            fn(string $method, string $path, array $body): TestResponse => $this->json($method, $path, $body),
            $job,
            $this->job($job->crew),
            'one',
        ))->all();
        $writes['sign-out'] = fn(): TestResponse => $this->post('/sign-out');
        $writes['sign-in.store'] = fn(): TestResponse => $this->post('/sign-in', [
            'email' => $user->email,
            'password' => 'long enough a word',
            'remember' => true,
        ]);
        $writes['sign-in.demo'] = function (): TestResponse {
            config(['ember.demo' => true, 'ember.demo_email' => 'one@firm.example']);
            $this->post('/sign-out');

            return $this->post('/sign-in/demo');
        };
        $writes += $accounts;
        foreach ($writes as $name => $write) {
            $now = $name;
            $response = $write(2);
            self::assertLessThan(
                400,
                $response->getStatusCode(),
                "{$name}: " . substr((string) $response->getContent(), 0, 300),
            );
        }
        self::assertSame([], array_keys($loose));
        self::assertSame(
            [],
            array_values(
                array_diff(array_keys($writes), array_keys($written), [
                    'join.look',
                    'jobs.say',
                    'jobs.mix',
                    'sign-in.demo',
                    'sign-out',
                ]),
            ),
            'each writes something',
        );
        $routes = array_filter(
            Route::getRoutes()->getRoutes(),
            static fn($route): bool => $route->methods() !== ['GET', 'HEAD'],
        );
        self::assertSame(
            [],
            array_values(
                array_diff(
                    array_map(static fn($route): string => (string) $route->getName(), $routes),
                    array_keys($writes),
                    self::SILENT,
                ),
            ),
            'no route is forgotten',
        );
    }

    /** @return array<string, Closure(): TestResponse<Response>> writes about accounts; the last signs another person in */
    private function accounts(User $user): array
    {
        $two = $this->user($user->crew, 'two@firm.example');
        $password = 'long enough a word';
        $path = static fn(): string => (string) parse_url(
            PersonLinks::invite($user->crew, Role::Installer, $user),
            PHP_URL_PATH,
        );

        return [
            'people.password' => fn() => $this->postJson('/people/password', [
                'current' => $password,
                'password' => $password,
            ]),
            'people.factor.begin' => fn() => $this->postJson('/people/factor'),
            'people.factor.confirm' => fn() => $this->postJson('/people/factor/confirm', [
                'code' => TimedCodes::code(
                    TimedCodes::bytes((string) $user->refresh()->factor_secret),
                    intdiv(Clock::now()->getTimestamp(), 30),
                ),
            ]),
            'people.factor.end' => fn() => $this->postJson('/people/factor/end', [
                'code' => TimedCodes::code(
                    TimedCodes::bytes((string) $user->refresh()->factor_secret),
                    intdiv(Clock::now()->getTimestamp(), 30) + 1,
                ),
            ]),
            'people.devices.end' => fn() => $this->postJson('/people/devices/end'),
            'people.invite' => fn() => $this->postJson('/people/invite', ['role' => 'installer']),
            'people.link.revoke' => fn() => $this->postJson(
                '/people/links/' . PersonLink::query()->max('id') . '/revoke',
            ),
            'people.reset' => fn() => $this->postJson("/people/{$two->id}/reset"),
            'people.role' => fn() => $this->postJson("/people/{$two->id}/role", ['role' => 'apprentice']),
            'people.close' => fn() => $this->postJson("/people/{$two->id}/close"),
            'people.reopen' => fn() => $this->postJson("/people/{$two->id}/reopen"),
            'welcome.store' => fn() => $this->post($path(), [
                'name' => 'Three',
                'email' => 'three@firm.example',
                'password' => 'lamp otter quartz fence',
            ]),
        ];
    }

    public function test_eight_write_at_once_and_none_is_refused(): void
    {
        $file = $this->database('first');
        $crew = $this->crew();
        $this->user($crew);
        $job = $this->job($crew);
        for ($n = 1; $n <= self::WORKERS; $n++) {
            $this->job($crew);
        }
        $kinds = (new Writes($this->json(...), $job, $job, ''))->all();
        // Of each kind, by each worker that has it: EMBER_WRITES=50 bin/test tests/Feature/WritesTest.php asks for more.
        $each = (int) (getenv('EMBER_WRITES') ?: 1);
        $env = [
            'DB_DATABASE' => $file,
            'APP_ENV' => 'testing',
            // Failures say why.
            'APP_DEBUG' => 'true',
            'APP_KEY' => config('app.key'),
            'CACHE_STORE' => 'array',
            'SESSION_DRIVER' => 'array',
            'QUEUE_CONNECTION' => 'database',
            'BCRYPT_ROUNDS' => '4',
        ];
        $workers = [];
        for ($n = 1; $n <= self::WORKERS; $n++) {
            $workers[] = $worker = new Process(
                [
                    'php',
                    __DIR__ . '/../storm.php',
                    (string) $n,
                    (string) $each,
                    (string) ($n % self::PARTS),
                    (string) self::PARTS,
                ],
                dirname(__DIR__, 2),
                $env,
                null,
                900,
            );
            $worker->start();
        }
        $done = 0;
        foreach ($workers as $worker) {
            self::assertSame(0, $worker->wait(), $worker->getOutput() . $worker->getErrorOutput());
            $done += (int) $worker->getOutput();
        }
        self::assertSame(count($kinds) * $each * intdiv(self::WORKERS, self::PARTS), $done);
        self::assertSame('ok', DB::scalar('pragma integrity_check'));
        self::assertSame(
            DB::table('revisions')->where('job_id', 1)->count(),
            DB::table('revisions')->where('job_id', 1)->max('number'),
        );
    }
}
