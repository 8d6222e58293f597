<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Kit\Dimmer;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;

/** The control line of a dimming module, a 0-10 V pair or a DALI bus, with a cable to each group of fixtures. */
final readonly class ControlLine
{
    /** Milliamps of one DALI device (IEC 62386, from memory). */
    public const DALI_EACH = 2.0;

    /** Milliamps that a DALI bus may be supplied with (IEC 62386, from memory). */
    public const DALI_MOST = 250.0;

    /** Milliamps of one 0-10 V fixture's control input (common practice, no source). */
    public const ANALOG_EACH = 1.0;

    /**
     * @param  string  $method  of Dimmer::BY_LINE
     * @param  non-empty-array<string, Fitting>  $fixtures  by id
     */
    private function __construct(
        private Plan $plan,
        private Dimmer $dimmer,
        public string $method,
        public array $fixtures,
    ) {}

    /** Null for a module without fixtures or without a control line. */
    public static function of(Plan $plan, string $module): ?self
    {
        $dimmer = $plan->module($module);
        $fixtures = array_filter($plan->fixtures, static fn(Fitting $f): bool => $f->module === $module);
        if ($dimmer === null || $fixtures === []) {
            return null;
        }
        $method = self::method($plan, $module);

        return in_array($method, Dimmer::BY_LINE, true) ? new self($plan, $dimmer, $method, $fixtures) : null;
    }

    /** Dimming method in use: that of the first of its fixtures that the module can dim; else its own. */
    public static function method(Plan $plan, string $module): string
    {
        $dimmer = $plan->module($module);
        foreach ($plan->fixtures as $fitting) {
            $dim = $plan->fixture($fitting->kit)?->dim;
            if ($dim !== null && $fitting->module === $module && $dimmer?->dims($dim) === true) {
                return $dim;
            }
        }

        return $dimmer?->methods()[0] ?? '';
    }

    public function cableTo(string $fixture): ?LaidCable
    {
        $cable = $this->plan->ways()->cableTo($fixture);

        return $cable !== null && $cable->from === $this->fixtures[$fixture]->module ? $cable : null;
    }

    /** Metres of all its cables. */
    public function metres(): float
    {
        return array_sum(
            array_map(fn(string $id): float => $this->cableTo($id)->length ?? 0.0, array_keys($this->fixtures)),
        );
    }

    /**
     * Volts lost on the way to fixtures, there and back, by so many ohms of one core. A DALI device that answers draws all that the bus is supplied
     * with; 0-10 V inputs send their milliamps all the time.
     */
    public function drop(string $fixture, float $core): float
    {
        $milliamps =
            $this->method === Dimmer::DIMS['dali']
                ? min($this->dimmer->milliamps, self::DALI_MOST)
                : $this->fixtures[$fixture]->count * self::ANALOG_EACH;

        return (2 * $core * $milliamps) / 1000;
    }

    /** Addresses of DALI fixtures as text, in the order of their ids: "addresses 0 to 4, group 0". Empty for other lines. */
    public function addresses(string $fixture): string
    {
        if ($this->method !== Dimmer::DIMS['dali']) {
            return '';
        }
        $first = 0;
        foreach (array_keys($this->fixtures) as $group => $id) {
            $last = $first + $this->fixtures[$id]->count - 1;
            if ($id === $fixture) {
                return ($last > $first ? "addresses {$first} to {$last}" : "address {$first}") . ", group {$group}";
            }
            $first = $last + 1;
        }

        return '';
    }
}
