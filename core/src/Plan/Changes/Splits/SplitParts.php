<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Change;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;

/** Cuts a wired run into parallel parts on the controller that it has: less strip behind each feed, the same total amps. */
final readonly class SplitParts extends Change
{
    /** Parts of one run. */
    public const MOST = 8;

    /** @param  positive-int  $parts */
    private function __construct(private string $run, private int $parts) {}

    public static function read(Fields $f, ShelfSource $shelf): self
    {
        return new self($f->string('run'), max(2, $f->whole('parts', 2, self::MOST)));
    }

    public static function payload(string $run, int $parts): ChangePayload
    {
        return ChangePayload::named('SplitParts', run: $run, parts: $parts);
    }

    protected function changed(Plan $plan): Plan
    {
        return EqualParts::for($plan, $this->run, 'parts', $this->parts)->plan;
    }

    public function words(Plan $plan): string
    {
        return $plan->run($this->run)->whole() .
            ' split into ' .
            ($this->parts === 2 ? 'halves' : "{$this->parts} parts") .
            ' side by side';
    }
}
