<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks;

use EmberDusk\Checks\GroupedFindings;
use EmberDusk\Checks\Registry;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\TestCase;

final class GroupedFindingsTest extends TestCase
{
    private static function finding(string $code, Severity $severity, string $place, Fix ...$fixes): Finding
    {
        return new Finding(
            code: $code,
            severity: $severity,
            title: "{$code} at {$place}",
            detail: '',
            place: new FindingPlace(JobStage::Wire, $place),
            fixes: array_values($fixes),
        );
    }

    private static function keep(string $cable): Fix
    {
        return new Fix("Keep {$cable}", SetCable::payload(cable: $cable, length: 2.0));
    }

    public function test_groups_equal_causes_and_lists_every_finding_once(): void
    {
        $findings = [
            self::finding('drop', Severity::Stop, 'f1'),
            self::finding('drop', Severity::Stop, 'f2'),
            self::finding('two-positives', Severity::Stop, 'r1'),
            self::finding('reckoned', Severity::Open, 'k1', self::keep('k1')),
            self::finding('reckoned', Severity::Open, 'k2', self::keep('k2')),
            self::finding('reckoned', Severity::Open, 'k3', self::keep('k3')),
        ];
        $lines = GroupedFindings::from($findings);
        self::assertSame(
            ['Voltage drop too high for 2 runs', 'two-positives at r1', '3 cables are not measured yet'],
            array_column($lines, 'title'),
        );
        self::assertSame(range(0, 5), array_merge(...array_column($lines, 'at')));
        self::assertNull($lines[0]->fix);
        self::assertNotNull($lines[2]->fix);
        self::assertSame('Together', $lines[2]->fix->change->write()['kind']);
        self::assertSame(['k1', 'k2', 'k3'], array_column((array) $lines[2]->fix->change->write()['changes'], 'cable'));
    }

    public function test_one_fix_for_all_is_offered_where_each_has_one(): void
    {
        $lines = GroupedFindings::from([
            self::finding('reckoned', Severity::Open, 'k1', self::keep('k1')),
            self::finding('reckoned', Severity::Open, 'k2'),
        ]);
        self::assertNull($lines[0]->fix);
    }

    /** Grouped titles belong to rules of the registry. */
    public function test_every_line_for_many_is_about_a_rule(): void
    {
        $class = new \ReflectionClass(GroupedFindings::class);
        foreach (['MANY', 'ALL'] as $table) {
            $codes = array_keys((array) $class->getConstant($table));
            self::assertSame([], array_diff($codes, array_keys(Registry::rules())), $table);
        }
    }
}
