<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Plan\DataOutput;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\SignalLead;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;

/** Wiring diagram of a run as built, as SVG with printed labels: black on white. */
final class WiringDiagram
{
    public const WIDE = 680;

    private const MARGIN = 20;

    /** Width of the boxes. */
    private const WIDTH = 400;

    /** Heights of the boxes of supply and controller, and of a cable's line between them. */
    private const BOX = 34;

    private const STEP = 46;

    /** Height of the line with the data outputs. */
    private const DATA = 20;

    /** Height of a signal wire of a vehicle. */
    private const SIGNAL = 16;

    /** @var list<string> */
    private array $drawn = [];

    private int $high = 0;

    /** @var array<string, int> middle of the box of each unit */
    private array $at = [];

    private function __construct(private readonly Plan $plan, private readonly Run $run) {}

    /** Unwired parts are not drawn. */
    public static function svg(Plan $plan, Run $run): string
    {
        $of = new self($plan, $run);
        $of->draw();

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$d" height="%2$d" viewBox="0 0 %1$d %2$d" role="img" ' .
                'font-family="DejaVu Sans, sans-serif" font-size="11">%3$s</svg>',
            self::WIDE,
            $of->high,
            '<title>' . self::text("Wiring of {$run->name()}") . '</title>' . implode('', $of->drawn),
        );
    }

    private function draw(): void
    {
        $chain = $this->chain();
        $y = 6;
        foreach ($chain as $n => [$id, $name]) {
            $this->at[$id] = $y + self::BOX / 2;
            $this->box($y, strtoupper($id), $name);
            $cable = isset($chain[$n + 1]) ? $this->plan->ways()->cableTo($chain[$n + 1][0]) : null;
            $y += self::BOX;
            if (isset($chain[$n + 1])) {
                $this->line(self::MARGIN + 40, $y, self::MARGIN + 40, $y + self::STEP - 12);
                $this->label(self::MARGIN + 48, $y + 20, $cable === null ? 'no cable yet' : $this->cable($cable));
                $y += self::STEP - 12;
            }
        }
        $this->strip($y);
    }

    /** @return list<array{string, string}> ids and names from the bank or supply to the start of the feeds */
    private function chain(): array
    {
        $supply = $this->run->supply;
        $ids = array_filter([$this->plan->supplies[$supply ?? '']->bank ?? null, $supply, $this->run->controller]);

        return array_values(
            array_map(
                fn(string $id): array => [
                    $id,
                    $this->plan->supply($id)?->name() ?? ($this->plan->controller($id)?->name() ?? ''),
                ],
                $ids,
            ),
        );
    }

    /** The strip at the foot, its feeds at their metres, and a cable to each: from the last unit, or past a board from the supply. */
    private function strip(int $from): void
    {
        $data = $this->data();
        $under = $from;
        $from += $data === '' ? 0 : self::DATA;
        $from = $this->signals($under, $from);
        $marks = $this->plan->of($this->run)->cutMarks();
        $long = max(0.01, $marks?->length() ?? $this->run->length());
        $feeds = $this->plan->ways()->feedsOf($this->run);
        $wide = self::WIDE - 2 * self::MARGIN;
        $bar = $from + 30 + 16 * count($feeds);
        foreach ($feeds as $n => $feed) {
            $x =
                self::MARGIN +
                (int) round(($this->plan->of($this->run)->marks()->position($feed->pad) / $long) * $wide);
            $y = $from + 18 + 16 * $n;
            $cable = $this->plan->ways()->cableTo($feed->id);
            $root = $this->plan->ways()->root($cable->from ?? '');
            $past =
                $root !== null &&
                isset($this->plan->supplies[$root], $this->at[$root]) &&
                array_key_last($this->at) !== $root;
            $start = $past ? max(3, self::MARGIN - 6 - 4 * $n) : self::MARGIN + 20 + 8 * $n;
            if ($past) {
                $this->line(self::MARGIN, $this->at[$root], $start, $this->at[$root]);
                $this->line($start, $this->at[$root], $start, $y);
            } else {
                $this->line($start, $under, $start, $y);
            }
            $this->line($start, $y, $x, $y);
            $this->line($x, $y, $x, $bar);
            $this->drawn[] = "<circle cx=\"{$x}\" cy=\"{$bar}\" r=\"3.5\"/>";
            $text =
                ($cable === null ? 'no cable yet' : $this->cable($cable)) .
                ' to ' .
                $this->plan->terms->say($this->plan->of($this->run)->marks()->position($feed->pad));
            $this->label(max(self::MARGIN + 22 + 8 * count($feeds), min($x - 220, self::WIDE - 330)), $y - 3, $text);
        }
        if ($data !== '') {
            $x = self::MARGIN + self::WIDTH - 20;
            $this->drawn[] = "<path d=\"M{$x},{$under}v14H8V{$bar}\" stroke=\"#000\" stroke-dasharray=\"4 3\" fill=\"none\"/>";
            $this->drawn[] = "<path d=\"M8,{$bar}h12\" stroke=\"#000\" stroke-dasharray=\"4 3\" fill=\"none\"/>";
            $this->label(self::MARGIN + self::WIDTH - 10, $under + 18, $data);
        }
        $this->drawn[] = sprintf(
            '<rect x="%d" y="%d" width="%d" height="12" fill="#fff" stroke="#000" stroke-width="1.5"/>',
            self::MARGIN,
            $bar,
            $wide,
        );
        foreach ($this->run->zones as $pad) {
            $x = self::MARGIN + (int) round(($this->plan->of($this->run)->marks()->position($pad) / $long) * $wide);
            $this->drawn[] = sprintf(
                '<path d="M%d,%dv20" stroke="#000" stroke-width="1.5" stroke-dasharray="3 2"/>',
                $x,
                $bar - 4,
            );
        }
        $this->label(
            self::MARGIN,
            $bar + 28,
            sprintf(
                '%s, %s, %s m%s',
                $this->run->name(),
                $this->plan->strip($this->run->strip)?->name() ?? 'no strip yet',
                Figure::print($long, 2),
                $this->run->zones === [] ? '' : ', + cut at the broken lines',
            ),
        );
        $this->label(self::WIDE - self::MARGIN - 60, $bar + 28, 'its end');
        $this->high = $bar + 38;
    }

    /** Draws the signal wires of a vehicle into the last unit, from its foot at `$under`; returns the height below them. */
    private function signals(int $under, int $from): int
    {
        foreach (SignalLead::at($this->plan, $this->run) as $n => $lead) {
            $from += self::SIGNAL;
            $x = self::MARGIN + self::WIDTH - 60 - 12 * $n;
            $right = self::MARGIN + self::WIDTH;
            $this->drawn[] = "<path d=\"M{$x},{$under}V{$from}H{$right}\" stroke=\"#000\" stroke-dasharray=\"1 3\" fill=\"none\"/>";
            $this->label($right + 6, $from + 4, "signal: {$lead->words()}");
        }

        return $from;
    }

    /** Data outputs of the run's board, with their pixels; empty for strips of channels. */
    private function data(): string
    {
        $outputs = DataOutput::ofRun($this->plan, $this->run);

        return $outputs === []
            ? ''
            : 'data: ' . implode('; ', array_map(fn(DataOutput $o): string => $o->words($this->run->id), $outputs));
    }

    private function cable(LaidCable $cable): string
    {
        $more = array_filter([
            $cable->fuse === null ? '' : $this->plan->kit[$cable->fuse]->entry->name() . ' at its start',
            $cable->switch === null ? '' : $this->plan->kit[$cable->switch]->entry->name(),
            $cable->laid,
        ]);

        return strtoupper($cable->id) .
            ' ' .
            ($this->plan->cable($cable->kit)?->name() ?? '') .
            ', ' .
            $this->plan->terms->say($cable->length) .
            ($cable->reckoned ? ' (calculated)' : '') .
            ($more === [] ? '' : ', ' . implode(', ', $more));
    }

    private function box(int $y, string $label, string $name): void
    {
        [$x, $wide] = [self::MARGIN, self::WIDTH];
        $this->drawn[] = sprintf(
            '<rect x="%d" y="%d" width="%d" height="%d" fill="#fff" stroke="#000" stroke-width="1.2"/>',
            $x,
            $y,
            $wide,
            self::BOX,
        );
        $this->drawn[] = sprintf(
            '<text x="%d" y="%d" font-weight="bold">%s</text>',
            $x + 8,
            $y + 21,
            self::text($label),
        );
        $this->label($x + 44, $y + 21, $name);
        $where = $this->where($label);
        $this->label($x + $wide + 10, $y + 21, $where);
    }

    private function where(string $label): string
    {
        $id = strtolower($label);
        $device = $this->plan->supplies[$id] ?? ($this->plan->controllers[$id] ?? null);
        $stands = $device?->stands;

        if ($stands === null) {
            return 'position not recorded';
        }

        return ($this->plan->places[$stands->place]->name ?? '') . ', ' . $stands->words($this->plan->terms->length);
    }

    private function line(int $x1, int $y1, int $x2, int $y2): void
    {
        $this->drawn[] = "<path d=\"M{$x1},{$y1}L{$x2},{$y2}\" stroke=\"#000\" stroke-width=\"1.2\" fill=\"none\"/>";
    }

    private function label(int $x, int $y, string $text): void
    {
        $this->drawn[] = "<text x=\"{$x}\" y=\"{$y}\" font-weight=\"normal\">" . self::text($text) . '</text>';
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES, 'UTF-8');
    }
}
