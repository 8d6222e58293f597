<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Refuses requests for one person while another is signed in on the device: work that waited for a signal belongs to its author. Checked first, so
 * that a job of another crew is not reported as missing.
 */
final class SentBy
{
    public const HEADER = 'X-Ember-By';

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $by = $request->headers->get(self::HEADER);
        if ($by !== null && $user instanceof User && $by !== (string) $user->id) {
            return new JsonResponse(
                [
                    'message' =>
                        'Another person has signed in on this device. This is sent when the person who did it signs in again.',
                    'pointer' => '',
                ],
                403,
            );
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
