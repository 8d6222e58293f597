<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Voice commands, radio reach and automation from the command line. */
final class ControlCommandsTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    private static function said(string $command, string $job, array $more = []): string
    {
        Artisan::call("ember:{$command}", ['file' => base_path("database/demo/job-{$job}.json")] + $more);

        return Artisan::output();
    }

    public function test_answers_a_voice_command_light_by_light(): void
    {
        $said = self::said('say', 'observatory', ['said' => 'all but the cove, 30 %']);
        self::assertStringContainsString('Path, Bench, Rail, Jetty, Band, Workshop lamps, Porch lamps: 30 %.', $said);
        self::assertMatchesRegularExpression('/^C2 +Path +30 %$/m', $said);
        self::assertMatchesRegularExpression('/^C5 +Jetty +cannot do that: /m', $said);
    }

    public function test_reach_says_hops_and_channels(): void
    {
        $said = self::said('reach', 'observatory');
        self::assertStringContainsString('C2, path: 1 hop', $said);
        self::assertStringContainsString('Zigbee channels beside Wi-Fi 3: 20, 25', $said);
        self::assertStringContainsString(
            'Zigbee channels beside Wi-Fi 3, 11: 20',
            self::said('reach', 'observatory', ['--wifi' => [11]]),
        );
    }

    public function test_prints_the_same_as_json(): void
    {
        config(['ember.timezone' => 'UTC']);
        $json = static fn(string $command, array $more): array => (array) json_decode(
            self::said($command, 'observatory', $more + ['--json' => true]),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
        $say = $json('say', ['said' => 'all but the cove, 30 %']);
        self::assertSame([true, 0.3], [$say['answers'][0]['answers'], $say['answers'][0]['level']]);
        self::assertSame(['zigbee'], array_column(array_slice($json('reach', [])['reach'], 0, 1), 'way'));
        self::assertSame(20, $json('reach', ['--wifi' => [11]])['wifi']['free'][0]);
        $play = $json('play', ['--day' => '2026-06-21']);
        self::assertSame('2026-06-21', $play['day']);
        self::assertEqualsWithDelta(3 * 60 + 25, $play['sunrise'], 10);
        self::assertContains(23 * 60 + 30, array_column($play['starts'], 'minutes'));
    }

    public function test_a_day_and_what_wins(): void
    {
        config(['ember.timezone' => 'UTC']);
        $said = self::said('play', 'observatory', ['--day' => '2026-06-21']);
        self::assertStringContainsString('“Open evening” scenes in turn: Talk 20 min', $said);
        self::assertMatchesRegularExpression('/2026-06-21: sunrise 03:[23]\d, sunset 20:[34]\d/', $said);
        self::assertStringContainsString('23:30  everything off, at 23:30', $said);
        self::assertStringContainsString(
            'on presence, dome ring + push-button, dome hatch -> Path: Cleaning, Cove: Cleaning',
            $said,
        );
        self::assertSame(
            2,
            Artisan::call('ember:play', [
                'file' => base_path('database/demo/job-observatory.json'),
                '--day' => 'tomorrow',
            ]),
        );
    }

    /** @return iterable<string, array{string}> */
    public static function jobs(): iterable
    {
        foreach (['observatory', 'narrowboat', 'hide'] as $job) {
            yield $job => [$job];
        }
    }

    #[DataProvider('jobs')]
    public function test_every_demo_job_is_answered(string $job): void
    {
        foreach (
            ['reach' => [], 'play' => ['--day' => '2026-12-21'], 'say' => ['said' => 'everything off']]
            as $command => $more
        ) {
            $code = Artisan::call("ember:{$command}", ['file' => base_path("database/demo/job-{$job}.json")] + $more);
            self::assertContains($code, [0, 1], "{$command}: " . Artisan::output());
        }
    }
}
