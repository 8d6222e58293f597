<?php

declare(strict_types=1);

namespace EmberDusk\Measure;

/**
 * Reads tape notes: a clause a line or after `;`,
 * `start [where]`, `[left|right [degrees]] LENGTH [run] {, gap LENGTH at LENGTH [what]}`,
 * `up|down LENGTH [run]`, `close`. Lengths in metres, or in feet and inches, but not both in one text.
 *
 * A clause with a slip is left out of the sheet; the others stand.
 */
final class TapeNotes
{
    /** No room that is measured by tape has a longer leg, in metres. */
    private const LONGEST = 500.0;

    /** @var list<Leg> */
    private array $legs = [];

    /** @var list<Slip> */
    private array $slips = [];

    private string $start = '';

    private ?Word $close = null;

    private float $heading = 0.0;

    /** The system of the first length, which all others keep to. */
    private ?string $system = null;

    private function __construct()
    {
    }

    public static function read(string $text): TapeSheet
    {
        $reader = new self;
        foreach (TapeWords::clauses($text) as $n => $clause) {
            $reader->clause(new Clause($clause), $n === 0);
        }
        $sheet = TapeSheet::of($reader->start, $reader->legs, $reader->close !== null);
        if ($reader->close !== null && $reader->slips === [] && ($slip = Closing::slip($sheet, $reader->legs, $reader->close)) !== null) {
            $reader->slips[] = $slip;
        }

        return $sheet->with($reader->slips);
    }

    private function clause(Clause $clause, bool $first): void
    {
        $heading = $this->heading;
        try {
            $word = $clause->peek();
            if ($this->close !== null) {
                throw new SlipFound($clause->slip($word, 'Nothing may follow “close”. Put this line before it.'));
            }
            if ($word?->is('start')) {
                $this->readStart($clause, $first);
            } elseif ($word?->is('close')) {
                $clause->take();
                $clause->end('“close” stands alone.');
                $this->close = $word;
            } else {
                $this->legs[] = $this->readLeg($clause);
            }
        } catch (SlipFound $found) {
            $this->slips[] = $found->slip;
            $this->heading = $heading;
        }
    }

    private function readStart(Clause $clause, bool $first): void
    {
        $word = $clause->take();
        if (! $first) {
            throw new SlipFound($clause->slip($word, '“start” belongs on the first line only.'));
        }
        $this->start = $clause->rest();
    }

    private function readLeg(Clause $clause): Leg
    {
        $word = $clause->peek();
        $climbs = $word?->is('up', 'down') === true;
        if ($climbs) {
            $clause->take();
        }
        if ($word?->is('left', 'right')) {
            $clause->take();
            $next = $clause->peek(1);
            $turn = 90.0;
            // "right 45 3.80": the first of two numbers is the angle.
            if ($next !== null && LengthReader::begins($next)) {
                $turnWord = $clause->take();
                $turn = $clause->number($turnWord, 'an angle in degrees');
                if ($turn <= 0 || $turn >= 180) {
                    throw new SlipFound($clause->slip($turnWord, 'A turn lies between 0 and 180 degrees.'));
                }
            }
            $this->heading += $word->is('left') ? -$turn : $turn;
        }
        $measured = $this->length($clause, 'a length, such as 3.80');
        $run = $clause->peek() !== null && $clause->peek()->text !== ',' ? $this->runName($clause) : null;
        if ($climbs) {
            $clause->end('A climb has no gap: nothing may follow its run.');
        }
        $gaps = [];
        while (($next = $clause->peek()) !== null) {
            if ($next->text !== ',') {
                throw new SlipFound($clause->slip($next, "“{$next->text}” is not expected here: after the run comes a comma and “gap”."));
            }
            $clause->take();
            $gaps[] = $this->readGap($clause, $measured->metres, $gaps);
        }

        return new Leg($measured, $this->heading, $run, $gaps, $climbs, $word?->is('down') === true);
    }

    private function runName(Clause $clause): string
    {
        $word = $clause->take();
        if ($word === null || preg_match('/^\p{L}[\p{L}\p{N}_-]{0,23}$/u', $word->text) !== 1) {
            throw new SlipFound($clause->slip($word, 'A run has a name of one word that begins with a letter, at most 24 letters.'));
        }
        if ($word->is('start', 'close', 'left', 'right', 'up', 'down', 'gap', 'at') || isset(Length::UNITS[mb_strtolower($word->text)])) {
            throw new SlipFound($clause->slip($word, $word->is('gap')
                ? 'A comma stands before “gap”.' : "“{$word->text}” is a word of the notation and cannot name a run."));
        }

        return mb_strtolower($word->text);
    }

    /** @param  list<Gap>  $before */
    private function readGap(Clause $clause, float $leg, array $before): Gap
    {
        $clause->keyword('gap', 'After a comma comes “gap”, its length, “at” and its place.');
        $gap = $this->length($clause, 'the length of the gap');
        $clause->keyword('at', 'After the gap’s length comes “at” and its distance from the leg’s start.');
        $place = $this->length($clause, 'the gap’s distance from the leg’s start', nought: true);
        [$length, $at] = [$gap->metres, $place->metres];
        if ($at + $length > $leg + 1e-9) {
            throw new SlipFound($clause->slip($gap->word, sprintf('The gap ends at %.2f m, beyond its leg of %.2f m.', $at + $length, $leg)));
        }
        $last = end($before);
        if ($last !== false && $at < $last->at + $last->length - 1e-9) {
            throw new SlipFound($clause->slip($place->word, sprintf('This gap begins before the one before it ends, at %.2f m.', $last->at + $last->length)));
        }
        $what = '';
        while ($clause->peek() !== null && $clause->peek()->text !== ',') {
            $what = trim($what.' '.($clause->take()->text ?? ''));
        }

        return new Gap($length, $at, $what);
    }

    private function length(Clause $clause, string $expected, bool $nought = false): MeasuredWord
    {
        $measured = LengthReader::take($clause, $expected);
        if ($measured->metres <= 0 && ! $nought) {
            throw new SlipFound($clause->slip($measured->word, 'A length is more than nothing.'));
        }
        if ($measured->metres > self::LONGEST) {
            throw new SlipFound($clause->slip($measured->word, sprintf('%s is longer than the %d m that one leg may have. Was it meant in metres?', $measured->word->text, self::LONGEST)));
        }
        $this->system ??= $measured->system;
        if ($measured->system !== $this->system) {
            throw new SlipFound($clause->slip($measured->word, $this->system === Length::METRIC
                ? 'These notes began in metres; write this length in metres too.' : 'These notes began in feet and inches; write this length so too.',
                Length::write($measured->metres, $this->system)));
        }

        return $measured;
    }
}
