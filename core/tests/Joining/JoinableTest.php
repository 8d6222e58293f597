<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\JoinBlock;
use EmberDusk\Joining\Prerequisites;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Shelf;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Standing;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\TestCase;

/** Joinable units of a plan, and the reasons for the others, known before the first step. */
final class JoinableTest extends TestCase
{
    private static function demo(string $name): Plan
    {
        return JobFile::read((string) file_get_contents(dirname(__DIR__, 3) . "/database/demo/job-{$name}.json"));
    }

    /**
     * @param  array<string, array{string, string, int}>  $items  kit, place and count by id
     */
    private static function with(Plan $plan, array $items): Plan
    {
        $kit = $plan->kit;
        $all = $plan->items;
        foreach ($items as $id => [$entry, $place, $count]) {
            $kit[$entry] = Demo::shelf()->find($entry) ?? self::fail($entry);
            $all[$id] = new Item($id, $entry, $place, $count);
        }

        return $plan->with(items: $all, kit: $kit);
    }

    /** @param  array<array-key, mixed>  $written */
    private static function snapshot(array $written): KitSnapshot
    {
        return new KitSnapshot(Shelf::hash($written), $written, Shelf::check($written));
    }

    /** @return list<string> */
    private static function codes(Joinable $joinable): array
    {
        return array_map(static fn(JoinBlock $b): string => "{$b->code} {$b->unit}", $joinable->blocked);
    }

    /**
     * Which control can work which light, asked of the plan's kit alone, without roster, families or instructions.
     *
     * @return list<string>
     */
    private static function capable(Plan $plan): array
    {
        $can = [];
        foreach (array_keys($plan->controllers + $plan->modules) as $id) {
            $run = array_values(array_filter($plan->runs, static fn($r): bool => $r->controller === $id))[0] ?? null;
            $kind = $plan->strip($run?->strip)?->colours() ?? 'single';
            $family = $plan->controller($id)->family ?? ($plan->module($id)->family ?? '');
            foreach ($plan->hubs as $hub => $unused) {
                $entry = $plan->hub($hub);
                $sets = $entry->sets ?? [];
                if (in_array($family, $entry->speaks ?? [], true) && array_intersect([$kind, 'single'], $sets) !== []) {
                    $can[] = "{$hub} {$id}";
                }
            }
        }

        return $can;
    }

    public function test_the_demo_jobs_are_joined_whole(): void
    {
        foreach (['observatory', 'narrowboat', 'hide'] as $name) {
            $joinable = Joinable::for(self::demo($name));
            self::assertSame([], self::codes($joinable), $name);
            self::assertTrue(Rehearsal::run($joinable->roster, 1)->works(), $name);
            $hubs = array_filter(
                $joinable->roster->wants,
                static fn(ControlledLight $w): bool => str_starts_with($w->control, 'h'),
            );
            self::assertSame(
                self::capable(self::demo($name)),
                array_values(array_map(static fn(ControlledLight $w): string => $w->key(), self::sorted($hubs))),
                $name,
            );
        }
    }

    /**
     * @param  array<int, ControlledLight>  $wants
     * @return array<int, ControlledLight>
     */
    private static function sorted(array $wants): array
    {
        usort($wants, static fn(ControlledLight $a, ControlledLight $b): int => $a->light <=> $b->light);

        return $wants;
    }

    public function test_names_lights_without_controls_and_controls_without_lights(): void
    {
        $plan = self::demo('observatory');
        $alone = $plan->with(items: array_diff_key($plan->items, ['i4' => true]));
        self::assertSame(['no-control c5'], self::codes(Joinable::for($alone)));
        $idle = self::with(self::demo('hide'), ['i7' => ['remote-rf-8', 'hide', 1]]);
        self::assertSame(['no-light r2'], self::codes(Joinable::for($idle)));
        self::assertFalse(
            Joinable::for(
                $plan->with(hubs: [], items: [], modules: [], controllers: ['c5' => $plan->controllers['c5']]),
            )->any(),
        );
    }

    public function test_a_remote_with_fewer_zones_than_lights_is_named(): void
    {
        $plan = self::with(self::demo('narrowboat'), ['i9' => ['remote-zigbee-1', 'cabin', 1]]);
        $joinable = Joinable::for($plan);
        self::assertSame(['zones r2'], self::codes($joinable));
        self::assertStringContainsString('C2, star', $joinable->blocked[0]->detail);
        self::assertCount(1, $joinable->roster->wantsOf('r2'));
        self::assertTrue(Rehearsal::run($joinable->roster, 1)->works(), 'the rest is joined');
    }

    /** The bird hide without its hub: two remotes on one light, of which the instructions admit one. */
    public function test_a_light_that_admits_fewer_remotes_is_named(): void
    {
        $hide = self::demo('hide')->with(hubs: []);
        $two = self::with($hide, ['i8' => ['remote-zigbee-4', 'hide', 1], 'i9' => ['remote-zigbee-4', 'hide', 1]]);
        self::assertNotContains(
            'remotes c1',
            self::codes(Joinable::for($two)),
            'unless the instructions say so, several',
        );
        $id = $two->controllers['c1']->kit;
        $one = self::snapshot(
            ['profile' => ['remotes' => 1] + (array) $two->kit[$id]->written['profile']] + $two->kit[$id]->written,
        );
        $joinable = Joinable::for($two->with(kit: [$id => $one] + $two->kit));
        self::assertContains('remotes c1', self::codes($joinable));
        self::assertCount(1, $joinable->roster->wants);
    }

    public function test_a_hub_that_is_full_is_named(): void
    {
        $plan = self::demo('narrowboat');
        $small = $plan->kit['hub-zigbee-short']->written;
        $small['lights'] = 1;
        $kit = self::snapshot($small);
        $joinable = Joinable::for($plan->with(kit: ['hub-zigbee-short' => $kit] + $plan->kit));
        self::assertSame(['full h1'], self::codes($joinable));
    }

    public function test_names_missing_instructions(): void
    {
        $plan = self::demo('hide');
        $bare = $plan->kit['remote-zigbee-4']->written;
        unset($bare['profile']);
        $joinable = Joinable::for($plan->with(kit: ['remote-zigbee-4' => self::snapshot($bare)] + $plan->kit));
        self::assertSame(['no-leaflet r1'], self::codes($joinable));
        self::assertStringContainsString('its link gesture', $joinable->blocked[0]->detail);
        self::assertSame([], $joinable->roster->wantsOf('r1'));
    }

    public function test_several_of_a_kind_and_other_orders_of_ids_are_units_of_their_own(): void
    {
        $plan = self::with(self::demo('narrowboat'), ['a9' => ['remote-zigbee-4', 'cabin', 2]]);
        $roster = Joinable::for($plan)->roster;
        self::assertSame(['r1', 'r2', 'r3'], array_keys($roster->inRole(Unit::REMOTE)));
        self::assertTrue(Rehearsal::run($roster, 2)->works());
    }

    public function test_an_assistant_with_a_radio_is_the_hub_where_there_is_no_other(): void
    {
        $plan = self::demo('hide');
        $plan = self::with($plan->with(hubs: [], items: []), ['i1' => ['assistant-radio', 'hide', 1]]);
        $roster = Joinable::for($plan)->roster;
        self::assertSame(Unit::HUB, $roster->unit('a1')->role);
        self::assertTrue(Rehearsal::run($roster, 1)->works());
    }

    public function test_derives_the_preparations_from_the_plan(): void
    {
        $plan = self::demo('observatory');
        $keys = static fn(Plan $p): array => array_map(
            static fn($n): string => $n->key,
            Prerequisites::for(Joinable::for($p)->roster, $p),
        );
        self::assertSame(['power', 'lead', 'phone', 'account', 'network', 'hub', 'listed', 'panel'], $keys($plan));
        $high = $plan->controllers['c1']->standing(new Standing('lecture', '', 0, 0.5, 2.6));
        self::assertContains('ladder', $keys($plan->with(controllers: ['c1' => $high] + $plan->controllers)));
        $pin = self::with($plan, ['i9' => ['bridge-zones', 'place6', 1]]);
        self::assertContains('pin', $keys($pin));
        // An assistant asks for an account; a boat without one does not.
        self::assertNotContains('account', $keys(self::demo('narrowboat')));
    }

    /** Used devices are reset with every method, and only those in the one that trusts new kit. */
    public function test_a_unit_that_was_in_use_is_known_as_such(): void
    {
        $plan = self::demo('narrowboat');
        self::assertFalse(Joinable::for($plan)->roster->unit('c1')->used);
        $used = $plan->with(controllers: ['c1' => $plan->controllers['c1']->used(true)] + $plan->controllers);
        self::assertTrue(Joinable::for($used)->roster->unit('c1')->used);
        self::assertInstanceOf(Device::class, $used->controllers['c1']);
    }
}
