<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;

final class EditTest extends TestCase
{
    use Edits;
    use RefreshDatabase;

    public function test_a_change_makes_a_revision_and_answers_with_the_new_state(): void
    {
        $before = $this->document();
        $answer = $this->answer($this->change(self::ENDS, 1));
        self::assertSame(2, $answer['revision']);
        self::assertSame('Cove fed at both ends', $answer['undo']);
        self::assertCount(2, $answer['desk']['wire']['runs'][0]['feeds']);
        self::assertCount(360, $answer['desk']['wire']['runs'][0]['light']);
        self::assertNotSame($before, $this->document());
    }

    public function test_a_change_that_alters_nothing_makes_no_revision(): void
    {
        $this->change(['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 0], 1)
            ->assertOk()
            ->assertJsonPath('revision', 1);
    }

    public function test_a_refused_change_says_where_and_leaves_nothing(): void
    {
        $before = $this->document();
        $this->change(['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 9999], 1)
            ->assertStatus(422)
            ->assertExactJson(['message' => 'The run ends before that pad.', 'pointer' => '/pad']);
        $this->change(['kind' => 'SetCable', 'cable' => 'k1', 'length' => -2], 1)
            ->assertStatus(422)
            ->assertJsonPath('pointer', '/length');
        $this->postJson("/jobs/{$this->job->id}/change", ['stage' => 'cellar', 'base' => 'x'])->assertStatus(422);
        self::assertSame($before, $this->document());
        self::assertSame(1, $this->job->revisions()->count());
    }

    public function test_a_preview_writes_nothing(): void
    {
        $response = $this->postJson("/jobs/{$this->job->id}/preview", [
            'stage' => 'wire',
            'change' => ['kind' => 'MoveFeed', 'feed' => 'f1', 'at' => 9.01],
        ]);
        $response->assertOk()->assertJsonPath('desk.wire.runs.0.feeds.0.pad', 180);
        self::assertSame(1, $this->job->revisions()->count());
    }

    public function test_a_stale_change_to_other_things_is_merged(): void
    {
        $this->change(['kind' => 'SetCable', 'cable' => 'k1', 'length' => 5], 1)->assertOk();
        $this->change(['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 40], 1, $this->two)->assertOk();
        $plan = $this->job->newest()->plan();
        self::assertSame([40, 5.0], [$plan->feeds['f1']->pad, $plan->cables['k1']->length]);
    }

    public function test_refuses_a_stale_change_to_the_same_thing(): void
    {
        $this->change(['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 40], 1)->assertOk();
        $response = $this->change(['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 80], 1, $this->two);
        $response
            ->assertStatus(409)
            ->assertJsonPath('yours', 'Feed of Cove moved from 0.00 m to 4.00 m')
            ->assertJsonPath('revision', 2);
        self::assertStringContainsString(
            'Feed of Cove moved from 0.00 m to 2.00 m (One,',
            (string) $response->json('theirs'),
        );
        self::assertSame(40, $this->job->newest()->plan()->feeds['f1']->pad);
    }

    public function test_accepts_a_stale_change_after_a_restore(): void
    {
        $this->length(7, 1, $this->two);
        $this->step($this->two, 'undo')->assertOk();
        $this->length(5, 1);
        self::assertSame(5.0, $this->metres());
    }

    public function test_the_shelf_can_change_without_moving_a_plan(): void
    {
        $entry = $this->job->crew->kitEntries()->where('entry_id', 'supply-24-240')->firstOrFail();
        $entry->update(['document' => ['ratedAmps' => 5] + $entry->document]);
        $this->get("/jobs/{$this->job->id}/kit")->assertInertia(function (AssertableInertia $page): void {
            $page->component('Kit');
            $slots = collect((array) $page->toArray()['props']['answer']['desk']['kit']['runs'][0]['slots'])->keyBy(
                'slot',
            );
            self::assertContains('10 A', $slots['supply']['facts']);
            $option = collect((array) $slots['supply']['options'])->firstWhere('id', 'supply-24-240');
            self::assertTrue($option['moved'] ?? false);
        });
    }

    /** All revisions by pages of a hundred, without a gap and none twice. */
    public function test_the_history_has_all_revisions_by_pages(): void
    {
        $first = $this->job->newest();
        for ($n = 2; $n <= 205; $n++) {
            $first
                ->replicate()
                ->forceFill(['number' => $n, 'created_at' => $first->created_at])
                ->save();
        }
        $numbers = [];
        $sizes = [];
        $before = '';
        do {
            $page = $this->answer($this->getJson("/jobs/{$this->job->id}/history{$before}"), 'history');
            $sizes[] = count($page['history']);
            $numbers = [...$numbers, ...array_column($page['history'], 'number')];
            $before = '?before=' . $numbers[count($numbers) - 1];
        } while ($page['earlier']);
        self::assertSame([100, 100, 5], $sizes);
        self::assertSame(range(205, 1), $numbers);
        $this->getJson("/jobs/{$this->job->id}/history?before=none")->assertUnprocessable();
    }

    public function test_lists_history_newest_first(): void
    {
        $this->change(self::ENDS, 1)->assertOk();
        $history = $this->answer($this->getJson("/jobs/{$this->job->id}/history"), 'history');
        self::assertSame(['Cove fed at both ends', 'Imported'], array_column($history['history'], 'words'));
        self::assertSame(['One', null], array_column($history['history'], 'who'));
    }

    public function test_every_stage_is_a_page_whose_answer_fits_its_schema(): void
    {
        foreach (['survey', 'kit', 'wire'] as $stage) {
            $this->get("/jobs/{$this->job->id}/{$stage}")->assertInertia(
                fn(AssertableInertia $page) => $page->component(ucfirst($stage)),
            );
            $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage={$stage}"));
        }
        $this->get("/jobs/{$this->job->id}/attic")->assertNotFound();
    }

    public function test_an_edit_answers_with_the_runs_that_it_changed_and_a_page_puts_them_together(): void
    {
        $whole = JobFile::read(Demo::file('observatory'));
        $job = (new Revisions())->begin($this->job->crew, null, $whole, 'Begun');
        $url = "/jobs/{$job->id}";
        $all = $this->answer($this->getJson("{$url}/state?stage=wire"))['desk']['wire'];
        self::assertGreaterThan(1, count($all['runs']));
        self::assertSame($all['order'], array_column($all['runs'], 'id'));
        $known = implode(' ', array_map(static fn(array $r): string => "{$r['id']}:{$r['hash']}", $all['runs']));
        $change = ['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 3];
        $body = ['stage' => 'wire', 'base' => $job->newest()->number, 'known' => $known, 'change' => $change];

        $preview = $this->postJson("{$url}/preview", $body)
            ->assertOk()
            ->json('desk.wire');
        self::assertSame(['cove'], array_column($preview['runs'], 'id'));
        $edited = $this->answer($this->postJson("{$url}/change", $body))['desk']['wire'];
        self::assertSame(['cove'], array_column($edited['runs'], 'id'), 'only what changed is sent');
        self::assertSame($all['order'], $edited['order']);

        $together = array_column($edited['runs'], null, 'id') + array_column($all['runs'], null, 'id');
        $now = $this->answer($this->getJson("{$url}/state?stage=wire"))['desk']['wire'];
        self::assertSame($now['runs'], array_map(static fn(string $id): array => $together[$id], $now['order']));

        // Old data of a page counts as unknown: it is sent again.
        $undone = $this->answer($this->postJson("{$url}/undo", ['stage' => 'wire', 'known' => 'cove:old band:']));
        self::assertCount(count($all['runs']), $undone['desk']['wire']['runs']);
        $this->postJson("{$url}/preview", ['known' => str_repeat('a', 20_001)] + $body)->assertStatus(422);
    }

    /** The picture does not wait for fixes that have to be solved: they are asked for behind it. */
    public function test_fixes_that_have_to_be_solved_come_behind_the_picture(): void
    {
        $desk = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=wire"))['desk'];
        $dull = array_values(
            array_filter($desk['findings'], static fn(array $f): bool => $f['code'] === 'evenness'),
        )[0];
        self::assertSame([true, []], [$dull['asks'], $dull['fixes']]);
        $solved = $this->getJson("/jobs/{$this->job->id}/fixes")
            ->assertOk()
            ->json();
        self::assertSame(1, $solved['revision']);
        self::assertSame(
            ['evenness', 'cove', $dull['title']],
            [$solved['fixes'][0]['code'], $solved['fixes'][0]['place'], $solved['fixes'][0]['title']],
        );
        $change = $solved['fixes'][0]['fixes'][0]['change'];
        $after = $this->answer($this->change($change, 1))['desk'];
        self::assertNotContains(
            'stop evenness',
            array_map(static fn(array $f): string => "{$f['severity']} {$f['code']}", $after['findings']),
        );
    }
}
