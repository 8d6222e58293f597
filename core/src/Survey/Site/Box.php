<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\Number;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;
use EmberDusk\Survey\Word;

/** A place where supply and controllers can hide: inner size in metres, air, access. */
final readonly class Box
{
    public const AIR = ['open', 'vented', 'sealed'];

    public const ACCESS = ['hand', 'tools', 'ladder', 'closed'];

    /**
     * @param  array{float, float, float}|null  $size  metres: width, height, depth
     * @param  string  $air one of AIR, or empty if unknown
     * @param  string  $access  one of ACCESS, or empty
     */
    public function __construct(
        public NamedSpot $spot,
        public ?array $size,
        public string $air,
        public string $access,
    ) {}

    /**
     * Reads `B1 [where] [at LENGTH] {, 40x30x12 [cm|mm|in] | open | vented | sealed | hand | tools | ladder | closed}`.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, WallLengths $lengths, Walls $walls): self
    {
        $spot = NamedSpot::read($clause, $lengths, $walls);
        $size = null;
        $air = $access = '';
        while (($word = $clause->attribute()) !== null) {
            if ($word->is(...self::AIR)) {
                $air = mb_strtolower($word->text);
            } elseif ($word->is(...self::ACCESS)) {
                $access = mb_strtolower($word->text);
            } elseif (preg_match('/^\d/', $word->text) === 1) {
                $size = self::size($clause, $word);
            } else {
                throw $clause->unknown($word, 'a box', [...self::AIR, ...self::ACCESS], ' or a size such as 40x30x12');
            }
        }

        return new self($spot, $size, $air, $access);
    }

    /** @return array{float, float, float} */
    private static function size(Clause $clause, Word $word): array
    {
        $n = '(' . Number::PATTERN . ')';
        if (preg_match("/^{$n}[x×]{$n}[x×]{$n}(cm|mm|in)?$/iu", $word->text, $found) !== 1) {
            throw new SlipFound(
                $clause->slip(
                    $word,
                    "“{$word->text}” is not a size. Type width x height x depth in one word, such as 40x30x12 (centimetres).",
                ),
            );
        }
        $unit = mb_strtolower($found[4] ?? '');
        if ($unit === '' && $clause->peek()?->is('cm', 'mm', 'in')) {
            $unit = mb_strtolower($clause->take()->text ?? '');
        }
        $metres = ['cm' => 0.01, 'mm' => 0.001, 'in' => 0.0254][$unit === '' ? 'cm' : $unit];
        $sides = array_map(static fn(string $s): float => (Number::read($s) ?? 0.0) * $metres, [
            $found[1],
            $found[2],
            $found[3],
        ]);
        if (min($sides) <= 0 || max($sides) > 5) {
            throw new SlipFound(
                $clause->slip(
                    $word,
                    "A box of {$word->text} is not possible: each side is more than 0 and at most 5 m. Numbers without a unit are centimetres.",
                ),
            );
        }

        return [$sides[0], $sides[1], $sides[2]];
    }
}
