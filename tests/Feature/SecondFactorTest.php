<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\SecondFactor;
use App\People\TimedCodes;
use App\Time\Clock;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** One-time codes, and what they are asked for. */
final class SecondFactorTest extends TestCase
{
    use RefreshDatabase;

    /** @return iterable<int, array{int, string}> */
    public static function vectors(): iterable
    {
        // RFC 6238, appendix B, SHA-1: time in seconds and the code of eight digits.
        yield [59, '94287082'];
        yield [1_111_111_109, '07081804'];
        yield [1_111_111_111, '14050471'];
        yield [1_234_567_890, '89005924'];
        yield [2_000_000_000, '69279037'];
        yield [20_000_000_000, '65353130'];
    }

    #[DataProvider('vectors')]
    public function test_codes_are_those_of_the_standard(int $seconds, string $code): void
    {
        self::assertSame($code, TimedCodes::code('12345678901234567890', intdiv($seconds, 30), 8));
        // The same secret in base 32 (RFC 4648), and the code of six digits that sign-in takes: its last six.
        $secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';
        self::assertSame('12345678901234567890', TimedCodes::bytes($secret));
        self::assertSame(intdiv($seconds, 30), TimedCodes::step($secret, substr($code, 2), $seconds, 0));
    }

    /** Counters 0 to 9 of RFC 4226, appendix D. */
    public function test_counted_codes_are_those_of_the_standard(): void
    {
        $codes = ['755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489'];
        foreach ($codes as $counter => $code) {
            self::assertSame($code, TimedCodes::code('12345678901234567890', $counter));
        }
    }

    public function test_a_code_is_good_for_a_step_around_and_once(): void
    {
        $secret = TimedCodes::secret();
        $code = TimedCodes::code(TimedCodes::bytes($secret), 1000);
        foreach ([29_969 => null, 29_970 => 1000, 30_000 => 1000, 30_059 => 1000, 30_060 => null] as $at => $step) {
            self::assertSame($step, TimedCodes::step($secret, $code, $at, 0), "{$at} s");
        }
        self::assertNull(TimedCodes::step($secret, $code, 30_000, 1000), 'it was taken before');
    }

    public function test_it_is_set_up_asked_for_recovered_and_switched_off(): void
    {
        $user = $this->user($this->crew());
        $enter = fn(string $code = '') => $this->post('/sign-in', [
            'email' => $user->email,
            'password' => 'long enough a word',
            'code' => $code,
        ]);
        $out = function (): void {
            $this->post('/sign-out');
            $this->app->make('auth')->forgetGuards();
        };
        $enter()->assertRedirect('/');
        $secret = (string) $this->postJson('/people/factor')->assertCreated()->json('secret');
        self::assertStringNotContainsString($secret, (string) DB::table('users')->value('factor_secret'), 'encrypted');
        // Not in force before a code was entered.
        $this->postJson('/people/factor/confirm', ['code' => '000000'])->assertStatus(422);
        self::assertNull($user->refresh()->factor_since);
        $codes = (array) $this->postJson('/people/factor/confirm', ['code' => self::now($secret)])
            ->assertOk()
            ->json('codes');
        self::assertCount(8, array_unique($codes));
        self::assertStringNotContainsString((string) $codes[0], (string) DB::table('users')->value('recovery_codes'));
        $this->postJson('/people/factor')->assertStatus(422);
        $out();
        $enter()->assertSessionHasErrors('code');
        $this->assertGuest();
        $enter(self::now($secret))->assertSessionHasErrors([
            'code' => 'This code is wrong, used or too old. Type the one that is shown now, or a recovery code.',
        ]);
        $this->travel(30)->seconds();
        $enter(self::now($secret))->assertRedirect('/');
        $out();
        $enter(strtoupper((string) $codes[3]))->assertRedirect('/');
        $out();
        $enter((string) $codes[3])->assertSessionHasErrors('code');
        $this->travel(90)->seconds();
        $enter((string) $codes[0])->assertRedirect('/');
        self::assertCount(6, $user->refresh()->recovery_codes ?? []);
        $this->postJson('/people/factor/end', ['code' => '123456'])->assertStatus(422);
        $this->travel(30)->seconds();
        $this->postJson('/people/factor/end', ['code' => self::now($secret)])->assertOk();
        $out();
        $enter()->assertRedirect('/');
    }

    /** A wrong password is answered as without a second factor: the code is asked for afterwards. */
    public function test_a_wrong_password_does_not_reveal_the_factor(): void
    {
        $user = $this->user($this->crew());
        $user->forceFill(['factor_secret' => TimedCodes::secret(), 'factor_since' => Clock::now()])->save();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'wrong'])
            ->assertSessionHasErrors('email')
            ->assertSessionDoesntHaveErrors('code');
    }

    /** Restored with another key: a code of the authenticator is of no use, a recovery code is. */
    public function test_recovery_codes_outlive_the_key(): void
    {
        $user = $this->user($this->crew());
        $secret = SecondFactor::begin($user);
        $codes = SecondFactor::confirm($user, self::now($secret)) ?? self::fail('not confirmed');
        DB::table('users')->update(['factor_secret' => 'of another key']);
        $this->travel(60)->seconds();
        self::assertFalse(SecondFactor::passes($user, self::now($secret)));
        self::assertTrue(SecondFactor::passes($user, $codes[0]));
    }

    private static function now(string $secret): string
    {
        return TimedCodes::code(TimedCodes::bytes($secret), intdiv(Clock::now()->getTimestamp(), 30));
    }
}
