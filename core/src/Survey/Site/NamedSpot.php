<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\Leg;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\TapeLengths;
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
     * Reads `NAME [where] [at LENGTH [up LENGTH]]`; the walls are those typed before it.
     *
     * @param  list<Leg>  $legs
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, TapeLengths $lengths, array $legs): self
    {
        $word = self::name($clause, 'a name such as P1');
        $where = [];
        while (($next = $clause->peek()) !== null && $next->text !== ',' && !$next->is('at')) {
            $where[] = $next->text;
            $clause->take();
        }
        $at = $leg = $up = null;
        if ($clause->peek()?->is('at')) {
            $keyword = $clause->take();
            if ($legs === []) {
                throw new SlipFound(
                    $clause->slip(
                        $keyword,
                        '“at” is measured along the wall typed before, and there is none yet. Type this line after its wall, or leave “at” out.',
                    ),
                );
            }
            $leg = count($legs) - 1;
            $measured = $lengths->take($clause, 'the distance from the start of the leg before', nought: true);
            $at = $measured->metres;
            $up = self::height($clause, $lengths);
            if ($at > $legs[$leg]->length + 1e-9) {
                throw new SlipFound(
                    $clause->slip(
                        $measured->word,
                        "The leg before is {$lengths->say($legs[$leg]->length)} long; this is beyond its end.",
                    ),
                );
            }
        }

        return new self(
            word: $word,
            name: $word->text,
            where: implode(' ', $where),
            leg: $leg,
            at: $at ?? 0.0,
            up: $up,
        );
    }

    /** @throws SlipFound when no length follows “up” */
    private static function height(Clause $clause, TapeLengths $lengths): ?float
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
