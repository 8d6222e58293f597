<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Values;

use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Input;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Range;
use EmberDusk\Values\Severity;
use PHPUnit\Framework\TestCase;

final class ValuesTest extends TestCase
{
    public function test_a_figure_prints_its_decimals_and_its_range(): void
    {
        $figure = new Figure(
            label: 'Evenness',
            value: 0.6549,
            unit: '',
            decimals: 2,
            formula: 'd / b',
            inputs: [
                new Input('d', 'darkest', 0.59123456789, 'of full', 'plan'),
                new Input('b', 'brightest', 0.9027, 'of full', 'plan'),
            ],
            range: new Range(0.6312, 0.6799),
        );
        $array = $figure->write();
        self::assertSame('0.65', $array['text']);
        self::assertSame(['0.63', '0.68'], $array['range']);
        self::assertSame(
            ['symbol' => 'd', 'meaning' => 'darkest', 'text' => '0.5912346', 'unit' => 'of full', 'path' => 'plan'],
            $array['inputs'][0] ?? null,
        );
    }

    public function test_printing_has_no_negative_zero_and_no_thousands(): void
    {
        self::assertSame('0.00', Figure::print(-0.0001, 2));
        self::assertSame('-0.01', Figure::print(-0.011, 2));
        self::assertSame('12345.7', Figure::print(12345.67, 1));
    }

    public function test_inputs_show_enough_digits_at_any_size(): void
    {
        foreach (
            [[0.0, '0'], [1e-12, '0.000000000001'], [24.0, '24'], [123456.0, '123456'], [0.013300000001, '0.0133']]
            as [$value, $text]
        ) {
            $shown = (new Figure(
                label: 'x',
                value: 1,
                unit: '',
                decimals: 0,
                formula: 'a',
                inputs: [new Input('a', '', $value, '', 'plan')],
            ))->write()['inputs'];
            self::assertIsArray($shown);
            self::assertSame($text, $shown[0]['text']);
        }
    }

    public function test_a_range_contains_only_inner_values(): void
    {
        $range = Range::over(0.92, 0.88, 0.95);
        self::assertSame([0.88, 0.95], [$range->low, $range->high]);
        self::assertTrue($range->straddles(0.9));
        self::assertFalse($range->straddles(0.88));
        self::assertFalse($range->straddles(0.96));
    }

    public function test_findings_stand_worst_first_and_otherwise_as_found(): void
    {
        $of = static fn(string $code, Severity $s): Finding => new Finding(
            code: $code,
            severity: $s,
            title: $code,
            detail: '',
            place: new FindingPlace(JobStage::Wire),
        );
        $sorted = Finding::worstFirst([
            $of('a', Severity::Open),
            $of('b', Severity::Watch),
            $of('c', Severity::Stop),
            $of('d', Severity::Watch),
            $of('e', Severity::Stop),
        ]);
        self::assertSame(['c', 'e', 'b', 'd', 'a'], array_map(static fn(Finding $f): string => $f->code, $sorted));
    }

    public function test_a_finding_carries_its_place_and_its_fixes(): void
    {
        $array = (new Finding(
            code: 'drop',
            severity: Severity::Stop,
            title: 'T',
            detail: 'D',
            place: new FindingPlace(JobStage::Wire, 'f1'),
            number: 1.3,
            limit: 1.2,
            source: 'S',
            fixes: [new Fix('Mend', ChangePayload::named('X'))],
        ))->write();
        self::assertSame(
            ['wire', 'f1', 'stop', 'S'],
            [$array['stage'], $array['place'], $array['severity'], $array['source']],
        );
        self::assertSame([['label' => 'Mend', 'change' => ['kind' => 'X']]], $array['fixes']);
    }
}
