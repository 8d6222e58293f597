<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use EmberDusk\Circuit\Engine;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Circuit\Ngspice;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;
use Tests\TestCase;

final class CommandsTest extends TestCase
{
    use RefreshDatabase;

    private function demo(): string
    {
        return base_path('core/tests/fixtures/job-observatory.json');
    }

    /** @param  array<string, mixed>  $with */
    private function printed(string $command, int $code, array $with = []): string
    {
        self::assertSame($code, Artisan::call($command, ['file' => $this->demo()] + $with));

        return Artisan::output();
    }

    /** The volts that solve prints are those of the netlist that export prints, by ngspice and by name. */
    public function test_solve_and_export_use_the_same_nodes(): void
    {
        $solved = json_decode($this->printed('ember:solve', 1, ['--json' => true]), true);
        self::assertIsArray($solved);
        /** @var array<string, float> $nodes */
        $nodes = $solved['nodes'];
        self::assertGreaterThan(1000, count($nodes));
        Ngspice::assertAgrees($this->printed('ember:export', 0, ['--as' => 'spice']), $nodes);
        self::assertContains('evenness', array_column($solved['findings'], 'code'));
    }

    public function test_a_phase_of_a_scene_is_solved_and_exported_alike(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'SetScene',
            'name' => 'Slides',
            'levels' => [['of' => 'c1', 'duties' => [0.2, 0.6]]],
        ]);
        $run = fn(string ...$with): Process => tap(
            new Process(['php', 'artisan', ...$with], base_path(), null, \EmberDusk\Plan\JobFile::write($plan)),
        )->run();
        foreach ([1 => 2, 2 => 1, 3 => 0] as $phase => $channels) {
            $of = ['-', '--scene=slides', "--phase={$phase}"];
            $solved = json_decode($run('ember:solve', '--json', ...$of)->getOutput(), true);
            self::assertIsArray($solved);
            /** @var array<string, float> $nodes */
            $nodes = $solved['nodes'];
            self::assertCount(
                $channels,
                array_filter(array_keys($nodes), static fn(string $n): bool => preg_match('/^c1_\d$/', $n) === 1),
                'channels that conduct',
            );
            self::assertCount(
                $channels === 0 ? 0 : 1 + $channels,
                array_filter(array_keys($nodes), static fn(string $n): bool => str_starts_with($n, 'r_cove_g0_')),
                'rails that are there',
            );
            Ngspice::assertAgrees($run('ember:export', '--as=spice', ...$of)->getOutput(), $nodes);
        }
        $wrong = $run('ember:solve', '-', '--scene=party');
        self::assertSame(
            [2, "--scene: the job has no “party”. It has Slides.\n"],
            [$wrong->getExitCode(), $wrong->getErrorOutput()],
        );
        self::assertSame(
            [2, "/phase: Phase 4 does not exist.\n"],
            [
                $run('ember:export', '-', '--as=spice', '--scene=e1', '--phase=4')->getExitCode(),
                $run('ember:export', '-', '--as=spice', '--scene=e1', '--phase=4')->getErrorOutput(),
            ],
        );
    }

    public function test_exit_codes_tell_fine_from_findings_from_bad_input(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'middle'],
        );
        $run = fn(string $input): Process => tap(
            new Process(['php', 'artisan', 'ember:solve', '-'], base_path(), null, $input),
        )->run();
        self::assertSame(0, $run(\EmberDusk\Plan\JobFile::write($plan))->getExitCode());
        self::assertSame(1, $run($this->jobFile())->getExitCode());
        $bad = $run(str_replace('"pad": 0', '"pad": 999', $this->jobFile()));
        self::assertSame(
            [2, '', "/feeds/0/pad: Run “cove” ends at pad 360.\n"],
            [$bad->getExitCode(), $bad->getOutput(), $bad->getErrorOutput()],
        );
    }

    public function test_a_file_that_is_not_there_is_bad_input(): void
    {
        foreach (['solve', 'join', 'rehearse', 'export'] as $command) {
            self::assertSame(2, Artisan::call("ember:{$command}", ['file' => '/nowhere.json']));
        }
    }

    public function test_import_and_export_keep_the_document(): void
    {
        $this->crew('Night Crew');
        self::assertSame(2, Artisan::call('ember:import', ['file' => $this->demo(), '--crew' => 'Nobody']));
        self::assertSame(0, Artisan::call('ember:import', ['file' => $this->demo(), '--crew' => 'Night Crew']));
        $job = Job::query()->firstOrFail();
        self::assertSame('Night Crew', $job->crew->name);
        self::assertSame(0, Artisan::call('ember:export', ['--job' => $job->id]));
        self::assertSame(Demo::file('observatory'), Artisan::output());
    }

    public function test_advise_proposes_and_says_why(): void
    {
        $said = $this->printed('ember:advise', 0);
        self::assertMatchesRegularExpression(
            '/^cheapest: \d+\.\d\d EUR, \d+ joints, evenness 0\.9\d\n  Cove fed at/',
            $said,
        );
        self::assertStringContainsString('Band has no strip yet', $said);
        self::assertStringContainsString('Darkest 0.66 of the brightest, at 17.98 m; limit 0.90', $said);
        // The job with it taken holds every limit of the run's wiring.
        $taken = JobFile::read($this->printed('ember:advise', 0, ['--job' => true]));
        self::assertGreaterThanOrEqual(0.9, (new Engine($taken))->nominal($taken->run('cove'))->evenness());
        self::assertSame(2, Artisan::call('ember:advise', ['file' => $this->demo(), '--keep' => ['colour']]));
    }

    public function test_parts_prints_the_list_and_the_cuts(): void
    {
        self::assertStringContainsString(
            'Profile,"Flat profile, 2 m",18,m,0,10,130.00',
            $this->printed('ember:parts', 0),
        );
        $json = json_decode($this->printed('ember:parts', 0, ['--json' => true]), true);
        self::assertIsArray($json);
        self::assertSame('10', array_column($json['cuts'], 'bought', 'kit')['profile-flat']['text']);
        // 18 m of reels of five: with three metres and a half in the van three are enough.
        self::assertStringContainsString(
            '18,m,0,3,133.50',
            $this->printed('ember:parts', 0, ['--offcut' => ['strip-tunable-24:3,5']]),
        );
        self::assertSame(2, Artisan::call('ember:parts', ['file' => $this->demo(), '--offcut' => ['a lot']]));
    }

    public function test_build_prints_a_calendar(): void
    {
        $said = $this->printed('ember:build', 0, ['--visit' => ['2026-12-07', '2026-11-30:1:2']]);
        self::assertStringStartsWith("BEGIN:VCALENDAR\r\n", $said);
        self::assertStringContainsString('DTSTART:20261130T080000', $said);
        self::assertStringContainsString('DTSTART:20261207T080000', $said, 'what the first day leaves over');
        $json = json_decode(
            $this->printed('ember:build', 0, ['--visit' => ['2026-11-28:0:2'], '--weekends' => true, '--json' => true]),
            true,
        );
        self::assertIsArray($json);
        self::assertSame(
            [['day' => '2026-11-28', 'people' => 2, 'visit' => 0]],
            array_slice($json['days'], 0, 1),
            'a Saturday',
        );
        foreach (
            [['soon'], ['2026-11-30:99:1'], ['2026-11-30:1:3'], ['2026-02-30'], ['2026-11-30', '2026-11-30']]
            as $bad
        ) {
            self::assertSame(2, Artisan::call('ember:build', ['file' => $this->demo(), '--visit' => $bad]));
        }
    }

    public function test_join_prints_the_order_and_rehearse_the_log(): void
    {
        $order = json_decode($this->printed('ember:join', 0, ['--json' => true]), true);
        self::assertIsArray($order);
        self::assertSame([], $order['blocked']);
        self::assertSame(
            ['Switch C1 on', 'Press Search in the hub’s app'],
            array_column(array_slice($order['steps'], 0, 2), 'title'),
        );
        $early = json_decode($this->printed('ember:join', 0, ['--json' => true, '--timing' => 'early']), true);
        $former = json_decode($this->printed('ember:join', 0, ['--json' => true, '--school' => 'early']), true);
        self::assertSame($early, $former, 'the former name of the option');
        self::assertIsArray($early);
        self::assertStringContainsString('Press', $early['steps'][1]['title']);
        self::assertSame(2, Artisan::call('ember:join', ['file' => $this->demo(), '--timing' => 'none']));
        $log = $this->printed('ember:rehearse', 0, ['--seed' => 3]);
        self::assertSame($log, $this->printed('ember:rehearse', 0, ['--seed' => 3]));
        self::assertStringContainsString('Every control works.', $log);
    }

    public function test_faults_are_listed_hidden_and_found(): void
    {
        $list = explode("\n", trim($this->printed('ember:rehearse', 0, ['--fault' => ['list']])));
        self::assertContains('dead@c1', $list);
        self::assertContains('missed-once@c1', $list);
        foreach ($list as $fault) {
            $log = $this->printed('ember:rehearse', 0, ['--fault' => [$fault]]);
            if (!str_starts_with($fault, 'missed-once')) {
                self::assertStringContainsString("Found and fixed: {$fault}", $log);
            }
        }
        foreach (['dead@c9', 'dead', 'nothing@c1'] as $bad) {
            self::assertSame(2, Artisan::call('ember:rehearse', ['file' => $this->demo(), '--fault' => [$bad]]), $bad);
        }
    }

    public function test_the_demo_is_seeded_once(): void
    {
        $this->seed();
        $this->seed();
        self::assertSame(count(glob(base_path('core/tests/fixtures/job-*.json')) ?: []), Job::query()->count());
    }
}
