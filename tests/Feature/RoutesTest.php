<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Joining\NewRun;
use App\Models\Job;
use App\Models\User;
use App\Papers\ClientLinks;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** Made from the route list, so that no later route is forgotten. */
final class RoutesTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }

    private const OPEN = [
        'sign-in',
        'sign-in/demo',
        'up',
        'client/{clientLink}/{secret?}',
        'welcome/{personLink}/{secret}',
    ];

    public function test_every_route_but_sign_in_asks_for_an_account(): void
    {
        $job = $this->job($this->crew());
        $run = app(NewRun::class)->begin($job, $this->user($job->crew), 1);
        $seen = 0;
        foreach ($this->routes() as [$method, $uri]) {
            if (!in_array($uri, self::OPEN, true)) {
                $this->json($method, $this->filled($uri, $job->id, $run->id))->assertUnauthorized();
                $seen++;
            }
        }
        self::assertGreaterThan(15, $seen);
    }

    /** Each address names real rows of the job. The person who may work on it is answered there, so that the refusal is the policy's. */
    public function test_a_job_of_another_crew_is_not_there_on_any_route(): void
    {
        $job = $this->job($this->crew('Crew B'));
        $theirs = $this->user($job->crew, 'b@firm.example');
        $rows = $this->rows($job, $theirs);
        $own = $this->job($this->crew());
        $user = $this->user($own->crew);
        $seen = 0;
        foreach ($this->routes() as [$method, $uri]) {
            if (!str_contains($uri, '{job}')) {
                continue;
            }
            $path = '/' . strtr($uri, ['{job}' => $job->id] + $rows);
            self::assertStringNotContainsString('{', $path, 'a parameter that no row is known for');
            $this->actingAs($user)->json($method, $path)->assertNotFound();
            DB::beginTransaction();
            self::assertNotSame(
                404,
                $this->actingAs($theirs)->json($method, $path)->getStatusCode(),
                "{$method} {$path} is there for its own crew",
            );
            DB::rollBack();
            // Things of another crew's job are not reached through one's own job either.
            if (preg_match('/\{(joinRun|photo|trace|proposal|offcut|clientLink|leftFact|kitNote)\}/', $uri) === 1) {
                $this->actingAs($user)
                    ->json($method, '/' . strtr($uri, ['{job}' => $own->id] + $rows))
                    ->assertNotFound();
            }
            $seen++;
        }
        self::assertGreaterThan(50, $seen);
        self::assertSame([1, 1, 1], [$job->revisions()->count(), $job->photos()->count(), $job->traces()->count()]);
    }

    /** @return array<string, string> a row of the job for every parameter that an address has */
    private function rows(Job $job, User $user): array
    {
        $plan = $job->newest()->plan();

        return [
            '{joinRun}' => (string) app(NewRun::class)->begin($job, $user, 1)->id,
            '{photo}' => (string) $job->photos()->create([
                'place' => 'lecture',
                'caption' => '',
                'width' => 1,
                'height' => 1,
                'image' => 'x',
                'created_at' => now(),
            ])->id,
            '{trace}' => (string) $job
                ->traces()
                ->create(['place' => 'lecture', 'near' => 'B1', 'legs' => [['A', 'X', 2]], 'answers' => []])->id,
            '{proposal}' => (string) $job->proposals()->create(['runs' => ['cove'], 'keep' => [], 'state' => 'waiting'])
                ->id,
            '{benchPractice}' => (string) $job
                ->benchPractices()
                ->create(['seed' => 1, 'faults' => ['low@s1'], 'created_at' => now()])->id,
            '{clientLink}' => (string) app(ClientLinks::class)->make($job, $user)->id,
            '{show}' => 'w1',
            '{leftFact}' => (string) $job->leftFacts()->create([
                'kind' => 'version',
                'about' => 'app',
                'says' => '1',
                'day' => '2026-11-28',
                'created_at' => now(),
            ])->id,
            '{kitNote}' => (string) $job->crew->kitNotes()->create([
                'entry' => 'controller-zigbee-2',
                'says' => 'x',
                'day' => '2026-11-28',
                'created_at' => now(),
            ])->id,
            '{offcut}' => (string) $job->crew->offcuts()->create(['kit' => 'profile-flat', 'mm' => 900])->id,
            '{run}' => (string) array_key_first($plan->runs),
            '{place}' => 'lecture',
            '{entry}' => 'controller-zigbee-2',
            '{stage}' => 'survey',
            '{format}' => 'csv',
            '{number}' => '1',
        ];
    }

    public function test_missing_things_give_advice(): void
    {
        $job = $this->job($this->crew('Crew B'));
        $this->actingAs($this->user($this->crew()));
        foreach (["/jobs/{$job->id}/wire", '/jobs/9999/wire', '/nowhere'] as $path) {
            $this->get($path)->assertNotFound()->assertSee('the job belongs to another crew')->assertSee('All jobs');
        }
    }

    /** @return list<array{string, string}> */
    private function routes(): array
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            foreach (array_diff($route->methods(), ['HEAD', 'OPTIONS']) as $method) {
                $routes[] = [$method, $route->uri()];
            }
        }

        return $routes;
    }

    private function filled(string $uri, int $job, int $run): string
    {
        return '/' .
            ltrim(
                strtr($uri, [
                    '{job}' => (string) $job,
                    '{joinRun}' => (string) $run,
                    '{stage}' => 'survey',
                    '{format}' => 'csv',
                    '{number}' => '1',
                    '{show}' => 'w1',
                    '{leftFact}' => '1',
                    '{kitNote}' => '1',
                    '{offcut}' => '1',
                    '{clientLink}' => '1',
                    '{practiceRun}' => '1',
                    '{lesson}' => 'first-join',
                ]),
                '/',
            );
    }
}
