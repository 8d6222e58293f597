<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Wires\BoardWires;
use EmberDusk\Plan\Changes\Wires\Wire;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;

/** A pixel board for runs that have none, with its supply cable and data leads. Cost in hundredths of the smallest coin. */
final readonly class PlannedBoard
{
    /**
     * @param  non-empty-list<Run>  $runs
     * @param  int  $warnings  of the checks of boards
     * @param  string|null  $unit  a board of the plan that has outputs left: it costs only its data leads
     */
    public function __construct(
        public array $runs,
        public KitSnapshot $kit,
        public ?string $unit,
        public string $place,
        public ?KitSnapshot $cable,
        public float $metres,
        public ?KitSnapshot $fuse,
        public int $cost,
        public int $joints,
        public int $warnings,
    ) {}

    /** Description with the reason of its size: "Pixel board in B1, supply cable 2 x 0.75 mm2 with a fuse of 5 A". */
    public function words(): string
    {
        if ($this->unit !== null) {
            return 'a free output of ' . strtoupper($this->unit);
        }
        $cable = $this->cable?->entry;

        return $this->kit->entry->name() .
            (Routes::where($this->place) === '' ? '' : " in {$this->place}") .
            ($cable instanceof Cable
                ? ", supply cable {$cable->cores} x {$cable->conductor->label()}{$this->guarded()}"
                : '');
    }

    private function guarded(): string
    {
        $fuse = $this->fuse?->entry;

        return $fuse instanceof Fuse
            ? sprintf(' with a fuse of %g A', $fuse->amps)
            : ', without a fuse: it is thick enough for the supply’s overload';
    }

    /** With its runs: "Line and Shelf: …". */
    public function of(Plan $plan): string
    {
        return implode(' and ', array_map(static fn(Run $r): string => $plan->run($r->id)->name(), $this->runs)) .
            ' on ' .
            $this->words();
    }

    /** @return array<string, mixed> the decisions */
    public function decision(): array
    {
        return [
            'board' => $this->unit ?? $this->kit->entry->id(),
            'cable' => $this->cable?->entry->id(),
            'place' => $this->place,
            'runs' => array_map(static fn(Run $r): string => $r->id, $this->runs),
        ];
    }

    public function wires(): BoardWires
    {
        return new BoardWires(
            kit: $this->unit ?? $this->kit->entry->id(),
            where: Routes::where($this->place),
            runs: array_map(static fn(Run $r): string => $r->id, $this->runs),
            wire: $this->cable === null
                ? null
                : new Wire($this->cable->entry->id(), $this->metres, $this->fuse?->entry->id()),
        );
    }
}
