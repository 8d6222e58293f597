<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** A leg that exists and is used from end to end: new cable leads to its first end, and from both go the drops. */
final class LegTap
{
    private ?string $first = null;

    public function __construct(
        private readonly CableLayer $layer,
        private readonly LegWire $leg,
        private readonly string $from,
    ) {}

    /** The splice at the next end. */
    public function next(): string
    {
        $leg = $this->leg;
        if ($this->first === null) {
            $this->first = $this->layer->splice("end of leg {$leg->name} at {$leg->ends[0]}");
            $this->layer->cable(
                kit: $leg->with,
                from: $this->from,
                to: $this->first,
                length: $leg->lead,
                fuse: $leg->fuse,
            );

            return $this->first;
        }
        $splice = $this->layer->splice("end of leg {$leg->name} at {$leg->ends[1]}");
        $this->layer->cable(
            kit: $leg->kit,
            from: $this->first,
            to: $splice,
            length: $leg->length,
            fuse: null,
            existing: true,
            leg: $leg->name,
            laid: $leg->laid,
            measured: $leg->measured,
        );

        return $splice;
    }
}
