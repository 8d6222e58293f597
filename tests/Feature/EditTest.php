<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use App\Models\Job;
use App\Models\User;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

final class EditTest extends TestCase
{
    use RefreshDatabase;

    private Job $job;

    private User $one;

    private User $two;

    protected function setUp(): void
    {
        parent::setUp();
        $crew = $this->crew();
        $this->job = $this->job($crew);
        $this->one = $this->user($crew);
        $this->two = $this->user($crew, 'two@firm.example');
        $this->actingAs($this->one);
    }

    /**
     * @param  array<string, mixed>  $change
     * @return TestResponse<Response>
     */
    private function change(array $change, int $base, ?User $as = null): TestResponse
    {
        return $this->actingAs($as ?? $this->one)->postJson("/jobs/{$this->job->id}/change", [
            'stage' => 'wire',
            'base' => $base,
            'change' => $change,
        ]);
    }

    private function document(): string
    {
        return JobFile::write($this->job->newest()->plan());
    }

    private const ENDS = ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'];

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

    public function test_undo_and_redo_go_all_the_way_and_a_change_clears_redo(): void
    {
        $documents = [$this->document()];
        foreach (
            [
                self::ENDS,
                ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle'],
                ['kind' => 'SetCable', 'cable' => 'k1', 'length' => 5],
            ]
            as $n => $change
        ) {
            $this->change($change, $n + 1)->assertOk();
            $documents[] = $this->document();
        }
        $step = fn(string $what): TestResponse => $this->postJson("/jobs/{$this->job->id}/{$what}", [
            'stage' => 'wire',
        ]);
        foreach ([2, 1, 0] as $n) {
            $this->answer($step('undo'));
            self::assertSame($documents[$n], $this->document());
        }
        $step('undo')->assertStatus(422)->assertJsonPath('message', 'There is nothing of yours left to undo.');
        foreach ([1, 2, 3] as $n) {
            $step('redo')->assertOk();
            self::assertSame($documents[$n], $this->document());
        }
        $step('undo')->assertOk()->assertJsonPath('redo', 'K1 is 5.00 m long');
        $this->change(['kind' => 'SetCable', 'cable' => 'k1', 'length' => 6], $this->job->newest()->number)
            ->assertOk()
            ->assertJsonPath('redo', null);
        $step('redo')->assertStatus(422);
    }

    public function test_a_stale_change_to_other_things_is_merged(): void
    {
        $this->change(['kind' => 'SetCable', 'cable' => 'k1', 'length' => 5], 1)->assertOk();
        $this->change(['kind' => 'MoveFeed', 'feed' => 'f1', 'pad' => 40], 1, $this->two)->assertOk();
        $plan = $this->job->newest()->plan();
        self::assertSame([40, 5.0], [$plan->feeds['f1']->pad, $plan->cables['k1']->length]);
    }

    public function test_a_stale_change_to_the_same_thing_is_told_in_words_and_kept_out(): void
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

    public function test_undo_takes_back_ones_own_change_and_leaves_the_others(): void
    {
        $this->change(self::ENDS, 1)->assertOk();
        $this->change(['kind' => 'SetCable', 'cable' => 'k1', 'length' => 5], 2, $this->two)->assertOk();
        $this->actingAs($this->one)
            ->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'wire'])
            ->assertOk();
        $plan = $this->job->newest()->plan();
        self::assertSame(['f1'], array_keys($plan->feeds));
        self::assertSame(5.0, $plan->cables['k1']->length);
    }

    public function test_undo_is_refused_by_name_when_somebody_touched_the_same_since(): void
    {
        $this->change(self::ENDS, 1)->assertOk();
        $this->change(['kind' => 'MoveFeed', 'feed' => 'f2', 'pad' => 300], 2, $this->two)->assertOk();
        $response = $this->actingAs($this->one)
            ->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'wire'])
            ->assertStatus(409);
        self::assertStringContainsString('(Two,', (string) $response->json('theirs'));
        self::assertSame(300, $this->job->newest()->plan()->feeds['f2']->pad);
    }

    private function length(float $metres, int $base, ?User $as = null): void
    {
        $this->change(['kind' => 'SetCable', 'cable' => 'k1', 'length' => $metres], $base, $as)->assertOk();
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function step(User $as, string $what, array $more = []): TestResponse
    {
        return $this->actingAs($as)->postJson("/jobs/{$this->job->id}/{$what}", ['stage' => 'wire'] + $more);
    }

    private function metres(): float
    {
        return $this->job->newest()->plan()->cables['k1']->length;
    }

    public function test_what_somebody_else_took_back_blocks_nobody(): void
    {
        $before = $this->metres();
        $this->length(5, 1);
        $this->length(7, 2, $this->two);
        $this->step($this->one, 'undo')->assertStatus(409);
        $this->step($this->two, 'undo')->assertOk();
        self::assertSame(5.0, $this->metres());
        $this->step($this->one, 'undo')->assertOk();
        self::assertSame($before, $this->metres());
        // Done again, it is in force again and holds the other's fast.
        $this->step($this->one, 'redo')->assertOk();
        $this->step($this->two, 'redo')->assertOk();
        self::assertSame(7.0, $this->metres());
        $this->step($this->one, 'undo')->assertStatus(409);
    }

    public function test_a_change_that_is_held_fast_is_stepped_over_by_name(): void
    {
        $this->length(4, 1);
        $this->change(self::ENDS, 2)->assertOk();
        $this->length(5, 3);
        $this->length(7, 4, $this->two);
        $refused = $this->step($this->one, 'undo')
            ->assertStatus(409)
            ->assertJsonPath('over', ['kind' => 'undo', 'number' => 4, 'words' => 'K1 is 5.00 m long']);
        self::assertStringContainsString('K1 is 7.00 m long (Two,', (string) $refused->json('message'));
        $this->step($this->one, 'undo', ['over' => 3])
            ->assertStatus(422)
            ->assertJsonPath('pointer', '/over');
        $answer = $this->answer($this->step($this->one, 'undo', ['over' => 4]));
        self::assertSame(['Cove fed at both ends', null, 7.0], [$answer['undo'], $answer['redo'], $this->metres()]);
        self::assertSame('Stepped over: K1 is 5.00 m long', $this->job->newest()->words);
        $this->step($this->one, 'undo')->assertOk();
        self::assertSame(['f1'], array_keys($this->job->newest()->plan()->feeds));
        // The one before is held fast as well; stepped over, nothing is left.
        $this->step($this->one, 'undo')->assertStatus(409)->assertJsonPath('over.words', 'K1 is 4.00 m long');
        $this->step($this->one, 'undo', ['over' => 2])
            ->assertOk()
            ->assertJsonPath('undo', null)
            ->assertJsonPath('redo', 'Cove fed at both ends');
        $this->step($this->one, 'redo')->assertOk();
        self::assertCount(2, $this->job->newest()->plan()->feeds);
    }

    public function test_a_stale_change_is_kept_where_everything_is_again_as_it_was(): void
    {
        $this->length(7, 1, $this->two);
        $this->step($this->two, 'undo')->assertOk();
        $this->length(5, 1);
        self::assertSame(5.0, $this->metres());
    }

    public function test_changes_of_nobody_are_somebody_elses_for_undo(): void
    {
        $this->length(5, 1);
        $this->length(7, 2, $this->two);
        // As a database of an earlier version has it, where people could be deleted.
        $this->job
            ->revisions()
            ->where('number', 3)
            ->update(['user_id' => null]);
        $refused = $this->step($this->one, 'undo')->assertStatus(409);
        self::assertStringContainsString('K1 is 7.00 m long (somebody,', (string) $refused->json('theirs'));
        self::assertSame(7.0, $this->metres());
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

    public function test_history_is_told_in_words_newest_first(): void
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

        // What a page has from before counts as not known: it is sent again.
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
