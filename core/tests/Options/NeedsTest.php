<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Options;

use EmberDusk\Kit\Control;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Options\Needs;
use EmberDusk\Options\NeedSet;
use EmberDusk\Options\OptionColumn;
use EmberDusk\Options\Options;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Three questions before any kit is chosen, and the options for each set of answers. */
final class NeedsTest extends TestCase
{
    private static function hall(): Plan
    {
        return Demo::with(new Plan('Hall', '', places: ['hall' => new Place('hall', 'Hall', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'hall',
            'text' => "start\n6.00 cove\noutlet P1 corner",
        ]);
    }

    private static function set(
        string $colour,
        string $by,
        string $light,
        ?ShelfSource $shelf = null,
        ?Plan $plan = null,
    ): NeedSet {
        $plan ??= self::hall();
        foreach ((new Needs($plan, $plan->run('cove'), $shelf ?? Demo::shelf()))->sets() as $set) {
            if ([$set->colour, $set->by, $set->light] === [$colour, $by, $light]) {
                return $set;
            }
        }
        self::fail('no such answers');
    }

    /** @return list<OptionColumn> */
    private static function columns(Plan $plan, string $colour, string $by, string $light): array
    {
        $plan = Demo::with(
            $plan,
            self::set($colour, $by, $light, plan: $plan)->set?->write() ?? self::fail('no options'),
        );

        return Options::for($plan, $plan->run('cove'), Demo::basis());
    }

    /** Every set of answers has options of that light, or says why there are none. */
    public function test_every_answer_leads_somewhere(): void
    {
        $plan = self::hall();
        $sets = (new Needs($plan, $plan->run('cove'), Demo::shelf()))->sets();
        self::assertCount(4 * 4 * 2, $sets);
        self::assertCount(
            32,
            array_unique(array_map(static fn(NeedSet $s): string => "{$s->colour} {$s->by} {$s->light}", $sets)),
        );
        foreach ($sets as $set) {
            self::assertSame($set->set === null, $set->none !== '', "{$set->colour} {$set->by}");
            if ($set->set === null) {
                continue;
            }
            $options = Demo::with($plan, $set->set->write())->options;
            self::assertNotSame([], $options);
            foreach ($options as $option) {
                self::assertSame([$set->colour, $set->by, $set->light], [$option->colour, $option->by, $option->light]);
            }
        }
    }

    /** A light for a remote comes with a remote that speaks its way and sets its colour; taken over, it is in the job and in the quote. */
    public function test_an_option_for_a_remote_includes_one(): void
    {
        $plan = self::hall();
        foreach (['single', 'tunable'] as $colour) {
            $column = self::columns($plan, $colour, 'remote', 'room')[0];
            self::assertNull($column->refused);
            $taken = Demo::with($plan, $column->take?->write() ?? self::fail('cannot be taken'));
            self::assertCount(1, $taken->items);
            $remote = $taken->kit[array_values($taken->items)[0]->kit]->entry;
            self::assertInstanceOf(Control::class, $remote);
            self::assertContains($colour, $remote->sets);
            self::assertContains($column->wish->control, $remote->speaks);
            self::assertContains($remote->name(), $column->kit);
            self::assertSame([], $taken->hubs, 'a remote works without a hub');
        }
    }

    /** The remote is bought once, and its price is part of the option's cost. */
    public function test_a_remote_that_is_there_is_not_bought_again(): void
    {
        $plan = self::hall();
        $first = self::columns($plan, 'single', 'remote', 'room')[0];
        $with = Demo::with($plan, $first->take?->write() ?? self::fail('cannot be taken'));
        $kit = array_values($with->items)[0]->kit;
        $there = Demo::with($plan, ['kind' => 'SetItem', 'kit' => $kit, 'place' => 'hall', 'count' => 1]);
        $second = self::columns($there, 'single', 'remote', 'room')[0];
        self::assertSame([$there->items], [Demo::with($there, $second->take?->write() ?? self::fail())->items]);
        $price = (float) ($with->kit[$kit]->written['price'] ?? 0);
        // Ten minutes to label it, as any item: common practice, no source.
        self::assertEqualsWithDelta(
            $price + (10 / 60) * $plan->terms->hourRate,
            ($first->cost->value ?? 0) - ($second->cost->value ?? 0),
            0.01,
        );
    }

    /** Controls that set the colour come before those that only dim. */
    public function test_ways_that_set_the_colour_come_first(): void
    {
        $plan = self::hall();
        $options = Demo::with($plan, self::set('tunable', 'panel', 'mood')->set?->write() ?? self::fail())->options;
        $first = array_values($options)[0];
        $reach = static fn(Requirement $r): bool => array_filter(
            Demo::shelf()->ofKind('panel'),
            static fn($k): bool => $k->entry instanceof Control &&
                in_array($r->control, $k->entry->speaks, true) &&
                in_array('tunable', $k->entry->sets, true),
        ) !== [];
        self::assertTrue($reach($first));
    }

    /** No set of answers leads to options of which the shelf has none: the first can be taken, or its refusal is about the site. */
    public function test_options_that_are_offered_are_on_the_shelf(): void
    {
        $plan = self::hall();
        foreach ((new Needs($plan, $plan->run('cove'), Demo::shelf()))->sets() as $set) {
            if ($set->set !== null) {
                $with = Demo::with($plan, $set->set->write());
                foreach (Options::for($with, $with->run('cove'), Demo::basis()) as $column) {
                    self::assertStringNotContainsString(
                        'The shelf has no strip',
                        (string) $column->refused,
                        "{$set->colour} {$set->by} {$set->light}",
                    );
                }
            }
        }
    }

    /** A wall panel for a boat runs from its own cell. */
    /** The shelf has boards for Bluetooth at 12 V and for Wi-Fi at 24 V too: no option asks for what none of them drives. */
    public function test_no_option_of_moving_colours_is_without_a_board(): void
    {
        $columns = self::columns(self::hall(), 'pixels', 'phone', 'mood');
        self::assertNotSame([], $columns);
        foreach ($columns as $column) {
            self::assertNotSame([], $column->kit);
        }
    }

    public function test_no_mains_panel_where_there_is_no_mains(): void
    {
        $boat = Demo::with(new Plan('Boat', '', places: ['hall' => new Place('hall', 'Cabin', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'hall',
            'text' => "start\n3.00 cove\nbattery E1, 1 of 12 V",
        ]);
        foreach (['single', 'tunable'] as $colour) {
            $column = self::columns($boat, $colour, 'panel', 'mood')[0];
            $taken = Demo::with($boat, $column->take?->write() ?? self::fail('cannot be taken'));
            $panel = $taken->kit[array_values($taken->items)[0]->kit]->entry;
            self::assertInstanceOf(Control::class, $panel);
            self::assertFalse($panel->mains, $colour);
        }
    }

    public function test_an_empty_shelf_says_what_it_lacks(): void
    {
        $set = self::set('rgbw', 'phone', 'room', new NoShelf());
        self::assertNull($set->set);
        self::assertSame('The shelf has no strip for colours and white as main light.', $set->none);
    }

    /** A strip is named with its colours. */
    public function test_a_strip_says_its_colours(): void
    {
        self::assertSame(
            'Single colour 24 V, 9.6 W/m: warm white',
            self::columns(self::hall(), 'single', 'phone', 'room')[0]->kit[0],
        );
    }
}
