<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\Registry;
use EmberDusk\Checks\Slate;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\TestCase;

final class SlateTest extends TestCase
{
    private static function finding(string $code, Severity $severity, string $place, Fix ...$fixes): Finding
    {
        return new Finding(
            code: $code,
            severity: $severity,
            title: "{$code} at {$place}",
            detail: '',
            place: new Place('wire', $place),
            fixes: array_values($fixes),
        );
    }

    private static function keep(string $cable): Fix
    {
        return new Fix("Keep {$cable}", SetCable::payload(cable: $cable, length: 2.0));
    }

    public function test_like_causes_are_one_line_and_every_finding_stands_in_one(): void
    {
        $findings = [
            self::finding('drop', Severity::Stop, 'f1'),
            self::finding('drop', Severity::Stop, 'f2'),
            self::finding('two-positives', Severity::Stop, 'r1'),
            self::finding('reckoned', Severity::Open, 'k1', self::keep('k1')),
            self::finding('reckoned', Severity::Open, 'k2', self::keep('k2')),
            self::finding('reckoned', Severity::Open, 'k3', self::keep('k3')),
        ];
        $lines = Slate::of($findings);
        self::assertSame(
            ['Too much is lost before 2 runs', 'two-positives at r1', '3 cables are not measured yet'],
            array_column($lines, 'title'),
        );
        self::assertSame(range(0, 5), array_merge(...array_column($lines, 'at')));
        self::assertNull($lines[0]->fix);
        self::assertNotNull($lines[2]->fix);
        self::assertSame('Together', $lines[2]->fix->change->toArray()['kind']);
        self::assertSame(
            ['k1', 'k2', 'k3'],
            array_column((array) $lines[2]->fix->change->toArray()['changes'], 'cable'),
        );
    }

    public function test_one_fix_for_all_is_offered_where_each_has_one(): void
    {
        $lines = Slate::of([
            self::finding('reckoned', Severity::Open, 'k1', self::keep('k1')),
            self::finding('reckoned', Severity::Open, 'k2'),
        ]);
        self::assertNull($lines[0]->fix);
    }

    /** What is called together is a rule of the registry. */
    public function test_every_line_for_many_is_about_a_rule(): void
    {
        $class = new \ReflectionClass(Slate::class);
        foreach (['MANY', 'ALL'] as $table) {
            $codes = array_keys((array) $class->getConstant($table));
            self::assertSame([], array_diff($codes, array_keys(Registry::rules())), $table);
        }
    }
}
