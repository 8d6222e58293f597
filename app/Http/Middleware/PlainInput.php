<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Refuses values that no request field may hold, with their place: infinite numbers (1e999), text that is not UTF-8 or has control characters, and
 * excessive nesting.
 */
final class PlainInput
{
    private const DEEPEST = 24;

    /** Bytes of JSON that a request has at most: far more than any change, far less than what fills the memory once it is read. Files come another way. */
    private const LARGEST = 1_000_000;

    /** Bytes of the longest address; the stages name up to 200 runs that are shown large. */
    private const LONGEST = 12_000;

    public function handle(Request $request, Closure $next): Response
    {
        if (strlen($request->getRequestUri()) > self::LONGEST) {
            return new JsonResponse(['message' => 'The address is too long.', 'pointer' => ''], 414);
        }
        if ($request->isJson() && strlen($request->getContent()) > self::LARGEST) {
            return new JsonResponse(
                [
                    'message' => sprintf(
                        'The request has %.1f MB; at most %d MB are accepted. Nothing was saved.',
                        strlen($request->getContent()) / 1e6,
                        intdiv(self::LARGEST, 1_000_000),
                    ),
                    'pointer' => '',
                ],
                413,
            );
        }
        $wrong =
            self::wrong(
                $request->request->all() + $request->query->all() + ($request->isJson() ? $request->json()->all() : []),
                '',
                0,
            ) ??
            (self::plain(rawurldecode($request->getPathInfo()))
                ? null
                : ['', 'The address has characters that are not allowed.']);
        if ($wrong !== null) {
            return new JsonResponse(['message' => $wrong[1], 'pointer' => $wrong[0]], 422);
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array{string, string}|null JSON Pointer and message
     */
    private static function wrong(array $values, string $pointer, int $depth): ?array
    {
        foreach ($values as $key => $value) {
            $key = (string) $key;
            if (!self::plain($key)) {
                return [$pointer, 'A field name has characters that are not allowed.'];
            }
            $at = "{$pointer}/{$key}";
            $found = match (true) {
                is_float($value) && !is_finite($value) => [$at, 'A finite number was expected.'],
                is_string($value) && !self::plain($value) => [
                    $at,
                    'The text is not UTF-8, or contains control characters. Type it again.',
                ],
                is_array($value) && $depth >= self::DEEPEST => [$at, 'The request is nested too deeply.'],
                is_array($value) => self::wrong($value, $at, $depth + 1),
                default => null,
            };
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** UTF-8 without control characters but tabs and ends of lines. */
    private static function plain(string $text): bool
    {
        return preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $text) === 0 && mb_check_encoding($text, 'UTF-8');
    }
}
