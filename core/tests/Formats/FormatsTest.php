<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Formats;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FormatsTest extends TestCase
{
    public function test_fields_read_present_values(): void
    {
        $f = new Fields([
            'name' => 'Cove',
            'length' => 3,
            'list' => [['id' => 'a'], ['id' => 'b']],
            'on' => true,
            'none' => null,
            'sizes' => [1, 2.5],
        ]);
        self::assertSame('Cove', $f->string('name'));
        self::assertSame(3.0, $f->number('length'));
        self::assertSame(['a', 'b'], array_map(static fn(Fields $i): string => $i->string('id'), $f->objects('list')));
        self::assertTrue($f->flag('on'));
        self::assertNull($f->stringOrNull('none'));
        self::assertFalse($f->has('none'));
        self::assertSame([1.0, 2.5], $f->numbers('sizes', 0, 10));
        self::assertSame(7.0, $f->numberOr('none', 7.0));
        self::assertSame('/list/1', $f->objects('list')[1]->pointer);
    }

    /** @return iterable<string, array{callable(Fields): mixed, string, string}> */
    public static function faults(): iterable
    {
        yield 'missing text' => [static fn(Fields $f): mixed => $f->string('x'), '/x', 'Text was expected'];
        yield 'long text' => [static fn(Fields $f): mixed => $f->string('text', 3), '/text', 'longer than 3'];
        yield 'text for a number' => [
            static fn(Fields $f): mixed => $f->number('text'),
            '/text',
            'number was expected',
        ];
        yield 'too small' => [static fn(Fields $f): mixed => $f->number('n', 5, 9), '/n', '4 is outside 5 to 9'];
        yield 'infinite' => [static fn(Fields $f): mixed => $f->number('infinite'), '/infinite', 'number was expected'];
        yield 'not whole' => [static fn(Fields $f): mixed => $f->whole('half', 0, 9), '/half', 'whole number'];
        yield 'no list' => [static fn(Fields $f): mixed => $f->objects('map'), '/map', 'list was expected'];
        yield 'no object' => [static fn(Fields $f): mixed => $f->object('n'), '/n', 'object was expected'];
        yield 'inside a list' => [
            static fn(Fields $f): mixed => $f->objects('list')[0]->number('id'),
            '/list/0/id',
            'number was expected',
        ];
        yield 'an item that is none' => [
            static fn(Fields $f): mixed => $f->objects('mixed'),
            '/mixed/1',
            'object was expected',
        ];
        yield 'a text in numbers' => [
            static fn(Fields $f): mixed => $f->numbers('sizes', 0, 10),
            '/sizes/1',
            'number was expected',
        ];
        yield 'no flag' => [static fn(Fields $f): mixed => $f->flag('n'), '/n', 'true or false'];
        yield 'broken text' => [static fn(Fields $f): mixed => $f->string('broken'), '/broken', 'Text was expected'];
    }

    /** @param  callable(Fields): mixed  $read */
    #[DataProvider('faults')]
    public function test_reports_invalid_values_with_their_place(callable $read, string $pointer, string $said): void
    {
        $f = new Fields([
            'text' => 'four',
            'n' => 4,
            'infinite' => INF,
            'half' => 1.5,
            'map' => ['a' => 1],
            'list' => [['id' => 'a']],
            'mixed' => [[], 3],
            'sizes' => [1, 'x'],
            'broken' => "\xff",
        ]);
        try {
            $read($f);
            self::fail('it was read');
        } catch (Refusal $t) {
            self::assertSame($pointer, $t->pointer);
            self::assertStringContainsString($said, $t->getMessage());
        }
    }

    public function test_json_is_written_for_people_and_read_back(): void
    {
        $text = Json::pretty(['name' => 'Größe/1', 'length' => 3.0, 'list' => []]);
        self::assertSame("{\n    \"name\": \"Größe/1\",\n    \"length\": 3.0,\n    \"list\": []\n}\n", $text);
        self::assertSame('Größe/1', Json::object($text)->name);
    }
}
