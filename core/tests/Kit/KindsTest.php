<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Kit;

use EmberDusk\Circuit\Engine;
use EmberDusk\Formats\Fields;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Beside;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\KindSchema;
use EmberDusk\Kit\Shelf;
use EmberDusk\Kit\ShelfCsv;
use EmberDusk\Kit\Strip;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class KindsTest extends TestCase
{
    /** @return array<string, array<array-key, mixed>> */
    private static function demo(): array
    {
        return Shelf::file((string) file_get_contents(dirname(__DIR__, 3) . '/database/demo/shelf.json'));
    }

    public function test_the_schema_in_the_folder_is_the_one_that_the_kinds_make(): void
    {
        self::assertSame(KindSchema::text(), (string) file_get_contents(dirname(__DIR__, 2) . '/schema/shelf.json'));
    }

    /** The reader accepts every choice of every field that a form offers, with any other fields. */
    public function test_every_choice_that_a_form_offers_is_read(): void
    {
        $read = 0;
        foreach (self::demo() as $entry) {
            foreach (Kinds::get((string) $entry['kind'])->fields ?? [] as $key => $field) {
                if ($field->type !== 'choice' || str_contains($key, '.')) {
                    continue;
                }
                foreach ($field->choices as $choice) {
                    // A size is one of its system: 2.5 mm² is no gauge.
                    $size = $key === 'system' ? ['size' => $choice === 'awg' ? 14 : 1.5] : [];
                    Shelf::entry(new Fields([$key => $choice, ...$size] + $entry));
                    $read++;
                }
            }
        }
        self::assertGreaterThan(300, $read);
    }

    public function test_the_demo_shelf_spans_every_kind(): void
    {
        $kinds = array_count_values(
            array_map(static fn(array $e): string => is_string($e['kind']) ? $e['kind'] : '', self::demo()),
        );
        self::assertSame([], array_diff(array_keys(Kinds::all()), array_keys($kinds)));
        self::assertGreaterThanOrEqual(60, array_sum($kinds));
    }

    public function test_the_shelf_goes_through_csv_and_json_unchanged(): void
    {
        $entries = self::demo();
        $hashes = array_map(Shelf::hash(...), $entries);
        self::assertSame($hashes, array_map(Shelf::hash(...), ShelfCsv::read(ShelfCsv::write($entries))));
        self::assertSame($hashes, array_map(Shelf::hash(...), Shelf::file(Shelf::write(array_values($entries)))));
        // A spreadsheet that parts by semicolons and writes decimal commas, with its mark at the front.
        $csv = "\xEF\xBB\xBFkind;id;name;amps;form;price\nfuse;fuse-own;Own fuse;7,5;blade;0,70\n";
        self::assertSame(
            [
                'kind' => 'fuse',
                'id' => 'fuse-own',
                'name' => 'Own fuse',
                'amps' => 7.5,
                'form' => 'blade',
                'price' => 0.7,
            ],
            ShelfCsv::read($csv)['fuse-own'],
        );
    }

    public function test_formulas_are_written_as_text_and_read_back(): void
    {
        $entry = ['kind' => 'consumable', 'id' => 'paste', 'name' => '=1+1', 'unit' => '@tube', 'note' => '-not 5'];
        $csv = ShelfCsv::write([$entry]);
        self::assertStringContainsString("'=1+1", $csv);
        self::assertStringContainsString("'@tube", $csv);
        self::assertSame($entry, ShelfCsv::read($csv)['paste']);
    }

    /** @return iterable<string, array{string, string}> */
    public static function faults(): iterable
    {
        $head = "kind,id,name,amps,form\n";
        yield 'wrong column' => [
            "kind,id,name,ampz\nfuse,f,F,5",
            'Line 1: “ampz” is no column of a shelf. Meant amps?',
        ];
        yield 'missing column' => ["kind,name,amps\nfuse,F,5", 'Line 1: the column “id” is missing.'];
        yield 'column twice' => ["kind,id,name,amps,amps\nfuse,f,F,5,5", 'a column is there twice'];
        yield 'no number' => [$head . 'fuse,f,F,five,blade', 'Line 2, amps: “five” is not a number.'];
        yield 'out of bounds' => [$head . 'fuse,f,F,5000,blade', 'Line 2, amps: 5000 is outside 0.5 to 100.'];
        yield 'no such choice' => [
            $head . 'fuse,f,F,5,brick',
            'Line 2, form: The value is not one of those allowed here.',
        ];
        yield 'no such kind' => [$head . 'fuze,f,F,5,blade', 'Line 2, kind: “fuze” is not one of'];
        yield 'field of another kind' => [
            "kind,id,name,amps,form,cores\nfuse,f,F,5,blade,3",
            'Line 2, cores: Fuse has no such field.',
        ];
        yield 'missing value' => [$head . 'fuse,f,F,,blade', 'Line 2, amps: It is missing.'];
        yield 'twice' => [$head . "fuse,f,F,5,blade\nfuse,f,F,5,blade", 'Line 3, id: “f” is in the file twice.'];
        yield 'formula' => [$head . 'fuse,f,=HYPERLINK(1),5,blade', 'is a formula'];
        yield 'encoding' => [$head . "fuse,f,Gl\xFChbirne,5,blade", 'Line 2 is not UTF-8'];
        yield 'cells' => [$head . 'fuse,f,F,5', 'Line 2 has 4 cells, the header has 5'];
        yield 'empty' => ['', 'The file is empty'];
        yield 'too many rows' => [$head . str_repeat("fuse,f,F,5,blade\n", 100_000), '100,001 rows; at most 10,000'];
    }

    #[DataProvider('faults')]
    public function test_a_faulty_csv_is_refused_at_its_line(string $csv, string $message): void
    {
        try {
            ShelfCsv::read($csv);
            self::fail('It was read.');
        } catch (Refusal $t) {
            self::assertStringContainsString($message, $t->getMessage());
        }
    }

    /** @param  array<string, mixed>  $rails */
    private static function strip(array $rails): Strip
    {
        $strip = Shelf::check(
            [
                'kind' => 'strip',
                'id' => 's',
                'name' => 'S',
                'volts' => 24,
                'pitch' => 0.05,
                'leds' => 6,
                'ledVolts' => 2.95,
                'channels' => [['name' => 'w', 'wattsPerMetre' => 9.6, 'colour' => '#ffffff']],
            ] + $rails,
        );
        self::assertInstanceOf(Strip::class, $strip);

        return $strip;
    }

    /** A 4 mm track of 70 µm ("2 oz") copper: 1.7241e-8 / (0.004 x 70e-6) = 0.0616 ohm/m (IEC 60028 resistivity, from memory). */
    public function test_rails_from_copper(): void
    {
        $strip = self::strip(['copper' => ['plusWidth' => 4, 'returnWidth' => 2, 'thickness' => 70]]);
        self::assertEqualsWithDelta(0.0616, $strip->plusRail, 0.0001);
        self::assertEqualsWithDelta(0.1231, $strip->returnRail, 0.0001);
        self::assertTrue($strip->copperRails);
        // Copper calculated at 20 °C has 7.9 % more resistance at 40 °C: the same strip is darker in a warm job; one with given rails is not.
        $even = static function (string $strip, float $celsius): float {
            $plan = Demo::with(
                Demo::run(
                    metres: '8',
                    strip: $strip,
                    supply: 'supply-24-240',
                    controller: 'controller-zigbee-1',
                    cable: 'cable-2x15',
                ),
                [
                    'kind' => 'SetLimits',
                    'drop' => 0.05,
                    'headroom' => 0.2,
                    'evenness' => 0.9,
                    'seam' => 0.05,
                    'cableCelsius' => $celsius,
                ],
            );

            return (new Engine($plan))->nominal($plan->run('line'))->evenness();
        };
        self::assertGreaterThan($even('strip-single-24-copper', 70) + 0.01, $even('strip-single-24-copper', 20));
        self::assertEqualsWithDelta($even('strip-single-24', 70), $even('strip-single-24', 20), 0.001);
    }

    /** A reel is solved with known rails; what a meter would read at its two ends gives the rails back. */
    public function test_rails_from_one_measured_reel(): void
    {
        foreach ([['strip-single-24', 0.045], ['strip-single-24-mood', 0.06]] as [$id, $rail]) {
            $plan = Demo::run(
                metres: '5',
                strip: $id,
                supply: 'supply-24-240',
                controller: 'controller-zigbee-1',
                cable: 'cable-2x15',
            );
            $result = (new Engine($plan))->nominal($plan->run('line'));
            $strip = $plan->strip($id) ?? self::fail();
            $feed = array_values($result->feeds)[0];
            $far = $result->volts[0][count($result->volts[0]) - 1];
            $measured = Shelf::check([
                'kind' => 'strip',
                'id' => 's',
                'name' => 'S',
                'volts' => 24,
                'pitch' => $strip->pitch,
                'leds' => $strip->leds,
                'ledVolts' => $strip->ledVolts,
                'channels' => [['name' => 'w', 'wattsPerMetre' => $strip->wattsPerMetre(), 'colour' => '#ffffff']],
                'reel' => ['length' => 5, 'amps' => $feed->amps, 'startVolts' => $feed->volts, 'endVolts' => $far],
            ]);
            self::assertInstanceOf(Strip::class, $measured);
            self::assertEqualsWithDelta($rail, $measured->plusRail, 0.02 * $rail, $id);
            self::assertEqualsWithDelta($rail, $measured->returnRail, 0.02 * $rail);
        }
    }

    /** A short drop is that of a current that falls evenly to nothing: V0 - VL = r I L / 2 (the textbook's uniformly loaded line). */
    public function test_a_reel_with_a_small_drop_is_a_uniformly_loaded_line(): void
    {
        $strip = self::strip(['reel' => ['length' => 2, 'amps' => 0.8, 'startVolts' => 24, 'endVolts' => 23.98]]);
        self::assertEqualsWithDelta((2 * 0.02) / (0.8 * 2), $strip->plusRail + $strip->returnRail, 0.0001);
        $this->expectExceptionMessage('fewer volts than the start');
        self::strip(['reel' => ['length' => 2, 'amps' => 0.8, 'startVolts' => 23.9, 'endVolts' => 24]]);
    }

    public function test_an_entry_is_read_by_its_kind_alone(): void
    {
        try {
            Shelf::entry(new Fields(['kind' => 'lamp', 'id' => 'a', 'name' => 'A']));
            self::fail('It was read.');
        } catch (Refusal $t) {
            self::assertSame('/kind', $t->pointer);
        }
        foreach (['id' => 'Not An Id', 'name' => ' '] as $field => $value) {
            try {
                Shelf::check(
                    [$field => $value] + ['kind' => 'fuse', 'id' => 'f', 'name' => 'F', 'amps' => 5, 'form' => 'blade'],
                );
                self::fail("{$field} was read.");
            } catch (Refusal $t) {
                self::assertSame("/{$field}", $t->pointer);
            }
        }
    }

    /** Labels of joined devices differ by their letters: B is a board's, H the hub's. */
    public function test_kit_beside_the_runs_has_a_letter_and_a_role_of_its_own(): void
    {
        $letters = array_filter(array_map(static fn(Beside $b): string => $b->letter, Kinds::beside()));
        self::assertSame(count($letters), count(array_unique($letters)));
        self::assertSame([], array_intersect($letters, ['s', 'c', 'k', 'b', 'h', 'd', 'x', 'f']));
        foreach (Kinds::beside() as $kind => $beside) {
            self::assertContains($beside->role, [
                '',
                Unit::REMOTE,
                Unit::PANEL,
                Unit::BRIDGE,
                Unit::ASSISTANT,
                Unit::PHONE,
                Unit::HUB,
            ]);
            // A control belongs to no part; other kit does.
            self::assertSame($beside->control(), $beside->on === '', $kind);
            self::assertTrue($beside->work !== null || $kind === 'set', $kind);
        }
        self::assertSame(range(1, count(Kinds::beside())), array_column(Kinds::beside(), 'row'));
    }
}
