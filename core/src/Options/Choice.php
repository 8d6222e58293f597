<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Kit\Entry;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;

/** The least dear entry that fits; owned ones first where that is wanted. Ties go to the order of the shelf. */
final readonly class Choice
{
    public function __construct(private Plan $plan, private bool $ownedFirst) {}

    /**
     * @template T of Entry
     *
     * @param  list<KitSnapshot>  $entries
     * @param  class-string<T>  $kind
     * @param  callable(T): bool  $fits
     * @param  (callable(T, KitSnapshot): list<int|float>)|null  $before  what counts before the price, less is better
     */
    public function least(array $entries, string $kind, callable $fits, ?callable $before = null): ?KitSnapshot
    {
        $best = null;
        $rank = null;
        foreach ($entries as $snapshot) {
            $entry = $snapshot->entry;
            if (!($entry instanceof $kind) || !$fits($entry)) {
                continue;
            }
            $own = [
                (int) (!$this->ownedFirst || !isset($this->plan->owned[$entry->id()])),
                ...$before === null ? [] : $before($entry, $snapshot),
                isset($this->plan->owned[$entry->id()]) ? 0.0 : $this->plan->terms->price($snapshot) ?? INF,
            ];
            if ($rank === null || $own < $rank) {
                [$best, $rank] = [$snapshot, $own];
            }
        }

        return $best;
    }
}
