<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Circuit\CableFigures;
use EmberDusk\Circuit\LoadFigures;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** Ribbons: every run at true length with its feeds, its cables and the curves along it. */
final readonly class WireScreen
{
    private const LOAD = 'load';

    private const SHARE = 'share';

    private const LESS_IS_WORSE = ['darkest', 'evenness'];

    private function __construct(private JobState $state) {}

    public static function picture(JobState $state): WirePicture
    {
        return (new self($state))->whole();
    }

    private function whole(): WirePicture
    {
        return new WirePicture(
            runs: array_map(
                fn(Run $r): WireRun => Ribbons::for($this->state, $r),
                array_values($this->state->plan->runs),
            ),
            order: array_map(strval(...), array_keys($this->state->plan->runs)),
            cables: array_map(
                static fn(KitSnapshot $f): CableOption => new CableOption(
                    id: $f->entry->id(),
                    name: $f->entry->name(),
                    label: $f->entry instanceof Cable ? $f->entry->cores . ' x ' . $f->entry->conductor->label() : '',
                ),
                $this->state->shelf->ofKind('cable'),
            ),
            joints: $this->options('connector'),
            fuses: $this->options('fuse'),
            switches: $this->options('switch'),
            supplies: SupplyRows::for($this->state),
            fixtures: FixtureRows::for($this->state),
            fixtureCables: FixtureRows::cables($this->state),
            fixtureKit: $this->options('fixture'),
            places: array_map(
                static fn(Place $p): CableOption => new CableOption($p->id, $p->name, ''),
                array_values($this->state->plan->places),
            ),
            scene: $this->state->scene,
            scenes: SceneRows::for($this->state),
            dimmed: SceneRows::dimmed($this->state),
        );
    }

    /** @return list<CableOption> shelf entries of a kind */
    private function options(string $kind): array
    {
        return array_map(
            static fn(KitSnapshot $f): CableOption => new CableOption(
                id: $f->entry->id(),
                name: $f->entry->name(),
                label: $f->entry instanceof Fuse ? sprintf('%g A', $f->entry->amps) : $f->entry->name(),
            ),
            $this->state->shelf->ofKind($kind),
        );
    }

    /** @return list<Figure> of the one run that is wired, or the sum and the worst of all, each saying which it is */
    public static function ledger(JobState $state): array
    {
        return (new self($state))->totals();
    }

    /** @return list<Figure> of the one run that is wired, or the sum and the worst of all, each saying which it is */
    private function totals(): array
    {
        $runs = array_values(
            array_filter($this->state->plan->runs, fn(Run $r): bool => $this->state->plan->strip($r->strip) !== null),
        );
        $figures = count($runs) === 1 ? array_values($this->figures($runs[0])) : $this->worst($runs);
        if ($this->state->plan->cables !== []) {
            $figures[] = (new CableFigures($this->state->plan))->copper();
        }

        return $figures;
    }

    /** @return array<string, Figure> by label */
    private function figures(Run $run): array
    {
        $strip = $this->state->plan->strip($run->strip);
        $supply = $this->state->plan->supply($run->supply);
        $result = $this->state->result($run->id);
        if ($strip === null) {
            return [];
        }
        $figures = [
            self::LOAD => LoadFigures::load(
                $strip,
                $this->state->plan->of($run)->litLength(),
                $run->cap < 1 ? LoadFigures::LOAD[1] : LoadFigures::loads($this->state->plan),
                $run->cap,
            ),
        ];
        if ($result === null || $supply === null) {
            return $figures;
        }
        $figures[self::SHARE] = JudgedJob::for($this->state)->supply((string) $run->supply)->figure();
        $figures['darkest'] = (new RunFigures($result))->darkest();
        $figures['evenness'] = (new RunFigures($result))->evenness();
        if (Seam::applies($this->state->plan, $run)) {
            $figures['seam'] = (new RunFigures($result))->seam();
        }
        if (count($strip->channels) > 1) {
            $figures['shift'] = (new RunFigures($result))->shift($strip);
        }
        $figures['drop'] = (new RunFigures($result))->drop();

        return $figures;
    }

    /**
     * The load of all runs, and of each other figure the worst one with its run's name.
     *
     * @param  list<Run>  $runs
     * @return list<Figure>
     */
    private function worst(array $runs): array
    {
        $loads = [];
        $worst = [];
        foreach ($runs as $n => $run) {
            foreach ($this->figures($run) as $kind => $figure) {
                if ($kind === self::LOAD) {
                    $loads[] = new Input(
                        'P' . ($n + 1),
                        $run->name(),
                        $figure->value,
                        'W',
                        path: "run.{$run->id}: its load",
                    );

                    continue;
                }
                $less = in_array($kind, self::LESS_IS_WORSE, true);
                if (
                    !isset($worst[$kind]) ||
                    ($less ? $figure->value < $worst[$kind]->value : $figure->value > $worst[$kind]->value)
                ) {
                    $worst[$kind] = $figure->named(
                        // A supply is named already.
                        $kind === self::SHARE ? $figure->label : "{$figure->label}, {$run->name()}",
                    );
                }
            }
        }

        return [
            ...$loads === []
                ? []
                : [
                    new Figure(
                        label: LoadFigures::loads($this->state->plan),
                        value: array_sum(array_map(static fn(Input $i): float => $i->value, $loads)),
                        unit: 'W',
                        decimals: 0,
                        formula: Input::sum($loads),
                        inputs: $loads,
                        assumption: 'Nominal: as labelled, before any drop.',
                        source: 'common practice, no source',
                    ),
                ],
            ...array_values($worst),
        ];
    }
}
