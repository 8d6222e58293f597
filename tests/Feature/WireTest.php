<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Facts\Bases;
use EmberDusk\Costing\Costing;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** Wire over the wire: a scene that is looked at, an earlier state beside the newest, empty texts that mean something. */
final class WireTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    /**
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    private function changed(int $base, array $change, string $scene = ''): array
    {
        return $this->answer(
            $this->postJson("/jobs/{$this->job->id}/change", [
                'base' => $base,
                'stage' => 'wire',
                'scene' => $scene,
                'open' => 'cove',
                'change' => $change,
            ]),
        );
    }

    public function test_a_scene_is_looked_at_across_changes(): void
    {
        $at = fn(string $scene): array => $this->answer(
            $this->getJson("/jobs/{$this->job->id}/state?stage=wire&scene={$scene}"),
        )['desk']['wire'];
        self::assertNull($at('')['scene']);
        self::assertSame('e1', $at('e1')['scene']);
        self::assertNull($at('e99')['scene'], 'a scene that is not there is not looked at');
        $wire = $this->changed(1, ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'], 'e1')['desk'][
            'wire'
        ];
        self::assertSame('e1', $wire['scene']);
        self::assertLessThan($wire['supplies'][0]['peak']['value'], $wire['supplies'][0]['average']['value']);
    }

    public function test_splits_are_answered_and_the_quote_does_what_they_said(): void
    {
        $ask = fn(string $run, string $more = ''): array => $this->answer(
            $this->getJson("/jobs/{$this->job->id}/splits/{$run}{$more}"),
            'splits',
        )['ways'];
        $ways = array_column($ask('cove'), null, 'how');
        self::assertSame(['now', 'parts', 'second', 'repeater'], array_keys($ways));
        $total = fn(): float => Costing::price($this->job->newest()->plan(), Bases::for($this->job))->total / 100;
        $before = $total();
        foreach (['parts', 'second', 'repeater'] as $n => $how) {
            $this->changed(2 * $n + 1, $ways[$how]['take']);
            self::assertEqualsWithDelta($ways[$how]['quote']['value'], $total() - $before, 0.005, $how);
            $back = array_column($ask('cove-1'), null, 'how');
            self::assertArrayNotHasKey($how, $back, 'as it is drawn');
            self::assertEqualsWithDelta(-$ways[$how]['quote']['value'], $back['whole']['quote']['value'], 0.005);
            $this->changed(2 * $n + 2, $back['whole']['take']);
            self::assertEqualsWithDelta($before, $total(), 0.005);
        }
        self::assertCount(3, $ask('cove', '?parts=3')[1]['sketch']);
        $this->getJson("/jobs/{$this->job->id}/splits/cove?parts=9")->assertStatus(422);
        $this->getJson("/jobs/{$this->job->id}/splits/nowhere")->assertStatus(422);
    }

    public function test_compares_an_earlier_state_with_the_newest(): void
    {
        $this->changed(1, ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends']);
        $feeds = fn(int $number): int => count(
            array_values(
                array_filter(
                    $this->answer($this->getJson("/jobs/{$this->job->id}/beside/{$number}?stage=wire"), 'beside')[
                        'desk'
                    ]['wire']['runs'],
                    static fn(array $r): bool => $r['id'] === 'cove',
                ),
            )[0]['feeds'],
        );
        self::assertSame([1, 2], [$feeds(1), $feeds(2)]);
        $this->getJson("/jobs/{$this->job->id}/beside/9?stage=wire")->assertNotFound();
    }

    /** An empty joint is solder and an empty fuse none: they come as nothing over the wire and are understood. */
    public function test_a_fuse_and_a_joint_are_set_and_taken_out(): void
    {
        $cable = static fn(array $answer): array => array_values(
            array_filter(
                array_column(
                    array_values(
                        array_filter($answer['desk']['wire']['runs'], static fn(array $r): bool => $r['id'] === 'cove'),
                    )[0]['cables'],
                    'cable',
                ),
                static fn(array $c): bool => $c['id'] === 'k1',
            ),
        )[0];
        $set = $cable(
            $this->changed(1, [
                'kind' => 'SetCable',
                'cable' => 'k1',
                'fuse' => 'fuse-10',
                'joint' => 'connector-lever',
            ]),
        );
        self::assertSame(['connector-lever', 'fuse-10'], [$set['joint'], $set['fuse']]);
        $none = $cable($this->changed(2, ['kind' => 'SetCable', 'cable' => 'k1', 'fuse' => '', 'joint' => '']));
        self::assertSame(['', ''], [$none['joint'], $none['fuse']]);
    }

    public function test_pins_are_kept_with_the_run(): void
    {
        $run = array_values(
            array_filter(
                $this->changed(1, ['kind' => 'PinRun', 'run' => 'cove', 'pins' => ['feeds', 'kit']])['desk']['wire'][
                    'runs'
                ],
                static fn(array $r): bool => $r['id'] === 'cove',
            ),
        )[0];
        self::assertSame(['feeds', 'kit'], $run['pins']);
        $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => 2,
            'stage' => 'wire',
            'change' => ['kind' => 'PinRun', 'run' => 'cove', 'pins' => ['colour']],
        ])->assertStatus(422);
    }
}
