<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PersonLink;
use App\Models\User;
use App\People\PersonLinks;
use App\People\Role;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Mail\MailManager;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** A guest of one job: invited to it, sees nothing of another, and leaves with a role or the account. */
final class GuestTest extends TestCase
{
    use RefreshDatabase;

    private const GIVEN = [
        'name' => 'Ash',
        'email' => 'ash@wires.example',
        'password' => 'lamp otter quartz fence',
    ];

    private function guest(User $owner, int $job): User
    {
        $made = (string) $this->actingAs($owner)
            ->postJson('/people/invite', ['role' => 'guest', 'job' => $job])
            ->assertCreated()
            ->json('made');
        $this->app->make('auth')->forgetGuards();
        $this->flushSession();
        $this->post((string) parse_url($made, PHP_URL_PATH), self::GIVEN)->assertRedirect('/');

        return User::query()->where('email', 'ash@wires.example')->firstOrFail();
    }

    public function test_a_guest_works_in_one_job_and_sees_no_other(): void
    {
        $crew = $this->crew();
        $owner = $this->user($crew);
        [$own, $other] = [$this->job($crew), $this->job($crew)];
        $other->update(['name' => 'Secret cellar']);
        $guest = $this->guest($owner, $own->id);
        self::assertSame([Role::Guest, $own->id], [$guest->role, $guest->job_id]);
        $this->actingAs($guest);
        $this->get('/')->assertOk()->assertDontSee('Secret cellar');
        $this->get('/?archived=1')->assertDontSee('Secret cellar');
        $this->get("/jobs/{$own->id}/build")->assertOk();
        $this->postJson("/jobs/{$own->id}/bench/log", ['entries' => []])->assertStatus(422);
        $this->getJson("/jobs/{$own->id}/quote")->assertForbidden();
        $this->getJson('/shelf/entries')->assertForbidden();
        // Of the crew only the own line, and no address of anyone else.
        $this->get('/people')->assertOk()->assertSee('ash@wires.example')->assertDontSee($owner->email);
        // Every route of a job asks the policy, and that has no other job.
        $asked = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (!in_array('job', $route->parameterNames(), true) || !in_array('GET', $route->methods(), true)) {
                continue;
            }
            self::assertContains('can:work,job', $route->gatherMiddleware(), $route->uri());
            $uri = preg_replace(
                '/\{(?!job)\w+(:\w+)?\}/',
                '1',
                str_replace('{job}', (string) $other->id, $route->uri()),
            );
            $status = $this->getJson("/{$uri}")->getStatusCode();
            self::assertContains($status, [403, 404], (string) $uri);
            $asked++;
        }
        self::assertGreaterThan(30, $asked);
        $this->getJson("/jobs/{$other->id}/state?stage=build")->assertNotFound();
        $this->postJson("/jobs/{$other->id}/bench/log", ['entries' => []])->assertNotFound();
    }

    public function test_a_guest_needs_a_job_of_the_crew(): void
    {
        $owner = $this->user($this->crew());
        $foreign = $this->job($this->crew('Crew B'));
        $ask = fn(array $with) => $this->actingAs($owner)->postJson('/people/invite', ['role' => 'guest'] + $with);
        $ask([])->assertStatus(422)->assertSee('Choose the job');
        $ask(['job' => $foreign->id])->assertStatus(422);
        $ask(['job' => 'all'])->assertStatus(422);
        self::assertSame(0, PersonLink::query()->count());
        // An installer gets no job of their own, whatever is asked for.
        $job = $this->job($owner->crew);
        $this->postJson('/people/invite', ['role' => 'installer', 'job' => $job->id])->assertCreated();
        self::assertNull(PersonLink::query()->value('job_id'));
    }

    public function test_another_role_opens_all_jobs_and_is_no_way_back_to_guest(): void
    {
        $crew = $this->crew();
        $owner = $this->user($crew);
        [$own, $other] = [$this->job($crew), $this->job($crew)];
        $guest = $this->guest($owner, $own->id);
        $role = fn(string $to) => $this->actingAs($owner)->postJson("/people/{$guest->id}/role", ['role' => $to]);
        $role('apprentice')->assertOk();
        self::assertNull($guest->refresh()->job_id);
        $this->actingAs($guest)
            ->get("/jobs/{$other->id}/build")
            ->assertOk();
        $role('guest')->assertStatus(422);
        self::assertSame(Role::Apprentice, $guest->refresh()->role);
    }

    public function test_a_guest_of_a_deleted_job_sees_none(): void
    {
        $crew = $this->crew();
        $owner = $this->user($crew);
        [$own, $other] = [$this->job($crew), $this->job($crew)];
        $guest = $this->guest($owner, $own->id);
        $own->forceDelete();
        self::assertNull($guest->refresh()->job_id);
        $this->actingAs($guest)->get('/')->assertOk();
        $this->get("/jobs/{$other->id}/build")->assertNotFound();
        $this->actingAs($owner)->get('/people')->assertOk()->assertSee('a deleted job');
    }

    public function test_an_invitation_is_mailed_where_the_server_can(): void
    {
        $owner = $this->user($this->crew());
        $ask = fn() => $this->actingAs($owner)->postJson('/people/invite', [
            'role' => 'installer',
            'email' => 'bo@x.example',
        ]);
        // Without a mail server the link is only shown.
        config(['mail.default' => 'log']);
        $ask()
            ->assertCreated()
            ->assertJson(['mails' => false, 'sent' => '']);
        // One that is there takes it: to that address, with the link that is shown.
        config(['mail.default' => 'held', 'mail.mailers.held' => ['transport' => 'array']]);
        $said = $ask()
            ->assertCreated()
            ->assertJson(['mails' => true, 'sent' => 'bo@x.example']);
        $transport = $this->app->make(MailManager::class)->mailer('held')->getSymfonyTransport();
        assert($transport instanceof ArrayTransport);
        $sent = $transport->messages();
        self::assertCount(1, $sent);
        $mail = $sent[0]->getOriginalMessage();
        self::assertSame(['bo@x.example'], array_map(static fn($a): string => $a->getAddress(), $mail->getTo()));
        self::assertStringContainsString((string) $said->json('made'), (string) $mail->getTextBody());
        // One that refuses it takes nothing back: the link is good.
        config(['mail.default' => 'broken', 'mail.mailers.broken' => ['transport' => 'no such transport']]);
        $said = $ask()
            ->assertCreated()
            ->assertJson(['mails' => true, 'sent' => '']);
        [$id, $secret] = array_slice(explode('/', (string) $said->json('made')), -2);
        self::assertNotNull(PersonLinks::find((int) $id, $secret));
        $this->postJson('/people/invite', ['role' => 'installer', 'email' => 'no address'])->assertStatus(422);
    }
}
