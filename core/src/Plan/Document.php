<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use WeakMap;

/** A plan as plain data and back; core/schema/job.json describes it. */
final readonly class Document
{
    public const FORMAT = 'ember-dusk-job';

    public const VERSION = 8;

    /** The lists of the plan whose items have ids, in the document's order. */
    public const LISTS = [
        'places',
        'runs',
        'supplies',
        'controllers',
        'hubs',
        'modules',
        'fixtures',
        'splices',
        'feeds',
        'cables',
        'lights',
        'scenes',
        'owned',
        'options',
        'makings',
        'spares',
        'items',
        'splits',
        'answers',
        'tunings',
        'shows',
        'triggers',
        'kit',
    ];

    /** @return array<string, mixed> */
    public static function write(Plan $plan): array
    {
        $device = static fn(Device $d): array => [
            'id' => $d->id,
            'kit' => $d->kit,
            'setting' => $d->setting,
            'series' => $d->series,
            'parallel' => $d->parallel,
            'stands' => $d->stands?->write(),
            'bank' => $d->bank,
            'there' => $d->there,
            'used' => $d->used,
        ];

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'name' => $plan->name,
            'client' => $plan->client,
            'limits' => [
                'drop' => $plan->limits->drop,
                'headroom' => $plan->limits->headroom,
                'evenness' => $plan->limits->evenness,
                'seam' => $plan->limits->seam,
                'cableCelsius' => $plan->limits->cableCelsius,
            ],
            'terms' => $plan->terms->write(),
            'position' => $plan->position?->write(),
            'places' => self::each(
                $plan->places,
                static fn(Place $p): array => ['id' => $p->id, 'name' => $p->name, 'notes' => $p->notes],
            ),
            'runs' => self::each($plan->runs, static fn(Run $r): array => $r->write()),
            'supplies' => self::each($plan->supplies, $device),
            'controllers' => self::each($plan->controllers, $device),
            'hubs' => self::each($plan->hubs, $device),
            'modules' => self::each($plan->modules, $device),
            'fixtures' => self::each(
                $plan->fixtures,
                static fn(Fitting $f): array => [
                    'id' => $f->id,
                    'kit' => $f->kit,
                    'place' => $f->place,
                    'count' => $f->count,
                    'module' => $f->module,
                ],
            ),
            'splices' => self::each($plan->splices, static fn(Splice $s): array => $s->write()),
            'feeds' => self::each($plan->feeds, static fn(Feed $f): array => $f->write()),
            'cables' => self::each($plan->cables, static fn(LaidCable $c): array => $c->write()),
            'lights' => self::each(
                $plan->lights,
                static fn(Light $l): array => ['id' => $l->id, 'name' => $l->name, 'room' => $l->room],
            ),
            'scenes' => self::each(
                $plan->scenes,
                static fn(Scene $s): array => [
                    'id' => $s->id,
                    'name' => $s->name,
                    'fade' => $s->fade,
                    'levels' => array_map(
                        static fn(string $of, array $duties): array => ['of' => $of, 'duties' => $duties],
                        array_keys($s->levels),
                        array_values($s->levels),
                    ),
                ],
            ),
            'owned' => self::each($plan->owned, static fn(Owned $o): array => ['id' => $o->id, 'count' => $o->count]),
            'options' => self::each($plan->options, static fn(Requirement $w): array => $w->write()),
            'makings' => self::each($plan->makings, static fn(Assembly $m): array => $m->write()),
            'spares' => self::each($plan->spares, static fn(Spare $s): array => ['id' => $s->id, 'count' => $s->count]),
            'items' => self::each($plan->items, static fn(Item $i): array => $i->write()),
            'splits' => self::each($plan->splits, static fn(Split $s): array => $s->write()),
            'answers' => self::each($plan->answers, static fn(Answer $a): array => $a->write()),
            'tunings' => self::each($plan->tunings, static fn(Tuning $t): array => $t->write()),
            'shows' => self::each($plan->shows, static fn(Show $s): array => $s->write()),
            'triggers' => self::each($plan->triggers, static fn(Trigger $t): array => $t->write()),
            'kit' => self::each(
                $plan->kit,
                static fn(KitSnapshot $f): array => [
                    'id' => $f->entry->id(),
                    'hash' => $f->hash,
                    'entry' => $f->written,
                ],
            ),
        ];
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
        $document = self::write($plan);
        $items = [
            'job/' => [
                'name' => $plan->name,
                'client' => $plan->client,
                'limits' => $document['limits'],
                'terms' => $document['terms'],
                'position' => $document['position'],
            ],
        ];
        foreach (self::LISTS as $list) {
            foreach ((new Fields($document))->objects($list) as $item) {
                $items[$list . '/' . $item->string('id')] = $item->all();
            }
        }

        return $items;
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $items
     * @param  callable(T): array<string, mixed>  $write
     * @return list<array<string, mixed>>
     */
    private static function each(array $items, callable $write): array
    {
        return array_map($write, array_values($items));
    }
}
