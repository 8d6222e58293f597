<?php

declare(strict_types=1);

namespace Tests;

use App\History\Revisions;
use App\Models\Job;
use Closure;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** One good request for every route that writes, with what it needs in advance. The jobs are the demo observatory. */
final class Writes
{
    use Asking;

    private const SEARCH = ['acts' => [['kind' => 'tap', 'device' => 'h1', 'text' => 'search']]];

    /** @return array<string, Closure(int): TestResponse<Response>> by the route's name */
    public function all(): array
    {
        $at = "/jobs/{$this->job->id}";
        $describe = fn(int $n): array => [
            'base' => $this->job->newest()->number,
            'stage' => 'wire',
            'change' => ['kind' => 'DescribeJob', 'name' => "{$this->who} {$n}", 'client' => ''],
        ];

        return [
            'jobs.store' => fn(int $n) => $this->ask('POST', '/jobs', [
                'name' => "Job {$n}",
                'client' => '',
                'place' => 'Hall',
            ]),
            'jobs.import' => fn() => $this->ask('POST', '/jobs/import', [
                'file' => UploadedFile::fake()->createWithContent('job.json', Demo::text()),
            ]),
            'jobs.change' => fn(int $n) => $this->ask('POST', "{$at}/change", $describe($n)),
            'jobs.undo' => fn() => $this->after(
                'POST',
                "/jobs/{$this->own->id}/change",
                ['base' => $this->own->newest()->number] + $describe(random_int(0, PHP_INT_MAX)),
            )->ask('POST', "/jobs/{$this->own->id}/undo", ['stage' => 'wire']),
            'jobs.redo' => fn(int $n) => $this->after(
                'POST',
                "/jobs/{$this->own->id}/change",
                ['base' => $this->own->newest()->number] + $describe(random_int(0, PHP_INT_MAX)),
            )
                ->after('POST', "/jobs/{$this->own->id}/undo", ['stage' => 'wire'])
                ->ask('POST', "/jobs/{$this->own->id}/redo", ['stage' => 'wire']),
            'jobs.archive' => fn() => $this->ask('POST', "/jobs/{$this->own->id}/archive"),
            'jobs.back' => fn() => $this->ask('POST', "/jobs/{$this->own->id}/back"),
            'jobs.destroy' => fn(int $n) => $this->ask('DELETE', '/jobs/' . $this->archived("Old {$n}"), [
                'name' => "Old {$n}",
            ]),
            'jobs.revive' => function (int $n): TestResponse {
                $job = $this->archived("Gone {$n}");
                $this->after('DELETE', "/jobs/{$job}", ['name' => "Gone {$n}"]);

                return $this->ask('POST', "/deleted/{$job}/back");
            },
            'shelf.store' => fn(int $n) => $this->ask('POST', '/shelf/entries', [
                'cells' => [
                    'kind' => 'fuse',
                    'id' => "fuse-{$this->who}",
                    'name' => "Own {$n}",
                    'amps' => '5',
                    'form' => 'blade',
                ],
            ]),
            'shelf.destroy' => fn(int $n) => $this->after('POST', '/shelf/entries', [
                'cells' => [
                    'kind' => 'fuse',
                    'id' => "fuse-{$this->who}-{$n}",
                    'name' => 'Own',
                    'amps' => '5',
                    'form' => 'blade',
                ],
            ])->ask('DELETE', "/shelf/entries/fuse-{$this->who}-{$n}"),
            'shelf.import' => fn() => $this->ask('POST', '/shelf/import', [
                'file' => UploadedFile::fake()->createWithContent(
                    'shelf.csv',
                    "kind,id,name,amps,form\nfuse,fuse-in-{$this->who},In,5,blade\n",
                ),
            ]),
            'join.begin' => fn() => $this->ask('POST', "/jobs/{$this->own->id}/join", ['speed' => 1]),
            'left.note' => fn() => $this->ask('POST', "{$at}/left", [
                'kind' => 'version',
                'about' => "app {$this->who}",
                'says' => '2.1',
            ]),
            'left.forget' => fn() => $this->ask(
                'POST',
                "/jobs/{$this->own->id}/left/" .
                    $this->said(
                        'POST',
                        "/jobs/{$this->own->id}/left",
                        ['kind' => 'lesson', 'about' => 'dims'],
                        'facts.0.id',
                    ) .
                    '/forget',
            ),
            'notes.note' => fn() => $this->ask('POST', "{$at}/kit-notes", [
                'entry' => 'controller-zigbee-2',
                'says' => 'Its key is behind the label.',
            ]),
            'notes.forget' => function () use ($at): TestResponse {
                $says = 'Listens twice, ' . Str::random();
                $this->after('POST', "{$at}/kit-notes", ['entry' => 'controller-zigbee-2', 'says' => $says]);

                return $this->ask(
                    'POST',
                    "{$at}/kit-notes/" . DB::table('kit_notes')->where('says', $says)->value('id') . '/forget',
                );
            },
            'client.make' => fn() => $this->ask('POST', "{$at}/client-links"),
            'client.revoke' => fn() => $this->ask(
                'POST',
                "{$at}/client-links/" . $this->said('POST', "{$at}/client-links", [], 'links.0.id') . '/revoke',
            ),
            'jobs.mix' => fn() => $this->ask('POST', "{$at}/mix", ['of' => 'c1', 'level' => 0.5, 'kelvin' => 3000]),
            'jobs.say' => fn() => $this->ask('POST', "{$at}/say", ['said' => 'cove on']),
            'join.need' => fn() => $this->ask('POST', "/jobs/{$this->own->id}/join/needs", [
                'key' => 'power',
                'there' => true,
            ]),
            'join.look' => fn() => $this->ask('GET', $this->joinRun()),
            'join.act' => fn() => $this->ask('POST', $this->joinRun(), self::SEARCH),
            'join.ahead' => fn() => $this->ask('GET', $this->joinRun() . '/ahead'),
            'join.pace' => fn() => $this->ask('POST', $this->joinRun() . '/pace', ['speed' => 20]),
            'join.skip' => fn() => $this->after('POST', $this->joinRun(), self::SEARCH)->ask(
                'POST',
                $this->joinRun() . '/skip',
            ),
            'practice.begin' => fn() => $this->ask('POST', '/practice/first-join'),
            'practice.look' => fn() => $this->ask('GET', $this->practiceRun() . '/look'),
            'practice.act' => fn() => $this->ask('POST', $this->practiceRun(), self::SEARCH),
            'practice.pace' => fn() => $this->ask('POST', $this->practiceRun() . '/pace', ['speed' => 0]),
            'practice.skip' => fn() => $this->ask('POST', $this->practiceRun() . '/skip'),
            'practice.end' => fn() => $this->ask('POST', $this->practiceRun() . '/end'),
            'proposals.store' => fn() => $this->ask('POST', "{$at}/proposals", ['runs' => ['cove'], 'keep' => []]),
            'proposals.stop' => fn() => $this->ask(
                'POST',
                "{$at}/proposals/" .
                    $this->said('POST', "{$at}/proposals", ['runs' => ['cove'], 'keep' => []], 'id') .
                    '/stop',
            ),
            ...(new WorkWrites($this->ask, $this->job, $this->own, $this->who))->all(),
        ];
    }

    /**
     * One of so many parts of them, for tests that would take too long with all.
     *
     * @return array<string, Closure(int): TestResponse<Response>> by the route's name
     */
    public function part(int $part, int $parts): array
    {
        $all = $this->all();
        $turn = array_flip(array_keys($all));

        return array_filter(
            $all,
            static fn(string $name): bool => $part === $turn[$name] % $parts,
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** A job in the archive. */
    private function archived(string $name): int
    {
        $job = (new Revisions())->begin($this->job->crew, null, new Plan($name, ''), 'Begun');
        $this->after('POST', "/jobs/{$job->id}/archive");

        return $job->id;
    }

    private function joinRun(): string
    {
        return "/jobs/{$this->own->id}/join/" .
            $this->said('POST', "/jobs/{$this->own->id}/join", ['speed' => 20], 'run');
    }

    private function practiceRun(): string
    {
        $to = $this->ask('POST', '/practice/first-join', [])->headers->get('Location') ?? '';

        return (string) parse_url($to, PHP_URL_PATH);
    }
}
