<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Kit;

use EmberDusk\Kit\Bank;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Standing;
use EmberDusk\Plan\SurveyedBanks;
use EmberDusk\Survey\Site\Battery;

/** Effect of choosing a block or converter on a run's supply: the bank as surveyed, with the converter on it. */
final readonly class ChosenSupply
{
    /** Default metres from a bank to its converter until measured. */
    public const INPUT = 0.5;

    private function __construct(private Plan $plan, private Run $run) {}

    /**
     * A bank for a run: its supply, or that of its converter.
     *
     * @param  array<string, KitSnapshot>  $kit
     */
    public static function bank(Plan $plan, Run $run, BatteryBlock $block, array $kit): Plan
    {
        return (new self($plan, $run))->withBank($block, $kit);
    }

    /** @param  array<string, KitSnapshot>  $kit */
    private function withBank(BatteryBlock $block, array $kit): Plan
    {
        $converter =
            $this->plan->converter($this->run->supply) !== null
                ? $this->plan->supplies[$this->run->supply ?? '']
                : null;
        if ($converter === null) {
            // Parts of a run, and runs of a place, share the bank that exists.
            $id = $this->run->supply ?? ($this->like($block)->id ?? Plan::nextId('s', $this->plan->supplies));

            return $this->plan->with(
                kit: $kit,
                supplies: [$id => $this->laid($block, $this->plan->supplies[$id] ?? null, $id, false)] +
                    $this->plan->supplies,
                runs: [$this->run->id => $this->run->equipped(supply: $id)] + $this->plan->runs,
            );
        }
        $id = $converter->bank ?? ($this->like($block)->id ?? Plan::nextId('s', $this->plan->supplies));
        $bank = $this->laid($block, $this->plan->supplies[$id] ?? null, $id, true);

        return self::fed(
            $this->plan->with(
                kit: $kit,
                supplies: [$converter->id => $converter->on($id), $id => $bank] + $this->plan->supplies,
            ),
            $converter->id,
        );
    }

    /**
     * A converter for a run: on the present bank of the run, on one of the same place, or on none yet.
     *
     * @param  array<string, KitSnapshot>  $kit
     */
    public static function converter(Plan $plan, Run $run, Converter $converter, array $kit): Plan
    {
        return (new self($plan, $run))->withConverter($converter, $kit);
    }

    /** @param  array<string, KitSnapshot>  $kit */
    private function withConverter(Converter $converter, array $kit): Plan
    {
        $old = $this->plan->supplies[$this->run->supply ?? ''] ?? null;
        if ($old === null || $this->plan->block($old->id) === null) {
            $id = $old->id ?? Plan::nextId('s', $this->plan->supplies);
            $device = $old?->withKit($converter->id()) ?? new Device($id, $converter->id());
            $bank = $device->bank ?? $this->there();

            return self::fed(
                $this->plan->with(
                    kit: $kit,
                    supplies: [$id => $device->on($bank)->already(false)] + $this->plan->supplies,
                    runs: [$this->run->id => $this->run->equipped(supply: $id)] + $this->plan->runs,
                ),
                $id,
            );
        }
        // Loads of the bank move to the converter, and the converter to the bank.
        $id = Plan::nextId('s', $this->plan->supplies);
        $together = array_filter(
            $this->plan->runs,
            fn(Run $r): bool => $r->supply === $old->id &&
                ($r->id === $this->run->id || ($r->controller !== null && $r->controller === $this->run->controller)),
        );
        $ends = [];
        foreach ($together as $one) {
            $ends[$one->controller ?? ''] = true;
            foreach ($this->plan->ways()->feedsOf($one) as $feed) {
                $ends[$feed->id] = true;
            }
        }
        $cables = [];
        $fuse = null;
        foreach ($this->plan->cables as $cable) {
            if ($cable->from === $old->id && isset($ends[$cable->to])) {
                // The tap's fuse stays at the bank.
                $fuse ??= $cable->fuse;
                $cables[$cable->id] = $cable->from($id)->fitted($cable->joint, null, $cable->switch);
            }
        }

        return self::fed(
            $this->plan->with(
                kit: $kit,
                supplies: [$id => new Device($id, $converter->id(), bank: $old->id)] + $this->plan->supplies,
                runs: array_map(static fn(Run $r): Run => $r->equipped(supply: $id), $together) + $this->plan->runs,
                cables: $cables + $this->plan->cables,
            ),
            $id,
            $fuse,
            $this->plan->kit,
        );
    }

    /** The bank of a place that another run's supply is, or that feeds its converter. */
    private function there(): ?string
    {
        foreach ($this->plan->runs as $other) {
            if ($other->place === $this->run->place) {
                foreach ($this->plan->ways()->unitsOf($other) as $unit) {
                    if ($this->plan->block($unit) !== null) {
                        return $unit;
                    }
                }
            }
        }

        return null;
    }

    private function like(BatteryBlock $block): ?Device
    {
        $id = $this->there();
        $bank = $this->plan->supplies[$id ?? ''] ?? null;

        if ($bank?->kit === $block->id()) {
            return $bank;
        }

        return null;
    }

    /** As many blocks as were surveyed, where they were: a full bank for a converter, else up to the tap. */
    private function laid(BatteryBlock $block, ?Device $old, string $id, bool $whole): Device
    {
        $device = $old?->kit === $block->id() ? $old : $old?->withKit($block->id()) ?? new Device($id, $block->id());
        $device = $device->on(null);
        $surveyed = $this->surveyed($block);
        if ($surveyed === null || $old?->kit === $block->id()) {
            return $device;
        }
        [$place, $battery] = $surveyed;
        $wants = $this->plan->strip($this->run->strip)->volts ?? $battery->wants;
        $tap = !$whole && $wants !== null ? (new Bank($battery->wanting($wants)))->tap : null;

        return $device
            ->blocks($tap ?? $battery->blocks, $battery->rows)
            ->standing($device->stands ?? new Standing($place, $battery->spot->name))
            ->already(true);
    }

    /** @return array{string, Battery}|null its place, and it */
    private function surveyed(BatteryBlock $block): ?array
    {
        foreach (SurveyedBanks::for($this->plan, $this->run) as [$place, $battery]) {
            if (abs($battery->blockVolts - $block->volts) < 1e-9) {
                return [$place, $battery];
            }
        }

        return null;
    }

    /**
     * With a cable from the bank to the converter, of the kind that leads on from it.
     *
     * @param  array<string, KitSnapshot>  $kit  that a fuse which is moved is of
     */
    private static function fed(Plan $plan, string $converter, ?string $fuse = null, array $kit = []): Plan
    {
        $bank = $plan->supplies[$converter]->bank;
        $there = $plan->ways()->cableTo($converter);
        if ($bank === null) {
            return $plan;
        }
        if ($there !== null) {
            return $plan->with(cables: [$there->id => $there->from($bank)] + $plan->cables);
        }
        $like = null;
        foreach ($plan->cables as $cable) {
            $like ??= $cable->from === $converter ? $cable->kit : null;
        }
        if ($like === null) {
            return $plan;
        }
        $id = Plan::nextId('k', $plan->cables);

        return $plan->with(
            kit: $kit + $plan->kit,
            cables: $plan->cables + [
                $id => new LaidCable(
                    id: $id,
                    kit: $like,
                    from: $bank,
                    to: $converter,
                    length: self::INPUT,
                    reckoned: true,
                    fuse: $fuse,
                ),
            ],
        );
    }
}
