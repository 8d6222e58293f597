<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\SignIns;
use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Signs out at the next request the person who has left, and the person who has signed out while a request was still running. */
final class OpenAccount
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ($user->closed_at !== null || SignIns::ended($request))) {
            Auth::forgetUser();
            $request->session()->invalidate();

            throw new AuthenticationException(redirectTo: route('sign-in'));
        }
        if ($user instanceof User) {
            SignIns::begin($request, $user);
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
