<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Survey;

use EmberDusk\Survey\Length;
use EmberDusk\Survey\Site\Battery;
use EmberDusk\Survey\Site\Outlet;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Notes besides the walls, and changes on the sheet written back into them. */
final class SiteNotesTest extends TestCase
{
    private const TEXT =
        "# first look\nfloor -1; high 2,70;damp\nstart door\n 5.20  cove and shelf , gap 0.90 at 1.30 window " .
        "# mind the sill\noutlet P1 left of the door at 0.40, circuit C2, key\n" .
        "right 3.80 cove\nbox B1 loft, 40x30x12, vented, ladder\nbattery E1 stern, 6 of 8 V, 2 rows, 165Ah, " .
        "want 12 V\nleg A B1 to window 3x2.5 6.00, wall, guessed\nleg B P1 to ? 2x14 awg, conduit\r\n" .
        "wifi 6 office\nhub ?  loft\nrun cove, profile, outdoors, mood light, up 2.55";

    public function test_every_kind_of_clause_is_read(): void
    {
        $sheet = WallNotes::read(self::TEXT);
        self::assertSame([], array_map(static fn($s): string => "{$s->line}: {$s->message}", $sheet->slips));
        $site = $sheet->site;
        self::assertSame([-1, 2.7, true], [$site->floor, $site->height, $site->damp]);
        self::assertSame(['cove', 'shelf'], array_keys($sheet->runs));
        self::assertEqualsWithDelta(8.1, $sheet->runs['cove']->length(), 1e-9);
        self::assertEqualsWithDelta(4.3, $sheet->runs['shelf']->length(), 1e-9);
        $outlet = $site->outlets[0];
        self::assertSame(
            ['P1', 'left of the door', 'C2', true, false],
            [$outlet->spot->name, $outlet->spot->where, $outlet->circuit, $outlet->keyed, $outlet->spur],
        );
        // 0.40 m along the first wall, which goes up the page.
        self::assertEqualsWithDelta(0.4, $sheet->spots['P1']->y ?? 0.0, 1e-9);
        self::assertNull($sheet->spots['B1']);
        self::assertSame(
            [[0.4, 0.3, 0.12], 'vented', 'ladder'],
            [$site->boxes[0]->size, $site->boxes[0]->air, $site->boxes[0]->access],
        );
        $battery = $site->batteries[0];
        self::assertSame(
            [6, 8.0, 2, 165.0, 12.0, 48.0],
            [
                $battery->blocks,
                $battery->blockVolts,
                $battery->rows,
                $battery->ampHours,
                $battery->wants,
                $battery->volts(),
            ],
        );
        [$a, $b] = $site->legs;
        self::assertSame(
            ['A', 'B1', 'window', 3, '2.5 mm²', 6.0, 'wall', true],
            [$a->name, $a->from, $a->to, $a->cores, $a->conductor->label(), $a->length, $a->laid, $a->guessed],
        );
        self::assertSame(
            ['B', null, '14 AWG', null, 'conduit', false],
            [$b->name, $b->to, $b->conductor->label(), $b->length, $b->laid, $b->guessed],
        );
        self::assertSame(
            [['wifi', 6, 'office'], ['hub', null, 'loft']],
            array_map(static fn($r): array => [$r->kind, $r->channel, $r->where], $site->radios),
        );
        self::assertSame(
            [['profile', 'outdoors'], 'mood', 2.55],
            [$site->runs['cove']->mounting, $site->runs['cove']->light, $site->runs['cove']->height],
        );
    }

    /** A spot before all walls, or after other walls, stands along the run that it names, on over the corner. */
    public function test_a_spot_names_the_run_of_its_wall(): void
    {
        $site = WallNotes::read(
            "outlet P1 on long wall at 3.30\nbox B1 on left at 0.20, 30x20x12\n3.10 long wall\nright 2 long wall\nright 3.10 left\n" .
                "close\noutlet P2 on long wall at 0.50",
        )->site;
        self::assertSame(
            [[1, 0.2], [0, 0.5]],
            array_map(static fn(Outlet $o): array => [$o->spot->leg, round($o->spot->at, 6)], $site->outlets),
        );
        self::assertSame([2, 0.2], [$site->boxes[0]->spot->leg, $site->boxes[0]->spot->at]);
    }

    /** @return iterable<string, array{string, string, string, string|null}> text, the word, part of the message, what would fix it */
    public static function slips(): iterable
    {
        yield 'floor' => ['floor ground', 'ground', 'whole number', null];
        yield 'height' => ['high', '', 'missing', null];
        yield 'unknown word of a box' => ['box B1 loft, vnted', 'vnted', 'not understood for a box', 'vented'];
        yield 'size of a box' => ['box B1 loft, 40x30', '40x30', 'width x height x depth', null];
        yield 'a box of 9 m' => ['box B1 loft, 900x30x30', '900x30x30', 'is not possible', null];
        yield 'no comma' => ['box B1 loft, vented ladder', 'ladder', 'after a comma', null];
        yield 'a name twice' => ["outlet P1 dais\nbox P1 loft", 'P1', 'already used', null];
        yield 'at without a wall' => ['outlet P1 at 0.40', 'at', 'there is none', null];
        yield 'beyond the walls of its run' => [
            "2.00 cove\noutlet P1 on cove at 2.40",
            '2.40',
            'end before this',
            null,
        ];
        yield 'an outlet without a name' => ["2.00 cove\noutlet P1 at 1\noutlet at 2", 'at', 'P2 is free', 'P2 at'];
        yield 'a box without a name' => ["2.00 cove\nbox", '', 'B1 is free', ' B1'];
        yield 'beyond its wall' => ["2.00\noutlet P1 at 2.40", '2.40', 'is beyond its end', null];
        yield 'blocks' => ['battery E1, 200 Ah', '', 'the number in series', null];
        yield 'a block of 7 V' => ['battery E1, 3 of 7 V', '7', '2, 3.7, 4, 6, 8 or 12', null];
        yield 'volts without unit' => ['battery E1, 3 of 8 , want 12 V', ',', 'the unit is missing', null];
        yield 'leg without to' => ['leg A B1 window 3x2.5', 'window', 'Type “to”', null];
        yield 'leg of an unknown size' => ['leg A B1 to window 3x2.2', '3x2.2', 'No resistance is known', null];
        yield 'leg size' => ['leg A B1 to window 2.5', '2.5', 'cores and size', null];
        yield 'core that is not there' => ['leg A B1 to window 2x2.5, core 3 broken', '3', 'from 1 to 2', null];
        yield 'wifi channel' => ['wifi 36', '36', '1 to 14', null];
        yield 'hub channel' => ['hub 9', '9', '11 to 26', null];
        yield 'mounting' => ["2 cove\nrun cove, profil", 'profil', 'not understood for a run', 'profile'];
        yield 'profile and bare' => ["2 cove\nrun cove, profile, bare", 'cove', 'not both', null];
        yield 'a run described twice' => [
            "2 cove\nrun cove, bare\nrun cove, profile",
            'cove',
            'described already',
            null,
        ];
        yield 'units mixed' => ["5.20 cove\nhigh 8 ft", '8', 'notes use metres', '2.44'];
        yield 'a keyword with a slip' => ['outlt P1 dais', 'outlt', 'Did you mean outlet', 'outlet'];
        yield 'the same run twice on a wall' => ['5 cove and cove', 'and', 'twice', null];
    }

    #[DataProvider('slips')]
    public function test_reports_an_error_at_its_word(
        string $text,
        string $word,
        string $message,
        ?string $instead,
    ): void {
        $slips = WallNotes::read($text)->slips;
        self::assertCount(1, $slips);
        $line = explode("\n", $text)[$slips[0]->line - 1];
        if ($word === '') {
            // A missing word is reported at the line's end.
            self::assertSame([mb_strlen($line), 0], [$slips[0]->column, $slips[0]->length]);
        } else {
            self::assertStringStartsWith($word, mb_substr($line, $slips[0]->column));
        }
        self::assertStringContainsString($message, $slips[0]->message);
        self::assertSame($instead, $slips[0]->instead);
        if ($instead !== null) {
            self::assertNotSame(
                $slips[0]->message,
                WallNotes::read((new WallText($text))->mended($slips[0]))->slips[0]->message ?? '',
            );
        }
    }

    /** Measuring one wall again changes its own words and nothing else: words, order, spacing and remarks stay; random notes, the seed is fixed. */
    public function test_measuring_a_wall_again_changes_its_word_alone(): void
    {
        mt_srand(77);
        $spaces = [' ', '  ', "\t"];
        $space = static fn(): string => $spaces[mt_rand(0, 2)];
        for ($case = 0; $case < 300; $case++) {
            $imperial = mt_rand(0, 1) === 1;
            $comma = !$imperial && mt_rand(0, 1) === 1;
            $write = static fn(float $m): string => $imperial
                ? Length::write($m, Length::IMPERIAL)
                : number_format($m, 2, $comma ? ',' : '.', '');
            $words = $lengths = [];
            $text = mt_rand(0, 1) === 1 ? "#  remark; with 5.00 in it\nstart{$space()}door" : 'start';
            for ($n = 0, $legs = mt_rand(1, 6); $n < $legs; $n++) {
                $lengths[] = $length =
                    round(mt_rand(8, 900) * ($imperial ? 0.0254 : 0.01), 4) +
                    ($imperial ? (mt_rand(0, 15) * 0.0254) / 16 : 0);
                $words[] = $write($length);
                $text .=
                    [';', "\n", "\r\n", " ;\n"][mt_rand(0, 3)] .
                    ($n > 0 ? ['left', 'right', 'RIGHT 45'][mt_rand(0, 2)] . $space() : '') .
                    $words[$n] .
                    (mt_rand(0, 1) === 1 ? $space() . 'cove' : '') .
                    (mt_rand(0, 2) === 0 ? $space() . '# ' . $words[$n] . ' was guessed' : '');
                if (str_contains(substr($text, (int) strrpos($text, "\n")), '#')) {
                    $text .= "\n";
                }
            }
            self::assertSame([], WallNotes::read($text)->slips, $text);
            $leg = mt_rand(0, count($lengths) - 1);
            self::assertSame(
                $text,
                (new WallText($text))->legOf($leg, $lengths[$leg]),
                'the same length leaves the text as it is',
            );
            $new =
                round(mt_rand(8, 900) * ($imperial ? 0.0254 : 0.01), 4) +
                ($imperial ? (mt_rand(0, 15) * 0.0254) / 16 : 0);
            $changed = (new WallText($text))->legOf($leg, $new);
            $before = WallNotes::read($text);
            $after = WallNotes::read($changed);
            self::assertSame([], $after->slips, $changed);
            foreach ($after->legs as $n => $wall) {
                self::assertEqualsWithDelta(
                    $n === $leg ? $new : $before->legs[$n]->length,
                    $wall->length,
                    $imperial ? 0.0254 / 32 + 1e-9 : 1e-9,
                );
            }
            // Take the one word out of both: the rest is the same text.
            $word = $before->legs[$leg]->measured->word;
            $bare = static fn(string $t, int $length): string => (new WallText($t))->put(
                new \EmberDusk\Survey\Site\Span($word->line, $word->column, $word->column + $length),
                '',
            );
            self::assertSame(
                $bare($text, $word->length()),
                $bare($changed, $after->legs[$leg]->measured->word->length()),
            );
        }
    }

    public function test_mounting_and_traces_are_written_into_their_lines(): void
    {
        $text =
            "5 cove # keep\nrun  cove ,  bare , up 2.55 # high\nleg A B1 to X 3x2.5, wall # grey\nleg B B1 to Y 2x1.5";
        self::assertSame(
            "5 cove # keep\nrun  cove , profile, accent light, up 2.55 # high\nleg A B1 to X 3x2.5, wall # grey\nleg B B1 to Y 2x1.5",
            str_replace('cove, ', 'cove , ', (new WallText($text))->run('cove', ['profile'], 'mood')) ?: '',
        );
        self::assertSame("{$text}\nrun shelf, bare", (new WallText($text))->run('shelf', ['bare'], ''));
        $traced = (new WallText((new WallText($text))->traced('A', 'traced')))->traced(
            'A',
            'traced, core 3 broken, joined B',
        );
        self::assertStringContainsString('leg A B1 to X 3x2.5, wall, traced, core 3 broken, joined B # grey', $traced);
        self::assertSame([], WallNotes::read($traced)->slips);
        self::assertSame($text, (new WallText($traced))->traced('A', ''));
    }

    /** On 6 V and 12 V blocks there is a 12 V tap, on 8 V blocks there is none (common practice, no source). */
    public function test_blocks_and_their_taps(): void
    {
        $tap = static function (string $blocks): ?int {
            $battery = WallNotes::read("battery E1, {$blocks}, want 12 V")->site->batteries[0];
            self::assertInstanceOf(Battery::class, $battery);

            return (new \EmberDusk\Kit\Bank($battery))->tap;
        };
        self::assertSame(
            [2, 1, null, 6, 1],
            [$tap('8 of 6 V'), $tap('4 of 12 V'), $tap('6 of 8 V'), $tap('24 of 2 V'), $tap('1 of 12 V')],
        );
        $bank = new \EmberDusk\Kit\Bank(WallNotes::read('battery E1, 6 of 8 V, want 12 V')->site->batteries[0]);
        // A 48 V bank is four of 12: 44.0, 50.4 and 57.6 V.
        self::assertEqualsWithDelta(
            ['lowest' => 44.0, 'nominal' => 50.4, 'charging' => 57.6],
            $bank->volts()->states(),
            1e-9,
        );
        self::assertFalse($bank->unbalances());
        self::assertTrue(
            (new \EmberDusk\Kit\Bank(
                WallNotes::read('battery E1, 4 of 6 V, want 12 V')->site->batteries[0],
            ))->unbalances(),
        );
    }
}
