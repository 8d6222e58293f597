<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class ImportTest extends TestCase
{
    use RefreshDatabase;

    public function test_an_export_imports_as_the_same_document(): void
    {
        $job = $this->job($this->crew());
        $user = $this->user($job->crew);
        $exported = (string) $this->actingAs($user)
            ->get("/jobs/{$job->id}/export")
            ->assertOk()
            ->getContent();
        $url = $this->postJson('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', $exported),
        ])
            ->assertCreated()
            ->json('url');
        self::assertIsString($url);
        $copy = Job::query()->latest('id')->firstOrFail();
        self::assertStringContainsString("/jobs/{$copy->id}/survey", $url);
        self::assertSame($job->crew_id, $copy->crew_id);
        self::assertSame($exported, $this->get("/jobs/{$copy->id}/export")->getContent());
        self::assertSame($this->jobFile(), $exported);
    }

    /** @return iterable<string, array{string, string}> */
    public static function faults(): iterable
    {
        yield 'not JSON' => ['hello', 'not JSON'];
        yield 'too large' => [str_repeat('x', 2_100_000), 'at most 2 MB'];
        yield 'newer' => ['{"format": "ember-dusk-job", "version": 13}', 'reads up to 12'];
    }

    #[DataProvider('faults')]
    public function test_a_file_that_cannot_be_read_leaves_nothing(string $text, string $said): void
    {
        $this->actingAs($this->user($this->crew()));
        $response = $this->postJson('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', $text),
        ])->assertStatus(422);
        self::assertStringContainsString($said, (string) $response->json('message'));
        self::assertSame(0, Job::query()->count());
    }

    public function test_a_job_begins_without_a_tape_at_kit(): void
    {
        $this->actingAs($this->user($this->crew()));
        $said = ['name' => 'Cart', 'client' => '', 'place' => '', 'run' => 'rail', 'length' => '3,4', 'meets' => false];
        $this->post('/jobs', $said + ['battery' => '6 of 7 V'])->assertSessionHasErrors('battery');
        $this->post('/jobs', ['length' => 'long'] + $said)->assertSessionHasErrors('length');
        $this->post('/jobs', ['run' => ''] + $said)->assertSessionHasErrors('run');
        self::assertSame(0, Job::query()->count());
        $this->post('/jobs', $said + ['battery' => '6 of 8 V'])->assertRedirect('/jobs/1/kit');
        $plan = Job::query()->firstOrFail()->newest()->plan();
        self::assertEqualsWithDelta(3.4, $plan->run('rail')->length(), 1e-9);
        self::assertSame('First place', $plan->places['place1']->name);
        $this->get('/jobs/1/kit')->assertInertia(
            fn(AssertableInertia $page) => $page->where('answer.desk.kit.runs.0.slots.0.slot', 'bank'),
        );
    }

    public function test_a_new_job_begins_at_survey_with_its_place(): void
    {
        $this->actingAs($this->user($this->crew()));
        $this->post('/jobs', ['name' => ' ', 'place' => ''])->assertSessionHasErrors([
            'name' => 'Give the job a name.',
            'place' => 'Name the first room or place.',
        ]);
        $this->post('/jobs', ['name' => 'Dome', 'client' => '', 'place' => 'Dome'])->assertRedirect('/jobs/1/survey');
        $this->get('/jobs/1/survey')->assertInertia(
            fn(AssertableInertia $page) => $page
                ->where('answer.desk.survey.places.0.name', 'Dome')
                ->where('answer.desk.findings.0.code', 'no-notes'),
        );
        $this->get('/')->assertInertia(
            fn(AssertableInertia $page) => $page
                ->component('Home')
                ->where('jobs.0.name', 'Dome')
                ->where('jobs.0.summary', null),
        );
        self::assertSame(
            'Dome is not measured yet',
            $this->answer($this->getJson('/jobs/1/summary'), 'jobSummary')['next']['title'],
        );
        $this->get('/')->assertInertia(
            fn(AssertableInertia $page) => $page->where('jobs.0.summary.next.title', 'Dome is not measured yet'),
        );
    }
}
