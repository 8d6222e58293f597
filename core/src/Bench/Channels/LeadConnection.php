<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Channels;

/**
 * One possible connection between a controller's outputs and a strip, with the result of each single colour. Colours, outputs and leads are numbered
 * from 0 in the strip's order; an observed result is a set of colours, bit n for colour n.
 */
final readonly class LeadConnection
{
    /**
     * @param  list<int>  $order  the colour whose lead is in output 0, 1 ...
     * @param  list<int>  $loose  outputs whose lead conducts nothing, at whichever end
     * @param  array{int, int}|null  $short  outputs whose leads touch
     * @param  string|null  $setting light type of its switch, if it is not the strip's
     * @param  bool  $dead  nothing conducts at all: the common lead loose, or a strip of the other common
     */
    public function __construct(
        public array $order,
        public array $loose = [],
        public ?array $short = null,
        public ?string $setting = null,
        public bool $dead = false,
    ) {}

    /** @return int the colours that light when one colour is commanded alone */
    public function shows(int $commanded, string $kind): int
    {
        if ($this->dead) {
            return 0;
        }
        $driven = $this->setting === null ? [$commanded] : FallbackSetting::drives($this->setting, $kind, $commanded);
        if ($this->short !== null && array_intersect($this->short, $driven) !== []) {
            array_push($driven, ...$this->short);
        }
        $seen = 0;
        foreach ($driven as $output) {
            if (isset($this->order[$output]) && !in_array($output, $this->loose, true)) {
                $seen |= 1 << $this->order[$output];
            }
        }

        return $seen;
    }

    /** How many things would have to be wrong for it: leads that are not in their own output count once for each cycle. */
    public function faults(): int
    {
        $cycles = 0;
        $done = array_fill_keys($this->loose, true);
        foreach ($this->order as $output => $colour) {
            if (isset($done[$output]) || $colour === $output) {
                continue;
            }
            $cycles++;
            for ($at = $output; !isset($done[$at]); $at = $this->order[$at]) {
                $done[$at] = true;
            }
        }

        return $cycles +
            count($this->loose) +
            ((int) ($this->short !== null)) +
            ((int) ($this->setting !== null)) +
            ((int) $this->dead);
    }
}
