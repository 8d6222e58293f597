<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\Permission;
use App\Time\Clock;
use Illuminate\Http\Request;
use Inertia\Middleware;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        $user = $request->user();

        return [
            ...parent::share($request),
            'now' => Clock::milliseconds(),
            'zone' => Clock::zone(),
            'user' =>
                $user === null
                    ? null
                    : [
                        'id' => $user->id,
                        'name' => $user->name,
                        'crew' => $user->crew->name,
                        'plans' => $user->role->may(Permission::Plan),
                    ],
        ];
    }
}
