<?php

declare(strict_types=1);

namespace Tests;

use Closure;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Job\JobState;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\JobStage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use RuntimeException;
use Symfony\Component\HttpFoundation\Response;

/** Writes' requests for survey, parts, build and bench. */
final class WorkWrites
{
    use Asking;

    /** Its legs are not traced yet. */
    private const NOTES = "5 cove\ndry\nrun cove, bare\nleg A B1 to X 2x1.5\nleg B B1 to Y 2x1.5";

    /** @return array<string, Closure(int): TestResponse<Response>> by the route's name */
    public function all(): array
    {
        $at = "/jobs/{$this->job->id}";
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
            'point.accept' => fn() => $this->ask('POST', "{$at}/accept", $this->accepted()),
            'point.back' => function () use ($at): TestResponse {
                $accepted = $this->accepted();

                return $this->after('POST', "{$at}/accept", $accepted)->ask('POST', "{$at}/accept/back", [
                    'uuid' => (string) Str::uuid(),
                    'entry' => $accepted['uuid'],
                ]);
            },
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

    /** @return array<string, mixed> acceptance of an open point of the survey, which no other request changes */
    private function accepted(): array
    {
        $points = Registry::check(
            JudgedJob::for(new JobState($this->job->newest()->plan(), [], Demo::shelf())),
            Registry::all(),
        );
        foreach ($points as $point) {
            if ($point->acceptable() && $point->place->stage === JobStage::Survey) {
                return ['uuid' => (string) Str::uuid(), 'key' => $point->key(), 'reason' => $this->who];
            }
        }

        throw new RuntimeException('The job has no open point of the survey.');
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
