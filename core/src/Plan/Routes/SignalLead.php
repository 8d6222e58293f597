<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Trigger;
use EmberDusk\Survey\Site\SignalWire;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Figure;

/** A wire from a signal of a vehicle to the unit that it starts something at: one core, which carries next to no current. */
final readonly class SignalLead
{
    /**
     * @param  string  $signal  one of {@see SignalWire::NAMES}
     * @param  SignalWire|null  $noted  in the notes; null until it is
     * @param  string  $unit  id of a controller with inputs
     * @param  Run  $run  the first that the unit works
     * @param  float|null  $metres  null until both positions are known
     */
    private function __construct(
        public string $signal,
        public ?SignalWire $noted,
        public string $unit,
        public Run $run,
        public ?float $metres,
    ) {}

    /** @return list<self> of the signals that start something, each once; none without a unit that has inputs */
    public static function all(Plan $plan): array
    {
        $unit = self::unit($plan);
        if ($unit === null) {
            return [];
        }
        $by = array_map(
            static fn(Trigger $t): string => $t->by,
            array_filter($plan->triggers, static fn(Trigger $t): bool => $t->wired()),
        );

        return array_map(
            static fn(string $signal): self => self::of($plan, $signal, (string) $unit->controller, $unit),
            array_values(array_intersect(SignalWire::NAMES, $by)),
        );
    }

    /** @return list<self> that lead to the unit of a run; of several runs of one unit at the first */
    public static function at(Plan $plan, Run $run): array
    {
        return array_values(array_filter(self::all($plan), static fn(self $l): bool => $l->run->id === $run->id));
    }

    /** "brake from the rear lamp, 1.20 m". */
    public function words(): string
    {
        $from = $this->noted?->spot->where;
        $metres = $this->metres === null ? ', length not known' : ', ' . Figure::print($this->metres, 2) . ' m';

        return $this->signal . ($from === null || $from === '' ? '' : " from {$from}") . $metres;
    }

    /** The first run whose unit has inputs for signals. */
    private static function unit(Plan $plan): ?Run
    {
        foreach ($plan->runs as $run) {
            $kit = $plan->kit[$plan->controllers[$run->controller ?? '']->kit ?? ''] ?? null;
            if (((new Fields($kit->written ?? []))->maybe('profile', self::inputs(...)) ?? 0.0) >= 1) {
                return $run;
            }
        }

        return null;
    }

    private static function inputs(Fields $profile): ?float
    {
        return $profile->numberOrNull('inputs');
    }

    private static function of(Plan $plan, string $signal, string $unit, Run $run): self
    {
        foreach ($plan->places as $place) {
            $sheet = WallNotes::read($place->notes);
            foreach ($sheet->site->signals as $noted) {
                if ($noted->spot->name === $signal) {
                    $at = $sheet->spots[$signal] ?? null;
                    $from = $at === null ? null : new CablePoint($place->id, $at, $noted->spot->up);
                    $way = CableWay::joining($plan, $from, CableWay::where($plan, $unit));

                    return new self($signal, $noted, $unit, $run, $way?->metres());
                }
            }
        }

        return new self($signal, null, $unit, $run, null);
    }
}
