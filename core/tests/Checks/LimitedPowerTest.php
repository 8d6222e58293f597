<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Protection\LimitedPower;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Supply;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** NEC chapter 9 table 11(B), from memory: nameplate against nameplate, overload against overload. */
final class LimitedPowerTest extends TestCase
{
    /** @return iterable<string, array{array<string, float>, bool}> */
    public static function outputs(): iterable
    {
        yield '24 V with 100 VA on its plate, rated 4.2 A' => [
            ['volts' => 24.0, 'ratedAmps' => 4.2, 'plateVa' => 100.0],
            true,
        ];
        yield '24 V rated 4.2 A, of which its plate says no more' => [['volts' => 24.0, 'ratedAmps' => 4.2], false];
        yield '24 V rated 4 A' => [['volts' => 24.0, 'ratedAmps' => 4.0], true];
        yield '12 V rated 5 A' => [['volts' => 12.0, 'ratedAmps' => 5.0], true];
        yield '12 V rated 5.1 A' => [['volts' => 12.0, 'ratedAmps' => 5.1], false];
        yield '24 V that keeps up 10.4 A' => [['volts' => 24.0, 'ratedAmps' => 4.0, 'overloadAmps' => 10.4], true];
        yield '24 V that keeps up 10.5 A' => [['volts' => 24.0, 'ratedAmps' => 4.0, 'overloadAmps' => 10.5], false];
        yield '60 V with 100 VA' => [['volts' => 60.0, 'ratedAmps' => 1.66], true];
    }

    /** @param  array<string, float>  $output */
    #[DataProvider('outputs')]
    public function test_an_output_is_inside_or_outside(array $output, bool $inside): void
    {
        $supply = Supply::read(new Fields($output + ['id' => 's', 'name' => 'S', 'sourceOhms' => 0.01]));
        self::assertSame($inside, (new LimitedPower($supply))->inside());
        self::assertStringContainsString(
            $inside ? 'inside limited power' : 'outside limited power',
            (new LimitedPower($supply))->words(),
        );
    }
}
