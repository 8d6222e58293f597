<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

final class PartsTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    public function test_a_part_is_ordered_comes_and_is_packed(): void
    {
        $this->get("/jobs/{$this->job->id}/parts")->assertOk();
        $day = now()->addDays(9)->format('Y-m-d');
        $mark = fn (string $state, ?string $arrives = null): array => $this->answer($this->postJson("/jobs/{$this->job->id}/parts", ['part' => 'supply-24-240', 'state' => $state, 'arrives' => $arrives]));
        $row = static fn (array $answer): array => array_values(array_filter($answer['desk']['parts']['parts'], static fn (array $p): bool => $p['key'] === 'supply-24-240'))[0];
        self::assertSame(['ordered', $day, false], array_values(array_intersect_key($row($mark('ordered', $day)), ['state' => 1, 'arrives' => 1, 'late' => 1])));
        self::assertSame('', $row($mark('here', $day))['arrives']);
        self::assertSame('packed', $row($mark('packed'))['state']);
        self::assertSame(1, $this->job->partMarks()->count());
        $this->travel(1)->years();
        $mark('ordered', now()->addDay()->format('Y-m-d'));
        $this->travel(3)->days();
        $answer = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=parts"));
        self::assertTrue($row($answer)['late']);
        self::assertContains('part-late', array_column($answer['desk']['findings'], 'code'));
    }

    public function test_a_day_that_is_over_and_a_strange_state_are_refused(): void
    {
        $this->postJson("/jobs/{$this->job->id}/parts", ['part' => 'x', 'state' => 'ordered', 'arrives' => '2020-01-01'])->assertStatus(422)->assertJsonFragment(['message' => 'That day is over. What is here is marked as in hand; what is late gets a day to come.']);
        $this->postJson("/jobs/{$this->job->id}/parts", ['part' => 'x', 'state' => 'lost'])->assertStatus(422);
    }

    public function test_the_list_is_written_for_a_spreadsheet(): void
    {
        $csv = (string) $this->get("/jobs/{$this->job->id}/parts.csv")->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8')->getContent();
        self::assertStringContainsString('Strip,"Tunable white 24 V, 2 x 4.8 W/m",18,m,0,4,', $csv);
    }
}
