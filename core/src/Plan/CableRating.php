<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Kit\Cable;
use EmberDusk\Survey\WallNotes;

/**
 * Ampacity of a cable as laid (docs/model.md 7): flexible cable by its table; existing legs, thick sizes and rigid cores as fixed cable by
 * installation method; reduced for warm air.
 */
final readonly class CableRating
{
    /** °C of air of the tables, the default. */
    public const AMBIENT = 30.0;

    /** Factors for air warmer than 30 °C, BS 7671 table 4B1 (from memory); between two the warmer one counts. */
    private const AIR = [30 => 1.0, 35 => 0.94, 40 => 0.87, 45 => 0.79, 50 => 0.71];

    /** Factors for loaded cables in one bundle, BS 7671 table 4C1 (from memory). */
    private const BUNDLED = [
        1 => 1.0,
        2 => 0.8,
        3 => 0.7,
        4 => 0.65,
        5 => 0.6,
        6 => 0.57,
        7 => 0.54,
        8 => 0.52,
        9 => 0.5,
    ];

    /**
     * @param  float|null  $amps  null where the tables do not hold it
     * @param  bool  $hot  whether the air is warmer than table 4B1 goes; its last factor counts then
     * @param  bool  $asks whether the unknown installation method decides
     */
    private function __construct(
        public ?float $amps,
        public string $source,
        public bool $fixed,
        public bool $asks,
        public bool $hot = false,
    ) {}

    /** @param  Cable|null  $other  in its place */
    public static function for(Plan $plan, LaidCable $laid, ?Cable $other = null): self
    {
        $cable = $other ?? $plan->cable($laid->kit);
        if ($cable === null) {
            return new self(null, '', false, false);
        }
        $fixed = self::fixed($cable, $laid);
        $amps = $fixed ? $cable->conductor->fixedAmps($laid->laid) : self::flexible($cable, $laid->laid);
        [$air, $together] = self::surroundings($plan, $laid);
        $factor = self::factor($air) * self::bundled($together);

        return new self(
            $amps === null ? null : round($amps * $factor, 4),
            ($fixed && $cable->conductor->system === 'mm2'
                ? $cable->conductor::FIXED_SOURCE
                : $cable->conductor->capacitySource) .
                ($air > self::AMBIENT ? sprintf('; air of %g °C, table 4B1', $air) : '') .
                ($together > 1 ? "; {$together} cables in a bundle, table 4C1" : ''),
            $fixed,
            $fixed && $laid->laid === '' && $cable->conductor->system === 'mm2',
            $air > array_key_last(self::AIR),
        );
    }

    /** Amps of a cable that would be laid new in air of so many °C, or is a leg that exists; 0 where the tables do not hold it. */
    public static function laidIn(Cable $cable, float $air, ?string $leg = null): float
    {
        $fixed = $leg !== null || self::rigid($cable);
        $amps = $fixed ? $cable->conductor->fixedAmps($leg ?? '') : $cable->conductor->capacity;

        return round(($amps ?? 0.0) * self::factor($air), 4);
    }

    /** Amps; 0 where the tables do not hold it. */
    public static function amps(Plan $plan, LaidCable $laid): float
    {
        return self::for($plan, $laid)->amps ?? 0.0;
    }

    /** Derating factor for air temperature; above the table its last factor. */
    public static function factor(float $air): float
    {
        foreach (self::AIR as $celsius => $factor) {
            if ($air <= $celsius) {
                return $factor;
            }
        }

        return self::AIR[array_key_last(self::AIR)];
    }

    /** Flexible cable in an insulated wall: the lower of the flexible table and that of fixed cable in such a wall. */
    private static function flexible(Cable $cable, string $laid): ?float
    {
        $amps = $cable->conductor->capacity;
        if ($laid !== 'wall' || $amps === null) {
            return $amps;
        }

        return min($amps, $cable->conductor->fixedAmps('wall') ?? $amps);
    }

    /** Derating factor for loaded cables in a bundle. */
    private static function bundled(int $cables): float
    {
        $last = array_key_last(self::BUNDLED);

        return self::BUNDLED[min($cables, $last)];
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

    /** @return array{float, int} °C of the warmest place that it leads to, and the loaded cables in the largest bundle there */
    private static function surroundings(Plan $plan, LaidCable $laid): array
    {
        [$air, $together] = [self::AMBIENT, 1];
        foreach ($plan->ways()->placesOf($laid) as $place) {
            $site = WallNotes::read($plan->places[$place]->notes ?? '')->site;
            $air = max($air, $site->air ?? self::AMBIENT);
            $together = max($together, $site->bundled);
        }

        return [$air, $together];
    }
}
