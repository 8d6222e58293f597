<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ClientLink;
use App\Models\Job;
use App\Models\User;
use App\Papers\ClientLinks;
use App\Papers\JobSheet;
use App\Screens\Handover\ClientLinksView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The page that a client reads through a link, without an account. It changes nothing. */
final readonly class ClientController
{
    public function __construct(private ClientLinks $links, private JobSheet $sheet) {}

    public function show(Request $request, string $clientLink, string $secret = ''): Response
    {
        $link = $this->links->find($request, (int) $clientLink, $secret);
        if ($link === null) {
            return response()->view('client-gone', status: 410);
        }

        return response()->view('client', ['sheet' => $this->sheet->for($link->job)->write()]);
    }

    public function make(Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $this->links->make($job, $user);

        return new JsonResponse(new ClientLinksView(links: $this->links->for($job)), 201);
    }

    public function revoke(Job $job, ClientLink $clientLink): JsonResponse
    {
        $this->links->revoke($clientLink);

        return new JsonResponse(new ClientLinksView(links: $this->links->for($job)));
    }
}
