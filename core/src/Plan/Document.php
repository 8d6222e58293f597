<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Formats\Json;
use EmberDusk\Formats\Record\FieldShape;
use EmberDusk\Formats\Record\RecordSchema;
use EmberDusk\Formats\Record\Shape;
use WeakMap;

/** A plan as plain data and back; core/schema/job.json describes it. */
final readonly class Document
{
    public const FORMAT = 'ember-dusk-job';

    public const VERSION = 12;

    /** @return array<string, mixed> */
    public static function write(Plan $plan): array
    {
        return ['format' => self::FORMAT, 'version' => self::VERSION, ...$plan->write()];
    }

    /** @return list<string> lists of the plan whose items have ids, in the document's order */
    public static function lists(): array
    {
        return array_keys(
            array_filter(Shape::for(Plan::class)->fields, static fn(FieldShape $f): bool => $f->field->keyed),
        );
    }

    /** The JSON Schema of job files; bin/schemas writes it to core/schema/job.json. */
    public static function schema(): string
    {
        $schema = new RecordSchema();
        $plan = $schema->object(Plan::class);
        $head = ['format' => ['const' => self::FORMAT], 'version' => ['const' => self::VERSION]];

        return Json::pretty([
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://ember-dusk.invalid/schema/job.json',
            'title' => 'JobFile',
            ...$plan,
            'description' =>
                'A job\'s design, version ' .
                self::VERSION .
                '. Metres, volts, amps, ohms; limits are shares of one; pads are counted from a run\'s start. Made by bin/schemas.',
            'properties' => [...$head, ...$plan['properties']],
            'required' => [...array_keys($head), ...$plan['required']],
            '$defs' => $schema->definitions(),
        ]);
    }

    /**
     * Every item of the plan by "list/id", with the job's head under "job/": the touched ids of a change.
     *
     * @return array<string, array<array-key, mixed>>
     */
    public static function items(Plan $plan): array
    {
        // Plans never change, and every island of one asks for its items.
        /** @var WeakMap<Plan, array<string, array<array-key, mixed>>>|null $known */
        static $known = null;
        $known ??= new WeakMap();

        /** @var array<string, array<array-key, mixed>> $items */
        $items = $known[$plan] ?? self::listed($plan);
        $known[$plan] = $items;

        return $items;
    }

    /** @return array<string, array<array-key, mixed>> */
    private static function listed(Plan $plan): array
    {
        $document = $plan->write();
        $lists = self::lists();
        $items = ['job/' => array_diff_key($document, array_flip($lists))];
        foreach ($lists as $list) {
            foreach ((new Fields($document))->objects($list) as $item) {
                $items[$list . '/' . $item->string('id')] = $item->all();
            }
        }

        return $items;
    }
}
