<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;
use EmberDusk\Survey\Word;

/** Existing installation besides cables and power: lights, units in the client's hub, devices with spare capacity. */
final readonly class Present
{
    /** Existing lights; trim to remove and refit; a unit in the client's hub; spare channels; reserved amps. */
    public const KINDS = ['now', 'trim', 'listed', 'spare', 'later'];

    private const FAMILIES = ['zigbee', 'bluetooth', 'mesh', 'wifi', 'rf'];

    /**
     * @param  string  $kind  of KINDS
     * @param  string  $what  in words, or its name
     * @param  float  $count  pieces, metres of trim or amps
     * @param  bool|null  $out whether it is removed; null if undecided
     * @param  int  $channels  to spare
     */
    private function __construct(
        public string $kind,
        public Word $word,
        public string $what,
        public float $count,
        public ?bool $out = null,
        public string $family = '',
        public int $channels = 0,
    ) {}

    /** @throws SlipFound */
    public static function read(string $kind, Word $word, Clause $clause, WallLengths $lengths): self
    {
        return match ($kind) {
            'now' => self::now($word, $clause),
            'trim' => self::trim($word, $clause, $lengths),
            'listed' => self::listed($word, $clause),
            'spare' => self::spare($word, $clause),
            default => new self(
                'later',
                $word,
                count: $clause->quantity($clause->take(), ['a'], 'the amps reserved for later, such as 3 A', 0.1, 200),
                what: $clause->rest(),
            ),
        };
    }

    /** `4 tubes [, take out | , stay]` */
    private static function now(Word $word, Clause $clause): self
    {
        $count = $clause->count($clause->take(), 'how many there are', 200);
        $what = self::words($clause, 'what lights the place now, such as “4 tubes”');
        $out = null;
        $said = $clause->attribute();
        if ($said !== null) {
            if (!$said->is('take', 'stay', 'stays')) {
                throw $clause->unknown($said, 'the existing thing', ['take out', 'stay']);
            }
            $out = $said->is('take');
            if ($out) {
                $clause->keyword('out', 'Type “, take out”.');
            }
        }

        return new self('now', $word, $what, (float) $count, $out);
    }

    /** `skirting 3.20` */
    private static function trim(Word $word, Clause $clause, WallLengths $lengths): self
    {
        $what =
            $clause->take() ??
            throw new SlipFound($clause->slip(null, 'Type what is removed, such as “trim skirting 3.20”.'));

        return new self('trim', $word, $what->text, $lengths->take($clause, 'how long it is')->metres, true);
    }

    /** `Hall zigbee` */
    private static function listed(Word $word, Clause $clause): self
    {
        $name =
            $clause->take() ??
            throw new SlipFound(
                $clause->slip(null, 'Type the unit’s name in the client’s hub, such as “listed Hall zigbee”.'),
            );

        return new self('listed', $word, $name->text, 1.0, family: self::family($clause));
    }

    /** `C9 zigbee, 2 channels, 3 A` */
    private static function spare(Word $word, Clause $clause): self
    {
        $name =
            $clause->take() ??
            throw new SlipFound(
                $clause->slip(null, 'Type the unit with spare capacity, such as “spare C9 zigbee, 2 channels, 3 A”.'),
            );
        $family = self::family($clause);
        $channels = $clause->count($clause->attribute(), 'how many channels are free', 8);
        $clause->keyword('channels', 'Expected “channels”.');

        return new self(
            'spare',
            $word,
            $name->text,
            $clause->quantity($clause->attribute(), ['a'], 'the amps that are free, such as 3 A', 0.1, 200),
            family: $family,
            channels: $channels,
        );
    }

    private static function family(Clause $clause): string
    {
        $word = $clause->take();
        if ($word === null || !in_array(mb_strtolower($word->text), self::FAMILIES, true)) {
            throw new SlipFound($clause->slip($word, 'Its radio is one of ' . implode(', ', self::FAMILIES) . '.'));
        }

        return mb_strtolower($word->text);
    }

    /** All words up to the next comma. */
    private static function words(Clause $clause, string $expected): string
    {
        $words = [];
        while ($clause->peek() !== null && $clause->peek()->text !== ',') {
            $words[] = $clause->take()->text ?? '';
        }
        if ($words === []) {
            throw new SlipFound($clause->slip($clause->peek(), "Expected {$expected}."));
        }

        return implode(' ', $words);
    }
}
