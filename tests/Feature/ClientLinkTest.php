<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;
use Tests\TestCase;

/** A client's page behind a signed link: it expires, can be revoked, and shows nothing of another job. */
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

    public function test_a_client_reads_controls_and_recovery_steps(): void
    {
        $link = $this->link();
        self::assertSame('2027-02-23', $link['until']);
        $this->app['auth']->guard()->logout();
        $page = $this->get($link['url'])->assertOk();
        $page->assertSee('Daily use')->assertSee('H1, hub: Cove.');
        $page->assertSee('The phone is lost')->assertSee('is replaced')->assertSee('Press Search in the hub');
        $page->assertSee('does not state that the installation complies');
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
        $this->get($link['url'])->assertStatus(410)->assertSee('This link has expired');
        $second = $this->link();
        $left = $this->answer(
            $this->postJson("/jobs/{$this->job->id}/client-links/{$second['id']}/revoke"),
            'clientLinks',
        );
        self::assertSame([], $left['links']);
        $this->get($second['url'])->assertStatus(410);
    }

    /** After a restore a new link may get the number of one that was lost: the old address must not open it. */
    public function test_an_address_from_before_a_restore_opens_no_other_clients_sheet(): void
    {
        $lost = $this->link();
        DB::table('client_links')->where('id', $lost['id'])->delete();
        DB::table('sqlite_sequence')->where('name', 'client_links')->delete();
        $other = $this->job($this->job->crew);
        $new = $this->answer($this->postJson("/jobs/{$other->id}/client-links"), 'clientLinks')['links'][0];
        self::assertSame($lost['id'], $new['id'], 'the number is given again');
        $this->get($lost['url'])->assertStatus(410);
        $this->get($new['url'])->assertOk();
    }

    /** The secret is in the database: a link works after a restore on a machine with another key. */
    public function test_a_link_works_with_another_application_key(): void
    {
        $link = $this->link();
        URL::setKeyResolver(static fn(): string => 'the key of another machine');
        $this->get($link['url'])->assertOk();
    }

    /** Links from before secrets existed work by their signature, and only without a secret. */
    public function test_a_signed_address_of_an_earlier_version_still_opens(): void
    {
        $link = $this->link();
        DB::table('client_links')
            ->where('id', $link['id'])
            ->update(['secret' => null]);
        $signed = URL::signedRoute('client', ['clientLink' => $link['id']], absolute: false);
        $this->get($signed)->assertOk();
        $this->get("/client/{$link['id']}")->assertStatus(410);
        $second = $this->link();
        $this->get(URL::signedRoute('client', ['clientLink' => $second['id'] + 1], absolute: false))->assertStatus(410);
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
        $this->get("/client/{$link['id']}/" . str_repeat('a', 40))->assertStatus(410);
        $this->get($link['url'] . 'x')->assertNotFound();
        // Nor is it taken back by way of another job.
        $this->postJson("/jobs/{$other->id}/client-links/{$link['id']}/revoke")->assertNotFound();
        $this->get($link['url'])->assertOk();
    }
}
