<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\JoinEvent;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** Wall panels had the names of outlets, P1, P2, …, in join logs. */
final class PanelNamesTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }

    public function test_join_logs_name_panels_apart_from_outlets(): void
    {
        $job = $this->job($this->crew());
        $newest = $job->revisions()->orderByDesc('number')->firstOrFail();
        $plan = Demo::with($newest->plan(), [
            'kind' => 'SetItem',
            'item' => null,
            'kit' => 'panel-zigbee',
            'place' => array_key_first($newest->plan()->places),
            'count' => 1,
        ]);
        $newest->forceFill(['document' => (string) gzcompress(JobFile::write($plan))])->save();
        $panels = array_filter(
            RosterOfPlan::for($plan, new TimingMethod())->units,
            static fn(Unit $u): bool => $u->role === Unit::PANEL,
        );
        self::assertSame(['w1'], array_keys($panels));
        $run = $job->joinRuns()->forceCreate([
            'seed' => 1,
            'revision' => 1,
            'clock_since' => 0,
            'site' => true,
            'hand' => 'p1',
            'flaws' => 'panel-fixed@p1 power@p12',
            'tasks' => [['what' => 'join', 'device' => 'c1', 'other' => 'p1']],
        ]);
        $event = ['number' => 1, 'at' => 3.0, 'kind' => Event::SAW, 'text' => 'P1 p1', 'created_at' => now()];
        $run->events()->forceCreate($event + ['device' => 'p1', 'task' => 'link p1 c1', 'step' => 'join']);

        $migration = require database_path('migrations/2026_12_01_000028_panels.php');
        self::assertInstanceOf(Migration::class, $migration);
        self::assertTrue(method_exists($migration, 'up') && method_exists($migration, 'down'));
        $migration->up();
        $row = JoinEvent::query()
            ->whereKey($run->events()->sole()->getKey())
            ->sole();
        // The job has one panel: p12 is none, and what a person typed stays.
        self::assertSame(['w1', 'link w1 c1', 'P1 p1'], [$row->device, $row->task, $row->text]);
        $run->refresh();
        self::assertSame(
            ['w1', 'panel-fixed@w1 power@p12', 'w1'],
            [$run->hand, $run->flaws, $run->tasks[0]['other'] ?? null],
        );
        $migration->down();
        self::assertSame('p1', $run->events()->sole()->device);
    }
}
