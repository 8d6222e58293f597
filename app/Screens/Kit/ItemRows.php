<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use EmberDusk\Kit\Kinds;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;

/** Other items of the job, and their possible owners. */
final readonly class ItemRows
{
    public static function for(Plan $plan): ItemsPicture
    {
        $goes = [];
        foreach (array_keys(Kinds::beside()) as $kind) {
            $with = self::named($plan, array_map(strval(...), array_keys(SetItem::allowed($plan, $kind))));
            if ($with !== []) {
                $goes[] = new ItemGoes(kind: $kind, with: $with);
            }
        }

        return new ItemsPicture(
            items: array_values(
                array_map(
                    static fn(Item $i): ItemRow => new ItemRow(
                        id: $i->id,
                        kit: $i->kit,
                        kind: $plan->kit[$i->kit]->kind(),
                        name: $plan->kit[$i->kit]->entry->name(),
                        place: $i->place,
                        count: $i->count,
                        on: $i->on ?? '',
                    ),
                    $plan->items,
                ),
            ),
            places: array_values(
                array_map(static fn(Place $p): ItemThing => new ItemThing(id: $p->id, name: $p->name), $plan->places),
            ),
            goes: $goes,
        );
    }

    /**
     * @param  list<string>  $ids
     * @return list<ItemThing>
     */
    private static function named(Plan $plan, array $ids): array
    {
        return array_map(
            static fn(string $id): ItemThing => new ItemThing(
                id: $id,
                name: isset($plan->runs[$id])
                    ? $plan->runs[$id]->name()
                    : strtoupper($id) .
                        (isset($plan->cables[$id])
                            ? ', ' . strtoupper("{$plan->cables[$id]->from} to {$plan->cables[$id]->to}")
                            : ''),
            ),
            $ids,
        );
    }
}
