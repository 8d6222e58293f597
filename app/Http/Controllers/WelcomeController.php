<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\WelcomeRequest;
use App\People\PersonLinks;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/** The page that a link of a crew opens: for someone who is invited, or who gets a new password. */
final class WelcomeController
{
    public function show(Request $request, string $personLink, string $secret): AnyResponse
    {
        $link = PersonLinks::find((int) $personLink, $secret);
        if ($link === null) {
            return $this->gone();
        }

        return Inertia::render('Welcome', [
            'url' => route('welcome.store', ['personLink' => $personLink, 'secret' => $secret], false),
            'crew' => $link->crew->name,
            'email' => $link->user->email ?? '',
        ])->toResponse($request);
    }

    public function store(WelcomeRequest $request): RedirectResponse
    {
        $link = $request->link() ?? abort(410);
        /** @var array{password: string, name?: string, email?: string} $given */
        $given = $request->validated();

        return SessionController::welcome($request, PersonLinks::use($link, $given), false);
    }

    private function gone(): Response
    {
        return response()->view(
            'errors.page',
            [
                'title' => 'This link is no longer good',
                'what' =>
                    'It was used, revoked, is older than ' .
                    PersonLinks::DAYS .
                    ' days, or is incomplete. Ask the owner of your crew for a new one.',
            ],
            410,
        );
    }
}
