<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\Shelf;
use EmberDusk\Measure\Site\RunNote;
use WeakMap;

/** A plan as plain data and back; core/schema/job.json describes it. */
final readonly class Document
{
    public const FORMAT = 'ember-dusk-job';

    public const VERSION = 3;

    /** The lists of the plan whose items have ids, in the document's order. */
    public const LISTS = ['places', 'runs', 'supplies', 'controllers', 'hubs', 'modules', 'fixtures', 'splices', 'feeds', 'cables', 'lights', 'scenes', 'owned', 'options', 'makings', 'spares', 'kit'];

    /** @return array<string, mixed> */
    public static function write(Plan $plan): array
    {
        $device = static fn (Device $d): array => ['id' => $d->id, 'kit' => $d->kit, 'setting' => $d->setting, 'series' => $d->series, 'parallel' => $d->parallel, 'where' => $d->where];

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'name' => $plan->name,
            'client' => $plan->client,
            'limits' => [
                'drop' => $plan->limits->drop, 'headroom' => $plan->limits->headroom, 'evenness' => $plan->limits->evenness,
                'seam' => $plan->limits->seam, 'cableCelsius' => $plan->limits->cableCelsius,
            ],
            'terms' => $plan->terms->write(),
            'places' => self::each($plan->places, static fn (Place $p): array => ['id' => $p->id, 'name' => $p->name, 'notes' => $p->notes]),
            'runs' => self::each($plan->runs, self::run(...)),
            'supplies' => self::each($plan->supplies, $device),
            'controllers' => self::each($plan->controllers, $device),
            'hubs' => self::each($plan->hubs, $device),
            'modules' => self::each($plan->modules, $device),
            'fixtures' => self::each($plan->fixtures, static fn (Fitting $f): array => ['id' => $f->id, 'kit' => $f->kit, 'place' => $f->place, 'count' => $f->count, 'module' => $f->module]),
            'splices' => self::each($plan->splices, static fn (Splice $s): array => ['id' => $s->id, 'where' => $s->where]),
            'feeds' => self::each($plan->feeds, static fn (Feed $f): array => ['id' => $f->id, 'run' => $f->run, 'pad' => $f->pad]),
            'cables' => self::each($plan->cables, static fn (LaidCable $c): array => [
                'id' => $c->id, 'kit' => $c->kit, 'from' => $c->from, 'to' => $c->to, 'length' => $c->length, 'reckoned' => $c->reckoned,
                'joint' => $c->joint, 'fuse' => $c->fuse, 'existing' => $c->existing,
            ]),
            'lights' => self::each($plan->lights, static fn (Light $l): array => ['id' => $l->id, 'name' => $l->name, 'room' => $l->room]),
            'scenes' => self::each($plan->scenes, static fn (Scene $s): array => ['id' => $s->id, 'name' => $s->name,
                'levels' => array_map(static fn (string $of, array $duties): array => ['of' => $of, 'duties' => $duties], array_keys($s->levels), array_values($s->levels))]),
            'owned' => self::each($plan->owned, static fn (Owned $o): array => ['id' => $o->id, 'count' => $o->count]),
            'options' => self::each($plan->options, static fn (Wish $w): array => $w->write()),
            'makings' => self::each($plan->makings, static fn (Making $m): array => $m->write()),
            'spares' => self::each($plan->spares, static fn (Spare $s): array => ['id' => $s->id, 'count' => $s->count]),
            'kit' => self::each($plan->kit, static fn (Frozen $f): array => ['id' => $f->entry->id(), 'hash' => $f->hash, 'entry' => $f->written]),
        ];
    }

    /**
     * Reads what {@see Schema} has let through; ranges and references are checked by {@see Invariants}.
     */
    public static function read(Fields $f): Plan
    {
        $device = static fn (Fields $d): Device => new Device($d->string('id'), $d->string('kit'), $d->stringOrNull('setting'), $d->whole('series', 1, 40), $d->whole('parallel', 1, 40), $d->string('where', 80));

        return new Plan($f->string('name'), $f->string('client'),
            Limits::read($f->object('limits')), Terms::read($f->object('terms')),
            self::keyed($f, 'places', static fn (Fields $p): Place => new Place($p->string('id'), $p->string('name', 60), $p->string('notes'))),
            self::keyed($f, 'runs', self::readRun(...)),
            self::keyed($f, 'supplies', $device),
            self::keyed($f, 'controllers', $device),
            self::keyed($f, 'hubs', $device),
            self::keyed($f, 'modules', $device),
            self::keyed($f, 'fixtures', static fn (Fields $x): Fitting => new Fitting($x->string('id'), $x->string('kit'), $x->string('place'), $x->whole('count', 1, 200), $x->stringOrNull('module'))),
            self::keyed($f, 'splices', static fn (Fields $s): Splice => new Splice($s->string('id'), $s->string('where', 80))),
            self::keyed($f, 'feeds', static fn (Fields $i): Feed => new Feed($i->string('id'), $i->string('run'), $i->whole('pad', 0, 400_000))),
            self::keyed($f, 'cables', static fn (Fields $c): LaidCable => new LaidCable($c->string('id'), $c->string('kit'), $c->string('from'),
                $c->string('to'), $c->number('length', 0.01, 1000), $c->flag('reckoned'), $c->stringOrNull('joint'), $c->stringOrNull('fuse'), $c->flag('existing'))),
            self::keyed($f, 'lights', static fn (Fields $l): Light => new Light($l->string('id'), $l->string('name', 80), $l->string('room', 80))),
            self::keyed($f, 'scenes', self::readScene(...)),
            self::keyed($f, 'owned', static fn (Fields $o): Owned => new Owned($o->string('id'), $o->whole('count', 1, 1000))),
            self::keyed($f, 'options', Wish::read(...)),
            self::keyed($f, 'makings', Making::read(...)),
            self::keyed($f, 'spares', static fn (Fields $s): Spare => new Spare($s->string('id'), $s->whole('count', 0, 10_000))),
            self::keyed($f, 'kit', self::readFrozen(...)),
        );
    }

    /**
     * Every item of the plan on its own, by "list/id", with the job's own head under "job/": what a change touches.
     *
     * @return array<string, array<array-key, mixed>>
     */
    public static function items(Plan $plan): array
    {
        // Plans never change, and every island of one asks for its items.
        /** @var WeakMap<Plan, array<string, array<array-key, mixed>>>|null $known */
        static $known = null;
        $known ??= new WeakMap;

        /** @var array<string, array<array-key, mixed>> $items */
        $items = $known[$plan] ?? self::listed($plan);
        $known[$plan] = $items;

        return $items;
    }

    /** @return array<string, array<array-key, mixed>> */
    private static function listed(Plan $plan): array
    {
        $document = self::write($plan);
        $items = ['job/' => ['name' => $plan->name, 'client' => $plan->client, 'limits' => $document['limits'], 'terms' => $document['terms']]];
        foreach (self::LISTS as $list) {
            foreach ((new Fields($document))->objects($list) as $item) {
                $items[$list.'/'.$item->string('id')] = $item->all();
            }
        }

        return $items;
    }

    /** @return array<string, mixed> */
    private static function run(Run $r): array
    {
        return ['id' => $r->id, 'place' => $r->place, 'word' => $r->word, 'sections' => $r->sections, 'jumps' => $r->jumps,
            'mounting' => $r->mounting, 'light' => $r->light, 'height' => $r->height,
            'part' => $r->part, 'parts' => $r->parts, 'cap' => $r->cap, 'capChecked' => $r->capChecked, 'zones' => $r->zones, 'pins' => $r->pins,
            'strip' => $r->strip, 'supply' => $r->supply, 'controller' => $r->controller];
    }

    private static function readRun(Fields $r): Run
    {
        $sections = $r->numbers('sections', 0.01, 1000);
        if ($sections === [] || count($sections) > 200) {
            throw $r->trouble('sections', 'A run has 1 to 200 sections.');
        }
        $jumps = $r->numbers('jumps', 0.0, 1000);
        if (count($jumps) !== count($sections) - 1) {
            throw $r->trouble('jumps', 'There is one jump fewer than sections.');
        }

        return new Run($r->string('id'), $r->string('place'), $r->string('word', 24), $sections, $jumps,
            $r->stringOrNull('strip'), $r->stringOrNull('supply'), $r->stringOrNull('controller'),
            self::mounting($r), $r->string('light', 10), $r->numberOrNull('height', 0, 1000),
            $r->whole('part', 1, 8), $r->whole('parts', 1, 8), $r->number('cap', 0.2, 1), $r->flag('capChecked'),
            array_map(static fn (float $pad): int => (int) $pad, $r->numbers('zones', 1, 400_000)), $r->strings('pins'));
    }

    /** @return list<string> */
    private static function mounting(Fields $r): array
    {
        $mounting = $r->strings('mounting');
        foreach ($mounting as $n => $one) {
            if (! in_array($one, RunNote::MOUNTINGS, true)) {
                throw $r->trouble("mounting/{$n}", "“{$one}” is none of ".implode(', ', RunNote::MOUNTINGS).'.');
            }
        }

        return $mounting;
    }

    private static function readScene(Fields $s): Scene
    {
        $levels = [];
        foreach ($s->objects('levels') as $level) {
            $levels[$level->string('of', 40)] = $level->numbers('duties', 0, 1);
        }

        return new Scene($s->string('id'), $s->string('name', 40), $levels);
    }

    private static function readFrozen(Fields $k): Frozen
    {
        $entry = $k->object('entry');
        $read = Shelf::entry($entry);
        if ($read->id() !== $k->string('id')) {
            throw $k->trouble('id', "The copy's own id is “{$read->id()}”.");
        }
        $hash = Shelf::hash($entry->all());
        if ($hash !== $k->string('hash')) {
            throw $k->trouble('hash', "The frozen copy was altered: its content has the hash {$hash}.");
        }

        return new Frozen($hash, $entry->all(), $read);
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

    /**
     * @template T
     *
     * @param  callable(Fields): T  $read
     * @return array<string, T>
     */
    private static function keyed(Fields $f, string $list, callable $read): array
    {
        $items = [];
        foreach ($f->objects($list) as $item) {
            $id = $item->string('id');
            if (preg_match('/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/', $id) !== 1 || strlen($id) > 40) {
                throw $item->trouble('id', 'An id has small letters, digits and single dashes, at most 40, and begins with a letter.');
            }
            if (isset($items[$id])) {
                throw $item->trouble('id', "“{$id}” is there twice.");
            }
            $items[$id] = $read($item);
        }

        return $items;
    }
}
