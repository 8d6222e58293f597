<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Helpers;

/** Pictures of helper circuits as SVG with printed labels: black on white, plus at the top, minus at the bottom. */
final class HelperPicture
{
    private const WIDE = 420;

    private const HIGH = 190;

    /** @var list<string> */
    private array $drawn = [];

    private function __construct() {}

    public static function divider(string $upper, string $lower): string
    {
        $picture = new self();
        $picture->box(10, 30, 110, 34, 'signal');
        $picture->line([120, 47, 150, 47]);
        $picture->box(150, 35, 70, 24, $upper);
        $picture->line([220, 47, 300, 47]);
        $picture->box(300, 30, 110, 34, 'pin of the board');
        $picture->line([255, 47, 255, 80]);
        $picture->dot(255, 47);
        $picture->box(220, 80, 70, 24, $lower);
        $picture->line([255, 104, 255, 150]);
        $picture->minus('minus of signal and board');

        return $picture->svg('Divider: signal through ' . $upper . ' to the pin, ' . $lower . ' from the pin to minus');
    }

    /** @param  string  $down  from the gate to minus; empty for a base */
    public static function lowSide(string $before, string $down, string $control): string
    {
        $picture = new self();
        $picture->box(10, 75, 90, 34, 'pin');
        $picture->line([100, 92, 120, 92]);
        $picture->box(120, 80, 70, 24, $before);
        $picture->line([190, 92, 250, 92]);
        if ($down !== '') {
            $picture->dot(205, 92);
            $picture->line([205, 92, 205, 114]);
            $picture->box(170, 114, 70, 24, $down);
            $picture->line([205, 138, 205, 150]);
        }
        $picture->box(250, 72, 110, 40, $control === 'gate' ? 'MOSFET' : 'transistor');
        $picture->text(253, 68, $control);
        $picture->line([305, 112, 305, 150]);
        $picture->line([305, 72, 305, 54]);
        $picture->box(250, 20, 110, 34, 'channel of the strip');
        $picture->line([305, 20, 305, 8, 400, 8]);
        $picture->text(372, 22, 'plus');
        $picture->minus('minus of supply and board');

        return $picture->svg(
            "Low-side switch: pin through {$before} to the {$control}, the channel’s minus through it to minus",
        );
    }

    private function minus(string $says): void
    {
        $this->drawn[] = '<path d="M10 150 H410" fill="none" stroke="#000" stroke-width="2"/>';
        $this->text(10, 168, $says);
    }

    private function box(int $x, int $y, int $wide, int $high, string $says): void
    {
        $this->drawn[] = sprintf(
            '<rect x="%d" y="%d" width="%d" height="%d" fill="#fff" stroke="#000"/>',
            $x,
            $y,
            $wide,
            $high,
        );
        $this->drawn[] = sprintf(
            '<text x="%g" y="%g" text-anchor="middle">%s</text>',
            $x + $wide / 2,
            $y + $high / 2 + 4,
            htmlspecialchars($says, ENT_XML1),
        );
    }

    /** @param  list<int>  $points  x, y and so on */
    private function line(array $points): void
    {
        $path = implode(' ', array_map(static fn(array $p): string => implode(',', $p), array_chunk($points, 2)));
        $this->drawn[] = "<polyline points=\"{$path}\" fill=\"none\" stroke=\"#000\"/>";
    }

    private function dot(int $x, int $y): void
    {
        $this->drawn[] = "<circle cx=\"{$x}\" cy=\"{$y}\" r=\"3\"/>";
    }

    private function text(int $x, int $y, string $says): void
    {
        $this->drawn[] = "<text x=\"{$x}\" y=\"{$y}\">" . htmlspecialchars($says, ENT_XML1) . '</text>';
    }

    private function svg(string $title): string
    {
        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$d" height="%2$d" viewBox="0 0 %1$d %2$d" role="img" ' .
                'font-family="DejaVu Sans, sans-serif" font-size="10">%3$s</svg>',
            self::WIDE,
            self::HIGH,
            '<title>' . htmlspecialchars($title, ENT_XML1) . '</title>' . implode('', $this->drawn),
        );
    }
}
