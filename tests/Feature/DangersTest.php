<?php

declare(strict_types=1);

namespace Tests\Feature;

use EmberDusk\Formats\Json;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Circuits;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Dangers are reported on the command line, as JSON, with the volts of all solvable circuits. */
final class DangersTest extends TestCase
{
    /** @return array{int, array<string, mixed>} the code that it ends with, and what it prints */
    private function solve(Circuits $circuit): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'job');
        file_put_contents($file, JobFile::write($circuit->plan()));
        $code = Artisan::call('ember:solve', ['file' => $file, '--json' => true]);
        $said = json_decode(Artisan::output(), true);
        unlink($file);
        self::assertIsArray($said);

        return [$code, $said];
    }

    /** 12 W behind 3 ohm from 12 V fold (E² / 4 R = P); a run on its own supply is not touched by that. */
    public function test_reports_volts_of_other_islands_after_a_collapse(): void
    {
        $circuit = Circuits::in("start\n2 r1\ndry")
            ->supply('s1')
            ->controller('c1')
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', '2x2.5', 'c1', 'f1')
            ->supply('s2', ['volts' => 12.0])
            ->fixture('x1', 2, ['leastVolts' => 5.0])
            ->cable('k3', '2x0.5', 's2', 'x1', metres: 40.0);
        [$code, $said] = $this->solve($circuit);
        self::assertSame(1, $code);
        self::assertSame(
            ['collapse'],
            array_values(array_intersect(array_column($said['findings'], 'code'), ['collapse', 'unsolved'])),
        );
        self::assertEqualsWithDelta(24.0, $said['nodes']['s1_p'], 0.05);
        self::assertArrayNotHasKey('x1_p', $said['nodes']);
        foreach ($said['findings'] as $finding) {
            foreach (['code', 'severity', 'place', 'title', 'text'] as $key) {
                self::assertArrayHasKey($key, $finding);
            }
        }
    }

    /** @return iterable<string, array{Circuits, string}> */
    public static function stops(): iterable
    {
        $pixels = Circuits::in('dry')->feed('f1', 'r1', 0)->cable('k1', '2x2.5', 's1', 'f1');
        yield 'channels switched before pixels' => [
            $pixels
                ->supply('s1', ['volts' => 5.0])
                ->controller('c1')
                ->run('r1', 1.0, ['kind' => 'pixels'], 's1', controller: 'c1'),
            'controller-kind',
        ];
        yield 'a converter to 12 V before 5 V' => [
            $pixels
                ->converter('s1', ['volts' => 12.0, 'ratedAmps' => 10.0])
                ->run('r1', 1.0, ['kind' => 'pixels'], 's1'),
            'supply-volts',
        ];
    }

    #[DataProvider('stops')]
    public function test_kit_that_would_break_stops_the_job(Circuits $circuit, string $code): void
    {
        [$ended, $said] = $this->solve($circuit);
        self::assertSame(1, $ended);
        $found = array_column($said['findings'], 'severity', 'code');
        self::assertSame('stop', $found[$code] ?? null, Json::compact($found));
    }

    public function test_no_hub_is_required_without_zigbee(): void
    {
        self::assertNotContains('no-hub', array_column($this->solve(Circuits::simple())[1]['findings'], 'code'));
        $zigbee = Circuits::simple()->controller('c1', ['family' => 'zigbee']);
        self::assertContains('no-hub', array_column($this->solve($zigbee)[1]['findings'], 'code'));
    }
}
