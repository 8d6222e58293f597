<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use App\Http\SignIns;
use App\Models\User;
use App\People\Record;
use App\People\SecondFactor;
use App\Time\Clock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final class SessionController
{
    public function show(): Response
    {
        return Inertia::render('SignIn', ['demo' => self::demoUser() !== null]);
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        $user = User::query()->where('email', $request->validated('email'))->first();
        // Slow on purpose, and equally slow for an unknown account: the time must not reveal the accounts.
        if (!Hash::check($request->safe()->string('password')->toString(), $user->password ?? self::nobody())) {
            Record::failed($request, $user);
            $user = null;
        }
        if ($user?->closed_at !== null) {
            throw ValidationException::withMessages([
                'email' => 'This account is closed. The administrator of Ember Dusk can reopen it.',
            ]);
        }
        if ($user === null) {
            throw ValidationException::withMessages([
                'email' => 'No account has this e-mail and password. Check both, then try again.',
            ]);
        }

        if (SecondFactor::has($user)) {
            $code = $request->safe()->string('code')->toString();
            if (!SecondFactor::passes($user, $code)) {
                $code === '' || Record::failed($request, $user);
                throw ValidationException::withMessages([
                    'code' =>
                        $code === ''
                            ? 'Type the six digits that your authenticator shows now, or a recovery code.'
                            : 'This code is wrong, used or too old. Type the one that is shown now, or a recovery code.',
                ]);
            }
        }

        return self::welcome($request, $user, $request->boolean('remember'));
    }

    public function demo(Request $request): RedirectResponse
    {
        return self::welcome($request, self::demoUser() ?? abort(404), false);
    }

    public function destroy(Request $request): RedirectResponse|JsonResponse
    {
        $user = $request->user();
        if ($user instanceof User) {
            SignIns::end($request, $user);
        }
        DB::transaction(static fn() => Auth::logout());
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $request->expectsJson()
            ? new JsonResponse(['to' => route('sign-in', absolute: false)])
            : redirect()->route('sign-in');
    }

    /** For a page that measures how far its clock is from this one. */
    public function time(): JsonResponse
    {
        return new JsonResponse(['now' => Clock::milliseconds()]);
    }

    public static function welcome(Request $request, User $user, bool $remember): RedirectResponse
    {
        $guard = Auth::guard('web');
        $guard->setRememberDuration(SignIns::DAYS * 1440);
        DB::transaction(static fn() => $guard->login($user, $remember));
        $request->session()->regenerate();
        SignIns::begin($request, $user);

        return redirect()->intended(route('home'));
    }

    /** Hash to compare with where the account is unknown. */
    private static function nobody(): string
    {
        return Cache::rememberForever('nobody', static fn(): string => Hash::make(Str::random(40)));
    }

    /** Only in demo mode, and only the user that the seeder made. */
    private static function demoUser(): ?User
    {
        if (config('ember.demo') === true) {
            return User::query()->where('email', config('ember.demo_email'))->first();
        }

        return null;
    }
}
