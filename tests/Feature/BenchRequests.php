<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Crew;
use App\Models\Job;
use App\Models\User;
use App\Results\JobLoader;
use EmberDusk\Checks\Findings;
use EmberDusk\Tests\Bench\BenchJob;
use EmberDusk\Tests\Responses;
use EmberDusk\Values\Finding;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;

/** A crew with a job on the bench, and its requests there. */
trait BenchRequests
{
    private Job $job;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-28 10:00:00');
        $crew = Crew::query()->create(['name' => 'One']);
        $this->user = $crew
            ->users()
            ->create(['name' => 'Ann', 'email' => 'a@firm.example', 'password' => 'long enough'])
            ->refresh();
        $this->actingAs($this->user);
        $this->postJson('/jobs/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', BenchJob::file()),
        ])->assertSuccessful();
        $this->job = $crew->jobs()->firstOrFail();
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function entry(string $kind, string $place, string $command, ?float $value, array $more = []): array
    {
        return $more + [
            'uuid' => (string) Str::uuid(),
            'kind' => $kind,
            'place' => $place,
            'command' => $command,
            'value' => $value,
            'text' => '',
            'by' => '',
            'sure' => false,
            'at' => '2026-11-28T09:30:00.000Z',
        ];
    }

    /** @return array<string, mixed> */
    private function look(string $run, ?int $practice = null): array
    {
        $answer = $this->getJson(
            "/jobs/{$this->job->id}/bench/look?run={$run}" . ($practice ? "&practice={$practice}" : ''),
        )
            ->assertOk()
            ->json();
        self::assertIsArray($answer);
        Responses::check($answer, 'benchAnswer');

        return $answer;
    }

    /** @param  array<string, mixed>  $entry */
    private function note(array $entry): void
    {
        $this->postJson("/jobs/{$this->job->id}/bench/log", $entry)->assertOk();
    }

    /** @return list<string> titles at a stage */
    private function slate(string $stage): array
    {
        $state = app(JobLoader::class)->load($this->job, $this->job->newest()->plan());

        return array_values(
            array_map(
                static fn(Finding $f): string => $f->title,
                array_filter(
                    (new Findings($state))->for(),
                    static fn(Finding $f): bool => $f->place->stage->value === $stage,
                ),
            ),
        );
    }
}
