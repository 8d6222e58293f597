<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Scenes and limits: effect, history text and refusals of each change. */
final class SceneChangesTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function evening(float $duty = 0.3, ?string $scene = null, string $name = 'Evening'): array
    {
        return [
            'kind' => 'SetScene',
            'scene' => $scene,
            'name' => $name,
            'levels' => [['of' => 'c1', 'duties' => [$duty, 0.0]]],
        ];
    }

    /** @param  array<string, mixed>  $change */
    private static function words(Plan $plan, array $change): string
    {
        return Catalogue::read($change, Demo::shelf())->words($plan);
    }

    public function test_a_scene_is_made_changed_and_taken_out(): void
    {
        $plan = Demo::with(Demo::plan(), self::evening());
        self::assertSame(['e1' => ['c1' => [0.3, 0.0]]], array_map(static fn($s): array => $s->levels, $plan->scenes));
        self::assertSame('Scene “Evening” set', self::words($plan, self::evening()));
        $changed = Demo::with($plan, self::evening(0.5, 'e1', 'Late'));
        self::assertSame(['Late', [0.5, 0.0]], [$changed->scenes['e1']->name, $changed->scenes['e1']->levels['c1']]);
        self::assertEquals($changed, JobFile::read(JobFile::write($changed)));
        self::assertSame(['e1', 'e2'], array_keys(Demo::with($changed, self::evening())->scenes));
        $dark = Demo::with($changed, self::evening(0.0, 'e1'));
        self::assertSame([], $dark->scenes);
        self::assertSame('Scene “Evening” taken out', self::words($changed, self::evening(0.0, 'e1')));
        self::assertSame(
            [],
            Demo::with($changed, ['kind' => 'DropRun', 'run' => 'cove'])->scenes['e1']->levels,
            'with its controller gone nothing is lit in it',
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'no name' => [self::evening(0.3, null, '  '), '/name', 'Give the scene a name'];
        yield 'a name that is there' => [self::evening(0.3, null, 'DUSK'), '/name', 'There is a scene “Dusk” already.'];
        yield 'a scene that is not there' => [self::evening(0.3, 'e9'), '/scene', 'no scene “e9”'];
        yield 'a controller that is not there' => [
            ['levels' => [['of' => 'c9', 'duties' => [1]]]] + self::evening(),
            '/levels',
            'No controller, module, run or segment “c9”',
        ];
        yield 'too bright' => [
            ['levels' => [['of' => 'c1', 'duties' => [1.2]]]] + self::evening(),
            '/levels/0/duties/0',
            '1.2',
        ];
        yield 'a limit too low' => [['kind' => 'SetCap', 'run' => 'cove', 'cap' => 0.1], '/cap', '0.1'];
        yield 'a limit of a run that is not there' => [
            ['kind' => 'SetCap', 'run' => 'nowhere', 'cap' => 0.5],
            '/run',
            'no run “nowhere”',
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_at_its_place(array $change, string $pointer, string $said): void
    {
        $plan = Demo::with(Demo::plan(), self::evening(0.3, null, 'Dusk'));
        try {
            Demo::with($plan, $change);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($pointer, $refusal->pointer);
            self::assertStringContainsString($said, $refusal->getMessage());
        }
    }

    public function test_a_job_has_at_most_forty_scenes(): void
    {
        $plan = Demo::plan();
        for ($n = 1; $n <= 40; $n++) {
            $plan = Demo::with($plan, self::evening(0.3, null, "Scene {$n}"));
        }
        self::assertCount(40, $plan->scenes);
        self::assertSame(
            'Other',
            Demo::with($plan, self::evening(0.2, 'e40', 'Other'))->scenes['e40']->name,
            'one that is there may still change',
        );
        $this->expectExceptionMessage('at most 40 scenes');
        Demo::with($plan, self::evening());
    }

    public function test_a_limit_says_what_it_means_and_full_light_needs_no_check(): void
    {
        $cap = static fn(float $cap, bool $checked = false): array => [
            'kind' => 'SetCap',
            'run' => 'cove',
            'cap' => $cap,
            'checked' => $checked,
        ];
        $plan = Demo::with(Demo::plan(), $cap(0.6));
        self::assertSame([0.6, false], [$plan->runs['cove']->cap, $plan->runs['cove']->capChecked]);
        self::assertSame(
            [0.6, true],
            [
                Demo::with($plan, $cap(0.6, true))->runs['cove']->cap,
                Demo::with($plan, $cap(0.6, true))->runs['cove']->capChecked,
            ],
        );
        self::assertFalse(Demo::with($plan, $cap(1.0, true))->runs['cove']->capChecked);
        self::assertSame(
            [
                'Cove: supply for everything at full',
                'Cove: limit of 60 % set in the controller and checked',
                'Cove: supply for 60 % of full load, with a limit in the controller',
            ],
            [self::words($plan, $cap(1.0)), self::words($plan, $cap(0.6, true)), self::words($plan, $cap(0.6))],
        );
    }
}
