<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Channels;

use EmberDusk\Kit\Facts;

/** Describes the fault of the leads, and the lead to move or the switch to set. */
final readonly class LeadWords
{
    /**
     * @param  list<string>  $colours  names of the strip's channels
     * @param  string  $kind  of the strip
     */
    public function __construct(private array $colours, private string $kind) {}

    /** “Blue and white are exchanged; red is loose.” All explanations with the same symptoms are named. */
    public function verdict(Explanation $class): string
    {
        if ($class->right()) {
            return 'Every colour lights as commanded.';
        }
        $said = array_map($this->said(...), $this->simplest($class));

        return ucfirst(implode('; or ', array_unique($said))) . '.';
    }

    /** @return list<string> what to do, in order, supply off */
    public function moves(Explanation $class): array
    {
        $moves = [];
        foreach ($this->simplest($class) as $way) {
            array_push($moves, ...$this->movesOf($way));
        }

        return array_values(array_unique($moves));
    }

    /** A set of colours: “red and white”, “nothing”, “several colours at the same time”. */
    public function seen(int $set): string
    {
        if ($set === Pixels::MANY) {
            return 'several colours at once';
        }
        $names = [];
        foreach ($this->colours as $n => $name) {
            if (($set & (1 << $n)) !== 0) {
                $names[] = $name;
            }
        }

        if ($names === []) {
            return 'nothing';
        }

        return self::listed($names);
    }

    /**
     * One way for each kind of fault that looks like this: a wrong setting before leads that are loose, since it is looked at in a moment.
     *
     * @return list<LeadConnection|Pixels>
     */
    private function simplest(Explanation $class): array
    {
        $least = INF;
        $ways = [];
        foreach ($class->ways as $way) {
            $faults = $way instanceof LeadConnection ? $way->faults() : 1;
            if ($faults > $least) {
                break;
            }
            $least = $faults;
            $ways[] = $way;
        }
        usort(
            $ways,
            static fn(LeadConnection|Pixels $a, LeadConnection|Pixels $b): int => ((int) ($b instanceof
                LeadConnection && $b->setting !== null)) <=>
                ((int) ($a instanceof LeadConnection && $a->setting !== null)),
        );

        return $ways;
    }

    private function said(LeadConnection|Pixels $way): string
    {
        if ($way instanceof Pixels) {
            if ($way->wrongKind) {
                return 'the fourth channel is set wrong: bytes meant for one pixel reach the next';
            }

            return 'the order of the colours is set wrong';
        }
        if ($way->dead) {
            return 'nothing lights: the common lead is loose or swapped with another, the strip has its common on the other side, or there is no voltage';
        }
        $said = [];
        if ($way->setting !== null) {
            $said[] = 'the switch is left at ' . Facts::way($way->setting);
        }
        if ($way->short !== null) {
            $said[] = self::listed([$this->lead($way, $way->short[0]), $this->lead($way, $way->short[1])]) . ' touch';
        }
        foreach ($this->cycles($way) as $cycle) {
            $said[] = $this->misplaced($way, $cycle);
        }
        if ($way->loose !== []) {
            $loose = $way->setting === null ? array_values($this->meant($way)) : $way->loose;
            $names = array_map(fn(int $c): string => $this->colours[$c], $loose);
            $said[] = self::listed($names) . (count($names) === 1 ? ' is' : ' are') . ' loose';
        }

        return implode(', ', $said);
    }

    /** @return list<string> */
    private function movesOf(LeadConnection|Pixels $way): array
    {
        if ($way instanceof Pixels) {
            if ($way->wrongKind) {
                return [
                    'Set the number of channels of these pixels to ' .
                    count($this->colours) .
                    ', then test the colours again.',
                ];
            }

            return [
                'Set the order to ' .
                implode(', ', array_map(fn(int $c): string => $this->colours[$c], $way->order)) .
                ': that is how they light when the controller sends ' .
                implode(', ', $this->colours) .
                '.',
            ];
        }
        if ($way->dead) {
            return [
                'Measure the volts at the strip’s first pads, + against each return.',
                'Find the strip’s common lead: it belongs in the common output, whatever its colour.',
            ];
        }
        $moves = [];
        if ($way->setting !== null) {
            $moves[] =
                'Set the switch to ' .
                Facts::way($this->kind) .
                ', then test the colours again: the leads cannot be identified before.';
        }
        if ($way->short !== null) {
            $moves[] =
                'Part the leads in outputs ' .
                self::listed([$this->colours[$way->short[0]], $this->colours[$way->short[1]]]) .
                '.';
        }
        foreach ($this->cycles($way) as $cycle) {
            foreach ($cycle as $output) {
                $moves[] = "Move the lead in output {$this->colours[$output]} to output {$this->colours[$way->order[$output]]}.";
            }
        }
        if ($way->setting === null) {
            foreach ($this->meant($way) as $output => $to) {
                $lead = $this->colours[$to];
                if ($to === $output) {
                    $moves[] = "Seat the lead of {$lead} at both ends.";
                } else {
                    $at = $this->colours[$output];
                    $moves[] = "Seat the lead of {$lead}: it is loose at output {$at} and belongs in output {$lead}.";
                }
            }
        }
        if (count($way->loose) === 2 && $way->setting === null) {
            $moves[] = 'The two are not identified yet: test the colours again.';
        }

        return $moves;
    }

    /**
     * Colours with loose leads, by output: each is taken for its own output's colour if that one is missing.
     *
     * @return array<int, int>
     */
    private function meant(LeadConnection $way): array
    {
        $missing = array_map(static fn(int $o): int => $way->order[$o], $way->loose);
        $own = array_values(array_intersect($way->loose, $missing));
        $rest = array_values(array_diff($missing, $own));
        sort($rest);
        $meant = array_combine($own, $own);
        foreach (array_values(array_diff($way->loose, $own)) as $n => $output) {
            $meant[$output] = $rest[$n];
        }
        ksort($meant);

        return $meant;
    }

    /** @param  list<int>  $cycle  outputs */
    private function misplaced(LeadConnection $way, array $cycle): string
    {
        if ($way->order[$cycle[count($cycle) - 1]] === $cycle[0]) {
            $names = array_map(fn(int $o): string => $this->colours[$o], $cycle);

            return self::listed($names) . (count($names) === 2 ? ' are exchanged' : ' each sit one output on');
        }

        return self::listed(
            array_map(
                fn(int $o): string => "the lead of {$this->colours[$way->order[$o]]} is in output {$this->colours[$o]}",
                $cycle,
            ),
        );
    }

    private function lead(LeadConnection $way, int $output): string
    {
        return $this->colours[$way->order[$output]];
    }

    /** @return list<list<int>> outputs whose leads go round, none of them loose */
    private function cycles(LeadConnection $way): array
    {
        $cycles = [];
        $done = array_fill_keys($way->loose, true);
        // A chain that ends at a loose lead is described from its start.
        $heads = array_diff(array_keys($way->order), array_diff_key($way->order, $done));
        foreach ([...$heads, ...array_keys($way->order)] as $output) {
            if (isset($done[$output]) || $way->order[$output] === $output) {
                continue;
            }
            $cycle = [];
            for ($at = $output; !isset($done[$at]); $at = $way->order[$at]) {
                $done[$at] = true;
                $cycle[] = $at;
            }
            $cycles[] = $cycle;
        }

        return $cycles;
    }

    /** @param  list<string>  $names */
    private static function listed(array $names): string
    {
        $last = (string) array_pop($names);

        if ($names === []) {
            return $last;
        }

        return implode(', ', $names) . ' and ' . $last;
    }
}
