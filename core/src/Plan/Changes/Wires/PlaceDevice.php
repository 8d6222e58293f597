<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Standing;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\InvalidInput;

/** Places a supply, controller, hub, module or other item; unmeasured cables get their length from there. */
final readonly class PlaceDevice extends Change
{
    private function __construct(private string $device, private ?Standing $stands) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('device', 40), $f->maybe('stands', Standing::read(...)));
    }

    /** Null: position unknown again. */
    public static function payload(string $device, ?Standing $stands): ChangePayload
    {
        return ChangePayload::given('PlaceDevice', device: $device, stands: $stands?->write());
    }

    protected function changed(Plan $plan): Plan
    {
        if ($this->stands !== null) {
            self::check($plan, $this->stands);
        }
        foreach (['supplies', 'controllers', 'hubs', 'modules'] as $list) {
            $device = $plan->{$list}[$this->device] ?? null;
            if ($device instanceof Device) {
                return CableWay::reckoned(
                    $plan->put($list, $device->id, $device->standing($this->stands)),
                    static fn(LaidCable $c): bool => in_array($device->id, [$c->from, $c->to], true),
                );
            }
        }
        $item = $plan->items[$this->device] ?? null;
        if ($item !== null) {
            $place = $this->stands === null ? $item->place : $this->stands->place;

            return $plan->put('items', $item->id, $item->standing($this->stands)->in($place));
        }

        throw InvalidInput::at('/device', "The job has no “{$this->device}” to place. Reload the page.");
    }

    public function words(Plan $plan): string
    {
        $name = strtoupper($this->device);

        if ($this->stands === null) {
            return "{$name} is not placed";
        }

        return "{$name} placed at {$this->stands->words($plan->terms->length)}";
    }

    /** @throws InvalidInput where there is no such place, spot or wall */
    private static function check(Plan $plan, Standing $stands): void
    {
        $place =
            $plan->places[$stands->place] ??
            throw InvalidInput::at('/stands/place', 'The job has no such place any more. Reload the page.');
        $sheet = WallNotes::read($place->notes);
        if ($stands->wall === null) {
            if ($sheet->site->spot($stands->spot) === null) {
                throw InvalidInput::at(
                    '/stands/spot',
                    $stands->spot === ''
                        ? 'Choose an outlet or a box, or a wall and the distance along it.'
                        : "The notes of {$place->name} have no “{$stands->spot}”. Add it there first, such as “box {$stands->spot} at 1.20, 40x30x12”.",
                );
            }

            return;
        }
        $leg = $sheet->legs[$stands->wall] ?? null;
        if ($leg === null) {
            throw InvalidInput::at('/stands/wall', "{$place->name} has no wall " . ($stands->wall + 1) . '.');
        }
        if ($stands->at > $leg->length + 1e-9) {
            throw InvalidInput::at(
                '/stands/at',
                'Wall ' . ($stands->wall + 1) . " is {$plan->terms->say($leg->length)} long; that is beyond its end.",
            );
        }
    }
}
