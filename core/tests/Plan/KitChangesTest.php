<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Plan;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Feed;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Slices;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Places, parts of a run, feeds at shares, several changes as one, and kit taken again. */
final class KitChangesTest extends TestCase
{
    /** Two cores from supply to controller, as many as the strip asks for behind it; where the shelf has no such pair the same cable. */
    public function test_the_way_to_a_controller_has_two_cores(): void
    {
        $plan = Demo::run('4', 'strip-rgbw-24', 'supply-24-240', 'controller-zigbee-4', 'cable-5x075');
        self::assertSame(['cable-2x075', 'cable-5x075'], self::kits($plan));
        self::assertSame(['cable-5x18awg', 'cable-5x18awg'], self::kits(self::recabled($plan, 'cable-5x18awg', [])));
        $pairs = ['cable-2x18awg'];
        self::assertSame(
            ['cable-2x18awg', 'cable-5x18awg'],
            self::kits(self::recabled($plan, 'cable-5x18awg', $pairs)),
        );
        $white = Demo::run('4', 'strip-single-24', 'supply-24-100', 'controller-zigbee-1', 'cable-2x15');
        self::assertSame(['cable-2x15', 'cable-2x15'], self::kits($white));
    }

    /** @return list<string> kit of the cables, by where they end */
    private static function kits(Plan $plan): array
    {
        return [
            $plan->ways()->cableTo('c1')->kit ?? '',
            $plan->ways()->cableTo(array_key_first($plan->feeds) ?? '')->kit ?? '',
        ];
    }

    /** @param  list<string>  $pairs  two-core cables of the shelf */
    private static function recabled(Plan $plan, string $kit, array $pairs): Plan
    {
        $shelf = new class ($kit, $pairs) implements ShelfSource {
            /** @param  list<string>  $pairs */
            public function __construct(private readonly string $kit, private readonly array $pairs) {}

            public function find(string $id): ?KitSnapshot
            {
                return in_array($id, [$this->kit, ...$this->pairs], true) ? Demo::shelf()->find($id) : null;
            }

            public function ofKind(string $kind): array
            {
                return array_values(array_filter(array_map($this->find(...), $this->pairs)));
            }
        };

        return Catalogue::read(['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $kit], $shelf)->apply($plan);
    }

    public function test_places_come_are_renamed_and_go_with_their_runs(): void
    {
        $plan = Demo::with(
            Demo::plan(),
            ['kind' => 'AddPlace', 'name' => '  Dome  '],
            ['kind' => 'ReviseNotes', 'place' => 'place1', 'text' => '3 path'],
            ['kind' => 'RenamePlace', 'place' => 'place1', 'name' => 'Great dome'],
        );
        self::assertSame(
            ['Lecture room', 'Great dome'],
            array_values(array_map(static fn($p): string => $p->name, $plan->places)),
        );
        self::assertSame(['cove'], array_keys(Demo::with($plan, ['kind' => 'RemovePlace', 'place' => 'place1'])->runs));
        foreach (
            [
                ['kind' => 'AddPlace', 'name' => ' '],
                ['kind' => 'AddPlace', 'name' => 'LECTURE room'],
                ['kind' => 'RenamePlace', 'place' => 'place1', 'name' => 'Lecture room'],
                ['kind' => 'RemovePlace', 'place' => 'nowhere'],
            ]
            as $change
        ) {
            self::assertRefused($plan, $change);
        }
        self::assertRefused(Demo::plan(), ['kind' => 'RemovePlace', 'place' => 'lecture']);
    }

    public function test_measuring_a_wall_again_changes_its_word(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'SetLeg',
            'place' => 'lecture',
            'leg' => 0,
            'length' => '17 ft 3/4 in',
        ]);
        // 17 ft 0.75 in are 5.20065 m: equal to the centimetre, so the notes stay.
        self::assertSame(Demo::plan()->places['lecture']->notes, $plan->places['lecture']->notes);
        $plan = Demo::with(Demo::plan(), ['kind' => 'SetLeg', 'place' => 'lecture', 'leg' => 0, 'length' => '5,35']);
        self::assertStringContainsString('5.35 cove', $plan->places['lecture']->notes);
        foreach (['nought', '0', '900', '3 x'] as $length) {
            self::assertRefused(Demo::plan(), [
                'kind' => 'SetLeg',
                'place' => 'lecture',
                'leg' => 0,
                'length' => $length,
            ]);
        }
        self::assertRefused(Demo::plan(), ['kind' => 'SetLeg', 'place' => 'lecture', 'leg' => 9, 'length' => '2']);
    }

    public function test_mounting_is_set_one_word_at_a_time(): void
    {
        $say = static fn(Plan $p, string $word, bool $on = true): Plan => Demo::with($p, [
            'kind' => 'NoteRun',
            'run' => 'cove',
            'word' => $word,
            'on' => $on,
        ]);
        $plan = $say($say(Demo::plan(), 'outdoors'), 'mood');
        self::assertSame([['profile', 'outdoors'], 'mood'], [$plan->run('cove')->mounting, $plan->run('cove')->light]);
        self::assertSame(['bare', 'outdoors'], $say($plan, 'bare')->run('cove')->mounting);
        self::assertSame(
            [[], ''],
            [
                $say($say($plan, 'outdoors', false), 'profile', false)->run('cove')->mounting,
                $say($plan, 'mood', false)->run('cove')->light,
            ],
        );
        self::assertStringContainsString('run cove, profile, outdoors, accent light', $plan->places['lecture']->notes);
    }

    public function test_sections_are_cut_into_equal_parts_over_gaps(): void
    {
        self::assertSame([[9.0], []], Slices::from([18.0], [], 2, 2));
        self::assertSame([[2.0, 1.0], [0.5]], Slices::from([2.0, 4.0], [0.5], 1, 2));
        self::assertSame([[3.0], []], Slices::from([2.0, 4.0], [0.5], 2, 2));
        self::assertSame([[1.0], []], Slices::from([1.0, 1.0, 1.0], [0.2, 0.3], 2, 3));
    }

    public function test_a_run_is_cut_and_made_whole_again(): void
    {
        $cut = Demo::with(Demo::plan(), ['kind' => 'SplitRun', 'run' => 'cove', 'parts' => 3]);
        self::assertSame(
            ['Cove 1 of 3', 'Cove 2 of 3', 'Cove 3 of 3'],
            array_values(array_map(static fn(Run $r): string => $r->name(), $cut->runs)),
        );
        self::assertEqualsWithDelta(
            [6.0, 6.0, 6.0],
            array_values(array_map(static fn(Run $r): float => $r->length(), $cut->runs)),
            1e-9,
        );
        self::assertSame([[], [], []], [$cut->feeds, $cut->supplies, $cut->cables]);
        // A later measurement is split again; the written notes are read back.
        $longer = Demo::with($cut, ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => '9 cove']);
        self::assertEqualsWithDelta(
            [3.0, 3.0, 3.0],
            array_values(array_map(static fn(Run $r): float => $r->length(), $longer->runs)),
            1e-9,
        );
        self::assertEquals($longer, JobFile::read(JobFile::write($longer)));
        $whole = Demo::with($cut, ['kind' => 'SplitRun', 'run' => 'cove-2', 'parts' => 1]);
        self::assertSame(['cove'], array_keys($whole->runs));
        self::assertEqualsWithDelta(18.0, $whole->run('cove')->length(), 1e-9);
    }

    public function test_feeds_at_shares_keep_the_cables_that_are_there(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'SetFeeds', 'run' => 'cove', 'shares' => [0, 0.5, 1]]);
        self::assertSame(
            [0, 180, 360],
            array_map(static fn(Feed $f): int => $f->pad, $plan->ways()->feedsOf($plan->run('cove'))),
        );
        self::assertSame('3.2', (string) ($plan->ways()->cableTo('f1')->length ?? 0));
        $middle = Demo::with($plan, ['kind' => 'SetFeeds', 'run' => 'cove', 'shares' => [0.5]]);
        self::assertSame(
            [180],
            array_map(static fn(Feed $f): int => $f->pad, $middle->ways()->feedsOf($middle->run('cove'))),
        );
        self::assertNull($middle->ways()->cableTo('f1'));
        self::assertRefused(Demo::plan(), ['kind' => 'SetFeeds', 'run' => 'cove', 'shares' => []]);
        self::assertRefused(Demo::plan(), ['kind' => 'SetFeeds', 'run' => 'cove', 'shares' => [1.5]]);
    }

    public function test_several_changes_are_one_and_all_or_nothing(): void
    {
        $plan = Demo::with(Demo::plan(), [
            'kind' => 'Together',
            'words' => 'Both',
            'changes' => [
                ['kind' => 'AddPlace', 'name' => 'Dome'],
                ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'],
            ],
        ]);
        self::assertSame([2, 2], [count($plan->places), count($plan->feeds)]);
        self::assertRefused(Demo::plan(), [
            'kind' => 'Together',
            'words' => 'Both',
            'changes' => [
                ['kind' => 'AddPlace', 'name' => 'Dome'],
                ['kind' => 'AddFeed', 'run' => 'nowhere', 'pad' => 1],
            ],
        ]);
        self::assertRefused(Demo::plan(), [
            'kind' => 'Together',
            'words' => 'In itself',
            'changes' => [['kind' => 'Together', 'words' => '', 'changes' => []]],
        ]);
    }

    public function test_a_limit_is_set_and_checked(): void
    {
        $plan = Demo::with(Demo::plan(), ['kind' => 'SetCap', 'run' => 'cove', 'cap' => 0.5]);
        self::assertSame([0.5, false], [$plan->run('cove')->cap, $plan->run('cove')->capChecked]);
        self::assertTrue(
            Demo::with($plan, ['kind' => 'SetCap', 'run' => 'cove', 'cap' => 0.5, 'checked' => true])->run('cove')
                ->capChecked,
        );
        self::assertRefused(Demo::plan(), ['kind' => 'SetCap', 'run' => 'cove', 'cap' => 0.05]);
    }

    public function test_terms_and_owned_kit(): void
    {
        $terms = [
            'kind' => 'SetTerms',
            'length' => 'imperial',
            'wire' => 'awg',
            'currency' => 'CHF',
            'hourRate' => 55.5,
            'hoursADay' => 6,
        ];
        $plan = Demo::with(Demo::plan(), $terms, ['kind' => 'SetOwned', 'kit' => 'fuse-10', 'count' => 4]);
        self::assertEquals($plan, JobFile::read(JobFile::write($plan)));
        self::assertSame(['fuse-10'], array_keys($plan->owned));
        self::assertArrayHasKey('fuse-10', $plan->kit);
        self::assertArrayNotHasKey(
            'fuse-10',
            Demo::with($plan, ['kind' => 'SetOwned', 'kit' => 'fuse-10', 'count' => 0])->kit,
        );
        foreach (['currency' => 'Euro', 'length' => 'cubits', 'hoursADay' => 25] as $field => $value) {
            self::assertRefused(Demo::plan(), [$field => $value] + $terms);
        }
    }

    /** @param  array<string, mixed>  $change */
    private static function assertRefused(Plan $plan, array $change): void
    {
        try {
            Demo::with($plan, $change);
        } catch (Refusal $t) {
            self::assertNotSame('', $t->getMessage());

            return;
        }
        self::fail('Not refused: ' . json_encode($change));
    }
}
