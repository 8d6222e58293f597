<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use EmberDusk\Bench\BenchObservation;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\Commander;
use EmberDusk\Bench\Tests\LampTests;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Checks\Bench\OpenAtTest;
use EmberDusk\Circuit\Island;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Channel;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Run;
use EmberDusk\Schedule\Step;

/** The bench of one run: its tests, colours, count, and the readings of the island that it hangs in. */
final readonly class BenchScreen
{
    private function __construct(private JobState $state) {}

    /** @param  BenchFacts  $facts  of the job, or of a practice */
    public static function for(JobState $state, BenchFacts $facts, string $chosen): BenchPicture
    {
        return (new self($state))->view($facts, $chosen);
    }

    /** @param  BenchFacts  $facts  of the job, or of a practice */
    private function view(BenchFacts $facts, string $chosen): BenchPicture
    {
        $tests = Tests::for($this->state->plan);
        $runs = array_filter(
            $this->state->plan->runs,
            static fn(Run $r): bool => array_filter($tests, static fn(BenchTest $t): bool => $t->of === $r->id) !== [],
        );
        $lamps = array_filter(
            $this->state->plan->fixtures,
            fn(Fitting $f): bool => LampTests::for($this->state->plan, $f) !== [],
        );
        $fitting = $lamps[$chosen] ?? ($runs === [] ? array_values($lamps)[0] ?? null : null);
        $run = $fitting === null ? $runs[$chosen] ?? (array_values($runs)[0] ?? null) : null;
        $seen = null;
        $tried = $fitting === null ? [] : $this->views(LampTests::for($this->state->plan, $fitting), []);
        $commander = '';
        if ($run !== null) {
            $seen = BenchObservation::for($this->state->plan, $run, $facts, true);
            $tried = $this->tests($run);
            $commander = Commander::for($this->state->plan, $run)->value;
        }
        $colours = null;
        $count = null;
        if ($seen !== null) {
            $colours = SeenRows::colours($this->state->plan, $run, $seen);
            $count = SeenRows::count($run, $seen);
        }

        return new BenchPicture(
            run: $run->id ?? ($fitting->id ?? ''),
            runs: [
                ...array_values(array_map(fn(Run $r): BenchRunView => $this->row($facts, $r, $tests), $runs)),
                ...array_values(array_map(fn(Fitting $f): BenchRunView => $this->lamps($f), $lamps)),
            ],
            tests: $tried,
            commander: $commander,
            commanders: array_map(
                static fn(string $key, string $words): BenchChoice => new BenchChoice(key: $key, words: $words),
                array_keys(Commander::choices()),
                array_values(Commander::choices()),
            ),
            colours: $colours,
            count: $count,
            matrix: $run === null ? null : BenchMatrix::for($this->state->plan, $run),
            strips: $this->strips(),
            transistors: array_map(
                static fn(KitSnapshot $s): BenchChoice => new BenchChoice($s->entry->id(), $s->entry->name()),
                $this->state->shelf->ofKind('transistor'),
            ),
            channel: $run === null ? null : $this->channel($run),
            meter: $this->meter($facts, $run),
        );
    }

    /** @param  list<BenchTest>  $tests */
    private function row(BenchFacts $facts, Run $run, array $tests): BenchRunView
    {
        $mine = array_filter(
            $tests,
            static fn(BenchTest $t): bool => $t->of === $run->id || $t->of === $run->controller,
        );
        $seen = BenchObservation::for($this->state->plan, $run, $facts);
        $found = $seen->finder?->found();

        return new BenchRunView(
            id: $run->id,
            name: $run->name(),
            place: $this->state->plan->places[$run->place]->name,
            tests: count($mine),
            done: count(array_filter($mine, fn(BenchTest $t): bool => isset($this->state->ticks[$t->id]))),
            says: match (true) {
                $found !== null && !$found->right() && $seen->words !== null => $seen->words->verdict($found),
                $seen->count !== null && !in_array($seen->count->verdict, ['asking', 'count'], true) => ucfirst(
                    $seen->says(),
                ),
                default => '',
            },
        );
    }

    private function lamps(Fitting $fitting): BenchRunView
    {
        $tests = LampTests::for($this->state->plan, $fitting);

        return new BenchRunView(
            id: $fitting->id,
            name: (new LightNames($this->state->plan))->of((string) $fitting->module),
            place: $this->state->plan->places[$fitting->place]->name,
            tests: count($tests),
            done: count(array_filter($tests, fn(BenchTest $t): bool => isset($this->state->ticks[$t->id]))),
            says: '',
        );
    }

    /** @return list<BenchTestView> */
    private function tests(Run $run): array
    {
        return $this->views(Tests::ofRun($this->state->plan, $run), OpenAtTest::for($this->state, $run));
    }

    /**
     * @param  list<BenchTest>  $tests
     * @param  array<string, list<string>>  $open  findings by the kind of answer
     * @return list<BenchTestView>
     */
    private function views(array $tests, array $open): array
    {
        $steps = [];
        foreach ($this->state->schedule()->steps as $step) {
            $steps[$step->id] = $step;
        }
        $of = array_count_values(array_column($tests, 'step'));
        $failed = $this->state->bench->failed();

        return array_map(
            fn(BenchTest $t): BenchTestView => new BenchTestView(
                id: $t->id,
                step: $t->step,
                stepTitle: $steps[$t->step]->title ?? '',
                title: ucfirst((string) preg_replace('/^.*?: /', '', $t->title)),
                asks: $t->asks,
                by: $t->by,
                do: $t->do,
                see: $t->see,
                otherwise: $t->otherwise,
                caution: $t->caution,
                done: isset($this->state->ticks[$t->id]),
                at: $this->state->ticks[$t->id]->at ?? '',
                failed: isset($this->state->ticks[$t->id]) ? '' : $failed[$t->id]->text ?? '',
                open: $open[$t->asks] ?? [],
                minutes: self::minutes($steps[$t->step] ?? null, $of[$t->step]),
            ),
            $tests,
        );
    }

    /** A test's share of its step. */
    private static function minutes(?Step $step, int $tests): int
    {
        return max(1, (int) ceil(($step->work ?? 1.0) / max(1, $tests)));
    }

    /** @return list<BenchReelStrip> strips of the job, whose reel may be measured */
    private function strips(): array
    {
        $strips = [];
        foreach ($this->state->plan->kit as $id => $kit) {
            if ($kit->entry instanceof Strip) {
                $strips[] = new BenchReelStrip(id: (string) $id, name: $kit->entry->name());
            }
        }

        return $strips;
    }

    private function channel(Run $run): ?BenchChannel
    {
        $strip = $this->state->plan->strip($run->strip);
        if ($strip === null || !$strip->switched()) {
            return null;
        }
        $watts = max(array_map(static fn(Channel $c): float => $c->wattsPerMetre, $strip->channels));

        return new BenchChannel(
            name: $run->name(),
            volts: $strip->volts,
            amps: round(($watts * $this->state->plan->of($run)->litLength() * $run->cap) / $strip->volts, 3),
            place: $run->place,
        );
    }

    private function meter(BenchFacts $facts, ?Run $run): ?BenchMeter
    {
        if ($run === null) {
            return null;
        }
        foreach (Island::all($this->state->plan) as $island) {
            if (isset($island->parts[$run->id])) {
                return MeterPicture::for($this->state, $facts, $island, $run);
            }
        }

        return null;
    }
}
