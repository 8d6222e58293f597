<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PracticeRun;
use App\Models\User;
use EmberDusk\Joining\Practice\Lessons;
use EmberDusk\Tests\Responses;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** A lesson over HTTP; the wall clock is set, nothing sleeps. */
final class PracticeRunTest extends TestCase
{
    use RefreshDatabase;

    private User $user;

    private string $url;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-25 09:00:00');
        $this->user = $this->user($this->crew());
        $this->actingAs($this->user);
        $this->url = $this->begin('first-join');
    }

    private function begin(string $lesson): string
    {
        $to =
            $this->post("/practice/{$lesson}")
                ->assertRedirect()
                ->headers->get('Location') ?? '';

        return (string) parse_url($to, PHP_URL_PATH);
    }

    private function pass(float $seconds): void
    {
        Carbon::setTestNow(Carbon::now()->addMicroseconds((int) round($seconds * 1e6)));
    }

    /**
     * @param  list<array{string, string, 2?: string}>  $acts  kind, device, text, each 0.4 s after the one before
     * @return array<string, mixed>
     */
    private function hands(array $acts): array
    {
        $given = [];
        foreach ($acts as $n => $act) {
            $this->pass(0.4);
            $given[] = [
                'kind' => $act[0],
                'device' => $act[1],
                'text' => $act[2] ?? '',
                'client' => uniqid("{$n}"),
                'at' => round((float) Carbon::now()->format('U.u') * 1000),
            ];
        }

        return $this->answer($this->postJson($this->url, ['acts' => $given]), 'practiceAnswer');
    }

    /** @return list<array{string, string, string}> */
    private static function presses(int $times): array
    {
        return array_fill(0, $times, ['press', 'c1', 'SET']);
    }

    public function test_a_lesson_is_worked_by_hand_scored_and_replayed(): void
    {
        $this->hands([['power-on', 'c1']]);
        $this->pass(3);
        $this->hands([['tap', 'h1', 'search']]);
        $this->pass(2);
        $shown = $this->hands(self::presses(7));
        self::assertSame([], $shown['refused']);
        self::assertNotNull($shown['picture']['devices'][0]['signal']);
        $this->pass(15);
        self::assertSame(
            ['Lamp 1'],
            array_column($this->answer($this->getJson("{$this->url}/look"), 'practiceAnswer')['lines'], 'name'),
        );
        $ended = $this->answer($this->postJson("{$this->url}/end"), 'practiceAnswer');
        self::assertSame(
            [true, true, 1, 1, null],
            [
                $ended['score']['passed'],
                $ended['score']['clean'],
                $ended['score']['works'],
                $ended['score']['wanted'],
                $ended['score']['turning'],
            ],
        );
        self::assertEqualsWithDelta(23.6, $ended['score']['seconds'], 0.1);
        // Over is over: nothing more is taken, and the clock stands.
        $this->pass(60);
        self::assertStringContainsString('over', $this->hands([['power-off', 'c1']])['refused'][0]['message']);
        $replayed = $this->answer($this->getJson("{$this->url}/look?at=4.5"), 'practiceAnswer');
        self::assertSame(4.5, $replayed['picture']['now']);
        self::assertEqualsWithDelta(0.4, $replayed['picture']['devices'][0]['signal']['from'], 0.01, 'not reset yet');
        self::assertSame([], $replayed['lines']);
        $line = $this->home('first-join');
        self::assertSame([1, 'clean', null, 23.6], [$line['tries'], $line['state'], $line['open'], $line['best']]);
    }

    /** @return array<string, mixed> */
    private function home(string $lesson): array
    {
        $home = $this->get('/practice')->assertOk()->inertiaProps('home');
        Responses::check(json_encode($home, JSON_THROW_ON_ERROR), 'practiceHome');

        return array_column($home['lessons'], null, 'key')[$lesson];
    }

    public function test_the_mistake_is_named_with_the_moment_at_which_it_turned(): void
    {
        $this->hands([['power-on', 'c1'], ...self::presses(7)]);
        $this->pass(20);
        $this->hands([['tap', 'h1', 'search']]);
        $this->pass(20);
        $score = $this->answer($this->postJson("{$this->url}/end"), 'practiceAnswer')['score'];
        self::assertFalse($score['passed']);
        self::assertSame(Lessons::get('first-join')->mistake, $score['mistake']);
        self::assertStringContainsString('did not meet the search', $score['turning']['says']);
        self::assertGreaterThan(22.0, $score['turning']['at']);
        self::assertSame(1, $score['missed']);
        self::assertSame('tried', $this->home('first-join')['state']);
    }

    public function test_looking_into_something_takes_its_time_and_puts_it_right(): void
    {
        $this->url = $this->begin('no-answer');
        $looked = $this->hands([['inspect', 'r1', 'flat']]);
        self::assertSame([], $looked['refused']);
        self::assertGreaterThan(1.0, $looked['picture']['now'], 'it took its seconds');
        self::assertStringContainsString('fixed', $looked['picture']['log'][0]['text']);
        self::assertStringContainsString(
            '? No',
            $this->hands([['inspect', 'c1', 'dead']])['picture']['log'][1]['text'],
        );
        self::assertNotSame([], $this->hands([['inspect', 'r1', 'haunted']])['refused']);
        self::assertNotSame([], $this->hands([['work', 'r1', 'anything']])['refused']);
    }

    public function test_a_lesson_is_its_learners_own(): void
    {
        $this->actingAs($this->user($this->user->crew, 'b@firm.example'));
        $this->get($this->url)->assertNotFound();
        $this->postJson("{$this->url}/end")->assertNotFound();
        $this->postJson('/practice/no-such-lesson')->assertStatus(422);
        self::assertSame(1, PracticeRun::query()->count());
    }

    public function test_every_lesson_can_be_begun(): void
    {
        foreach (Lessons::all() as $lesson) {
            $answer = $this->answer($this->getJson($this->begin($lesson->key) . '/look'), 'practiceAnswer');
            self::assertSame($lesson->title, $answer['lesson']['title']);
            self::assertCount(count($lesson->roster->units) - 1, $answer['leaflets']);
        }
    }
}
