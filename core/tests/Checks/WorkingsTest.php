<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Circuit\CableFigures;
use EmberDusk\Circuit\LoadFigures;
use EmberDusk\Circuit\RunFigures;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Run;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\FigureAssertions;
use EmberDusk\Values\Figure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** No working is circular: every input is at its path, and the formula of them gives the shown number. */
final class WorkingsTest extends TestCase
{
    use FigureAssertions;

    /** @return iterable<string, array{Circuits}> */
    public static function circuits(): iterable
    {
        yield 'one run' => [Circuits::simple()];
        yield 'clipped, thin and with two channels' => [
            Circuits::in()
                ->supply('s1')
                ->controller('c1')
                ->run('r1', 5.03, ['channels' => 2, 'plusRail' => 0.04, 'returnRail' => 0.06], 's1', controller: 'c1')
                ->feed('f1', 'r1', 0)
                ->feed('f2', 'r1', 100)
                ->cable('k1', '2x2.5', 's1', 'c1', metres: 3.3)
                ->cable('k2', '3x0.75', 'c1', 'f1', metres: 1.7, joint: 3.0)
                ->cable('k3', '3x1.5', 'c1', 'f2', metres: 6.0),
        ];
        yield 'under a limit' => [Circuits::simple()->run('r1', 4.0, [], 's1', controller: 'c1', cap: 0.8)];
        yield 'two zones' => [
            Circuits::in()
                ->supply('s1', ['volts' => 5.0])
                ->supply('s2', ['volts' => 5.0, 'ratedAmps' => 5.0])
                ->run('r1', 5.0, ['kind' => 'pixels'], 's1', zones: [40])
                ->feed('f1', 'r1', 0)
                ->feed('f2', 'r1', 100)
                ->cable('k1', '2x2.5', 's1', 'f1', metres: 0.4)
                ->cable('k2', '2x2.5', 's2', 'f2', metres: 0.4),
        ];
        yield 'on a battery' => [
            Circuits::in()
                ->bank('s1')
                ->controller('c1')
                ->run('r1', 4.0, ['volts' => 12.0], 's1', controller: 'c1')
                ->feed('f1', 'r1', 0)
                ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.4, fuse: 10.0)
                ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.4),
        ];
    }

    #[DataProvider('circuits')]
    public function test_every_input_is_read_where_it_says(Circuits $circuit): void
    {
        $state = $circuit->state();
        $told = 0;
        foreach ($state->plan->runs as $run) {
            foreach (self::figures($state, $run) as $figure) {
                foreach ($figure->inputs as $input) {
                    $found = $this->read($input->path, $state, $run);
                    if ($found !== null) {
                        $told++;
                        self::assertEqualsWithDelta(
                            $found,
                            $input->value,
                            1e-9 + 1e-9 * abs($found),
                            "{$figure->label}: {$input->path}",
                        );
                    }
                }
                self::assertWorkings([$figure->write()]);
            }
        }
        self::assertGreaterThan(15, $told);
    }

    /** A cable's drop is that of its own joints: clips of 10 mohm lose what solder does not. */
    public function test_the_drop_of_a_cable_shows_its_own_joints(): void
    {
        $state = Circuits::simple()->cable('k2', '2x2.5', 'c1', 'f1', joint: 3.0)->state();
        $result = $state->result('r1');
        self::assertNotNull($result);
        $figure = (new CableFigures($state->plan))->cableDrop($result->cables['k2']);
        $ohms = array_column($figure->inputs, 'value', 'symbol');
        self::assertEqualsWithDelta([0.01, 0.01], [$ohms['j1'], $ohms['j2']], 1e-12);
        $said = "shelf.{$state->plan->cables['k2']->joint}.ohms";
        $paths = array_column($figure->inputs, 'path', 'symbol');
        self::assertSame([$said, $said], [$paths['j1'], $paths['j2']], 'they are of the connector that was chosen');
        self::assertEqualsWithDelta($result->cables['k2']->drop, $figure->value, 1e-12);
        self::assertWorkings([$figure->write()]);
    }

    /** @return list<Figure> */
    private static function figures(JobState $state, Run $run): array
    {
        $strip = $state->plan->strip($run->strip);
        $result = $state->result($run->id);
        assert($strip !== null && $result !== null);
        $figures = [
            LoadFigures::load($strip, $state->plan->of($run)->cutMarks()?->length() ?? 0.0, 'Load', $run->cap),
            LoadFigures::asks($strip, $state->plan, $run),
            (new RunFigures($result))->darkest(),
            (new RunFigures($result))->evenness(),
            (new RunFigures($result))->seam(),
            (new RunFigures($result))->drop(),
            (new RunFigures($result))->controllerAmps('C1'),
            (new RunFigures($result))->heat(),
        ];
        foreach ($result->cables as $cable) {
            $figures[] = (new CableFigures($state->plan))->cableDrop($cable);
            $figures[] = CableFigures::cableAmps($cable);
        }
        foreach (array_keys($state->plan->supplies) as $id) {
            $figures[] = JudgedJob::for($state)->supply($id)->figure();
        }

        return $figures;
    }

    /** Value at a path; null if it names a rule of the trade or a standard. */
    private function read(string $path, JobState $state, Run $run): ?float
    {
        $plan = $state->plan;
        $strip = $plan->strip($run->strip);
        $result = $state->result($run->id);
        assert($strip instanceof Strip && $result instanceof RunResult);
        [$root, $rest] = explode('.', $path, 2) + ['', ''];
        if (str_contains($path, ': ') || str_starts_with($path, 'IEC')) {
            return null;
        }
        $lit = floor(array_sum($run->sections) / $strip->pitch + 1e-9) * $strip->pitch;
        if ($path === 'plan.cutMarks(run).length()') {
            return $lit;
        }
        if ($root === 'labels') {
            // Watts a metre by full pieces, as far as a limit lets them; of zones the run's test is another.
            if ($run->zones !== []) {
                return null;
            }
            $watts = array_column((array) $plan->kit[(string) $run->strip]->written['channels'], 'wattsPerMetre');

            return array_sum($watts) * $lit * $run->cap;
        }
        $kit = explode('.', $rest)[0];
        $object = match (true) {
            $root === 'plan' => $plan,
            $root === 'run' => $run,
            $root === 'solver' => $result,
            isset($plan->kit[$kit]) => $plan->kit[$kit]->entry,
            isset($plan->supplies[$kit]) => $plan->supply($kit),
            default => $strip,
        };
        if (isset($plan->kit[$kit]) || ($root === 'shelf' && isset($plan->supplies[$kit]))) {
            $rest = substr($rest, strlen($kit) + 1);
        }
        $value = $object;
        foreach (explode('.', $rest) as $step) {
            if (preg_match('/^(\w+)\((\d*)\)$/', $step, $call) === 1) {
                $value = $value->{$call[1]}(...$call[2] === '' ? [] : [(int) $call[2]]);
            } else {
                $value = is_array($value) ? $value[$step] : $value->{$step};
            }
        }
        self::assertIsNumeric($value, $path);

        return (float) $value;
    }
}
