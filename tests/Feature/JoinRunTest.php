<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\JoinEvent;
use App\Models\JoinRun;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** The live run over HTTP; the wall clock is set, nothing sleeps. */
final class JoinRunTest extends TestCase
{
    use JoinHands;
    use RefreshDatabase;

    public function test_a_run_goes_from_power_to_a_light_that_every_control_works(): void
    {
        self::assertSame('join c1 h1/on c1', $this->work());
        self::assertSame('join c1 h1/search h1', $this->work());
        self::assertSame('join c1 h1/reset', $this->work());
        $after = $this->look();
        self::assertSame(['c1', true], [$after['devices'][0]['id'], $after['devices'][0]['powered']]);
        self::assertNotNull($after['devices'][0]['signal'], 'its load flashes');
        $this->act('saw', 'join c1 h1/reset|expected');
        $this->pass(9);
        $this->act('saw', 'join c1 h1/joined|expected');
        $this->pass(8);
        $found = $this->look();
        self::assertSame([['name' => 'Light 1', 'as' => '']], $found['apps'][0]['lines']);
        self::assertSame('Switch “Light 1” in the app: does the strip of cove answer?', $found['step']['title']);
        $this->along('join c1 h1/name');
        foreach ([['', 'Hall'], [str_repeat('x', 30), 'Hall']] as [$name, $room]) {
            self::assertSame('/name', $this->refused('named', $name, 'c1', ['room' => $room])['pointer']);
        }
        $this->along('');
        $done = $this->look();
        self::assertTrue($done['done']);
        self::assertSame(['On the simulated devices: 1 of 1 controls work.'], $done['measured']);
        self::assertSame([1, 1], [$done['joined'], $done['lights']]);
        self::assertSame([], $this->job->refresh()->newest()->plan()->lights, 'a rehearsal leaves no names');
        $slate = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=join"))['desk']['slate'];
        self::assertContains('C1 is not joined yet', array_column($slate, 'title'), 'a rehearsal joins nothing');
    }

    public function test_repeats_a_missed_join_and_then_searches_the_fault(): void
    {
        $this->along('join c1 h1/reset');
        $this->seen($this->look()['step'], 'nothing');
        self::assertStringContainsString('Nothing seen', $this->look()['step']['alert']);
        $this->along('join c1 h1/reset');
        $this->seen($this->look()['step'], 'nothing');
        $asked = $this->look();
        self::assertSame('mend', $asked['step']['look']);
        self::assertNotSame([], $asked['causes']);
        self::assertSame(2, $asked['missed']);
        $this->act('mended', "{$asked['step']['kind']}|no", $asked['step']['device']);
        self::assertNotSame($asked['step']['kind'], $this->look()['step']['kind']);
        self::assertNotSame('', $this->refused('mended', 'flat|yes', 'c1')['message']);
    }

    public function test_an_on_site_run_follows_answers_and_joins(): void
    {
        $this->run = $this->begin(['site' => true, 'hand' => 'Client’s phone']);
        self::assertSame([], $this->look()['devices']);
        for ($n = 0; $n < 60; $n++) {
            $step = $this->look()['step'];
            if ($step['look'] === 'list') {
                self::assertSame('/name', $this->refused('found', ' ', $step['device'])['pointer']);
                $this->act('found', 'Lamp 7', $step['device']);
            } elseif ($step['look'] === 'end') {
                break;
            } else {
                $this->along($step['look'] === 'hand' || $step['look'] === 'name' ? '' : 'none');
            }
        }
        self::assertTrue($this->look()['done']);
        $slate = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=join"))['desk']['slate'];
        self::assertNotContains('C1 is not joined yet', array_column($slate, 'title'));
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/skip")->assertStatus(422);
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 20])->assertStatus(422);
    }

    /** The server's clock is set back by an hour during a run on site: it goes on from its last line, and no window opens twice. */
    public function test_a_clock_that_is_set_back_takes_nothing_back(): void
    {
        $this->run = $this->begin(['site' => true, 'hand' => 'Client’s phone']);
        for ($n = 0; $n < 60 && $this->look()['step']['look'] !== 'end'; $n++) {
            $step = $this->look()['step'];
            if ($step['look'] === 'list') {
                $this->act('found', 'Lamp 7', $step['device']);
            } else {
                $this->along($step['look'] === 'hand' || $step['look'] === 'name' ? '' : 'none');
            }
            if ($n === 1) {
                $before = (float) JoinEvent::query()->max('at');
            }
            $this->pass($n === 1 ? -3600 : 20);
        }
        self::assertTrue($this->look()['done']);
        $at = array_map(
            floatval(...),
            JoinEvent::query()->where('join_run_id', $this->run)->orderBy('id')->pluck('at')->all(),
        );
        $sorted = $at;
        sort($sorted);
        self::assertSame($sorted, $at);
        self::assertGreaterThan(($before ?? INF) + 30, end($at), 'time goes on after it');
    }

    public function test_duplicates_count_once(): void
    {
        $this->act('power-on', '', 'c1', ['client' => 'press-1']);
        $this->act('power-on', '', 'c1', ['client' => 'press-1']);
        self::assertSame(1, JoinEvent::query()->where('kind', 'power-on')->count());
        self::assertSame($this->app['auth']->id(), JoinEvent::query()->where('client', 'press-1')->value('user_id'));
    }

    public function test_a_hidden_fault_follows_the_seed_and_is_revealed_at_the_end(): void
    {
        $this->run = $this->begin(['hidden' => 1]);
        $flaws = JoinRun::query()->find($this->run)?->flaws;
        self::assertMatchesRegularExpression('/^[a-z-]+@[a-z0-9]+$/', (string) $flaws);
        $body = (string) $this->getJson("/jobs/{$this->job->id}/join/{$this->run}")->getContent();
        self::assertStringNotContainsString('"flaws"', $body);
        self::assertSame(
            1,
            $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$this->run}"), 'joinAnswer')['hidden'],
        );
    }

    public function test_answers_out_of_turn_and_things_unknown_are_refused_by_name(): void
    {
        self::assertSame('/kind', $this->refused('saw', 'join c1 h1/joined|expected')['pointer']);
        self::assertSame('/device', $this->refused('power-on', '', 'c9')['pointer']);
        self::assertSame('/kind', $this->refused('dance')['pointer']);
        self::assertNotSame('', $this->refused('work', 'join c1 h1/joined')['message']);
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 0])->assertOk();
        self::assertSame('The run is paused. Continue it first.', $this->refused('power-on')['message']);
    }

    public function test_waiting_is_skipped_to_the_next_thing_that_shows(): void
    {
        $this->along('join c1 h1/joined');
        $before = $this->look();
        self::assertNotNull($before['nextAt']);
        $skipped = $this->answer($this->postJson("/jobs/{$this->job->id}/join/{$this->run}/skip"), 'joinAnswer')[
            'picture'
        ];
        self::assertEqualsWithDelta($before['nextAt'] + 0.05, $skipped['now'], 0.001);
    }

    /** A run that was made before devices of all families could be joined is there to be read. */
    public function test_a_run_of_an_earlier_version_can_be_read_and_not_gone_on_with(): void
    {
        JoinRun::query()
            ->whereKey($this->run)
            ->update(['form' => 1]);
        self::assertNull(
            $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$this->run}"), 'joinAnswer')['picture'],
        );
        self::assertStringContainsString('start another', $this->refused('power-on')['message']);
        $this->get("/jobs/{$this->job->id}/handover")->assertOk();
    }

    /** Actions that waited for a signal arrive together, each with its own moment; a refused one in between does not stop the rest. */
    public function test_what_waited_for_a_signal_is_taken_in_its_order_at_its_own_time(): void
    {
        $this->pass(30);
        $wall = static fn(float $ago): float => round((Carbon::now()->format('U.u') - $ago) * 1000);
        $acts = [
            ['kind' => 'power-on', 'device' => 'c1', 'text' => '', 'client' => 'a', 'at' => $wall(20)],
            ['kind' => 'dance', 'device' => 'c1', 'text' => '', 'client' => 'b', 'at' => $wall(15)],
            ['kind' => 'tap', 'device' => 'h1', 'text' => 'search', 'client' => 'c', 'at' => $wall(10)],
            ['kind' => 'power-off', 'device' => 'c1', 'text' => '', 'client' => 'd', 'at' => $wall(-500)],
        ];
        $url = "/jobs/{$this->job->id}/join/{$this->run}";
        foreach ([1, 2] as $sent) {
            $answer = $this->answer($this->postJson($url, ['acts' => $acts]), 'joinAnswer');
            self::assertSame(['b'], array_column($answer['refused'], 'client'), "sent {$sent} times");
        }
        $rows = JoinEvent::query()->whereNotNull('client')->orderBy('number')->get();
        self::assertSame(['a', 'c', 'd'], $rows->pluck('client')->all());
        self::assertEqualsWithDelta([10.0, 20.0, 30.0], $rows->pluck('at')->all(), 0.01, 'nothing lies in the future');
    }

    /** Two hundred things a minute, from two devices at the same time, half of them sent twice. */
    /** Nothing seen two seconds after the gesture is too early now; from a page that had no signal then, it is what was seen. */
    public function test_an_early_answer_is_refused_now_and_taken_when_it_arrives_late(): void
    {
        $this->along('join c1 h1/reset');
        $key = $this->look()['step']['key'];
        $this->act('work', $key);
        $at = Carbon::now()->getTimestampMs();
        self::assertStringContainsString('Keep looking', $this->refused('saw', "{$key}|nothing")['message']);
        $this->pass(20);
        $this->act('saw', "{$key}|nothing", 'c1', ['at' => $at]);
        self::assertSame(1, $this->look()['missed']);
    }

    public function test_two_hundred_things_a_minute_are_kept_without_loss(): void
    {
        $url = "/jobs/{$this->job->id}/join/{$this->run}";
        for ($n = 0; $n < 100; $n++) {
            $this->pass(0.6);
            $acts = array_map(
                static fn(string $by): array => [
                    'kind' => $n % 2 === 0 ? 'power-on' : 'power-off',
                    'device' => 'c1',
                    'client' => "{$by}{$n}",
                ],
                ['mine', 'yours'],
            );
            $this->postJson($url, ['acts' => $acts])->assertOk();
            if ($n % 2 === 0) {
                $this->postJson($url, ['acts' => $acts])->assertOk();
            }
        }
        self::assertSame(200, JoinEvent::query()->whereNotNull('client')->count());
        self::assertSame(200, JoinEvent::query()->whereNotNull('client')->distinct()->count('client'));
    }

    /** The same answers given along the tree that was sent ahead lead to the steps that the run itself then asks for. */
    public function test_steps_sent_ahead_equal_the_later_ones(): void
    {
        $this->run = $this->begin(['site' => true]);
        $ahead = $this->ahead();
        $seen = [];
        while ($ahead['next'] !== []) {
            self::assertSame($this->look()['step']['key'], $ahead['step']['key']);
            $step = $ahead['step'];
            $seen[] = $step['look'];
            // Those of an answer that is not expected are cut short: what was reached with its last step has none.
            self::assertSame([], array_diff(array_keys($ahead['next']), array_column($step['answers'], 'key')));
            $this->pass(5);
            $ahead = $ahead['next'][$this->given($step, ['expected', 'found', 'named', 'work'])];
        }
        self::assertSame($this->look()['step']['key'], $ahead['step']['key']);
        self::assertContains('lamp', $seen);
        self::assertContains('name', $seen);
        $rehearsal = $this->begin();
        self::assertNull(
            $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$rehearsal}/ahead"), 'joinForeseen')['ahead'],
        );
    }

    /** A cause that is checked without a signal leads on, whether it was found or not. */
    public function test_steps_after_a_checked_cause_are_sent_ahead(): void
    {
        foreach (['yes', 'no'] as $answer) {
            $this->run = $this->begin(['site' => true]);
            $step = $this->look()['step'];
            for ($n = 0; $n < 60 && $step['look'] !== 'mend'; $n++) {
                $this->pass(8);
                $this->given($step, $step['look'] === 'lamp' ? ['nothing'] : ['work']);
                $step = $this->look()['step'];
            }
            $ahead = $this->ahead();
            self::assertSame(['yes', 'no'], array_keys($ahead['next']));
            $this->given($step, [$answer]);
            self::assertSame($this->look()['step']['key'], $ahead['next'][$answer]['step']['key'], $answer);
        }
    }

    public function test_preparations_are_ticked_for_the_whole_crew(): void
    {
        $tick = fn(bool $there): array => array_column(
            $this->answer(
                $this->postJson("/jobs/{$this->job->id}/join/needs", ['key' => 'power', 'there' => $there]),
                'joinStart',
            )['needs'],
            'there',
            'key',
        );
        self::assertTrue($tick(true)['power']);
        self::assertTrue($tick(true)['power']);
        $this->actingAs($this->user($this->job->crew, 'second@firm.example'));
        $seen = $this->get("/jobs/{$this->job->id}/join")
            ->assertOk()
            ->inertiaProps('start.needs');
        self::assertTrue(array_column((array) $seen, 'there', 'key')['power']);
        self::assertFalse($tick(false)['power']);
    }

    /** Every possible cause was checked and reported as fine: that is named, with the step and the way out. */
    public function test_answers_that_contradict_each_other_are_named(): void
    {
        $this->along('join c1 h1/reset');
        for ($n = 0; $n < 60; $n++) {
            $step = $this->look()['step'];
            if (str_contains($step['alert'], 'contradict each other')) {
                self::assertStringContainsString('“Press JOIN 6 times within 3.5 s on C1” fails', $step['alert']);
                self::assertStringContainsString('Repeat the sequence from the start', $step['alert']);

                return;
            }
            match ($step['look']) {
                'mend' => $this->act('mended', "{$step['kind']}|no", $step['device']),
                'lamp' => $this->seen($step, 'nothing'),
                default => $this->work(),
            };
        }
        self::fail('nobody notices');
    }
}
