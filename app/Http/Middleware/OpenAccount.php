<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whoever has left is signed out at the next request. */
final class OpenAccount
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $user->closed_at !== null) {
            Auth::forgetUser();
            $request->session()->invalidate();

            throw new AuthenticationException(redirectTo: route('sign-in'));
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
