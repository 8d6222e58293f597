<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\JoinEvent;
use EmberDusk\Joining\Event;
use EmberDusk\Kit\Shelf;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** A job of version 8 had its pixel boards beside the chain, named b1, b2, … in join logs. */
final class BoardNamesTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }

    public function test_join_logs_name_boards_by_the_ids_that_they_have_as_controllers(): void
    {
        $job = $this->job($this->crew());
        $newest = $job->revisions()->orderByDesc('number')->firstOrFail();
        $document = (array) json_decode(JobFile::write($newest->plan()), true);
        $document['version'] = 8;
        $board = [
            'kind' => 'board',
            'id' => 'board-old',
            'name' => 'Board',
            'inputLeast' => 5,
            'inputMost' => 24,
            'outputs' => 1,
            'pixelsPerOutput' => 300,
        ];
        $document['kit'][] = ['id' => 'board-old', 'hash' => Shelf::hash($board), 'entry' => $board];
        foreach (['i7' => 'band', 'i12' => 'rail'] as $id => $run) {
            $document['items'][] = [
                'id' => $id,
                'kit' => 'board-old',
                'place' => 'place3',
                'count' => 1,
                'on' => $run,
                'stands' => null,
                'used' => false,
            ];
        }
        $newest->forceFill(['document' => (string) gzcompress((string) json_encode($document))])->save();
        $run = $job->joinRuns()->forceCreate([
            'seed' => 1,
            'revision' => 1,
            'clock_since' => 0,
            'site' => true,
            'hand' => 'b2',
            'flaws' => 'power@b1 wrong-key@b10',
            'tasks' => [['what' => 'join', 'device' => 'b2', 'other' => 'h1']],
        ]);
        $event = ['number' => 1, 'at' => 3.0, 'kind' => Event::SAW, 'text' => 'b1 is a name', 'created_at' => now()];
        $run->events()->forceCreate($event + ['device' => 'b1', 'task' => 'join b1 b2', 'step' => 'join']);

        $migration = require database_path('migrations/2026_11_30_000022_boards.php');
        self::assertInstanceOf(Migration::class, $migration);
        self::assertTrue(method_exists($migration, 'up') && method_exists($migration, 'down'));
        $migration->up();
        $row = JoinEvent::query()
            ->whereKey($run->events()->sole()->getKey())
            ->sole();
        self::assertSame(['i7', 'join i7 i12', 'b1 is a name'], [$row->device, $row->task, $row->text]);
        $run->refresh();
        self::assertSame(['i12', 'power@i7 wrong-key@b10'], [$run->hand, $run->flaws]);
        self::assertSame('i12', $run->tasks[0]['device'] ?? null);
        self::assertSame('i7', $newest->fresh()?->plan()->run('band')->controller);

        $migration->down();
        self::assertSame('b1', $run->events()->sole()->device);
    }
}
