<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Fields;

/**
 * A battery block: volts by its name, ampere-hours, ohm inside. A bank of 12 V is at 11.0, 12.6 and 14.4 V
 * (docs/model.md 4, common practice, no source); other banks in proportion, others than lead as their entry says.
 */
final readonly class BatteryBlock implements Powers
{
    /** Ohm of a 12 V row where the instructions are silent (common practice, no source). */
    private const OHMS = 0.008;

    /** Hours of the current that a bank keeps up without harm (common practice, no source). */
    private const HOURS = 5.0;

    /** Share of the ampere-hours that may be taken, where the entry gives none (common practice, no source). */
    private const LEAD_USABLE = 0.5;

    private const LITHIUM_USABLE = 0.8;

    /** Share lost in a month automatically: 4 % of a lead-acid block (from memory), taken for all. */
    private const MONTHLY = 0.04;

    /** Times that current before its volts give way. */
    private const SHORT = 20.0;

    private function __construct(
        private string $id,
        private string $name,
        public float $volts,
        public float $ampHours,
        private float $ohms,
        public float $lowest,
        public float $rest,
        public float $charging,
        public bool $lead,
        public bool $protected,
        public float $usable,
        public float $selfDischarge,
        public BatteryTerminal $terminal,
    ) {}

    public static function read(Fields $f): self
    {
        $volts = $f->number('volts', 1, 60);
        $own = array_map(static fn(string $key): ?float => $f->numberOrNull($key, 1, 20), [
            'lowest' => 'lowestVolts',
            'nominal' => 'restVolts',
            'charging' => 'fullVolts',
        ]);
        $lead = array_filter($own, static fn(?float $v): bool => $v !== null) === [];
        $at = array_map(static fn(float $twelve): float => ($twelve / Bank::OF) * $volts, Bank::TWELVE);
        foreach ($own as $state => $given) {
            $at[$state] = $given ?? ($lead ? $at[$state] : $volts);
        }
        if ($at['lowest'] > $at['nominal'] || $at['nominal'] > $at['charging']) {
            throw $f->invalid('restVolts', 'The volts must rise from empty to at rest to on charge.');
        }

        return new self(
            id: $f->string('id'),
            name: $f->string('name'),
            volts: $volts,
            ampHours: $f->number('ampHours', 0.5, 5000),
            ohms: $f->numberOr('sourceOhms', (self::OHMS * $volts) / 12, 0.0001, 10),
            lowest: $at['lowest'],
            rest: $at['nominal'],
            charging: $at['charging'],
            lead: $lead,
            protected: $f->has('protected') && $f->flag('protected'),
            usable: $f->numberOr('usable', $lead ? self::LEAD_USABLE : self::LITHIUM_USABLE, 0.1, 1),
            selfDischarge: $f->numberOr('selfDischarge', self::MONTHLY, 0, 0.5),
            terminal: BatteryTerminal::tryFrom($f->stringOrNull('terminal') ?? '') ?? BatteryTerminal::Posts,
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function supply(int $series, int $parallel): Supply
    {
        $named = $series * $this->volts;
        $rated = ($this->ampHours * $parallel) / self::HOURS;

        return new Supply(
            id: $this->id,
            name: ($series > 1 ? "{$series} of " : '') . $this->name,
            volts: $named,
            ratedAmps: $rated,
            sourceOhms: max(0.001, ($this->ohms * $series) / $parallel),
            limitAmps: self::SHORT * $rated,
            overloadAmps: self::SHORT * $rated,
            emf: $this->rest * $series,
            lowest: $this->lowest * $series,
            charging: $this->charging * $series,
            ampHours: $this->ampHours * $parallel,
        );
    }
}
