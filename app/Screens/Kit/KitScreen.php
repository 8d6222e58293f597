<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\Kit\HubAsked;
use EmberDusk\Circuit\LoadFigures;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Strip;
use EmberDusk\Options\SharedUnit;
use EmberDusk\Plan\Owned;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** The chain of kit of every run; for the selected one also the shelf entries for each place, with their problems. */
final readonly class KitScreen
{
    private function __construct(private JobState $state) {}

    public static function picture(JobState $state): KitPicture
    {
        return (new self($state))->whole();
    }

    private function whole(): KitPicture
    {
        $hub = $this->state->plan->hubs !== [] ? array_values($this->state->plan->hubs)[0]->kit : null;

        $hand = $this->inHand()?->id;

        return new KitPicture(
            inHand: $hand,
            runs: array_map(
                fn(Run $run): KitRun => new KitRun(
                    id: $run->id,
                    name: $run->name(),
                    length: $this->state->plan->terms->say($run->length()),
                    slots: array_map(
                        fn(string $slot): SlotView => $this->slot($run, $slot, $run->id === $hand),
                        KitSlots::for($this->state->plan, $run),
                    ),
                ),
                array_values($this->state->plan->runs),
            ),
            notes: $this->state->notes,
            beside: ItemRows::for($this->state->plan),
            owned: array_map(
                fn(Owned $o): OwnedKit => new OwnedKit(
                    kit: $o->id,
                    name: ($this->state->plan->kit[$o->id] ?? null)?->entry->name() ?? $o->id,
                    count: $o->count,
                ),
                array_values($this->state->plan->owned),
            ),
            hub: new SlotView(
                slot: 'hub',
                label: 'Hub',
                optional: HubAsked::uncontrolled($this->state->plan) === [],
                chosen: $hub,
                name: $this->state->plan->hub(array_key_first($this->state->plan->hubs))?->name(),
                facts: $this->chosenFacts($hub),
                share: [],
                options: KitOptions::options($this->state, null, ['hub'], $hub),
            ),
        );
    }

    /** @return list<Figure> of the only run with a strip, or sums over all of them */
    public static function ledger(JobState $state): array
    {
        return (new self($state))->totals();
    }

    /** @return list<Figure> of the only run with a strip, or sums over all of them */
    private function totals(): array
    {
        $runs = array_values(
            array_filter($this->state->plan->runs, fn(Run $r): bool => $this->state->plan->strip($r->strip) !== null),
        );
        if (count($runs) !== 1) {
            if ($runs === []) {
                return [];
            }

            return [
                $this->total(
                    runs: $runs,
                    label: LoadFigures::loads($this->state->plan),
                    unit: 'W',
                    of: static fn(Figure $load): float => $load->value,
                ),
                $this->total(
                    runs: $runs,
                    label: 'Supplies needed',
                    unit: 'W',
                    of: fn(Figure $load): float => $this->state->plan->limits->rating($load->value),
                ),
            ];
        }
        $run = $runs[0];
        $strip = $this->state->plan->strip($run->strip);
        $controller = $this->state->plan->controller($run->controller);
        if ($strip === null) {
            return [];
        }
        $figures = [
            LoadFigures::load(
                $strip,
                $this->state->plan->of($run)->litLength(),
                $run->cap < 1 ? LoadFigures::LOAD[1] : LoadFigures::loads($this->state->plan),
                $run->cap,
            ),
            LoadFigures::asks($strip, $this->state->plan, $run),
        ];
        if ($controller !== null) {
            $figures[] = self::carries($run, $strip, $controller);
        }
        $figures[] = new Figure(
            label: 'Cut mark every',
            value: 1000 * $strip->pitch,
            unit: 'mm',
            decimals: 1,
            formula: '1000 * p',
            inputs: [new Input('p', 'pitch', $strip->pitch, 'm', path: 'shelf.pitch')],
            assumption: 'As on the shelf.',
        );

        return $figures;
    }

    /**
     * @param  list<Run>  $runs
     * @param  callable(Figure): float  $of
     */
    private function total(array $runs, string $label, string $unit, callable $of): Figure
    {
        $inputs = [];
        foreach ($runs as $n => $run) {
            $strip = $this->state->plan->strip($run->strip);
            if ($strip !== null) {
                $inputs[] = new Input(
                    'P' . ($n + 1),
                    $run->name(),
                    $of(LoadFigures::load($strip, $this->state->plan->of($run)->litLength(), $label, $run->cap)),
                    $unit,
                    path: "run.{$run->id}: its load",
                );
            }
        }

        return new Figure(
            label: $label,
            value: array_sum(array_map(static fn(Input $i): float => $i->value, $inputs)),
            unit: $unit,
            decimals: 0,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: 'Nominal: as labelled, before any drop.',
            source: 'common practice, no source',
        );
    }

    private static function carries(Run $run, Strip $strip, Controller $controller): Figure
    {
        if ($controller->pixels !== null && $strip->pixels !== null) {
            return new Figure(
                label: strtoupper((string) $run->controller) . ' supports',
                value: ControllerAmps::metres($strip, $controller),
                unit: 'm of it',
                decimals: 2,
                formula: 'floor(o * n / k) * p',
                inputs: [
                    new Input('o', 'data outputs', $controller->pixels->count, '', path: 'shelf.outputs'),
                    new Input('n', 'pixels per output', $controller->pixels->each, '', path: 'shelf.pixelsPerOutput'),
                    new Input('k', 'pixels per cut', $strip->pixels->pixels, '', path: 'shelf.pixelsPerCut'),
                    new Input('p', 'pitch', $strip->pitch, 'm', path: 'shelf.pitch'),
                ],
                assumption: 'Every output used to its end.',
                source: 'the board’s instructions, on the shelf',
            );
        }
        $fullest = max(array_map(static fn($c): float => $c->wattsPerMetre, $strip->channels));

        return new Figure(
            label: strtoupper((string) $run->controller) . ' carries',
            value: ControllerAmps::metres($strip, $controller),
            unit: 'm of it',
            decimals: 1,
            formula: 'min(Ic * V / wc, It * V / w)',
            inputs: [
                new Input('Ic', 'amps per channel', $controller->channelAmps, 'A', path: 'shelf.channelAmps'),
                new Input('It', 'total amps', $controller->totalAmps, 'A', path: 'shelf.totalAmps'),
                new Input('V', 'strip', $strip->volts, 'V', path: 'shelf.volts'),
                new Input('wc', 'fullest channel', $fullest, 'W/m', path: 'shelf.channels'),
                new Input('w', 'all channels', $strip->wattsPerMetre(), 'W/m', path: 'shelf.wattsPerMetre()'),
            ],
            assumption: 'Nominal load.',
            source: 'the controller’s instructions, on the shelf',
        );
    }

    /** The selected run; else the first incomplete one. */
    private function inHand(): ?Run
    {
        foreach ($this->state->open as $id) {
            if (isset($this->state->plan->runs[$id])) {
                return $this->state->plan->runs[$id];
            }
        }
        $runs = array_values($this->state->plan->runs);

        return array_values(
            array_filter(
                $runs,
                static fn(Run $r): bool => $r->strip !== null || $r->supply !== null || $r->controller !== null,
            ),
        )[0] ??
            ($runs[0] ?? null);
    }

    /** @param  bool  $hand whether to include its shelf entries */
    private function slot(Run $run, string $slot, bool $hand): SlotView
    {
        $kit = KitSlots::chosen($this->state->plan, $run, $slot);

        $name = $kit !== null ? ($this->state->plan->kit[$kit] ?? null)?->entry->name() : null;
        $share = [];
        $options = [];
        if ($hand) {
            $share = $this->share($run, $slot);
            $options = KitOptions::options($this->state, $run, KitSlots::kinds($this->state->plan, $run, $slot), $kit);
        }

        return new SlotView(
            slot: $slot,
            label: KitSlots::label($this->state->plan, $run, $slot),
            optional: KitSlots::optional($this->state->plan, $run, $slot),
            chosen: $kit,
            name: $name,
            facts: $this->chosenFacts($kit),
            share: $share,
            options: $options,
            together: $hand && $slot === 'controller'
                ? SharedUnit::for($this->state->plan, $run, $this->state->shelf)
                : null,
        );
    }

    /** @return list<ShareOption> units of other runs that could feed this one, or its own unit when it shares one */
    private function share(Run $run, string $slot): array
    {
        $of = static fn(Run $r): ?string => match ($slot) {
            'supply' => $r->supply,
            'controller' => $r->controller,
            default => null,
        };
        $mine = $of($run);
        $straight = $slot === 'supply' ? KitSlots::straight($this->state->plan, $run) : null;
        $share = $straight !== null ? [$straight->with => $straight] : [];
        foreach ($this->state->plan->runs as $other) {
            $unit = $of($other);
            $fits = $slot !== 'controller' || $this->state->plan->of($run)->drivenBy((string) $unit);
            if ($other->id !== $run->id && $unit !== null && $fits && !isset($share[$unit])) {
                $share[$unit] =
                    $unit === $mine
                        ? new ShareOption("own {$slot}", 'Shared with ' . $other->name() . ": give it its own {$slot}")
                        : new ShareOption($unit, 'On ' . strtoupper($unit) . ' of ' . $other->name());
            }
        }

        return array_values($share);
    }

    /** @return list<string> */
    private function chosenFacts(?string $kit): array
    {
        $snapshot = $this->state->plan->kit[$kit ?? ''] ?? null;
        if ($snapshot === null) {
            return [];
        }

        return [...Facts::for($snapshot->entry), ...Facts::assumed($snapshot->written)];
    }
}
