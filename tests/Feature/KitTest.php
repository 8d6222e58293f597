<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** Controls of a job as Kit offers them. */
final class KitTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::shipped('hide');
    }

    public function test_offers_items_that_fit_first_and_says_why_the_others_do_not(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $found = $this->answer($this->getJson("/jobs/{$job->id}/items?find=remote+zones"), 'itemFinds')['entries'];
        $misfits = array_column($found, 'misfit', 'id');
        self::assertNull($misfits['remote-zigbee-4']);
        self::assertSame('Speaks 2.4 GHz; the lights of this job speak Zigbee.', $misfits['remote-rf-8']);
        $reasons = array_values($misfits);
        $sorted = $reasons;
        usort($sorted, static fn(?string $a, ?string $b): int => ($a !== null) <=> ($b !== null));
        self::assertSame($sorted, $reasons);
        self::assertSame([], $this->getJson("/jobs/{$job->id}/items?find=reel")->json('entries'), 'no other item');
        $this->getJson("/jobs/{$job->id}/items?find=" . str_repeat('x', 101))->assertStatus(422);
    }

    /** The chain of pixels has a board: boards alone are offered, with their own facts, and no controller of channels to share. */
    public function test_pixels_are_offered_boards(): void
    {
        $crew = $this->crew();
        $job = (new Revisions())->begin($crew, null, JobFile::read(Demo::shipped('observatory')), 'Imported');
        $this->actingAs($this->user($crew));
        $kit = $this->answer($this->getJson("/jobs/{$job->id}/state?stage=kit&open=band"))['desk']['kit'];
        $slot = self::controllerSlot($kit, 'band');
        self::assertSame(['Pixel board', 'board-screw', []], [$slot['label'], $slot['chosen'], $slot['share']]);
        self::assertSame(['2 outputs of 1024 pixels', '10 A through it', '5-24 V'], array_slice($slot['facts'], 0, 3));
        self::assertSame(['board-screw', 'board-signals', 'board-trial'], array_column($slot['options'], 'id'));
        self::assertStringContainsString('data lead', $slot['options'][0]['verdict']);
        self::assertSame('C6 is not rated for 24 V', $slot['options'][1]['verdict']);
        $cove = $this->answer($this->getJson("/jobs/{$job->id}/state?stage=kit&open=cove"))['desk']['kit'];
        self::assertNotContains('c6', array_column(self::controllerSlot($cove, 'cove')['share'], 'with'));
    }

    /**
     * @param  array<string, mixed>  $kit
     * @return array<string, mixed>
     */
    private static function controllerSlot(array $kit, string $run): array
    {
        $slots = array_column((array) $kit['runs'], 'slots', 'id')[$run];

        return array_column($slots, null, 'slot')['controller'];
    }

    public function test_a_hub_is_removed_and_brought_back(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $change = fn(array $change, int $base) => $this->postJson("/jobs/{$job->id}/change", [
            'base' => $base,
            'stage' => 'kit',
            'change' => $change,
        ]);
        $hub = array_values($job->newest()->plan()->hubs)[0]->kit;
        $said = $this->answer($change(['kind' => 'RemoveHub'], 1));
        self::assertNull($said['desk']['kit']['hub']['chosen']);
        self::assertStringContainsString('removed from the job', $said['undo']);
        $change(['kind' => 'RemoveHub'], 2)
            ->assertStatus(422)
            ->assertJsonPath('message', 'The job has no hub.');
        $back = $this->answer($this->postJson("/jobs/{$job->id}/undo", ['stage' => 'kit']));
        self::assertSame($hub, $back['desk']['kit']['hub']['chosen']);
    }
}
