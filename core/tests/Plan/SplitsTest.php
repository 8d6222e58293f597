<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\SeededJobs;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Splits of wired runs, and what putting them back together gives. */
final class SplitsTest extends TestCase
{
    private const EDITS = [
        ['kind' => 'FeedPattern', 'pattern' => 'ends'],
        ['kind' => 'FeedPattern', 'pattern' => 'middle'],
        ['kind' => 'SetCap', 'cap' => 0.5, 'checked' => true],
        ['kind' => 'ChooseKit', 'kit' => 'cable-4x15'],
        ['kind' => 'ShareKit', 'with' => 'own'],
        ['kind' => 'SetMaking', 'strip' => 'never'],
    ];

    /** @return iterable<string, array{int}> 25 seeded jobs; EMBER_SEEDS asks for more */
    public static function seeds(): iterable
    {
        for ($from = 1; $from <= max(25, (int) getenv('EMBER_SEEDS')); $from += 25) {
            yield "seeds from {$from}" => [$from];
        }
    }

    #[DataProvider('seeds')]
    public function test_back_together_is_the_document_that_it_was(int $from): void
    {
        $split = 0;
        for ($seed = $from; $seed < $from + 25; $seed++) {
            $plan = SeededJobs::of($seed);
            foreach ($plan->runs as $run) {
                if ($run->parts > 1 || $run->zones !== []) {
                    continue;
                }
                foreach (self::ways($run) as $way) {
                    $after = self::tried($plan, $way);
                    if ($after !== null) {
                        $split++;
                        $where = "seed {$seed}, {$run->id}, {$way['kind']}";
                        // As it is kept and opened again.
                        $after = JobFile::read(JobFile::write($after));
                        self::assertSame(JobFile::write($plan), JobFile::write(self::back($after, $run)), $where);
                        $edited = self::edited($after, $run, $seed);
                        $back = self::back($edited, $run);
                        self::assertSame($plan->run($run->id)->write(), $back->run($run->id)->write(), $where);
                        self::assertEquals($plan->ways()->feedsOf($run), $back->ways()->feedsOf($run), $where);
                        foreach ($plan->ways()->feedsOf($run) as $feed) {
                            self::assertEquals(
                                $plan->ways()->wayTo($feed->id),
                                $back->ways()->wayTo($feed->id),
                                $where,
                            );
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(50, $split);
    }

    public function test_halves_keep_their_feeds_and_add_missing_ones(): void
    {
        // 10 m fed at its start by 2 m of cable: the second half begins 5 m on.
        $plan = self::applied(self::job(), ['kind' => 'SplitParts', 'run' => 'cove', 'parts' => 2]);
        self::assertSame([5.0], $plan->run('cove')->sections);
        self::assertSame([5.0], $plan->run('cove-1')->sections);
        self::assertSame($plan->run('cove')->controller, $plan->run('cove-1')->controller);
        [$first, $second] = [
            $plan->ways()->feedsOf($plan->run('cove'))[0],
            $plan->ways()->feedsOf($plan->run('cove-1'))[0],
        ];
        self::assertSame([0, 0], [$first->pad, $second->pad]);
        self::assertEqualsWithDelta(2.0, $plan->ways()->cableTo($first->id)->length ?? 0, 1e-9);
        self::assertEqualsWithDelta(7.0, $plan->ways()->cableTo($second->id)->length ?? 0, 1e-9);
    }

    public function test_feeds_keep_their_metre(): void
    {
        $plan = self::applied(self::job(), ['kind' => 'SetFeeds', 'run' => 'cove', 'shares' => [0, 0.3, 0.9]]);
        $plan = self::applied($plan, ['kind' => 'SplitParts', 'run' => 'cove', 'parts' => 4]);
        $metres = [];
        foreach ($plan->runs as $run) {
            foreach ($plan->ways()->feedsOf($run) as $feed) {
                $metres[] = ($run->part - 1) * 2.5 + ($plan->of($run)->cutMarks()?->position($feed->pad) ?? 0);
            }
        }
        sort($metres);
        // The third part has none: it is fed at 5.0 m or 7.5 m, and more cable leads to neither than 2 m and the way along.
        self::assertCount(4, $metres);
        self::assertEqualsWithDelta([0.0, 3.0, 9.0], [$metres[0], $metres[1], $metres[3]], 0.05);
        self::assertEqualsWithDelta(5.0, $metres[2], 0.05);
    }

    public function test_a_second_controller_is_the_same_on_the_same_supply(): void
    {
        $plan = self::applied(self::job(), ['kind' => 'SplitController', 'run' => 'cove']);
        $second = $plan->run('cove-1');
        self::assertCount(2, $plan->controllers);
        self::assertSame('s1', $second->supply);
        self::assertSame($plan->controllers['c1']->kit, $plan->controllers[$second->controller ?? '']->kit);
        self::assertSame('s1', $plan->ways()->cableTo($second->controller ?? '')?->from);
        self::assertSame($second->controller, $plan->ways()->cableTo($plan->ways()->feedsOf($second)[0]->id)?->from);
    }

    /** Another run has taken the ids of both feeds meanwhile: each gets a free one, and its own cable. */
    public function test_a_run_put_back_together_keeps_its_feeds_apart(): void
    {
        $plan = self::applied(self::job(), ['kind' => 'SetFeeds', 'run' => 'cove', 'shares' => [0.0, 1.0]]);
        $ids = array_keys($plan->feeds);
        $whole = count($ids);
        $plan = self::applied($plan, ['kind' => 'SplitController', 'run' => 'cove']);
        // The parts have other feeds.
        $feeds = $cables = [];
        foreach ($plan->feeds as $id => $feed) {
            $feeds["f9{$id}"] = new Feed("f9{$id}", $feed->run, $feed->pad);
        }
        foreach ($plan->cables as $id => $cable) {
            $to = isset($plan->feeds[$cable->to]) ? "f9{$cable->to}" : $cable->to;
            $cables[$id] = $cable->like($id, $cable->from, $to);
        }
        $plan = $plan->with(feeds: $feeds, cables: $cables);
        $place = $plan->places[$plan->run('cove')->place];
        $plan = self::applied($plan, [
            'kind' => 'ReviseNotes',
            'place' => $place->id,
            'text' => str_replace(' cove', ' cove and rail', $place->notes),
        ]);
        $plan = self::applied($plan, ['kind' => 'ChooseKit', 'run' => 'rail', 'kit' => $plan->run('cove')->strip]);
        $plan = self::applied($plan, ['kind' => 'SetFeeds', 'run' => 'rail', 'shares' => [0.0, 1.0]]);
        self::assertNotSame([], array_intersect($ids, array_keys($plan->feeds)), 'they have the ids');
        $back = self::applied($plan, ['kind' => 'BackTogether', 'run' => 'cove']);
        self::assertCount($whole, $back->ways()->feedsOf($back->run('cove')));
        self::assertCount(2, $back->ways()->feedsOf($back->run('rail')));
        $ends = array_map(static fn(LaidCable $c): string => $c->to, $back->cables);
        self::assertSame(array_unique($ends), $ends);
    }

    public function test_a_repeater_has_its_own_supply_at_the_cut(): void
    {
        $plan = self::applied(self::job(), ['kind' => 'SplitRepeater', 'run' => 'cove', 'kit' => 'repeater-4']);
        $second = $plan->run('cove-1');
        self::assertNotSame('s1', $second->supply);
        self::assertSame('cove', $plan->of($second)->before()?->id);
        $tail = $plan->ways()->cableTo($plan->ways()->feedsOf($second)[0]->id);
        self::assertSame($second->controller, $tail?->from);
        self::assertEqualsWithDelta(1.0, $tail->length ?? 0, 1e-9);
    }

    public function test_zones_have_a_supply_each_and_no_feed_crosses(): void
    {
        $plan = self::job();
        foreach (['pixels-5-rgb', 'supply-5-300', 'cable-2x15'] as $kit) {
            $plan = self::applied($plan, ['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => $kit]);
        }
        $plan = self::applied($plan, ['kind' => 'SetFeeds', 'run' => 'cove', 'shares' => [0, 0.5, 1]]);
        $plan = self::applied($plan, ['kind' => 'SplitZones', 'run' => 'cove']);
        $run = $plan->run('cove');
        self::assertCount(1, $run->zones);
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $supply = $plan->ways()->cableTo($feed->id)?->from;
            self::assertSame($feed->pad >= $run->zones[0], $supply !== $run->supply, "pad {$feed->pad}");
        }
    }

    public function test_what_cannot_be_split_so_says_why(): void
    {
        $plan = self::job();
        foreach (
            [
                [['kind' => 'SplitZones', 'run' => 'cove'], 'Only pixels'],
                [['kind' => 'BackTogether', 'run' => 'cove'], 'is whole'],
                [['kind' => 'SplitRepeater', 'run' => 'cove', 'kit' => 'controller-zigbee-4'], 'is no repeater'],
                [['kind' => 'SplitParts', 'run' => 'cove', 'parts' => 1], 'parts'],
            ]
            as [$change, $words]
        ) {
            try {
                self::applied($plan, $change);
                self::fail($change['kind']);
            } catch (Refusal $t) {
                self::assertStringContainsString($words, $t->getMessage() . $t->pointer);
            }
        }
    }

    public function test_rejoining_without_a_record_keeps_the_first_part(): void
    {
        $plan = self::applied(self::job(), ['kind' => 'SplitController', 'run' => 'cove'])->with(splits: []);
        $back = self::back($plan, $plan->run('cove'));
        self::assertSame(JobFile::write(self::job()), JobFile::write($back));
    }

    public function test_a_split_keeps_the_fade_of_a_scene(): void
    {
        $scene = [
            'kind' => 'SetScene',
            'name' => 'Supper',
            'fade' => 12.0,
            'levels' => [['of' => 'c1', 'duties' => [0.5, 0.5, 0.5, 0.5]]],
        ];
        $plan = self::applied(self::job(), $scene);
        $split = self::applied($plan, ['kind' => 'SplitController', 'run' => 'cove']);
        $after = array_values($split->scenes)[0];
        self::assertSame([12.0, ['c1', 'c2']], [$after->fade, array_keys($after->levels)]);
    }

    /** 10 m of strip, supply, controller, cable. */
    private static function job(): Plan
    {
        $plan = new Plan('Split', 'Nobody', places: ['room' => new \EmberDusk\Plan\Place('room', 'Room', '')]);
        $plan = self::applied($plan, [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "start door\n10 cove",
        ]);
        foreach (['strip-rgbw-24', 'supply-24-240', 'controller-zigbee-4', 'cable-5x15'] as $kit) {
            $plan = self::applied($plan, ['kind' => 'ChooseKit', 'run' => 'cove', 'kit' => $kit]);
        }
        $tail = $plan->ways()->cableTo($plan->ways()->feedsOf($plan->run('cove'))[0]->id)->id ?? '';

        return self::applied($plan, ['kind' => 'SetCable', 'cable' => $tail, 'length' => 2.0]);
    }

    /** @param  array<string, mixed>  $change */
    private static function applied(Plan $plan, array $change): Plan
    {
        $after = Catalogue::read($change, Demo::shelf())->apply($plan);
        Invariants::check($after);

        return $after;
    }

    /** @param  array<string, mixed>  $change */
    private static function tried(Plan $plan, array $change): ?Plan
    {
        try {
            return self::applied($plan, $change);
        } catch (Refusal $t) {
            // A split that breaks the plan's own rules is a defect.
            self::assertMatchesRegularExpression(
                '/Only pixels|too short|choose it at Kit|straight from the supply|hand their data on/',
                $t->getMessage(),
            );

            return null;
        }
    }

    private static function back(Plan $plan, Run $run): Plan
    {
        return self::applied($plan, ['kind' => 'BackTogether', 'run' => $run->id]);
    }

    /** @return list<array<string, mixed>> */
    private static function ways(Run $run): array
    {
        return [
            ['kind' => 'SplitParts', 'run' => $run->id, 'parts' => 2],
            ['kind' => 'SplitParts', 'run' => $run->id, 'parts' => 3],
            ['kind' => 'SplitController', 'run' => $run->id],
            ['kind' => 'SplitZones', 'run' => $run->id],
            ['kind' => 'SplitRepeater', 'run' => $run->id, 'kit' => 'repeater-4'],
        ];
    }

    /** Someone works on the parts in between. */
    private static function edited(Plan $plan, Run $run, int $seed): Plan
    {
        foreach ($plan->runs as $part) {
            if ($part->place === $run->place && $part->word === $run->word) {
                foreach (self::EDITS as $n => $edit) {
                    if (($seed + $part->part + $n) % 3 === 0) {
                        try {
                            $plan = self::applied($plan, $edit + ['run' => $part->id]);
                        } catch (Refusal) {
                            // Not every edit fits every part.
                            continue;
                        }
                    }
                }
            }
        }

        return $plan;
    }
}
