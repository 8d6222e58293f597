<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use EmberDusk\Plan\BoxRoom;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\Site\Box;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallSheet;

/** Positions: the units of the job, the free room of each box, and possible places. */
final readonly class StandingRows
{
    /** @return list<StandingUnit> */
    public static function units(Plan $plan): array
    {
        return array_map(
            static fn(Device $d): StandingUnit => new StandingUnit(
                id: $d->id,
                name: ($plan->kit[$d->kit] ?? null)?->entry->name() ?? $d->kit,
                words: $d->stands?->words($plan->terms->length) ?? '',
                stands: $d->stands,
                at: self::at($plan, $d),
            ),
            $plan->devices(),
        );
    }

    /** @return list<BoxRoomView> */
    public static function boxes(Plan $plan, Place $place, WallSheet $sheet): array
    {
        return array_map(static function (Box $box) use ($plan, $place): BoxRoomView {
            $room = BoxRoom::for($plan, $place->id, $box);
            $share = $room->share();
            $still = [];
            foreach ($plan->devices() as $device) {
                $kit = $plan->kit[$device->kit] ?? null;
                if ($kit !== null && !isset($room->units[$device->id]) && $room->fits($kit) === true) {
                    $still[] = strtoupper($device->id);
                }
            }

            $taken = $share === null ? '' : ($room->allKnown() ? '' : 'at least ') . sprintf('%.0f %%', 100 * $share);

            return new BoxRoomView(
                name: $box->spot->name,
                holds: array_map(strtoupper(...), array_keys($room->units)),
                taken: $taken,
                most: sprintf('%.0f %%', 100 * BoxRoom::FULL),
                still: $still,
            );
        }, $sheet->site->boxes);
    }

    /** @return list<float>|null metres on the sheet of its place */
    private static function at(Plan $plan, Device $device): ?array
    {
        $stands = $device->stands;
        $place = $plan->places[$stands->place ?? ''] ?? null;
        if ($stands === null || $place === null) {
            return null;
        }
        $sheet = WallNotes::read($place->notes);
        $point = $stands->on($sheet);

        if ($point instanceof Point) {
            return [$point->x, $point->y];
        }

        return null;
    }
}
