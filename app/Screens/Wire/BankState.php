<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A battery bank at a state of charge. */
final readonly class BankState implements View
{
    use WrittenRecord;

    public function __construct(
        public string $state,
        public Figure $volts,
        public ?Figure $amps,
        public ?Figure $darkest,
    ) {}
}
