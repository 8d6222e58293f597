<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Kit\ChooseModule;
use EmberDusk\Plan\Changes\Kit\HangFixture;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Routes\ControlLine;
use EmberDusk\Values\Fix;

/** The job's fixtures, each with the modules and supplies that could feed and dim it. */
final readonly class FixtureRows
{
    private function __construct(private JobState $state) {}

    /** @return list<FixtureRow> */
    public static function for(JobState $state): array
    {
        return (new self($state))->rows();
    }

    /** @return list<WireWay> cables on the way to fixtures, each once */
    public static function cables(JobState $state): array
    {
        $cables = [];
        foreach (array_keys($state->plan->fixtures) as $id) {
            $cables += array_reverse($state->plan->ways()->wayTo((string) $id), true);
        }

        return array_values(
            array_map(
                static fn(LaidCable $c): WireWay => new WireWay(
                    way: strtoupper($c->from) . ' to ' . strtoupper($c->to),
                    cable: Ribbons::cable($state, $c, null),
                ),
                $cables,
            ),
        );
    }

    /** @return list<FixtureRow> */
    private function rows(): array
    {
        $plan = $this->state->plan;
        $rows = [];
        foreach ($plan->fixtures as $id => $fitting) {
            $fixture = $plan->fixture($fitting->kit);
            $result = $this->state->fitting($id);
            $cable = $plan->ways()->cableTo($id);
            if ($fixture === null) {
                continue;
            }
            $module = $plan->module($fitting->module);
            $dim = !$fixture->lowVoltage() ? Dimmer::says($fixture->dim) : 'low voltage';
            $line = ControlLine::of($plan, (string) $fitting->module);
            $laid = $line?->cableTo($id);
            $note = implode(
                '; ',
                array_filter([
                    $laid === null
                        ? ''
                        : sprintf(
                            'control line %s, %s, loses %.2f V',
                            strtoupper($laid->id),
                            $plan->terms->say($laid->length),
                            $line->drop($id, $plan->ways()->core($laid)),
                        ),
                    $line?->addresses($id),
                ]),
            );
            $volts = $result !== null ? sprintf('%.2f', $result->volts) : '';
            if ($fixture->lowVoltage()) {
                $choices = $this->supplies($id);
            } else {
                $choices = $this->modules($id, $fixture->dim);
            }
            $rows[] = new FixtureRow(
                id: $id,
                kit: $fitting->kit,
                name: $fixture->name(),
                place: $plan->places[$fitting->place]->name ?? '',
                placeId: $fitting->place,
                count: $fitting->count,
                watts: sprintf('%g', $fitting->count * $fixture->watts),
                dim: $dim,
                on: $fixture->lowVoltage() ? strtoupper($cable->from ?? '') : $module?->name() ?? '',
                note: $note,
                volts: $volts,
                choices: $choices,
            );
        }

        return $rows;
    }

    /** @return list<Fix> */
    private function supplies(string $fitting): array
    {
        $cable = null;
        foreach ($this->state->shelf->ofKind('cable') as $snapshot) {
            $cable ??=
                $snapshot->entry instanceof Cable &&
                $snapshot->entry->cores === 2 &&
                $snapshot->entry->conductor->system === $this->state->plan->terms->wire &&
                $snapshot->entry->conductor->capacity !== null
                    ? $snapshot->entry->id()
                    : null;
        }
        if ($cable === null) {
            return [];
        }

        return array_map(
            fn(string $id): Fix => new Fix(
                'Connect to ' . strtoupper($id),
                HangFixture::payload(
                    fixture: $fitting,
                    on: $id,
                    kit: $this->state->plan->ways()->cableTo($fitting)->kit ?? $cable,
                ),
            ),
            array_keys($this->state->plan->supplies),
        );
    }

    /** @return list<Fix> */
    private function modules(string $fitting, string $dim): array
    {
        $choices = [];
        $now = $this->state->plan->fixtures[$fitting]->module;
        foreach (array_keys($this->state->plan->modules) as $id) {
            if ((string) $id !== $now && ControlLine::method($this->state->plan, (string) $id) === $dim) {
                $choices[] = new Fix('Under ' . strtoupper($id), ChooseModule::payload(fixture: $fitting, module: $id));
            }
        }
        $kinds = array_merge(
            ...array_map(fn(string $kind): array => $this->state->shelf->ofKind($kind), array_keys(Dimmer::DIMS)),
        );
        foreach (
            array_filter(
                $kinds,
                static fn(KitSnapshot $f): bool => $f->entry instanceof Dimmer && $f->entry->dims($dim),
            )
            as $snapshot
        ) {
            $choices[] = new Fix(
                'Use ' . $snapshot->entry->name(),
                ChooseModule::payload(fixture: $fitting, kit: $snapshot->entry->id()),
            );
        }

        return $choices;
    }
}
