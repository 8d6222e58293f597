<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** An act that was refused, with the reason. */
final readonly class JoinRefused implements View
{
    use WrittenRecord;

    public function __construct(public ?string $client, public string $message, public string $pointer) {}
}
