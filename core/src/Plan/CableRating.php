<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Cable;
use EmberDusk\Survey\TapeNotes;

/**
 * What a cable may carry where it lies (docs/model.md 7): a flexible one by its table; what lies there already, thick sizes
 * and rigid cores as fixed cable by how they are laid; less where the air is warm.
 */
final readonly class CableRating
{
    /** Factors for air warmer than 30 °C, BS 7671 table 4B1 (from memory); between two the warmer one counts. */
    private const AIR = [30 => 1.0, 35 => 0.94, 40 => 0.87, 45 => 0.79, 50 => 0.71];

    /**
     * @param  float|null  $amps  null where the tables do not hold it
     * @param  bool  $asks  whether nobody has said how it is laid, though that decides
     */
    private function __construct(public ?float $amps, public string $source, public bool $fixed, public bool $asks) {}

    /** @param  Cable|null  $other  in its place */
    public static function of(Plan $plan, LaidCable $laid, ?Cable $other = null): self
    {
        $cable = $other ?? $plan->cable($laid->kit);
        if ($cable === null) {
            return new self(null, '', false, false);
        }
        $fixed = self::fixed($cable, $laid);
        $amps = $fixed ? $cable->conductor->fixedAmps($laid->laid) : $cable->conductor->capacity;
        $air = self::air($plan, $laid);
        $factor = self::factor($air);

        return new self(
            $amps === null || $factor === null ? null : round($amps * $factor, 4),
            ($fixed && $cable->conductor->system === 'mm2'
                ? $cable->conductor::FIXED_SOURCE
                : $cable->conductor->capacitySource) . ($air > 30 ? sprintf('; air of %g °C, table 4B1', $air) : ''),
            $fixed,
            $fixed && $laid->laid === '' && $cable->conductor->system === 'mm2',
        );
    }

    /** Amps of a cable that would be laid new in air of so many °C, or is a leg that lies there; 0 where the tables do not hold it. */
    public static function laidIn(Cable $cable, float $air, ?string $leg = null): float
    {
        $fixed = $leg !== null || self::rigid($cable);
        $amps = $fixed ? $cable->conductor->fixedAmps($leg ?? '') : $cable->conductor->capacity;

        return round(($amps ?? 0.0) * (self::factor($air) ?? 0.0), 4);
    }

    /** Amps; 0 where the tables do not hold it. */
    public static function amps(Plan $plan, LaidCable $laid): float
    {
        return self::of($plan, $laid)->amps ?? 0.0;
    }

    /** What the air of a place leaves of a rating; null above what the table holds. */
    public static function factor(float $air): ?float
    {
        foreach (self::AIR as $celsius => $factor) {
            if ($air <= $celsius) {
                return $factor;
            }
        }

        return null;
    }

    private static function fixed(Cable $cable, LaidCable $laid): bool
    {
        return $laid->existing || self::rigid($cable);
    }

    /** Thick sizes and rigid cores count as fixed. */
    private static function rigid(Cable $cable): bool
    {
        return $cable->conductor->system === 'mm2' &&
            ($cable->conductor->make !== 'flexible' || $cable->conductor->capacity === null);
    }

    /** Of the warmest place that it leads to. */
    private static function air(Plan $plan, LaidCable $laid): float
    {
        $air = 30.0;
        foreach ($plan->placesOf($laid) as $place) {
            $air = max($air, TapeNotes::read($plan->places[$place]->notes ?? '')->site->air ?? 30.0);
        }

        return $air;
    }
}
