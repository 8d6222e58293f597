<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Losses and replacements: the recovery steps, rehearsed on simulated devices, every control tested at the end. */
final class RecoveryTest extends TestCase
{
    /** @return iterable<string, array{Roster}> */
    public static function jobs(): iterable
    {
        foreach (glob(dirname(__DIR__, 3) . '/database/demo/job-*.json') ?: [] as $file) {
            $plan = JobFile::read((string) file_get_contents($file));
            yield basename($file) => [Joinable::for($plan, new TimingMethod(proves: false))->roster];
        }
    }

    #[DataProvider('jobs')]
    public function test_every_way_back_of_a_demo_job_ends_with_every_control_working(Roster $roster): void
    {
        $seen = [];
        foreach (Recovery::all($roster) as $recovery) {
            $seen[$recovery->what] = true;
            self::assertNotSame('', $recovery->says);
            if ($recovery->roster->wants === []) {
                self::assertSame([], $recovery->steps());

                continue;
            }
            foreach (range(1, 5) as $seed) {
                $done = $recovery->rehearsed($seed);
                self::assertSame([], self::failing($done->tried), "{$recovery->title}, seed {$seed}");
                self::assertCount(count($recovery->roster->wants), $done->tried);
            }
            self::assertGreaterThan(2, count($recovery->steps()), $recovery->title);
        }
        self::assertTrue(isset($seen[Recovery::PHONE], $seen[Recovery::ROUTER], $seen[Recovery::CONTROLLER]));
        self::assertSame($roster->inRole(Unit::HUB) !== [], isset($seen[Recovery::HUB]));
        self::assertSame($roster->inRole(Unit::BOARD) !== [], isset($seen[Recovery::ADDRESS]));
    }

    /**
     * @param  array<string, Observation>  $tried
     * @return array<string, Observation> what does not work
     */
    private static function failing(array $tried): array
    {
        return array_filter($tried, static fn(Observation $o): bool => $o !== Observation::Expected);
    }

    /** The printed words alone, read by hands that know no guide: what they leave out would not be done. */
    #[DataProvider('jobs')]
    public function test_the_printed_steps_alone_end_with_every_control_working(Roster $roster): void
    {
        foreach (Recovery::all($roster) as $recovery) {
            foreach (range(1, 3) as $seed) {
                $hands = new PrintedHands($recovery, $seed);
                foreach ($recovery->steps() as $step) {
                    $hands->follow($step);
                }
                self::assertSame([], self::failing($hands->tried()), "{$recovery->title}, seed {$seed}");
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 50) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /** Made-up jobs of all families: every way back works on the simulated devices, with the guide and with the printed steps alone. */
    #[DataProvider('seeds')]
    public function test_every_way_back_of_a_seeded_job_works_guided_and_printed(int $seed): void
    {
        $roster = SeededRoster::of($seed, school: new TimingMethod(proves: false));
        foreach (Recovery::all($roster) as $recovery) {
            if ($recovery->roster->wants === []) {
                continue;
            }
            self::assertSame([], self::failing($recovery->rehearsed($seed)->tried), $recovery->title);
            $hands = new PrintedHands($recovery, $seed);
            foreach ($recovery->steps() as $step) {
                $hands->follow($step);
            }
            self::assertSame([], self::failing($hands->tried()), "{$recovery->title}, printed");
        }
    }

    /** Each word that was missing once: a step that comes twice, the distance, the names, the seconds. */
    public function test_printed_steps_keep_repetitions_distances_names_and_seconds(): void
    {
        $steps = self::of(
            Joinable::for(JobFile::read(Demo::shipped('observatory')), new TimingMethod(proves: false))->roster,
            Recovery::HUB,
        )->steps();
        $text = implode("\n", $steps);
        self::assertSame(
            2,
            substr_count($text, 'on C1.') - substr_count($text, 'on C1. Expect'),
            'C1 is opened once for each of its two remotes',
        );
        self::assertStringContainsString('Hold R1 within 4 cm (1 1/2 in) of C1.', $text);
        self::assertStringContainsString('Name “Light 1” “Cove”, room “Lecture room”.', $text);
        self::assertStringContainsString('It searches for 75 s', $text);
        self::assertStringContainsString('Allow 24 s to get there in the app.', $text);
    }

    private static function of(Roster $roster, string $what, int $n = 0): Recovery
    {
        $all = array_filter(Recovery::all($roster), static fn(Recovery $r): bool => $r->what === $what);

        return array_values($all)[$n];
    }

    private static function house(): Roster
    {
        return Bench::roster(
            [Bench::zigbee(), Bench::zigbee('c2', 9.0), Bench::hub(), Bench::remote()],
            [['h1', 'c1'], ['h1', 'c2'], ['r1', 'c1', 1], ['r1', 'c2', 2]],
        );
    }

    /** A remote that is reset would lose its other light: it only takes the new controller beside it. */
    public function test_a_replaced_controller_leaves_the_remote_where_it_is(): void
    {
        $recovery = self::of(self::house(), Recovery::CONTROLLER);
        $done = $recovery->rehearsed();
        $asked = array_unique(array_map(static fn(array $a): string => $a[1]->task, $done->trail));
        self::assertContains('join c1 h1', $asked);
        self::assertContains('link r1 c1', $asked);
        self::assertSame([], preg_grep('/r1 h1|c2/', $asked) ?: []);
        self::assertTrue($done->works());
    }

    /** Changing hubs redoes everything: lights and remotes are reset, joined, linked again. */
    public function test_a_replaced_hub_redoes_everything(): void
    {
        $done = self::of(self::house(), Recovery::HUB)->rehearsed();
        $resets = array_filter($done->trail, static fn(array $a): bool => $a[1]->kind === 'reset');
        self::assertSame(
            ['c1', 'c2', 'r1'],
            self::sorted(array_values(array_unique(array_map(static fn(array $a): string => $a[1]->device, $resets)))),
        );
        $kinds = array_unique(array_map(static fn(array $a): string => explode(' ', $a[1]->task)[0], $done->trail));
        self::assertSame([Task::JOIN, Task::LINK, Task::ACCEPT], array_values($kinds));
        self::assertTrue($done->works());
    }

    /**
     * @param  list<string>  $list
     * @return list<string>
     */
    private static function sorted(array $list): array
    {
        sort($list);

        return $list;
    }

    /** Devices bound to one phone are bound again from the new one; the hub for any phone is not touched. */
    public function test_a_lost_phone_concerns_only_what_lived_in_it(): void
    {
        $bound = new Unit(
            id: 'h2',
            name: 'One-phone hub',
            role: Unit::HUB,
            family: 'receiver',
            way: 'rf',
            leaflet: Bench::leaflet([], ['range' => 30], 'Device #'),
            place: 'table',
        );
        $receiver = new Unit(
            id: 'c3',
            name: 'Run c3',
            role: Unit::LIGHT,
            family: 'receiver',
            way: 'rf',
            leaflet: Bench::leaflet(['reset' => 'press LEARN 6 in 4', 'join' => 'press LEARN'], ['listens' => 9]),
            place: 'table',
            kind: 'tunable',
        );
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), $bound, $receiver], [['h1', 'c1'], ['h2', 'c3']]);
        $recovery = self::of($roster, Recovery::PHONE);
        self::assertSame(['c3'], array_map(static fn($w): string => $w->light, $recovery->roster->wants));
        self::assertSame(
            'H1: install the app on the new phone and sign in with the client’s account; what it holds stays joined. ' .
                'C3: only the lost phone knew them. They are joined again.',
            $recovery->says,
        );
        $done = $recovery->rehearsed();
        self::assertTrue($done->works());
        self::assertNotSame(
            [],
            array_filter(
                $done->run->log(),
                static fn(Event $e): bool => $e->kind === Event::SAW &&
                    $e->step?->key() === 'join c3 h2/reset' &&
                    $e->seen === Observation::Expected,
            ),
            'every receiver is reset',
        );
    }
}
