<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Checks\Parts\PartFindings;
use EmberDusk\Formats\Fields;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Price;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Parts\Offcut;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\Assembly;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How a run is made up, spares, offcuts and prices, counted by hand. */
final class MakingTest extends TestCase
{
    /** A room with one run, described, of a 24 V single-colour strip (marks every 5 cm, reels of 5 m), fed at its start. */
    private static function plan(
        string $lengths,
        string $described,
        string $site = 'dry',
        string $strip = 'strip-single-24',
    ): Plan {
        return Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "{$site}\nstart end\n{$lengths}\nrun line{$described}",
            ],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => $strip],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'supply-24-240'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'controller-zigbee-2'],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'cable-2x15'],
        );
    }

    /**
     * @param  array<string, list<float>>  $offcuts
     * @return array<string, Part>
     */
    private static function parts(Plan $plan, array $offcuts = []): array
    {
        $parts = PartsList::of($plan, Demo::shelf(), $offcuts)->parts;

        return array_combine(array_map(static fn(Part $p): string => $p->key, $parts), $parts);
    }

    /** @return list<string> kinds of the run's steps in the order in which they follow each other */
    private static function steps(Plan $plan): array
    {
        $steps = array_filter(
            Steps::of($plan, PartsList::of($plan, Demo::shelf()), Productivity::of([])),
            static fn(Step $s): bool => str_ends_with($s->id, '-line'),
        );

        return array_values(array_map(static fn(Step $s): string => $s->kind, $steps));
    }

    /** @return iterable<string, array{string, string, array<string, float>}> */
    public static function mountings(): iterable
    {
        // 4 m: anchors at 0, 0.75 … and the end: ceil(4 / 0.75) + 1 = 7; ties and pads every 0.3 m: 14.
        yield 'profile' => [
            ', profile',
            'dry',
            ['consumable-clips' => 7.0, 'profile-flat' => 4.0, 'diffuser-opal' => 4.0],
        ];
        yield 'profile in a damp place' => [
            ', profile',
            'damp',
            ['consumable-clips' => 7.0, 'profile-outdoor' => 4.0, 'consumable-silicone' => 2.0],
        ];
        yield 'outdoors' => [
            ', outdoors',
            'dry',
            ['consumable-clips' => 7.0, 'consumable-alcohol' => 4.0, 'consumable-silicone' => 2.0],
        ];
        yield 'moving' => [', moving', 'dry', ['consumable-ties' => 14.0, 'consumable-alcohol' => 4.0]];
        yield 'removable' => [', removable', 'dry', ['consumable-pads' => 14.0, 'consumable-alcohol' => 4.0]];
        yield 'bare' => [', bare', 'dry', ['consumable-alcohol' => 4.0]];
    }

    /** @param  array<string, float>  $wanted */
    #[DataProvider('mountings')]
    public function test_what_holds_cleans_and_seals_follows_from_the_mounting(
        string $described,
        string $site,
        array $wanted,
    ): void {
        $parts = self::parts(self::plan('4.00 line', $described, $site));
        $found = array_map(
            static fn(Part $p): float => round($p->count, 6),
            array_filter(
                $parts,
                static fn(Part $p): bool => in_array(
                    $p->group,
                    ['Fixing', 'Cleaning', 'Sealing', 'Profile', 'Diffuser'],
                    true,
                ),
            ),
        );
        ksort($found);
        $wanted += $described === ', profile' ? ['diffuser-opal' => 4.0] : [];
        ksort($wanted);
        self::assertSame($wanted, $found);
    }

    public function test_hot_glue_takes_the_place_of_silicone_and_nothing_cures(): void
    {
        $plan = self::plan('4.00 line', ', outdoors');
        self::assertContains('seal', self::steps($plan));
        $glued = Demo::with($plan, ['kind' => 'SetMaking', 'run' => 'line', 'seal' => 'glue']);
        $parts = self::parts($glued);
        self::assertSame([2.0, 2.0], [$parts['consumable-glue']->count, $parts['consumable-tape-foil']->count]);
        self::assertArrayNotHasKey('consumable-silicone', $parts);
        $seal = static fn(Plan $p): Step => array_values(
            array_filter(
                Steps::of($p, PartsList::of($p, Demo::shelf()), Productivity::of([])),
                static fn(Step $s): bool => $s->kind === 'seal',
            ),
        )[0];
        self::assertSame([1440, 0], [$seal($plan)->wait, $seal($glued)->wait]);
        self::assertSame(['consumable-silicone'], $seal($plan)->needs);
        self::assertSame(['consumable-glue', 'consumable-tape-foil'], $seal($glued)->needs);
        // As usual again: nothing is kept.
        self::assertSame([], Demo::with($glued, ['kind' => 'SetMaking', 'run' => 'line', 'seal' => ''])->makings);
    }

    public function test_the_two_schools_of_cutting(): void
    {
        $bare = self::plan('4.00 line', ', bare');
        self::assertSame(['dry', 'supply', 'cables', 'loose', 'stick', 'cut', 'joints', 'second'], self::steps($bare));
        self::assertSame(
            ['dry', 'supply', 'cables', 'loose', 'cut', 'stick', 'joints', 'second'],
            self::steps(Demo::with($bare, ['kind' => 'SetMaking', 'run' => 'line', 'cut' => 'before'])),
        );
        $profile = self::plan('4.00 line', ', profile');
        self::assertSame(
            ['dry', 'supply', 'cables', 'loose', 'cut', 'profile', 'joints', 'second', 'diffuser'],
            self::steps($profile),
        );
        self::assertSame(
            ['dry', 'supply', 'cables', 'loose', 'profile', 'cut', 'joints', 'second', 'diffuser'],
            self::steps(Demo::with($profile, ['kind' => 'SetMaking', 'run' => 'line', 'cut' => 'after'])),
        );
    }

    public function test_joints_are_made_in_the_way_that_was_chosen(): void
    {
        $plan = self::plan('4.00 line', ', bare');
        $step = static fn(Plan $p): Step => array_values(
            array_filter(
                Steps::of($p, PartsList::of($p, Demo::shelf()), Productivity::of([])),
                static fn(Step $s): bool => $s->kind === 'joints',
            ),
        )[0];
        $chosen = static fn(string $one, string $two): Plan => Demo::with(
            $plan,
            ['kind' => 'SetCable', 'cable' => 'k1', 'joint' => $one],
            ['kind' => 'SetCable', 'cable' => 'k2', 'joint' => $two],
        );
        // Eight joints: six minutes each soldered, three crimped, one and a half in levers.
        self::assertSame(['Line: solder 8 joints', 50], [$step($plan)->title, $step($plan)->table]);
        self::assertSame(
            ['Line: crimp 8 joints', 25],
            [
                $step($chosen('connector-crimp', 'connector-crimp'))->title,
                $step($chosen('connector-crimp', 'connector-crimp'))->table,
            ],
        );
        self::assertSame(
            ['Line: put 8 cores into lever terminals', 15],
            [
                $step($chosen('connector-lever', 'connector-lever'))->title,
                $step($chosen('connector-lever', 'connector-lever'))->table,
            ],
        );
        self::assertSame(
            ['Line: make 8 joints', 40],
            [
                $step($chosen('connector-crimp', 'connector-solder'))->title,
                $step($chosen('connector-crimp', 'connector-solder'))->table,
            ],
        );
        self::assertContains('iron at 320 °C', $step($chosen('connector-crimp', 'connector-solder'))->tools);
        self::assertNotContains('iron at 320 °C', $step($chosen('connector-crimp', 'connector-crimp'))->tools);
        self::assertArrayNotHasKey(
            'consumable-solder-wire',
            self::parts($chosen('connector-crimp', 'connector-lever')),
        );
    }

    public function test_what_runs_share_is_fixed_and_laid_once(): void
    {
        $plan = Demo::with(new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]), [
            'kind' => 'ReviseNotes',
            'place' => 'room',
            'text' => "dry\nstart end\n2.00 line\n1.00 shelf\nrun line, bare\nrun shelf, bare",
        ]);
        foreach (['line', 'shelf'] as $run) {
            foreach (['strip-single-24', 'supply-24-240', 'controller-zigbee-2', 'cable-2x15'] as $kit) {
                $plan = Demo::with($plan, ['kind' => 'ChooseKit', 'run' => $run, 'kit' => $kit]);
            }
        }
        $of = static function (Plan $plan): array {
            $steps = Steps::of($plan, PartsList::of($plan, Demo::shelf()), Productivity::of([]));

            return array_combine(array_map(static fn(Step $s): string => $s->id, $steps), $steps);
        };
        $apart = $of($plan);
        self::assertSame([2.0, 2.0], [$apart['supply-line']->units, $apart['supply-shelf']->units]);
        $supply = $of(
            Demo::with($plan, ['kind' => 'ShareKit', 'run' => 'shelf', 'with' => (string) $plan->runs['line']->supply]),
        );
        self::assertSame(
            [2.0, 1.0, 'Shelf: fix the controller'],
            [$supply['supply-line']->units, $supply['supply-shelf']->units, $supply['supply-shelf']->title],
        );
        $both = Demo::with($plan, [
            'kind' => 'ShareKit',
            'run' => 'shelf',
            'with' => (string) $plan->runs['line']->controller,
        ]);
        $shared = $of($both);
        self::assertArrayNotHasKey('supply-shelf', $shared);
        // The shelf has only its own tail to lay, after what the line's step has fixed; the trunk's four joints are the line's.
        self::assertContains('supply-line', $shared['cables-shelf']->after);
        self::assertContains('cables-line', $shared['loose-shelf']->after);
        self::assertSame(
            ['Line: solder 8 joints', 'Shelf: solder 4 joints'],
            [$shared['joints-line']->title, $shared['joints-shelf']->title],
        );
        $trunk = $both->cableTo((string) $both->runs['line']->controller);
        self::assertNotNull($trunk);
        $tail = $both->cableTo($both->feedsOf($both->runs['line'])[0]->id);
        self::assertEqualsWithDelta($trunk->length + ($tail->length ?? 0.0), $shared['cables-line']->units, 1e-9);
        // In the parts list both joints and cables are counted once as well: twelve joints.
        self::assertSame(12.0, self::parts($both)['connector-solder']->count);
        self::assertSame(['line', 'shelf'], self::parts($both)['cable-2x15']->runs);
    }

    public function test_joints_are_made_where_needed_wherever_they_save_or_never(): void
    {
        // Sections of 3, 3 and 4 m: a reel each, as no two fit one; joined at two places they come out of two reels.
        $plan = self::plan('10.00 line, gap 0.10 at 3.00, gap 0.10 at 6.00', ', bare');
        $cut = static fn(Plan $p): array => array_map(
            static fn($c): array => [$c->bought, $c->joints],
            PartsList::of($p, Demo::shelf())->cuts,
        )[0];
        self::assertSame([3, 0], $cut($plan));
        $saving = Demo::with($plan, ['kind' => 'SetMaking', 'run' => 'line', 'strip' => 'saving']);
        self::assertSame([2, 1], $cut($saving));
        // Leads over two gaps of two cores, the tail with its trunk, and the joint of the strip: 8 + 4 + 4 + 2.
        self::assertSame(
            [16.0, 18.0],
            [self::parts($plan)['connector-solder']->count, self::parts($saving)['connector-solder']->count],
        );
        self::assertSame(
            [['line' => 1], []],
            [PartsList::of($saving, Demo::shelf())->joined, PartsList::of($plan, Demo::shelf())->joined],
        );
        // Each lead is 0.10 m of the tail's cable and 0.15 m at each end.
        self::assertStringContainsString(
            'lead between sections',
            implode(' ', array_keys(self::parts($plan)['cable-2x15']->why)),
        );
        self::assertEqualsWithDelta(0.8, self::parts($plan)['cable-2x15']->why['Line, lead between sections'], 1e-9);
    }

    public function test_one_piece_that_no_length_holds_is_told_with_a_way_out(): void
    {
        $plan = Demo::with(self::plan('6.00 line', ', profile'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'strip' => 'never',
            'length' => 'never',
        ]);
        $findings = array_values(
            array_filter(
                PartFindings::of(new JobState($plan, [], Demo::shelf(), [])),
                static fn(Finding $f): bool => $f->code === 'too-long',
            ),
        );
        self::assertSame(
            [
                'Line is longer than any Single colour 24 V, 9.6 W/m',
                'Line is longer than any Flat profile, 2 m',
                'Line is longer than any Opal diffuser, 2 m',
            ],
            array_map(static fn(Finding $f): string => $f->title, $findings),
        );
        self::assertSame(
            ['parts', 'line', 6.0, 5.0],
            [$findings[0]->place->stage, $findings[0]->place->id, $findings[0]->number, $findings[0]->limit],
        );
        foreach ($findings as $finding) {
            $plan = Demo::with($plan, $finding->fixes[0]->change);
        }
        self::assertSame([], PartFindings::of(new JobState($plan, [], Demo::shelf(), [])));
        self::assertSame([], $plan->makings, 'as usual again');
        // An offcut of 6 m holds it whole.
        $whole = Demo::with(self::plan('6.00 line', ', bare'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'strip' => 'never',
        ]);
        self::assertSame(
            [],
            array_filter(
                PartFindings::of(
                    new JobState($whole, [], Demo::shelf(), [], offcuts: [new Offcut(1, 'strip-single-24', 6.0)]),
                ),
                static fn(Finding $f): bool => $f->code === 'too-long',
            ),
        );
        self::assertSame(
            [0.0, 0.0],
            [
                self::parts($whole, ['strip-single-24' => [6.0]])['strip-single-24']->buy,
                self::parts($whole, ['strip-single-24' => [6.0]])['strip-single-24']->cost(),
            ],
        );
    }

    public function test_offcuts_are_cut_before_anything_is_bought(): void
    {
        $plan = self::plan('6.00 line, gap 0.10 at 2.00', ', bare');
        // 2 m and 3.9 m: two reels, or one and the 2.03 m that lie there, good for 2 m.
        self::assertSame(
            [2.0, 1.0],
            [
                self::parts($plan)['strip-single-24']->buy,
                self::parts($plan, ['strip-single-24' => [2.03]])['strip-single-24']->buy,
            ],
        );
        $bars = PartsList::of($plan, Demo::shelf(), ['strip-single-24' => [2.03]])->cuts[0]->bars;
        self::assertSame(
            [[2000, true, 0], [5000, false, 1100]],
            array_map(static fn($b): array => [$b->length, $b->offcut, $b->left], $bars),
        );
        self::assertSame(
            2.0,
            self::parts($plan, ['strip-tunable-24' => [5.0]])['strip-single-24']->buy,
            'an offcut of another strip is no use',
        );
    }

    public function test_profile_and_diffuser_are_chosen_and_too_much_heat_is_told(): void
    {
        $plan = Demo::with(self::plan('4.00 line', ', profile'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'profile' => 'profile-corner',
            'diffuser' => 'diffuser-satin',
        ]);
        self::assertSame(
            ['profile-corner', 'diffuser-satin'],
            [self::parts($plan)['profile-corner']->key, self::parts($plan)['diffuser-satin']->key],
        );
        // Two lengths of two metres at 7.90 a metre.
        self::assertSame(
            [2.0, 31.6],
            [self::parts($plan)['profile-corner']->buy, self::parts($plan)['profile-corner']->cost()],
        );
        // RGBW makes 19.2 W/m, which no profile on the shelf takes.
        $hot = Demo::with(self::plan('4.00 line', ', profile', 'dry', 'strip-rgbw-24'));
        $finding = array_values(
            array_filter(
                PartFindings::of(new JobState($hot, [], Demo::shelf(), [])),
                static fn(Finding $f): bool => $f->code === 'profile-heat',
            ),
        )[0];
        self::assertSame([19.2, 15.0, []], [round((float) $finding->number, 6), $finding->limit, $finding->fixes]);
        // Limited to three quarters it makes 14.4 W/m: the flat one takes it.
        $capped = Demo::with($hot, ['kind' => 'SetCap', 'run' => 'line', 'cap' => 0.75, 'checked' => true]);
        self::assertSame(
            [],
            array_filter(
                PartFindings::of(new JobState($capped, [], Demo::shelf(), [])),
                static fn(Finding $f): bool => $f->code === 'profile-heat',
            ),
        );
        foreach (
            [
                ['profile' => 'diffuser-opal'],
                ['profile' => 'nothing'],
                ['strip' => 'always'],
                ['seal' => 'tar'],
                ['run' => 'nowhere'],
            ]
            as $bad
        ) {
            try {
                Demo::with($plan, $bad + ['kind' => 'SetMaking', 'run' => 'line']);
                self::fail((string) json_encode($bad));
            } catch (Refusal $refusal) {
                self::assertSame('/' . array_key_first($bad), $refusal->pointer);
            }
        }
    }

    public function test_spares_are_one_in_ten_or_as_they_are_set(): void
    {
        $plan = self::plan('4.00 line', ', bare');
        // Trunk and tail, two cores each at both ends: eight, one to spare.
        self::assertSame(
            [8.0, 1, 9.0],
            [
                self::parts($plan)['connector-solder']->count,
                self::parts($plan)['connector-solder']->spare,
                self::parts($plan)['connector-solder']->buy,
            ],
        );
        $five = Demo::with(
            $plan,
            ['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => 5],
            ['kind' => 'SetSpare', 'kit' => 'strip-single-24', 'count' => 1],
            ['kind' => 'SetSpare', 'kit' => 'cable-2x15', 'count' => 2],
        );
        self::assertSame(
            [13.0, 2.0],
            [self::parts($five)['connector-solder']->buy, self::parts($five)['strip-single-24']->buy],
            'a whole reel more',
        );
        self::assertSame(self::parts($plan)['cable-2x15']->buy + 2, self::parts($five)['cable-2x15']->buy);
        self::assertSame(
            8.0,
            self::parts(Demo::with($plan, ['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => 0]))[
                'connector-solder'
            ]->buy,
        );
        self::assertSame(
            ['cable-2x15', 'strip-single-24'],
            array_keys(Demo::with($five, ['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => null])->spares),
        );
        self::assertEquals($five, JobFile::read(JobFile::write($five)));
        $this->expectException(Refusal::class);
        Demo::with($plan, ['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => -1]);
    }

    public function test_how_a_run_is_made_up_goes_with_the_run_and_through_the_file(): void
    {
        $plan = Demo::with(self::plan('4.00 line', ', profile'), [
            'kind' => 'SetMaking',
            'run' => 'line',
            'strip' => 'never',
            'profile' => 'profile-corner',
            'cut' => 'after',
        ]);
        self::assertEquals(
            new Assembly(id: 'line', strip: 'never', length: 'needed', profile: 'profile-corner', cut: 'after'),
            $plan->makings['line'],
        );
        self::assertEquals($plan, JobFile::read(JobFile::write($plan)));
        self::assertArrayHasKey('profile-corner', $plan->kit);
        $dropped = Demo::with($plan, ['kind' => 'DropRun', 'run' => 'line']);
        self::assertSame([[], false], [$dropped->makings, isset($dropped->kit['profile-corner'])]);
        $document = json_decode(JobFile::write($plan), true);
        self::assertIsArray($document);
        foreach (
            [
                '/makings/0/id' => ['id' => 'nowhere'],
                '/makings/0/profile' => ['profile' => 'strip-single-24'],
                '/makings/0/strip' => ['strip' => 'always'],
            ]
            as $pointer => $bad
        ) {
            $faulty = $document;
            $faulty['makings'][0] = $bad + $faulty['makings'][0];
            try {
                JobFile::read((string) json_encode($faulty));
                self::fail($pointer);
            } catch (Refusal $refusal) {
                self::assertSame($pointer, $refusal->pointer);
            }
        }
    }

    /** The demo shelf with some entries priced otherwise. */
    private static function priced(string $id, float $price, string $currency): ShelfSource
    {
        return new class ($id, ['price' => $price, 'currency' => $currency]) implements ShelfSource {
            /** @param  array<string, mixed>  $other */
            public function __construct(private string $id, private array $other) {}

            public function find(string $id): ?KitSnapshot
            {
                $found = Demo::shelf()->find($id);
                if ($found === null || $id !== $this->id) {
                    return $found;
                }

                return new KitSnapshot('other', $this->other + $found->written, $found->entry);
            }

            public function ofKind(string $kind): array
            {
                return array_map(
                    fn(KitSnapshot $f): KitSnapshot => $this->find($f->entry->id()) ?? $f,
                    Demo::shelf()->ofKind($kind),
                );
            }
        };
    }

    public function test_a_price_in_another_currency_counts_nothing_until_it_has_a_rate(): void
    {
        $plan = self::plan('4.00 line', ', bare');
        $shelf = self::priced('consumable-alcohol', 10.0, 'CHF');
        $alcohol = static fn(Plan $p): Part => array_values(
            array_filter(
                PartsList::of($p, $shelf)->parts,
                static fn(Part $x): bool => $x->key === 'consumable-alcohol',
            ),
        )[0];
        self::assertSame(
            [null, 'CHF', ''],
            [$alcohol($plan)->cost(), $alcohol($plan)->foreign, $alcohol($plan)->priced],
        );
        self::assertSame(
            ['Cleaning alcohol (priced in CHF)'],
            (new JobState($plan, [], $shelf, []))->schedule()->quote()->unpriced,
        );
        $terms =
            ['rates' => [['currency' => 'CHF', 'rate' => 1.05], ['currency' => 'EUR', 'rate' => 3.0]]] +
            $plan->terms->write();
        $rated = Demo::with($plan, ['kind' => 'SetTerms'] + $terms);
        self::assertSame(
            [['CHF' => 1.05], 10.5, '', 'CHF'],
            [$rated->terms->rates, $alcohol($rated)->cost(), $alcohol($rated)->foreign, $alcohol($rated)->priced],
            'a rate for the job’s own currency means nothing',
        );
        self::assertEquals($rated, JobFile::read(JobFile::write($rated)));
        $snapshot = new KitSnapshot(
            'x',
            ['kind' => 'strip', 'price' => 2.0, 'currency' => 'USD'] + ($plan->kit['strip-single-24']->written ?? []),
            $plan->kit['strip-single-24']->entry,
        );
        $foreign = $plan->with(kit: ['strip-single-24' => $snapshot] + $plan->kit);
        $finding = array_values(
            array_filter(
                PartFindings::of(new JobState($foreign, [], Demo::shelf(), [])),
                static fn(Finding $f): bool => $f->code === 'currency',
            ),
        )[0];
        self::assertSame(['parts', 'strip-single-24'], [$finding->place->stage, $finding->place->id]);
        self::assertStringContainsString('a rate for USD', $finding->detail);
    }

    public function test_what_the_shelf_has_nothing_for_is_told(): void
    {
        $shelf = new class implements ShelfSource {
            public function find(string $id): ?KitSnapshot
            {
                if (str_starts_with($id, 'consumable-') || str_starts_with($id, 'profile-')) {
                    return null;
                }

                return Demo::shelf()->find($id);
            }

            public function ofKind(string $kind): array
            {
                return array_values(
                    array_filter(
                        Demo::shelf()->ofKind($kind),
                        fn(KitSnapshot $f): bool => $this->find($f->entry->id()) !== null,
                    ),
                );
            }
        };
        $plan = self::plan('4.00 line', ', profile', 'damp');
        self::assertSame(
            [
                'Profile: Line goes into profile',
                'Fixing: Line, an anchor every 0.75 m',
                'Sealing: Line lies damp: its ends are sealed',
                'Solder: K1 for Line, 2 cores at both ends',
                'Solder: K2 for Line, 2 cores at both ends',
            ],
            PartsList::of($plan, $shelf)->lacking,
        );
        self::assertSame([], PartsList::of($plan, Demo::shelf())->lacking);
        $unfed = Demo::with(
            new Plan('Test', '', places: ['room' => new Place('room', 'Room', '')]),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "dry\nstart end\n4.00 line, gap 0.10 at 2.00\nrun line, bare",
            ],
            ['kind' => 'ChooseKit', 'run' => 'line', 'kit' => 'strip-single-24'],
        );
        self::assertSame(
            ['Cable: Line, lead between sections'],
            PartsList::of($unfed, Demo::shelf())->lacking,
            'no cable is chosen yet',
        );
    }

    public function test_a_currency_is_three_capital_letters(): void
    {
        self::assertSame('EUR', Price::currency(new Fields(['currency' => 'EUR'])));
        foreach (['eur', 'EU', 'EURO', '€'] as $bad) {
            try {
                Price::currency(new Fields(['currency' => $bad]));
                self::fail($bad);
            } catch (Refusal $refusal) {
                self::assertSame('/currency', $refusal->pointer);
            }
        }
        self::assertNull(Price::of(new Fields([])));
        self::assertSame(
            [3.5, ''],
            [Price::of(new Fields(['price' => 3.5]))?->amount, Price::of(new Fields(['price' => 3.5]))?->currency],
        );
    }
}
