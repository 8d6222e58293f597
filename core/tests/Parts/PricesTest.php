<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Checks\Findings;
use EmberDusk\Formats\Fields;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Price;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Parts\Part;
use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Finding;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Counts and prices, spares and currencies. */
final class PricesTest extends TestCase
{
    use AssembledPlan;

    public function test_spares_are_ten_per_cent_or_as_set(): void
    {
        $plan = self::plan('4.00 line', ', bare');
        // The tail's two cores at the strip, one to spare; the other ends go into terminals.
        self::assertSame(
            [2.0, 1, 3.0],
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
            [2.0 + 5, 2.0],
            [self::parts($five)['connector-solder']->buy, self::parts($five)['strip-single-24']->buy],
            'a whole reel more',
        );
        self::assertSame(self::parts($plan)['cable-2x15']->buy + 2, self::parts($five)['cable-2x15']->buy);
        self::assertSame(
            2.0,
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
                PartsList::for($p, $shelf)->parts,
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
                (new Findings(new JobState($foreign, [], Demo::shelf(), [])))->for(),
                static fn(Finding $f): bool => $f->code === 'currency',
            ),
        )[0];
        self::assertSame([JobStage::Parts, 'strip-single-24'], [$finding->place->stage, $finding->place->id]);
        self::assertStringContainsString('a rate for USD', $finding->detail);
    }

    public function test_reports_needs_without_a_shelf_entry(): void
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
                'Profile: Line in profile',
                'Fixing: Line, an anchor every 0.75 m',
                'Profile: Line, a cap on every end of its profile',
                'Sealing: Line is in a damp place: ends sealed',
                'Solder: K2 for Line, every core at its ends',
            ],
            PartsList::for($plan, $shelf)->lacking,
        );
        self::assertSame([], PartsList::for($plan, Demo::shelf())->lacking);
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
            PartsList::for($unfed, Demo::shelf())->lacking,
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
        self::assertNull(Price::from(new Fields([])));
        self::assertSame(
            [3.5, ''],
            [Price::from(new Fields(['price' => 3.5]))?->amount, Price::from(new Fields(['price' => 3.5]))?->currency],
        );
    }
}
