<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\Plan;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Refusal;

/**
 * A bank empty, at rest and on charge side by side: its volts, its output at full light, the darkest light on it; its run time, lit and on standby.
 * Loads on converters keep their light, and draw more as it empties.
 */
final readonly class BankStates
{
    /** In words, by what they are called in the computation. */
    private const STATES = ['lowest' => 'empty', 'nominal' => 'at rest', 'charging' => 'on charge'];

    private const HOURS_A_DAY = 24;

    private const DAYS_A_MONTH = 30;

    /**
     * @return list<array{state: string, volts: Figure, amps: Figure|null, darkest: Figure|null}>
     *
     * @throws Refusal when its loads have no solution then
     */
    public static function for(Plan $plan, string $bank): array
    {
        $rows = [];
        foreach (self::STATES as $state => $word) {
            $volts = self::volts($plan, $bank, $state);
            [$amps, $darkest] = self::straight($plan, $bank, $state);
            foreach (self::draws($plan, $bank) as $converter => $draw) {
                $amps = ($amps ?? 0.0) + ($draw->amps($volts) ?? 0.0);
            }
            $rows[] = [
                'state' => $word,
                'volts' => new Figure(
                    label: strtoupper($bank) . ' ' . self::word($state),
                    value: $volts,
                    unit: 'V',
                    decimals: 1,
                    formula: 'n * u',
                    inputs: [
                        new Input(
                            'n',
                            'blocks in series',
                            $plan->supplies[$bank]->series,
                            '',
                            path: "plan.supplies.{$bank}.series",
                        ),
                        new Input(
                            'u',
                            'one block then',
                            $volts / $plan->supplies[$bank]->series,
                            'V',
                            path: "shelf.{$bank}: one block, {$state}",
                        ),
                    ],
                    assumption: 'Lead-acid: in proportion to a 12 V bank at 11.0, 12.6 and 14.4 V; others as in their entry.',
                    source: 'common practice, no source',
                ),
                'amps' => $amps === null ? null : self::given($bank, $state, $amps),
                'darkest' =>
                    $darkest === null
                        ? null
                        : new Figure(
                            label: 'Darkest light ' . self::word($state),
                            value: $darkest,
                            unit: 'of full',
                            decimals: 2,
                            formula: 'd',
                            inputs: [
                                new Input(
                                    'd',
                                    'amps of the darkest group against its nominal ones',
                                    $darkest,
                                    '',
                                    path: "solver: {$state}",
                                ),
                            ],
                            assumption: 'Solved at full light at the bank’s volts then, nominal rails.',
                        ),
            ];
        }

        return $rows;
    }

    /** Hours until its usable ampere-hours are taken; null while nothing on it is solved. */
    public static function runTime(Plan $plan, string $bank, float $amps): ?Figure
    {
        $hold = $plan->supply($bank)->ampHours ?? null;
        $block = $plan->block($bank);
        if ($hold === null || $block === null || $amps <= 0) {
            return null;
        }

        return new Figure(
            label: 'Run time',
            value: ($hold * $block->usable) / $amps,
            unit: 'h',
            decimals: 1,
            formula: 'C * u / I',
            inputs: [
                new Input('C', 'capacity of the bank', $hold, 'Ah', path: "shelf.{$bank}.ampHours"),
                new Input('u', 'usable share', $block->usable, '', path: "shelf.{$bank}.usable"),
                new Input('I', 'amps on average', $amps, 'A', path: "solver.supplies.{$bank}.amps"),
            ],
            assumption: 'From full, at a steady load. Usable: half of a lead-acid block, four fifths of a lithium one, unless the entry differs.',
            source: 'common practice, no source',
        );
    }

    /** Days until standby, idle converters and self-discharge have taken its usable ampere-hours. */
    public static function standby(Plan $plan, string $bank): ?Figure
    {
        $hold = $plan->supply($bank)->ampHours ?? null;
        $block = $plan->block($bank);
        if ($hold === null || $block === null) {
            return null;
        }
        $inputs = self::idle($plan, $bank);
        foreach ($plan->controllers as $id => $unit) {
            $from = $plan->ways()->root($plan->ways()->cableTo($id)->from ?? '');
            $amps = $plan->controller($id)->standbyAmps ?? 0.0;
            $converter = $plan->converter($from);
            if ($from !== $bank && ($plan->supplies[$from ?? '']->bank ?? null) !== $bank) {
                continue;
            }
            if ($converter !== null) {
                $amps *= $converter->volts / ($converter->efficiency * self::volts($plan, $bank, 'nominal'));
            }
            if ($amps > 0) {
                $inputs[] = new Input(
                    'I' . (count($inputs) + 1),
                    strtoupper($id) . ' standing by' . ($converter === null ? '' : ', through its converter'),
                    $amps,
                    'A',
                    path: "shelf.{$id}.standbyAmps",
                );
            }
        }
        $sum = array_sum(array_map(static fn(Input $i): float => $i->value, $inputs));
        $inputs[] = new Input(
            'Is',
            sprintf('self-discharge of %g %% a month', 100 * $block->selfDischarge),
            ($hold * $block->selfDischarge) / (self::DAYS_A_MONTH * self::HOURS_A_DAY),
            'A',
            path: "shelf.{$bank}.selfDischarge",
        );

        return new Figure(
            label: 'Standing by',
            value: ($hold * $block->usable) / ($sum + $inputs[array_key_last($inputs)]->value) / self::HOURS_A_DAY,
            unit: 'days',
            decimals: 0,
            formula: 'C * u / (' . Input::sum($inputs) . ') / 24',
            inputs: [
                new Input('C', 'capacity of the bank', $hold, 'Ah', path: "shelf.{$bank}.ampHours"),
                new Input('u', 'usable share', $block->usable, '', path: "shelf.{$bank}.usable"),
                ...$inputs,
            ],
            assumption: 'Light off, switch on: an in-line switch saves it.',
            source: 'common practice, no source',
        );
    }

    /** @return list<Input> amps of idle converters on a bank, at its nominal volts */
    private static function idle(Plan $plan, string $bank): array
    {
        $inputs = [];
        foreach ($plan->supplies as $id => $unit) {
            $amps = $plan->converter($id)->idleAmps ?? 0.0;
            if ($unit->bank === $bank && $amps > 0) {
                $inputs[] = new Input(
                    'I' . (count($inputs) + 1),
                    strtoupper($id) . ' idle',
                    $amps,
                    'A',
                    path: "shelf.{$id}.idleAmps",
                );
            }
        }

        return $inputs;
    }

    /** Amps with everything full at rest: straight, and through converters. */
    public static function amps(Plan $plan, string $bank, ?SupplyResult $straight, float $share = 1.0): float
    {
        $amps = $straight->amps ?? 0.0;
        foreach (self::draws($plan, $bank, $share) as $draw) {
            $amps += $draw->amps(self::volts($plan, $bank, 'nominal')) ?? 0.0;
        }

        return $amps;
    }

    private static function word(string $state): string
    {
        return self::STATES[$state] ?? $state;
    }

    private static function volts(Plan $plan, string $bank, string $state): float
    {
        $supply = $plan->supply($bank);

        return match ($state) {
            'lowest' => $supply->lowest ?? ($supply->emf ?? 0.0),
            'charging' => $supply->charging ?? ($supply->emf ?? 0.0),
            default => $supply->emf ?? 0.0,
        };
    }

    private static function given(string $bank, string $state, float $amps): Figure
    {
        return new Figure(
            label: strtoupper($bank) . ' gives ' . self::word($state),
            value: $amps,
            unit: 'A',
            decimals: 2,
            formula: 'I',
            inputs: [
                new Input('I', 'solved, with the converters’ input', $amps, 'A', path: "solver: {$bank}, {$state}"),
            ],
            assumption: 'Everything at full.',
        );
    }

    /** @return array<string, BankDraw> by converter on this bank, at full */
    private static function draws(Plan $plan, string $bank, float $share = 1.0): array
    {
        $draws = [];
        foreach ($plan->supplies as $id => $unit) {
            if ($unit->bank !== $bank) {
                continue;
            }
            $draw = BankDraw::for($plan, $id, $share * SupplyLoad::for($plan, $id)->watts());
            if ($draw !== null) {
                $draws[$id] = $draw;
            }
        }

        return $draws;
    }

    /** @return array{float|null, float|null} amps that it gives to its loads without a converter, and the darkest light there */
    private static function straight(Plan $plan, string $bank, string $state): array
    {
        $conditions = match ($state) {
            'lowest' => Conditions::empty(),
            'charging' => Conditions::charging(),
            default => new Conditions(),
        };
        foreach (Island::all($plan) as $island) {
            if (!in_array($bank, $island->supplies, true)) {
                continue;
            }
            $amps = null;
            $lights = [];
            foreach (Engine::scene($plan, $island, null, $conditions) as $id => $result) {
                if ($result instanceof RunResult) {
                    $amps = $result->supplies[$bank]->amps ?? $amps;
                    if ($plan->run($id)->supply === $bank) {
                        $lights[] = $result->darkest();
                    }
                } else {
                    $amps = $result->supplies[$bank]->amps ?? $amps;
                }
            }

            return [$amps, $lights === [] ? null : min($lights)];
        }

        return [null, null];
    }
}
