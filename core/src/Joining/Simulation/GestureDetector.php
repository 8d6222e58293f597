<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Kit\Profiles\Gesture;
use EmberDusk\Kit\Profiles\GesturePart;

/** Detector of complete gestures on a simulated device. The guide does not use it: it counts for itself. */
final class GestureDetector
{
    /** Seconds without a press after which a shorter gesture counts, where a longer one of the same key could still come: assumed. */
    private const PAUSE = 0.8;

    /** @var list<HeardAct> */
    private array $heard = [];

    /** @var array{string, float}|null a gesture that counts unless another press comes */
    private ?array $pending = null;

    public function __construct(private readonly Behaviour $leaflet) {}

    /** The gesture that ends with this; null while none does. */
    public function hear(string $kind, string $key, float $at, float $seconds = 0.0): ?string
    {
        $this->pending = null;
        $this->heard[] = new HeardAct($kind, strtolower($key), $at, $seconds);
        $whole = array_filter($this->leaflet->gestures, fn(Gesture $g): bool => $this->ends($g->parts));
        if ($whole === []) {
            return null;
        }
        // The longest counts; a shorter one waits while a longer one can still come of it.
        uasort($whole, static fn(Gesture $a, Gesture $b): int => self::size($b) <=> self::size($a));
        $name = (string) array_key_first($whole);
        foreach ($this->leaflet->gestures as $other) {
            if (self::size($other) > self::size($whole[$name]) && $this->begins($other->parts, $whole[$name]->parts)) {
                $this->pending = [$name, $at + self::PAUSE];

                return null;
            }
        }
        $this->heard = [];

        return $name;
    }

    /** When a gesture that waits will count; null when none waits. */
    public function due(): ?float
    {
        return $this->pending[1] ?? null;
    }

    /** The gesture that has waited long enough by then. */
    public function settle(float $at): ?string
    {
        if ($this->pending === null || $at < $this->pending[1] - 1e-9) {
            return null;
        }
        [$name] = $this->pending;
        $this->pending = null;
        $this->heard = [];

        return $name;
    }

    public function forget(): void
    {
        $this->heard = [];
        $this->pending = null;
    }

    /** @param  list<GesturePart>  $parts */
    private function ends(array $parts): bool
    {
        $at = count($this->heard);
        foreach (array_reverse($parts) as $part) {
            $from = $at - ($part->kind === GesturePart::HOLD ? 1 : $part->times);
            if ($from < 0) {
                return false;
            }
            $these = array_slice($this->heard, $from, $at - $from);
            foreach ($these as $act) {
                if ($act->kind !== $part->kind || ($part->key !== '' && $act->key !== strtolower($part->key))) {
                    return false;
                }
                if (
                    $act->kind === GesturePart::HOLD &&
                    $act->seconds + 1e-9 < ($part->seconds ?? GesturePart::UNTIL_LIT)
                ) {
                    return false;
                }
            }
            $took = $these[count($these) - 1]->at - $these[0]->at;
            if ($part->kind !== GesturePart::HOLD && $part->seconds !== null && $took > $part->seconds + 1e-9) {
                return false;
            }
            $at = $from;
        }

        return true;
    }

    /**
     * Whether a longer gesture begins with a shorter one: the same parts, the last of them with more presses.
     *
     * @param  list<GesturePart>  $long
     * @param  list<GesturePart>  $short
     */
    private function begins(array $long, array $short): bool
    {
        if (count($long) !== count($short)) {
            return false;
        }
        foreach ($short as $n => $part) {
            if ($long[$n]->kind !== $part->kind || strtolower($long[$n]->key) !== strtolower($part->key)) {
                return false;
            }
        }

        return true;
    }

    private static function size(Gesture $g): int
    {
        return array_sum(array_map(static fn(GesturePart $p): int => $p->times, $g->parts));
    }
}
