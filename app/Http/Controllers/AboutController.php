<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Licences\Licences;
use App\Papers\Download;
use App\Screens\About\AboutView;
use App\Screens\About\PackageView;
use App\Version;
use Illuminate\Http\Response as FileResponse;
use Inertia\Inertia;
use Inertia\Response;

/** What runs here, and under which licences. */
final class AboutController
{
    public function show(): Response
    {
        return Inertia::render('About', [
            'about' => new AboutView(
                version: Version::text(),
                packages: array_map(
                    static fn(array $p): PackageView => new PackageView($p['name'], $p['version'], $p['licence']),
                    Licences::shipped(),
                ),
            ),
        ]);
    }

    public function texts(): FileResponse
    {
        return Download::with(Licences::texts(), 'licences.txt', 'text/plain; charset=utf-8');
    }
}
