<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A device on which a person is signed in. */
final readonly class DeviceView implements View
{
    use WrittenRecord;

    /** @param  string  $since  YYYY-MM-DD HH:MM */
    public function __construct(public string $device, public string $since, public bool $here) {}
}
