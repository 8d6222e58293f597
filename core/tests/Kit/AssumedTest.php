<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Kit;

use Closure;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Connector;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Converter;
use EmberDusk\Kit\Facts;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\Kinds;
use EmberDusk\Kit\Shelf;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Entries as their label has them: what it does not say is taken as usual (common practice, no source), and said to be. */
final class AssumedTest extends TestCase
{
    private const SUPPLY = ['kind' => 'supply', 'id' => 's', 'name' => 'S', 'volts' => 24, 'ratedAmps' => 6.25];

    /** @return iterable<string, array{array<string, mixed>, Closure, mixed}> an entry, what is read, its value */
    public static function labels(): iterable
    {
        // 1 % of 24 V at 6.25 A: 0.24 V / 6.25 A = 0.0384 ohm.
        yield 'supply' => [self::SUPPLY, static fn(Supply $s): float => $s->sourceOhms, 0.0384];
        $strip = [
            'kind' => 'strip',
            'id' => 'x',
            'name' => 'X',
            'volts' => 24,
            'pitch' => 0.1,
            'channels' => [['name' => 'white', 'wattsPerMetre' => 9.6, 'colour' => '#ffffff']],
            'plusRail' => 0.1,
            'returnRail' => 0.1,
        ];
        // Six LEDs of 3 V in series at 24 V leave a quarter to the resistor; three at 12 V, one at 5 V.
        yield 'strip of 24 V' => [$strip, static fn(Strip $s): int => $s->leds, 6];
        yield 'strip of 12 V' => [['volts' => 12] + $strip, static fn(Strip $s): int => $s->leds, 3];
        yield 'strip of 5 V' => [['volts' => 5] + $strip, static fn(Strip $s): int => $s->leds, 1];
        $controller = [
            'kind' => 'controller',
            'id' => 'c',
            'name' => 'C',
            'channels' => 2,
            'channelAmps' => 5,
            'totalAmps' => 10,
            'inputLeast' => 12,
            'inputMost' => 24,
        ];
        yield 'controller' => [
            $controller,
            static fn(Controller $c): array => [$c->commonOhms, $c->channelOhms, $c->standbyAmps],
            [0.01, 0.02, 0.02],
        ];
        yield 'converter' => [
            [
                'kind' => 'converter',
                'id' => 'v',
                'name' => 'V',
                'inputLeast' => 20,
                'inputMost' => 30,
                'volts' => 12,
                'ratedAmps' => 5,
            ],
            static fn(Converter $c): float => $c->efficiency,
            0.85,
        ];
        foreach (['solder' => 0.001, 'screw' => 0.002, 'plug' => 0.01, 'clip' => 0.03] as $joint => $ohms) {
            yield "{$joint} joint" => [
                ['kind' => 'connector', 'id' => 'j', 'name' => 'J', 'joint' => $joint, 'amps' => 3],
                static fn(Connector $c): float => $c->ohms,
                $ohms,
            ];
        }
        yield 'hub' => [
            ['kind' => 'hub', 'id' => 'h', 'name' => 'H', 'profile' => ['search' => 45]],
            static fn(Hub $h): array => [$h->profile->figure('lagLeast'), $h->profile->figure('lagMost')],
            [0.0, 50.0],
        ];
    }

    /** @param  array<string, mixed>  $entry */
    #[DataProvider('labels')]
    public function test_takes_the_usual_value_where_a_label_says_none(array $entry, Closure $read, mixed $value): void
    {
        self::assertEqualsWithDelta($value, $read(Shelf::check($entry)), 1e-9);
        self::assertStringStartsWith('assumed: ', Facts::assumed($entry)[0] ?? '');
    }

    /** 60 pixels a metre, one a cut: a cut every 1000 / 60 = 16.67 mm; three a cut: every 50 mm. */
    public function test_pixels_per_metre_give_the_cut_length(): void
    {
        $pixels = [
            'kind' => 'pixels',
            'id' => 'p',
            'name' => 'P',
            'volts' => 5,
            'perMetre' => 60,
            'milliamps' => 20,
            'dataWires' => 1,
            'bits' => 24,
            'colours' => 'rgb',
            'plusRail' => 0.1,
            'returnRail' => 0.1,
        ];
        $strip = Shelf::check($pixels);
        self::assertInstanceOf(Strip::class, $strip);
        self::assertEqualsWithDelta(1 / 60, $strip->pitch, 1e-12);
        $run = new Run(id: 'r', place: 'room', word: 'r', sections: [7.0], jumps: []);
        self::assertSame(420, CutMarks::from($run, $strip)->groupCount());
        self::assertSame(
            ['assumed: pixels per cut length, turn-on volts, volts for full current'],
            Facts::assumed($pixels),
        );
        $three = Shelf::check(['pixelsPerCut' => 3] + $pixels);
        self::assertInstanceOf(Strip::class, $three);
        self::assertEqualsWithDelta(0.05, $three->pitch, 1e-6);
        $this->expectExceptionMessage('Cut length is missing.');
        Shelf::check(array_diff_key($pixels, ['perMetre' => 0]));
    }

    public function test_a_stated_value_stands(): void
    {
        $entry = ['sourceOhms' => 0.02] + self::SUPPLY;
        $supply = Shelf::check($entry);
        self::assertInstanceOf(Supply::class, $supply);
        self::assertSame([0.02, []], [$supply->sourceOhms, Facts::assumed($entry)]);
        self::assertSame(['assumed: source resistance'], Facts::assumed(self::SUPPLY));
        // The copy in a plan is the entry as it was written.
        self::assertNotSame(Shelf::hash($entry), Shelf::hash(self::SUPPLY));
    }

    public function test_a_value_that_follows_from_a_missing_field_is_missing_too(): void
    {
        $kind = Kinds::get('supply') ?? self::fail();
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('Source resistance is missing.');
        $kind->completed(new Fields(['kind' => 'supply', 'volts' => 24]));
    }

    public function test_the_form_says_what_an_empty_field_means(): void
    {
        $words = static fn(string $kind, string $key): string => (string) Kinds::get($kind)?->assumedWords(
            Kinds::get($kind)->fields[$key],
        );
        self::assertSame('0.01 × volts ÷ rated current', $words('supply', 'sourceOhms'));
        self::assertSame('0.02', $words('controller', 'standbyAmps'));
        self::assertSame('by joint', $words('connector', 'ohms'));
        self::assertSame('', $words('supply', 'volts'));
    }
}
