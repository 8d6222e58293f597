<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Protection\Guard;
use EmberDusk\Circuit\BankDraw;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Wires\BankWires;
use EmberDusk\Plan\Changes\Wires\Wire;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\CableJoints;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\UnitCosts;

/** Power source of a layout: a supply on the mains, a bank, or a converter with its cable from a bank. Cost in hundredths of the smallest coin. */
final readonly class PowerSource
{
    /** Cores at the converter; those at the bank are fitted in a step of their own. */
    private const INPUT = 2;

    public Supply $supply;

    /**
     * @param  RunBank|null  $bank  null on the mains, and for a unit that stays with its cable
     * @param  KitSnapshot|null  $input  cable from the bank to a converter
     * @param  float  $metres  of that cable
     * @param  float  $ohms  of both its cores with their terminals
     * @param  list<PlannedBoard>  $boards  on it, of pixels that have none yet
     */
    private function __construct(
        public KitSnapshot $unit,
        public int $cost,
        public int $joints = 0,
        public ?RunBank $bank = null,
        public ?KitSnapshot $input = null,
        public float $metres = 0.0,
        public ?KitSnapshot $fuse = null,
        private float $ohms = 0.0,
        public array $boards = [],
    ) {
        assert($unit->entry instanceof Powers);
        $this->supply = $unit->entry->supply($bank->series ?? 1, $bank->parallel ?? 1);
    }

    /** @param  list<PlannedBoard>  $boards */
    public function with(array $boards): self
    {
        return new self(
            unit: $this->unit,
            cost: $this->cost,
            joints: $this->joints,
            bank: $this->bank,
            input: $this->input,
            metres: $this->metres,
            fuse: $this->fuse,
            ohms: $this->ohms,
            boards: $boards,
        );
    }

    /** With its boards. */
    public function total(): int
    {
        return $this->cost + array_sum(array_map(static fn(PlannedBoard $b): int => $b->cost, $this->boards));
    }

    /** With those of its boards. */
    public function joined(): int
    {
        return $this->joints + array_sum(array_map(static fn(PlannedBoard $b): int => $b->joints, $this->boards));
    }

    /** Whether a cable needs no fuse on it: the supply cannot keep up more than it carries. The posts of a bank always have one. */
    public function spares(float $capacity): bool
    {
        return !$this->tapped() && $this->supply->overloadAmps <= $capacity + 1e-9;
    }

    /** Fuse of a cable that carries so many amps; null where it needs none, or the shelf has none. */
    public function guard(PricedShelf $priced, float $capacity): ?KitSnapshot
    {
        return $this->spares($capacity)
            ? null
            : $priced->fuse($capacity, $this->supply->charging ?? $this->supply->emf);
    }

    /** A supply on the mains. */
    public static function mains(KitSnapshot $unit, UnitCosts $costs): self
    {
        return new self($unit, $costs->unit($unit));
    }

    /** A unit of the plan that stays as it is, with the cable to it; an existing unit costs nothing. */
    public static function kept(Plan $plan, string $unit, ?RunBank $bank, UnitCosts $costs): self
    {
        $device = $plan->supplies[$unit];
        $kit = $plan->kit[$device->kit];
        if ($bank?->unit === $unit) {
            return self::tap($bank);
        }
        $cable = $plan->ways()->cableTo($unit);
        $joints = (new Joints($plan))->atCables()[$cable->id ?? ''] ?? new CableJoints(0, 0);
        $fitted = array_filter([$plan->kit[$cable->fuse ?? ''] ?? null, $plan->kit[$cable->switch ?? ''] ?? null]);
        $laid = $cable === null || $cable->existing ? 0 : $costs->cable($plan->kit[$cable->kit], $cable->length);

        return new self(
            $kit,
            ($device->there ? 0 : $costs->unit($kit)) +
                $laid +
                array_sum(array_map($costs->piece(...), $fitted)) +
                $costs->joints($joints->made, $plan->connector($cable?->joint)) +
                $costs->terminals($joints->terminals),
            $joints->made + $joints->terminals,
        );
    }

    /** A bank, straight. */
    public static function tap(RunBank $bank): self
    {
        return new self($bank->kit, 0, bank: $bank);
    }

    /**
     * @param  float  $ohms  of both cores of its cable with their terminals
     * @param  KitSnapshot|null  $switch  in the cable from the bank now, which stays
     */
    public static function converter(
        KitSnapshot $unit,
        RunBank $bank,
        KitSnapshot $input,
        float $metres,
        KitSnapshot $fuse,
        float $ohms,
        ?KitSnapshot $switch,
        UnitCosts $costs,
    ): self {
        return new self(
            unit: $unit,
            cost: $costs->unit($unit) +
                $costs->cable($input, $metres) +
                $costs->terminals(self::INPUT) +
                $costs->fuse($fuse) +
                ($switch === null ? 0 : $costs->piece($switch) + $costs->joints(Joints::SWITCHED)),
            joints: self::INPUT + Joints::FUSED + ($switch === null ? 0 : Joints::SWITCHED),
            bank: $bank,
            input: $input,
            metres: $metres,
            fuse: $fuse,
            ohms: $ohms,
        );
    }

    /** Whether cables begin at the posts of a bank. */
    public function tapped(): bool
    {
        return $this->bank !== null && $this->input === null;
    }

    /** Whether an empty bank can feed the converter at this output current: fuse and input volts suffice. */
    public function bears(float $amps): bool
    {
        $converter = $this->unit->entry;
        $bank = $this->bank?->supply();
        if (!($converter instanceof Converter) || $bank === null || !($this->fuse?->entry instanceof Fuse)) {
            return true;
        }
        $empty = $bank->lowest ?? $bank->emf;
        $ohms = $bank->sourceOhms + $this->ohms;
        $input = BankDraw::drawn($empty, $ohms, ($amps * $converter->volts) / $converter->efficiency);

        return $input !== null &&
            Guard::needs($input) <= $this->fuse->entry->amps + 1e-3 &&
            $empty - $ohms * $input >= $converter->inputLeast - 1e-3;
    }

    /** The unit by its id; of a converter the cable that leads to it too. */
    public function decision(): string
    {
        return $this->unit->entry->id() . ($this->input === null ? '' : " on {$this->input->entry->id()}");
    }

    /** As part of a {@see SupplyWires}; null where no bank is touched. */
    public function wires(): ?BankWires
    {
        if ($this->bank === null) {
            return null;
        }

        return new BankWires(
            unit: $this->bank->unit,
            kit: $this->bank->kit->entry->id(),
            series: $this->bank->series,
            parallel: $this->bank->parallel,
            place: $this->bank->place,
            spot: $this->bank->spot,
            input: $this->input === null
                ? null
                : new Wire($this->input->entry->id(), $this->metres, $this->fuse?->entry->id()),
        );
    }
}
