<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use EmberDusk\Tests\Responses;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** The live run over HTTP; the wall clock is set, nothing sleeps. */
final class JoinRunTest extends TestCase
{
    use RefreshDatabase;

    private Job $job;

    private int $run;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-25 09:00:00');
        $this->job = $this->job($this->crew());
        $this->actingAs($this->user($this->job->crew));
        $this->run = $this->answer($this->postJson("/jobs/{$this->job->id}/join", ['speed' => 1]), 'joinAnswer')['run'];
    }

    private function pass(float $seconds): void
    {
        Carbon::setTestNow(Carbon::now()->addMicroseconds((int) round($seconds * 1e6)));
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function act(string $kind, string $device = 'c1', array $more = []): TestResponse
    {
        return $this->postJson(
            "/jobs/{$this->job->id}/join/{$this->run}",
            ['kind' => $kind, 'device' => $device] + $more,
        );
    }

    /** @return array<string, mixed> */
    private function look(): array
    {
        return $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$this->run}"), 'joinAnswer')['picture'];
    }

    public function test_a_run_goes_from_power_to_a_named_light_with_a_missed_window_on_the_way(): void
    {
        $this->act('power-on')->assertOk();
        $this->pass(20);
        $this->act('press', more: ['presses' => 5])->assertOk();
        $this->pass(17);
        $missed = $this->look();
        self::assertSame(1, $missed['missed']);
        self::assertSame('search', $missed['step']['kind']);
        self::assertStringContainsString('no hub was searching', $missed['step']['alert']);
        $this->act('search', 'h1')->assertOk();
        $this->pass(2);
        $this->answer($this->act('press', more: ['presses' => 5]), 'joinAnswer');
        $this->pass(5);
        $this->act('saw-reset')->assertOk();
        $this->pass(15);
        $found = $this->look();
        self::assertSame([['device' => 'c1', 'name' => 'Light 1']], $found['list']);
        $this->act('toggle')->assertOk()->assertJsonPath('picture.devices.0.lit', false);
        $this->act('identified')->assertOk();
        foreach ([['name' => '', 'room' => 'Hall'], ['name' => str_repeat('x', 30), 'room' => 'Hall']] as $bad) {
            $this->act('named', more: $bad)->assertStatus(422)->assertJsonPath('pointer', '/name');
        }
        $done = $this->answer($this->act('named', more: ['name' => 'Cove', 'room' => 'Lecture room']), 'joinAnswer');
        self::assertTrue($done['picture']['done']);
        self::assertSame('Cove', $this->job->newest()->plan()->lights['c1']->name);
        self::assertSame(
            ['power-on', 'press', 'missed', 'search', 'press', 'saw-reset', 'found', 'toggle', 'identified', 'named'],
            array_column($done['picture']['log'], 'kind'),
        );
        // A rehearsal joins nothing: on the slate, in the log, on the sheet.
        $this->getJson("/jobs/{$this->job->id}/state?stage=wire")->assertJsonFragment(['code' => 'not-joined']);
        self::assertSame(0, $this->getJson("/jobs/{$this->job->id}/log/lines")->json('total'));
        $sheet = (string) $this->get("/jobs/{$this->job->id}/sheet")->getContent();
        self::assertStringContainsString('Nothing has been joined on site yet.', $sheet);
        self::assertStringContainsString('Rehearsed against stand-ins on 2026-11-25', $sheet);
        self::assertStringNotContainsString('C1 switched on', $sheet);
    }

    /** The same steps with real devices: nothing is known but what is said, and that joins. */
    public function test_a_run_on_site_goes_by_what_is_said_and_joins(): void
    {
        $begin = fn(array $with): TestResponse => $this->postJson("/jobs/{$this->job->id}/join", $with);
        $begin(['speed' => 20, 'site' => true])
            ->assertStatus(422)
            ->assertJsonPath('pointer', '/speed');
        $answer = $this->answer($begin(['speed' => 1, 'site' => true, 'hand' => 'the client’s phone']), 'joinAnswer');
        $this->run = $answer['run'];
        self::assertSame([true, 'the client’s phone'], [$answer['site'], $answer['hand']]);
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 20])->assertStatus(422);
        $this->act('power-on')->assertOk();
        $this->act('search', 'h1')->assertOk();
        $this->act('found', more: ['name' => 'Light 1'])->assertStatus(422);
        $this->act('press', more: ['presses' => 5])->assertOk();
        $this->pass(3);
        $this->act('saw-reset')->assertOk();
        $this->pass(8);
        $this->act('saw-joined')->assertOk();
        $this->pass(60);
        self::assertSame([], $this->look()['list'], 'nothing comes into the list by itself');
        $this->act('found', more: ['name' => ' '])->assertStatus(422)->assertJsonPath('pointer', '/name');
        $this->act('found', more: ['name' => 'Light 1'])->assertOk()->assertJsonPath('picture.list.0.name', 'Light 1');
        $this->act('toggle')->assertOk();
        $this->act('identified')->assertOk();
        self::assertTrue(
            $this->answer($this->act('named', more: ['name' => 'Cove', 'room' => 'Hall']), 'joinAnswer')['picture'][
                'done'
            ],
        );
        $this->getJson("/jobs/{$this->job->id}/state?stage=wire")->assertJsonMissing(['code' => 'not-joined']);
        self::assertSame(
            ['C1 joined and named Cove, Hall'],
            array_column((array) $this->getJson("/jobs/{$this->job->id}/log/lines")->json('lines'), 'words'),
        );
        $sheet = html_entity_decode((string) $this->get("/jobs/{$this->job->id}/sheet")->getContent());
        self::assertStringContainsString('with the client’s phone', $sheet);
        self::assertStringContainsString('C1 switched on', $sheet);
    }

    public function test_twenty_times_as_fast_and_a_pause(): void
    {
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 20])->assertOk();
        $this->pass(2);
        self::assertEqualsWithDelta(40, $this->look()['now'], 0.01);
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 0])->assertOk();
        $this->pass(60);
        self::assertEqualsWithDelta(40, $this->look()['now'], 0.01);
        $this->act('power-on')->assertStatus(422)->assertJsonPath('message', 'The run is paused. Go on first.');
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 1])->assertOk();
        $this->pass(1);
        self::assertEqualsWithDelta(41, $this->look()['now'], 0.01);
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 3])->assertStatus(422);
    }

    /** The clock of a rehearsal goes to what shows next; on site nothing can be skipped. */
    public function test_waiting_is_skipped_to_the_next_thing_that_shows(): void
    {
        $this->act('power-on')->assertOk();
        $this->act('search', 'h1')->assertOk();
        $this->pass(1);
        $this->act('press', more: ['presses' => 5])->assertOk();
        $before = $this->look();
        $skip = fn(): array => $this->answer(
            $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/skip"),
            'joinAnswer',
        )['picture'];
        for ($n = 0; $n < 6 && $skip()['list'] === []; $n++) {
            continue;
        }
        $after = $this->look();
        self::assertSame('Light 1', $after['list'][0]['name']);
        self::assertGreaterThan($before['now'] + 1, $after['now'], 'seconds of the run, none of the wall');
        self::assertSame(0, $after['missed']);
        $site = $this->answer(
            $this->postJson("/jobs/{$this->job->id}/join", ['speed' => 1, 'site' => true]),
            'joinAnswer',
        )['run'];
        $this->postJson("/jobs/{$this->job->id}/join/{$site}/skip")->assertStatus(422);
    }

    public function test_a_name_that_is_refused_leaves_plan_and_log_as_they_were(): void
    {
        $this->act('named', more: ['name' => 'Cove', 'room' => 'Hall'])->assertStatus(422);
        self::assertSame([], $this->job->newest()->plan()->lights);
        self::assertSame([], $this->look()['log']);
    }

    public function test_join_events_are_not_undone(): void
    {
        $this->act('power-on')->assertOk();
        $this->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'wire'])->assertStatus(422);
        self::assertCount(1, $this->look()['log']);
    }

    public function test_the_sheet_holds_the_record_and_prints_as_pdf(): void
    {
        $this->run = $this->answer(
            $this->postJson("/jobs/{$this->job->id}/join", ['speed' => 1, 'site' => true]),
            'joinAnswer',
        )['run'];
        $this->act('power-on')->assertOk();
        $html = (string) $this->get("/jobs/{$this->job->id}/sheet")
            ->assertOk()
            ->getContent();
        foreach (
            [
                'revision 1',
                'engine ' . \EmberDusk\Circuit\Engine::VERSION . '',
                'Press PROG 5 times within 3 s',
                'C1 switched on',
                '3 x 1.5 mm² flexible',
                'not named yet',
                'does not say that the installation complies',
            ]
            as $words
        ) {
            self::assertStringContainsString($words, $html);
        }
        $pdf = $this->get("/jobs/{$this->job->id}/sheet.pdf")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf');
        self::assertStringStartsWith('%PDF-', (string) $pdf->getContent());
        $page = $this->get("/jobs/{$this->job->id}/handover", [
            'X-Inertia' => 'true',
            'X-Inertia-Version' => (string) inertia()->getVersion(),
        ])->assertOk();
        $sheet = (array) $page->json('props.sheet');
        Responses::check($sheet, 'sheetPicture');
    }
}
