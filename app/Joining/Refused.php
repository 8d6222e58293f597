<?php

declare(strict_types=1);

namespace App\Joining;

use App\Screens\Join\JoinRefused;
use EmberDusk\Values\Refusal;

/** An act that was not taken: which one, and why. */
final readonly class Refused
{
    public static function for(GivenAct $act, Refusal $refusal): JoinRefused
    {
        return new JoinRefused(client: $act->client, message: $refusal->getMessage(), pointer: $refusal->pointer);
    }
}
