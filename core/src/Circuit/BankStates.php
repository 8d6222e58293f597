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

    private function __construct(private Plan $plan, private string $bank) {}

    /**
     * @return list<array{state: string, volts: Figure, amps: Figure|null, darkest: Figure|null}>
     *
     * @throws Refusal when its loads have no solution then
     */
    public static function for(Plan $plan, string $bank): array
    {
        return (new self($plan, $bank))->all();
    }

    /**
     * @return list<array{state: string, volts: Figure, amps: Figure|null, darkest: Figure|null}>
     *
     * @throws Refusal when its loads have no solution then
     */
    private function all(): array
    {
        $rows = [];
        foreach (self::STATES as $state => $word) {
            $volts = $this->volts($state);
            [$amps, $darkest] = $this->straight($state);
            foreach ($this->draws() as $converter => $draw) {
                $amps = ($amps ?? 0.0) + $draw->needs($volts);
            }
            $rows[] = [
                'state' => $word,
                'volts' => new Figure(
                    label: strtoupper($this->bank) . ' ' . self::word($state),
                    value: $volts,
                    unit: 'V',
                    decimals: 1,
                    formula: 'n * u',
                    inputs: [
                        new Input(
                            'n',
                            'blocks in series',
                            $this->plan->supplies[$this->bank]->series,
                            '',
                            path: "plan.supplies.{$this->bank}.series",
                        ),
                        new Input(
                            'u',
                            'one block then',
                            $volts / $this->plan->supplies[$this->bank]->series,
                            'V',
                            path: "shelf.{$this->bank}: one block, {$state}",
                        ),
                    ],
                    assumption: 'Lead-acid: in proportion to a 12 V bank at 11.0, 12.6 and 14.4 V; others as in their entry.',
                    source: 'common practice, no source',
                ),
                'amps' => $amps === null ? null : self::given($this->bank, $state, $amps),
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
        $hold = $plan->power()->ampHours($bank);
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
                new Input('C', 'capacity of the bank', $hold, 'Ah', path: self::path($plan, $bank)),
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
        return (new self($plan, $bank))->idling();
    }

    private function idling(): ?Figure
    {
        $hold = $this->plan->power()->ampHours($this->bank);
        $block = $this->plan->block($this->bank);
        if ($hold === null || $block === null) {
            return null;
        }
        $inputs = $this->idle();
        foreach ($this->plan->controllers as $id => $unit) {
            $from = $this->plan->ways()->root($this->plan->ways()->cableTo($id)->from ?? '');
            $amps = $this->plan->controller($id)->standbyAmps ?? 0.0;
            $converter = $this->plan->converter($from);
            if ($from !== $this->bank && ($this->plan->supplies[$from ?? '']->bank ?? null) !== $this->bank) {
                continue;
            }
            if ($converter !== null) {
                $amps *= $converter->volts / ($converter->efficiency * $this->volts('nominal'));
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
            path: "shelf.{$this->bank}.selfDischarge",
        );

        return new Figure(
            label: 'Standing by',
            value: ($hold * $block->usable) / ($sum + $inputs[array_key_last($inputs)]->value) / self::HOURS_A_DAY,
            unit: 'days',
            decimals: 0,
            formula: 'C * u / (' . Input::sum($inputs) . ') / 24',
            inputs: [
                new Input('C', 'capacity of the bank', $hold, 'Ah', path: self::path($this->plan, $this->bank)),
                new Input('u', 'usable share', $block->usable, '', path: "shelf.{$this->bank}.usable"),
                ...$inputs,
            ],
            assumption: 'Light off, switch on: an in-line switch saves it.',
            source: 'common practice, no source',
        );
    }

    /** @return list<Input> amps of idle converters on a bank, at its nominal volts */
    private function idle(): array
    {
        $inputs = [];
        foreach ($this->plan->supplies as $id => $unit) {
            $amps = $this->plan->converter($id)->idleAmps ?? 0.0;
            if ($unit->bank === $this->bank && $amps > 0) {
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
        return (new self($plan, $bank))->drawn($straight, $share);
    }

    private function drawn(?SupplyResult $straight, float $share = 1.0): float
    {
        $amps = $straight->amps ?? 0.0;
        foreach ($this->draws($share) as $draw) {
            $amps += $draw->needs($this->volts('nominal'));
        }

        return $amps;
    }

    /** Origin of the ampere hours. */
    private static function path(Plan $plan, string $bank): string
    {
        $battery = $plan->power()->surveyed($bank);

        return $battery?->holds() === null ? "shelf.{$bank}.ampHours" : "notes: battery {$battery->spot->name}";
    }

    private static function word(string $state): string
    {
        return self::STATES[$state] ?? $state;
    }

    private function volts(string $state): float
    {
        $supply = $this->plan->supply($this->bank);

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
    private function draws(float $share = 1.0): array
    {
        $draws = [];
        foreach ($this->plan->supplies as $id => $unit) {
            if ($unit->bank !== $this->bank) {
                continue;
            }
            $draw = BankDraw::for($this->plan, $id, $share * SupplyLoad::for($this->plan, $id)->watts());
            if ($draw !== null) {
                $draws[$id] = $draw;
            }
        }

        return $draws;
    }

    /** @return array{float|null, float|null} amps that it gives to its loads without a converter, and the darkest light there */
    private function straight(string $state): array
    {
        $conditions = match ($state) {
            'lowest' => Conditions::empty(),
            'charging' => Conditions::charging(),
            default => new Conditions(),
        };
        foreach (Island::all($this->plan) as $island) {
            if (!in_array($this->bank, $island->supplies, true)) {
                continue;
            }
            $amps = null;
            $lights = [];
            foreach ((new Engine($this->plan))->scene($island, null, $conditions) as $id => $result) {
                if ($result instanceof RunResult) {
                    $amps = $result->supplies[$this->bank]->amps ?? $amps;
                    if ($this->plan->run($id)->supply === $this->bank) {
                        $lights[] = $result->darkest();
                    }
                } else {
                    $amps = $result->supplies[$this->bank]->amps ?? $amps;
                }
            }

            return [$amps, $lights === [] ? null : min($lights)];
        }

        return [null, null];
    }
}
