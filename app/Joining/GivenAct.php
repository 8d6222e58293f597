<?php

declare(strict_types=1);

namespace App\Joining;

/** Something that was done or answered on a device, with the device's own time for it. */
final readonly class GivenAct
{
    /**
     * @param  string|null  $client  the name that the device gave it, so that one sent twice is one
     * @param  float|null  $wall  the server's wall clock in seconds, as the device has measured it; null: now
     */
    public function __construct(
        public string $kind,
        public string $device,
        public string $text,
        public string $room,
        public ?string $client,
        public ?float $wall,
    ) {}
}
