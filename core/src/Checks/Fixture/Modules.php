<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Fixture;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\Fixture;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Kit\ChooseModule;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ControlLine;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/**
 * Rules of dimming modules: watts of LED load and the least load (phase-cut), the current of the control line (0-10 V),
 * addresses and bus current (DALI: 64 addresses, 250 mA, 2 mA a device; IEC 62386, from memory).
 */
final readonly class Modules extends Check
{
    private const MAINS = 'Mains work is for a licensed person; local codes decide.';

    public function rules(): array
    {
        return [
            new Rule('no-module', 'fixture', 'every mains-dimmed fixture has a dimmer', Rule::OWN),
            new Rule('phase-watts', 'module', 'a phase-cut module is rated for its LED watts', Rule::LEAFLET),
            new Rule('phase-least', 'module', 'a phase-cut module has its least load', Rule::LEAFLET),
            new Rule(
                'analog-current',
                'module',
                'the inputs of 0-10 V fixtures draw no more than the line supplies: 1 mA each',
                Rule::PRACTICE,
            ),
            new Rule('module-kind', 'module', 'a module and its fixtures use the same dimming method', Rule::LEAFLET),
            new Rule(
                'analog-sinks',
                'module',
                'a 0-10 V module takes the current that its fixtures send',
                'IEC 60929 annex E, from memory',
            ),
            new Rule('analog-off', 'module', '0-10 V fixtures can be switched off', Rule::PRACTICE),
            new Rule('dali-addresses', 'module', 'a DALI line has at most 64 addresses', 'IEC 62386, from memory'),
            new Rule(
                'dali-current',
                'module',
                'a DALI line gives at most 250 mA, 2 mA a device',
                'IEC 62386, from memory',
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        return $this->for($job->plan, $job->shelf);
    }

    /** @return list<Finding> */
    public function for(Plan $plan, ?ShelfSource $shelf): array
    {
        $findings = [];
        foreach ($plan->fixtures as $id => $fitting) {
            $fixture = $plan->fixture($fitting->kit);
            $dimmer = $plan->module($fitting->module);
            if (
                $fixture !== null &&
                $dimmer !== null &&
                ControlLine::method($plan, (string) $fitting->module) !== $fixture->dim
            ) {
                $findings[] = $this->otherKind($plan, $fitting, $fixture, $dimmer, $shelf);
            }
            if ($fixture !== null && $fitting->module === null && in_array($fixture->dim, Dimmer::DIMS, true)) {
                $findings[] = $this->rule('no-module')->open(
                    place: new FindingPlace(JobStage::Wire, $id),
                    title: strtoupper($id) . ": no dimmer for {$fitting->count} x {$fixture->name()}",
                    detail: 'Choose a module. ' . self::MAINS,
                    fixes: self::take($plan, $id, $shelf),
                );
            }
        }
        foreach (array_keys($plan->modules) as $id) {
            $dimmer = $plan->module($id);
            if ($dimmer !== null) {
                array_push($findings, ...$this->module($plan, $id, $dimmer, $shelf));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function module(Plan $plan, string $id, Dimmer $dimmer, ?ShelfSource $shelf): array
    {
        $on = array_filter($plan->fixtures, static fn(Fitting $f): bool => $f->module === $id);
        $count = array_sum(array_map(static fn(Fitting $f): int => $f->count, $on));
        $watts = array_sum(
            array_map(static fn(Fitting $f): float => $f->count * ($plan->fixture($f->kit)->watts ?? 0.0), $on),
        );
        $first = (string) array_key_first($on);
        $place = new FindingPlace(JobStage::Wire, $first);
        $name = strtoupper($id);
        $leaflet = 'the module’s instructions, on the shelf';
        $other = self::take($plan, $first, $shelf);

        $rules = match (ControlLine::method($plan, $id)) {
            'phase-cut' => [
                [
                    $watts > $dimmer->mostWatts,
                    $this->rule('phase-watts')->stop(
                        place: $place,
                        title: sprintf('%s dims %g W of LED, carries %g W', $name, $watts, $dimmer->mostWatts),
                        detail: 'LED lamps count in full, whatever its rating for filament lamps. ' . self::MAINS,
                        number: $watts,
                        limit: $dimmer->mostWatts,
                        source: $leaflet,
                        fixes: $other,
                    ),
                ],
                [
                    $watts < $dimmer->leastWatts,
                    $this->rule('phase-least')->watch(
                        place: $place,
                        title: sprintf('%s has %g W, needs %g W', $name, $watts, $dimmer->leastWatts),
                        detail: 'With less the lamps flicker or glow when off. Add lamps, or choose a module with a lower minimum.',
                        number: $watts,
                        limit: $dimmer->leastWatts,
                        source: $leaflet,
                        fixes: $other,
                    ),
                ],
            ],
            '0-10 V' => [
                [
                    $count * ControlLine::ANALOG_EACH > $dimmer->milliamps,
                    $this->rule('analog-current')->stop(
                        place: $place,
                        title: sprintf(
                            '%s: %d fixtures send %g mA, it takes %g mA',
                            $name,
                            $count,
                            $count * ControlLine::ANALOG_EACH,
                            $dimmer->milliamps,
                        ),
                        detail: 'Their light no longer follows the line.',
                        number: $count * ControlLine::ANALOG_EACH,
                        limit: $dimmer->milliamps,
                        fixes: $other,
                    ),
                ],
                [
                    $dimmer->sinks === false,
                    $this->rule('analog-sinks')->stop(
                        place: $place,
                        title: "{$name} sends current into its control line, and so do its fixtures",
                        detail: 'The light does not follow. Choose a module that takes the current of the line (sinks).',
                        fixes: $other,
                    ),
                ],
                [
                    $dimmer->relayAmps === null,
                    $this->rule('analog-off')->watch(
                        place: $place,
                        title: "{$name} cannot switch its fixtures off",
                        detail: 'At 0 V a 0-10 V fixture stays at its minimum light. Use a module with a relay, or a switch before the fixtures.',
                    ),
                ],
            ],
            default => [
                [
                    $count > $dimmer->addresses,
                    $this->rule('dali-addresses')->stop(
                        place: $place,
                        title: sprintf('%s has %d fixtures on %d addresses', $name, $count, $dimmer->addresses),
                        detail: 'Divide them between two buses.',
                        number: $count,
                        limit: $dimmer->addresses,
                        fixes: $other,
                    ),
                ],
                [
                    $count * ControlLine::DALI_EACH > min($dimmer->milliamps, ControlLine::DALI_MOST),
                    $this->rule('dali-current')->stop(
                        place: $place,
                        title: sprintf(
                            '%s: %d fixtures take %g mA of %g mA',
                            $name,
                            $count,
                            $count * ControlLine::DALI_EACH,
                            min($dimmer->milliamps, ControlLine::DALI_MOST),
                        ),
                        detail: 'The bus voltage falls and commands are lost.',
                        number: $count * ControlLine::DALI_EACH,
                        limit: min($dimmer->milliamps, ControlLine::DALI_MOST),
                        fixes: $other,
                    ),
                ],
            ],
        };

        return array_column(array_filter($rules, static fn(array $rule): bool => $rule[0]), 1);
    }

    private function otherKind(
        Plan $plan,
        Fitting $fitting,
        Fixture $fixture,
        Dimmer $dimmer,
        ?ShelfSource $shelf,
    ): Finding {
        $method = Dimmer::says(ControlLine::method($plan, (string) $fitting->module));
        $dimmed = $fixture->dim === 'none' ? 'cannot be dimmed' : 'is dimmed by ' . Dimmer::says($fixture->dim);

        return $this->rule('module-kind')->stop(
            place: new FindingPlace(JobStage::Wire, $fitting->id),
            title: strtoupper($fitting->id) . " {$dimmed}, {$dimmer->name()} dims by {$method}",
            detail: 'It stays dark, flickers or is destroyed. ' . self::MAINS,
            fixes: self::take($plan, $fitting->id, $shelf),
        );
    }

    /** @return list<Fix> modules of the shelf under which these fixtures alone break nothing, the smallest first */
    private static function take(Plan $plan, string $fixture, ?ShelfSource $shelf): array
    {
        $fitting = $plan->fixtures[$fixture] ?? null;
        $kit = $plan->fixture($fitting?->kit);
        if ($kit === null || $fitting === null || $shelf === null || !in_array($kit->dim, Dimmer::DIMS, true)) {
            return [];
        }
        $fixes = [];
        foreach (self::modules($shelf) as $dimmer) {
            $fits =
                $dimmer->dims($kit->dim) &&
                match ($kit->dim) {
                    'phase-cut' => $fitting->count * $kit->watts <= $dimmer->mostWatts &&
                        $fitting->count * $kit->watts >= $dimmer->leastWatts,
                    '0-10 V' => $fitting->count * ControlLine::ANALOG_EACH <= $dimmer->milliamps &&
                        $dimmer->relayAmps !== null,
                    default => $fitting->count <= $dimmer->addresses &&
                        $fitting->count * ControlLine::DALI_EACH <= min($dimmer->milliamps, ControlLine::DALI_MOST),
                };
            if ($fits && ($plan->modules[$fitting->module ?? '']->kit ?? null) !== $dimmer->id()) {
                $fixes[] = new Fix(
                    'Use ' . $dimmer->name(),
                    ChooseModule::payload(fixture: $fixture, kit: $dimmer->id()),
                );
            }
        }

        return array_slice($fixes, 0, 2);
    }

    /** @return list<Dimmer> of the shelf, those of one dimming method first */
    private static function modules(ShelfSource $shelf): array
    {
        $modules = [];
        foreach (array_keys(Dimmer::DIMS) as $kind) {
            foreach ($shelf->ofKind($kind) as $snapshot) {
                if ($snapshot->entry instanceof Dimmer) {
                    $modules[count($snapshot->entry->methods())][] = $snapshot->entry;
                }
            }
        }
        ksort($modules);

        return array_merge(...$modules);
    }
}
