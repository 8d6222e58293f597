<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Circuit\Load;
use EmberDusk\Circuit\Stretch;

/** A load that takes a multiple of what another takes: several groups as one, or strip of other watts than the one that was planned. */
final readonly class ScaledLoad implements Load
{
    public function __construct(private Load $one, private float $factor) {}

    /** A stretch divided into the given number of large groups; shorter ones are left unchanged. */
    public static function lumps(Stretch $s, int $lumps): Stretch
    {
        if ($s->groups <= $lumps) {
            return $s;
        }

        return new Stretch(
            run: $s->run,
            prefix: $s->prefix,
            first: $s->first,
            groups: $lumps,
            pitch: ($s->pitch * $s->groups) / $lumps,
            plusRail: $s->plusRail,
            returnRail: $s->returnRail,
            loads: array_map(static fn(Load $l): Load => new self($l, $s->groups / $lumps), $s->loads),
            start: $s->start,
            end: $s->end,
            numbers: $s->numbers,
        );
    }

    public function nominalAmps(): float
    {
        return $this->factor * $this->one->nominalAmps();
    }

    public function evaluate(array $volts): array
    {
        [$amps, $slopes] = $this->one->evaluate($volts);

        return [
            array_map(fn(float $a): float => $a * $this->factor, $amps),
            array_map(fn(float $s): float => $s * $this->factor, $slopes),
        ];
    }

    /** None: a circuit with a fault in it is solved, and not written down. */
    public function netlist(string $name, string $plus, string $minus): array
    {
        return [];
    }

    public function modelLine(): ?string
    {
        return null;
    }
}
