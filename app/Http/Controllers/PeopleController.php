<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\CodeRequest;
use App\Http\Requests\InviteRequest;
use App\Http\Requests\PasswordRequest;
use App\Http\Requests\RoleRequest;
use App\Http\SignIns;
use App\Models\PersonLink;
use App\Models\User;
use App\Papers\Download;
use App\People\Crews;
use App\People\Invitations;
use App\People\PeoplePage;
use App\People\PersonLinks;
use App\People\Record;
use App\People\SecondFactor;
use App\People\TimedCodes;
use App\Time\Clock;
use EmberDusk\Values\InvalidInput;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as FileResponse;
use Illuminate\Support\Facades\DB;
use Inertia\Inertia;
use Inertia\Response;

/** One's own account, and for owners the people of the crew. */
final class PeopleController
{
    public function show(Request $request, #[CurrentUser] User $user): Response
    {
        return Inertia::render('People', ['people' => PeoplePage::for($user, SignIns::current($request))]);
    }

    public function password(PasswordRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        PersonLinks::changed(
            user: $user,
            password: $request->safe()->string('password')->toString(),
            kept: SignIns::current($request),
        );

        return $this->answer($request, $user);
    }

    public function beginFactor(#[CurrentUser] User $user): JsonResponse
    {
        if (SecondFactor::has($user)) {
            throw InvalidInput::at('/code', 'A second factor is on. Switch it off first.');
        }
        $secret = SecondFactor::begin($user);

        return new JsonResponse(['secret' => $secret, 'address' => TimedCodes::address($secret, $user->email)], 201);
    }

    public function confirmFactor(CodeRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $codes =
            SecondFactor::confirm($user, $request->code()) ??
            throw InvalidInput::at(
                '/code',
                'This is not the code that is shown now. Is the clock of the authenticator right?',
            );

        return new JsonResponse(['codes' => $codes]);
    }

    /** With a code: a page that was left open is no reason to switch it off. */
    public function endFactor(CodeRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        if (SecondFactor::has($user) && !SecondFactor::passes($user, $request->code())) {
            throw InvalidInput::at('/code', 'This code is wrong, used or too old.');
        }
        SecondFactor::end($user);

        return $this->answer($request, $user);
    }

    public function endDevices(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        SignIns::endOthers($user, SignIns::current($request));

        return $this->answer($request, $user);
    }

    public function record(#[CurrentUser] User $user): FileResponse
    {
        return Download::with(Record::csv($user->crew), 'record.csv', Download::CSV);
    }

    public function invite(InviteRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $link = PersonLinks::invite($user->crew, $request->role(), $user, $request->job());
        $email = Invitations::canSend() ? $request->email() : '';
        $sent = $email !== '' && Invitations::sent($email, $user->crew->name, $link);

        return $this->answer($request, $user, $link, 201, $sent ? $email : '');
    }

    public function revoke(Request $request, #[CurrentUser] User $user, PersonLink $personLink): JsonResponse
    {
        DB::transaction(static fn(): bool => $personLink->update(['used_at' => $personLink->used_at ?? Clock::now()]));

        return $this->answer($request, $user);
    }

    public function reset(Request $request, #[CurrentUser] User $user, User $person): JsonResponse
    {
        return $this->answer($request, $user, PersonLinks::reset($person, $user), 201);
    }

    public function role(RoleRequest $request, #[CurrentUser] User $user, User $person): JsonResponse
    {
        Crews::named($person, $request->role());

        return $this->answer($request, $user);
    }

    public function close(Request $request, #[CurrentUser] User $user, User $person): JsonResponse
    {
        Crews::closed($person, Clock::now());

        return $this->answer($request, $user);
    }

    public function reopen(Request $request, #[CurrentUser] User $user, User $person): JsonResponse
    {
        Crews::closed($person, null);

        return $this->answer($request, $user);
    }

    /**
     * @param  string  $link  that was made now: it is shown this once
     * @param  string  $sent  e-mail address that it was sent to
     */
    private function answer(
        Request $request,
        User $user,
        string $link = '',
        int $status = 200,
        string $sent = '',
    ): JsonResponse {
        return new JsonResponse(PeoplePage::for($user->refresh(), SignIns::current($request), $link, $sent), $status);
    }
}
