<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Joining\Runs;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** Made from the route list, so that no later route is forgotten. */
final class RoutesTest extends TestCase
{
    use RefreshDatabase;

    private const OPEN = ['sign-in', 'sign-in/demo', 'up'];

    public function test_every_route_but_sign_in_asks_for_an_account(): void
    {
        $job = $this->job($this->crew());
        $run = Runs::begin($job, $this->user($job->crew), 1);
        $seen = 0;
        foreach ($this->routes() as [$method, $uri]) {
            if (! in_array($uri, self::OPEN, true)) {
                $this->json($method, $this->filled($uri, $job->id, $run->id))->assertUnauthorized();
                $seen++;
            }
        }
        self::assertGreaterThan(15, $seen);
    }

    public function test_a_job_of_another_crew_is_not_there_on_any_route(): void
    {
        $job = $this->job($this->crew('Crew B'));
        $run = Runs::begin($job, $this->user($job->crew, 'b@firm.example'), 1);
        $own = $this->job($this->crew());
        $this->actingAs($this->user($own->crew));
        $seen = 0;
        foreach ($this->routes() as [$method, $uri]) {
            if (str_contains($uri, '{job}')) {
                $this->json($method, $this->filled($uri, $job->id, $run->id))->assertNotFound();
                $seen++;
            }
            // A run of another crew's job is not reached through one's own job either.
            if (str_contains($uri, '{joinRun}')) {
                $this->json($method, $this->filled($uri, $own->id, $run->id))->assertNotFound();
            }
        }
        self::assertGreaterThan(12, $seen);
        self::assertSame(1, $job->revisions()->count());
    }

    public function test_what_is_not_there_says_what_to_do(): void
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
        return '/'.ltrim(strtr($uri, ['{job}' => (string) $job, '{joinRun}' => (string) $run, '{stage}' => 'survey', '{format}' => 'csv', '{number}' => '1', '{offcut}' => '1']), '/');
    }
}
