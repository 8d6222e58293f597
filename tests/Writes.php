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
use RuntimeException;
use Symfony\Component\HttpFoundation\Response;

/** One good request for every route that writes, with what it needs beforehand. The jobs are the demo observatory. */
final class Writes
{
    /** Its legs are not traced yet. */
    private const NOTES = "5 cove\ndry\nrun cove, bare\nleg A B1 to X 2x1.5\nleg B B1 to Y 2x1.5";

    private const SEARCH = ['acts' => [['kind' => 'tap', 'device' => 'h1', 'text' => 'search']]];

    /**
     * @param  Closure(string, string, array<string, mixed>): TestResponse<Response>  $ask
     * @param  Job  $job  that all work on
     * @param  Job  $own  that nobody else works on
     */
    public function __construct(
        private readonly Closure $ask,
        private readonly Job $job,
        private readonly Job $own,
        private readonly string $who,
    ) {}

    /** @return array<string, Closure(int): TestResponse<Response>> by the route's name */
    public function all(): array
    {
        $at = "/jobs/{$this->job->id}";
        $describe = fn(int $n): array => [
            'base' => $this->job->newest()->number,
            'stage' => 'wire',
            'change' => ['kind' => 'DescribeJob', 'name' => "{$this->who} {$n}", 'client' => ''],
        ];
        $step = ['step' => 'tidy-lecture', 'keep' => true, 'person' => 0];
        $visits = static fn(int $n): array => [
            'visits' => [
                [
                    'from' => now()
                        ->addDays(1 + ($n % 9))
                        ->format('Y-m-d'),
                    'days' => 0,
                    'people' => 1,
                ],
            ],
            'weekends' => true,
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
            'build.tick' => fn(int $n) => $this->ask('POST', "{$at}/build/tick", [
                'uuid' => (string) Str::uuid(),
                'step' => 'tidy-lecture',
                'done' => false,
                'minutes' => 5 + $n,
                'at' => '2026-11-25T09:00:00.000Z',
            ]),
            'build.visits' => fn(int $n) => $this->ask('POST', "{$at}/build/visits", $visits($n)),
            // Whatever day it falls on: they work at weekends.
            'build.move' => fn(int $n) => $this->after('POST', "{$at}/build/visits", $visits($n))->ask(
                'POST',
                "{$at}/build/move",
                [
                    'day' => now()
                        ->addDays(40 + ($n % 9))
                        ->format('Y-m-d'),
                    'from' => 60,
                ] + $step,
            ),
            'build.wait' => fn(int $n) => $this->ask('POST', "{$at}/build/wait", [
                'step' => 'dry-cove',
                'after' => 'isolate-lecture',
                'on' => $n % 2 === 0,
            ]),
            'bench.log' => fn() => $this->ask('POST', "{$at}/bench/log", $this->remark()),
            'bench.practise' => fn(int $n) => $this->ask('POST', "{$at}/bench/practices", [
                'seed' => $n,
                'faults' => ['low@s1'],
            ]),
            'bench.ask' => fn() => $this->ask(
                'POST',
                "{$at}/bench/practices/" .
                    DB::transaction(
                        fn(): int => $this->job->benchPractices()->create([
                            'seed' => 1,
                            'faults' => ['low@s1'],
                            'created_at' => now(),
                        ])->id,
                    ),
                ['ask' => 'colour', 'run' => 'cove', 'number' => 0],
            ),
            'bench.reel' => fn() => $this->ask('POST', "{$at}/bench/reel", [
                'kit' => 'strip-tunable-24',
                'length' => 5,
                'amps' => 2,
                'startVolts' => 24,
                'endVolts' => 22,
                'keep' => true,
            ]),
            'log.import' => fn(int $n) => $this->ask('POST', "{$at}/log/import", [
                'file' => UploadedFile::fake()->createWithContent(
                    'log.csv',
                    "at,kind,place,text\n2026-11-28,remark,lecture,{$this->who} {$n}\n",
                ),
            ]),
            'parts.mark' => fn(int $n) => $this->ask('POST', "{$at}/parts", [
                'part' => 'cable-3x15',
                'state' => $n % 2 === 0 ? 'here' : 'packed',
            ]),
            'quotes.give' => fn() => $this->ask('POST', "{$at}/quotes"),
            'offcuts.store' => fn(int $n) => $this->ask('POST', "{$at}/offcuts", [
                'kit' => 'profile-flat',
                'metres' => 1 + $n / 100,
                'count' => 1,
            ]),
            'offcuts.leave' => fn() => $this->ask('POST', "{$at}/offcuts/left", ['kit' => 'profile-flat']),
            'offcuts.destroy' => fn() => $this->ask(
                'DELETE',
                "{$at}/offcuts/" .
                    DB::transaction(
                        fn(): int => $this->job->crew->offcuts()->create(['kit' => 'profile-flat', 'mm' => 900])->id,
                    ),
            ),
            'traces.begin' => fn() => $this->noted()->ask('POST', "/jobs/{$this->own->id}/traces", [
                'place' => 'lecture',
                'near' => 'B1',
            ]),
            'traces.act' => fn() => $this->ask('POST', $this->trace(), ['asked' => 0, 'tone' => true]),
            'traces.record' => fn() => $this->ask('POST', $this->traced() . '/record'),
            'photos.store' => fn() => $this->ask('POST', "{$at}/photos", [
                'place' => 'lecture',
                'caption' => '',
                'photo' => UploadedFile::fake()->createWithContent('a.jpg', self::jpeg()),
            ]),
            'photos.destroy' => fn() => $this->ask(
                'DELETE',
                "{$at}/photos/" .
                    DB::transaction(
                        fn(): int => $this->job->photos()->create([
                            'place' => 'lecture',
                            'caption' => '',
                            'width' => 8,
                            'height' => 8,
                            'image' => self::jpeg(),
                            'created_at' => now(),
                        ])->id,
                    ),
            ),
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

    /** @return array<string, mixed> */
    private function remark(): array
    {
        return [
            'uuid' => (string) Str::uuid(),
            'kind' => 'remark',
            'place' => 'lecture',
            'command' => '',
            'value' => null,
            'text' => $this->who,
            'by' => '',
            'sure' => false,
            'at' => '2026-11-25T09:00:00.000Z',
        ];
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function ask(string $method, string $path, array $body = []): TestResponse
    {
        return ($this->ask)($method, $path, $body);
    }

    /** A job in the archive. */
    private function archived(string $name): int
    {
        $job = (new Revisions())->begin($this->job->crew, null, new Plan($name, ''), 'Begun');
        $this->after('POST', "/jobs/{$job->id}/archive");

        return $job->id;
    }

    /** @param  array<string, mixed>  $body */
    private function after(string $method, string $path, array $body = []): self
    {
        $this->said($method, $path, $body, '');

        return $this;
    }

    /** @param  array<string, mixed>  $body */
    private function said(string $method, string $path, array $body, string $key): int
    {
        $response = $this->ask($method, $path, $body);
        if (!$response->isSuccessful()) {
            throw new RuntimeException(
                "{$method} {$path} answered {$response->getStatusCode()}: " .
                    substr((string) $response->getContent(), 0, 300),
            );
        }
        $said = $key === '' ? 0 : $response->json($key);
        if (!is_int($said)) {
            throw new RuntimeException("{$method} {$path} said no {$key}.");
        }

        return $said;
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

    private function noted(): self
    {
        $newest = $this->own->newest();
        if (($newest->plan()->places['lecture']->notes ?? '') === self::NOTES) {
            return $this;
        }

        return $this->after('POST', "/jobs/{$this->own->id}/change", [
            'base' => $newest->number,
            'stage' => 'survey',
            'change' => ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => self::NOTES],
        ]);
    }

    private function trace(): string
    {
        return "/jobs/{$this->own->id}/traces/" .
            $this->noted()->said('POST', "/jobs/{$this->own->id}/traces", ['place' => 'lecture', 'near' => 'B1'], 'id');
    }

    /** A trace in which every measurement was answered: the ends are the legs in their order. */
    private function traced(): string
    {
        $path = $this->trace();
        $state = $this->ask('POST', $path, ['back' => true])->json();
        for ($n = 0; is_array($state) && $state['step'] !== null && $n < 20; $n++) {
            $state = $this->ask('POST', $path, [
                'asked' => $state['asked'],
                'tone' => in_array(['X', 'Y'][$state['step']['end'] - 1] ?? '', $state['step']['link'], true),
            ])->json();
        }

        return $path;
    }

    private static function jpeg(): string
    {
        ob_start();
        imagejpeg(imagecreatetruecolor(8, 8));

        return (string) ob_get_clean();
    }
}
