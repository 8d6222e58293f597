<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Upkeep\Health;
use Illuminate\Http\Response;

/** Health of the installation as plain text: “ok”, or its troubles with status 503. */
final readonly class HealthController
{
    public function __invoke(): Response
    {
        $troubles = Health::configured()->troubles();

        return response($troubles === [] ? "ok\n" : implode("\n", $troubles) . "\n", $troubles === [] ? 200 : 503, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Cache-Control' => 'no-store',
        ]);
    }
}
