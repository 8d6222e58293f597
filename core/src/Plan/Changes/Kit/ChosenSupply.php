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

    /**
     * A bank for a run: its supply, or that of its converter.
     *
     * @param  array<string, KitSnapshot>  $kit
     */
    public static function bank(Plan $plan, Run $run, BatteryBlock $block, array $kit): Plan
    {
        $converter = $plan->converter($run->supply) !== null ? $plan->supplies[$run->supply ?? ''] : null;
        if ($converter === null) {
            // Parts of a run, and runs of a place, share the bank that exists.
            $id = $run->supply ?? (self::like($plan, $run, $block)->id ?? Plan::nextId('s', $plan->supplies));

            return $plan->with(
                kit: $kit,
                supplies: [$id => self::laid($plan, $run, $block, $plan->supplies[$id] ?? null, $id, false)] +
                    $plan->supplies,
                runs: [$run->id => $run->equipped(supply: $id)] + $plan->runs,
            );
        }
        $id = $converter->bank ?? (self::like($plan, $run, $block)->id ?? Plan::nextId('s', $plan->supplies));
        $bank = self::laid($plan, $run, $block, $plan->supplies[$id] ?? null, $id, true);

        return self::fed(
            $plan->with(kit: $kit, supplies: [$converter->id => $converter->on($id), $id => $bank] + $plan->supplies),
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
        $old = $plan->supplies[$run->supply ?? ''] ?? null;
        if ($old === null || $plan->block($old->id) === null) {
            $id = $old->id ?? Plan::nextId('s', $plan->supplies);
            $device = $old?->withKit($converter->id()) ?? new Device($id, $converter->id());
            $bank = $device->bank ?? self::there($plan, $run);

            return self::fed(
                $plan->with(
                    kit: $kit,
                    supplies: [$id => $device->on($bank)->already(false)] + $plan->supplies,
                    runs: [$run->id => $run->equipped(supply: $id)] + $plan->runs,
                ),
                $id,
            );
        }
        // Loads of the bank move to the converter, and the converter to the bank.
        $id = Plan::nextId('s', $plan->supplies);
        $together = array_filter(
            $plan->runs,
            static fn(Run $r): bool => $r->supply === $old->id &&
                ($r->id === $run->id || ($r->controller !== null && $r->controller === $run->controller)),
        );
        $ends = [];
        foreach ($together as $one) {
            $ends[$one->controller ?? ''] = true;
            foreach ($plan->ways()->feedsOf($one) as $feed) {
                $ends[$feed->id] = true;
            }
        }
        $cables = [];
        $fuse = null;
        foreach ($plan->cables as $cable) {
            if ($cable->from === $old->id && isset($ends[$cable->to])) {
                // The tap's fuse stays at the bank.
                $fuse ??= $cable->fuse;
                $cables[$cable->id] = $cable->from($id)->fitted($cable->joint, null, $cable->switch);
            }
        }

        return self::fed(
            $plan->with(
                kit: $kit,
                supplies: [$id => new Device($id, $converter->id(), bank: $old->id)] + $plan->supplies,
                runs: array_map(static fn(Run $r): Run => $r->equipped(supply: $id), $together) + $plan->runs,
                cables: $cables + $plan->cables,
            ),
            $id,
            $fuse,
            $plan->kit,
        );
    }

    /** The bank of a place that another run's supply is, or that feeds its converter. */
    private static function there(Plan $plan, Run $run): ?string
    {
        foreach ($plan->runs as $other) {
            if ($other->place === $run->place) {
                foreach ($plan->ways()->unitsOf($other) as $unit) {
                    if ($plan->block($unit) !== null) {
                        return $unit;
                    }
                }
            }
        }

        return null;
    }

    private static function like(Plan $plan, Run $run, BatteryBlock $block): ?Device
    {
        $id = self::there($plan, $run);
        $bank = $plan->supplies[$id ?? ''] ?? null;

        if ($bank?->kit === $block->id()) {
            return $bank;
        }

        return null;
    }

    /** As many blocks as were surveyed, where they were: a full bank for a converter, else up to the tap. */
    private static function laid(
        Plan $plan,
        Run $run,
        BatteryBlock $block,
        ?Device $old,
        string $id,
        bool $whole,
    ): Device {
        $device = $old?->kit === $block->id() ? $old : $old?->withKit($block->id()) ?? new Device($id, $block->id());
        $device = $device->on(null);
        $surveyed = self::surveyed($plan, $run, $block);
        if ($surveyed === null || $old?->kit === $block->id()) {
            return $device;
        }
        [$place, $battery] = $surveyed;
        $wants = $plan->strip($run->strip)->volts ?? $battery->wants;
        $tap = !$whole && $wants !== null ? (new Bank($battery->wanting($wants)))->tap : null;

        return $device
            ->blocks($tap ?? $battery->blocks, $battery->rows)
            ->standing($device->stands ?? new Standing($place, $battery->spot->name))
            ->already(true);
    }

    /** @return array{string, Battery}|null its place, and it */
    private static function surveyed(Plan $plan, Run $run, BatteryBlock $block): ?array
    {
        foreach (SurveyedBanks::for($plan, $run) as [$place, $battery]) {
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
