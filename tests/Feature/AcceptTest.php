<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Open points accepted with a reason: not open any longer, on the record and the sheet; open again when taken back or changed. */
final class AcceptTest extends TestCase
{
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::shipped('observatory');
    }

    public function test_an_accepted_point_is_on_the_record_and_not_open(): void
    {
        $job = $this->signedIn();
        $point = $this->point($job, 'data-lead');
        $this->accept($job, $point['key'], 'The client sees it from below only.')->assertOk();
        self::assertSame([], $this->points($job, 'data-lead'));
        $accepted = $this->desk($job)['accepted'];
        self::assertCount(1, $accepted);
        self::assertSame("{$point['title']}. Reason: The client sees it from below only.", $accepted[0]['text']);
        self::assertNotContains(
            $point['title'],
            $this->get("/jobs/{$job->id}/handover")
                ->assertOk()
                ->inertiaProps('sheet.open'),
        );
        $sheet = html_entity_decode((string) $this->get("/jobs/{$job->id}/sheet")->getContent(), ENT_QUOTES);
        self::assertStringContainsString('Points accepted', $sheet);
        self::assertStringContainsString($accepted[0]['text'], $sheet);
        self::assertStringContainsString(
            'Accepted: ' . $point['title'],
            (string) $this->get("/jobs/{$job->id}/log.csv")->getContent(),
        );
    }

    public function test_it_is_open_again_when_it_is_taken_back(): void
    {
        $job = $this->signedIn();
        $key = $this->point($job, 'data-lead')['key'];
        $this->accept($job, $key, 'Seen.')->assertOk();
        $entry = $this->desk($job)['accepted'][0]['uuid'];
        $back = fn(string $of) => $this->postJson("/jobs/{$job->id}/accept/back", [
            'uuid' => (string) Str::uuid(),
            'entry' => $of,
        ]);
        $back((string) Str::uuid())->assertUnprocessable()->assertJsonPath('pointer', '/entry');
        $back($entry)->assertOk();
        self::assertSame([$key], array_column($this->points($job, 'data-lead'), 'key'));
        self::assertSame([], $this->desk($job)['accepted']);
    }

    /** Accepted were 10.50 m of lead; at 9.50 m it is another point. */
    public function test_a_changed_point_is_open_again(): void
    {
        $job = $this->signedIn();
        $this->accept($job, $this->point($job, 'data-lead')['key'], 'Seen.')->assertOk();
        $plan = $job->newest()->plan();
        $cable = $plan->ways()->cableTo($plan->ways()->feedsOf($plan->run('band'))[0]->id);
        $this->postJson("/jobs/{$job->id}/change", [
            'base' => $job->newest()->number,
            'stage' => 'wire',
            'change' => ['kind' => 'SetCable', 'cable' => (string) $cable?->id, 'length' => 9.5],
        ])->assertOk();
        self::assertSame('Band: 9.50 m of data lead, at most 5 m', $this->point($job, 'data-lead')['title']);
    }

    public function test_what_breaks_cannot_be_accepted_and_a_reason_is_needed(): void
    {
        $job = $this->signedIn();
        $stop = $this->point($job, 'evenness');
        self::assertSame(['stop', false], [$stop['severity'], $stop['acceptable']]);
        $this->accept($job, $stop['key'], 'Seen.')->assertUnprocessable()->assertJsonPath('pointer', '/key');
        $watch = $this->point($job, 'data-lead')['key'];
        $this->accept($job, $watch, ' ')->assertUnprocessable()->assertJsonValidationErrorFor('reason');
        $this->accept($job, 'data-lead.00000000', 'Seen.')->assertUnprocessable();
        $this->postJson("/jobs/{$job->id}/bench/log", [
            'uuid' => (string) Str::uuid(),
            'kind' => 'accept',
            'place' => '',
            'command' => $stop['key'],
            'text' => 'Seen.',
            'by' => '',
            'sure' => false,
            'at' => '2026-11-28T10:00:00.000Z',
        ])->assertUnprocessable();
        self::assertCount(0, $this->desk($job)['accepted']);
    }

    private function signedIn(): Job
    {
        $job = $this->job($this->crew());
        $this->actingAs($this->user($job->crew));

        return $job;
    }

    /** @return TestResponse<Response> */
    private function accept(Job $job, string $key, string $reason): TestResponse
    {
        return $this->postJson("/jobs/{$job->id}/accept", [
            'uuid' => (string) Str::uuid(),
            'key' => $key,
            'reason' => $reason,
        ]);
    }

    /** @return array<string, mixed> */
    private function desk(Job $job): array
    {
        return (array) $this->answer($this->getJson("/jobs/{$job->id}/state?stage=wire"), 'answer')['desk'];
    }

    /** @return list<array<string, mixed>> */
    private function points(Job $job, string $code): array
    {
        return array_values(
            array_filter($this->desk($job)['findings'], static fn(array $f): bool => $f['code'] === $code),
        );
    }

    /** @return array<string, mixed> */
    private function point(Job $job, string $code): array
    {
        return $this->points($job, $code)[0] ?? self::fail("No point {$code}.");
    }
}
