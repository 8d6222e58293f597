<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;
use EmberDusk\Survey\Word;

/** Notes about a run besides its length: mounting, light type, height. */
final readonly class RunNote
{
    public const MOUNTINGS = ['profile', 'bare', 'outdoors', 'moving', 'removable'];

    public const LIGHTS = ['room', 'mood'];

    /** Word for a strip whose arrow is settled: data keeps its end. */
    public const FIXED = 'fixed';

    /** Label of each light type in the notes; labels of earlier versions are still read. */
    public const CALLED = ['room' => 'main', 'mood' => 'accent'];

    /**
     * @param  list<string>  $mounting  of MOUNTINGS, in their order
     * @param  string  $light  one of LIGHTS, or empty
     * @param  float|null  $height  metres above the floor
     * @param  Span|null  $attributes  from the first comma on
     * @param  PixelMatrix|null  $matrix  of pixels
     * @param  bool  $fixed  whether the end at which data comes in must not change
     */
    public function __construct(
        public Word $word,
        public string $run,
        public array $mounting,
        public string $light,
        public ?float $height,
        public Span $span,
        public ?Span $attributes,
        public ?PixelMatrix $matrix = null,
        public bool $fixed = false,
    ) {}

    /**
     * Reads `cove {, profile | bare | outdoors | moving | removable | main [light] | accent [light] | up LENGTH | matrix WxH | CORNER |
     * rows | columns | serpentine | straight | fixed}`.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, WallLengths $lengths): self
    {
        $word = $clause->name('the run’s name');
        $mounting = [];
        $light = '';
        $height = null;
        $matrix = null;
        $fixed = false;
        $first = $clause->peek();
        while (($attribute = $clause->attribute()) !== null) {
            $text = mb_strtolower($attribute->text);
            if (in_array($text, self::MOUNTINGS, true)) {
                $mounting[$text] = true;
            } elseif (in_array($text, [...self::CALLED, ...self::LIGHTS], true)) {
                $light = array_search($text, self::CALLED, true) ?: $text;
                if ($clause->peek()?->is('light')) {
                    $clause->take();
                }
            } elseif (in_array($text, PixelMatrix::ATTRIBUTES, true)) {
                $matrix = PixelMatrix::read($clause, $attribute, $matrix);
            } elseif ($text === self::FIXED) {
                $fixed = true;
            } elseif ($text === 'up') {
                $height = $lengths->take($clause, 'the height above the floor', nought: true)->metres;
            } else {
                throw $clause->unknown($attribute, 'a run', [
                    ...self::MOUNTINGS,
                    ...array_values(self::CALLED),
                    'up',
                    'matrix',
                    self::FIXED,
                ]);
            }
        }
        if (isset($mounting['profile'], $mounting['bare'])) {
            throw new SlipFound($clause->slip($word, 'A run is in a profile or bare, not both.'));
        }

        $attributes = $first !== null ? Span::over($first, $clause->last()) : null;

        return new self(
            word: $word,
            run: mb_strtolower($word->text),
            mounting: array_values(array_filter(self::MOUNTINGS, static fn(string $m): bool => isset($mounting[$m]))),
            light: $light,
            height: $height,
            span: Span::over($clause->first(), $clause->last()),
            attributes: $attributes,
            matrix: $matrix,
            fixed: $fixed,
        );
    }

    /**
     * The clause's end for such a mounting and light: ", profile, main light".
     *
     * @param  list<string>  $mounting
     */
    public static function write(
        array $mounting,
        string $light,
        ?string $height,
        ?PixelMatrix $matrix,
        bool $fixed,
    ): string {
        $words = [
            ...$mounting,
            ...$light === '' ? [] : [self::CALLED[$light] . ' light'],
            ...$height === null ? [] : ["up {$height}"],
            ...$matrix === null ? [] : [$matrix->note()],
            ...$fixed ? [self::FIXED] : [],
        ];

        return implode('', array_map(static fn(string $w): string => ", {$w}", $words));
    }
}
