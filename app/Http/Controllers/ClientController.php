<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ClientLink;
use App\Models\Job;
use App\Models\User;
use App\Papers\ClientLinks;
use App\Papers\JobSheet;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a client reads behind a signed link, without an account: it changes nothing. */
final readonly class ClientController
{
    public function __construct(private ClientLinks $links, private JobSheet $sheet) {}

    public function show(Request $request, string $clientLink): Response
    {
        $link = null;
        if ($request->hasValidSignature(absolute: false)) {
            $link = ClientLink::query()->find((int) $clientLink);
        }
        if ($link === null || !$this->links->good($link)) {
            return response()->view('client-gone', status: 410);
        }

        return response()->view('client', ['sheet' => $this->sheet->of($link->job)]);
    }

    public function make(Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $this->links->make($job, $user);

        return new JsonResponse(['links' => $this->links->of($job)], 201);
    }

    public function revoke(Job $job, ClientLink $clientLink): JsonResponse
    {
        $this->links->revoke($clientLink);

        return new JsonResponse(['links' => $this->links->of($job)]);
    }
}
