<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\Shelf;

/** A plan from plain data; what {@see Document} writes is read by it. */
final readonly class DocumentReader
{
    /**
     * Reads what {@see Schema} has let through; ranges and references are checked by {@see Invariants}.
     */
    public static function read(Fields $f): Plan
    {
        $device = static fn(Fields $d): Device => new Device(
            id: $d->string('id'),
            kit: $d->string('kit'),
            setting: $d->stringOrNull('setting'),
            series: $d->whole('series', 1, 40),
            parallel: $d->whole('parallel', 1, 40),
            stands: $d->maybe('stands', Standing::read(...)),
            bank: $d->stringOrNull('bank'),
            there: $d->flag('there'),
            used: $d->flag('used'),
        );

        return new Plan(
            name: $f->string('name'),
            client: $f->string('client'),
            limits: Limits::read($f->object('limits')),
            terms: Terms::read($f->object('terms')),
            position: $f->maybe('position', Position::read(...)),
            places: self::keyed(
                $f,
                'places',
                static fn(Fields $p): Place => new Place($p->string('id'), $p->string('name', 60), $p->string('notes')),
            ),
            runs: self::keyed($f, 'runs', Run::read(...)),
            supplies: self::keyed($f, 'supplies', $device),
            controllers: self::keyed($f, 'controllers', $device),
            hubs: self::keyed($f, 'hubs', $device),
            modules: self::keyed($f, 'modules', $device),
            fixtures: self::keyed(
                $f,
                'fixtures',
                static fn(Fields $x): Fitting => new Fitting(
                    id: $x->string('id'),
                    kit: $x->string('kit'),
                    place: $x->string('place'),
                    count: $x->whole('count', 1, 200),
                    module: $x->stringOrNull('module'),
                ),
            ),
            splices: self::keyed($f, 'splices', Splice::read(...)),
            feeds: self::keyed($f, 'feeds', Feed::read(...)),
            cables: self::keyed($f, 'cables', LaidCable::read(...)),
            lights: self::keyed(
                $f,
                'lights',
                static fn(Fields $l): Light => new Light(
                    $l->string('id'),
                    $l->string('name', 80),
                    $l->string('room', 80),
                ),
            ),
            scenes: self::keyed($f, 'scenes', self::readScene(...)),
            owned: self::keyed(
                $f,
                'owned',
                static fn(Fields $o): Owned => new Owned($o->string('id'), $o->whole('count', 1, 1000)),
            ),
            options: self::keyed($f, 'options', Requirement::read(...)),
            makings: self::keyed($f, 'makings', Assembly::read(...)),
            spares: self::keyed(
                $f,
                'spares',
                static fn(Fields $s): Spare => new Spare($s->string('id'), $s->whole('count', 0, 10_000)),
            ),
            items: self::keyed($f, 'items', Item::read(...)),
            answers: self::keyed($f, 'answers', Answer::read(...)),
            tunings: self::keyed($f, 'tunings', Tuning::read(...)),
            shows: self::keyed($f, 'shows', Show::read(...)),
            triggers: self::keyed($f, 'triggers', Trigger::read(...)),
            splits: self::keyed($f, 'splits', Split::read(...)),
            kit: self::keyed($f, 'kit', self::readSnapshot(...)),
        );
    }

    private static function readScene(Fields $s): Scene
    {
        $levels = [];
        foreach ($s->objects('levels') as $level) {
            $levels[$level->string('of', 40)] = $level->numbers('duties', 0, 1);
        }

        return new Scene(
            $s->string('id'),
            $s->string('name', 40),
            $levels,
            $s->numberOr('fade', 0.0, 0, Scene::LONGEST_FADE),
        );
    }

    private static function readSnapshot(Fields $k): KitSnapshot
    {
        $entry = $k->object('entry');
        $read = Shelf::entry($entry);
        if ($read->id() !== $k->string('id')) {
            throw $k->invalid('id', "The copy's own id is “{$read->id()}”.");
        }
        $hash = Shelf::hash($entry->all());
        if ($hash !== $k->string('hash')) {
            throw $k->invalid('hash', "The frozen copy was altered: its content has the hash {$hash}.");
        }

        return new KitSnapshot($hash, $entry->all(), $read);
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
                throw $item->invalid(
                    'id',
                    'An id has small letters, digits and single dashes, at most 40, and begins with a letter.',
                );
            }
            if (isset($items[$id])) {
                throw $item->invalid('id', "“{$id}” is there twice.");
            }
            $items[$id] = $read($item);
        }

        return $items;
    }
}
