<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;

/** Capability of an entry compared with the demand of this run, in one unit: watts, metres or amps. */
final readonly class Gauge
{
    private function __construct(public float $offers, public float $asks, public string $unit, public string $words) {}

    /** Null if there is nothing to compare with yet. */
    public static function for(Plan $plan, Run $run, Entry $entry): ?self
    {
        $strip = $plan->strip($run->strip);
        $metres = $plan->of($run)->cutMarks()?->length() ?? $run->length();
        $supply = $plan->supply($run->supply);

        return match (true) {
            $entry instanceof Strip && $supply !== null => new self(
                $supply->ratedWatts() * $plan->limits->usable(),
                $entry->wattsPerMetre() * $run->length(),
                'W',
                '%s usable; %s for the strip',
            ),
            $entry instanceof Supply && $strip !== null => new self(
                $entry->ratedWatts(),
                $plan->limits->rating($strip->wattsPerMetre() * $metres),
                'W',
                '%s rated; %s needed',
            ),
            $entry instanceof Controller && $strip !== null => new self(
                ControllerAmps::metres($strip, $entry),
                $metres,
                'm',
                '%s of this strip; %s needed',
            ),
            $entry instanceof Cable && $supply !== null && $entry->conductor->capacity !== null => new self(
                $entry->conductor->capacity,
                $supply->overloadAmps,
                'A',
                '%s rated; %s in overload',
            ),
            default => null,
        };
    }

    /** @return array{int, float} sufficient entries first, the smallest first */
    public function rank(): array
    {
        return [(int) ($this->offers < $this->asks - 1e-9), $this->offers];
    }

    public function write(): GaugeView
    {
        $text = static fn(float $v): string => Figure::print($v, (int) ($v < 100));

        return new GaugeView(
            offers: $this->offers,
            asks: $this->asks,
            enough: $this->offers >= $this->asks - 1e-9,
            text: sprintf($this->words, "{$text($this->offers)} {$this->unit}", "{$text($this->asks)} {$this->unit}"),
        );
    }
}
