<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kit\Shelves;
use App\Models\Crew;
use App\Results\JobLoader;
use EmberDusk\Bench\Faults\FaultDraw;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Faults\SimulatedMeter;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Bench\BenchJob;
use EmberDusk\Tests\Responses;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Str;
use Tests\TestCase;

/** The bench over HTTP: entries count once and stay, practices stay separate, the log is searched, exported and imported. */
final class BenchTest extends TestCase
{
    use BenchRequests;
    use RefreshDatabase;

    public function test_the_page_opens_with_its_tests_and_wiring(): void
    {
        $this->get("/jobs/{$this->job->id}/bench")->assertOk();
        $bench = $this->look('bar')['bench'];
        self::assertSame('bar', $bench['run']);
        self::assertEqualsCanonicalizing(['bar', 'star', 'cove', 'rail'], array_column($bench['runs'], 'id'));
        self::assertSame('settings-c1/switch', $bench['tests'][0]['id']);
        self::assertSame(['red', 'green', 'blue', 'warm white'], $bench['colours']['names']);
        self::assertSame('remote', $bench['commander']);
        self::assertSame([], $bench['meter']['belief'], 'nothing was read: nothing is believed');
        self::assertNull($this->look('rail')['bench']['colours'], 'a single colour has nothing to tell apart');
        self::assertSame([52, 44], $this->look('star')['bench']['count']['sections']);
    }

    public function test_duplicates_count_once_and_a_fast_clock_does_not_win(): void
    {
        $entry = self::entry('reading', 's1', 'full', 23.9, ['at' => '2027-01-01T00:00:00.000Z']);
        $this->note($entry);
        $this->note($entry);
        self::assertSame(1, $this->job->logEntries()->count());
        $kept = $this->job->logEntries()->firstOrFail();
        self::assertSame(
            ['2026-11-28T10:00:00.000Z', 'Ann', 'S1, its terminals, at full: 23.9 V'],
            [$kept->at, $kept->who, $kept->words],
        );
    }

    public function test_readings_lead_to_a_fault_and_a_fix_starts_again(): void
    {
        $plan = $this->job->newest()->plan();
        $tail = BenchJob::tail($plan, 'cove');
        $island = Island::for($plan, $plan->run('cove')) ?? self::fail();
        $fault =
            (new FaultDraw(Predictions::for($plan, $island, $plan->run('cove'))))->named("joint@{$tail}:to:1", 3) ??
            self::fail();
        $meter = new SimulatedMeter($plan, $island, [$fault], 3);
        $reads = fn(string $spot): float => $meter->read(MeterSpots::named($plan, $island, $spot), MeterCommand::full())
            ->value;
        $this->note(self::entry('reading', 's3', 'full', $reads('s3')));
        $looked = $this->look('cove')['bench']['meter'];
        self::assertNotContains('outside', array_column($looked['rows'], 'verdict'));
        self::assertNotNull($looked['next']);
        $this->note(self::entry('reading', "{$tail}:drop:1", 'full', $reads("{$tail}:drop:1")));
        $this->note(self::entry('reading', "{$tail}:to:1", 'full', $reads("{$tail}:to:1")));
        $looked = $this->look('cove')['bench']['meter'];
        self::assertFalse($looked['sure'], 'what the supply gives is not read yet');
        $next = $looked['next']['spot'];
        $this->note(self::entry('reading', $next, $looked['next']['command'], $reads($next)));
        $looked = $this->look('cove')['bench']['meter'];
        self::assertTrue($looked['sure']);
        self::assertSame("joint@{$tail}:to:1", $looked['belief'][0]['class']);
        self::assertStringContainsString('Remake that joint', $looked['belief'][0]['mend']);
        self::assertNotSame([], $this->slate('bench'));
        $this->note(
            self::entry('mend', 'cove', "joint@{$tail}:to:1", null, [
                'text' => 'joint',
                'at' => '2026-11-28T09:40:00.000Z',
            ]),
        );
        self::assertSame([], $this->look('cove')['bench']['meter']['rows']);
        self::assertSame([], $this->slate('bench'));
        self::assertSame(5, $this->job->logEntries()->count(), 'nothing is taken out of the log');
    }

    public function test_slips_are_asked_back_and_kept(): void
    {
        $this->note(self::entry('reading', 's1', 'full', 23900.0));
        $this->note(self::entry('reading', 'k99:drop:1', 'full', 0.2));
        $this->note(self::entry('colour', 'bar', 'colour:6', 1));
        $slate = implode("\n", $this->slate('bench'));
        self::assertStringContainsString('S1, its terminals: 23900.0 V?', $slate);
        self::assertStringContainsString('A reading at k99:drop:1, which is not in the plan any more', $slate);
        self::assertStringContainsString('Bar: a colour was noted that it does not have', $slate);
        self::assertSame(23.9, $this->look('bar')['bench']['meter']['rows'][0]['meant']);
        foreach (
            [
                [self::entry('reading', 's1', 'full', null), 'value'],
                [self::entry('reading', 's1', 'louder', 1.0), 'command'],
                [self::entry('count', 'star', 'count:none', 3.0), 'command'],
                [self::entry('remark', 'bar', '', null), 'text'],
                [self::entry('guess', 'bar', '', null), 'kind'],
                [self::entry('reading', 'S 1', 'full', 1.0), 'place'],
            ]
            as [$entry, $field]
        ) {
            $said = $this->postJson("/jobs/{$this->job->id}/bench/log", $entry)
                ->assertStatus(422)
                ->json();
            self::assertIsArray($said);
            self::assertStringContainsString($field, json_encode($said) ?: '');
        }
        self::assertSame(3, $this->job->logEntries()->count());
    }

    /** 0 V at a supply once made every later answer of its run a division by zero. */
    public function test_readings_that_no_wiring_gives_are_answered(): void
    {
        foreach ([['s3', 0.0], ['s3', -60.0], ['s4', 0.0], ['s4', 60.0], ['c3:in', 0.0]] as [$spot, $value]) {
            $this->note(self::entry('reading', $spot, 'full', $value));
            foreach (['cove', 'rail'] as $run) {
                self::assertIsArray($this->look($run)['bench']['meter']);
            }
            $this->get("/jobs/{$this->job->id}/bench?run=cove")->assertOk();
        }
        $this->postJson("/jobs/{$this->job->id}/bench/log", self::entry('reading', 's3', 'full', 1e300))->assertStatus(
            422,
        );
    }

    public function test_an_entry_that_is_struck_out_stays_in_the_log_and_counts_no_more(): void
    {
        $wrong = self::entry('reading', 's3', 'full', 2.0, ['sure' => true]);
        $this->note($wrong);
        self::assertNotSame([], $this->slate('bench'));
        self::assertNotSame([], $this->look('cove')['bench']['meter']['belief']);
        $strike = ['text' => 'Misread', 'at' => '2026-11-28T09:45:00.000Z'];
        $this->note(self::entry('strike', 's3', $wrong['uuid'], null, $strike));
        self::assertSame([], $this->slate('bench'));
        self::assertSame([], $this->look('cove')['bench']['meter']['rows']);
        $log = $this->getJson("/jobs/{$this->job->id}/log/lines")->json();
        self::assertIsArray($log);
        Responses::check($log, 'logPage');
        self::assertSame(1, $log['total'], 'the strike is shown at the entry, not as a line of its own');
        self::assertMatchesRegularExpression(
            '/^Struck out by Ann, 2026-11-28 \d\d:45: Misread$/',
            $log['lines'][0]['struck'],
        );
        self::assertStringContainsString('S3, its terminals', $log['lines'][0]['words']);

        $csv = (string) $this->get("/jobs/{$this->job->id}/log.csv")->getContent();
        $this->postJson('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', BenchJob::file()),
        ])->assertSuccessful();
        $there = $this->user->crew->jobs()->orderByDesc('id')->firstOrFail();
        $this->postJson("/jobs/{$there->id}/log/import", [
            'file' => UploadedFile::fake()->createWithContent('log.csv', $csv),
        ])->assertOk();
        self::assertNotSame('', $this->getJson("/jobs/{$there->id}/log/lines")->json('lines.0.struck'));

        foreach (
            [
                [(string) Str::uuid(), 'Misread', 'not in this log'],
                ['everything', 'Misread', 'Name the entry'],
                [$wrong['uuid'], ' ', 'Give the reason'],
            ]
            as [$uuid, $reason, $says]
        ) {
            $this->postJson(
                "/jobs/{$this->job->id}/bench/log",
                self::entry('strike', 's3', $uuid, null, ['text' => $reason]),
            )
                ->assertStatus(422)
                ->assertSee($says);
        }
    }

    public function test_a_test_says_which_open_findings_contradict_a_pass(): void
    {
        $open = fn(string $run): array => array_column($this->look($run)['bench']['tests'], 'open', 'asks');
        self::assertSame([[]], array_values(array_unique($open('bar'), SORT_REGULAR)));
        $this->note(self::entry('colour', 'bar', 'colour:1', 2));
        $this->note(self::entry('colour', 'bar', 'colour:2', 1));
        $this->note(self::entry('colour', 'bar', 'colour:3', 4));
        $this->note(self::entry('colour', 'bar', 'colour:4', 8));
        self::assertStringContainsString('Bar: ', $open('bar')['colours'][0]);
        self::assertSame([], $open('bar')['read']);
        $this->note(self::entry('reading', 's3', 'full', 18.0));
        self::assertStringContainsString('S3, its terminals: 18.00 V', $open('cove')['read'][0]);
        self::assertSame([], $open('cove')['colours']);
        self::assertSame([], $open('rail')['read'], 'another island');
    }

    public function test_a_bench_remote_is_to_be_reset_before_it_is_joined(): void
    {
        $this->note(self::entry('colour', 'bar', 'colour:1', 1, ['by' => 'remote']));
        self::assertContains('C1 was commanded by a bench remote: reset it first', $this->slate('join'));
        $this->note(self::entry('colour', 'cove', 'colour:1', 1, ['by' => 'phone']));
        self::assertCount(1, preg_grep('/bench remote/', $this->slate('join')) ?: []);
    }

    public function test_a_tick_at_the_bench_is_one_at_build_and_the_other_way_round(): void
    {
        $tick = fn(string $step, bool $done, string $at) => $this->postJson("/jobs/{$this->job->id}/build/tick", [
            'uuid' => (string) Str::uuid(),
            'step' => $step,
            'done' => $done,
            'minutes' => 2,
            'at' => $at,
        ])->assertOk();
        $done = fn(): array => array_column(
            array_filter($this->look('bar')['bench']['tests'], static fn(array $t): bool => $t['done']),
            'id',
        );
        $tick('settings-c1', true, '2026-11-28T09:00:00.000Z');
        self::assertSame(['settings-c1/switch'], $done());
        foreach ($this->look('bar')['bench']['tests'] as $n => $test) {
            if (str_starts_with($test['id'], 'loose-bar/')) {
                $tick($test['id'], true, sprintf('2026-11-28T09:%02d:00.000Z', 10 + $n));
            }
        }
        $state = app(JobLoader::class)->load($this->job, $this->job->newest()->plan());
        self::assertArrayHasKey('loose-bar', $state->ticks);
        self::assertArrayNotHasKey('second-bar', $state->ticks);
        $this->postJson("/jobs/{$this->job->id}/build/tick", [
            'uuid' => (string) Str::uuid(),
            'step' => 'loose-bar/nonsense',
            'done' => true,
            'minutes' => 2,
            'at' => '2026-11-28T09:00:00.000Z',
        ])->assertStatus(422);
    }

    public function test_a_practice_is_found_through_its_lamps_and_never_counts_for_the_job(): void
    {
        $said = $this->postJson("/jobs/{$this->job->id}/bench/practices", [
            'seed' => 5,
            'faults' => BenchJob::faults($this->job->newest()->plan()),
        ])
            ->assertCreated()
            ->json();
        self::assertIsArray($said);
        $id = $said['practice']['id'];
        $ask = fn(array $body): mixed => $this->postJson("/jobs/{$this->job->id}/bench/practices/{$id}", $body)
            ->assertOk()
            ->json('shows');
        self::assertSame(2, $ask(['ask' => 'colour', 'run' => 'bar', 'number' => 2]));
        self::assertSame(52, $ask(['ask' => 'count', 'run' => 'star', 'number' => 96]));
        self::assertEqualsWithDelta(
            24.0,
            $ask(['ask' => 'reading', 'run' => 'cove', 'spot' => 's3', 'command' => 'full']),
            0.5,
        );
        $this->note(self::entry('count', 'star', 'count:96', 52, ['practice' => $id]));
        self::assertSame('joint', $this->look('star', $id)['bench']['count']['verdict']);
        self::assertSame('asking', $this->look('star')['bench']['count']['verdict']);
        self::assertSame([], $this->slate('bench'));
        self::assertSame(0, $this->getJson("/jobs/{$this->job->id}/log/lines")->json('total'));
        $this->postJson("/jobs/{$this->job->id}/bench/practices", ['seed' => 1, 'faults' => ['broken']])->assertStatus(
            422,
        );
        $this->getJson("/jobs/{$this->job->id}/bench/look?practice=999")->assertNotFound();
    }

    public function test_the_command_lists_finds_and_refuses(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'bench') ?: self::fail();
        file_put_contents($file, JobFile::write(BenchJob::plan()));
        self::assertSame(0, Artisan::call('ember:bench', ['file' => $file, '--fault' => 'list']));
        $list = Artisan::output();
        foreach (['data@star:2', 'switch@c1:tunable', 'feed@', 'joint@star:to1:1', '(cable@'] as $part) {
            self::assertStringContainsString($part, $list);
        }
        self::assertSame(
            0,
            Artisan::call('ember:bench', ['file' => $file, '--fault' => 'switch@c1:tunable', '--seed' => 2]),
        );
        self::assertStringContainsString('C1: its switch is left at tunable', Artisan::output());
        self::assertSame(0, Artisan::call('ember:bench', ['file' => $file]), 'good wiring is left alone');
        self::assertSame(2, Artisan::call('ember:bench', ['file' => $file, '--fault' => 'joint@nowhere']));
        unlink($file);
    }

    public function test_another_crew_reaches_none_of_it(): void
    {
        $other = Crew::query()
            ->create(['name' => 'Two'])
            ->users()
            ->create(['name' => 'Bob', 'email' => 'b@firm.example', 'password' => 'long enough'])
            ->refresh();
        $this->actingAs($other);
        foreach (['bench', 'bench/look', 'log', 'log/lines', 'log.csv'] as $path) {
            self::assertContains($this->getJson("/jobs/{$this->job->id}/{$path}")->getStatusCode(), [403, 404], $path);
        }
        foreach (['bench/log', 'bench/practices', 'bench/reel', 'log/import'] as $path) {
            self::assertContains(
                $this->postJson("/jobs/{$this->job->id}/{$path}", [])->getStatusCode(),
                [403, 404],
                $path,
            );
        }
    }

    public function test_a_helper_circuit_is_calculated_and_an_error_is_shown_at_its_field(): void
    {
        Shelves::stock($this->job->crew, database_path('demo/shelf.json'));
        $ask = fn(array $typed) => $this->getJson("/jobs/{$this->job->id}/bench/helper?" . http_build_query($typed));
        $divider = ['kind' => 'divider', 'most' => 5, 'least' => 4.5, 'bears' => 3.3, 'reads' => 2.5, 'tolerance' => 5];
        $circuit = $this->answer($ask($divider), 'helper');
        self::assertSame('Divider from 5 V to 3.0 V', $circuit['title']);
        self::assertStringContainsString('R1 sig pin', $circuit['netlist']);
        self::assertSame(implode(', ', $circuit['parts']), explode('. ', explode(': ', $circuit['words'])[1])[0]);
        $ask(['reads' => 3.4] + $divider)
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/reads');
        $ask(['least' => 3.6] + $divider)->assertUnprocessable();
        $switch = [
            'kind' => 'switch',
            'volts' => 12,
            'amps' => 20,
            'pin' => 3.3,
            'pinMilliamps' => 12,
            'ambient' => 30,
        ];
        $ask($switch + ['kit' => 'supply-24-100'])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/kit');
        $burns = $this->answer($ask($switch + ['kit' => 'mosfet-logic']), 'helper');
        self::assertCount(2, $burns['stops']);
    }
}
