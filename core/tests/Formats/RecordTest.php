<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Formats;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Record\RecordSchema;
use EmberDusk\Plan\Document;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Records: reading, writing and schema derived from the constructor. */
final class RecordTest extends TestCase
{
    private const RACK = [
        'label' => 'hall-2',
        'name' => 'hall',
        'shelves' => 2,
        'fixed' => true,
        'wood' => 'oak',
        'marks' => ['b', 'a'],
        'gaps' => [0.4],
        'rows' => [1, 3],
        'jars' => [['id' => 'j2', 'litres' => 2.0], ['id' => 'j1', 'litres' => 0.5]],
        'prices' => [['of' => 'j2', 'price' => 3.5]],
        'spare' => null,
        'tilt' => 0.25,
    ];

    public function test_writes_what_it_read_in_the_order_of_the_constructor(): void
    {
        $rack = Rack::read(new Fields(self::RACK));
        self::assertSame(self::RACK, $rack->write());
        self::assertSame(['j2', 'j1'], array_keys($rack->jars));
        self::assertSame(['j2' => 3.5], $rack->prices);
        self::assertSame(2.0, $rack->jars['j2']->litres);
    }

    public function test_takes_defaults_for_absent_fields_only_where_they_are_optional_or_may_be_null(): void
    {
        $rack = Rack::read(new Fields(array_diff_key(self::RACK, ['tilt' => 0, 'spare' => 0, 'label' => 0])));
        self::assertSame([0.5, null], [$rack->tilt, $rack->spare]);
    }

    public function test_brings_a_record_to_its_normal_form(): void
    {
        self::assertSame('hall', Rack::read(new Fields(['name' => ' hall '] + self::RACK))->name);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> changed fields and the pointer of the refusal */
    public static function refused(): iterable
    {
        yield 'absent' => [['fixed' => null], '/fixed'];
        yield 'a text that is too long' => [['name' => 'staircase'], '/name'];
        yield 'a number below its bound' => [['shelves' => 0], '/shelves'];
        yield 'a fraction' => [['shelves' => 1.5], '/shelves'];
        yield 'another word' => [['wood' => 'elm'], '/wood'];
        yield 'another word in a list' => [['marks' => ['a', 'c']], '/marks/1'];
        yield 'a number of a list' => [['gaps' => [2.1]], '/gaps/0'];
        yield 'a field of a record in a list' => [['jars' => [['id' => 'j1', 'litres' => 9]]], '/jars/0/litres'];
        yield 'an id with capitals' => [['jars' => [['id' => 'J1', 'litres' => 1]]], '/jars/0/id'];
        yield 'an id twice' => [
            ['jars' => [['id' => 'j1', 'litres' => 1], ['id' => 'j1', 'litres' => 1]]],
            '/jars/1/id',
        ];
        yield 'a value of a map' => [['prices' => [['of' => 'j1', 'price' => 11]]], '/prices/0/price'];
        yield 'a field of a record' => [['spare' => ['id' => 's']], '/spare/litres'];
        yield 'a rule between fields' => [['gaps' => [0.1, 0.2]], '/gaps'];
    }

    /** @param  array<string, mixed>  $changed */
    #[DataProvider('refused')]
    public function test_refuses_with_a_pointer(array $changed, string $pointer): void
    {
        try {
            Rack::read(new Fields($changed + self::RACK));
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertSame($pointer, $refusal->pointer);
        }
    }

    public function test_describes_itself_as_a_schema_with_the_words_of_its_docblocks(): void
    {
        $made = new RecordSchema();
        $rack = $made->object(Rack::class);
        self::assertSame('A rack with one field of each kind.', $rack['description']);
        self::assertSame(array_keys(self::RACK), $rack['required']);
        self::assertSame(
            [
                'label' => ['type' => 'string'],
                'name' => ['type' => 'string'],
                'shelves' => ['type' => 'integer'],
                'fixed' => ['type' => 'boolean'],
                'wood' => ['type' => 'string', 'enum' => ['', 'oak', 'ash']],
                'marks' => ['type' => 'array', 'items' => ['type' => 'string', 'enum' => ['a', 'b']]],
                'gaps' => [
                    'type' => 'array',
                    'items' => ['type' => 'number'],
                    'description' => 'metres between its shelves',
                ],
                'rows' => ['type' => 'array', 'items' => ['type' => 'integer']],
                'jars' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/jar']],
                'prices' => [
                    'type' => 'array',
                    'items' => [
                        'type' => 'object',
                        'properties' => ['of' => ['type' => 'string'], 'price' => ['type' => 'number']],
                        'required' => ['of', 'price'],
                        'additionalProperties' => false,
                    ],
                ],
                'spare' => ['oneOf' => [['$ref' => '#/$defs/jar'], ['type' => 'null']]],
                'tilt' => ['type' => 'number'],
            ],
            $rack['properties'],
        );
        self::assertSame(
            ['type' => 'number', 'description' => 'that it holds'],
            $made->definitions()['jar']['properties']['litres'] ?? null,
        );
    }

    public function test_the_committed_schema_of_job_files_is_the_one_that_the_records_make(): void
    {
        self::assertSame(Document::schema(), file_get_contents(dirname(__DIR__, 2) . '/schema/job.json'));
    }
}
