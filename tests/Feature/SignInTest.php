<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Limits;
use App\Models\User;
use App\People\Role;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Hashing\HashManager;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use LogicException;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    use RefreshDatabase;

    public function test_a_closed_account_keeps_its_name_in_records(): void
    {
        $job = $this->job($this->crew());
        $user = $this->user($job->crew);
        $this->actingAs($user)
            ->postJson("/jobs/{$job->id}/change", [
                'stage' => 'wire',
                'base' => 1,
                'change' => ['kind' => 'SetCable', 'cable' => 'k1', 'length' => 5],
            ])
            ->assertOk();
        self::assertSame(0, Artisan::call('ember:account', ['--close' => $user->email]));
        self::assertStringContainsString('Records of One keep that name', Artisan::output());
        // An open page ends at its next request; sign-in is refused.
        $this->actingAs($user->refresh())
            ->getJson("/jobs/{$job->id}/history")
            ->assertUnauthorized();
        $this->actingAs($user)->get('/')->assertRedirect('/sign-in');
        $this->app->make('auth')->forgetGuards();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'long enough a word'])->assertSessionHasErrors([
            'email' => 'This account is closed. The administrator of Ember Dusk can reopen it.',
        ]);
        $two = $this->user($job->crew, 'two@firm.example');
        self::assertSame(
            'One',
            $this->actingAs($two)
                ->getJson("/jobs/{$job->id}/history")
                ->json('history.0.who'),
        );
        self::assertSame(0, Artisan::call('ember:account', ['--reopen' => $user->email]));
        $this->app->make('auth')->forgetGuards();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'long enough a word'])->assertRedirect('/');
        self::assertSame(2, Artisan::call('ember:account', ['--close' => 'unknown@firm.example']));
        $this->expectException(LogicException::class);
        $user->delete();
    }

    /** The command takes no password: it prints the address at which the person chooses one. */
    public function test_an_account_made_by_command_chooses_its_password(): void
    {
        $made = ['name' => 'Ana', 'email' => 'ana@firm.example', '--crew' => 'Two Lamps'];
        self::assertSame(0, Artisan::call('ember:account', $made));
        $path = self::path(Artisan::output());
        $user = User::query()->where('email', 'ana@firm.example')->firstOrFail();
        self::assertSame(Role::Owner, $user->role, 'the first of a crew leads it');
        self::assertGreaterThan(20, $user->crew->kitEntries()->count());
        $this->get($path)->assertOk();
        $this->post($path, ['password' => 'lamp otter quartz fence'])->assertRedirect('/');
        $this->assertAuthenticatedAs($user);
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
        $this->post('/sign-in', [
            'email' => 'ana@firm.example',
            'password' => 'lamp otter quartz fence',
        ])->assertRedirect('/');
        self::assertSame(0, Artisan::call('ember:account', ['name' => 'Bo', 'email' => 'bo@firm.example'] + $made));
        self::assertSame(Role::Installer, User::query()->where('email', 'bo@firm.example')->firstOrFail()->role);
        self::assertSame(0, Artisan::call('ember:account', ['--link' => 'ana@firm.example']));
        self::assertNotSame($path, self::path(Artisan::output()));
        self::assertSame(2, Artisan::call('ember:account', ['--link' => 'unknown@firm.example']));
    }

    private static function path(string $output): string
    {
        return preg_match('#https?://[^/]+(/welcome/\S+)#', $output, $found) === 1 ? $found[1] : '';
    }

    /** A slow request that ends after signing out writes its initial session: no one is signed in by it. */
    public function test_a_session_written_back_after_signing_out_is_refused(): void
    {
        $user = $this->user($this->crew());
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'long enough a word'])->assertRedirect('/');
        $this->get('/')->assertOk();
        $before = session()->all();
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->app->make('auth')->forgetGuards();
        $this->flushSession();
        $this->withSession($before)->getJson('/time')->assertUnauthorized();
        $this->app->make('auth')->forgetGuards();
        $this->withSession($before)->get('/')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_signing_out_on_one_device_leaves_another_signed_in(): void
    {
        $user = $this->user($this->crew());
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'long enough a word']);
        $desk = session()->all();
        $this->flushSession();
        $this->app->make('auth')->forgetGuards();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'long enough a word']);
        $this->post('/sign-out');
        $this->flushSession();
        $this->app->make('auth')->forgetGuards();
        $this->withSession($desk)->get('/')->assertOk();
    }

    public function test_what_one_person_did_is_not_taken_from_another(): void
    {
        $job = $this->job($this->crew());
        $one = $this->user($job->crew);
        $two = $this->user($this->crew('Crew B'), 'two@firm.example');
        $tick = [
            'uuid' => (string) Str::uuid(),
            'step' => 'x',
            'done' => true,
            'minutes' => 5,
            'at' => '2026-11-28T09:30:00.000Z',
        ];
        // For another crew the job would be a permanent 404: the other owner is reported first.
        $this->actingAs($two)
            ->postJson("/jobs/{$job->id}/build/tick", $tick, ['X-Ember-By' => (string) $one->id])
            ->assertForbidden()
            ->assertSee('when the person who did it signs in again');
        $this->actingAs($one)
            ->postJson("/jobs/{$job->id}/build/tick", $tick, ['X-Ember-By' => (string) $one->id])
            ->assertStatus(422);
    }

    public function test_an_account_needs_a_free_address_and_a_known_role(): void
    {
        $given = ['name' => 'Ana', 'email' => 'ana@firm.example', '--crew' => 'C'];
        self::assertSame(2, Artisan::call('ember:account', $given + ['--role' => 'boss']));
        $this->user($this->crew(), 'ana@firm.example');
        self::assertSame(2, Artisan::call('ember:account', $given));
    }

    public function test_a_wrong_password_says_what_to_do_and_is_slowed_down(): void
    {
        $this->user($this->crew());
        for ($n = 0; $n < 6; $n++) {
            $this->from('/sign-in')
                ->post('/sign-in', ['email' => 'one@firm.example', 'password' => 'wrong'])
                ->assertSessionHasErrors([
                    'email' => 'No account has this e-mail and password. Check both, then try again.',
                ]);
        }
        $this->post('/sign-in', ['email' => 'one@firm.example', 'password' => 'wrong'])->assertStatus(429);
        $this->assertGuest();
    }

    /** One account from twelve addresses, and twenty accounts from one address. */
    public function test_tries_are_limited_per_account_and_per_range_of_addresses(): void
    {
        $this->user($this->crew());
        $try = fn(string $email, string $from): int => $this->withServerVariables(['REMOTE_ADDR' => $from])
            ->post('/sign-in', ['email' => $email, 'password' => 'wrong'])
            ->getStatusCode();
        $tries = array_map(static fn(int $n): int => $try('One@Firm.example', "192.0.{$n}.7"), range(1, 12));
        self::assertSame([...array_fill(0, 6, 302), ...array_fill(0, 6, 429)], $tries);
        $others = array_map(
            static fn(int $n): int => $try("unknown{$n}@firm.example", '198.51.100.' . (1 + $n)),
            range(0, 24),
        );
        self::assertSame([...array_fill(0, 20, 302), ...array_fill(0, 5, 429)], $others);
        self::assertSame(302, $try('unknown@firm.example', '203.0.113.9'), 'another range is not held up');
        self::assertSame(Limits::range('2001:db8:1:2ff::1'), Limits::range('2001:db8:1:200:5::9'));
        self::assertNotSame(Limits::range('2001:db8:1:200::1'), Limits::range('2001:db8:2:200::1'));
    }

    /** The same work and the same words, so that no account is revealed. */
    public function test_an_unknown_account_is_answered_like_a_wrong_password(): void
    {
        $this->user($this->crew());
        $hashes = new class ($this->app) extends HashManager {
            /** @var list<int> length of each hash that a password was held against */
            public array $checked = [];

            /** @param  array<string, mixed>  $options */
            public function check($value, $hashedValue, array $options = []): bool
            {
                $this->checked[] = strlen((string) $hashedValue);

                return parent::check($value, $hashedValue, $options);
            }
        };
        Hash::swap($hashes);
        foreach (['one@firm.example', 'unknown@firm.example'] as $email) {
            $this->post('/sign-in', ['email' => $email, 'password' => 'wrong'])->assertSessionHasErrors([
                'email' => 'No account has this e-mail and password. Check both, then try again.',
            ]);
        }
        self::assertSame([60, 60], $hashes->checked, 'a whole hash is compared for both');
    }

    public function test_an_address_is_the_same_in_capital_letters(): void
    {
        $user = $this->user($this->crew(), 'Two@Firm.Example');
        self::assertSame('two@firm.example', $user->email);
        $this->post('/sign-in', ['email' => 'TWO@firm.example', 'password' => 'long enough a word'])->assertRedirect(
            '/',
        );
        $this->assertAuthenticatedAs($user);
    }

    public function test_the_demo_user_is_let_in_in_demo_mode_only(): void
    {
        $this->seed();
        $this->get('/sign-in')->assertInertia(
            fn(AssertableInertia $page) => $page->component('SignIn')->where('demo', false),
        );
        $this->post('/sign-in/demo')->assertNotFound();
        config(['ember.demo' => true]);
        $this->get('/sign-in')->assertInertia(fn(AssertableInertia $page) => $page->where('demo', true));
        $this->post('/sign-in/demo')->assertRedirect('/');
        $this->assertAuthenticated();
    }

    public function test_without_a_token_nothing_is_taken(): void
    {
        // The framework leaves the check out while it runs tests; here it is put back.
        $this->app->instance('env', 'production');
        $this->user($this->crew());
        $this->post('/sign-in', ['email' => 'one@firm.example', 'password' => 'long enough a word'])->assertStatus(419);
    }
}
