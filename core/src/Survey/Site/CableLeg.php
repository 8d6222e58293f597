<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\Conductor;
use EmberDusk\Survey\LengthReader;
use EmberDusk\Survey\Number;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;
use EmberDusk\Survey\Word;
use EmberDusk\Values\Refusal;

/** A cable that is already there: from, to, cores, size, length if known, how it is laid, what tracing found. */
final readonly class CableLeg
{
    public const LAID = ['wall', 'conduit', 'ceiling', 'surface', 'ground', 'free'];

    public const MAKES = ['solid', 'stranded', 'flexible'];

    /**
     * @param  string|null  $to null if its end is unknown
     * @param  float|null  $length  metres, one way
     * @param  bool  $guessed  size or length were not read or measured
     * @param  bool  $open  no tone at all: a core is broken, which one is not known
     * @param  list<int>  $broken  cores that gave no tone
     * @param  string|null  $joined  the leg that it is joined with somewhere on the way
     * @param  Span  $span  of its words
     * @param  list<Span>  $marks  of the words that a trace wrote, each with its comma
     */
    public function __construct(
        public Word $word,
        public string $name,
        public string $from,
        public ?string $to,
        public int $cores,
        public Conductor $conductor,
        public ?float $length,
        public string $laid,
        public bool $guessed,
        public bool $traced,
        public bool $open,
        public array $broken,
        public ?string $joined,
        public Span $span,
        public array $marks,
    ) {}

    /**
     * Reads `A FROM to TO 3x2.5 [awg] [LENGTH] {, wall … | solid … | known | guessed | traced | open | core N broken | joined B}`.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, WallLengths $lengths): self
    {
        $word = NamedSpot::name($clause, 'the leg’s name');
        $from = NamedSpot::name($clause, 'the start of the leg')->text;
        $clause->keyword('to', 'Type “to” between the two ends of a leg.');
        if ($clause->peek()?->text === '?') {
            $to = $clause->take();
        } else {
            $to = NamedSpot::name($clause, 'the end of the leg (or ? if unknown)');
        }
        $sizeWord = $clause->take();
        $noted = self::size($clause, $sizeWord);
        $length = null;
        if ($clause->peek()?->text === '?') {
            $clause->take();
        } elseif ($clause->peek() !== null && LengthReader::begins($clause->peek())) {
            $length = $lengths->take($clause, 'the leg’s length')->metres;
        }
        $make = $laid = '';
        $guessed = $traced = $open = false;
        $broken = [];
        $joined = null;
        $marks = [];
        $comma = $clause->peek();
        while (($attribute = $clause->attribute()) !== null) {
            $mark = true;
            if ($attribute->is('traced')) {
                $traced = true;
            } elseif ($attribute->is('open')) {
                $open = true;
            } elseif ($attribute->is('core')) {
                $broken[] = $clause->count($clause->take(), 'the number of the core', $noted->cores);
                $clause->keyword('broken', 'Type “broken” after the core’s number.');
            } elseif ($attribute->is('joined')) {
                $joined = NamedSpot::name($clause, 'the leg that it is joined with')->text;
            } else {
                $mark = false;
                $text = mb_strtolower($attribute->text);
                if (in_array($text, self::LAID, true)) {
                    $laid = $text;
                } elseif (in_array($text, self::MAKES, true)) {
                    $make = $text;
                } elseif ($attribute->is('known', 'guessed')) {
                    $guessed = $text === 'guessed';
                } else {
                    throw $clause->unknown($attribute, 'a leg', [
                        ...self::LAID,
                        ...self::MAKES,
                        'known',
                        'guessed',
                        'traced',
                        'open',
                        'core',
                        'joined',
                    ]);
                }
            }
            if ($mark && $comma !== null) {
                $marks[] = Span::over($comma, $clause->last());
            }
            $comma = $clause->peek();
        }

        return new self(
            word: $word,
            name: $word->text,
            from: $from,
            to: $to?->text === '?' ? null : $to?->text,
            cores: $noted->cores,
            conductor: self::conductor(
                clause: $clause,
                word: $sizeWord,
                system: $noted->system,
                size: $noted->size,
                make: $make,
            ),
            length: $length,
            laid: $laid,
            guessed: $guessed,
            traced: $traced,
            open: $open,
            broken: $broken,
            joined: $joined,
            span: Span::over($clause->first(), $clause->last()),
            marks: $marks,
        );
    }

    private static function size(Clause $clause, ?Word $word): CableSize
    {
        if (
            $word === null ||
            preg_match('/^(\d)[x×](' . Number::PATTERN . ')(awg|mm2|mm²)?$/iu', $word->text, $found) !== 1 ||
            (int) $found[1] < 1
        ) {
            throw new SlipFound(
                $clause->slip($word, 'Expected cores and size in one word, such as 3x2.5 (mm²) or 3x14awg.'),
            );
        }
        $unit = mb_strtolower($found[3] ?? '');
        if ($unit === '' && $clause->peek()?->is('awg', 'mm2', 'mm²')) {
            $unit = mb_strtolower($clause->take()->text ?? '');
        }

        return new CableSize((int) $found[1], $unit === 'awg' ? 'awg' : 'mm2', (float) Number::read($found[2]));
    }

    /** Cable in a wall is rigid by default; a solid core of a size has the greatest resistance of a stranded one. */
    private static function conductor(Clause $clause, ?Word $word, string $system, float $size, string $make): Conductor
    {
        $make = match (true) {
            $system === 'awg' => $make === 'solid' ? 'solid' : 'stranded',
            default => $make === 'flexible' ? 'flexible' : 'stranded',
        };
        try {
            return Conductor::from($system, $size, $make);
        } catch (Refusal $t) {
            throw new SlipFound($clause->slip($word, $t->getMessage()));
        }
    }
}
