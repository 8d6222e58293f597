<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** Hostile and careless input at Parts and Build: refused with words, never an error of the server, and nothing of it is kept. */
final class WorkInputsTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    private const STRANGE = [
        null,
        '',
        ' ',
        '0',
        -1,
        0,
        1e300,
        1.5,
        'NaN',
        true,
        [],
        [[]],
        ['a' => 'b'],
        "\u{202E}",
        '=1+1',
        '2026-13-45',
        '2026-02-30',
        '9999-12-31',
        '0000-00-00',
        '🜂',
        "'; DROP TABLE ticks; --",
    ];

    /** @return array<string, array{string, array<string, mixed>}> */
    private static function good(): array
    {
        return [
            'tick' => [
                'build/tick',
                [
                    'uuid' => '6f1c2b1e-9a51-4c7e-8f7f-0a6a3f6d2b11',
                    'step' => 'dry-cove',
                    'done' => true,
                    'minutes' => 10,
                    'at' => '2026-11-25T09:00:00.000Z',
                ],
            ],
            'visits' => [
                'build/visits',
                ['visits' => [['from' => '2026-12-01', 'days' => 0, 'people' => 1]], 'weekends' => false],
            ],
            'a visit' => ['build/visits', ['from' => '2026-12-01', 'days' => 0, 'people' => 1]],
            'move' => [
                'build/move',
                ['step' => 'tidy-lecture', 'day' => '2026-12-09', 'from' => 60, 'person' => 0, 'keep' => true],
            ],
            'wait' => ['build/wait', ['step' => 'dry-cove', 'after' => 'isolate-lecture', 'on' => true]],
            'part' => ['parts', ['part' => 'strip-tunable-24', 'state' => 'ordered', 'arrives' => '2026-12-01']],
            'offcut' => ['offcuts', ['kit' => 'strip-tunable-24', 'metres' => 1.5, 'count' => 1]],
            'rest' => ['offcuts/left', ['kit' => 'strip-tunable-24']],
        ];
    }

    public function test_nothing_strange_is_an_error_of_the_server(): void
    {
        $this->travelTo('2026-11-25 10:00:00');
        foreach (self::good() as $name => [$path, $body]) {
            foreach (array_keys($body) as $field) {
                foreach ([...self::STRANGE, 'left out'] as $strange) {
                    if ($strange === 'left out') {
                        $sent = array_diff_key($body, [$field => true]);
                    } else {
                        $sent = [$field => $strange] + $body;
                    }
                    $sent = $name === 'a visit' ? ['visits' => [$sent], 'weekends' => false] : $sent;
                    $answer = $this->postJson("/jobs/{$this->job->id}/{$path}", $sent);
                    self::assertContains(
                        $answer->status(),
                        [200, 422],
                        "{$name}, {$field}: " .
                            json_encode($strange) .
                            ' ' .
                            substr((string) $answer->getContent(), 0, 300),
                    );
                    if ($answer->status() === 422) {
                        self::assertNotSame('', (string) $answer->json('message'));
                    }
                }
            }
        }
        // Whatever was imported, all screens still open.
        foreach (['parts', 'build'] as $stage) {
            $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage={$stage}"));
        }
        foreach (['van', 'day-sheets', 'quote', 'build.ics', 'parts.csv', 'cuts.csv'] as $paper) {
            $this->get("/jobs/{$this->job->id}/{$paper}")->assertOk();
        }
    }

    public function test_changes_of_how_things_are_made_up_refuse_what_cannot_be(): void
    {
        $this->travelTo('2026-11-25 10:00:00');
        $good = [
            [
                'kind' => 'SetMaking',
                'run' => 'cove',
                'strip' => 'saving',
                'length' => 'never',
                'profile' => 'profile-corner',
                'diffuser' => 'diffuser-satin',
                'seal' => 'glue',
                'cut' => 'after',
            ],
            ['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => 3],
            [
                'kind' => 'SetTerms',
                'length' => 'metric',
                'wire' => 'mm2',
                'currency' => 'EUR',
                'hourRate' => 40,
                'hoursADay' => 4,
                'markUp' => 0.1,
                'tax' => 0.2,
                'rates' => [['currency' => 'CHF', 'rate' => 1.05]],
            ],
        ];
        $base = 1;
        foreach ($good as $change) {
            foreach (array_keys($change) as $field) {
                foreach (self::STRANGE as $strange) {
                    $answer = $this->postJson("/jobs/{$this->job->id}/change", [
                        'base' => $base,
                        'stage' => 'parts',
                        'change' => [$field => $strange] + $change,
                    ]);
                    self::assertContains(
                        $answer->status(),
                        [200, 422],
                        "{$change['kind']}, {$field}: " .
                            json_encode($strange) .
                            ' ' .
                            substr((string) $answer->getContent(), 0, 300),
                    );
                    $base = $answer->status() === 200 ? $answer->json('revision') : $base;
                }
            }
            $base = $this->answer(
                $this->postJson("/jobs/{$this->job->id}/change", [
                    'base' => $base,
                    'stage' => 'parts',
                    'change' => $change,
                ]),
            )['revision'];
        }
        $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=parts"));
        $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=build"));
    }

    public function test_messages_say_what_to_do(): void
    {
        $this->travelTo('2026-11-25 10:00:00');
        foreach (
            [
                [
                    'parts',
                    ['part' => 'strip-tunable-24', 'state' => 'ordered', 'arrives' => '2026-11-24'],
                    'That day is over. Mark parts that are here as in hand; give late parts a later day.',
                ],
                [
                    'offcuts',
                    ['kit' => 'strip-tunable-24', 'metres' => 'long', 'count' => 1],
                    'An offcut has a length from 0.02 to 100 m, such as 1.35.',
                ],
                [
                    'offcuts',
                    ['kit' => 'unheard-of', 'metres' => 1, 'count' => 1],
                    'The shelf has none of that kind. Put it on the shelf first.',
                ],
                [
                    'build/wait',
                    ['step' => 'dry-cove', 'after' => 'dry-cove', 'on' => true],
                    'A step cannot wait for itself.',
                ],
                [
                    'build/tick',
                    [
                        'uuid' => '6f1c2b1e-9a51-4c7e-8f7f-0a6a3f6d2b11',
                        'step' => 'dry-gone',
                        'done' => true,
                        'minutes' => 5,
                        'at' => '2026-11-25T09:00:00.000Z',
                    ],
                    'The plan was changed: the job no longer has this step. Your tick was not saved.',
                ],
                [
                    'build/move',
                    ['step' => 'tidy-lecture', 'day' => '2026-11-28', 'from' => 0, 'person' => 0, 'keep' => true],
                    'It cannot be moved there. Nobody works on Sat 28 Nov. Take a day of a visit, or plan a visit for it.',
                ],
                ['build/visits', ['visits' => [], 'weekends' => false], 'A job has at least one visit.'],
            ]
            as [$path, $body, $message]
        ) {
            self::assertSame(
                $message,
                $this->postJson("/jobs/{$this->job->id}/{$path}", $body)
                    ->assertStatus(422)
                    ->json('message'),
                $path,
            );
        }
    }

    public function test_what_the_plan_no_longer_has_does_no_harm(): void
    {
        $this->travelTo('2026-11-25 10:00:00');
        $post = fn(string $path, array $body): array => $this->answer(
            $this->postJson("/jobs/{$this->job->id}/{$path}", $body),
        );
        $post('build/wait', ['step' => 'dry-cove', 'after' => 'isolate-lecture', 'on' => true]);
        $post('build/move', [
            'step' => 'tidy-lecture',
            'day' => '2026-12-09',
            'from' => 60,
            'person' => 0,
            'keep' => true,
        ]);
        $post('build/tick', [
            'uuid' => '6f1c2b1e-9a51-4c7e-8f7f-0a6a3f6d2b11',
            'step' => 'dry-cove',
            'done' => true,
            'minutes' => 10,
            'at' => '2026-11-25T09:00:00.000Z',
        ]);
        $post('parts', ['part' => 'strip-tunable-24', 'state' => 'packed', 'arrives' => null]);
        $answer = $post('change', [
            'base' => 1,
            'stage' => 'build',
            'change' => ['kind' => 'DropRun', 'run' => 'cove'],
        ]);
        $steps = array_column($answer['desk']['build']['steps'], 'id');
        self::assertNotContains('dry-cove', $steps);
        self::assertNotContains('tidy-lecture', $steps);
        self::assertNotSame([], $answer['desk']['build']['slots']);
        $parts = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=parts"))['desk'];
        self::assertNotContains('strip-tunable-24', array_column($parts['parts']['parts'], 'key'));
        // Undo restores everything: finished steps stay finished, moved ones stay moved.
        $back = $post('undo', ['stage' => 'build'])['desk']['build'];
        self::assertTrue(
            array_values(array_filter($back['steps'], static fn(array $s): bool => $s['id'] === 'dry-cove'))[0]['done'],
        );
        self::assertSame(
            ['2026-12-09'],
            array_values(
                array_unique(
                    array_column(
                        array_filter($back['slots'], static fn(array $s): bool => $s['id'] === 'tidy-lecture'),
                        'day',
                    ),
                ),
            ),
        );
    }

    public function test_a_job_without_anything_has_empty_sheets(): void
    {
        $id = (new Revisions())->begin(
            $this->job->crew,
            null,
            new Plan('Empty', '', places: ['room' => new Place('room', 'Room', '')]),
            'Job created',
        )->id;
        foreach (['parts', 'build'] as $stage) {
            self::assertSame([], $this->answer($this->getJson("/jobs/{$id}/state?stage={$stage}"))['desk']['ledger']);
        }
        $this->get("/jobs/{$id}/day-sheets")
            ->assertOk()
            ->assertSee('No work left');
        $this->get("/jobs/{$id}/van")->assertOk();
        $this->get("/jobs/{$id}/quote")
            ->assertOk()
            ->assertSee('0.00');
        foreach (['day-sheets', 'van', 'quote'] as $sheet) {
            self::assertStringStartsWith(
                '%PDF-',
                (string) $this->get("/jobs/{$id}/{$sheet}.pdf")
                    ->assertOk()
                    ->getContent(),
            );
        }
    }
}
