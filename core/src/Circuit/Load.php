<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Current of one group of one channel as a function of its volts. Monotone: more volts, no less current. */
interface Load
{
    /** Amps at nominal volts. */
    public function nominalAmps(): float;

    /**
     * Amps and their slope (amps per volt) at each of the voltages.
     *
     * @param  list<float>  $volts
     * @return array{list<float>, list<float>}
     */
    public function evaluate(array $volts): array;

    /**
     * SPICE lines of one such load; any node inside is called x_ and the name.
     *
     * @return list<string>
     */
    public function netlist(string $name, string $plus, string $minus): array;

    /** The .model line that those lines need; null when they need none. */
    public function modelLine(): ?string;
}
