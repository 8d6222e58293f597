<?php

declare(strict_types=1);

namespace EmberDusk\Build;

use EmberDusk\Kit\Connector;
use EmberDusk\Measure\TapeNotes;
use EmberDusk\Parts\Fixings;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * The steps of a job in the order of the trade, from plan, kit and mounting: dry run, isolate, trace, supply, cables, loose
 * test, profile or sticking, joints, second test, sealing, curing, diffuser, tidy. All times: common practice, no source.
 */
final class Steps
{
    /** Minutes: per metre laid out, of cable, made up, stuck, covered; per joint of one core; per unit, fixture, end, section, leg, test, place. */
    public const TIMES = ['isolate' => 10.0, 'trace' => 5.0, 'dry' => 2.0, 'supply' => 20.0, 'cables' => 5.0, 'loose' => 10.0, 'cut' => 3.0, 'profile' => 6.0, 'stick' => 4.0, 'joints' => 6.0, 'second' => 10.0, 'seal' => 5.0, 'diffuser' => 1.0, 'fixtures' => 20.0, 'tidy' => 10.0];

    /** What a kind of step is, in words. */
    public const WORDS = ['isolate' => 'isolating', 'trace' => 'tracing legs', 'dry' => 'dry runs', 'supply' => 'supplies and controllers', 'cables' => 'laying cables', 'loose' => 'loose tests', 'cut' => 'cutting', 'profile' => 'making up profile', 'stick' => 'cleaning and sticking', 'joints' => 'joints', 'second' => 'second tests', 'seal' => 'sealing', 'diffuser' => 'diffusers', 'fixtures' => 'fixtures', 'tidy' => 'tidying'];

    /** Groups of the parts list that must be here for a step. */
    private const NEEDS = ['dry' => ['Strip'], 'supply' => ['Supply', 'Controller'], 'cables' => ['Cable', 'Fuse'], 'profile' => ['Profile', 'Fixing'], 'stick' => ['Fixing', 'Cleaning'], 'joints' => ['Joint', 'Solder'], 'seal' => ['Sealing'], 'diffuser' => ['Diffuser']];

    /** Making joints of a kind, in words. */
    private const JOINTS = ['solder' => 'solder %d joints', 'crimp' => 'crimp %d joints', 'screw' => 'screw %d cores into terminals', 'lever' => 'put %d cores into lever terminals', 'plug' => 'plug %d joints together', 'clip' => 'clip %d joints on'];

    /** Silicone cures for a day. */
    private const CURE = 1440;

    /** @var list<Step> */
    private array $steps = [];

    /** @var array<string, array<string, list<string>>> shelf ids by group and run */
    private array $parts = [];

    /** @var array<string, string> the step that fixes a supply or controller */
    private array $fixed = [];

    /** @var array<string, string> the step that lays a cable */
    private array $laid = [];

    /** @var array<string, array<string, LaidCable>> cables that are laid for a run first, by run */
    private array $new = [];

    private function __construct(private readonly Plan $plan, private readonly PartsList $list, private readonly Pace $pace)
    {
        foreach ($list->parts as $part) {
            foreach ($part->runs as $run) {
                $this->parts[$part->group][$run][] = $part->key;
            }
        }
    }

    /** @return list<Step> */
    public static function of(Plan $plan, PartsList $parts, Pace $pace): array
    {
        $steps = new self($plan, $parts, $pace);
        foreach ($plan->places as $id => $place) {
            $runs = array_values(array_filter($plan->runs, static fn (Run $r): bool => $r->place === $id && $plan->cutMarks($r) !== null && $plan->feedsOf($r) !== []));
            $fixtures = array_values(array_filter($plan->fixtures, static fn (Fitting $f): bool => $f->place === $id));
            if ($runs !== [] || $fixtures !== []) {
                $steps->place($id, $place->name, $runs, $fixtures);
            }
        }

        return $steps->steps;
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<Fitting>  $fixtures
     */
    private function place(string $id, string $name, array $runs, array $fixtures): void
    {
        $legs = TapeNotes::read($this->plan->places[$id]->notes)->site->legs;
        $battery = $runs !== [] && $fixtures === [] && array_filter($runs, fn (Run $r): bool => ($this->plan->kit[$this->plan->supplies[$r->supply ?? '']->kit ?? '']->written['kind'] ?? '') !== 'battery') === [];
        $isolate = $battery
            ? $this->add('isolate', $id, $name, 'Take the fuses out of the battery taps', 'Before anything is touched.', 1.0, 1, ['meter'], 'A battery can short and burn: no ring on the hand, one tool at a time, posts covered. Fuse at the tap; never solder to a cell.', [])
            : $this->add('isolate', $id, $name, 'Isolate and prove dead', 'Before anything is touched.', 1.0, 1, ['voltage tester'], 'Work on mains is for a licensed person. Test the tester, the circuit, and the tester again: a switch that is off proves nothing.', []);
        $before = [$isolate];
        if ($legs !== []) {
            $before[] = $this->add('trace', $id, $name, 'Disconnect and trace every leg, label both ends', 'What a wall hides is known only by its tone.', count($legs), 2, ['continuity tester', 'labels'], 'Every leg is off at both ends before the tester is on it.', [$isolate]);
        }
        $last = [];
        foreach ($runs as $run) {
            $last[] = $this->run($run, $before);
        }
        foreach ($fixtures as $fitting) {
            $title = (isset($this->plan->kit[$fitting->kit]) ? $this->plan->kit[$fitting->kit]->entry->name() : $fitting->id).": hang {$fitting->count} and connect";
            $module = $this->plan->modules[$fitting->module ?? '']->kit ?? null;
            $last[] = $this->add('fixtures', $fitting->id, $name, $title, 'Fixtures hang before their dimmer is set.', $fitting->count + ($module === null ? 0 : 1), 2, ['screwdriver', 'ladder'], 'Mains terminals are for a licensed person. A ladder stands on firm ground and somebody holds it.', $before, 0, array_values(array_filter([$fitting->kit, $module])));
        }
        $this->add('tidy', $id, $name, 'Tidy, tie leads, close boxes', 'Last, so that nothing is opened again.', 1.0, 1, ['ties'], 'Keep extra-low voltage apart from mains in every box.', $last);
    }

    /** @param  list<string>  $before  Returns the run's last step. */
    private function run(Run $run, array $before): string
    {
        $metres = $run->length();
        $profile = in_array('profile', $run->mounting, true);
        $making = $this->plan->making($run);
        $sections = count($run->sections);
        $dry = $this->ofRun($run, 'dry', 'dry run', 'Lay it out, plug it in, see that the connector lands where it should.', $metres, 2, ['tape measure'], '', []);
        $units = $this->units($run, [$dry, ...$before]);
        $cables = $this->cables($run, $units);
        $loose = $this->ofRun($run, 'loose', 'loose test', 'The whole thing is tried before anything is stuck: single channels, white, one mix.', 1, 1, ['meter', 'bench supply'], 'Volts and polarity by meter before the strip is on. Never connect strip to mains.', [$dry, ...$cables]);
        $measured = $making->cut === '' ? $profile : $making->cut === 'before';
        $fixed = $loose;
        if ($measured) {
            $fixed = $this->ofRun($run, 'cut', 'cut to measure', $profile ? 'At marks only; it has to fit before it goes into profile.' : 'At marks only, beforehand: measure twice.', $sections, 1, ['scissors'], '', [$loose]);
        }
        $fixed = $profile
            ? $this->ofRun($run, 'profile', 'make up profile on the bench, then up with it', sprintf('Strip into profile, clips on its back every %.2f m, profile up; the diffuser comes last.', Fixings::ANCHOR), $metres, 2, ['saw', 'drill'], 'Ladders: two people. Wear glasses at the saw.', [$fixed])
            : $this->ofRun($run, 'stick', 'clean and stick, a hand’s length at a time', 'It holds on clean ground only; no creases.', $metres, 1, ['cleaning alcohol', 'roller'], 'Alcohol burns: air the room, no flame.', [$fixed]);
        if (! $measured) {
            $fixed = $this->ofRun($run, 'cut', 'cut back from the unfed end', 'At marks only; what is fixed already cannot come up short.', $sections, 1, ['scissors'], '', [$fixed]);
        }
        [$joints, $minutes, $kinds] = $this->joints($run);
        $soldered = in_array('solder', $kinds, true);
        $verb = count($kinds) === 1 ? self::JOINTS[$kinds[0]] ?? 'make %d joints' : 'make %d joints';
        $made = $joints === 0 ? $fixed : $this->ofRun($run, 'joints', sprintf($verb, $joints), $soldered ? 'Leads marked and tinned, both sides, then joined and cleaned with alcohol.' : 'Every core by its mark, then pulled at.', $minutes / self::TIMES['joints'], 1, $soldered ? ['iron at 320 °C', 'flux'] : ['crimping or screw tool'], $soldered ? 'Flux fumes: air. Hot iron: a stand.' : 'Nothing is live while a joint is made.', [$fixed]);
        $last = $this->ofRun($run, 'second', 'second test', 'After the joints and before sealing: what is wrong is still within reach.', 1, 1, ['meter'], 'At both-end feeds lift one at a time and compare.', [$made]);
        if ($making->seal === 'glue') {
            $last = $this->ofRun($run, 'seal', 'seal the ends with hot glue and tape', 'Set in minutes; not for where it stays wet.', 2 * $sections, 1, ['glue gun', 'tape'], 'Hot glue burns the skin.', [$last]);
        } elseif ($making->seal === 'silicone' || $this->plan->damp($run)) {
            $last = $this->ofRun($run, 'seal', 'seal the ends with silicone', 'It stays damp: silicone, a day to cure.', 2 * $sections, 1, ['silicone'], 'Silicone gives off acid while it cures: air.', [$last], self::CURE);
        }

        return $profile ? $this->ofRun($run, 'diffuser', 'diffuser on', 'Last, when nothing has to be reached any more.', $metres, 1, [], '', [$last]) : $last;
    }

    /**
     * Supply and controller, where no other run has them fixed already.
     *
     * @param  list<string>  $after
     * @return list<string> the steps after which both are there
     */
    private function units(Run $run, array $after): array
    {
        $units = array_values(array_filter([$run->supply, $run->controller]));
        $new = array_values(array_filter($units, fn (string $u): bool => ! isset($this->fixed[$u])));
        if ($new !== []) {
            $title = count($new) === 2 ? 'fix supply and controller' : ($new[0] === $run->supply ? 'fix the supply' : 'fix the controller');
            $step = $this->ofRun($run, 'supply', $title, 'Cables need something to begin at.', count($new), 1, ['drill', 'screwdriver'], 'Leave air around a supply. Mains terminals are for a licensed person.', $after);
            $this->fixed += array_fill_keys($new, $step);
        }

        return array_values(array_unique(array_map(fn (string $u): string => $this->fixed[$u], $units)));
    }

    /**
     * Cables that no other run has laid already.
     *
     * @param  list<string>  $after
     * @return list<string> the steps after which all are there
     */
    private function cables(Run $run, array $after): array
    {
        $ways = $this->plan->waysOf($run);
        $new = array_diff_key($ways, $this->laid);
        if ($new !== []) {
            $metres = array_sum(array_map(static fn (LaidCable $c): float => $c->existing ? 0.0 : $c->length, $new));
            $step = $this->ofRun($run, 'cables', 'lay cables, mark both ends', 'Leads are marked first, on alternating sides of the strip.', $metres, 1, ['cutter', 'labels'], 'A ladder stands on firm ground and somebody holds it.', $after);
            $this->laid += array_fill_keys(array_keys($new), $step);
            $this->new[$run->id] = $new;
        }

        return $ways === [] ? $after : array_values(array_unique(array_map(fn (LaidCable $c): string => $this->laid[$c->id], $ways)));
    }

    /** @return array{int, float, list<string>} joints of one core at the run's own cables, between its sections and where its strip is joined, minutes for them, and what kinds they are of */
    private function joints(Run $run): array
    {
        $cores = $this->plan->cores($run);
        $count = 2 * $cores * count($this->plan->cutMarks($run)->jumps ?? []) + $cores * ($this->list->joined[$run->id] ?? 0);
        $minutes = self::TIMES['joints'] * $count;
        $kinds = $count > 0 ? ['solder' => true] : [];
        foreach ($this->new[$run->id] ?? [] as $cable) {
            $joint = $this->plan->kit[$cable->joint ?? '']->entry ?? null;
            $ends = 2 * (isset($this->plan->feeds[$cable->to]) ? $cores : 2);
            $count += $ends;
            $minutes += $ends * ($joint instanceof Connector ? $joint->minutes ?? self::TIMES['joints'] : self::TIMES['joints']);
            $kinds[$joint instanceof Connector ? $joint->joint : 'solder'] = true;
        }

        return [$count, $minutes, array_keys($kinds)];
    }

    /** @return list<string> */
    private function needs(string $kind, Run $run): array
    {
        return array_merge(...array_map(fn (string $group): array => $this->parts[$group][$run->id] ?? [], self::NEEDS[$kind] ?? []));
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     */
    private function ofRun(Run $run, string $kind, string $title, string $why, float $units, int $people, array $tools, string $caution, array $after, int $wait = 0): string
    {
        return $this->add($kind, $run->id, $this->plan->places[$run->place]->name ?? '', "{$run->name()}: {$title}", $why, $units, $people, $tools, $caution, $after, $wait, $this->needs($kind, $run));
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     * @param  list<string>  $needs
     */
    private function add(string $kind, string $of, string $place, string $title, string $why, float $units, int $people, array $tools, string $caution, array $after, int $wait = 0, array $needs = []): string
    {
        $table = Pace::fives(self::TIMES[$kind] * $units);
        $this->steps[] = new Step("{$kind}-{$of}", $kind, $place, $title, $why, $units, $table, $this->pace->minutes($kind, $table), $this->pace->range($kind, $table), $people, $tools, $caution, $after, $wait, $needs);

        return "{$kind}-{$of}";
    }
}
