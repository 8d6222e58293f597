<?php

declare(strict_types=1);

namespace Tests\Feature;

use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** Facts recorded at hand-over: topics, versions, places of backups, notes for the next job; mixed scenes and drawn shows. */
final class LeftTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::shipped('observatory');
    }

    public function test_a_lesson_a_version_and_a_backup_stand_on_the_sheet(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $at = "/jobs/{$job->id}";
        $this->answer($this->postJson("{$at}/left", ['kind' => 'lesson', 'about' => 'dims']), 'leftBehind');
        $this->postJson("{$at}/left", ['kind' => 'version', 'about' => 'app of H1', 'says' => '4.0'])->assertOk();
        $said = $this->answer(
            $this->postJson("{$at}/left", ['kind' => 'version', 'about' => 'app of H1', 'says' => '4.1']),
            'leftBehind',
        );
        self::assertSame(['dims', 'app of H1'], array_column((array) $said['facts'], 'about'));
        self::assertSame('4.1', $said['facts'][1]['says'], 'the last that was seen counts');
        $this->postJson("{$at}/left", ['kind' => 'backup', 'about' => 'board', 'says' => 'client’s mail'])->assertOk();
        $this->postJson("{$at}/left", ['kind' => 'backup', 'about' => 'board', 'says' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('message', 'Enter the version, or where the copy is stored.');
        $sheet = (string) $this->get("{$at}/sheet")
            ->assertOk()
            ->getContent();
        foreach (
            [
                'Shown: Which key dims',
                'app of H1: version 4.1',
                'Settings of board: client’s mail',
                'Where each part is',
            ]
            as $text
        ) {
            self::assertStringContainsString($text, html_entity_decode($sheet, ENT_QUOTES));
        }
        $this->postJson("{$at}/left/{$said['facts'][0]['id']}/forget")
            ->assertOk()
            ->assertJsonMissing(['about' => 'dims']);
    }

    /** A note is read at the next job that has the kit, at Kit and at Join, and not on what the client reads. */
    public function test_a_note_about_kit_is_shown_at_the_next_job_that_uses_it(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($user = $this->user($job->crew));
        $note = ['entry' => 'controller-zigbee-2', 'says' => 'Its key hides behind the label.'];
        $this->answer($this->postJson("/jobs/{$job->id}/kit-notes", $note), 'leftBehind');
        $next = $this->job($job->crew);
        $kit = $this->getJson("/jobs/{$next->id}/state?stage=kit")->assertOk();
        $kit->assertJsonPath('desk.kit.notes.0.says', $note['says'])->assertJsonPath(
            'desk.kit.notes.0.by',
            $user->name,
        );
        $this->get("/jobs/{$next->id}/join")
            ->assertOk()
            ->assertSee('Its key hides');
        self::assertStringNotContainsString(
            'Its key hides',
            (string) $this->get("/jobs/{$next->id}/sheet")->getContent(),
        );
        $this->postJson("/jobs/{$job->id}/kit-notes", ['entry' => 'not-there', 'says' => 'x'])->assertNotFound();
        $this->postJson("/jobs/{$job->id}/kit-notes", [
            'entry' => 'controller-zigbee-2',
            'says' => ' ',
        ])->assertUnprocessable();
    }

    public function test_the_wiring_is_an_svg_with_its_labels(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $svg = (string) $this->get("/jobs/{$job->id}/wiring/cove.svg")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/svg+xml')
            ->getContent();
        $drawn = simplexml_load_string($svg);
        self::assertNotFalse($drawn);
        $texts = array_map(strval(...), $drawn->xpath('//*[local-name()="text"]') ?: []);
        self::assertContains('S1', $texts);
        self::assertContains('C1', $texts);
        $plan = $job->newest()->plan();
        foreach ($plan->ways()->feedsOf($plan->run('cove')) as $feed) {
            $cable = $plan->ways()->cableTo($feed->id);
            self::assertNotNull($cable);
            self::assertNotSame(
                [],
                array_filter($texts, static fn(string $t): bool => str_starts_with($t, strtoupper($cable->id) . ' ')),
            );
        }
        $this->get("/jobs/{$job->id}/wiring/nothing.svg")->assertNotFound();
    }

    public function test_a_light_is_mixed_and_a_show_is_drawn(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $at = "/jobs/{$job->id}";
        $mixed = $this->answer(
            $this->postJson("{$at}/mix", ['of' => 'c1', 'level' => 0.5, 'kelvin' => 4000]),
            'mixedColour',
        );
        self::assertCount(2, (array) $mixed['duties']);
        $this->postJson("{$at}/mix", ['of' => 'c1', 'level' => 0.5, 'kelvin' => 100])->assertUnprocessable();
        $this->postJson("{$at}/mix", ['of' => 'c1', 'level' => 2])->assertUnprocessable();
        $this->postJson("{$at}/mix", ['of' => 'nothing', 'level' => 0.5])->assertNotFound();
        $frames = $this->answer($this->getJson("{$at}/shows/w1/frames"), 'frames');
        self::assertCount(120, (array) $frames['frames']);
        $this->getJson("{$at}/shows/none/frames")->assertNotFound();
    }

    public function test_strange_shows_and_triggers_are_refused_with_what_to_do(): void
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));
        $base = $job->newest()->number;
        $ask = fn(array $change) => $this->postJson("/jobs/{$job->id}/change", [
            'base' => $base,
            'stage' => 'scenes',
            'change' => $change,
        ]);
        $show = [
            'kind' => 'SetShow',
            'show' => null,
            'name' => 'Evening',
            'as' => 'list',
            'steps' => [['scene' => 'nothing', 'hold' => 5, 'fade' => 0]],
            'lights' => [],
            'every' => 5,
            'way' => 'forth',
            'rounds' => 0,
            'leader' => '',
        ];
        $ask($show)->assertUnprocessable()->assertJsonPath('pointer', '/steps/0/scene');
        $ask(['name' => ' '] + $show)
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/name');
        $ask(['as' => 'dance'] + $show)->assertUnprocessable();
        $ask(['steps' => [['scene' => 'e1', 'hold' => -1, 'fade' => 0]]] + $show)->assertUnprocessable();
        $ask(
            ['name' => 'Talk', 'steps' => [['scene' => 'e1', 'hold' => 5, 'fade' => 0]]] + $show,
        )->assertUnprocessable();
        $trigger = [
            'kind' => 'SetTrigger',
            'trigger' => null,
            'by' => 'clock',
            'on' => '',
            'days' => [],
            'minutes' => 60,
            'plays' => 'nothing',
            'priority' => 5,
            'after' => 0,
        ];
        $ask($trigger)->assertUnprocessable()->assertJsonPath('pointer', '/plays');
        $ask(['plays' => 'off', 'minutes' => 1440] + $trigger)->assertUnprocessable();
        $ask(['plays' => 'off', 'days' => [8]] + $trigger)->assertUnprocessable();
        $ask([
            'kind' => 'SetPosition',
            'latitude' => 91,
            'longitude' => 0,
            'zone' => '',
            'road' => false,
        ])->assertUnprocessable();
        $ask([
            'kind' => 'SetPosition',
            'latitude' => 70,
            'longitude' => 25,
            'zone' => 'Nowhere',
            'road' => false,
        ])->assertUnprocessable();
        $ask([
            'kind' => 'SetTuning',
            'id' => 'c99',
            'curve' => '',
            'powerOn' => 'off',
            'level' => 1,
        ])->assertUnprocessable();
        $said = $ask(['kind' => 'SetPosition', 'latitude' => 70, 'longitude' => 25, 'zone' => '', 'road' => false]);
        $said->assertOk();
    }
}
