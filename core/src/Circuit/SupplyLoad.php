<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Supply;
use EmberDusk\Kit\Thing;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/**
 * Load of a supply: the label load of its parts (each zone of a run on its own supply, within a set limit), or the current where that is higher, as
 * when two supplies share unequally. Watts, amps.
 */
final readonly class SupplyLoad
{
    public float $nominalWatts;

    /** @param  array<string, float>  $parts  watts on the labels, by run and by fitting */
    private function __construct(
        public string $id,
        public ?Supply $supply,
        public array $parts,
        private ?SupplyResult $flows,
    ) {
        $this->nominalWatts = array_sum($parts);
    }

    /** @param  array<string, array<string, float>>|null  $parts  as {@see parts()} says, where that is known */
    public static function for(Plan $plan, string $id, ?SupplyResult $flows = null, ?array $parts = null): self
    {
        return new self($id, $plan->supply($id), ($parts ?? self::parts($plan))[$id] ?? [], $flows);
    }

    /** @return array<string, array<string, float>> watts on the labels by supply, then by run and by fitting */
    public static function parts(Plan $plan): array
    {
        $parts = [];
        foreach ($plan->runs as $of => $run) {
            foreach (self::zones($plan, $run) as $supply => $watts) {
                if ($watts > 0) {
                    $parts[$supply][$of] = $watts;
                }
            }
        }
        foreach ($plan->fixtures as $of => $fitting) {
            $supply = $plan->ways()->root($plan->ways()->cableTo($of)->from ?? '');
            if ($supply !== null) {
                $parts[$supply][$of] = $fitting->count * ($plan->fixture($fitting->kit)->watts ?? 0.0);
            }
        }

        // LED modules count with their maximum number.
        foreach ($plan->items as $of => $item) {
            $kit = $plan->kit[$item->kit] ?? null;
            if (
                $kit?->entry instanceof Thing &&
                $kit->entry->kind === 'rearranged' &&
                isset($plan->supplies[$item->on ?? ''])
            ) {
                $parts[(string) $item->on][$of] = $item->count * $kit->entry->values->number('watts');
            }
        }

        return $parts;
    }

    public function amps(): float
    {
        return max($this->labelled(), $this->flows->amps ?? 0.0);
    }

    public function watts(): float
    {
        return $this->amps() * ($this->supply->volts ?? 0.0);
    }

    /** Of the rating. */
    public function share(): float
    {
        return $this->amps() / ($this->supply->ratedAmps ?? INF);
    }

    /** The load as a share of the rating with its working: one number for every screen. */
    public function figure(): Figure
    {
        $flows = $this->flows->amps ?? 0.0;
        $rated = $this->supply->ratedAmps ?? INF;
        $label = strtoupper($this->id) . ' load';
        if ($flows > $this->labelled()) {
            return new Figure(
                label: $label,
                value: 100 * $this->share(),
                unit: '%',
                decimals: 0,
                formula: '100 * I / Ir',
                inputs: [
                    new Input('I', 'amps that flow', $flows, 'A', path: "solver.supplies.{$this->id}.amps"),
                    new Input('Ir', 'rated amps', $rated, 'A', path: "shelf.{$this->id}.ratedAmps"),
                ],
                assumption: RunFigures::SOLVED,
            );
        }

        $inputs = [];
        foreach ($this->parts as $of => $watts) {
            $inputs[] = new Input(
                'P' . (count($inputs) + 1),
                "on the label of {$of}",
                $watts,
                'W',
                path: "labels.{$of}",
            );
        }
        $sum = Input::sum($inputs);

        return new Figure(
            label: $label,
            value: 100 * $this->share(),
            unit: '%',
            decimals: 0,
            formula: "100 * ({$sum}) / (V * Ir)",
            inputs: [
                ...$inputs,
                new Input('V', 'volts by its name', $this->supply->volts ?? 0.0, 'V', path: "shelf.{$this->id}.volts"),
                new Input('Ir', 'rated amps', $rated, 'A', path: "shelf.{$this->id}.ratedAmps"),
            ],
            assumption: 'Nominal: as labelled, before voltage drop, within set limits.',
            source: 'common practice, no source',
        );
    }

    private function labelled(): float
    {
        return $this->nominalWatts / ($this->supply->volts ?? INF);
    }

    /**
     * Nominal watts of a run by the supply that they come from. A stretch between two cuts that several supplies feed
     * counts in full for each of them: which gives how much only the solver can tell.
     *
     * @return array<string, float>
     */
    public static function zones(Plan $plan, Run $run): array
    {
        $marks = $plan->of($run)->cutMarks();
        $watts = ($plan->strip($run->strip)?->wattsPerMetre() ?? 0.0) * ($marks?->length() ?? 0.0) * $run->cap;
        $supplies = $plan->ways()->suppliesOf($run);
        if ($marks === null || count($supplies) < 2) {
            return array_fill_keys($supplies, $watts);
        }
        $cuts = [...$run->zones, $marks->lastPad() + 1];
        sort($cuts);
        $by = [];
        $from = 0;
        foreach ($cuts as $to) {
            $metres = $marks->position(min($to, $marks->lastPad())) - $marks->position($from);
            $of = [];
            foreach ($plan->ways()->feedsOf($run) as $feed) {
                if ($feed->pad >= $from && $feed->pad < $to) {
                    $of += array_fill_keys(
                        [$plan->ways()->root($plan->ways()->cableTo($feed->id)->from ?? '') ?? $run->supply],
                        true,
                    );
                }
            }
            foreach (array_keys($of) as $id) {
                $by[$id] = ($by[$id] ?? 0.0) + ($watts * $metres) / $marks->length();
            }
            $from = $to;
        }

        return $by;
    }
}
