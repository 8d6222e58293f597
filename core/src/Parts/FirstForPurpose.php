<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** The first shelf entry for a purpose. */
final readonly class FirstForPurpose
{
    /** Sizes that supplies are connected with (common practice, no source). */
    private const MAINS = ['1.5 mm²', '14 AWG'];

    public function __construct(private ShelfSource $shelf) {}

    /** A consumable by its use. */
    public function consumable(string $use): ?KitSnapshot
    {
        return $this->first('consumable', static fn(Fields $f): bool => $f->has('use') && $f->string('use') === $use);
    }

    /** The first connector of a kind of joint; by default a soldered joint of two cores. */
    public function joint(string $kind = 'solder'): ?KitSnapshot
    {
        return $this->first('connector', static fn(Fields $f): bool => $f->string('joint') === $kind);
    }

    /** Cable for mains: three cores of 1.5 mm² or AWG 14, the first on the shelf; local rules decide. */
    public function mains(): ?KitSnapshot
    {
        foreach ($this->shelf->ofKind('cable') as $snapshot) {
            $cable = $snapshot->entry;
            if (
                $cable instanceof Cable &&
                $cable->cores === 3 &&
                in_array($cable->conductor->label(), self::MAINS, true)
            ) {
                return $snapshot;
            }
        }

        return null;
    }

    /** Cable for data: the fewest cores that are enough, the thinnest of those; it carries next to no current. */
    public function dataWire(int $cores): ?KitSnapshot
    {
        $fits = array_filter(
            $this->shelf->ofKind('cable'),
            static fn(KitSnapshot $s): bool => $s->entry instanceof Cable && $s->entry->cores >= $cores,
        );
        $size = static fn(KitSnapshot $s): array => $s->entry instanceof Cable
            ? [$s->entry->cores, $s->entry->conductor->area()]
            : [];
        usort($fits, static fn(KitSnapshot $a, KitSnapshot $b): int => $size($a) <=> $size($b));

        return $fits[0] ?? null;
    }

    /** The profile that was chosen for a run; else the first for outdoors or indoors that takes the strip's heat, or the first for there that does not. */
    public function profile(Plan $plan, Run $run): ?KitSnapshot
    {
        return $plan->kit[$plan->of($run)->making()->profile ?? ''] ?? $this->usualProfile($plan, $run);
    }

    public function usualProfile(Plan $plan, Run $run): ?KitSnapshot
    {
        $damp = $plan->of($run)->damp();
        $watts = $plan->strip($run->strip)?->wattsPerMetre() ?? 0.0;
        $fits = static fn(Fields $f): bool => ($f->has('outdoors') && $f->flag('outdoors')) === $damp;
        $takes = static fn(Fields $f): bool => ($f->numberOrNull('heatWatts') ?? INF) >= $watts;

        return $this->first('profile', static fn(Fields $f): bool => $fits($f) && $takes($f)) ??
            ($this->first('profile', $fits) ?? $this->first('profile', static fn(): bool => true));
    }

    public function diffuser(Plan $plan, Run $run): ?KitSnapshot
    {
        return $plan->kit[$plan->of($run)->making()->diffuser ?? ''] ?? $this->usualDiffuser();
    }

    public function usualDiffuser(): ?KitSnapshot
    {
        return $this->first('diffuser', static fn(): bool => true);
    }

    /** How many uses one that is bought holds. */
    public static function for(?KitSnapshot $kit): float
    {
        return max(1e-6, (new Fields($kit->written ?? []))->numberOrNull('per') ?? 1.0);
    }

    /** @param  callable(Fields): bool  $fits */
    private function first(string $kind, callable $fits): ?KitSnapshot
    {
        foreach ($this->shelf->ofKind($kind) as $snapshot) {
            if ($fits(new Fields($snapshot->written))) {
                return $snapshot;
            }
        }

        return null;
    }
}
