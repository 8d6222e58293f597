<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Costing\Basis;
use EmberDusk\Kit\Kinds;
use EmberDusk\Options\OptionColumn;
use EmberDusk\Options\Options;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Circuits;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Kit beside the chains of the runs: put in, counted, built, taken out; options of kinds that had none. */
final class ItemsTest extends TestCase
{
    public function test_each_kind_enters_a_job_has_its_part_and_its_step_and_leaves_it(): void
    {
        $plain = self::room();
        $seen = [];
        foreach (array_keys(Kinds::beside()) as $kind) {
            $kit = Demo::shelf()->ofKind($kind)[0]->entry->id();
            $plan = self::applied($plain, ['kind' => 'SetItem', 'kit' => $kit, 'place' => 'room', 'count' => 2]);
            self::assertSame(JobFile::write($plan), JobFile::write(JobFile::read(JobFile::write($plan))));
            $parts = PartsList::for($plan, Demo::shelf());
            if ($kind === 'phone') {
                self::assertNotContains($kit, array_column($parts->parts, 'key'), 'the client has it already');
            } else {
                self::assertEqualsWithDelta(2.0, $parts->part($kit)->count, 1e-9, $kind);
            }
            $steps = Steps::for($plan, $parts, Productivity::from([]));
            $needing = array_filter($steps, static fn($s): bool => in_array($kit, $s->needs, true));
            self::assertNotSame([], $needing, "{$kind} has no step");
            $gone = self::applied($plan, [
                'kind' => 'SetItem',
                'item' => 'i1',
                'kit' => $kit,
                'place' => 'room',
                'count' => 0,
            ]);
            self::assertSame(JobFile::write($plain), JobFile::write($gone), $kind);
            $seen[] = $kind;
        }
        self::assertCount(12, $seen);
    }

    public function test_what_does_not_go_together_is_refused(): void
    {
        foreach (
            [
                [['kit' => 'supply-24-100'], 'chosen for a run'],
                [['kit' => 'set-single-5', 'on' => 's9'], 'does not go with'],
                [['kit' => 'remote-rf-8', 'on' => 'shelf'], 'belongs to no other part'],
                [['kit' => 'remote-rf-8', 'place' => 'attic'], 'place'],
            ]
            as [$change, $words]
        ) {
            try {
                self::applied(self::room(), $change + ['kind' => 'SetItem', 'place' => 'room', 'count' => 1]);
                self::fail($words);
            } catch (Refusal $t) {
                self::assertStringContainsString($words, $t->getMessage());
            }
        }
    }

    public function test_a_ready_made_set_is_taken_and_single_parts_take_its_place(): void
    {
        $plan = self::room();
        $plan = self::applied($plan, [
            'kind' => 'SetOptions',
            'run' => 'shelf',
            'options' => [
                self::asked('tunable', 'set'),
                self::asked('pixels', 'shelf'),
                self::asked('rgbcct', 'shelf'),
            ],
        ]);
        $cards = array_map(
            static fn(OptionColumn $c): array => $c->write(),
            Options::for($plan, $plan->run('shelf'), new Basis(Demo::shelf())),
        );
        $set = self::applied($plan, (array) $cards[0]['take']);
        self::assertSame('set-tunable-20', $set->of($set->run('shelf'))->set()?->kit);
        // Pixels: strip, supply, cable, and a board for their data.
        self::assertNull($cards[1]['refused']);
        $pixels = self::applied($set, (array) $cards[1]['take']);
        self::assertNull($pixels->of($pixels->run('shelf'))->set());
        self::assertNotNull($pixels->strip($pixels->run('shelf')->strip)?->pixels);
        self::assertSame('board-screw', $pixels->of($pixels->run('shelf'))->board()?->kit);
        // RGB plus tunable white: five channels, and no board.
        $five = self::applied($pixels, (array) $cards[2]['take']);
        self::assertCount(5, $five->strip($five->run('shelf')->strip)->channels ?? []);
        self::assertNull($five->of($five->run('shelf'))->board());
    }

    public function test_what_the_shelf_lacks_is_prepared(): void
    {
        $plan = self::room('90 shelf');
        $plan = self::applied($plan, [
            'kind' => 'SetOptions',
            'run' => 'shelf',
            'options' => [self::asked('rgb', 'shelf')],
        ]);
        $card = Options::for($plan, $plan->run('shelf'), new Basis(Demo::shelf()))[0]->write();
        self::assertNotNull($card['refused']);
        self::assertIsString($card['prepare']);
        $cells = (array) json_decode($card['prepare'], true);
        self::assertContains($cells['kind'] ?? '', ['controller', 'supply', 'cable', 'strip']);
    }

    /** @return array<string, mixed> */
    private static function asked(string $colour, string $source): array
    {
        return [
            'volts' => 24,
            'light' => 'room',
            'colour' => $colour,
            'controllers' => 0,
            'control' => match (true) {
                $source === 'set' => 'rf',
                $colour === 'pixels' => 'wifi',
                default => 'zigbee',
            },
            'source' => $source,
            'cap' => 1,
        ];
    }

    private static function room(string $wall = '3.2 shelf'): Plan
    {
        $plan = new Plan('Room', 'Nobody', places: ['room' => new Place('room', 'Room', '')]);

        return self::applied($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "start\n{$wall}\ndry\noutlet P1 at 1\nrun shelf, bare",
        ]);
    }

    /** @param  array<array-key, mixed>  $change */
    private static function applied(Plan $plan, array $change): Plan
    {
        $after = Catalogue::read($change, Demo::shelf())->apply($plan);
        Invariants::check($after);

        return $after;
    }

    /** A shelf changes; the job keeps its copy, and an item of it can still be removed. */
    public function test_removes_an_item_whose_entry_is_no_longer_on_the_shelf(): void
    {
        $plan = Circuits::simple()
            ->item(
                'i1',
                'remote',
                ['speaks' => ['zigbee'], 'sets' => ['single'], 'zones' => 1, 'name' => 'Old remote'],
                null,
            )
            ->plan();
        $kit = $plan->items['i1']->kit;
        $remove = ['kind' => 'SetItem', 'item' => 'i1', 'kit' => $kit, 'place' => 'room', 'count' => 0];
        $change = Catalogue::read($remove, Demo::shelf());
        self::assertSame('Old remote removed from the job', $change->words($plan));
        self::assertSame([], $change->apply($plan)->items);
        $this->expectExceptionMessage("The shelf has no “{$kit}”.");
        Catalogue::read(['count' => 1] + $remove, Demo::shelf());
    }
}
