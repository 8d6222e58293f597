<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Joining\GivenAct;
use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Refusal;

/** An act that was refused, with the reason. */
final readonly class JoinRefused implements View
{
    use WrittenRecord;

    public function __construct(public ?string $client, public string $message, public string $pointer) {}

    public static function for(GivenAct $act, Refusal $refusal): self
    {
        return new self(client: $act->client, message: $refusal->getMessage(), pointer: $refusal->pointer);
    }
}
