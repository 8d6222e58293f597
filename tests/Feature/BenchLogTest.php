<?php

declare(strict_types=1);

namespace Tests\Feature;

use EmberDusk\Tests\Responses;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Results of the bench: the log, the sheet, a measured reel. */
final class BenchLogTest extends TestCase
{
    use BenchRequests;
    use RefreshDatabase;

    public function test_the_log_is_searched_written_and_read_in_without_doubles(): void
    {
        $this->note(self::entry('reading', 's1', 'full', 23.9));
        $this->note(self::entry('remark', 'hall', '', null, ['text' => 'Damp behind the shelf']));
        $this->postJson("/jobs/{$this->job->id}/build/tick", [
            'uuid' => (string) Str::uuid(),
            'step' => 'dry-bar',
            'done' => true,
            'minutes' => 5,
            'at' => '2026-11-28T09:10:00.000Z',
        ])->assertOk();
        $this->get("/jobs/{$this->job->id}/log")->assertOk();
        $find = function (string $query): array {
            $page = $this->getJson("/jobs/{$this->job->id}/log/lines?{$query}")
                ->assertOk()
                ->json();
            self::assertIsArray($page);
            Responses::check($page, 'logPage');

            return array_column($page['lines'], 'words');
        };
        self::assertCount(3, $find(''));
        self::assertSame(['Hall: Damp behind the shelf'], $find('q=damp%20shelf'));
        self::assertSame([], $find('q=100%25'), 'a percent sign is a percent sign');
        self::assertSame(['S1, its terminals, at full: 23.9 V'], $find('part=s1'));
        self::assertSame(['Hall: Bar: trial fit: done'], $find('kind=tick'));
        self::assertCount(3, $find('q=ann'));
        $csv = (string) $this->get("/jobs/{$this->job->id}/log.csv")
            ->assertOk()
            ->getContent();
        $again = $this->post("/jobs/{$this->job->id}/log/import", [
            'file' => UploadedFile::fake()->createWithContent('log.csv', $csv),
        ]);
        self::assertSame(['new' => 0, 'same' => 2, 'elsewhere' => 1], $again->assertOk()->json());
        $this->job->logEntries()->delete();
        $back = $this->post("/jobs/{$this->job->id}/log/import", [
            'file' => UploadedFile::fake()->createWithContent('log.csv', $csv),
        ]);
        self::assertSame(2, $back->json('new'));
        self::assertCount(3, $find(''));
        $this->postJson("/jobs/{$this->job->id}/log/import", [
            'file' => UploadedFile::fake()->createWithContent('log.csv', "at,kind,place\nsoon,remark,x\n"),
        ])->assertStatus(422);
    }

    public function test_the_sheet_shows_readings_beside_predictions_and_missing_tests(): void
    {
        $sheet = fn(): string => html_entity_decode(
            strip_tags((string) $this->get("/jobs/{$this->job->id}/sheet")->getContent()),
        );
        self::assertStringContainsString('Not tested.', $sheet());
        $this->note(self::entry('reading', 's1', 'full', 23.9));
        $this->postJson("/jobs/{$this->job->id}/build/tick", [
            'uuid' => (string) Str::uuid(),
            'step' => 'loose-bar/dead',
            'done' => true,
            'minutes' => 2,
            'at' => '2026-11-28T09:00:00.000Z',
        ])->assertOk();
        $text = (string) preg_replace('/\s+/', ' ', $sheet());
        self::assertMatchesRegularExpression('/Tested: dead test, 2026-11-28 \d\d:00\. Not tested: switch;/', $text);
        self::assertMatchesRegularExpression(
            '/S1, its terminals, at full 23\.9 V 23\.\d\d V to 24\.\d\d V inside/',
            $text,
        );
    }

    /** One reel of ten metres, 1.9 A, 24.0 and 20.6 V at its ends: its rails are saved to the shelf only on request. */
    public function test_a_measured_reel_is_offered_to_the_shelf_and_never_forced(): void
    {
        $entry = fn(): ?array => $this->job->crew->kitEntries()->where('entry_id', 'strip-single-24')->first()
            ?->document;
        $ask = fn(bool $keep) => $this->postJson("/jobs/{$this->job->id}/bench/reel", [
            'kit' => 'strip-single-24',
            'length' => 10,
            'amps' => 1.9,
            'startVolts' => 24.0,
            'endVolts' => 20.6,
            'keep' => $keep,
        ]);
        $said = $ask(false)->assertOk()->json();
        self::assertIsArray($said);
        Responses::check($said, 'benchReel');
        self::assertSame($said['wasPlus'] !== $said['plus'], true);
        self::assertArrayNotHasKey('reel', (array) $entry());
        $ask(true)->assertOk();
        self::assertSame(20.6, (float) (((array) $entry())['reel']['endVolts'] ?? 0));
        $plan = $this->job->newest()->plan();
        self::assertArrayNotHasKey(
            'reel',
            $plan->kit['strip-single-24']->written,
            'the job keeps what it was planned with',
        );
        $this->postJson("/jobs/{$this->job->id}/bench/reel", [
            'kit' => 'strip-single-24',
            'length' => 10,
            'amps' => 1.9,
            'startVolts' => 20.0,
            'endVolts' => 24.0,
            'keep' => true,
        ])->assertStatus(422);
    }
}
