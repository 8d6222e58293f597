<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\SurveyedBanks;

/** The battery bank that a run is planned on: the one that it is on now, else the first of the wall notes with blocks that are known. */
final readonly class RunBank
{
    /**
     * @param  string|null  $unit  its id in the plan; null while it is only in the notes
     * @param  int  $series  blocks in series
     * @param  int  $parallel  rows
     * @param  string  $place  id
     * @param  string  $spot  its name in the notes; empty if its position is unknown
     */
    private function __construct(
        public ?string $unit,
        public KitSnapshot $kit,
        public int $series,
        public int $parallel,
        public string $place,
        public string $spot,
    ) {}

    /** Null where there is none, or where no block is known that it is made of. */
    public static function for(Plan $plan, Run $run, ShelfSource $shelf): ?self
    {
        foreach ($plan->ways()->unitsOf($run) as $id) {
            $device = $plan->supplies[$id] ?? null;
            if ($device !== null && $plan->block($id) !== null) {
                return self::drawn($plan, $run, $device);
            }
        }
        foreach (SurveyedBanks::for($plan, $run) as [$place, $battery]) {
            $volts = static fn(KitSnapshot $k): bool => $k->entry instanceof BatteryBlock &&
                abs($k->entry->volts - $battery->blockVolts) < 1e-9;
            $kits = array_values(array_filter([...array_values($plan->kit), ...$shelf->ofKind('battery')], $volts));
            if ($kits === [] || $battery->mixed) {
                continue;
            }
            foreach ($plan->supplies as $id => $device) {
                if ($device->stands?->place === $place && $device->stands->spot === $battery->spot->name) {
                    return self::drawn($plan, $run, $device);
                }
            }

            return new self(null, $kits[0], $battery->blocks, $battery->rows, $place, $battery->spot->name);
        }

        return null;
    }

    private static function drawn(Plan $plan, Run $run, Device $device): self
    {
        return new self(
            unit: $device->id,
            kit: $plan->kit[$device->kit],
            series: $device->series,
            parallel: $device->parallel,
            place: $device->stands->place ?? $run->place,
            spot: $device->stands->spot ?? '',
        );
    }

    public function supply(): Supply
    {
        assert($this->kit->entry instanceof BatteryBlock);

        return $this->kit->entry->supply($this->series, $this->parallel);
    }

    /** Whether it is all blocks of the surveyed bank: fewer would be drained more than the others. */
    public function whole(Plan $plan, Run $run): bool
    {
        foreach (SurveyedBanks::for($plan, $run) as [$place, $battery]) {
            if ($place === $this->place && $battery->spot->name === $this->spot) {
                return $this->series === $battery->blocks;
            }
        }

        return true;
    }

    /** Identity of the bank. */
    public function key(): string
    {
        return "{$this->place}/{$this->spot}/" . ($this->unit ?? $this->kit->entry->id());
    }

    /** Such as “E1”. */
    public function name(): string
    {
        return $this->spot === '' ? strtoupper((string) $this->unit) : $this->spot;
    }
}
