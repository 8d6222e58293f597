<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** What a client reads behind a signed link: it runs out, can be taken back, and shows nothing of another job. */
final class ClientLinkTest extends TestCase
{
    use RefreshDatabase;

    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-25 09:00:00');
        $this->job = $this->job($this->crew());
        $this->actingAs($this->user($this->job->crew));
    }

    /** @return array{id: int, url: string, until: string} */
    private function link(): array
    {
        return $this->answer($this->postJson("/jobs/{$this->job->id}/client-links"), 'clientLinks')['links'][0];
    }

    public function test_a_client_reads_what_works_what_and_the_steps_back(): void
    {
        $link = $this->link();
        self::assertSame('2027-02-23', $link['until']);
        $this->app['auth']->guard()->logout();
        $page = $this->get($link['url'])->assertOk();
        $page->assertSee('Daily use')->assertSee('H1, hub: Cove.');
        $page->assertSee('The phone is lost')->assertSee('is replaced')->assertSee('Press Search in the hub');
        $page->assertSee('does not say that the installation complies');
        // Read only: there is nothing to press, and nothing of the crew.
        self::assertStringNotContainsString('<form', (string) $page->getContent());
        self::assertStringNotContainsString('<script', (string) $page->getContent());
        $this->get('/')->assertRedirect('/sign-in');
    }

    public function test_it_runs_out_and_can_be_taken_back(): void
    {
        $link = $this->link();
        Carbon::setTestNow(Carbon::now()->addDays(89));
        $this->get($link['url'])->assertOk();
        Carbon::setTestNow(Carbon::now()->addDays(2));
        $this->get($link['url'])->assertStatus(410)->assertSee('This link is over');
        $second = $this->link();
        $left = $this->answer(
            $this->postJson("/jobs/{$this->job->id}/client-links/{$second['id']}/revoke"),
            'clientLinks',
        );
        self::assertSame([], $left['links']);
        $this->get($second['url'])->assertStatus(410);
    }

    public function test_an_address_that_was_changed_opens_nothing(): void
    {
        $link = $this->link();
        $other = $this->job($this->job->crew);
        $this->postJson("/jobs/{$other->id}/client-links")->assertCreated();
        $this->get((string) preg_replace('~/client/\d+~', '/client/' . ($link['id'] + 1), $link['url']))->assertStatus(
            410,
        );
        $this->get("/client/{$link['id']}")->assertStatus(410);
        $this->get($link['url'] . 'x')->assertStatus(410);
        // Nor is it taken back by way of another job.
        $this->postJson("/jobs/{$other->id}/client-links/{$link['id']}/revoke")->assertNotFound();
        $this->get($link['url'])->assertOk();
    }
}
