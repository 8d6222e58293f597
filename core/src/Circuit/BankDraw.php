<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/**
 * Input of a converter: its output watts over its efficiency, through the bank's resistance and both cores of its cable: U I - R I^2 = P, the
 * smaller root. Other loads on the bank, at the watts of their labels, lower the volts at its posts. Volts, amps, watts, ohms.
 */
final readonly class BankDraw
{
    /** Rounds in which the volts at the posts settle; each is below the one before. */
    private const ROUNDS = 500;

    /** @param  list<array{float, float}>  $beside  ohms of both cores and watts at the input of other converters on the bank */
    private function __construct(
        public string $bank,
        public LaidCable $cable,
        public float $given,
        public float $efficiency,
        public float $bankOhms,
        public float $coreOhms,
        private string $converter,
        private array $beside,
        private float $straight,
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
            beside: self::beside($plan, $bank, $converter),
            straight: SupplyLoad::for($plan, $bank)->amps(),
        );
    }

    /** @return list<array{float, float}> */
    private static function beside(Plan $plan, string $bank, string $converter): array
    {
        $loads = [];
        foreach ($plan->supplies as $id => $unit) {
            $entry = $plan->converter($id);
            $cable = $plan->ways()->cableTo($id);
            if ($unit->bank === $bank && $id !== $converter && $entry !== null && $cable !== null) {
                $loads[] = [2 * $plan->ways()->core($cable), SupplyLoad::for($plan, $id)->watts() / $entry->efficiency];
            }
        }

        return $loads;
    }

    /** Watts at its input. */
    public function watts(): float
    {
        return $this->given / $this->efficiency;
    }

    /** Amps from the bank at so many volts; null where it cannot give the watts at all. */
    public function amps(float $volts): ?float
    {
        $others = $this->others($volts);

        return $others === null
            ? null
            : self::drawn($volts - $this->bankOhms * $others, $this->bankOhms + 2 * $this->coreOhms, $this->watts());
    }

    /** Amps of the other loads on the bank at so many volts; null where it cannot give the watts of all. */
    private function others(float $volts): ?float
    {
        if ($this->beside === []) {
            return $this->straight;
        }
        $posts = $volts;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $others = $this->straight;
            foreach ($this->beside as [$ohms, $watts]) {
                $others += self::drawn($posts, $ohms, $watts) ?? INF;
            }
            $own = self::drawn($posts, 2 * $this->coreOhms, $this->watts()) ?? INF;
            $next = $volts - $this->bankOhms * ($others + $own);
            if ($next <= 0) {
                return null;
            }
            if (abs($next - $posts) < 1e-9) {
                return $others;
            }
            $posts = $next;
        }

        return null;
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

        return $volts -
            $this->bankOhms * ($this->others($volts) ?? 0.0) -
            ($this->bankOhms + 2 * $this->coreOhms) * $amps;
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
        $others = $gives ? $this->others($volts) ?? 0.0 : 0.0;
        $posts = $others > 0 ? '(U - Rs * Io)' : 'U';

        return new Figure(
            label: "{$converter} draws",
            value: $this->needs($volts),
            unit: 'A',
            decimals: 2,
            formula: $gives
                ? "(2 * P / e) / ({$posts} + sqrt({$posts} * {$posts} - 4 * (Rs + 2 * R) * P / e))"
                : 'P / e / U',
            inputs: [
                new Input('P', "given by {$converter}", $this->given, 'W', path: "solver.supplies.{$this->converter}"),
                new Input('e', 'efficiency', $this->efficiency, '', path: "shelf.{$this->converter}.efficiency"),
                new Input('U', 'of the bank', $volts, 'V', path: "shelf.{$this->bank}: its volts then"),
                ...$others > 0
                    ? [
                        new Input(
                            'Io',
                            'to its other loads',
                            $others,
                            'A',
                            path: "solver: other loads on {$this->bank}",
                        ),
                    ]
                    : [],
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
