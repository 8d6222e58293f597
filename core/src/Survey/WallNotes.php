<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use EmberDusk\Survey\Site\SiteReader;
use EmberDusk\Survey\Site\Walls;

/**
 * Reads wall notes, one clause per line or after `;`: `start [where]`, `[left|right [degrees]] LENGTH [run] {, gap LENGTH at LENGTH [what]}`,
 * `up|down LENGTH [run]`, `close`; runs of one wall joined by “and”; other lines begin with their kind (Site\SiteReader). Lengths in metres, or in
 * feet and inches, but not both in one text.
 *
 * A clause with a slip is left out of the sheet; the others stand.
 */
final class WallNotes
{
    private const KEPT = 120;

    /** @var array<array-key, WallSheet> by text */
    private static array $kept = [];

    /** @var list<Leg> */
    private array $legs = [];

    /** @var list<Slip> */
    private array $slips = [];

    /** @var list<array{Clause, int}> clauses that tell no wall, and how many walls are typed before each */
    private array $rest = [];

    private string $start = '';

    private bool $started = false;

    private ?Word $close = null;

    private float $heading = 0.0;

    private readonly WallLengths $lengths;

    private SiteReader $site;

    private function __construct()
    {
        $this->lengths = new WallLengths();
    }

    /** The same text gives the same sheet, and one answer of the server asks for it many times: the last ones are kept. */
    public static function read(string $text): WallSheet
    {
        if (!isset(self::$kept[$text])) {
            self::$kept = [$text => self::sheet($text)] + array_slice(self::$kept, 0, self::KEPT, true);
        }

        return self::$kept[$text];
    }

    private static function sheet(string $text): WallSheet
    {
        $reader = new self();
        foreach (WallWords::clauses($text) as $clause) {
            $reader->clause(new Clause($clause));
        }
        $reader->surroundings();
        $sheet = WallSheet::from(
            start: $reader->start,
            legs: $reader->legs,
            closed: $reader->close !== null,
            site: $reader->site->site(),
            system: $reader->lengths->system(),
        );
        if (
            $reader->close !== null &&
            $reader->slips === [] &&
            ($slip = Closing::slip($sheet, $reader->legs, $reader->close)) !== null
        ) {
            $reader->slips[] = $slip;
        }

        return $sheet->with($reader->slips);
    }

    private function clause(Clause $clause): void
    {
        $heading = $this->heading;
        try {
            $word = $clause->peek();
            if ($word?->is(...SiteReader::KEYWORDS)) {
                $this->rest[] = [$clause, $this->close === null ? count($this->legs) : 0];

                return;
            }
            if ($this->close !== null) {
                throw new SlipFound($clause->slip($word, 'No wall may follow “close”. Put this line before it.'));
            }
            if ($word?->is('start')) {
                $this->readStart($clause);
            } elseif ($word?->is('close')) {
                $clause->take();
                $clause->end('Type “close” alone on its line.');
                $this->close = $word;
            } else {
                $this->legs[] = $this->readLeg($clause);
            }
        } catch (SlipFound $found) {
            $this->slips[] = $found->slip;
            $this->heading = $heading;
        }
    }

    /** Reads everything besides the walls once all walls are known: an item may be typed before its wall. */
    private function surroundings(): void
    {
        $this->site = new SiteReader(
            array_map(static fn(array $r): string => mb_strtolower($r[0]->peek(1)->text ?? ''), $this->rest),
        );
        foreach ($this->rest as [$clause, $before]) {
            try {
                $this->site->read($clause, $this->lengths, new Walls($this->legs, $before));
            } catch (SlipFound $found) {
                $this->slips[] = $found->slip;
            }
        }
        usort($this->slips, static fn(Slip $a, Slip $b): int => [$a->line, $a->column] <=> [$b->line, $b->column]);
    }

    private function readStart(Clause $clause): void
    {
        $word = $clause->take();
        if ($this->started || $this->legs !== []) {
            throw new SlipFound($clause->slip($word, 'Type “start” once, before the first wall.'));
        }
        $this->started = true;
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
            if ($next !== null && LengthReader::isNumber($next)) {
                $turnWord = $clause->take();
                $turn = $clause->number($turnWord, 'an angle in degrees');
                if ($turn <= 0 || $turn >= 180) {
                    throw new SlipFound($clause->slip($turnWord, 'A turn is between 0 and 180 degrees.'));
                }
            }
            $this->heading += $word->is('left') ? -$turn : $turn;
        }
        $measured = $this->lengths->take($clause, 'a length, such as 3.80');
        $runs = $clause->peek() !== null && $clause->peek()->text !== ',' ? $this->runNames($clause) : [];
        if ($climbs) {
            $clause->end('A climb has no gap: end the line after its run.');
        }
        $gaps = [];
        while (($next = $clause->peek()) !== null) {
            if ($next->text !== ',') {
                throw new SlipFound(
                    $clause->slip(
                        $next,
                        "“{$next->text}” is not expected here: after the run comes a comma and “gap”.",
                    ),
                );
            }
            $clause->take();
            $gaps[] = $this->readGap($clause, $measured->metres, $gaps);
        }

        return new Leg(
            measured: $measured,
            heading: $this->heading,
            runs: $runs,
            gaps: $gaps,
            climbs: $climbs,
            down: $word?->is('down') === true,
        );
    }

    /** @return non-empty-list<string> the runs along one leg, parted by “and” */
    private function runNames(Clause $clause): array
    {
        $names = [$this->runName($clause)];
        while ($clause->peek()?->is('and')) {
            $and = $clause->take();
            $name = $this->runName($clause);
            if (in_array($name, $names, true)) {
                throw new SlipFound($clause->slip($and, "“{$name}” is on this wall twice."));
            }
            $names[] = $name;
        }

        return $names;
    }

    private function runName(Clause $clause): string
    {
        return mb_strtolower($clause->name('the run’s name', 'and')->text);
    }

    /** @param  list<Gap>  $before */
    private function readGap(Clause $clause, float $leg, array $before): Gap
    {
        $clause->keyword('gap', 'Type “gap”, its length, “at” and its distance after a comma.');
        $gap = $this->lengths->take($clause, 'the length of the gap');
        $clause->keyword('at', 'Type “at” and the distance from the wall’s start after the gap’s length.');
        $place = $this->lengths->take($clause, 'the gap’s distance from the leg’s start', nought: true);
        [$length, $at] = [$gap->metres, $place->metres];
        if ($at + $length > $leg + 1e-9) {
            throw new SlipFound(
                $clause->slip(
                    $gap->word,
                    "The gap ends at {$this->lengths->say($at + $length)}, beyond its leg of {$this->lengths->say(
                        $leg,
                    )}.",
                ),
            );
        }
        $last = end($before);
        if ($last !== false && $at < $last->at + $last->length - 1e-9) {
            throw new SlipFound(
                $clause->slip(
                    $place->word,
                    "This gap begins before the one before it ends, at {$this->lengths->say(
                        $last->at + $last->length,
                    )}.",
                ),
            );
        }
        $what = '';
        while ($clause->peek() !== null && $clause->peek()->text !== ',') {
            $what = trim($what . ' ' . ($clause->take()->text ?? ''));
        }

        return new Gap($length, $at, $what);
    }
}
