<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Terms;

/**
 * Unit cost with its minutes, in hundredths of the smallest coin, so that sums do not depend on the order: prices of the shelf, unrounded minutes of
 * this crew at the job's rate. Without mark-up and tax.
 */
final readonly class UnitCosts
{
    /** Hundredths of the smallest coin in one of the currency. */
    public const COIN = 10_000;

    public function __construct(private Terms $terms, private Productivity $crew) {}

    /** Of a piece; nothing where there is no price. */
    public function piece(KitSnapshot $kit): int
    {
        return (int) round(self::COIN * ($this->terms->price($kit) ?? 0.0));
    }

    /** Of so many metres of strip or cable, by 0.1 m. */
    public function metres(KitSnapshot $kit, float $metres): int
    {
        return (int) round((self::COIN * ($this->terms->price($kit) ?? 0.0) * self::tenths($metres)) / 10);
    }

    public static function tenths(float $metres): float
    {
        return ceil(10 * $metres - 1e-9);
    }

    /** Of so many units of a kind of step, by one person. */
    public function work(Work $kind, float $units): int
    {
        return $this->time($this->minutes($kind, $units));
    }

    /** Minutes of this crew. */
    public function minutes(Work $kind, float $units): float
    {
        return $kind->minutes() * $units * $this->crew->factor($kind);
    }

    /** Of joints of one core that a connector makes; null solders. */
    public function joints(int $count, ?Connector $connector = null): int
    {
        return $count * $this->time($this->jointMinutes($connector));
    }

    /** Of cores that go into terminals of units. */
    public function terminals(int $count): int
    {
        return $count * $this->time($this->terminalMinutes());
    }

    public function terminalMinutes(): float
    {
        return JointMinutes::TERMINAL * $this->crew->factor(Work::Joints);
    }

    public function jointMinutes(?Connector $connector): float
    {
        return JointMinutes::for($connector) * $this->crew->factor(Work::Joints);
    }

    /** Of a supply or controller that is fixed, set and joined where that has to be. */
    public function unit(KitSnapshot $kit): int
    {
        return $this->piece($kit) +
            $this->work(Work::Supply, 1.0) +
            (self::joins($kit) ? $this->work(Work::Join, 1.0) : 0) +
            $this->work(Work::Settings, (float) self::settings($kit));
    }

    public static function joins(KitSnapshot $kit): bool
    {
        return $kit->entry instanceof Controller && $kit->entry->joins();
    }

    /** How many things are set or loaded before it is mounted. */
    public static function settings(KitSnapshot $kit): int
    {
        return $kit->entry instanceof Controller ? count($kit->entry->settings()) : 0;
    }

    /** Of a new cable that is laid, without its joints. */
    public function cable(KitSnapshot $kit, float $metres): int
    {
        return $this->metres($kit, $metres) + $this->work(Work::Cables, $metres);
    }

    /** Of a fuse in a cable, with the joints at both its ends. */
    public function fuse(KitSnapshot $kit, ?Connector $connector = null): int
    {
        return $this->piece($kit) + $this->joints(Joints::FUSED, $connector);
    }

    /**
     * Of what every part of a run takes automatically: tests, cuts, sealed ends.
     *
     * @param  array<string, float>  $units  as of RunUnits
     */
    public function part(array $units): int
    {
        $cost = 0;
        foreach (RunUnits::moved($units) as $kind => $count) {
            $cost += $this->work(Work::from($kind), $count);
        }

        return $cost;
    }

    private function time(float $minutes): int
    {
        return (int) round((self::COIN * $minutes * $this->terms->hourRate) / 60);
    }
}
