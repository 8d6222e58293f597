<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Formats;

use EmberDusk\Formats\Csv;
use EmberDusk\Formats\Fields;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

final class CsvTest extends TestCase
{
    /** RFC 4180: commas, quotes and line breaks inside quotes, quotes doubled, CRLF between records. */
    public function test_it_writes_after_the_standard(): void
    {
        self::assertSame("a,b\r\n\"x,y\",\"say \"\"so\"\"\"\r\n", Csv::write([['a', 'b'], ['x,y', 'say "so"']]));
        self::assertSame(['x,y', 'say "so"'], Csv::read("a,b\r\n\"x,y\",\"say \"\"so\"\"\"\r\n")[1][2]);
    }

    public function test_random_cells_come_back_as_they_went(): void
    {
        mt_srand(9);
        $signs = ['a', 'ü', '漢', ' ', ',', ';', '"', "'", '=', '+', '-', '@', '1', '.', '|', ':', '#'];
        for ($case = 0; $case < 200; $case++) {
            $width = mt_rand(2, 6);
            $header = array_map(static fn(int $n): string => "c{$n}", range(1, $width));
            $rows = [];
            for ($n = 0, $count = mt_rand(1, 8); $n < $count; $n++) {
                $rows[] = array_map(
                    static fn(): string => trim(
                        implode(
                            '',
                            array_map(
                                static fn(): string => $signs[mt_rand(0, count($signs) - 1)],
                                range(0, mt_rand(0, 9)),
                            ),
                        ),
                    ),
                    $header,
                );
            }
            // An apostrophe before a formula sign marks text: a cell that begins with one cannot be distinguished from a marked one.
            $rows = array_map(
                static fn(array $r): array => array_map(
                    static fn(string $c): string => preg_match("/^'[=+\\-@]/", $c) === 1 ? 'x' : $c,
                    $r,
                ),
                $rows,
            );
            self::assertSame($rows, array_values(Csv::read(Csv::write([$header, ...$rows]))[1]));
        }
    }

    public function test_line_ends_and_separators_of_all_kinds_are_read(): void
    {
        foreach (
            [
                "a,b\n1,2\n3,4",
                "a,b\r\n1,2\r\n3,4\r\n",
                "a,b\r1,2\r3,4",
                "a;b\n1;2\n\n3;4\n",
                "\xEF\xBB\xBFa,b\n1,2\n3,4",
            ]
            as $text
        ) {
            [$header, $rows] = Csv::read($text);
            self::assertSame(['a', 'b'], $header);
            self::assertSame([['1', '2'], ['3', '4']], array_values($rows));
        }
        self::assertSame([['-5', '+3.2']], array_values(Csv::read("a,b\n-5,+3.2")[1]), 'numbers are no formulas');
    }

    public function test_fields_report_the_expected_value(): void
    {
        $f = new Fields(['colour' => 'red', 'count' => 2.5, 'list' => ['a', 3], 'flag' => 1, 'big' => 1e400], '/thing');
        foreach (
            [
                '/thing/colour' => static fn(): string => $f->oneOf('colour', ['blue', 'green']),
                '/thing/count' => static fn(): int => $f->whole('count', 0, 9),
                '/thing/list/1' => static fn(): array => $f->strings('list'),
                '/thing/flag' => static fn(): bool => $f->flag('flag'),
                '/thing/big' => static fn(): ?float => $f->numberOrNull('big'),
                '/thing/none' => static fn(): string => $f->string('none'),
            ]
            as $pointer => $read
        ) {
            try {
                $read();
                self::fail("{$pointer} was read.");
            } catch (Refusal $t) {
                self::assertSame($pointer, $t->pointer);
            }
        }
        self::assertNull($f->numberOrNull('none'));
        self::assertSame('red', $f->oneOf('colour', ['blue', 'red']));
    }
}
