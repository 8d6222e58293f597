<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Supply\Headroom;
use EmberDusk\Checks\Supply\Swing;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Powers;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChosenSupply;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;

/** Power sources and their places for the runs of one place: supplies on the mains; without mains their bank, straight or through a converter. */
final class PowerSources
{
    /** Volts by which a source and a strip may differ by their names. */
    private const WITHIN = 0.5;

    public readonly Boards $boards;

    /** @var array<int|string, float> by volts */
    private array $sag = [];

    /** @var array<int|string, float> by volts */
    private array $most = [];

    /** @param  RunBank|null  $bank  of runs without mains; null on the mains */
    public function __construct(private readonly Tables $tables, public readonly ?RunBank $bank)
    {
        $this->boards = new Boards($tables);
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @return list<string> possible places
     */
    public function places(array $runs): array
    {
        $places = $this->tables->routes->places($runs, true);
        if ($this->bank === null || $this->kept($runs) !== null) {
            return $places;
        }
        $here = $this->bank->spot !== '' && $this->tables->routes->holds($this->bank->place, $this->bank->spot);

        return $here ? [...$places, $this->bank->spot] : $places;
    }

    /**
     * With the boards that their pixels lack, the cheapest first.
     *
     * @param  non-empty-list<Run>  $runs
     * @param  string  $place  of the supply
     * @param  bool  $all  also those without the headroom
     * @return list<PowerSource>
     */
    public function at(array $runs, string $place, bool $all): array
    {
        $kept = $this->kept($runs);
        if ($kept !== null) {
            return [PowerSource::kept($this->tables->plan, $kept, $this->bank, $this->tables->costs)];
        }
        $sources =
            $this->bank === null
                ? array_map(
                    fn(KitSnapshot $unit): PowerSource => PowerSource::mains($unit, $this->tables->costs),
                    $this->supplies($runs, $all),
                )
                : [
                    ...$this->tapped($runs, $place, $this->bank) ? [PowerSource::tap($this->bank)] : [],
                    ...$this->converters($runs, $place, $this->bank, $all),
                ];
        $sources = array_map(
            fn(PowerSource $s): PowerSource => $s->with($this->boards->for($runs, $place, $s)),
            $sources,
        );
        usort(
            $sources,
            static fn(PowerSource $a, PowerSource $b): int => [$a->total(), $a->decision()] <=> [
                $b->total(),
                $b->decision(),
            ],
        );

        return $sources;
    }

    /** Share of the strip's volts that any of the sources may lose inside at its rated current less the headroom. */
    public function sag(float $volts): float
    {
        return $this->sag[(string) $volts] ??= max([
            0.0,
            ...array_map(
                fn(Supply $s): float => ($s->sourceOhms * $this->tables->plan->limits->usable() * $s->ratedAmps -
                    ($s->emf - $s->volts)) /
                    $volts,
                $this->units($volts),
            ),
        ]);
    }

    /** Share of the strip's volts that any of the sources has at most: a bank at rest has more than its name says. */
    public function most(float $volts): float
    {
        return $this->most[(string) $volts] ??= max([
            1.0,
            ...array_map(static fn(Supply $s): float => $s->emf / $volts, $this->units($volts)),
        ]);
    }

    /** @return list<Supply> that could feed strip of such volts */
    private function units(float $volts): array
    {
        $bank = $this->bank?->supply();
        $kits =
            $bank === null
                ? $this->tables->priced->ofKind(
                    'supply',
                    static fn(object $s): bool => $s instanceof Supply && abs($s->volts - $volts) < self::WITHIN,
                )
                : $this->tables->priced->ofKind(
                    'converter',
                    static fn(object $c): bool => $c instanceof Converter && abs($c->volts - $volts) < self::WITHIN,
                );
        $units = [];
        foreach ($kits as $kit) {
            $units[] = $kit->entry instanceof Powers ? $kit->entry->supply(1, 1) : null;
        }

        return array_values(
            array_filter([...$units, $bank !== null && abs($bank->volts - $volts) < self::WITHIN ? $bank : null]),
        );
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  bool  $all  also those without the headroom
     * @return list<KitSnapshot>
     */
    private function supplies(array $runs, bool $all): array
    {
        $strip = $this->tables->strip($runs[0]);

        return $this->large(
            $this->tables->priced->ofKind(
                'supply',
                static fn(object $s): bool => $s instanceof Supply && abs($s->volts - $strip->volts) < self::WITHIN,
            ),
            $this->watts($runs),
            $this->tables->all($all, WishKind::Supply),
        );
    }

    /**
     * Units large enough for so many watts with the job's headroom.
     *
     * @param  list<KitSnapshot>  $units
     * @param  bool  $all  also those without the headroom; overloaded ones, whose volts sag, only where there are no others
     * @return list<KitSnapshot>
     */
    private function large(array $units, float $watts, bool $all): array
    {
        $rated = static fn(KitSnapshot $u): ?Supply => $u->entry instanceof Powers ? $u->entry->supply(1, 1) : null;
        if (!$all) {
            $enough = fn(Supply $s): bool => Headroom::enough($this->tables->plan, $s, $watts);
        } else {
            $enough = static fn(Supply $s): bool => $watts <= $s->ratedWatts() + 1e-9;
        }
        $large = array_values(
            array_filter($units, static fn(KitSnapshot $u): bool => ($s = $rated($u)) !== null && $enough($s)),
        );

        return $all && $large === [] ? $units : $large;
    }

    /**
     * Converters at a place, each behind each cable that a fuse of the shelf protects.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<PowerSource>
     */
    private function converters(array $runs, string $place, RunBank $bank, bool $all): array
    {
        $metres = $this->input($place, $bank);
        if ($metres === null) {
            return [];
        }
        $laid = $this->laid($bank);
        $pinned = array_filter($runs, static fn(Run $r): bool => in_array('cables', $r->pins, true)) !== [];
        $cables = $pinned && $laid !== null ? [$this->tables->plan->kit[$laid->kit]] : $this->tables->priced->cables(2);
        $strip = $this->tables->strip($runs[0]);
        $from = $bank->supply();
        $sources = [];
        $units = $this->tables->priced->ofKind(
            'converter',
            static fn(object $c): bool => $c instanceof Converter &&
                abs($c->volts - $strip->volts) < self::WITHIN &&
                $c->inputLeast <= ($from->lowest ?? $from->emf) &&
                ($from->charging ?? $from->emf) <= $c->inputMost,
        );
        foreach ($this->large($units, $this->watts($runs), $this->tables->all($all, WishKind::Converter)) as $unit) {
            foreach ($cables as $cable) {
                $fuse = $this->tables->priced->fuse($this->tables->carries($cable), $from->charging ?? $from->emf);
                if ($fuse !== null) {
                    $sources[] = PowerSource::converter(
                        unit: $unit,
                        bank: $bank,
                        input: $cable,
                        metres: $metres,
                        fuse: $fuse,
                        ohms: $this->tables->ohms($cable, $metres) + BlockOhms::ENDS,
                        switch: $this->tables->plan->kit[$laid->switch ?? ''] ?? null,
                        costs: $this->tables->costs,
                    );
                }
            }
        }

        return $sources;
    }

    /**
     * Whether a bank can be the supply itself at a place: where it is, at the volts of the strip.
     *
     * @param  non-empty-list<Run>  $runs
     */
    private function tapped(array $runs, string $place, RunBank $bank): bool
    {
        $strip = $this->tables->strip($runs[0]);
        $now = $this->now($place);
        $there =
            $now === null ? $bank->place === $runs[0]->place && $place === $bank->spot : $now->supply === $bank->unit;

        return $there &&
            ($bank->unit !== null || $now === null) &&
            $this->tables->wish?->kind !== WishKind::Converter &&
            abs($bank->supply()->volts - $strip->volts) < self::WITHIN &&
            !Swing::certain($this->tables->plan->limits, $strip, $bank->supply(), $this->watts($runs) / $strip->volts);
    }

    /** Metres of cable from a bank to a converter at a place; null where it has no room, or the way is unknown. */
    private function input(string $place, RunBank $bank): ?float
    {
        $now = $this->now($place);
        if ($now === null && $place === $bank->spot) {
            return null;
        }
        $laid = $this->laid($bank);
        $stands = $this->tables->plan->supplies[$laid->to ?? '']->stands ?? null;
        if ($laid !== null && ($now?->supply === $laid->to || ($stands !== null && $stands->spot === $place))) {
            return $laid->length;
        }
        if ($now !== null && $now->supply !== null) {
            return $now->supply === $bank->unit ? ChosenSupply::INPUT : null;
        }
        if ($bank->spot !== '' && $this->tables->routes->holds($bank->place, $bank->spot)) {
            return $this->tables->routes->trunk($bank->spot, $place);
        }

        return $laid !== null &&
            $stands !== null &&
            $stands->spot !== '' &&
            $this->tables->routes->holds($stands->place, $stands->spot)
            ? round($laid->length + $this->tables->routes->trunk($stands->spot, $place), 2)
            : null;
    }

    /** The cable from the bank to the first converter on it, as it is laid now. */
    private function laid(RunBank $bank): ?LaidCable
    {
        foreach ($bank->unit === null ? [] : $this->tables->plan->supplies as $id => $device) {
            $cable = $device->bank === $bank->unit ? $this->tables->plan->ways()->cableTo($id) : null;
            if ($cable !== null) {
                return $cable;
            }
        }

        return null;
    }

    private function now(string $place): ?Run
    {
        return str_starts_with($place, Routes::NOW)
            ? $this->tables->plan->run(substr($place, strlen(Routes::NOW)))
            : null;
    }

    /** @param  non-empty-list<Run>  $runs  The unit that stays, of runs with pinned kit. */
    private function kept(array $runs): ?string
    {
        foreach ($runs as $run) {
            if (in_array('kit', $run->pins, true) && isset($this->tables->plan->supplies[$run->supply ?? ''])) {
                return $run->supply;
            }
        }

        return null;
    }

    /** @param  non-empty-list<Run>  $runs  Watts by their labels. */
    private function watts(array $runs): float
    {
        return array_sum(
            array_map(
                fn(Run $r): float => $this->tables->strip($r)->wattsPerMetre() *
                    $this->tables->plan->of($r)->litLength() *
                    $r->cap,
                $runs,
            ),
        );
    }
}
