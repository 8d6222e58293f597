<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Who takes back what. */
final class UndoTest extends TestCase
{
    use Edits;
    use RefreshDatabase;

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
        $step('undo')->assertStatus(422)->assertJsonPath('message', 'You have no change left to undo.');
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

    public function test_refuses_undo_after_a_later_change_by_another_person(): void
    {
        $this->change(self::ENDS, 1)->assertOk();
        $this->change(['kind' => 'MoveFeed', 'feed' => 'f2', 'pad' => 300], 2, $this->two)->assertOk();
        $response = $this->actingAs($this->one)
            ->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'wire'])
            ->assertStatus(409);
        self::assertStringContainsString('(Two,', (string) $response->json('theirs'));
        self::assertSame(300, $this->job->newest()->plan()->feeds['f2']->pad);
    }

    public function test_changes_undone_by_others_block_no_one(): void
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

    public function test_changes_without_an_author_count_as_foreign_for_undo(): void
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
}
