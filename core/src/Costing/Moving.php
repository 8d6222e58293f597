<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Kit\Connector;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Parts\FirstForPurpose;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\RunUnits;
use EmberDusk\Rates\UnitCosts;
use EmberDusk\Rates\Work;

/**
 * Additive cost of the kit and wiring of some runs, line by line: units, cable by 0.1 m, fuses, and every unrounded minute of fixing, joining,
 * laying, joints and tests at the job's rate. The cost of two choices is their sum. Whole reels, spares, the client's own kit, mark-up and tax
 * belong to the quote.
 */
final class Moving
{
    private const WORKS = 'work-';

    /** @var array<string, MovingLine> by shelf id or kind of work */
    private array $lines = [];

    private readonly UnitCosts $costs;

    private int $joints = 0;

    private int $units = 0;

    /** @var array<string, true> */
    private array $boxes = [];

    private function __construct(private readonly Plan $plan, Basis $basis)
    {
        $this->costs = new UnitCosts($plan->terms, $basis->crew);
    }

    /** @param  list<string>  $runs  ids */
    public static function for(Plan $plan, Basis $basis, array $runs): self
    {
        $moving = new self($plan, $basis);
        $units = $cables = [];
        foreach ($runs as $id) {
            $run = $plan->run($id);
            $units += $moving->hangsOn($run);
            $cables += $plan->ways()->waysOf($run);
            $moving->jointed((new Joints($plan))->ofRun($run, 0), null);
            $moving->data(DataLead::separateTo($plan, $id), $basis);
            foreach (RunUnits::moved(RunUnits::for($plan, $run)) as $kind => $count) {
                $moving->works(Work::from($kind), $count);
            }
        }
        foreach ($units as $unit => $kit) {
            $device = $plan->supplies[$unit] ?? $plan->controllers[$unit];
            $moving->unit($kit, $device->series * $device->parallel);
            $moving->boxes[$device->where() === '' ? $unit : $device->where()] = true;
        }
        $moving->units = count($units);
        $moving->cables($cables);

        return $moving;
    }

    /**
     * With the strip of these runs: where that is chosen too.
     *
     * @param  list<string>  $runs
     */
    public function withStrip(array $runs): self
    {
        $new = clone $this;
        foreach ($runs as $id) {
            $kit = $this->plan->kit[$this->plan->run($id)->strip ?? ''] ?? null;
            $metres = $this->plan->of($this->plan->run($id))->litLength();
            if ($kit !== null) {
                $new->metres($kit, $metres);
            }
        }

        return $new;
    }

    /** With a hub that is bought for it. */
    public function withHub(KitSnapshot $hub): self
    {
        $new = clone $this;
        $new->add($hub->entry->id(), new MovingLine($hub->entry->name(), 1.0, '', $this->costs->piece($hub)));
        $new->works(Work::Join, 1.0);

        return $new;
    }

    /** With a remote, panel or assistant that is bought for it. */
    public function withControl(KitSnapshot $control): self
    {
        $new = clone $this;
        $new->add(
            $control->entry->id(),
            new MovingLine($control->entry->name(), 1.0, '', $this->costs->piece($control)),
        );
        $new->works(Work::Item, 1.0);

        return $new;
    }

    /** @return array<string, MovingLine> by shelf id or kind of work; things first */
    public function lines(): array
    {
        $works = array_filter(
            $this->lines,
            static fn(string $k): bool => str_starts_with($k, self::WORKS),
            ARRAY_FILTER_USE_KEY,
        );

        return array_diff_key($this->lines, $works) + $works;
    }

    /** Hundredths of the smallest coin. */
    public function cost(): int
    {
        return array_sum(array_map(static fn(MovingLine $l): int => $l->cost, $this->lines));
    }

    public function minutes(): float
    {
        return array_sum(array_map(static fn(MovingLine $l): float => $l->minutes, $this->lines));
    }

    public function joints(): int
    {
        return $this->joints;
    }

    /** Supplies and controllers. */
    public function units(): int
    {
        return $this->units;
    }

    /** Places where something has to be hidden. */
    public function boxes(): int
    {
        return count($this->boxes);
    }

    /** @return array<string, KitSnapshot> the kit of a run, by device */
    private function hangsOn(Run $run): array
    {
        $units = [];
        foreach ($this->plan->ways()->unitsOf($run) as $id) {
            $device = $this->plan->supplies[$id] ?? ($this->plan->controllers[$id] ?? null);
            $kit = $this->plan->kit[$device->kit ?? ''] ?? null;
            if ($kit !== null && $device?->there === false) {
                $units[$id] = $kit;
            }
        }

        return $units;
    }

    private function unit(KitSnapshot $kit, int $pieces): void
    {
        $this->add(
            $kit->entry->id(),
            new MovingLine($kit->entry->name(), $pieces, '', $pieces * $this->costs->piece($kit)),
        );
        $this->works(Work::Supply, 1.0);
        if (UnitCosts::joins($kit)) {
            $this->works(Work::Join, 1.0);
        }
        if (UnitCosts::settings($kit) > 0) {
            $this->works(Work::Settings, (float) UnitCosts::settings($kit));
        }
    }

    /** A lead for data that is no core of a feed's cable; nothing until its length is known. */
    private function data(?DataLead $lead, Basis $basis): void
    {
        $kit = $lead === null ? null : (new FirstForPurpose($basis->shelf))->dataWire($lead->wires($this->plan));
        if ($lead === null || $lead->metres === null || $kit === null) {
            return;
        }
        $this->metres($kit, $lead->metres);
        $this->works(Work::Cables, $lead->metres);
        $joints = (new Joints($this->plan))->ofData($lead);
        $this->jointed($joints->made, null);
        $this->jointed($joints->terminals, null, true);
    }

    private function metres(KitSnapshot $kit, float $metres): void
    {
        $this->add(
            $kit->entry->id(),
            new MovingLine(
                $kit->entry->name(),
                UnitCosts::tenths($metres) / 10,
                'm',
                $this->costs->metres($kit, $metres),
            ),
        );
    }

    /** @param  array<string, \EmberDusk\Plan\LaidCable>  $cables */
    private function cables(array $cables): void
    {
        $joints = (new Joints($this->plan))->atCables();
        foreach ($cables as $id => $cable) {
            $kit = $this->plan->kit[$cable->kit] ?? null;
            if ($kit !== null && !$cable->existing) {
                $this->metres($kit, $cable->length);
                $this->works(Work::Cables, $cable->length);
            }
            foreach ([$cable->fuse, $cable->switch] as $fitting) {
                $kit = $this->plan->kit[$fitting ?? ''] ?? null;
                if ($kit !== null) {
                    $this->add(
                        $kit->entry->id(),
                        new MovingLine($kit->entry->name(), 1.0, '', $this->costs->piece($kit)),
                    );
                }
            }
            $connector = $this->plan->connector($cable->joint);
            $this->jointed($joints[$id]->made, $connector);
            $this->jointed($joints[$id]->terminals, null, true);
        }
    }

    /** @param  bool  $terminals  cores that go into terminals of units */
    private function jointed(int $count, ?Connector $connector, bool $terminals = false): void
    {
        if ($count === 0) {
            return;
        }
        $this->joints += $count;
        $this->add(
            self::WORKS . Work::Joints->value,
            new MovingLine(
                what: Work::Joints->words(),
                count: $count,
                unit: '',
                cost: $terminals ? $this->costs->terminals($count) : $this->costs->joints($count, $connector),
                minutes: $count *
                    ($terminals ? $this->costs->terminalMinutes() : $this->costs->jointMinutes($connector)),
            ),
        );
    }

    private function works(Work $kind, float $units): void
    {
        $this->add(
            self::WORKS . $kind->value,
            new MovingLine(
                $kind->words(),
                $units,
                '',
                $this->costs->work($kind, $units),
                $this->costs->minutes($kind, $units),
            ),
        );
    }

    private function add(string $key, MovingLine $line): void
    {
        $this->lines[$key] = isset($this->lines[$key]) ? $this->lines[$key]->and($line) : $line;
    }
}
