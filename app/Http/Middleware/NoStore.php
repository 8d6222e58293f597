<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets no browser keep a page or an answer: going back asks the server again, which shows the newest state, or nothing after sign-out. */
final class NoStore
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        assert($response instanceof Response);
        $type = (string) $response->headers->get('Content-Type', 'text/html');
        if (str_starts_with($type, 'text/html') || str_starts_with($type, 'application/json')) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
