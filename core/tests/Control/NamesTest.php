<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Control;

use EmberDusk\Control\NameClash;
use EmberDusk\Control\Names;
use EmberDusk\Control\Sound;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Names as typed and spoken. Homophones are those of any dictionary; words reserved by assistants are common practice, no source. */
final class NamesTest extends TestCase
{
    /** @return iterable<string, array{string, string, bool}> */
    public static function pairs(): iterable
    {
        // Homophones of the dictionary.
        foreach (
            [
                ['night', 'knight'],
                ['stair', 'stare'],
                ['hall', 'haul'],
                ['pair', 'pear'],
                ['sun', 'son'],
                ['pane', 'pain'],
            ]
            as [$one, $other]
        ) {
            yield "{$one} and {$other}" => [$one, $other, true];
        }
        yield 'one vowel apart' => ['Snug left', 'Snug lift', true];
        yield 'accents and capitals' => ['CAFÉ', 'cafe', true];
        yield 'one letter in a long name' => ['Shelves', 'Shelver', true];
        foreach (
            [
                ['bath', 'path'],
                ['beam', 'bean'],
                ['loft', 'lofts'],
                ['write', 'right'],
                ['Thin shelf', 'Fin shelf'],
                ['knot', 'not'],
                ['lamb', 'lam'],
                ['benches', 'bench'],
            ]
            as [$one, $other]
        ) {
            yield "{$one} and {$other}" => [$one, $other, true];
        }
        foreach (
            [
                ['cove', 'dome'],
                ['bench', 'porch'],
                ['hall', 'wall'],
                ['snug', 'rug'],
                ['door', 'table'],
                ['Star left', 'Star right'],
                ['bar', 'beam'],
            ]
            as [$one, $other]
        ) {
            yield "{$one} and {$other}" => [$one, $other, false];
        }
        yield 'numbers are told apart' => ['Lamp 1', 'Lamp 2', false];
        yield 'other scripts' => ['月', '日', false];
    }

    #[DataProvider('pairs')]
    public function test_what_a_listener_takes_for_another(string $one, string $other, bool $same): void
    {
        self::assertSame($same, Sound::same($one, $other));
        self::assertSame($same, Sound::same($other, $one));
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function single(): iterable
    {
        yield 'plain' => ['Cove', null];
        yield 'two words' => ['Reading lamp', null];
        yield 'an accent' => ['Café bar', null];
        yield 'kept by assistants' => ['Lights', NameClash::KEPT];
        yield 'too long for the app' => ['The long shelf above the window', NameClash::LONG];
        yield '300 letters' => [str_repeat('shelf ', 50), NameClash::LONG];
        yield 'nothing' => ['', NameClash::HARD];
        yield 'a smile' => ['Cove 🙂', NameClash::HARD];
        yield 'another script' => ['月の光', NameClash::HARD];
        yield 'no vowel' => ['LRG', NameClash::HARD];
        yield 'digits' => ['Lamp 1447', NameClash::HARD];
        yield 'too many words' => ['Big red lamp here', NameClash::HARD];
        yield 'the room' => ['Snug', NameClash::TAKEN];
        yield 'a scene' => ['Talk', NameClash::TAKEN];
    }

    #[DataProvider('single')]
    public function test_a_name_by_itself(string $name, ?string $code): void
    {
        $names = new Names(['c1' => [$name, 'Snug']], ['Talk'], 20);
        $clash = $names->clashes()[0] ?? null;
        self::assertSame($code, $clash?->code);
        if ($clash !== null) {
            $this->assertInstead(['c1' => [$name, 'Snug']], $clash);
        }
    }

    /**
     * Suggested names do not clash themselves.
     *
     * @param  array<string, array{string, string}>  $lights
     */
    private function assertInstead(array $lights, NameClash $clash): void
    {
        self::assertNotSame('', $clash->instead, $clash->title);
        $lights[$clash->light] = [$clash->instead, 'Snug'];
        $left = array_filter(
            (new Names($lights, ['Talk'], 20))->clashes(),
            static fn(NameClash $c): bool => $c->light === $clash->light,
        );
        self::assertSame([], $left, "“{$clash->instead}” instead");
    }

    /** Eleven lights of a made-up house: each clash has its way out, in turn until none is left. */
    public function test_a_house_of_eleven_is_named_without_a_clash_in_the_end(): void
    {
        $lights = [];
        foreach (
            [
                'Snug left',
                'Snug lift',
                'Bar',
                'bar',
                'Stair',
                'Stare',
                'Everything',
                'The long shelf above the window',
                'Snug',
                'Beam 🙂',
                'Night',
            ]
            as $n => $name
        ) {
            $lights['c' . ($n + 1)] = [$name, 'Snug'];
        }
        $first = (new Names($lights, ['Talk', 'Night'], 20))->clashes();
        self::assertSame(
            ['c2', 'c4', 'c6', 'c7', 'c8', 'c9', 'c10', 'c11'],
            array_map(static fn(NameClash $c): string => $c->light, $first),
        );
        for ($n = 0; $n < 20; $n++) {
            $clash = (new Names($lights, ['Talk', 'Night'], 20))->clashes()[0] ?? null;
            if ($clash === null) {
                break;
            }
            $lights[$clash->light] = [$clash->instead, 'Snug'];
        }
        self::assertSame([], (new Names($lights, ['Talk', 'Night'], 20))->clashes());
        self::assertSame(8, $n, 'each way out makes no new clash');
    }
}
