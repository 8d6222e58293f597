<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Circuit\Rules\Book;
use EmberDusk\Circuit\Rules\ControllerAmps;
use EmberDusk\Circuit\Rules\Judged;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\Shelf;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\ChooseKit;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Figure;
use EmberDusk\Workings\Finding;
use EmberDusk\Workings\Input;
use EmberDusk\Workings\Severity;
use EmberDusk\Workings\Trouble;

/** The chain of kit of every run, and for each place in it what the shelf has, with what speaks against it here. */
final readonly class KitDesk
{
    /** In the order of the current. */
    private const KINDS = ['supply' => Supply::class, 'controller' => Controller::class, 'cable' => Cable::class, 'strip' => Strip::class];

    /** @return array<string, mixed> */
    public static function picture(Work $work): array
    {
        $hub = $work->plan->hubs === [] ? null : array_values($work->plan->hubs)[0]->kit;

        return [
            'runs' => array_map(static fn (Run $run): array => [
                'id' => $run->id, 'name' => $run->name(), 'length' => Figure::print($run->length(), 2),
                'slots' => array_map(static fn (string $slot): array => self::slot($work, $run, $slot), array_keys(self::KINDS)),
            ], array_values($work->plan->runs)),
            'hub' => ['slot' => 'hub', 'label' => 'Hub', 'chosen' => $hub, 'name' => $work->plan->hub(array_key_first($work->plan->hubs))?->name(),
                'facts' => self::chosenFacts($work, $hub), 'options' => self::options($work, null, Hub::class, $hub)],
        ];
    }

    /** @return list<Figure> */
    public static function ledger(Work $work): array
    {
        $figures = [];
        foreach ($work->plan->runs as $run) {
            $strip = $work->plan->strip($run->strip);
            $controller = $work->plan->controller($run->controller);
            if ($strip === null) {
                continue;
            }
            $metres = $work->plan->cutMarks($run)?->length() ?? 0.0;
            $figures[] = RunFigures::load($strip, $metres, 'Load, all full');
            $figures[] = RunFigures::asks($strip, $work->plan, $run);
            if ($controller !== null) {
                $fullest = max(array_map(static fn ($c): float => $c->wattsPerMetre, $strip->channels));
                $figures[] = new Figure(strtoupper((string) $run->controller).' carries', ControllerAmps::metres($strip, $controller), 'm of it', 1, 'min(Ic * V / wc, It * V / w)', [
                    new Input('Ic', 'amps of a channel', $controller->channelAmps, 'A'), new Input('It', 'amps in all', $controller->totalAmps, 'A'),
                    new Input('V', 'strip', $strip->volts, 'V'), new Input('wc', 'fullest channel', $fullest, 'W/m'), new Input('w', 'all channels', $strip->wattsPerMetre(), 'W/m'),
                ], 'Nominal load.', 'the controller’s leaflet, on the shelf');
            }
            $figures[] = new Figure('Cut mark every', 1000 * $strip->pitch, 'mm', 1, '1000 * p', [new Input('p', 'pitch', $strip->pitch, 'm')], 'As on the shelf.');
        }

        return $figures;
    }

    /** @return array<string, mixed> */
    private static function slot(Work $work, Run $run, string $slot): array
    {
        $kit = match ($slot) {
            'strip' => $run->strip,
            'supply' => $work->plan->supplies[$run->supply ?? '']->kit ?? null,
            'controller' => $work->plan->controllers[$run->controller ?? '']->kit ?? null,
            default => $work->plan->cableTo($run->controller ?? '')->kit ?? null,
        };

        return ['slot' => $slot, 'label' => ucfirst($slot), 'chosen' => $kit, 'name' => $kit === null ? null : ($work->plan->kit[$kit] ?? null)?->entry->name(),
            'facts' => self::chosenFacts($work, $kit), 'options' => self::options($work, $run, self::KINDS[$slot], $kit)];
    }

    /** @return list<string> */
    private static function chosenFacts(Work $work, ?string $kit): array
    {
        $entry = $work->plan->kit[$kit ?? '']->entry ?? null;

        return $entry === null ? [] : Facts::of($entry);
    }

    /**
     * @param  class-string<Entry>  $kind
     * @return list<array<string, mixed>>
     */
    private static function options(Work $work, ?Run $run, string $kind, ?string $chosen): array
    {
        $options = [];
        foreach ($work->shelf as $id => ['entry' => $entry, 'written' => $written]) {
            if ($entry instanceof $kind) {
                $hash = Shelf::hash($written);
                $verdict = $run === null ? null : self::verdict($work, $run, new Frozen($hash, $written, $entry));
                $options[] = ['id' => $id, 'name' => $entry->name(), 'facts' => Facts::of($entry), 'chosen' => $id === $chosen,
                    'moved' => $id === $chosen && ($work->plan->kit[$id] ?? null)?->hash !== $hash,
                    'gauge' => $run === null ? null : Gauge::of($work->plan, $run, $entry)?->toArray(),
                    'verdict' => $verdict?->title, 'severity' => $verdict?->severity->value];
            }
        }

        return $options;
    }

    /** The worst that would be said of this entry in this run, before anything is solved. */
    private static function verdict(Work $work, Run $run, Frozen $frozen): ?Finding
    {
        try {
            $plan = ChooseKit::of($run->id, $frozen)->apply($work->plan);
        } catch (Trouble $t) {
            return new Finding('refused', Severity::Open, $t->getMessage(), '', new \EmberDusk\Workings\Place('kit', $run->id));
        }
        $kind = $frozen->entry;
        $about = static fn (Finding $f): bool => $f->severity !== Severity::Open && match (true) {
            $kind instanceof Supply => in_array($f->code, ['supply-volts', 'headroom', 'input-range'], true),
            $kind instanceof Controller => in_array($f->code, ['input-range', 'channels', 'controller-amps'], true),
            $kind instanceof Cable => $f->code === 'cores',
            default => $f->code !== 'cores',
        };
        $findings = Finding::worstFirst(array_values(array_filter(Book::check(new Judged($plan, $plan->run($run->id), null, [])), $about)));

        return $findings[0] ?? null;
    }
}
