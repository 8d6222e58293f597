<?php

declare(strict_types=1);

namespace App\Joining;

use EmberDusk\Values\Refusal;

/** An act that was not taken: which one, and why. */
final readonly class Refused
{
    /** @return array{client: string|null, message: string, pointer: string} as in app/Screens/Join/join.json, $defs/joinRefused */
    public static function for(GivenAct $act, Refusal $refusal): array
    {
        return ['client' => $act->client, 'message' => $refusal->getMessage(), 'pointer' => $refusal->pointer];
    }
}
