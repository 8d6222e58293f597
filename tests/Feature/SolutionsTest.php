<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Results\ResultCache;
use App\Results\ResultStore;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Fingerprint;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use Illuminate\Cache\ArrayStore;
use Illuminate\Cache\Repository;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

final class SolutionsTest extends TestCase
{
    use RefreshDatabase;

    /** Two runs, each with separate kit. */
    private function plan(): Plan
    {
        return Demo::with(
            Demo::plan(),
            ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => "start door\n5 cove\n2 shelf"],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'strip-single-24'],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'supply-24-100'],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'controller-zigbee-1'],
            ['kind' => 'ChooseKit', 'run' => 'shelf', 'kit' => 'cable-2x15'],
        );
    }

    public function test_an_edit_solves_only_the_run_that_it_touched(): void
    {
        $cache = new ResultStore(new Repository(new ArrayStore()), 1_000_000);
        $plan = $this->plan();
        $first = (new ResultCache($cache))->for($plan);
        self::assertSame(['cove', 'shelf'], array_keys($first));
        // A cached result is answered without solving: another run's result, put there, comes back for the unchanged run.
        $marked = $first['cove'];
        $cache->put('solved.' . Fingerprint::for($plan, (new Engine($plan))->islandOf($plan->run('shelf'))), [
            'shelf' => $marked,
        ]);
        $edited = Demo::with($plan, ['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 30]);
        $second = (new ResultCache($cache))->for($edited);
        self::assertEquals($marked, $second['shelf']);
        self::assertInstanceOf(RunResult::class, $second['cove']);
        self::assertNotEquals($first['cove'], $second['cove']);
    }

    public function test_cached_results_equal_solved_ones(): void
    {
        $cache = new ResultStore(new Repository(new ArrayStore(true)), 1_000_000);
        $plan = $this->plan();
        self::assertEquals((new ResultCache($cache))->for($plan), (new ResultCache($cache))->for($plan));
    }

    public function test_reports_an_unsolvable_run_without_caching_it(): void
    {
        $cache = new ResultStore(new Repository(new ArrayStore()), 1_000_000);
        $plan = Demo::with($this->plan(), ['kind' => 'SetCable', 'cable' => 'k2', 'kit' => 'cable-2x15']);
        $results = (new ResultCache($cache))->for($plan);
        self::assertInstanceOf(Refusal::class, $results['cove']);
        self::assertStringContainsString('K2', $results['cove']->getMessage());
        self::assertInstanceOf(RunResult::class, $results['shelf']);
    }
}
