<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\RunPath;
use EmberDusk\Survey\Site\CableLeg;
use EmberDusk\Survey\Site\Outlet;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallSheet;

/**
 * Surveyed legs of a place that can carry the feed of a run: sound ones with cores enough whose two ends are known. A leg from
 * an outlet or a spur is mains, and never carries anything else.
 */
final readonly class ExistingLegs
{
    /** Default metres of new cable to a leg of unknown position. */
    public const LEAD = 1.0;

    /** Pads that are looked at for the one nearest to an end. */
    private const PADS = 200;

    private function __construct(private Plan $plan, private Run $run) {}

    /** @return array<string, LegWay> by the leg's name */
    public static function for(Plan $plan, Run $run, ShelfSource $shelf): array
    {
        return (new self($plan, $run))->legs($shelf);
    }

    /** @return array<string, LegWay> by the leg's name */
    private function legs(ShelfSource $shelf): array
    {
        $strip = $this->plan->strip($this->run->strip);
        $sheet = WallNotes::read($this->plan->places[$this->run->place]->notes ?? '');
        $path = $sheet->runs[$this->run->word] ?? null;
        if ($strip === null || $path === null || $sheet->site->legs === []) {
            return [];
        }
        $legs = [];
        $mains = array_map(static fn(Outlet $o): string => mb_strtolower($o->spot->name), $sheet->site->outlets);
        foreach ($sheet->site->legs as $leg) {
            $sound =
                !$leg->open &&
                $leg->broken === [] &&
                $leg->joined === null &&
                array_intersect([mb_strtolower($leg->from), mb_strtolower($leg->to ?? '')], $mains) === [];
            // Power alone: the plus and a return for each channel; data of pixels has its own lead.
            $kit =
                $sound && $leg->cores > count($strip->channels)
                    ? self::cable($shelf, $leg->cores, $leg->conductor->system, $leg->conductor->size)
                    : null;
            $way = $kit !== null ? $this->way($sheet, $path, $leg, $kit) : null;
            if ($way !== null) {
                $legs[$leg->name] = $way;
            }
        }

        return $legs;
    }

    private function way(WallSheet $sheet, RunPath $path, CableLeg $leg, KitSnapshot $kit): ?LegWay
    {
        $from = $this->end($sheet, $path, $leg->from);
        $to = $this->end($sheet, $path, $leg->to ?? '');
        if ($from === null || $to === null || $from->pad === $to->pad) {
            return null;
        }
        $along = (new Walls($sheet))->along($from->at, $to->at) + CableWay::SLACK;

        return new LegWay(
            name: $leg->name,
            kit: $kit,
            length: round($leg->length ?? $along, 2),
            measured: $leg->length !== null && !$leg->guessed,
            laid: $leg->laid,
            ends: [$from, $to],
        );
    }

    /** Null where the notes do not say where it is. */
    private function end(WallSheet $sheet, RunPath $path, string $name): ?LegEnd
    {
        $at = $sheet->named($name);
        $marks = $this->plan->of($this->run)->cutMarks();
        if ($at === null || $marks === null) {
            return null;
        }
        $walls = new Walls($sheet);
        $before = ($path->length() * ($this->run->part - 1)) / $this->run->parts;
        $where = static fn(int $pad): Point => $path->at($before + $marks->position($pad));
        $best = [INF, 0];
        $step = max(1, intdiv($marks->lastPad(), self::PADS));
        foreach ([...range(0, $marks->lastPad(), $step), $marks->lastPad()] as $pad) {
            $best = min($best, [round($walls->along($at, $where($pad)), 6), $pad]);
        }
        $up = $sheet->site->spot($name)?->up;
        $rise = $up !== null && $this->run->height !== null ? abs($up - $this->run->height) : 0.0;

        return new LegEnd($name, $at, $up, $best[1], round($best[0] + $rise + CableWay::SLACK, 2));
    }

    /** The first cable of the shelf with just so many cores of a size. */
    private static function cable(ShelfSource $shelf, int $cores, string $system, string $size): ?KitSnapshot
    {
        foreach ($shelf->ofKind('cable') as $snapshot) {
            $cable = $snapshot->entry;
            if (
                $cable instanceof Cable &&
                $cable->cores === $cores &&
                $cable->conductor->system === $system &&
                $cable->conductor->size === $size
            ) {
                return $snapshot;
            }
        }

        return null;
    }
}
