<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Costing\Basis;
use EmberDusk\Plan\Limits;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\Aim;
use EmberDusk\Planner\Clash;
use EmberDusk\Planner\ClashSearch;
use EmberDusk\Planner\Group;
use EmberDusk\Planner\PlanJudge;
use EmberDusk\Planner\PlannerProgress;
use EmberDusk\Planner\Search;
use EmberDusk\Planner\Tables;
use EmberDusk\Tests\Circuits;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Limits that clash: a search of some layouts against all of them. */
final class ClashSearchTest extends TestCase
{
    private const KIT = [
        'cable-2x1',
        'cable-2x25',
        'supply-24-240',
        'supply-24-320',
        'controller-zigbee-1',
        'fuse-10',
        'fuse-15',
    ];

    /** @return array<string, array{array<string, float>, list<PlannerLimit>}> limits of the job, and those that clash */
    public static function limits(): array
    {
        return [
            'evenness' => [['evenness' => 0.9999], [PlannerLimit::Evenness]],
            'volts lost' => [['drop' => 0.001], [PlannerLimit::Drop]],
            'headroom' => [['headroom' => 0.8], [PlannerLimit::Headroom]],
            'two, each broken by all' => [['headroom' => 0.8, 'evenness' => 0.9999], [PlannerLimit::Headroom]],
        ];
    }

    /**
     * @param  array<string, float>  $limits
     * @param  list<PlannerLimit>  $named
     */
    #[DataProvider('limits')]
    public function test_some_layouts_name_the_limits_of_all(array $limits, array $named): void
    {
        $all = self::clash($limits, 100_000);
        $some = self::clash($limits, 60);
        self::assertTrue($all->all);
        self::assertFalse($some->all);
        self::assertSame($named, $all->limits);
        self::assertSame($named, $some->limits);
        self::assertNotNull($all->nearest);
        self::assertNotNull($some->nearest);
        self::assertSame($all->nearest->judged->limits(), $some->nearest->judged->limits());
        // No layout at all is nearer by a tenth.
        $far = static fn(Clash $c): float => $c->nearest?->judged->far(PlannerLimit::cases())[1] ?? INF;
        self::assertGreaterThanOrEqual($far($all), $far($some));
        self::assertLessThan(1.1 * $far($all), $far($some));
    }

    /** Places along the run are not among the layouts: "nothing holds" needs the search by cost to have looked at them. */
    public function test_claims_to_have_tried_all_only_with_the_places_along_the_run(): void
    {
        [$search, $runs] = self::search(['drop' => 0.001]);
        self::assertFalse(ClashSearch::for($search, $runs, 100_000, false)->all);
    }

    /** A search by cost that may solve no layout finds nothing; the search for the clash does. */
    public function test_a_layout_that_holds_joins_the_result(): void
    {
        [$search, $runs] = self::search([]);
        $group = new Group($search, $runs, Aim::Cost, 0);
        $group->solve();
        self::assertFalse($group->complete());
        self::assertSame([], [...$group->clashes(60)]);
        self::assertTrue($group->complete());
        self::assertFalse($group->exact);
        self::assertTrue($group->parts[0]->judged->holds());
    }

    /** @param  array<string, float>  $limits */
    private static function clash(array $limits, int $most): Clash
    {
        return ClashSearch::for(...[...self::search($limits), $most, true]);
    }

    /**
     * @param  array<string, float>  $limits
     * @return array{Search, non-empty-list<Run>}
     */
    private static function search(array $limits): array
    {
        $plan = Circuits::in("start\n12.5 one\ndry\noutlet P1 at 0.50\nbox B1 at 1.50, 40x30x20, vented")
            ->run('one', 12.5, ['watts' => 9.6])
            ->limits(new Limits(...$limits))
            ->plan();
        $shelf = new FewOnShelf(self::KIT);
        $tables = new Tables($plan, $plan->run('one')->place, new Basis($shelf));

        return [new Search($tables, $shelf, new PlannerProgress(), new PlanJudge()), [$plan->run('one')]];
    }
}
