<?php

declare(strict_types=1);

namespace EmberDusk\Build;

use EmberDusk\Measure\TapeNotes;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * The steps of a job in the order of the trade, from plan, kit and mounting: dry run, isolate, trace, supply, cables, loose
 * test, profile or sticking, joints, second test, sealing, curing, diffuser, tidy. All times: common practice, no source.
 */
final class Steps
{
    /** Minutes: per metre dry, laid, made up or stuck, covered; per joint of one core; per unit, end, leg, test, place. */
    private const M = ['dry' => 2.0, 'cable' => 5.0, 'profile' => 6.0, 'stick' => 4.0, 'diffuser' => 1.0, 'joint' => 6.0, 'unit' => 20.0, 'end' => 5.0, 'leg' => 5.0, 'test' => 10.0, 'isolate' => 10.0, 'tidy' => 10.0, 'cut' => 3.0];

    /** Silicone cures for a day. */
    private const CURE = 1440;

    /** @var list<Step> */
    private array $steps = [];

    private function __construct(private readonly Plan $plan)
    {
    }

    /** @return list<Step> */
    public static function of(Plan $plan): array
    {
        $steps = new self($plan);
        foreach ($plan->places as $id => $place) {
            $runs = array_values(array_filter($plan->runs, static fn (Run $r): bool => $r->place === $id && $plan->cutMarks($r) !== null && $plan->feedsOf($r) !== []));
            if ($runs !== []) {
                $steps->place($id, $place->name, $runs);
            }
        }

        return $steps->steps;
    }

    /** @param  non-empty-list<Run>  $runs */
    private function place(string $id, string $name, array $runs): void
    {
        $site = TapeNotes::read($this->plan->places[$id]->notes)->site;
        $isolate = $this->add("isolate-{$id}", $name, 'Isolate and prove dead', 'Before anything is touched.', self::M['isolate'], 1, ['voltage tester'],
            'Work on mains is for a licensed person. Test the tester, the circuit, and the tester again: a switch that is off proves nothing.', []);
        $before = [$isolate];
        if ($site->legs !== []) {
            $before[] = $this->add("trace-{$id}", $name, 'Disconnect and trace every leg, label both ends', 'What a wall hides is known only by its tone.', self::M['leg'] * count($site->legs), 2, ['continuity tester', 'labels'], 'Every leg is off at both ends before the tester is on it.', [$isolate]);
        }
        $tests = [];
        foreach ($runs as $run) {
            $tests[] = $this->run($id, $name, $run, $before, $site->damp === true || in_array('outdoors', $run->mounting, true));
        }
        $this->add("tidy-{$id}", $name, 'Tidy, tie leads, close boxes', 'Last, so that nothing is opened again.', self::M['tidy'], 1, ['ties'], 'Keep extra-low voltage apart from mains in every box.', $tests);
    }

    /** @param  list<string>  $before  Returns the run's last step. */
    private function run(string $id, string $place, Run $run, array $before, bool $damp): string
    {
        $key = $run->id;
        $name = $run->name();
        $metres = $run->length();
        $profile = in_array('profile', $run->mounting, true);
        $strip = (string) $run->strip;
        $cores = count($this->plan->strip($run->strip)->channels ?? []) + 1;
        $dry = $this->add("dry-{$key}", $place, "{$name}: dry run", 'Lay it out, plug it in, see that the connector lands where it should.', self::M['dry'] * $metres, 2, ['tape measure'], '', [$before[0]], 0, [$strip]);
        $units = $this->add("supply-{$key}", $place, "{$name}: fix supply and controller", 'Cables need something to begin at.', 2 * self::M['unit'], 1, ['drill', 'screwdriver'], 'Leave air around a supply. Mains terminals are for a licensed person.', $before, 0,
            array_values(array_filter([$this->plan->supplies[$run->supply ?? '']->kit ?? null, $this->plan->controllers[$run->controller ?? '']->kit ?? null])));
        $laid = 0.0;
        $kits = [];
        $ways = $run->controller === null ? [] : $this->plan->wayTo($run->controller);
        foreach ($this->plan->feedsOf($run) as $feed) {
            $ways += $this->plan->wayTo($feed->id);
        }
        foreach ($ways as $cable) {
            $laid += $cable->existing ? 0.0 : $cable->length;
            $kits[] = $cable->kit;
        }
        $cables = $this->add("cables-{$key}", $place, "{$name}: lay cables, mark both ends", 'Leads are marked first, on alternating sides of the strip.', self::M['cable'] * $laid, 1, ['cutter', 'labels'], 'A ladder stands on firm ground and somebody holds it.', [$units], 0, array_values(array_unique($kits)));
        $loose = $this->add("loose-{$key}", $place, "{$name}: loose test", 'The whole thing is tried before anything is stuck: single channels, white, one mix.', self::M['test'], 1, ['meter', 'bench supply'], 'Volts and polarity by meter before the strip is on. Never connect strip to mains.', [$dry, $cables]);
        $fixed = $profile
            ? $this->add("profile-{$key}", $place, "{$name}: make up profile on the bench, then up with it", 'Strip into profile, clips on its back, profile up; the diffuser comes last.', self::M['profile'] * $metres, 2, ['saw', 'drill'], 'Ladders: two people.', [$loose])
            : $this->add("stick-{$key}", $place, "{$name}: clean and stick, a hand’s length at a time", 'It holds on clean ground only; no creases.', self::M['stick'] * $metres, 1, ['cleaning alcohol', 'roller'], 'Alcohol burns: air the room, no flame.', [$loose]);
        $cut = $this->add("cut-{$key}", $place, $profile ? "{$name}: cut to measure" : "{$name}: cut back from the unfed end", 'At marks only.', self::M['cut'] * max(1, count($run->sections)), 1, ['scissors'], '', $profile ? [$loose] : [$fixed]);
        $joints = 2 * $cores * count($this->plan->feedsOf($run));
        $solder = $this->add("joints-{$key}", $place, "{$name}: {$joints} joints", 'Tin both sides, join, clean with alcohol.', self::M['joint'] * $joints, 1, ['iron at 320 °C', 'flux'], 'Flux fumes: air. Hot iron: a stand.', [$fixed, $cut]);
        $last = $this->add("second-{$key}", $place, "{$name}: second test", 'After the joints and before sealing: what is wrong is still within reach.', self::M['test'], 1, ['meter'], 'At both-end feeds lift one at a time and compare.', [$solder]);
        if ($damp) {
            $last = $this->add("seal-{$key}", $place, "{$name}: seal the ends with silicone", 'It stays damp: silicone, a day to cure.', self::M['end'] * 2 * count($run->sections), 1, ['silicone'], 'Silicone gives off acid while it cures: air.', [$last], self::CURE);
        }

        return $profile ? $this->add("diffuser-{$key}", $place, "{$name}: diffuser on", 'Last, when nothing has to be reached any more.', self::M['diffuser'] * $metres, 1, [], '', [$last]) : $last;
    }

    /**
     * @param  list<string>  $tools
     * @param  list<string>  $after
     * @param  list<string>  $needs
     */
    private function add(string $id, string $place, string $title, string $why, float $minutes, int $people, array $tools, string $caution, array $after, int $wait = 0, array $needs = []): string
    {
        $this->steps[] = new Step($id, $place, $title, $why, max(5, (int) (5 * ceil($minutes / 5 - 1e-9))), $people, $tools, $caution, $after, $wait, $needs);

        return $id;
    }
}
