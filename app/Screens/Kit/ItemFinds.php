<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Kit\Shelves;
use App\Models\KitEntry;
use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Joining\ControlFit;
use EmberDusk\Plan\Plan;

/** Shelf entries that were found for the other items of a job, those that fit first. */
final readonly class ItemFinds implements View
{
    use WrittenRecord;

    /** Number of entries shown. */
    private const MOST = 10;

    /** @param  list<ItemFind>  $entries */
    public function __construct(#[Field(of: ItemFind::class)] public array $entries) {}

    /** @param  iterable<KitEntry>  $found */
    public static function for(Plan $plan, iterable $found): self
    {
        $entries = [];
        foreach ($found as $entry) {
            $entries[] = new ItemFind(
                id: $entry->entry_id,
                kind: $entry->kind,
                name: $entry->name,
                misfit: ControlFit::misfit($plan, Shelves::frozen($entry->document)),
            );
        }
        usort($entries, static fn(ItemFind $a, ItemFind $b): int => ($a->misfit !== null) <=> ($b->misfit !== null));

        return new self(array_slice($entries, 0, self::MOST));
    }
}
