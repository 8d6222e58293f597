<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\Findings;
use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Checks\Registry;
use EmberDusk\Checks\Supply\Headroom;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\SupplyLoad;
use EmberDusk\Costing\Basis;
use EmberDusk\Job\JobState;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\Proposal;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\SeededJobs;
use EmberDusk\Values\Finding;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\TestCase;

/** Planner and checks: no check stops a proposal, and no early form refuses a plan that a check allows. */
final class ChecksTest extends TestCase
{
    public function test_no_check_stops_a_proposal(): void
    {
        $taken = 0;
        foreach (PlannerJobs::all(7) as $n => [$plan, $runs, $shelf]) {
            if ($n >= 12) {
                break;
            }
            $proposal = Planner::propose($plan, $runs, new Basis($shelf));
            if (!$proposal->whole()) {
                continue;
            }
            $made = $proposal->built($proposal->parts);
            $results = [];
            foreach (Island::all($made) as $island) {
                $results += (new Engine($made))->island($island);
            }
            $stops = array_filter(
                (new Findings(new JobState($made, $results, $shelf)))->for(),
                static fn(Finding $f): bool => $f->severity === Severity::Stop &&
                    in_array($f->place->stage, [JobStage::Kit, JobStage::Wire], true),
            );
            self::assertSame(
                [],
                array_values(array_map(static fn(Finding $f): string => $f->title, $stops)),
                "job {$n}",
            );
            $taken++;
        }
        self::assertGreaterThan(5, $taken);
    }

    /** A check that exists nowhere else binds the planner as any other does: what it stops is not proposed, and it is named where nothing else is left. */
    public function test_a_check_that_is_handed_in_binds(): void
    {
        $plan = Circuits::in("start\n12.5 one\ndry\nbox B1 shelf at 1, 30x20x10, vented, hand")
            ->run('one', 12.5, ['watts' => 9.6])
            ->plan();
        $kit = ['cable-2x25', 'controller-zigbee-1', 'supply-24-150', 'supply-24-240', 'fuse-10', 'fuse-15'];
        $forbids = static fn(string ...$kit): PlanJudge => new PlanJudge([
            ...Registry::circuit(),
            new ForbiddenSupply(...$kit),
        ]);
        $proposed = static fn(PlanJudge $judge): Proposal => Planner::propose(
            $plan,
            ['one'],
            new Basis(new FewOnShelf($kit)),
            judge: $judge,
        );
        $supply = static fn(Proposal $p): string => array_values($p->built($p->parts)->supplies)[0]->kit;
        self::assertSame('supply-24-150', $supply($proposed(new PlanJudge())));
        self::assertSame('supply-24-240', $supply($proposed($forbids('supply-24-150'))));
        $none = $proposed($forbids('supply-24-150', 'supply-24-240'));
        self::assertFalse($none->whole());
        self::assertSame(PlannerLimit::Other, $none->clashes[0]->limits[0]);
    }

    /** Two strips of 5 A and 5.6 A: no controller of 8 A may be proposed for both. */
    public function test_two_strips_share_no_controller_that_is_too_small_for_both(): void
    {
        $notes = "start\n12.5 one\n14 two\ndry\nbox B1 shelf at 1, 30x20x10, vented, hand";
        $plan = Circuits::in($notes)
            ->run('one', 12.5, ['watts' => 9.6])
            ->run('two', 14.0, ['watts' => 9.6, 'pitch' => 0.1])
            ->plan();
        $shelf = new FewOnShelf([
            'cable-2x25',
            'controller-zigbee-1',
            'supply-24-320',
            'supply-24-240',
            'fuse-15',
            'fuse-20',
        ]);
        $proposal = Planner::propose($plan, ['one', 'two'], new Basis($shelf));
        foreach ($proposal->built($proposal->parts)->controllers as $id => $device) {
            $load = \EmberDusk\Circuit\ControllerLoad::for($proposal->built($proposal->parts), (string) $id);
            self::assertLessThanOrEqual(8.0, $load->amps);
        }
    }

    public function test_no_early_form_refuses_what_a_check_allows(): void
    {
        $asked = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $plan = SeededJobs::of($seed);
            $results = [];
            foreach (Island::all($plan) as $island) {
                try {
                    $results += (new Engine($plan))->planned($island);
                } catch (Refusal) {
                    continue;
                }
            }
            $state = new JobState($plan, $results, Demo::shelf());
            $titles = implode(
                "\n",
                array_map(static fn(Finding $f): string => $f->title, (new Findings($state))->for()),
            );
            foreach (array_keys($plan->supplies) as $id) {
                $supply = $plan->supply((string) $id);
                if (
                    $supply === null ||
                    $supply->battery() ||
                    str_contains($titles, strtoupper((string) $id) . ' load')
                ) {
                    continue;
                }
                $asked++;
                self::assertTrue(
                    Headroom::enough($plan, $supply, SupplyLoad::for($plan, (string) $id)->nominalWatts),
                    "seed {$seed}, {$id}",
                );
            }
            foreach ($plan->runs as $run) {
                $strip = $plan->strip($run->strip);
                $controller = $plan->controller($run->controller);
                if (
                    $strip === null ||
                    $controller === null ||
                    !$strip->switched() ||
                    str_contains($titles, strtoupper((string) $run->controller) . ' carries')
                ) {
                    continue;
                }
                $asked++;
                self::assertLessThanOrEqual(
                    ControllerAmps::metres($strip, $controller) + 1e-3,
                    $plan->of($run)->cutMarks()?->length() ?? 0.0,
                    "seed {$seed}, {$run->id}",
                );
            }
        }
        self::assertGreaterThan(30, $asked);
    }
}
