<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\Record;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Notes completed acts in the record of the crew; refused ones are no acts. */
final class KeepRecord
{
    public function handle(Request $request, Closure $next): Response
    {
        // Who signs out is known before, who signs in afterwards.
        $before = $request->user();
        $response = $next($request);
        assert($response instanceof Response);
        $user = $before ?? $request->user();
        if ($user instanceof User && $response->getStatusCode() < 400) {
            Record::of($request, $user);
        }

        return $response;
    }
}
