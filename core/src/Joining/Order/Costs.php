<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

use EmberDusk\Joining\Families;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;

/**
 * Cost of moves for one person, in full seconds of walking, gestures and waits: batches of joins that share a search, and links in turn. Common
 * practice, no source: docs/model.md 11.
 */
final readonly class Costs
{
    /** Power of a unit on or off; a light identified; one named; extra time of a single task besides its gestures. */
    public const POWER = 3;

    public const IDENTIFY = 6;

    public const NAME = 10;

    public const LINKED = 3;

    public const OTHER = 20;

    public function __construct(private Roster $roster) {}

    /**
     * A search with joins that share it, in their order.
     *
     * @param  non-empty-list<Task>  $batch
     * @param  array<string, true>  $powered
     * @return MoveCost|null null if longer than the search
     */
    public function batch(array $batch, string $place, array $powered): ?MoveCost
    {
        $hub = $this->roster->unit($batch[0]->search ?? $batch[0]->other);
        $seconds = 0;
        foreach ($batch as $task) {
            $unit = $this->roster->unit($task->device);
            $seconds += $this->roster->walk($place, $unit->id) + $this->on($unit, $powered) + $this->join($unit);
            $place = $unit->id;
        }
        $taps = $hub->leaflet->figure('taps') ?? StepBuilder::TAPS;
        if (count($batch) > 1 && !$this->fits($batch, $hub, $seconds, $taps)) {
            return null;
        }
        $seconds += (int) ceil($taps);
        $lights = array_filter($batch, fn(Task $t): bool => $this->roster->unit($t->device)->lights());
        if ($lights !== []) {
            $seconds += (int) ceil($hub->leaflet->seconds('lagMost'));
        }
        foreach ($lights as $task) {
            $seconds += $this->roster->walk($place, $task->device) + self::IDENTIFY + self::NAME;
            $place = $task->device;
        }

        return new MoveCost($seconds, $place, $powered);
    }

    /**
     * Whether a batch ends before the search does; where windows open first, before the first of them closes.
     *
     * @param  non-empty-list<Task>  $batch
     */
    private function fits(array $batch, Unit $hub, int $seconds, float $taps): bool
    {
        $units = array_map(fn(Task $t): Unit => $this->roster->unit($t->device), $batch);
        $shut = min(array_map(static fn(Unit $u): float => $u->leaflet->figure('listens') ?? INF, $units));
        $takes = max(array_map(static fn(Unit $u): float => $u->leaflet->seconds('takesMost'), $units));
        $walks = 0;
        foreach (array_slice($units, 1) as $n => $unit) {
            $walks += $this->roster->walk($units[$n]->id, $unit->id);
        }

        return match ($this->roster->school->timing) {
            TimingMethod::EARLY => 4 * count($batch) + $walks + $takes <= $shut,
            // Reset before the search with a reset each: the way through the app is longer than the time after a second reset.
            TimingMethod::RESET_FIRST => $seconds + $taps <= $shut,
            default => $seconds <= ($hub->leaflet->figure('search') ?? 60.0),
        };
    }

    private function join(Unit $unit): int
    {
        $gestures = array_filter([
            $unit->leaflet->gesture('reset'),
            $unit->lights() ? null : $unit->leaflet->gesture('join'),
        ]);

        return (int) ceil(array_sum(array_map(static fn($g): float => $g->takes(), $gestures))) +
            (int) ceil($unit->leaflet->seconds('takesMost'));
    }

    /** @param  array<string, true>  $powered */
    private function on(Unit $unit, array &$powered): int
    {
        if (isset($powered[$unit->id]) || !StepBuilder::switched($unit)) {
            return 0;
        }
        $powered[$unit->id] = true;

        return self::POWER;
    }

    /**
     * A link of one remote with one controller, or any task that shares nothing.
     *
     * @param  array<string, true>  $powered
     */
    public function single(Task $task, string $place, array $powered): MoveCost
    {
        $device = $this->roster->unit($task->device);
        $other = $this->roster->has($task->other) ? $this->roster->unit($task->other) : $device;
        $at = $task->what === Task::LINK ? $other : $device;
        $seconds = $this->roster->walk($place, $at->id);
        $brought = $task->what === Task::LINK && $this->roster->brought($at->id, $device->id);
        if ($brought) {
            // There and back, and its leads at both ends.
            $seconds += 2 * (int) ceil(StepBuilder::BROUGHT) + 2 * $this->roster->walk($at->id, $device->id);
        }
        if ($task->what !== Task::LINK) {
            $seconds += $this->on($at, $powered) + self::OTHER;

            return new MoveCost($seconds, $at->id, $powered);
        }
        if (Families::say($at, FamilyFact::HearsLinks)) {
            foreach (StepBuilder::near($this->roster, $at->id, 2.0, $brought ? $device->id : null) as $near) {
                if (isset($powered[$near])) {
                    unset($powered[$near]);
                    $seconds += self::POWER;
                }
            }
        }
        $seconds += $this->on($at, $powered) + $this->on($device, $powered);
        // A device without a gesture or a delay for links listens at once.
        $opens = $at->leaflet->gesture('link')?->takes() ?? ($at->leaflet->figure('linkFrom') ?? 0.0);
        $links = $device->leaflet->gesture('link')?->takes() ?? 0.0;
        ksort($powered);

        return new MoveCost($seconds + (int) ceil($opens) + (int) ceil($links) + self::LINKED, $at->id, $powered);
    }
}
