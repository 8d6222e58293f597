<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\JobLogEntry;
use App\Models\Revision;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;
use Tests\Writes;

/** The server's clock is set back by an hour: every write is taken, nothing changes its order, people stay signed in. */
#[Group('clock')]
final class ClockSetBackTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }

    public function test_every_write_goes_on_an_hour_earlier(): void
    {
        config(['queue.default' => 'database']);
        $job = $this->job($this->crew());
        $own = $this->job($job->crew);
        $this->actingAs($this->user($job->crew));
        $this->get('/')->assertOk();
        $ask = fn(string $method, string $path, array $body): TestResponse => $this->json($method, $path, $body);
        $round = function (int $n) use ($ask, $job, $own): void {
            foreach ((new Writes($ask, $job->refresh(), $own->refresh(), 'one'))->all() as $name => $write) {
                $response = $write($n);
                $said = substr((string) $response->getContent(), 0, 300);
                self::assertLessThan(400, $response->getStatusCode(), "{$name}: {$said}");
            }
        };
        $from = Carbon::now();
        $round(1);
        $newest = $job->newest()->number;
        $logged = JobLogEntry::query()->where('job_id', $job->id)->max('id');
        Carbon::setTestNow($from->copy()->subHour());
        $this->get('/')->assertOk();
        $round(2);
        // Numbers decide which revision is the newest, not hours.
        self::assertGreaterThan($newest, $job->newest()->number);
        self::assertGreaterThan($logged, JobLogEntry::query()->where('job_id', $job->id)->max('id'));
        foreach (Job::query()->get() as $one) {
            $numbers = Revision::query()->where('job_id', $one->id)->orderBy('id')->pluck('number')->all();
            self::assertSame(range(1, count($numbers)), $numbers);
        }
        foreach (['survey', 'wire', 'build', 'bench', 'join', 'log', 'handover', 'quote', 'history'] as $page) {
            $this->get("/jobs/{$job->id}/{$page}")->assertOk();
        }
        $words = (array) $this->getJson("/jobs/{$job->id}/history")->json('history');
        $shown = array_column($words, 'number');
        $sorted = $shown;
        rsort($sorted);
        self::assertSame($sorted, $shown);
    }
}
