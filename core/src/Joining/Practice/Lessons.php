<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Formats\Fields;
use EmberDusk\Joining\ControlledLight;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Profiles\Behaviour;
use EmberDusk\Values\InvalidInput;

/** All lessons, from core/data/lessons.json: adding one is a paragraph there. Their instructions are invented. */
final readonly class Lessons
{
    /** @return list<Lesson> easy to hard */
    public static function all(): array
    {
        // It ships with the program and is checked by its tests, so it is only decoded.
        $document = json_decode(
            (string) file_get_contents(dirname(__DIR__, 3) . '/data/lessons.json'),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
        $book = new Fields((array) $document);
        $leaflets = $book->object('leaflets');
        $lessons = [];
        foreach ($book->objects('lessons') as $n => $f) {
            $lessons[] = self::read($n + 1, $f, $leaflets);
        }

        return $lessons;
    }

    /** @throws InvalidInput */
    public static function get(string $key): Lesson
    {
        foreach (self::all() as $lesson) {
            if ($lesson->key === $key) {
                return $lesson;
            }
        }

        throw InvalidInput::unknown('/lesson', 'lesson', $key);
    }

    private static function read(int $number, Fields $f, Fields $leaflets): Lesson
    {
        $units = [Roster::PHONE => new Unit(Roster::PHONE, 'Phone', Unit::PHONE, '', '')];
        foreach ($f->objects('units') as $u) {
            $unit = self::unit($u, $leaflets);
            $units[$unit->id] = $unit;
        }

        return new Lesson(
            number: $number,
            key: $f->string('key', 40),
            title: $f->string('title', 80),
            teaches: $f->string('teaches', 400),
            goal: $f->string('goal', 400),
            mistake: $f->string('mistake', 400),
            told: $f->flag('told'),
            names: $f->has('names') && $f->flag('names'),
            seed: $number,
            roster: new Roster(
                $units,
                array_map(self::want(...), $f->strings('wants')),
                new TimingMethod(proves: false),
            ),
            flaws: array_map(Flaw::read(...), $f->stringsOr('flaws', [])),
        );
    }

    /** Control and light, and the zone where the control has zones: “r1 c2 3”. */
    private static function want(string $text): ControlledLight
    {
        [$control, $light, $zone] = [...explode(' ', $text), '0'];

        return new ControlledLight($control, $light, (int) $zone);
    }

    private static function unit(Fields $u, Fields $leaflets): Unit
    {
        $at = $u->has('at') ? $u->numbers('at', -500, 500) : [];

        $switch = $u->has('switch') ? $u->string('switch', 10) : '';
        $kind = $u->has('kind') ? $u->string('kind', 20) : '';
        $zones = $u->has('zones') ? $u->whole('zones', 0, 99) : 0;

        return new Unit(
            id: $u->string('id', 10),
            name: $u->string('name', 60),
            role: $u->string('role', 20),
            family: $u->string('family', 20),
            way: $u->string('way', 20),
            leaflet: Behaviour::read($leaflets->object($u->string('leaflet', 20))),
            place: 'practice',
            at: count($at) === 2 ? [$at[0], $at[1]] : null,
            switch: $switch,
            kind: $kind,
            speaks: [$u->string('way', 20)],
            zones: $zones,
            used: $u->has('used') && $u->flag('used'),
            fixed: $u->has('fixed') && $u->flag('fixed'),
        );
    }
}
