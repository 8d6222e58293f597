<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use Illuminate\Foundation\Testing\RefreshDatabase;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class PartsTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    #[Group('clock')]
    public function test_a_part_is_ordered_comes_and_is_packed(): void
    {
        $this->get("/jobs/{$this->job->id}/parts")->assertOk();
        $day = Clock::local(Clock::now())->addDays(9)->format('Y-m-d');
        $mark = fn(string $state, ?string $arrives = null): array => $this->answer(
            $this->postJson("/jobs/{$this->job->id}/parts", [
                'part' => 'supply-24-240',
                'state' => $state,
                'arrives' => $arrives,
            ]),
        );
        $row = static fn(array $answer): array => array_values(
            array_filter($answer['desk']['parts']['parts'], static fn(array $p): bool => $p['key'] === 'supply-24-240'),
        )[0];
        self::assertSame(
            ['ordered', $day, false],
            array_values(
                array_intersect_key($row($mark('ordered', $day)), ['state' => 1, 'arrives' => 1, 'late' => 1]),
            ),
        );
        self::assertSame('', $row($mark('here', $day))['arrives']);
        self::assertSame('packed', $row($mark('packed'))['state']);
        self::assertSame(1, $this->job->partMarks()->count());
        $this->travel(1)->years();
        $mark('ordered', Clock::local(Clock::now())->addDays(2)->format('Y-m-d'));
        $this->travel(3)->days();
        $answer = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=parts"));
        self::assertTrue($row($answer)['late']);
        self::assertContains('part-late', array_column($answer['desk']['findings'], 'code'));
    }

    #[Group('clock')]
    public function test_a_day_that_is_over_and_a_strange_state_are_refused(): void
    {
        $this->postJson("/jobs/{$this->job->id}/parts", [
            'part' => 'x',
            'state' => 'ordered',
            'arrives' => '2020-01-01',
        ])
            ->assertStatus(422)
            ->assertJsonFragment([
                'message' => 'That day is over. Mark parts that are here as in hand; give late parts a later day.',
            ]);
        $this->postJson("/jobs/{$this->job->id}/parts", ['part' => 'x', 'state' => 'lost'])->assertStatus(422);
    }

    public function test_offcuts_are_typed_used_packed_and_left(): void
    {
        $send = fn(string $what, array $body = [], string $method = 'POST'): array => $this->answer(
            $this->json($method, "/jobs/{$this->job->id}/{$what}", $body),
        )['desk']['parts'];
        $cut = static fn(array $parts): array => array_values(
            array_filter($parts['cuts'], static fn(array $c): bool => $c['kit'] === 'strip-tunable-24'),
        )[0];
        $parts = $send('offcuts', ['kit' => 'strip-tunable-24', 'metres' => 3.27, 'count' => 2]);
        self::assertSame(['3.27', '3.27'], array_column($parts['offcuts'], 'metres'));
        // 18 m less one offcut of 3.25 m, up to its last mark: three reels; the other one saves nothing more.
        self::assertSame(
            [3, 3250],
            [
                (int) $cut($parts)['bought']['text'],
                max([
                    0,
                    ...array_column(
                        array_filter($cut($parts)['bars'], static fn(array $b): bool => $b['offcut']),
                        'length',
                    ),
                ]),
            ],
        );
        $packed = $send('parts', ['part' => 'strip-tunable-24', 'state' => 'packed', 'arrives' => null]);
        $used = count(array_filter($cut($packed)['bars'], static fn(array $b): bool => $b['offcut']));
        self::assertSame($used, count(array_filter($packed['offcuts'], static fn(array $o): bool => $o['packed'])));
        // Another job of the crew does not see packed offcuts, and sees the rest.
        $other = $this->job($this->job->crew);
        $seen = $this->answer($this->getJson("/jobs/{$other->id}/state?stage=parts"))['desk']['parts']['offcuts'];
        self::assertCount(2 - $used, $seen);
        self::assertSame(
            [],
            array_filter(
                $send('parts', ['part' => 'strip-tunable-24', 'state' => 'here', 'arrives' => null])['offcuts'],
                static fn(array $o): bool => $o['packed'],
            ),
            'unpacked, they are free again',
        );
        foreach ($parts['offcuts'] as $offcut) {
            $parts = $send("offcuts/{$offcut['id']}", [], 'DELETE');
        }
        self::assertSame([[], 4], [$parts['offcuts'], (int) $cut($parts)['bought']['text']]);
        // Offcuts of the job go into the van once, for other jobs only.
        $send('offcuts/left', ['kit' => 'strip-tunable-24']);
        $send('offcuts/left', ['kit' => 'strip-tunable-24']);
        self::assertSame(
            '4',
            $cut($send('parts', ['part' => 'strip-tunable-24', 'state' => 'here', 'arrives' => null]))['bought'][
                'text'
            ],
        );
        self::assertSame(
            ['2.00'],
            array_column(
                $this->answer($this->getJson("/jobs/{$other->id}/state?stage=parts"))['desk']['parts']['offcuts'],
                'metres',
            ),
        );
    }

    public function test_offcuts_that_cannot_be_are_refused(): void
    {
        foreach (
            [
                ['kit' => 'nothing', 'metres' => 1, 'count' => 1],
                ['kit' => 'strip-tunable-24', 'metres' => 0, 'count' => 1],
                ['kit' => 'strip-tunable-24', 'metres' => 'long', 'count' => 1],
                ['kit' => 'strip-tunable-24', 'metres' => 1, 'count' => 51],
            ]
            as $bad
        ) {
            $this->postJson("/jobs/{$this->job->id}/offcuts", $bad)->assertStatus(422);
        }
        $crew = $this->crew('Crew B');
        $theirs = $crew->offcuts()->create(['kit' => 'strip-tunable-24', 'mm' => 1000]);
        $this->deleteJson("/jobs/{$this->job->id}/offcuts/{$theirs->id}")->assertNotFound();
        self::assertSame(1, $crew->offcuts()->count(), 'another crew’s van is not reached');
    }

    /** @param  array<string, mixed>  $answer  where profile and diffuser of the first run may be joined */
    private static function joints(array $answer): string
    {
        return array_column($answer['desk']['parts']['makings'][0]['fields'], 'value', 'field')['length'];
    }

    public function test_how_a_run_is_made_up_changes_the_list_and_is_undone(): void
    {
        $change = fn(array $change, int $base): array => $this->answer(
            $this->postJson("/jobs/{$this->job->id}/change", [
                'base' => $base,
                'stage' => 'parts',
                'change' => $change,
            ]),
        );
        $answer = $change(['kind' => 'SetMaking', 'run' => 'cove', 'length' => 'never'], 1);
        self::assertContains('too-long', array_column($answer['desk']['findings'], 'code'));
        self::assertSame('never', self::joints($answer));
        // Four walls, each longer than two metres, of profile and of diffuser.
        self::assertSame(
            array_fill(0, 8, 'cove'),
            array_merge(
                ...array_map(
                    static fn(array $c): array => array_column($c['tooLong'], 'run'),
                    $answer['desk']['parts']['cuts'],
                ),
            ),
        );
        $answer = $change(['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => 9], 2);
        $undone = $this->answer($this->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'parts']));
        self::assertSame('never', self::joints($undone), 'only the spares are taken back');
        $undone = $this->answer($this->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'parts']));
        self::assertSame('needed', self::joints($undone));
        self::assertNotContains('too-long', array_column($undone['desk']['findings'], 'code'));
    }

    public function test_the_cut_list_is_written_for_a_spreadsheet(): void
    {
        $csv = (string) $this->get("/jobs/{$this->job->id}/cuts.csv")
            ->assertOk()
            ->getContent();
        self::assertStringStartsWith("material,length,of,offcut,piece,for,left\r\n", $csv);
        self::assertSame(
            1 + 4 + 10 + 10,
            substr_count($csv, "\r\n"),
            'four reels, ten lengths of profile, ten of diffuser',
        );
    }

    public function test_the_list_is_written_for_a_spreadsheet(): void
    {
        $csv = (string) $this->get("/jobs/{$this->job->id}/parts.csv")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
            ->getContent();
        self::assertStringContainsString('Strip,"Tunable white 24 V, 2 x 4.8 W/m",18,m,0,4,', $csv);
    }
}
