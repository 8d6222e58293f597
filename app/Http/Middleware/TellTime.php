<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Time\Clock;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Every answer carries the server's time. The page measures its own clock by it, and knows by it that the answer is ours:
 * one without comes from something in between (a proxy, the sign-in page of a hotspot).
 */
final class TellTime
{
    public const HEADER = 'X-Ember-Now';

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        assert($response instanceof Response);
        $response->headers->set(self::HEADER, (string) Clock::milliseconds());

        return $response;
    }
}
