<?php

declare(strict_types=1);

namespace App\Papers;

use Illuminate\Http\Response;

/** A file that the browser keeps. */
final readonly class Download
{
    public const CSV = 'text/csv; charset=utf-8';

    public const JSON = 'application/json';

    public static function with(string $text, string $name, string $type): Response
    {
        return new Response($text, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}
