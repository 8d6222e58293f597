<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\MeasuredWord;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;
use EmberDusk\Survey\Word;

/** A named spot in a place: on the wall typed before it, or inside the room. */
final readonly class NamedSpot
{
    /**
     * @param  string  $where  in the writer's words
     * @param  int|null  $leg  number of the leg that it is on; null inside the room
     * @param  float  $at  metres from that leg's start
     * @param  float|null  $up metres above the floor; null until measured
     */
    public function __construct(
        public Word $word,
        public string $name,
        public string $where,
        public ?int $leg,
        public float $at,
        public ?float $up = null,
    ) {}

    /**
     * Reads `NAME [where] [[on RUN] at LENGTH [up LENGTH]]`: along the walls of that run, else along the wall typed before.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, WallLengths $lengths, Walls $walls): self
    {
        $word = self::name($clause, 'a name such as P1');
        $where = [];
        while (($next = $clause->peek()) !== null && $next->text !== ',' && !$next->is('at')) {
            $where[] = $next->text;
            $clause->take();
        }
        $leg = $up = null;
        $at = 0.0;
        if (($keyword = $clause->peek())?->is('at')) {
            $clause->take();
            $measured = $lengths->take($clause, 'the distance from the start of the wall', nought: true);
            $on = array_search('on', array_map(mb_strtolower(...), $where), true);
            $run = $on === false ? '' : mb_strtolower(implode('-', array_slice($where, $on + 1)));
            [$leg, $at] = $walls->has($run)
                ? self::along($clause, $measured, $walls, $run)
                : self::before($clause, $lengths, $measured, $walls, $keyword);
            $up = self::height($clause, $lengths);
        }

        return new self(word: $word, name: $word->text, where: implode(' ', $where), leg: $leg, at: $at, up: $up);
    }

    /**
     * @return array{int, float}
     *
     * @throws SlipFound
     */
    private static function along(Clause $clause, MeasuredWord $measured, Walls $walls, string $run): array
    {
        return $walls->along($run, $measured->metres) ??
            throw new SlipFound($clause->slip($measured->word, "The walls of {$run} end before this."));
    }

    /**
     * @return array{int, float}
     *
     * @throws SlipFound
     */
    private static function before(
        Clause $clause,
        WallLengths $lengths,
        MeasuredWord $measured,
        Walls $walls,
        ?Word $keyword,
    ): array {
        $leg = $walls->before - 1;
        if ($leg < 0) {
            throw new SlipFound(
                $clause->slip(
                    $keyword,
                    '“at” is measured along the wall typed before, and there is none. ' .
                        'Type “on” and a run along its wall before “at”, such as “on cove at 0.30”.',
                ),
            );
        }
        if ($measured->metres > $walls->legs[$leg]->length + 1e-9) {
            throw new SlipFound(
                $clause->slip(
                    $measured->word,
                    "The wall typed before is {$lengths->say(
                        $walls->legs[$leg]->length,
                    )} long; this is beyond its end. " . 'For another wall type “on” and a run along it before “at”.',
                ),
            );
        }

        return [$leg, $measured->metres];
    }

    /** @throws SlipFound when no length follows “up” */
    private static function height(Clause $clause, WallLengths $lengths): ?float
    {
        if ($clause->peek()?->is('up') !== true) {
            return null;
        }
        $clause->take();

        return $lengths->take($clause, 'the height above the floor', nought: true)->metres;
    }

    /** @throws SlipFound when no name of one word stands there */
    public static function name(Clause $clause, string $expected): Word
    {
        $word = $clause->take();
        if ($word === null || preg_match('/^\p{L}[\p{L}\p{N}_-]{0,23}$/u', $word->text) !== 1) {
            throw new SlipFound(
                $clause->slip($word, "Expected {$expected}: one word that starts with a letter, at most 24 letters."),
            );
        }

        return $word;
    }
}
