<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Routes\MainsWay;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Source;
use EmberDusk\Rates\Work;

/** Steps that fix supplies and controllers and lay cables. What runs and fixtures share, the first of them brings. */
final class InstallSteps
{
    /** @var array<string, string> the step that fixes a supply or controller */
    private array $fixed = [];

    /** @var array<string, string> the step that lays a cable */
    private array $laid = [];

    /** @var array<string, array<string, LaidCable>> cables that are laid for a run or fixtures first, by their id */
    private array $new = [];

    public function __construct(private readonly Plan $plan, private readonly StepList $list) {}

    /**
     * @param  list<string|null>  $devices  that feed it
     * @param  array<string, LaidCable>  $ways  to it
     * @param  list<string>  $after
     * @return list<string> the steps after which all are there
     */
    public function steps(Run|Fitting $of, array $devices, array $ways, array $after): array
    {
        return $this->lay($of, $ways, $this->fix($of, $devices, $after));
    }

    /** @return array<string, LaidCable> that are laid for a run or fixtures first */
    public function cables(string $id): array
    {
        return $this->new[$id] ?? [];
    }

    /**
     * @param  list<string|null>  $devices
     * @param  list<string>  $after
     * @return list<string>
     */
    private function fix(Run|Fitting $of, array $devices, array $after): array
    {
        $units = [];
        foreach ($devices as $device) {
            if (
                $device !== null &&
                ($this->plan->supplies[$device] ?? ($this->plan->controllers[$device] ?? null))?->there === false
            ) {
                $units[$device] = $device;
            }
        }
        $units = array_values($units);
        $new = array_values(array_filter($units, fn(string $u): bool => !isset($this->fixed[$u])));
        if ($new !== []) {
            $set = array_values(array_filter(array_map(fn(string $u): ?string => $this->set($of, $u), $new)));
            $step = $this->list->addFor(
                of: $of,
                kind: Work::Supply,
                title: $this->title($new),
                why: 'Cables start at these units.',
                units: count($new),
                people: 1,
                tools: ['drill', 'screwdriver'],
                caution: $this->caution($new),
                after: [...$after, ...$set],
            );
            foreach ($new as $unit) {
                $this->fixed[$unit] = $this->mains($of, $unit, $step) ?? $step;
            }
        }
        $there = array_values(array_unique(array_map(fn(string $u): string => $this->fixed[$u], $units)));

        if ($there === []) {
            return $after;
        }

        return $there;
    }

    /** The step in which a controller's switch or jumpers are set and its firmware is loaded, before it is mounted; null where it has none. */
    private function set(Run|Fitting $of, string $unit): ?string
    {
        $controller = $this->plan->controller($unit);
        $does = $controller?->settings() ?? [];
        if ($controller === null || $does === []) {
            return null;
        }
        $firmware = $controller->pixels?->firmware === true;
        $why = match (true) {
            $controller->hasJumpers()
                => "Set volts and data pin before you connect anything. Jumpers: {$controller->setting}.",
            $controller->setByHand()
                => 'On a bench supply of the strip’s volts, before mounting: its lamps are hidden afterwards.',
            default => 'Over its data lead, with its supply lead lifted. Enter kind, colour order and count at once.',
        };
        $caution = $controller->hasJumpers()
            ? 'Supply off while a jumper is set.'
            : 'Set it before power is switched on.';

        return $this->list->add(
            kind: Work::Settings,
            of: $unit,
            place: $this->plan->places[$of->place]->name ?? '',
            title: strtoupper($unit) . ': ' . implode(' and ', $does) . ' on the bench',
            why: $why,
            units: (float) count($does),
            people: 1,
            tools: array_values(
                array_filter([
                    $firmware ? 'computer with a data lead' : '',
                    $controller->setByHand() ? 'bench supply' : '',
                ]),
            ),
            caution: $firmware
                ? 'Never two supplies on a board: the data lead is one. Lift its supply lead first.'
                : $caution,
            after: [],
            wait: 0,
            needs: [$this->plan->controllers[$unit]->kit],
        );
    }

    /** The step that brings mains to a supply away from outlets. */
    private function mains(Run|Fitting $of, string $unit, string $after): ?string
    {
        $supply = $this->plan->supplies[$unit] ?? null;
        $way = $supply !== null ? MainsWay::to($this->plan, $supply) : null;
        if ($way?->outlet === null) {
            return null;
        }

        return $this->list->add(
            kind: Work::Mains,
            of: $unit,
            place: $this->plan->places[$of->place]->name ?? '',
            title: strtoupper($unit) .
                ": mains from {$way->outlet}" .
                ($way->metres > 0 ? ", {$this->plan->terms->say($way->metres)} of cable" : ', length to be measured'),
            why: 'It is not at an outlet.',
            units: 1.0,
            people: 1,
            tools: [],
            caution: 'A licensed person lays and connects it, and local codes decide how. Waiting time while the electrician works.',
            after: [$after],
        );
    }

    /** @param  non-empty-list<string>  $new */
    private function caution(array $new): string
    {
        $mains = array_filter($new, fn(string $u): bool => $this->plan->power()->sourceOf($u) === Source::Mains);

        return $mains === []
            ? 'Leave air around it. ' . BatterySteps::CAUTION
            : 'Leave air around a supply. Mains terminals are for a licensed person.';
    }

    /** @param  non-empty-list<string>  $new */
    private function title(array $new): string
    {
        $unit = $this->plan->controller($new[count($new) - 1])?->pixels === null ? 'controller' : 'pixel board';
        $kind = isset($this->plan->supplies[$new[0]]) ? 'supply' : $unit;
        $supplies = count(array_filter($new, fn(string $u): bool => isset($this->plan->supplies[$u])));

        return match (true) {
            count($new) === 1 => "fix the {$kind}",
            $supplies === 0 => "fix the {$unit}s",
            $supplies === count($new) => 'fix the supplies',
            $supplies > 1 => "fix supplies and {$unit}",
            default => "fix supply and {$unit}",
        };
    }

    private function laying(Run|Fitting $of): string
    {
        if ($of instanceof Run && in_array('moving', $of->mounting, true)) {
            return 'Parked and held. Keep leads clear of wheels, chain and hinges, and guard them where they pass through metal.';
        }
        $units = [
            $this->plan->supplies[$of->supply ?? ''] ?? null,
            $this->plan->controllers[$of->controller ?? ''] ?? null,
        ];
        $high = array_filter($units, static fn($u): bool => ($u?->stands->up ?? 0.0) > Run::REACH);
        if ($of instanceof Run && $of->reached() && $high === []) {
            return '';
        }

        return 'Set the ladder on firm ground, with a second person to hold it.';
    }

    /**
     * @param  array<string, LaidCable>  $ways
     * @param  list<string>  $after
     * @return list<string>
     */
    private function lay(Run|Fitting $of, array $ways, array $after): array
    {
        $new = array_diff_key($ways, $this->laid);
        $data = DataLead::separateTo($this->plan, $of->id);
        if ($new !== [] || $data !== null) {
            $metres =
                array_sum(array_map(static fn(LaidCable $c): float => $c->existing ? 0.0 : $c->length, $new)) +
                ($data->metres ?? 0.0);
            $step = $this->list->addFor(
                of: $of,
                kind: Work::Cables,
                title: 'lay cables' . ($data === null ? '' : ' and the data wire') . ', mark both ends',
                why: 'Mark the leads first: left, right, left along the strip.',
                units: $metres,
                people: 1,
                tools: ['cutter', 'labels'],
                caution: $this->laying($of),
                after: $after,
            );
            $this->laid += array_fill_keys(array_keys($new), $step);
            $this->new[$of->id] = $new;
        }
        $steps = array_map(fn(LaidCable $c): string => $this->laid[$c->id], $ways);
        if (isset($step)) {
            $steps[] = $step;
        }

        return $steps === [] ? $after : array_values(array_unique($steps));
    }
}
