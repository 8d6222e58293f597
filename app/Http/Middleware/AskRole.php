<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\RoutePermissions;
use Closure;
use EmberDusk\Values\JobStage;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets a signed-in person do what their role may. Whether the job is the crew's is the policies' question. */
final class AskRole
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $stage = $request->route('stage') ?? $request->query('stage');
        $needs = RoutePermissions::for(
            (string) $request->route()?->getName(),
            // A route's parameter is a stage once it is bound.
            $stage instanceof JobStage ? $stage : JobStage::tryFrom(is_string($stage) ? $stage : ''),
        );
        if ($user instanceof User && ($needs === null || !$user->role->may($needs))) {
            abort(
                403,
                'Your role in the crew does not include this. The owner of the crew can change it under People.',
            );
        }
        $response = $next($request);
        assert($response instanceof Response);

        return $response;
    }
}
