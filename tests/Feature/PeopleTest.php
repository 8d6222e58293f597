<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\DeletedJobs;
use App\Http\SignIns;
use App\Models\PersonLink;
use App\Models\User;
use App\People\Permission;
use App\People\PersonLinks;
use App\People\Record;
use App\People\Role;
use App\People\RoutePermissions;
use App\People\UncommonPassword;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;
use Inertia\Inertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Roles, invitations, new passwords and devices of a crew's people. */
final class PeopleTest extends TestCase
{
    use RefreshDatabase;

    private const GOOD = 'lamp otter quartz fence';

    private function owner(string $crew = 'Crew A', string $email = 'one@firm.example'): User
    {
        return $this->user($this->crew($crew), $email);
    }

    /** @return array<string, mixed> what the page People is sent */
    private function page(): array
    {
        $page = $this->get('/people')->assertOk()->viewData('page');
        $sent = json_decode((string) json_encode($page), true);

        return is_array($sent) ? $sent['props']['people'] : [];
    }

    /** The table names every route of the application, and no other. */
    public function test_every_route_says_who_may_use_it(): void
    {
        $names = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (in_array('web', $route->gatherMiddleware(), true)) {
                $name = (string) $route->getName();
                self::assertNotNull(RoutePermissions::for($name), "{$name} {$route->uri()}");
                $names[] = $name;
            }
        }
        self::assertGreaterThan(100, count($names));
        self::assertSame($names, array_unique($names));
        self::assertNull(RoutePermissions::for('no such route'));
    }

    /** Writes need more than reading, except practice and one's own account. */
    public function test_writes_need_more_than_reading(): void
    {
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $name = (string) $route->getName();
            if (
                in_array('web', $route->gatherMiddleware(), true) &&
                !in_array('GET', $route->methods(), true) &&
                RoutePermissions::for($name) === Permission::Read
            ) {
                self::assertMatchesRegularExpression(
                    '/^(sign-(in|out)|welcome|practice|people\.(password|devices|factor)|jobs\.(say|mix))/',
                    $name,
                );
            }
        }
    }

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }

    public function test_an_apprentice_records_and_changes_nothing(): void
    {
        $job = $this->job($this->crew());
        $user = $this->user($job->crew);
        $user->update(['role' => Role::Apprentice]);
        $this->actingAs($user);
        // The version of the screens is known from the first page on.
        $this->get('/')->assertOk();
        foreach (['survey', 'wire', 'build', 'bench', 'log', 'join', 'scenes', 'handover'] as $stage) {
            $said = (string) $this->get("/jobs/{$job->id}/{$stage}", [
                'X-Inertia' => 'true',
                'X-Inertia-Version' => Inertia::getVersion(),
            ])
                ->assertOk()
                ->getContent();
            self::assertStringContainsString('"stage":', $said);
            // The name of the currency alone tells nothing.
            $said = str_replace('"currency":"EUR"', '', $said);
            preg_match_all('/.{60}(EUR|has no price|"(price|hourRate|travelCost)":[\d.]*[1-9]).{40}/', $said, $found);
            self::assertSame([], $found[0], "{$stage} shows no prices");
        }
        foreach (['kit', 'parts'] as $stage) {
            $this->get("/jobs/{$job->id}/{$stage}")->assertForbidden();
            $this->getJson("/jobs/{$job->id}/state?stage={$stage}")->assertForbidden();
        }
        foreach (['day-sheets', 'van', 'sheet', 'cuts.csv'] as $paper) {
            self::assertStringNotContainsString(
                'EUR',
                (string) $this->get("/jobs/{$job->id}/{$paper}")
                    ->assertOk()
                    ->getContent(),
            );
        }
        $this->postJson("/jobs/{$job->id}/bench/log", ['entries' => []])->assertStatus(422);
        foreach (
            [
                ['POST', 'change'],
                ['POST', 'archive'],
                ['POST', 'undo'],
                ['DELETE', ''],
                ['POST', 'client-links'],
                ['GET', 'quote'],
                ['GET', 'export'],
                ['GET', 'options/cove'],
                ['GET', 'parts.csv'],
                ['GET', 'history'],
            ]
            as [$method, $path]
        ) {
            $this->json($method, rtrim("/jobs/{$job->id}/{$path}", '/'))
                ->assertForbidden()
                ->assertSee('The owner of the crew can change it');
        }
        $this->getJson('/shelf/entries')->assertForbidden();
        $this->postJson('/people/invite', ['role' => 'installer'])->assertForbidden();
        $this->get("/jobs/{$job->id}/quote")
            ->assertForbidden()
            ->assertSee('Not yours to do');
        self::assertSame(1, $job->revisions()->count());
    }

    public function test_an_invitation_lets_one_person_in_once(): void
    {
        $owner = $this->owner();
        $made = (string) $this->actingAs($owner)
            ->postJson('/people/invite', ['role' => 'apprentice'])
            ->assertCreated()
            ->json('made');
        $path = (string) parse_url($made, PHP_URL_PATH);
        self::assertStringNotContainsString(
            (string) PersonLink::query()->value('secret'),
            $made,
            'only a hash of it is kept',
        );
        self::assertSame('', $this->page()['made']);
        $this->app->make('auth')->forgetGuards();
        $this->flushSession();
        $this->get($path)->assertOk();
        $this->get(substr($path, 0, -1) . 'x')
            ->assertStatus(410)
            ->assertSee('no longer good');
        $given = ['name' => 'Bo', 'email' => 'Bo@Firm.example', 'password' => self::GOOD];
        $this->post($path, ['password' => 'short'] + $given)->assertSessionHasErrors('password');
        $this->post($path, ['email' => 'one@firm.example'] + $given)->assertSessionHasErrors('email');
        $this->post($path, ['password' => 'firm.example'] + $given)->assertSessionHasErrors('password');
        $this->post($path, $given)->assertRedirect('/');
        $bo = User::query()->where('email', 'bo@firm.example')->firstOrFail();
        self::assertSame([$owner->crew_id, Role::Apprentice], [$bo->crew_id, $bo->role]);
        $this->assertAuthenticatedAs($bo);
        $this->get($path)->assertStatus(410);
        $this->post($path, ['email' => 'again@firm.example'] + $given)->assertForbidden();
        self::assertSame(2, User::query()->count());
    }

    public function test_a_link_ends_after_a_week_or_when_it_is_revoked(): void
    {
        $owner = $this->owner();
        $find = static function (string $url): ?PersonLink {
            [$id, $secret] = array_slice(explode('/', $url), -2);

            return PersonLinks::find((int) $id, $secret);
        };
        $made = PersonLinks::invite($owner->crew, Role::Installer, $owner);
        self::assertNotNull($find($made));
        $this->travel(PersonLinks::DAYS * 24 - 1)->hours();
        self::assertNotNull($find($made));
        $this->travel(2)->hours();
        self::assertNull($find($made));
        $this->travelBack();
        $id = PersonLink::query()->value('id');
        $other = $this->owner('Crew B', 'b@firm.example');
        $this->actingAs($other)
            ->postJson("/people/links/{$id}/revoke")
            ->assertNotFound();
        $this->actingAs($owner)
            ->postJson("/people/links/{$id}/revoke")
            ->assertOk();
        self::assertNull($find($made));
    }

    public function test_a_new_password_signs_out_every_device(): void
    {
        $owner = $this->owner();
        $two = $this->user($owner->crew, 'two@firm.example');
        $this->post('/sign-in', ['email' => $two->email, 'password' => 'long enough a word']);
        $phone = session()->all();
        $this->get('/')->assertOk();
        $this->flushSession();
        $this->app->make('auth')->forgetGuards();
        $older = PersonLinks::reset($two, $owner);
        $path = (string) parse_url(PersonLinks::reset($two, $owner), PHP_URL_PATH);
        $this->get((string) parse_url($older, PHP_URL_PATH))->assertStatus(410);
        $this->post($path, ['password' => self::GOOD])->assertRedirect('/');
        self::assertTrue(Hash::check(self::GOOD, $two->refresh()->password));
        $this->app->make('auth')->forgetGuards();
        $this->flushSession();
        $this->withSession($phone)->get('/')->assertRedirect('/sign-in');
    }

    public function test_ones_own_password_is_changed_with_the_old_one(): void
    {
        $user = $this->user($this->crew());
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'long enough a word']);
        $this->postJson('/people/password', ['current' => 'wrong one', 'password' => self::GOOD])
            ->assertStatus(422)
            ->assertSee('not your password');
        $this->postJson('/people/password', ['current' => ['a' => 'b'], 'password' => self::GOOD])->assertStatus(422);
        $this->postJson('/people/password', ['current' => 'long enough a word', 'password' => ['a']])->assertStatus(
            422,
        );
        $this->postJson('/people/password', ['current' => 'long enough a word', 'password' => 'password123'])
            ->assertStatus(422)
            ->assertSee('among the first that are tried');
        $this->postJson('/people/password', ['current' => 'long enough a word', 'password' => self::GOOD])->assertOk();
        self::assertTrue(Hash::check(self::GOOD, $user->refresh()->password));
        $this->get('/')->assertOk();
    }

    /** The limit is each person's own: what one tries does not hold up another. */
    public function test_tries_at_the_own_password_are_limited_for_each(): void
    {
        $one = $this->user($this->crew());
        $two = $this->user($one->crew, 'two@firm.example');
        $try = fn(User $user): int => $this->actingAs($user)
            ->postJson('/people/password', ['current' => 'wrong', 'password' => self::GOOD])
            ->getStatusCode();
        $tries = array_map(static fn(): int => $try($one), range(1, 7));
        self::assertSame([...array_fill(0, 6, 422), 429], $tries);
        self::assertSame(422, $try($two));
    }

    /** Nobody fills the server with imports; another person of the crew goes on. */
    public function test_heavy_requests_are_limited_for_each_person(): void
    {
        $job = $this->job($this->crew());
        $ask = fn(string $email): int => $this->actingAs($this->user($job->crew, $email))
            ->postJson("/jobs/{$job->id}/log/import")
            ->getStatusCode();
        $answers = array_count_values(array_map(static fn(): int => $ask('one@firm.example'), range(1, 62)));
        self::assertSame([422 => 60, 429 => 2], $answers);
        self::assertSame(422, $ask('two@firm.example'));
        $this->travel(61)->seconds();
        self::assertSame(422, $ask('one@firm.example'));
    }

    public function test_devices_are_listed_and_the_others_ended(): void
    {
        $user = $this->user($this->crew());
        $enter = function (string $agent) use ($user): array {
            $this->flushSession();
            $this->app->make('auth')->forgetGuards();
            $this->withHeader('User-Agent', $agent)->post('/sign-in', [
                'email' => $user->email,
                'password' => 'long enough a word',
                'remember' => true,
            ]);

            return session()->all();
        };
        $desk = $enter('Browser on a desk');
        $token = $user->refresh()->remember_token;
        $enter('Browser Mobile');
        $page = $this->page();
        $devices = array_map(
            static fn(array $d): string => "{$d['device']} " . ($d['here'] ? 'here' : 'no'),
            $page['devices'],
        );
        sort($devices);
        self::assertSame(['computer no', 'phone or tablet here'], $devices);
        $said = $this->postJson('/people/devices/end')->assertOk();
        self::assertSame(['phone or tablet'], array_column((array) $said->json('devices'), 'device'));
        self::assertNotSame($token, $user->refresh()->remember_token, 'no cookie recalls the other');
        $this->get('/')->assertOk();
        $this->flushSession();
        $this->app->make('auth')->forgetGuards();
        $this->withSession($desk)->get('/')->assertRedirect('/sign-in');
        // Sign-ins unused for 30 days are gone from the list.
        Carbon::setTestNow(Carbon::now()->addDays(SignIns::DAYS + 1));
        self::assertSame([], SignIns::of($user));
    }

    public function test_staying_signed_in_lasts_thirty_days(): void
    {
        $user = $this->user($this->crew());
        $cookies = fn(bool $remember): array => array_filter(
            $this->post('/sign-in', [
                'email' => $user->email,
                'password' => 'long enough a word',
                'remember' => $remember,
            ])->headers->getCookies(),
            static fn($c): bool => str_starts_with($c->getName(), 'remember_'),
        );
        self::assertSame([], $cookies(false));
        $this->post('/sign-out');
        $this->app->make('auth')->forgetGuards();
        [$cookie] = array_values($cookies(true));
        self::assertEqualsWithDelta(30 * 86400, $cookie->getMaxAge(), 60);
    }

    public function test_a_crew_always_has_an_owner(): void
    {
        $owner = $this->owner();
        $two = $this->user($owner->crew, 'two@firm.example');
        $two->update(['role' => Role::Installer]);
        $theirs = $this->user($this->crew('Crew B'), 'b@firm.example');
        $this->actingAs($owner);
        $this->postJson("/people/{$owner->id}/role", ['role' => 'installer'])
            ->assertStatus(422)
            ->assertSee('only owner');
        $this->postJson("/people/{$owner->id}/close")->assertStatus(422);
        $this->postJson("/people/{$theirs->id}/role", ['role' => 'owner'])->assertNotFound();
        $this->postJson("/people/{$two->id}/role", ['role' => 'boss'])->assertStatus(422);
        $this->postJson("/people/{$two->id}/role", ['role' => 'owner'])->assertOk();
        $this->postJson("/people/{$owner->id}/role", ['role' => 'installer'])->assertOk();
        self::assertSame(Role::Installer, $owner->refresh()->role);
        $this->postJson("/people/{$two->id}/close")->assertForbidden();
        self::assertNull(DB::table('users')->where('id', $two->id)->value('closed_at'));
    }

    /** Acts that matter for trust are noted with their person, refused ones are not; owners read them, and export them as a table. */
    public function test_the_record_says_who_did_what(): void
    {
        $job = $this->job($this->crew());
        $owner = $this->user($job->crew);
        $enter = fn(string $password) => $this->post('/sign-in', ['email' => $owner->email, 'password' => $password]);
        $enter('wrong password');
        $this->post('/sign-in', ['email' => 'unknown@firm.example', 'password' => 'wrong password']);
        $enter('long enough a word')->assertRedirect('/');
        $this->get("/jobs/{$job->id}/export")->assertOk();
        $this->postJson("/jobs/{$job->id}/client-links")->assertCreated();
        $this->postJson("/jobs/{$job->id}/change", [
            'stage' => 'parts',
            'base' => 1,
            'change' => ['kind' => 'SetTerms', 'hourRate' => 44],
        ])->assertOk();
        $this->postJson("/people/{$owner->id}/close")->assertStatus(422);
        $this->get("/jobs/{$job->id}/wire")->assertOk();
        $record = $this->page()['record'];
        self::assertSame(
            [
                'changed rate, mark-up or terms of a quote: Pebble Fen Observatory',
                'made a link for the client: Pebble Fen Observatory',
                'exported a job: Pebble Fen Observatory',
                'signed in: ',
                'failed to sign in: ',
            ],
            array_map(static fn(array $l): string => "{$l['what']}: {$l['about']}", $record),
        );
        self::assertSame(['One'], array_values(array_unique(array_column($record, 'who'))));
        self::assertStringContainsString(
            ',One,"exported a job","Pebble Fen Observatory"',
            (string) $this->get('/people/record.csv')->assertOk()->getContent(),
        );
        $other = $this->owner('Crew B', 'b@firm.example');
        $this->actingAs($other);
        self::assertStringNotContainsString('One', (string) $this->get('/people/record.csv')->getContent());
        $other->update(['role' => Role::Installer]);
        $this->getJson('/people/record.csv')->assertForbidden();
        self::assertSame([], $this->page()['record']);
        $this->travel(Record::DAYS + 1)->days();
        $other->update(['role' => Role::Owner]);
        $this->actingAs($other)->get('/people/record.csv')->assertOk();
        self::assertSame(1, DB::table('acts')->count(), 'old lines are gone');
    }

    public function test_a_deleted_job_is_brought_back_within_thirty_days(): void
    {
        $job = $this->job($this->crew());
        $user = $this->user($job->crew);
        $this->actingAs($user);
        $made = (string) $this->postJson("/jobs/{$job->id}/client-links")->json('links.0.url');
        $this->postJson("/jobs/{$job->id}/archive")->assertOk();
        $this->deleteJson("/jobs/{$job->id}", ['name' => $job->name])->assertOk();
        $this->get("/jobs/{$job->id}/wire")->assertNotFound();
        $this->get($made)->assertStatus(410);
        $listed = fn(): array => json_decode(
            (string) json_encode($this->get('/?archived=1')->assertOk()->viewData('page')),
            true,
        )['props'];
        self::assertSame([0, [$job->id]], [$listed()['total'], array_column($listed()['deleted'], 'id')]);
        $other = $this->owner('Crew B', 'b@firm.example');
        $this->actingAs($other)
            ->postJson("/deleted/{$job->id}/back")
            ->assertNotFound();
        $this->actingAs($user)
            ->postJson("/deleted/{$job->id}/back")
            ->assertOk();
        self::assertSame([1, []], [$listed()['total'], $listed()['deleted']]);
        $this->get("/jobs/{$job->id}/wire")->assertOk();
        $this->get($made)->assertOk();
        $this->deleteJson("/jobs/{$job->id}", ['name' => $job->name])->assertOk();
        $this->travel(DeletedJobs::DAYS - 1)->days();
        self::assertCount(1, $listed()['deleted']);
        $this->travel(2)->days();
        self::assertSame([], $listed()['deleted']);
        self::assertSame(0, DB::table('revisions')->count(), 'it is gone with all that it had');
    }

    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        foreach (
            [
                'Password123!',
                'passw0rd2026',
                'qwertyuiop',
                'asdfghjkl1',
                '0123456789',
                '9876543210',
                'aaaaaaaaaaaa',
                'abababababab',
                'emberdusk2026',
                'Saltmarsh 2026',
                'night.installer1',
                'welcomewelcome',
            ]
            as $common
        ) {
            yield $common => [$common, true];
        }
        foreach (
            [self::GOOD, 'correct horse battery', 'k9!vT2#qLmZx', 'seven lamps and a ladder', 'password of the otter']
            as $good
        ) {
            yield $good => [$good, false];
        }
    }

    /** Common ones by lists of the most used passwords, from memory. */
    #[DataProvider('passwords')]
    public function test_common_passwords_are_told_from_others(string $password, bool $common): void
    {
        $rule = new UncommonPassword(['Night installer', 'night@firm.example', 'Saltmarsh Lighting']);
        self::assertSame($common, $rule->common($password));
    }
}
