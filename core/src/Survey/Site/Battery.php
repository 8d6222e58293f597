<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\WallLengths;
use EmberDusk\Values\Copies;

/**
 * A bank of equal blocks: so many in series, so many such rows in parallel. Volts, ampere hours of one row; whether blocks of
 * other volts are in the row too, whether it is taken out to be charged, whether it is there already, as in a vehicle, and
 * whether its feed is live with the key only.
 */
final readonly class Battery
{
    use Copies;

    /** Volts of the blocks that the trade meets. */
    public const BLOCKS = [2.0, 3.7, 4.0, 6.0, 8.0, 12.0];

    public function __construct(
        public NamedSpot $spot,
        public int $blocks,
        public float $blockVolts,
        public int $rows,
        public ?float $ampHours,
        public ?float $wants,
        public bool $mixed = false,
        public bool $elsewhere = false,
        public bool $fitted = false,
        public bool $keyed = false,
    ) {}

    /** The same, with the light wanting these volts of it. */
    public function wanting(float $volts): self
    {
        return $this->withChanged(wants: $volts);
    }

    /** Ampere hours of all rows; null where they are not noted. */
    public function holds(): ?float
    {
        return $this->ampHours === null ? null : $this->rows * $this->ampHours;
    }

    public function volts(): float
    {
        return $this->blocks * $this->blockVolts;
    }

    /**
     * Reads `E1 [where] [at LENGTH], 6 of 8 V {, 2 rows | 200 Ah | want 12 V | charged elsewhere | fitted | key}`.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, WallLengths $lengths, Walls $walls): self
    {
        $spot = NamedSpot::read($clause, $lengths, $walls);
        $blocks = 0;
        $volts = 0.0;
        $rows = 1;
        $ampHours = $wants = null;
        $mixed = $elsewhere = $fitted = $keyed = false;
        while (($word = $clause->attribute()) !== null) {
            if ($word->is('want')) {
                $wants = $clause->quantity(
                    word: $clause->take(),
                    units: ['v'],
                    expected: 'the volts that the light needs, such as 12 V',
                    least: 1,
                    most: 60,
                );

                continue;
            }
            if ($word->is('charged') && $clause->peek()?->is('elsewhere', 'here')) {
                $elsewhere = $clause->take()?->is('elsewhere') === true;

                continue;
            }
            if ($word->is('fitted', 'key')) {
                $fitted = $fitted || $word->is('fitted');
                $keyed = $keyed || $word->is('key');

                continue;
            }
            if (preg_match('/^\d/', $word->text) !== 1) {
                throw $clause->unknown(
                    $word,
                    'a battery',
                    ['want', 'charged', 'fitted', 'key'],
                    ', blocks such as “3 of 8 V”, “2 rows” or “200 Ah”',
                );
            }
            if ($clause->peek()?->is('of')) {
                $more = $clause->count($word, 'how many blocks are in series', 40);
                $clause->take();
                $at = $clause->take();
                $of = $clause->quantity(
                    word: $at,
                    units: ['v'],
                    expected: 'the volts of one block, such as 8 V',
                    least: 1,
                    most: 60,
                );
                if (!in_array($of, self::BLOCKS, true)) {
                    throw new SlipFound($clause->slip($at, 'A block has 2, 3.7, 4, 6, 8 or 12 V by its name.'));
                }
                $mixed = $mixed || ($blocks > 0 && $of !== $volts);
                if ($blocks === 0) {
                    $volts = $of;
                }
                $blocks += $more;
            } elseif ($clause->peek()?->is('rows', 'row')) {
                $rows = $clause->count($word, 'how many rows are in parallel', 20);
                $clause->take();
            } else {
                $ampHours = $clause->quantity(
                    word: $word,
                    units: ['ah'],
                    expected: 'the ampere hours of one row, such as 200 Ah',
                    least: 1,
                    most: 5000,
                );
            }
        }
        if ($blocks === 0) {
            throw new SlipFound(
                $clause->slip(
                    null,
                    'Type the blocks: the number in series and the volts of one, such as “, 3 of 8 V”.',
                ),
            );
        }

        return new self(
            spot: $spot,
            blocks: $blocks,
            blockVolts: $volts,
            rows: $rows,
            ampHours: $ampHours,
            wants: $wants,
            mixed: $mixed,
            elsewhere: $elsewhere,
            fitted: $fitted,
            keyed: $keyed,
        );
    }
}
