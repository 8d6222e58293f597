<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Crew;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Tests\TestCase;

final class ShelfTest extends TestCase
{
    use RefreshDatabase;

    private Crew $crew;

    protected function setUp(): void
    {
        parent::setUp();
        $this->crew = $this->crew();
        $this->actingAs($this->user($this->crew));
    }

    public function test_it_is_searched_by_words_and_kind(): void
    {
        $all = $this->answer($this->getJson('/shelf/entries'), 'shelfResults');
        self::assertSame([162, 3], [$all['total'], $all['pages']]);
        self::assertCount(60, $all['entries']);
        $found = $this->answer(
            $this->getJson('/shelf/entries?find=' . urlencode('24 V TUNABLE') . '&kind=strip'),
            'shelfResults',
        );
        self::assertSame(
            ['strip-tunable-24', 'strip-tunable-24-mood', 'strip-rgbcct-24'],
            array_column($found['entries'], 'id'),
        );
        // Search hits of other kinds are still counted.
        self::assertGreaterThan(1, count($found['counts']));
        self::assertSame(
            0,
            $this->answer($this->getJson('/shelf/entries?find=' . urlencode('100%_')), 'shelfResults')['total'],
        );
        $this->getJson('/shelf/entries?kind=lamp')->assertStatus(422);
        $this->get('/shelf')->assertOk();
    }

    public function test_saves_an_entry_and_reports_errors_at_their_field(): void
    {
        $cells = [
            'kind' => 'fuse',
            'id' => '',
            'name' => 'Own blade fuse',
            'amps' => '7,5',
            'form' => 'blade',
            'price' => '',
        ];
        $kept = $this->answer($this->postJson('/shelf/entries', ['cells' => $cells]), 'entryAnswer');
        self::assertSame(['fuse-own-blade-fuse', '7.5'], [$kept['cells']['id'], $kept['cells']['amps']]);
        self::assertSame(163, $this->crew->kitEntries()->count());
        self::assertSame(
            'fuse-own-blade-fuse-2',
            $this->answer($this->postJson('/shelf/entries', ['cells' => $cells]), 'entryAnswer')['cells']['id'],
        );
        $this->postJson('/shelf/entries', ['cells' => ['amps' => 'five'] + $cells])
            ->assertStatus(422)
            ->assertJson(['pointer' => '/amps', 'message' => '“five” is not a number.']);
        $this->postJson('/shelf/entries', ['cells' => ['amps' => '900'] + $cells])
            ->assertStatus(422)
            ->assertJson(['pointer' => '/amps']);
        $this->postJson('/shelf/entries', ['cells' => ['kind' => 'lamp'] + $cells])
            ->assertStatus(422)
            ->assertJson(['pointer' => '/kind']);
        $this->deleteJson('/shelf/entries/fuse-own-blade-fuse-2')->assertOk();
        $this->deleteJson('/shelf/entries/fuse-own-blade-fuse-2')->assertNotFound();
        self::assertSame(163, $this->crew->kitEntries()->count());
    }

    public function test_a_change_offers_an_update_and_shows_what_would_move(): void
    {
        $job = $this->job($this->crew);
        $uses = fn(): array => $this->answer($this->getJson('/shelf/entries/controller-zigbee-2'), 'entryAnswer')[
            'uses'
        ]['jobs'];
        // The job of version 1 holds an older copy; it is brought up to date first.
        $update = fn() => $this->postJson("/jobs/{$job->id}/change", [
            'base' => $job->newest()->number,
            'stage' => 'kit',
            'change' => ['kind' => 'RefreshKit', 'kit' => 'controller-zigbee-2'],
        ])->assertOk();
        $update();
        self::assertSame(
            [[$job->id, false]],
            array_map(static fn(array $u): array => [$u['job'], $u['moved']], $uses()),
        );
        $cells = $this->answer($this->getJson('/shelf/entries/controller-zigbee-2'), 'entryAnswer')['cells'];
        $before = $job->newest()->number;
        $this->postJson('/shelf/entries', ['cells' => ['channelAmps' => '3'] + $cells])->assertOk();
        [$use] = $uses();
        self::assertSame($before, $job->newest()->number, 'nothing is forced');
        self::assertTrue($use['moved']);
        $shift = $this->answer($this->getJson("/shelf/entries/controller-zigbee-2/jobs/{$job->id}"), 'shift');
        self::assertSame(
            ['label' => 'C1 carries', 'before' => '25.0', 'after' => '15.0', 'unit' => 'm of it'],
            $shift['figures'][0],
        );
        self::assertContains('C1 carries 15.0 m of this strip, not 18.0 m', $shift['comes']);
        $update();
        self::assertFalse($uses()[0]['moved']);
        self::assertSame(
            'Zigbee two-channel controller, 12-36 V, 5 A a channel updated from the shelf',
            $job->newest()->words,
        );
    }

    public function test_files_go_both_ways_and_a_faulty_one_takes_nothing_in(): void
    {
        $csv = (string) $this->get('/shelf/export.csv?kind=fuse')
            ->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
            ->getContent();
        self::assertStringStartsWith('kind,id,name,amps,form,', $csv);
        $send = fn(string $text) => $this->postJson('/shelf/import', [
            'file' => UploadedFile::fake()->createWithContent('shelf.csv', $text),
        ]);
        self::assertSame(['new' => 0, 'changed' => 0, 'same' => 9], $this->answer($send($csv), 'importCounts'));
        self::assertSame(
            ['new' => 1, 'changed' => 1, 'same' => 8],
            $this->answer(
                $send(str_replace('Blade fuse 5 A', 'Fuse 5 A', $csv) . "fuse,own,Own,5,blade,,,,,\r\n"),
                'importCounts',
            ),
        );
        $json = (string) $this->get('/shelf/export.json')->assertOk()->getContent();
        self::assertSame(['new' => 0, 'changed' => 0, 'same' => 163], $this->answer($send($json), 'importCounts'));
        $count = $this->crew->kitEntries()->count();
        foreach (
            [
                "kind,id,name\nfuse,new-one,New\nfuze,x,X",
                "kind,id,name,amps,form\nfuse,new-one,New,5,blade\nfuse,x,=1,5,blade",
                '{"format": "ember-dusk-shelf", "version": 1, "entries": [{"kind": "fuse"}]}',
                "\xFF\xFE",
                'nothing',
            ]
            as $bad
        ) {
            $send($bad)->assertStatus(422);
        }
        self::assertSame($count, $this->crew->kitEntries()->count());
        $send(str_repeat('x', 8_100_000))->assertStatus(422);
    }

    public function test_another_crew_has_a_shelf_of_its_own(): void
    {
        $this->postJson('/shelf/entries', [
            'cells' => ['kind' => 'fuse', 'id' => 'fuse-secret', 'name' => 'Secret', 'amps' => '5', 'form' => 'blade'],
        ])->assertOk();
        $this->actingAs($this->user($this->crew('Crew B'), 'b@firm.example'));
        $this->getJson('/shelf/entries/fuse-secret')->assertNotFound();
        $this->deleteJson('/shelf/entries/fuse-secret')->assertNotFound();
        self::assertStringNotContainsString('fuse-secret', (string) $this->get('/shelf/export.csv')->getContent());
    }
}
