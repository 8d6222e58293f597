<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

use EmberDusk\Survey\Clause;
use EmberDusk\Survey\SlipFound;
use EmberDusk\Survey\Word;
use EmberDusk\Values\IncompletePlan;

/** Pixels of a run laid out as a matrix, seen from the front, with the order of the data as far as it is known. */
final readonly class PixelMatrix
{
    /** Pixels of a side. */
    public const MOST = 500;

    public const ATTRIBUTES = ['matrix', 'top', 'bottom', 'rows', 'columns', 'serpentine', 'straight'];

    /**
     * @param  MatrixCorner|null  $first  corner of the first pixel
     * @param  MatrixLines|null  $lines  way of the data from there
     * @param  bool|null  $serpentine  whether every second line goes backwards
     */
    public function __construct(
        public int $columns,
        public int $rows,
        public ?MatrixCorner $first = null,
        public ?MatrixLines $lines = null,
        public ?bool $serpentine = null,
    ) {}

    /**
     * Reads one attribute of a run's note: `matrix 14x9 | top left | rows | columns | serpentine | straight`.
     *
     * @throws SlipFound
     */
    public static function read(Clause $clause, Word $word, ?self $before): self
    {
        if ($word->is('matrix')) {
            return self::size($clause);
        }
        $matrix =
            $before ??
            throw new SlipFound(
                $clause->slip($word, 'Type “matrix” and its size before its order, such as matrix 14x9.'),
            );
        if ($word->is('top', 'bottom')) {
            $side = $clause->take();
            $corner = MatrixCorner::tryFrom(mb_strtolower("{$word->text} {$side?->text}"));

            return $matrix->from(
                $corner ??
                    throw new SlipFound($clause->slip($side, 'Expected left or right: the corner of the first pixel.')),
            );
        }
        $lines = MatrixLines::tryFrom(mb_strtolower($word->text));

        return $lines === null ? $matrix->turning($word->is('serpentine')) : $matrix->along($lines);
    }

    /** @throws SlipFound */
    private static function size(Clause $clause): self
    {
        $word = $clause->take();
        if ($word === null || preg_match('/^(\d{1,4})[x×](\d{1,4})$/iu', $word->text, $found) !== 1) {
            throw new SlipFound($clause->slip($word, 'Expected the pixels across and down in one word, such as 14x9.'));
        }
        [$columns, $rows] = [(int) $found[1], (int) $found[2]];
        if (min($columns, $rows) < 1 || max($columns, $rows) > self::MOST) {
            throw new SlipFound($clause->slip($word, 'A matrix has 1 to ' . self::MOST . ' pixels on each side.'));
        }

        return new self($columns, $rows);
    }

    public function from(MatrixCorner $corner): self
    {
        return new self($this->columns, $this->rows, $corner, $this->lines, $this->serpentine);
    }

    public function along(MatrixLines $lines): self
    {
        return new self($this->columns, $this->rows, $this->first, $lines, $this->serpentine);
    }

    public function turning(bool $serpentine): self
    {
        return new self($this->columns, $this->rows, $this->first, $this->lines, $serpentine);
    }

    public function pixels(): int
    {
        return $this->columns * $this->rows;
    }

    /** Whether the order of the data is known: a single line turns nowhere. */
    public function known(): bool
    {
        return $this->first !== null && $this->lines !== null && ($this->serpentine !== null || $this->count() === 1);
    }

    /** Pixels of a line of the data; null while its way is not known. */
    public function line(): ?int
    {
        return match ($this->lines) {
            MatrixLines::Rows => $this->columns,
            MatrixLines::Columns => $this->rows,
            null => null,
        };
    }

    /** Lines of the data; 0 while its way is not known. */
    public function count(): int
    {
        return $this->lines === null ? 0 : intdiv($this->pixels(), max(1, (int) $this->line()));
    }

    /**
     * Place of a pixel.
     *
     * @param  int  $pixel  from 1
     *
     * @throws IncompletePlan while the order is not known
     */
    public function cell(int $pixel): MatrixCell
    {
        if (!$this->known() || $this->first === null) {
            throw new IncompletePlan('The order of the matrix is not known yet: find it at Bench.');
        }
        $line = intdiv($pixel - 1, max(1, (int) $this->line()));
        $along = ($pixel - 1) % max(1, (int) $this->line());
        if ($this->serpentine === true && $line % 2 === 1) {
            $along = (int) $this->line() - 1 - $along;
        }
        [$column, $row] = $this->lines === MatrixLines::Rows ? [$along, $line] : [$line, $along];

        return new MatrixCell(
            $this->first->left() ? $column : $this->columns - 1 - $column,
            $this->first->top() ? $row : $this->rows - 1 - $row,
        );
    }

    /** As its attributes in the notes. */
    public function note(): string
    {
        return implode(
            ', ',
            array_filter([
                "matrix {$this->columns}x{$this->rows}",
                $this->first?->value,
                $this->lines?->value,
                match ($this->serpentine) {
                    true => 'serpentine',
                    false => 'straight',
                    null => null,
                },
            ]),
        );
    }

    /** As text: “14 across, 9 down, first pixel top left, in rows, serpentine”. */
    public function words(): string
    {
        return implode(
            ', ',
            array_filter([
                "{$this->columns} across, {$this->rows} down",
                $this->first === null ? 'first pixel not known yet' : "first pixel {$this->first->value}",
                $this->lines === null ? null : "in {$this->lines->value}",
                match ($this->serpentine) {
                    true => 'serpentine',
                    false => 'every line in the same direction',
                    null => null,
                },
            ]),
        );
    }
}
