<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/**
 * Input of a converter: its output watts over its efficiency, through the bank's resistance and both cores of its cable: U I - R I^2 = P, the
 * smaller root. Volts, amps, watts, ohms.
 */
final readonly class BankDraw
{
    private function __construct(
        public string $bank,
        public LaidCable $cable,
        public float $given,
        public float $efficiency,
        public float $bankOhms,
        public float $coreOhms,
        private string $converter,
    ) {}

    /**
     * Null while no cable leads from a bank to it.
     *
     * @param  float  $given  watts at its output
     */
    public static function for(Plan $plan, string $converter, float $given): ?self
    {
        $entry = $plan->converter($converter);
        $bank = $plan->supplies[$converter]->bank ?? null;
        $cable = $plan->ways()->cableTo($converter);
        if ($entry === null || $bank === null || $cable === null) {
            return null;
        }

        return new self(
            bank: $bank,
            cable: $cable,
            given: $given,
            efficiency: $entry->efficiency,
            bankOhms: $plan->supply($bank)->sourceOhms ?? 0.0,
            coreOhms: $plan->ways()->core($cable),
            converter: $converter,
        );
    }

    /** Watts at its input. */
    public function watts(): float
    {
        return $this->given / $this->efficiency;
    }

    /** Amps from the bank at so many volts; null where it cannot give the watts at all. */
    public function amps(float $volts): ?float
    {
        return self::drawn($volts, $this->bankOhms + 2 * $this->coreOhms, $this->watts());
    }

    /** Amps that bring so many watts through so many ohms; null where that many volts cannot. */
    public static function drawn(float $volts, float $ohms, float $watts): ?float
    {
        $square = $volts ** 2 - 4 * $ohms * $watts;

        return $square < 0 ? null : (2 * $watts) / ($volts + sqrt($square));
    }

    /** Amps from the bank at so many volts; if the bank cannot give the watts, the amps without any resistance. */
    public function needs(float $volts): float
    {
        return $this->amps($volts) ?? $this->watts() / max(0.1, $volts);
    }

    /** Volts that arrive at its input; null where it cannot give the watts. */
    public function arrives(float $volts): ?float
    {
        $amps = $this->amps($volts);

        if ($amps === null) {
            return null;
        }

        return $volts - ($this->bankOhms + 2 * $this->coreOhms) * $amps;
    }

    /** Cable current at the given bank volts. */
    public function result(float $volts): CableResult
    {
        $amps = $this->needs($volts);

        return new CableResult(
            id: $this->cable->id,
            outAmps: $amps,
            backAmps: $amps,
            drop: 2 * $amps * $this->coreOhms,
            openAmps: $amps,
            coreOhms: $this->coreOhms,
            cores: $amps,
            when: 'lowest',
        );
    }

    public function figure(float $volts): Figure
    {
        $converter = strtoupper($this->converter);
        $gives = $this->amps($volts) !== null;

        return new Figure(
            label: "{$converter} draws",
            value: $this->needs($volts),
            unit: 'A',
            decimals: 2,
            formula: $gives ? '(2 * P / e) / (U + sqrt(U * U - 4 * (Rs + 2 * R) * P / e))' : 'P / e / U',
            inputs: [
                new Input('P', "given by {$converter}", $this->given, 'W', path: "solver.supplies.{$this->converter}"),
                new Input('e', 'efficiency', $this->efficiency, '', path: "shelf.{$this->converter}.efficiency"),
                new Input('U', 'of the bank', $volts, 'V', path: "shelf.{$this->bank}: its volts then"),
                new Input('Rs', 'inside the bank', $this->bankOhms, 'ohm', path: "shelf.{$this->bank}.sourceOhms"),
                new Input(
                    'R',
                    'of a core of its cable, joints with it',
                    $this->coreOhms,
                    'ohm',
                    path: "plan.cables.{$this->cable->id}",
                ),
            ],
            assumption: 'A converter takes the same watts at any volts: the emptier the bank, the more amps.' .
                ($gives ? '' : ' The bank cannot give that much: so much would flow if nothing had resistance.'),
            source: 'common practice, no source',
        );
    }
}
