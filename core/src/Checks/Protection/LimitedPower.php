<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Kit\Supply;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/**
 * Whether a supply's output is a limited power source by NEC chapter 9 table 11(B) (from memory): on its nameplate up to 20 V d.c. 5 A and 5 x V
 * volt-amperes, from 20 to 60 V 100 volt-amperes and 100 / V A; in overload, separately, 250 volt-amperes and 1000 / V A. Shown as information,
 * never claimed as compliance.
 */
final readonly class LimitedPower
{
    private const OVERLOAD_VA = 250.0;

    public function __construct(private Supply $supply) {}

    /** Volt-amperes that may be on the nameplate of an output of so many volts; 0 above 60 V. */
    public static function plate(float $volts): float
    {
        return match (true) {
            $volts <= 20.0 => 5.0 * $volts,
            $volts <= 60.0 => 100.0,
            default => 0.0,
        };
    }

    /** Amps that an output of so many volts may keep up: of 250 VA and 1000 / V A the first is always the less. */
    public static function overload(float $volts): float
    {
        return self::OVERLOAD_VA / $volts;
    }

    public function inside(): bool
    {
        // Volt-amperes on the nameplate count; its amps are then rounded from them.
        $plate = $this->supply->plateVa ?? $this->supply->ratedWatts();

        return $plate <= self::plate($this->supply->volts) + 1e-9 &&
            $this->supply->overloadAmps <= self::overload($this->supply->volts) + 1e-9;
    }

    /** Volt-amperes of a supply's nameplate, with limited power in its working. */
    public static function figure(string $id, Supply $supply): Figure
    {
        $stated = $supply->plateVa !== null;

        return new Figure(
            label: strtoupper($id) . ' nameplate',
            value: $supply->plateVa ?? $supply->ratedWatts(),
            unit: 'VA',
            decimals: 0,
            formula: $stated ? 'P' : 'V * I',
            inputs: $stated
                ? [new Input('P', 'on its nameplate', $supply->plateVa, 'VA', path: "shelf.{$id}.plateVa")]
                : [
                    new Input('V', 'volts by its name', $supply->volts, 'V', path: "shelf.{$id}.volts"),
                    new Input('I', 'rated amps', $supply->ratedAmps, 'A', path: "shelf.{$id}.ratedAmps"),
                ],
            assumption: (new self($supply))->words(),
            source: 'NEC chapter 9 table 11(B), from memory',
        );
    }

    public function words(): string
    {
        return sprintf(
            'On its plate %.0f VA of at most %.0f VA, keeps up %.1f A%s of at most %.1f A at %g V (NEC chapter 9 table 11(B), ' .
                'from memory): %s limited power. Local codes decide what follows from it.',
            $this->supply->plateVa ?? $this->supply->ratedWatts(),
            self::plate($this->supply->volts),
            $this->supply->overloadAmps,
            $this->supply->overloadStated ? '' : ' as is assumed',
            self::overload($this->supply->volts),
            $this->supply->volts,
            $this->inside() ? 'inside' : 'outside',
        );
    }
}
