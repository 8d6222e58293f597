<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Values\Copies;
use EmberDusk\Values\Range;

/** Results of a run, at full light or in a scene. Light is relative: 1 means every commanded channel at its nominal current. */
final readonly class RunResult
{
    use Copies;

    /**
     * @param  list<float>  $light  by group
     * @param  non-empty-list<list<float>>  $volts  across each group, by channel
     * @param  list<float>  $railAmps  in the + rail after each group, positive away from the start
     * @param  array<string, CableResult>  $cables
     * @param  array<string, FeedResult>  $feeds
     * @param  non-empty-list<float>  $channelAmps  through the controller
     * @param  array{list<float>, list<float>}  $spread  light at poor and at rich conditions
     * @param  array<int, list<float>>  $channelLight  relative light by channel (from 0) and group
     * @param  array<int, float>  $nominal  amps of a group by channel (from 0)
     * @param  array<string, SupplyResult>  $supplies  of the entire island
     * @param  array<string, ControllerResult>  $controllers  of the entire island
     * @param  float|null  $peakAmps  of the supply in its fullest phase; null at full light, where it is steady
     * @param  Balance  $balance  of the entire island
     * @param  float  $loadWatts  of this run's groups
     * @param  float  $railWatts  lost in this run's copper
     */
    public function __construct(
        public float $pitch,
        public array $light,
        public array $volts,
        public array $railAmps,
        public array $cables,
        public array $feeds,
        public array $channelAmps,
        public float $supplyVolts,
        public float $supplyAmps,
        public array $spread,
        public Balance $balance,
        public float $loadWatts,
        public float $railWatts,
        public int $iterations,
        public array $channelLight = [],
        public array $nominal = [],
        public ?float $peakAmps = null,
        public array $supplies = [],
        public array $controllers = [],
    ) {}

    /**
     * With the most that its cables carry in other states too.
     *
     * @param  array<string, array<string, float>>  $open  amps by cable, by the state
     */
    public function opened(array $open): self
    {
        return $this->withChanged(
            cables: array_map(static fn(CableResult $c): CableResult => $c->opened($open), $this->cables),
        );
    }

    /**
     * @param  list<float>  $poor  light with thin rails and low volts
     * @param  list<float>  $rich  light with thick rails and high volts
     */
    public function ranging(array $poor, array $rich): self
    {
        return $this->withChanged(spread: [$poor, $rich]);
    }

    /** Highest amps in any piece of the + rail; the current into a group is its own plus that of the groups behind it. */
    public function fullestRail(): float
    {
        $most = 0.0;
        foreach ($this->railAmps as $group => $amps) {
            $most = max($most, abs($amps), abs($amps + $this->groupAmps($group)));
        }

        return $most;
    }

    /** Amps that a group takes, all its channels together. */
    public function groupAmps(int $group): float
    {
        $amps = 0.0;
        foreach ($this->channelLight as $channel => $light) {
            $amps += ($light[$group] ?? 0.0) * ($this->nominal[$channel] ?? 0.0);
        }

        return $amps;
    }

    /** Amps of a group at its label, of all channels that are commanded on. */
    public function nominalAmps(): float
    {
        return array_sum($this->nominal);
    }

    /** Lit length. */
    public function metres(): float
    {
        return count($this->light) * $this->pitch;
    }

    public function darkest(): float
    {
        return min($this->light ?: [0.0]);
    }

    public function brightest(): float
    {
        return max($this->light ?: [0.0]);
    }

    /** Number of the darkest group. */
    public function darkestGroup(): int
    {
        return (int) array_search($this->darkest(), $this->light, true);
    }

    public function evenness(): float
    {
        return self::even($this->light);
    }

    /** Of the least even channel: with fewer channels on less is lost, so that no scene is less even than this. */
    public function leastEven(): float
    {
        return min([1.0, ...array_map(self::even(...), array_values($this->channelLight))]);
    }

    public function evennessRange(): Range
    {
        return Range::over($this->evenness(), ...array_map(self::even(...), $this->spread));
    }

    public function darkestRange(): Range
    {
        return Range::over(
            $this->darkest(),
            ...array_map(static fn(array $l): float => min($l ?: [0.0]), $this->spread),
        );
    }

    /** Difference of the two ends as a share of the brighter one. */
    public function seam(): float
    {
        return self::ends($this->light);
    }

    public function seamRange(): Range
    {
        return Range::over($this->seam(), ...array_map(self::ends(...), $this->spread));
    }

    /** The feed before which most volts are lost. */
    public function farthestFeed(): FeedResult
    {
        $feeds = array_values($this->feeds);
        usort($feeds, static fn(FeedResult $a, FeedResult $b): int => $b->lost() <=> $a->lost());

        return $feeds[0];
    }

    /** @param  list<float>  $light */
    private static function even(array $light): float
    {
        $most = max($light ?: [0.0]);
        if ($most > 0) {
            return min($light ?: [0.0]) / $most;
        }

        return 0.0;
    }

    /** @param  list<float>  $light */
    private static function ends(array $light): float
    {
        $a = $light[0] ?? 0.0;
        $b = $light[count($light) - 1] ?? 0.0;
        if (max($a, $b) > 0) {
            return abs($a - $b) / max($a, $b);
        }

        return 0.0;
    }

    /**
     * Long rows of numbers are kept as bytes: results of large jobs are read from a cache at every edit.
     *
     * @return array<mixed>
     */
    public function __serialize(): array
    {
        /** @var array<string, mixed> $data */
        $data = [];
        foreach (get_object_vars($this) as $name => $value) {
            $data[$name] = self::packed($value);
        }

        return $data;
    }

    /** @param  array<string, mixed>  $data */
    public function __unserialize(array $data): void
    {
        foreach ($data as $name => $value) {
            $this->{$name} = self::unpacked($value);
        }
    }

    /** @return ($value is array ? array<array-key, mixed>|PackedRow : mixed) */
    private static function packed(mixed $value): mixed
    {
        return match (true) {
            !is_array($value) || $value === [] || !array_is_list($value) => $value,
            is_float($value[0]) => new PackedRow(pack('d*', ...$value)),
            is_array($value[0]) => array_map(self::packed(...), $value),
            default => $value,
        };
    }

    private static function unpacked(mixed $value): mixed
    {
        return match (true) {
            $value instanceof PackedRow => array_values((array) unpack('d*', $value->bytes)),
            is_array($value) => array_map(self::unpacked(...), $value),
            default => $value,
        };
    }
}
