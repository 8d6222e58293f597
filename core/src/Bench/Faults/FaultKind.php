<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/**
 * Kinds of fault with their sizes, smallest effect first: ohms of a joint, factors on copper, rail and strip, a share of the volts, the limit as a
 * share of the load, the share of a run with data. Common practice, no source.
 */
enum FaultKind: string
{
    case Joint = 'joint';
    case Feed = 'feed';
    case Size = 'size';
    case Length = 'length';
    case Low = 'low';
    case Overload = 'overload';
    case Rail = 'rail';
    case Strip = 'strip';
    case Reversed = 'reversed';
    case Limit = 'limit';
    case Switch = 'switch';
    case Kind = 'kind';
    case Count = 'count';
    case Data = 'data';

    /** Readings cannot distinguish them: naming the class and the place is enough. */
    public function class(): string
    {
        return match ($this) {
            self::Size, self::Length => 'cable',
            default => $this->value,
        };
    }

    /** Whether anything is between its sizes. */
    public function gradual(): bool
    {
        return count($this->sizes()) > 1 && $this !== self::Switch;
    }

    /** @return non-empty-list<float> */
    public function sizes(): array
    {
        return match ($this) {
            self::Joint => [0.03, 0.06, 0.12, 0.25, 0.5, 1.0, 1.8, 3.2, 6.0, 11.0, 20.0, 36.0, 65.0],
            self::Size, self::Length => [1.3, 1.7, 2.3, 3.2, 4.5, 6.5],
            self::Low => [0.97, 0.93, 0.88, 0.8, 0.7],
            self::Overload => [0.95, 0.85, 0.7, 0.5, 0.35],
            self::Rail => [1.25, 1.6, 2.1, 2.8, 4.0],
            self::Strip => [0.4, 0.55, 0.75, 1.35, 1.8, 2.4],
            self::Limit => [0.7, 0.5, 0.35, 0.2],
            self::Count => [0.93, 0.86, 0.7, 0.6, 0.4, 0.3, 0.15],
            self::Kind => [0.75],
            default => [1.0],
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Joint => 'bad joint',
            self::Feed => 'dead or loose feed',
            self::Size => 'cable thinner than planned',
            self::Length => 'cable longer than planned',
            self::Low => 'supply set too low',
            self::Overload => 'supply gives less than its load needs',
            self::Rail => 'strip with weak rails',
            self::Strip => 'another strip than planned',
            self::Reversed => 'piece the wrong way round',
            self::Limit => 'limit still at its default',
            self::Switch => 'switch at another kind of light',
            self::Kind => 'three-channel data on four-channel pixels',
            self::Count => 'count of pixels too low',
            self::Data => 'no data from here on: joint, arrow or leg',
        };
    }
}
