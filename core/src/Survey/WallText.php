<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use EmberDusk\Survey\Site\PixelMatrix;
use EmberDusk\Survey\Site\RunNote;
use EmberDusk\Survey\Site\Span;

/** Writes a change on the sheet back into the notes: replaces only the words concerned. */
final readonly class WallText
{
    public function __construct(private string $text) {}

    /** The text with a range of a line replaced. */
    public function put(Span $span, string $instead): string
    {
        $lines = preg_split('/(\r\n|\r|\n)/', $this->text, -1, PREG_SPLIT_DELIM_CAPTURE);
        if ($lines === false) {
            $lines = [$this->text];
        }
        $at = 2 * ($span->line - 1);
        $line = $lines[$at] ?? '';
        $lines[$at] = mb_substr($line, 0, $span->from) . $instead . mb_substr($line, $span->to);

        return implode('', $lines);
    }

    /** The text with one slip fixed. */
    public function mended(Slip $slip): string
    {
        return $this->put(new Span($slip->line, $slip->column, $slip->column + $slip->length), $slip->instead ?? '');
    }

    /** The text with a wall's length, counted from 0, as measured again. Metres. */
    public function legOf(int $leg, float $metres): string
    {
        $sheet = WallNotes::read($this->text);
        $measured = ($sheet->legs[$leg] ?? null)?->measured;
        if (
            $measured === null ||
            Length::write($measured->metres, $sheet->system) === Length::write($metres, $sheet->system)
        ) {
            return $this->text;
        }
        $word = $measured->word;
        $written = Length::write($metres, $sheet->system);

        // A decimal comma stays one.
        return $this->put(
            Span::over($word, $word),
            str_contains($word->text, ',') ? strtr($written, '.', ',') : $written,
        );
    }

    /**
     * The text with a run's line saying this mounting and light; a line is added when it has none.
     *
     * @param  list<string>  $mounting
     */
    public function run(string $run, array $mounting, string $light): string
    {
        $note = WallNotes::read($this->text)->site->runs[$run] ?? null;

        return $this->noted($run, $mounting, $light, $note?->matrix, $note?->fixed === true);
    }

    /** The text with a run's line saying this matrix; null: none. */
    public function matrix(string $run, ?PixelMatrix $matrix): string
    {
        $note = WallNotes::read($this->text)->site->runs[$run] ?? null;

        return $this->noted($run, $note->mounting ?? [], $note->light ?? '', $matrix, $note?->fixed === true);
    }

    /** The text with a run's line saying whether the end at which data comes in must not change. */
    public function fixed(string $run, bool $fixed): string
    {
        $note = WallNotes::read($this->text)->site->runs[$run] ?? null;

        return $this->noted($run, $note->mounting ?? [], $note->light ?? '', $note?->matrix, $fixed);
    }

    /** @param  list<string>  $mounting */
    private function noted(string $run, array $mounting, string $light, ?PixelMatrix $matrix, bool $fixed): string
    {
        $sheet = WallNotes::read($this->text);
        $note = $sheet->site->runs[$run] ?? null;
        $said = RunNote::write(
            $mounting,
            $light,
            $note?->height === null ? null : Length::write($note->height, $sheet->system),
            $matrix,
            $fixed,
        );
        if ($note === null) {
            if ($said === '') {
                return $this->text;
            }

            return $this->added("run {$run}{$said}");
        }

        return $this->put($note->attributes ?? new Span($note->span->line, $note->span->to, $note->span->to), $said);
    }

    /** The text with the trace result of a leg updated. */
    public function traced(string $leg, string $found): string
    {
        $there = WallNotes::read($this->text)->site->leg($leg);
        if ($there === null) {
            return $this->text;
        }
        $text = $this->put(
            new Span($there->span->line, $there->span->to, $there->span->to),
            $found === '' ? '' : ", {$found}",
        );
        foreach (array_reverse($there->marks) as $mark) {
            $text = (new self($text))->put($mark, '');
        }

        return $text;
    }

    /** The text with one more line. */
    public function added(string $line): string
    {
        if (rtrim($this->text) === '') {
            return $line;
        }

        return $this->text . (preg_match('/[\r\n]$/', $this->text) === 1 ? '' : "\n") . $line;
    }
}
